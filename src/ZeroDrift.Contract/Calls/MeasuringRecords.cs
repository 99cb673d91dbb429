using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Contract.Calls;

public sealed record TrialRequest(IReadOnlyList<double>? BladesMm, Feel? Feel);

public sealed record ReadingRequest(IReadOnlyList<TrialRequest?>? Trials, double? FeelSdMm);

public sealed record ReadingResponse(double? LowerMm, double? UpperMm, double? EstimateMm, double? StandardUncertaintyMm);

public sealed record VerdictRequest(double? EstimateMm, double? StandardUncertaintyMm, double? LowerMm, double? UpperMm, double? MinMm, double? MaxMm);

public sealed record VerdictResponse(VerdictState State, double? PTight, double? PLoose, double? DecidingBladeMm);

public sealed record NextBladeRequest(IReadOnlyList<double>? TrayMm, double? LowerMm, double? UpperMm, double? MinMm, double? MaxMm, double? ExpectedMm, double? ExpectedSdMm);

public sealed record NextBladeResponse(double? BladeMm);

public sealed record DialRequest(double? TravelMm, double? Conversion, double? StandardUncertaintyMm);

public sealed record LengthRequest(string? Figure, string? Unit);

public sealed record LengthResponse(string Written, double Millimetres, double Thou);
