using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;

namespace ZeroDrift.Server.Drift;

/// <summary>One of the fastest points of the fleet.</summary>
public sealed record FastPoint(Guid EngineId, string Engine, string TypeCode, string Point, double MmPer1000h, double StandardErrorMmPer1000h, double KindMmPer1000h, double FastProbability, double? HoursToRisk, LimitSide? Side, VerdictState? Standing);

/// <summary>The rate of a kind of valve in a type, with what strays about it.</summary>
public sealed record TypeRate(Guid TypeId, string TypeCode, string TypeName, LashKind Kind, int Engines, double MmPer1000h, double StandardErrorMmPer1000h, double TauMmPer1000h);

/// <summary>The rate of a kind of valve over the engines of one use: a random-effects mean of the engines' own.</summary>
public sealed record UseRate(MachineKind Machine, LashKind Kind, int Engines, double MmPer1000h, double StandardErrorMmPer1000h);

/// <summary>How many engines are in which state.</summary>
public sealed record FleetStates(int Found, int Drifting, int Overdue, int Quiet, int Unknown);

/// <summary>A visit of the last month and what it told.</summary>
public sealed record LearnedVisit(Guid VisitId, Guid EngineId, string Engine, DateOnly Date, int Out, int Measured, string? Worst, double? WorstMm, VerdictState? WorstState, double? ShiftMm, bool Asked);

public sealed record FleetDriftResponse
{
    public required DateOnly Today { get; init; }
    public required double Risk { get; init; }
    public required FleetStates States { get; init; }
    public required IReadOnlyList<FastPoint> Fastest { get; init; }
    public required IReadOnlyList<TypeRate> Types { get; init; }
    public required IReadOnlyList<UseRate> Uses { get; init; }
    public required IReadOnlyList<LearnedVisit> Learned { get; init; }
}
