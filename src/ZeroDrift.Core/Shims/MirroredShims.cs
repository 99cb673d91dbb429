namespace ZeroDrift.Core.Shims;

/// <summary>A point after fitting: what was expected, and what was measured.</summary>
/// <param name="Point">Its label.</param>
/// <param name="ShimMm">The shim that was to go there.</param>
/// <param name="ExpectedMm">The gap expected with it.</param>
/// <param name="LeftMm">The gap measured.</param>
/// <param name="UncertaintyMm">Standard uncertainty of the two together, mm.</param>
/// <param name="ShimPerClearance">Shim travel per clearance.</param>
public sealed record FittedPoint(string Point, double ShimMm, double ExpectedMm, double LeftMm, double UncertaintyMm, double ShimPerClearance = 1)
{
    /// <summary>How much wider than expected.</summary>
    public double ErrorMm => LeftMm - ExpectedMm;
}

/// <summary>Two shims that went into each other's places: one gap is too tight by as much as the other is too wide, and by the difference of the two shims.</summary>
public sealed record MirroredShims(string First, string Second)
{
    private const double LeastErrorMm = 0.02;
    private const double Deviations = 2;

    /// <summary>The pair that fits best; null where none does.</summary>
    public static MirroredShims? Of(IReadOnlyList<FittedPoint> points)
    {
        var pairs = from i in Enumerable.Range(0, points.Count)
                    from k in Enumerable.Range(i + 1, points.Count - i - 1)
                    let miss = Miss(points[i], points[k])
                    where miss is not null
                    orderby miss
                    select new MirroredShims(points[i].Point, points[k].Point);
        return pairs.FirstOrDefault();
    }

    /// <summary>How far the two gaps are from what the exchange would have made of them, in standard deviations; null where it cannot be one.</summary>
    private static double? Miss(FittedPoint one, FittedPoint other)
    {
        double between = other.ShimMm - one.ShimMm, room = Math.Max(LeastErrorMm, Deviations * Math.Max(one.UncertaintyMm, other.UncertaintyMm));
        double here = one.ErrorMm + between / one.ShimPerClearance, there = other.ErrorMm - between / other.ShimPerClearance;
        if (Math.Abs(one.ErrorMm) <= room || Math.Abs(other.ErrorMm) <= room || Math.Abs(here) > room || Math.Abs(there) > room) return null;
        return Math.Abs(here) + Math.Abs(there);
    }
}
