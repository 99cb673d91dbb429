namespace ZeroDrift.Contract.Calls;

public sealed record AdjustmentLeftRequest(double? K, double? BuiltShimMm, double? BuiltGapMm, double? ShimMm, double? GapMm, double? ThinnestMm, double? ThickestMm, double? MmPer1000h, double? StandardErrorMmPer1000h);
