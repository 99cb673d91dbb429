using ZeroDrift.Core;

namespace ZeroDrift.Planning.Shims;

/// <summary>
/// What a shim in a place costs, in one number: points left outside, how far outside, bought, moved, off the figure (blueprint: bought, off the figure,
/// moved), then thickness and where it comes from, each rank above everything below it together.
/// </summary>
internal sealed class RankedCost
{
    /// <summary>How fine distances are told apart, mm.</summary>
    private const double UnitMm = 1e-6;

    /// <summary>Sixty-four points cannot be this far off in earnest, mm.</summary>
    private const double MostTogetherMm = 64 * 200;

    private readonly Int128[] weights;
    private readonly bool closenessFirst;

    /// <param name="policy">Whether closeness goes before moves.</param>
    /// <param name="points">How many points there are.</param>
    /// <param name="mostOutsideMm">The most that all points together can lie outside, tight counted double, mm.</param>
    /// <param name="mostOffMm">The most that all together can lie off their figures, mm.</param>
    /// <exception cref="BadInputException">Figures so far apart that no number holds the ranks.</exception>
    public RankedCost(ShimPolicy policy, int points, double mostOutsideMm, double mostOffMm)
    {
        closenessFirst = policy == ShimPolicy.Blueprint;
        if (mostOutsideMm + mostOffMm > MostTogetherMm) throw new BadInputException("points", "The figures lie too far apart to be compared; check the units.");
        Int128 count = points + 1, outside = Units(mostOutsideMm) + count, off = Units(mostOffMm) + count, thickness = Units(ShimCheck.ThickestMm) * points + 1;
        Int128[] ranges = closenessFirst ? [count, outside, count, off, count, thickness, count] : [count, outside, count, count, off, thickness, count];
        weights = new Int128[ranges.Length];
        var weight = Int128.One;
        for (var i = ranges.Length - 1; i >= 0; i--)
        {
            weights[i] = weight;
            weight *= ranges[i];
        }
    }

    /// <summary>Of one point with one shim.</summary>
    public Int128 Of(ShimPoint point, double shimMm, ShimSource from)
    {
        var (moved, off) = ((Int128)(from == ShimSource.Own ? 0 : 1), Units(Math.Abs(point.Predicted(shimMm) - point.TargetMm)));
        return (point.Holds(shimMm) ? 0 : weights[0])
            + Units(point.Gap.WeighedOutsideMm(shimMm)) * weights[1]
            + (from == ShimSource.Buy ? weights[2] : 0)
            + (closenessFirst ? off : moved) * weights[3]
            + (closenessFirst ? moved : off) * weights[4]
            + Units(shimMm) * weights[5]
            + (from == ShimSource.Stock ? weights[6] : 0);
    }

    private static Int128 Units(double mm) => (Int128)Math.Round(mm / UnitMm);
}
