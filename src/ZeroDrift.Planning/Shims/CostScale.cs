namespace ZeroDrift.Planning.Shims;

/// <summary>What leaving outside, buying, moving and missing the figure weigh in one number, each rank above all of the next.</summary>
/// <param name="Outside">A point left outside.</param>
/// <param name="Bought">A shim bought.</param>
/// <param name="Moved">A shim moved.</param>
/// <param name="Unit">One <paramref name="UnitMm"/> off the figure.</param>
/// <param name="UnitMm">How fine closeness is told apart, mm.</param>
internal readonly record struct CostScale(long Outside, long Bought, long Moved, long Unit, double UnitMm)
{
    /// <summary>Null where figures lie so far apart that a number cannot hold the ranks at this unit.</summary>
    public static CostScale? Of(ShimWays ways, double unitMm)
    {
        long points = ways.Points.Count + 1;
        var worst = Enumerable.Range(0, ways.Points.Count).Sum(p => ways.Open(p).Max(s => ways.Miss(p, s))) / unitMm;
        if (worst * points * points > long.MaxValue / 4.0) return null;
        var misses = 1 + points + (long)worst;
        var (moved, unit) = ways.Policy == ShimPolicy.Blueprint ? (1L, points) : (misses, 1L);
        return new CostScale(misses * points * points, misses * points, moved, unit, unitMm);
    }

    public long Of(ShimWays ways, int point, int size) =>
        (ways.IsOutside(point, size) ? Outside : 0) + (ways.IsOwn(point, size) ? 0 : Moved) + Units(ways.Miss(point, size), UnitMm) * Unit;

    private static long Units(double mm, double unitMm) => (long)Math.Round(mm / unitMm);
}
