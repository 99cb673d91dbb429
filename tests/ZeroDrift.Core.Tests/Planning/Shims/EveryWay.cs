using ZeroDrift.Planning.Shims;

namespace ZeroDrift.Core.Tests.Planning.Shims;

/// <summary>The same question answered by trying every way to hand out every single shim: slow, and plain enough to be believed.</summary>
internal static class EveryWay
{
    /// <summary>What the best way costs, in its order of aims.</summary>
    public static double[] Best(ShimRequest request)
    {
        double[]? best = null;
        var points = request.Points;
        var loose = request.Stock.SelectMany(s => Enumerable.Repeat(s.SizeMm, s.Count)).ToArray();
        var free = new bool[loose.Length];
        Array.Fill(free, true);
        var given = new bool[points.Count];
        Try(0, 0, 0, 0, 0, 0);
        return best!;

        void Try(int p, int outside, double outsideMm, int bought, int moved, double deviation)
        {
            if (p == points.Count)
            {
                double[] cost = request.Policy == ShimPolicy.Blueprint ? [outside, outsideMm, bought, deviation, moved] : [outside, outsideMm, bought, moved, deviation];
                if (best is null || Less(cost, best)) best = cost;
                return;
            }
            var good = request.Policy == ShimPolicy.LeaveGoodAlone && points[p].Holds(points[p].FittedMm);
            if (!given[p])
            {
                given[p] = true;
                With(points[p].FittedMm, 0, 0);
                given[p] = false;
            }
            if (good) return;
            for (var q = 0; q < points.Count; q++)
            {
                if (q == p || given[q] || (request.Policy == ShimPolicy.LeaveGoodAlone && points[q].Holds(points[q].FittedMm))) continue;
                given[q] = true;
                With(points[q].FittedMm, 0, 1);
                given[q] = false;
            }
            for (var j = 0; j < loose.Length; j++)
            {
                if (!free[j]) continue;
                free[j] = false;
                With(loose[j], 0, 1);
                free[j] = true;
            }
            foreach (var mm in request.BuyMm) With(mm, 1, 1);

            void With(double mm, int buys, int moves)
            {
                if (moves > 0 && !IsNoWorse(points[p], mm)) return;
                var (tight, loose) = Outside(points[p], mm);
                Try(p + 1, outside + (points[p].Holds(mm) ? 0 : 1), outsideMm + (points[p].Holds(mm) ? 0 : Math.Max(2 * tight, loose)), bought + buys, moved + moves, deviation + Math.Abs(points[p].Predicted(mm) - points[p].TargetMm));
            }
        }
    }

    /// <summary>The rule before all aims, written down once more from the words of the trade and not from the code it checks.</summary>
    private static bool IsNoWorse(ShimPoint p, double mm)
    {
        var (lower, upper) = Ends(p, mm);
        if (lower <= 1e-9) return false;
        if (lower >= p.Window.MinMm - 1e-9 && upper <= p.Window.MaxMm + 1e-9) return true;
        var ((tight, loose), (tightOwn, looseOwn)) = (Outside(p, mm), Outside(p, p.FittedMm));
        if (!(Math.Max(tight, loose) < Math.Max(tightOwn, looseOwn) - 1e-6)) return false;
        return !(tight > 1e-9 && mm >= p.FittedMm - 1e-9);
    }

    private static (double Tight, double Loose) Outside(ShimPoint p, double mm)
    {
        var (lower, upper) = Ends(p, mm);
        return (Math.Max(0, p.Window.MinMm - lower), Math.Max(0, upper - p.Window.MaxMm));
    }

    private static (double Lower, double Upper) Ends(ShimPoint p, double mm) => (p.GapFromMm - (mm - p.FittedMm) / p.ShimPerClearance, p.GapToMm - (mm - p.FittedMm) / p.ShimPerClearance);

    private static bool Less(double[] one, double[] other)
    {
        for (var i = 0; i < one.Length; i++)
        {
            if (one[i] < other[i] - 1e-9) return true;
            if (one[i] > other[i] + 1e-9) return false;
        }
        return false;
    }
}
