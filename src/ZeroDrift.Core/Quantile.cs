namespace ZeroDrift.Core;

/// <summary>Quantiles, linear between order statistics (type 7 of Hyndman and Fan 1996); the half is the median.</summary>
public static class Quantile
{
    /// <summary>The value below which <paramref name="share"/> of them lie.</summary>
    /// <param name="sorted">At least one, in ascending order.</param>
    /// <param name="share">0 to 1.</param>
    public static double Of(IReadOnlyList<double> sorted, double share)
    {
        var position = share * (sorted.Count - 1);
        var below = (int)Math.Floor(position);
        var above = Math.Min(below + 1, sorted.Count - 1);
        return sorted[below] + (position - below) * (sorted[above] - sorted[below]);
    }
}
