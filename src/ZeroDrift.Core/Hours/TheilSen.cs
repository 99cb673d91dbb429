namespace ZeroDrift.Core.Hours;

/// <summary>
/// Theil-Sen slope: the median of the slopes of all pairs of points with different x (Theil 1950, Sen 1968); one wild reading in four does
/// not move it. Equals SciPy <c>stats.theilslopes</c>. The band is the 10 and 90 % quantile of the pairwise slopes, linear between order
/// statistics.
/// </summary>
/// <param name="Slope">Median slope.</param>
/// <param name="Low">10 % quantile.</param>
/// <param name="High">90 % quantile.</param>
public sealed record TheilSen(double Slope, double Low, double High)
{
    /// <summary>The slope, or null where no two points differ in x.</summary>
    public static TheilSen? Fit(IReadOnlyList<(double X, double Y)> points)
    {
        var slopes = new List<double>();
        for (var i = 0; i < points.Count; i++)
            for (var k = i + 1; k < points.Count; k++)
                if (points[k].X != points[i].X) slopes.Add((points[k].Y - points[i].Y) / (points[k].X - points[i].X));
        if (slopes.Count == 0) return null;
        slopes.Sort();
        return new TheilSen(Quantile.Of(slopes, 0.5), Quantile.Of(slopes, 0.1), Quantile.Of(slopes, 0.9));
    }
}
