using ZeroDrift.Core.Setting;

namespace ZeroDrift.Contract.Calls;

public sealed record ScrewRequest(double? MeasuredMm, double? TargetMm, double? PitchMm, double? ClearancePerTravel, bool? ClockwiseCloses);

public sealed record ScrewResponse(double Turns, double Degrees, ScrewDirection? Direction, int Sixteenths, bool DegreesFirst, string Said);

public sealed record MidLiftRequest(double? ValveLiftMm, double? PitchMm);

public sealed record TurnsResponse(double Turns);

public sealed record CreepPairRequest(double? BeforeMm, double? AfterMm, double? FoundMm, double? OpeningTurns);

public sealed record CreepRequest(IReadOnlyList<CreepPairRequest?>? Pairs, double? TargetMm, double? PitchMm, double? ClearancePerTravel);

public sealed record CreepResponse(double? CreepMm, int Pairs, double? AimBeforeLockMm, string Advice);

public sealed record ShimRequest(double? MeasuredMm, double? TargetMm, double? MinMm, double? MaxMm, double? CurrentShimMm, double? ShimPerClearance, IReadOnlyList<double>? SizesMm);

/// <summary>A thickness as it was written or called, and the series of the engine.</summary>
public sealed record ShimMarkRequest(string? Written, IReadOnlyList<double>? SizesMm);

public sealed record PreloadRequest(double? TravelTurns, double? TravelMm, double? PitchMm, double? ClearancePerTravel, double? Fraction);
