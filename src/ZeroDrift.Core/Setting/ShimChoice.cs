using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Setting;

/// <summary>One shim that could be fitted.</summary>
/// <param name="ShimMm">Its thickness.</param>
/// <param name="PredictedMm">The clearance it would give; negative where it would hold the valve open.</param>
/// <param name="InWindow">Whether that lies in the window, ends included within 1e-9 mm.</param>
public sealed record FittedShim(double ShimMm, double PredictedMm, bool InWindow);

/// <summary>Which shim to fit.</summary>
/// <param name="ExactShimMm">The thickness that would land exactly on the target.</param>
/// <param name="Choice">The best size whose clearance is in the window; null where none is.</param>
/// <param name="Alternatives">The other sizes, best first: those in the window before those outside it, then by distance from the target.</param>
public sealed record ShimChoice(double ExactShimMm, FittedShim? Choice, IReadOnlyList<FittedShim> Alternatives)
{
    /// <summary>Two sizes equally near the target within this are a tie, and the thinner, looser one wins, mm.</summary>
    private const double TieMm = 1e-6;

    /// <summary>exact = old + k·(measured − target), k = shim travel per clearance; common practice (worked: 2.81 + 0.09 − 0.20 = 2.70 mm).</summary>
    /// <param name="measuredMm">Clearance with the present shim.</param>
    /// <param name="targetMm">Clearance wanted.</param>
    /// <param name="window">Where it may land.</param>
    /// <param name="currentShimMm">Thickness fitted now, above 0 to 25 mm, by micrometer.</param>
    /// <param name="sizesMm">Sizes to choose from, 1 to 1000.</param>
    /// <param name="shimPerClearance">k, above 0 to 10; 1 unless stated.</param>
    /// <exception cref="BadInputException">A figure outside its range.</exception>
    public static ShimChoice From(Clearance measuredMm, Clearance targetMm, Window window, double currentShimMm, IReadOnlyList<double>? sizesMm, double shimPerClearance = 1)
    {
        Require.Above(currentShimMm, 0, Require.ThickestMm, "currentShimMm", "The present shim", "mm");
        Require.Above(shimPerClearance, 0, 10, "shimPerClearance", "The shim travel per clearance");
        Require.Filled(sizesMm, 1000, "sizesMm", "the shim sizes to choose from");
        foreach (var size in sizesMm!) Require.Above(size, 0, Require.ThickestMm, "sizesMm", "A shim size", "mm");

        var exact = currentShimMm + shimPerClearance * (measuredMm - targetMm);
        var fits = sizesMm.Distinct().Select(Fit).ToLookup(shim => shim.InWindow);
        var ranked = NearestFirst(fits[true], targetMm).Concat(NearestFirst(fits[false], targetMm)).ToList();
        return ranked[0].InWindow ? new ShimChoice(exact, ranked[0], ranked[1..]) : new ShimChoice(exact, null, ranked);

        FittedShim Fit(double shim)
        {
            var predicted = measuredMm - (shim - currentShimMm) / shimPerClearance;
            return new FittedShim(shim, predicted, window.Holds(predicted));
        }
    }

    private static IEnumerable<FittedShim> NearestFirst(IEnumerable<FittedShim> shims, double targetMm)
    {
        var left = new LinkedList<FittedShim>(shims.OrderBy(Miss));
        while (left.First is { } nearest)
        {
            var best = left.TakeWhile(shim => Miss(shim) <= Miss(nearest.Value) + TieMm).MinBy(shim => shim.ShimMm)!;
            left.Remove(best);
            yield return best;
        }

        double Miss(FittedShim shim) => Math.Abs(shim.PredictedMm - targetMm);
    }
}
