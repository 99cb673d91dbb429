using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Server.Year;

/// <summary>One opening of the stretch. Worst: the point found furthest out; null where all were in their limits.</summary>
public sealed record YearOpening(Guid VisitId, DateOnly Date, JobKind Job, string Who, int Measured, int OutAsFound, string? Worst, double? WorstMm, VerdictState? WorstState, int Set, double? WorkedHours);

/// <summary>A valve that wears otherwise than its kind. Since: the last visit before it began to; null where it did all its life.</summary>
public sealed record YearFailing(string Point, DateOnly? Since);

/// <summary>Parts of one name that were changed.</summary>
public sealed record YearParts(string Part, int Count);

/// <summary>What the stretch came to for one engine.</summary>
public sealed record YearEngine
{
    public required Guid EngineId { get; init; }
    public required string Name { get; init; }
    public required MachineKind Machine { get; init; }
    public required string Site { get; init; }
    public required string TypeCode { get; init; }
    public required bool Archived { get; init; }
    public required YearFigures Figures { get; init; }
    public required IReadOnlyList<YearOpening> Openings { get; init; }

    /// <summary>Valves named as wearing otherwise, as it is known today.</summary>
    public required IReadOnlyList<YearFailing> Failing { get; init; }
    public required IReadOnlyList<YearParts> Parts { get; init; }
}

/// <summary>The engines of one kind of machine together.</summary>
public sealed record YearKind(MachineKind Kind, int Engines, YearFigures Figures);

/// <summary>The engines of one place together.</summary>
public sealed record YearPlace(string Site, int Engines, YearFigures Figures);

public sealed record YearResponse(string Fleet, DateOnly From, DateOnly Until, YearFigures Whole, IReadOnlyList<YearEngine> Engines, IReadOnlyList<YearKind> ByKind, IReadOnlyList<YearPlace> ByPlace);
