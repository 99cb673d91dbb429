using ZeroDrift.Core.Setting;

namespace ZeroDrift.Contract.Calls;

public sealed record ScrewRequest(double? MeasuredMm, double? TargetMm, double? PitchMm, double? ClearancePerTravel, bool? ClockwiseCloses);

public sealed record ScrewResponse(double Turns, double Degrees, ScrewDirection? Direction, int Sixteenths, bool DegreesFirst, string Said);

public sealed record MidLiftRequest(double? ValveLiftMm, double? PitchMm);

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

/// <summary>A thickness as it was written or called, and the series of the engine.</summary>
public sealed record ShimMarkRequest(string? Written, IReadOnlyList<double>? SizesMm, string? Unit = null);

public sealed record PreloadRequest(double? TravelTurns, double? TravelMm, double? PitchMm, double? ClearancePerTravel, double? Fraction);
