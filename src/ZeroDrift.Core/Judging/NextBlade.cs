using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Judging;

/// <summary>Which blade of the tray to try next, so that the fewest trials decide whether a point is in its window.</summary>
public static class NextBlade
{
    /// <summary>
    /// The blade expected to leave the fewest further trials before the bounds decide, or null where nothing is left to decide or no
    /// blade would narrow it. What is believed of the gap is <paramref name="prior"/> (a drift forecast), cut to the bounds known so far.
    /// Worked out exactly by dynamic programming over the blades between the bounds, a blade either going or not.
    /// </summary>
    /// <param name="trayMm">The blades owned, mm; 1 to 100.</param>
    /// <param name="soFar">Bounds known so far; both null before any trial.</param>
    /// <param name="window">The window to decide.</param>
    /// <param name="prior">Expected clearance and standard deviation, mm; null: anything up to twice the window's upper limit.</param>
    /// <exception cref="BadInputException">An empty tray or an impossible blade.</exception>
    public static double? Suggest(IReadOnlyList<double> trayMm, Reading soFar, Window window, (double Mm, double SdMm)? prior = null)
    {
        Require.Filled(trayMm, 100, "trayMm", "the blades you own");
        foreach (var blade in trayMm) Require.Above(blade, 0, Require.ThickestMm, "trayMm", "A blade", "mm");
        var blades = trayMm.Distinct().Order()
            .Where(b => (soFar.LowerMm is not { } low || b > low) && (soFar.UpperMm is not { } high || b < high)).ToArray();
        if (soFar.EstimateMm is not null && soFar.LowerMm is null && soFar.UpperMm is null) return null;
        if (Decided(soFar.LowerMm, soFar.UpperMm, window) || blades.Length == 0) return null;

        var edges = new double?[blades.Length + 2];
        edges[0] = soFar.LowerMm;
        for (var i = 0; i < blades.Length; i++) edges[i + 1] = blades[i];
        edges[^1] = soFar.UpperMm;
        var mass = Mass(edges, window, prior);
        return new Search(edges, mass, window).FirstBlade();
    }

    private static bool Decided(double? lower, double? upper, Window window) =>
        upper <= window.MinMm || lower >= window.MaxMm || (lower >= window.MinMm && upper <= window.MaxMm);

    private static double[] Mass(double?[] edges, Window window, (double Mm, double SdMm)? prior)
    {
        Func<double, double> below = prior is { } p
            ? x => StandardNormal.Below((x - p.Mm) / Math.Max(p.SdMm, 1e-4))
            : x => Math.Clamp(x / (2 * window.MaxMm), 0, 1);
        var mass = new double[edges.Length - 1];
        for (var i = 0; i < mass.Length; i++)
        {
            var from = edges[i] is { } low ? below(low) : 0;
            var to = edges[i + 1] is { } high ? below(high) : 1;
            mass[i] = Math.Max(to - from, 0) + 1e-9; // nothing is ruled out by belief alone
        }
        return mass;
    }

    /// <summary>Expected trials for every stretch of neighbouring gaps between blades, smallest stretch first.</summary>
    private sealed class Search(double?[] edges, double[] mass, Window window)
    {
        private readonly Dictionary<(int, int), (double Cost, int Blade)> known = [];

        public double? FirstBlade()
        {
            var blade = Cost(0, mass.Length).Blade;
            return blade < 0 ? null : edges[blade];
        }

        private (double Cost, int Blade) Cost(int from, int to)
        {
            if (Decided(edges[from], edges[to], window) || to - from == 1) return (0, -1);
            if (known.TryGetValue((from, to), out var done)) return done;
            var total = 0.0;
            for (var i = from; i < to; i++) total += mass[i];
            var best = (Cost: double.PositiveInfinity, Blade: -1);
            var left = 0.0;
            for (var blade = from + 1; blade < to; blade++)
            {
                left += mass[blade - 1];
                var cost = 1 + (left * Cost(from, blade).Cost + (total - left) * Cost(blade, to).Cost) / total;
                if (cost < best.Cost - 1e-12) best = (cost, blade);
            }
            return known[(from, to)] = best;
        }
    }
}
