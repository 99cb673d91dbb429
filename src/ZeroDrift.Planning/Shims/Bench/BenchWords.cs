using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Planning.Shims.Bench;

/// <summary>Why a point gets the shim it gets, in a sentence.</summary>
internal sealed class BenchWords(ShimPolicy policy, IReadOnlyList<BenchPoint> points, IReadOnlyList<double> loose, IReadOnlyList<ShimPin> pins, IReadOnlyDictionary<string, AllocatedShim> got, LengthUnit unit)
{
    public string Why(BenchPoint point, AllocatedShim shim)
    {
        var mm = SaidLength.Shim(shim.ShimMm, unit);
        var lands = shim.PredictedMm < 0 ? "leaves no gap" : $"lands at {SaidLength.Gap(shim.PredictedMm, unit)}";
        if (pins.Any(p => p.Point == point.Id)) return shim.From == ShimSource.Own ? "Chosen by hand: it stays." : $"Chosen by hand: {mm} {lands}.";
        var own = point.ToAllocate();
        var wasGood = own.Holds(own.FittedMm);
        return shim.From switch
        {
            ShimSource.Own when shim.InWindow => policy == ShimPolicy.Blueprint ? "Nothing at hand brings it nearer its figure: it stays." : "In its window: it stays.",
            ShimSource.Own => "Nothing at hand or to be bought brings it nearer its window: it keeps its own.",
            ShimSource.Buy => $"{NotAtHand(own)}: {mm} is bought, and {lands}.",
            _ when wasGood && policy != ShimPolicy.Blueprint => $"It was good; it gives its {SaidLength.Shim(own.FittedMm, unit)} where that saves a purchase. {mm} {From(shim)} {lands}.",
            _ when !shim.InWindow => $"{mm} {From(shim)} is the nearest at hand, and {lands}.",
            _ => $"{mm} {From(shim)} {lands}.",
        };
    }

    private static string From(AllocatedShim shim) => shim.From == ShimSource.Point ? $"from {shim.FromPoint}" : "from the drawer";

    /// <summary>Why a shim has to be bought: none there is fits, or the one that does is wanted elsewhere or stays where it is.</summary>
    private string NotAtHand(ShimPoint own)
    {
        var fits = points.Where(p => p.Id != own.Id && own.Holds(p.FittedMm!.Value)).ToList();
        if (fits.Count == 0 && !loose.Any(own.Holds)) return "No shim at hand brings it into its window";
        return fits.Exists(p => got[p.Id].From == ShimSource.Own) && policy == ShimPolicy.LeaveGoodAlone ? "What would fit sits where it is good, or is wanted elsewhere" : "Every shim that would fit is wanted elsewhere";
    }
}
