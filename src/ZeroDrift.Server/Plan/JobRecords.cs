using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Jobs;
using ZeroDrift.Data.Model;
using ZeroDrift.Server.Engines;

namespace ZeroDrift.Server.Plan;

public sealed record JobPart(string? Name, int? LeadDays, DateOnly? OrderedOn, bool? Here);

/// <summary>A job to add, or what changes of one: what is left out stays. `state` dropped needs why.</summary>
public sealed record JobOrderRequest(Guid? Id, Guid? EngineId, string? Title, DateOnly? DueDate, DateOnly? EarliestDate, double? Hours, int? Crew, IReadOnlyList<string>? Tools, IReadOnlyList<JobPart?>? Parts, Guid? AfterJobId, int? AfterDays, string? Remark, JobState? State, string? Why, bool? Opens = null);

public sealed record JobsFromDueRequest(DateOnly? Until);

/// <summary>A job with what it needs, and where it stands in the draft.</summary>
public sealed record JobResponse
{
    public required Guid Id { get; init; }
    public required Guid EngineId { get; init; }
    public required string Engine { get; init; }
    public required string Machine { get; init; }
    public required MachineKind Kind { get; init; }
    public required string Site { get; init; }
    public required string Title { get; init; }
    public DueRule? Rule { get; init; }
    public DateOnly? DueDate { get; init; }

    /// <summary>Parts here or on their way, and whatever else it waits for.</summary>
    public DateOnly? EarliestDate { get; init; }

    /// <summary>How long it takes; the middle is planned.</summary>
    public required JobTime Time { get; init; }
    public double? GivenHours { get; init; }
    public required int Crew { get; init; }
    public required IReadOnlyList<string> Tools { get; init; }
    public required IReadOnlyList<JobPart> Parts { get; init; }

    /// <summary>The last day its parts can be ordered for its day: planned, else due. Null where nothing is to be ordered.</summary>
    public DateOnly? OrderBy { get; init; }
    public Guid? AfterJobId { get; init; }
    public int AfterDays { get; init; }
    public string? Remark { get; init; }
    public required JobState State { get; init; }
    public Guid? VisitId { get; init; }

    /// <summary>Other work that opens the engine: the cheap moment for an overhead.</summary>
    public required bool Opens { get; init; }

    /// <summary>What waits for a part on this engine, since which visit: whoever opens it for this job finishes it too.</summary>
    public required IReadOnlyList<AwaitingPoints> Waiting { get; init; }

    /// <summary>A valve was found tight and not set.</summary>
    public required bool FoundTight { get; init; }
}
