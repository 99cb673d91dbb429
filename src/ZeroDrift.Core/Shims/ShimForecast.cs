using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Shims;

/// <summary>A point as it is expected when its engine is opened next.</summary>
/// <param name="Point">Its label.</param>
/// <param name="GapMm">The gap expected then.</param>
/// <param name="SdMm">Its standard deviation, above 0.</param>
/// <param name="FittedMm">The shim known to be there.</param>
/// <param name="Window">Where it is left alone.</param>
/// <param name="AimMm">The figure to set.</param>
/// <param name="ShimPerClearance">Shim travel per clearance.</param>
/// <param name="SizesMm">The series.</param>
public sealed record PointAtNext(string Point, double GapMm, double SdMm, double FittedMm, Window Window, double AimMm, double ShimPerClearance, IReadOnlyList<double> SizesMm)
{
    /// <summary>The chance of wanting each size: that the gap comes out of its window, and just there where this size brings it nearest its figure.</summary>
    public IEnumerable<(double SizeMm, double Odds)> Wants()
    {
        var sizes = SizesMm.Order().ToList();
        for (var i = 0; i < sizes.Count; i++)
        {
            // exact = fitted + k·(gap − aim); up to half way to the next size this one is the nearest.
            var from = i == 0 ? double.NegativeInfinity : GapFor((sizes[i - 1] + sizes[i]) / 2);
            var to = i == sizes.Count - 1 ? double.PositiveInfinity : GapFor((sizes[i] + sizes[i + 1]) / 2);
            var odds = Between(from, Math.Min(to, Window.MinMm)) + Between(Math.Max(from, Window.MaxMm), to);
            if (odds > 0 && Math.Abs(sizes[i] - FittedMm) > 1e-6) yield return (sizes[i], odds);
        }
    }

    private double GapFor(double exactMm) => AimMm + (exactMm - FittedMm) / ShimPerClearance;

    private double Between(double from, double to) => to <= from ? 0 : StandardNormal.Below((to - GapMm) / SdMm) - StandardNormal.Below((from - GapMm) / SdMm);
}

/// <summary>How likely a size is wanted, and how many.</summary>
/// <param name="SizeMm">The size.</param>
/// <param name="Odds">The chance that at least one is.</param>
/// <param name="Expected">How many on average.</param>
/// <param name="Points">The points that may want it, the likeliest first.</param>
public sealed record SizeWanted(double SizeMm, double Odds, double Expected, IReadOnlyList<string> Points);

/// <summary>Shims that an opening is likely to want: from drift, its uncertainty, and the shims known to be fitted. Points are taken as independent of each other.</summary>
public static class ShimForecast
{
    /// <summary>A chance below this is not worth a line.</summary>
    public const double LeastOdds = 0.01;

    /// <summary>Sizes and their odds, thinnest first.</summary>
    public static IReadOnlyList<SizeWanted> Of(IReadOnlyList<PointAtNext> points) =>
        [.. from size in Sizes(points)
            let odds = 1 - size.Aggregate(1.0, (none, want) => none * (1 - want.Odds))
            where odds >= LeastOdds
            orderby size.Key
            select new SizeWanted(size.Key, odds, size.Sum(w => w.Odds), [.. size.Where(w => w.Odds >= LeastOdds / 2).OrderByDescending(w => w.Odds).Select(w => w.Point)])];

    /// <summary>How many of each size to hold so that the coming openings are served with a given surety, thinnest first; sizes that need none are left out.</summary>
    /// <param name="points">Of every engine that is opened.</param>
    /// <param name="surety">Above 0, below 1.</param>
    public static IReadOnlyList<(double SizeMm, int Hold, double Expected)> Hold(IReadOnlyList<PointAtNext> points, double surety = 0.9) =>
        [.. from size in Sizes(points)
            let hold = Least([.. size.Select(w => w.Odds)], surety)
            where hold > 0
            orderby size.Key
            select (size.Key, hold, size.Sum(w => w.Odds))];

    private static IEnumerable<IGrouping<double, (string Point, double Odds)>> Sizes(IReadOnlyList<PointAtNext> points) =>
        points.SelectMany(p => p.Wants().Select(w => (Size: Math.Round(w.SizeMm, 4), Want: (p.Point, w.Odds)))).GroupBy(w => w.Size, w => w.Want);

    /// <summary>The least n with P(wanted ≤ n) ≥ surety: the exact distribution of a sum of independent yes-or-no wants.</summary>
    private static int Least(double[] odds, double surety)
    {
        var chance = new double[odds.Length + 1];
        chance[0] = 1;
        foreach (var p in odds)
            for (var n = odds.Length; n >= 0; n--)
                chance[n] = chance[n] * (1 - p) + (n > 0 ? chance[n - 1] * p : 0);
        var sum = 0.0;
        for (var n = 0; n <= odds.Length; n++)
        {
            sum += chance[n];
            if (sum >= surety - 1e-12) return n;
        }
        return odds.Length;
    }
}
