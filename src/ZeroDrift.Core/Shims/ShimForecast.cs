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

    /// <summary>
    /// How many of each size to hold so that with a given surety nothing at all is short at the coming openings, thinnest first; sizes that need none are
    /// left out. One shim after another goes where it takes most from the sum of the sizes' chances of being short, until that sum, which the joint
    /// chance never exceeds (Boole's inequality), is small enough.
    /// </summary>
    /// <typeparam name="TSort">What kind of shim fits.</typeparam>
    /// <param name="points">The points of every engine that is opened, each with its sort.</param>
    /// <param name="surety">Above 0, below 1: of all sizes of all sorts together, not of each.</param>
    public static IReadOnlyList<(TSort Sort, double SizeMm, int Hold, double Expected)> Hold<TSort>(IReadOnlyList<(TSort Sort, PointAtNext Point)> points, double surety = 0.9)
    {
        var sizes = (from sort in points.GroupBy(p => p.Sort, p => p.Point)
                     from size in Sizes([.. sort]).OrderBy(s => s.Key)
                     select (Sort: sort.Key, SizeMm: size.Key, Short: Short([.. size.Select(w => w.Odds)]), Expected: size.Sum(w => w.Odds))).ToList();
        var hold = new int[sizes.Count];
        for (var left = sizes.Sum(s => s.Short[0]); left > 1 - surety + 1e-12;)
        {
            var next = Enumerable.Range(0, sizes.Count).MaxBy(i => Gain(i));
            left -= Gain(next);
            hold[next]++;
        }
        return [.. sizes.Zip(hold).Where(s => s.Second > 0).Select(s => (s.First.Sort, s.First.SizeMm, s.Second, s.First.Expected))];

        double Gain(int i) => hold[i] < sizes[i].Short.Length - 1 ? sizes[i].Short[hold[i]] - sizes[i].Short[hold[i] + 1] : 0;
    }

    private static IEnumerable<IGrouping<double, (string Point, double Odds)>> Sizes(IReadOnlyList<PointAtNext> points) =>
        points.SelectMany(p => p.Wants().Select(w => (Size: Math.Round(w.SizeMm, 4), Want: (p.Point, w.Odds)))).GroupBy(w => w.Size, w => w.Want);

    /// <summary>The chance that more than n are wanted, for every n: the exact distribution of a sum of independent yes-or-no wants.</summary>
    private static double[] Short(double[] odds)
    {
        var chance = new double[odds.Length + 1];
        chance[0] = 1;
        foreach (var p in odds)
            for (var n = odds.Length; n >= 0; n--)
                chance[n] = chance[n] * (1 - p) + (n > 0 ? chance[n - 1] * p : 0);
        var more = new double[chance.Length];
        for (var n = chance.Length - 2; n >= 0; n--) more[n] = more[n + 1] + chance[n + 1];
        return more;
    }
}
