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
        Try(0, 0, 0, 0, 0);
        return best!;

        void Try(int p, int outside, int bought, int moved, double deviation)
        {
            if (p == points.Count)
            {
                double[] cost = request.Policy == ShimPolicy.Blueprint ? [outside, bought, deviation, moved] : [outside, bought, moved, deviation];
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

            void With(double mm, int buys, int moves) =>
                Try(p + 1, outside + (points[p].Holds(mm) ? 0 : 1), bought + buys, moved + moves, deviation + Math.Abs(points[p].Predicted(mm) - points[p].TargetMm));
        }
    }

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
