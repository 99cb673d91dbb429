using ZeroDrift.Core.Setting;

namespace ZeroDrift.Contract.Calls;

public sealed record ScrewRequest(double? MeasuredMm, double? TargetMm, double? PitchMm, double? ClearancePerTravel, bool? ClockwiseCloses);

public sealed record ScrewResponse(double Turns, double Degrees, ScrewDirection? Direction, int Sixteenths, bool DegreesFirst, string Said);

/// <summary>Lift and thread in millimetres, or in inches with threads to the inch. With a rocker ratio and a series it goes on to the length to order.</summary>
public sealed record MidLiftRequest(double? ValveLiftMm, double? PitchMm)
{
    public double? ValveLiftIn { get; init; }
    public double? ThreadsPerInch { get; init; }

    /// <summary>What the adjustable rod measured once the pattern on the tip was right; with it the length to order follows.</summary>
    public double? TrialRodMm { get; init; }
    public double? TrialRodIn { get; init; }

    /// <summary>Lengths that are made.</summary>
    public IReadOnlyList<double>? SeriesMm { get; init; }
    public IReadOnlyList<double>? SeriesIn { get; init; }
}

/// <summary>Half the lift as a length and as turns of the thread, the steps in their order, and the length to order.</summary>
public sealed record MidLiftResponse(double Turns, double LengthMm, double LengthIn, IReadOnlyList<string> Steps, double? OrderMm, double? OrderIn, double? MissMm);

/// <summary>
/// A pushrod's length: how the point stands (<c>play</c> with playMm, <c>zeroLash</c>, or <c>pressed</c> with turnsBack and pitchMm) and what it should end at
/// (<c>plunger</c> with travelMm and fraction, or <c>clearance</c> with clearanceMm). screwRatio: movement of the pushrod's end for a travel of the screw, 1 where the screw sits there.
/// </summary>
public sealed record PushrodLengthRequest(PushrodStart? Start, double? PlayMm, double? TurnsBack, double? PitchMm, double? ScrewRatio, double? RockerRatio, PushrodGoal? Goal, double? TravelMm, double? Fraction, double? ClearanceMm);

public sealed record TurnsResponse(double Turns);

public sealed record CreepPairRequest(double? BeforeMm, double? AfterMm, double? FoundMm, double? OpeningTurns);

public sealed record CreepRequest(IReadOnlyList<CreepPairRequest?>? Pairs, double? TargetMm, double? PitchMm, double? ClearancePerTravel);

public sealed record CreepResponse(double? CreepMm, int Pairs, double? AimBeforeLockMm, string Advice);

public sealed record ShimRequest(double? MeasuredMm, double? TargetMm, double? MinMm, double? MaxMm, double? CurrentShimMm, double? ShimPerClearance, IReadOnlyList<double>? SizesMm);

/// <summary>A thickness as it was written, called or stamped, and the series of the engine with its marks where it has some.</summary>
public sealed record ShimMarkRequest(string? Written, IReadOnlyList<double>? SizesMm, string? Unit = null, IReadOnlyList<string>? Marks = null);

public sealed record PreloadRequest(double? TravelTurns, double? TravelMm, double? PitchMm, double? ClearancePerTravel, double? Fraction);
