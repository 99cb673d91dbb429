using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Jobs;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Server.Plan;

public sealed record JobPart(string? Name, int? LeadDays, DateOnly? OrderedOn, bool? Here);

/// <summary>A job to add, or what changes of one: what is left out stays. `state` dropped needs why.</summary>
public sealed record JobOrderRequest(Guid? Id, Guid? EngineId, string? Title, DateOnly? DueDate, DateOnly? EarliestDate, double? Hours, int? Crew, IReadOnlyList<string>? Tools, IReadOnlyList<JobPart>? Parts, Guid? AfterJobId, int? AfterDays, string? Remark, JobState? State, string? Why);

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

    /// <summary>A valve was found tight and not set.</summary>
    public required bool FoundTight { get; init; }
}

public sealed record PlacementResponse(Guid JobId, Guid PersonId, Guid? MateId, DateOnly Date, DateOnly LastDate, bool Pinned, string Because);

public sealed record UnplacedJob(Guid JobId, string Reason);

/// <summary>A row of the plan: who, what they know, and the hours of each day from the first.</summary>
public sealed record PlanPerson(Guid Id, string Name, IReadOnlyList<string> Skills, IReadOnlyList<double> WeekHours, IReadOnlyList<double> Hours);

public sealed record AwayResponse(Guid Id, Guid? PersonId, Guid? MachineId, string Who, DateOnly From, DateOnly To, string Why);

public sealed record GroupResponse(Guid Id, string Name, int MostOut, IReadOnlyList<Guid> EngineIds);

public sealed record ToolResponse(Guid Id, string Name, int Count);

public sealed record RoadResponse(Guid FromId, Guid ToId, string From, string To, double Hours);

public sealed record VersionResponse(int Number, DateTime PublishedAt, string? Who, int Jobs);

/// <summary>How a planning run stands. Bound: no plan can cost less.</summary>
public sealed record RunResponse(bool Running, double? Cost, double? Bound, string? Said, IReadOnlyList<string> Moved);

public sealed record PlanResponse
{
    public required DateOnly From { get; init; }
    public required int Days { get; init; }
    public required DateOnly Today { get; init; }
    public required IReadOnlyList<PlanPerson> People { get; init; }
    public required IReadOnlyList<JobResponse> Jobs { get; init; }
    public required IReadOnlyList<PlacementResponse> Placements { get; init; }
    public required IReadOnlyList<UnplacedJob> Unplaced { get; init; }
    public required IReadOnlyList<AwayResponse> Away { get; init; }
    public required IReadOnlyList<GroupResponse> Groups { get; init; }
    public required IReadOnlyList<ToolResponse> Tools { get; init; }
    public required IReadOnlyList<RoadResponse> Roads { get; init; }
    public required RunResponse Run { get; init; }
    public VersionResponse? Published { get; init; }

    /// <summary>The draft stands otherwise than what was published.</summary>
    public required bool Changed { get; init; }
}

public sealed record CheckRequest(Guid? JobId, Guid? PersonId, DateOnly? Date);

/// <summary>What a day would mean for a job: what stands in the way, or how late and early it would be.</summary>
public sealed record CheckResponse(bool Fits, string Sentence, DateOnly LastDate, Guid? MateId, int LateDays, int EarlyDays);

public sealed record PlaceRequest(Guid? PersonId, DateOnly? Date, bool? Pinned);

public sealed record PublishRequest(string? Who);

public sealed record MechanicRequest(IReadOnlyList<MachineKind>? Skills, IReadOnlyList<double>? WeekHours);

public sealed record AwayRequest(Guid? Id, Guid? PersonId, Guid? MachineId, DateOnly? From, DateOnly? To, string? Why);

public sealed record GroupRequest(Guid? Id, string? Name, int? MostOut, IReadOnlyList<Guid>? EngineIds);

public sealed record ToolRequest(Guid? Id, string? Name, int? Count);

public sealed record RoadRequest(Guid? FromId, Guid? ToId, double? Hours);
