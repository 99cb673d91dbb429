using ZeroDrift.Core.Setting;

namespace ZeroDrift.Contract.Calls;

/// <summary>The kinds of adjuster in a call.</summary>
public enum AdjusterWord
{
    Screw,
    Eccentric,
    Shim,
    Hydraulic,
    InjectorScrew,
    BrakeScrew,
}

/// <summary>The kinds of demand in a call.</summary>
public enum DemandWord
{
    Gap,
    Zero,
    Preload,
    Height,
    Torque,
}

public sealed record AdjusterRequest
{
    public AdjusterWord? Kind { get; init; }
    public double? PitchMm { get; init; }
    public double? ClearancePerTravel { get; init; }
    public bool? ClockwiseCloses { get; init; }
    public double? FittedMm { get; init; }
    public IReadOnlyList<double>? SizesMm { get; init; }
    public double? ShimPerClearance { get; init; }
    public ZeroDrift.Core.Engines.ShimAccess? Access { get; init; }
    public double? TravelTurns { get; init; }
    public bool? SelfLocking { get; init; }
}

public sealed record AdviceDemandRequest
{
    public DemandWord? Kind { get; init; }
    public double? MinMm { get; init; }
    public double? MaxMm { get; init; }
    public double? SetMm { get; init; }
    public double? FigureMm { get; init; }
    public double? TightSideMm { get; init; }
    public double? LooseSideMm { get; init; }
    public double? GoMm { get; init; }
    public double? NoGoMm { get; init; }
    public double? Turns { get; init; }
    public double? Fraction { get; init; }
    public double? Mm { get; init; }
    public double? Nm { get; init; }
}

public sealed record AdviceReadingRequest(double? EstimateMm, double? LowerMm, double? UpperMm);

/// <summary>One measurement on the way to a setting.</summary>
public sealed record AttemptRequest(AttemptStage? Stage, AdviceReadingRequest? Reading);

/// <summary>What this hand's locknuts take of the gap, mm: positive where locking closes it.</summary>
public sealed record LearnedCreepRequest(double? MeanMm, double? SdMm, int? N);

/// <summary>One reading, or the attempts from the first on.</summary>
public sealed record AdviceRequest(AdjusterRequest? Adjuster, AdviceDemandRequest? Demand, AdviceReadingRequest? Reading, string? Unit, IReadOnlyList<AttemptRequest?>? Attempts = null, LearnedCreepRequest? Creep = null);
