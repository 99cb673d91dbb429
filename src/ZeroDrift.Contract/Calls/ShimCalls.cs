using ZeroDrift.Contract.Input;
using ZeroDrift.Core.Shims;

namespace ZeroDrift.Contract.Calls;

/// <summary>What becomes of shims over the years.</summary>
public static class ShimCalls
{
    public static AdjustmentLeft Left(AdjustmentLeftRequest request) => AdjustmentLeft.Of(
        (Given.Number(request.BuiltShimMm, "builtShimMm", "the shim at build, in mm"), Given.Clearance(request.BuiltGapMm, "builtGapMm", "The gap at build")),
        (Given.Number(request.ShimMm, "shimMm", "the present shim, in mm"), Given.Clearance(request.GapMm, "gapMm", "The present gap")),
        (Given.Number(request.ThinnestMm, "thinnestMm", "the thinnest shim made, in mm"), Given.Number(request.ThickestMm, "thickestMm", "the thickest shim made, in mm")),
        Given.Number(request.MmPer1000h, "mmPer1000h", "the rate in mm a 1000 h"),
        Given.Number(request.StandardErrorMmPer1000h, "standardErrorMmPer1000h", "the rate's standard error"),
        request.K ?? 1);
}
