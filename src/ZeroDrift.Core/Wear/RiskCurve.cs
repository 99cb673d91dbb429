namespace ZeroDrift.Core.Wear;

/// <summary>
/// R(D): the chance that at least one valve of an engine stands out of its window D hours from now. What the valves share (the visit, the hand, the
/// group's rate) is one normal variable, integrated over nine Gauss-Hermite nodes (Abramowitz and Stegun, table 25.10, from memory).
/// </summary>
public sealed class RiskCurve
{
    private static readonly double[] Nodes = [-3.190993201781528, -2.266580584531843, -1.468553289216668, -0.7235510187528376, 0, 0.7235510187528376, 1.468553289216668, 2.266580584531843, 3.190993201781528];
    private static readonly double[] Weights =
        [3.960697726326438e-5, 0.004943624275536947, 0.08847452739437657, 0.4326515590025558, 0.7202352156060510, 0.4326515590025558, 0.08847452739437657, 0.004943624275536947, 3.960697726326438e-5];
    private static readonly double RootTwo = Math.Sqrt(2);
    private static readonly double RootPi = Math.Sqrt(Math.PI);

    /// <summary>So many standard deviations inside, a chance is below 1e-17.</summary>
    private const double Negligible = 8.5;
    private readonly PointAhead[] points;
    private readonly AheadQuadratic common;

    internal RiskCurve(PointAhead[] points, AheadQuadratic common) => (this.points, this.common) = (points, common);

    /// <summary>Its points.</summary>
    public IReadOnlyList<PointAhead> Points => points;

    /// <summary>The chance after <paramref name="hours"/> more.</summary>
    public double At(double hours)
    {
        if (points.Length == 0) return 0;
        Span<AheadPart> parts = points.Length <= 32 ? stackalloc AheadPart[points.Length * PointAhead.MostKinds] : new AheadPart[points.Length * PointAhead.MostKinds];
        Span<int> counts = points.Length <= 32 ? stackalloc int[points.Length] : new int[points.Length];
        var least = double.MaxValue;
        for (var i = 0; i < points.Length; i++)
        {
            var own = points[i].Parts(hours, parts[(i * PointAhead.MostKinds)..]);
            counts[i] = own.Length;
            foreach (var part in own) least = Math.Min(least, part.Variance);
        }
        var kappa = Math.Clamp(common.At(hours / 1000, Math.Exp(-hours / WearLayoutBuilder.BeddingHours)), 0, 0.98 * least);
        Span<double> inside = stackalloc double[Nodes.Length];
        inside.Fill(1);
        var scale = Math.Sqrt(kappa) * RootTwo;
        Span<double> outside = stackalloc double[Nodes.Length];
        for (var i = 0; i < points.Length; i++)
        {
            outside.Clear();
            foreach (var part in parts.Slice(i * PointAhead.MostKinds, counts[i])) Add(outside, part.Share, points[i], part.Mean, part.Variance - kappa, scale);
            for (var k = 0; k < Nodes.Length; k++) inside[k] *= 1 - Math.Min(1, outside[k]);
        }
        var all = 0.0;
        for (var k = 0; k < Nodes.Length; k++) all += Weights[k] * inside[k];
        return Math.Clamp(1 - all / RootPi, 0, 1);
    }

    /// <summary>The first of 10 h steps at which it reaches <paramref name="risk"/>; null at or beyond the horizon.</summary>
    public double? HoursTo(double risk, double horizonHours) => FirstReached.Hours(At, risk, horizonHours);

    /// <summary>What the points share after <paramref name="hours"/> more, mm².</summary>
    public double SharedVariance(double hours) => Math.Max(0, common.At(hours / 1000, Math.Exp(-hours / WearLayoutBuilder.BeddingHours)));

    /// <summary>Adds one kind of valve's chance of standing out at each node; nothing where even the furthest node leaves it far inside.</summary>
    private static void Add(Span<double> outside, double share, PointAhead point, double mean, double variance, double scale)
    {
        var sd = Math.Sqrt(variance);
        var furthest = scale * Nodes[^1];
        if ((point.Window.MinMm - mean + furthest) / sd < -Negligible && (mean + furthest - point.Window.MaxMm) / sd < -Negligible) return;
        for (var k = 0; k < Nodes.Length; k++)
        {
            var here = mean + scale * Nodes[k];
            outside[k] += share * Math.Min(1, StandardNormal.Below((point.Window.MinMm - here) / sd) + StandardNormal.Below((here - point.Window.MaxMm) / sd));
        }
    }
}
