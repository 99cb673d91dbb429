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
    private readonly PointAhead[] points;
    private readonly AheadQuadratic common;

    internal RiskCurve(PointAhead[] points, AheadQuadratic common) => (this.points, this.common) = (points, common);

    /// <summary>Of one point alone.</summary>
    public RiskCurve(PointAhead point) : this([point], default)
    {
    }

    /// <summary>Its points.</summary>
    public IReadOnlyList<PointAhead> Points => points;

    /// <summary>The chance after <paramref name="hours"/> more.</summary>
    public double At(double hours)
    {
        if (points.Length == 0) return 0;
        var parts = new ((double Mean, double Variance) A, (double Mean, double Variance) B)[points.Length];
        var least = double.MaxValue;
        for (var i = 0; i < points.Length; i++)
        {
            parts[i] = points[i].Parts(hours);
            least = Math.Min(least, parts[i].A.Variance);
            if (points[i].FastProbability > 0) least = Math.Min(least, parts[i].B.Variance);
        }
        var kappa = Math.Clamp(common.At(hours / 1000, Math.Exp(-hours / WearLayoutBuilder.BeddingHours)), 0, 0.98 * least);
        Span<double> inside = stackalloc double[Nodes.Length];
        inside.Fill(1);
        for (var i = 0; i < points.Length; i++)
        {
            var q = points[i].FastProbability;
            for (var k = 0; k < Nodes.Length; k++)
            {
                var shift = Math.Sqrt(kappa) * RootTwo * Nodes[k];
                var p = (1 - q) * Outside(points[i], parts[i].A.Mean + shift, parts[i].A.Variance - kappa);
                if (q > 0) p += q * Outside(points[i], parts[i].B.Mean + shift, parts[i].B.Variance - kappa);
                inside[k] *= 1 - Math.Min(1, p);
            }
        }
        var all = 0.0;
        for (var k = 0; k < Nodes.Length; k++) all += Weights[k] * inside[k];
        return Math.Clamp(1 - all / RootPi, 0, 1);
    }

    /// <summary>What the points share after <paramref name="hours"/> more, mm².</summary>
    public double SharedVariance(double hours) => Math.Max(0, common.At(hours / 1000, Math.Exp(-hours / WearLayoutBuilder.BeddingHours)));

    private static double Outside(PointAhead point, double mean, double variance)
    {
        var sd = Math.Sqrt(variance);
        var (low, high) = ((point.Window.MinMm - mean) / sd, (mean - point.Window.MaxMm) / sd);
        if (low < -8.5 && high < -8.5) return 0;
        return Math.Min(1, StandardNormal.Below(low) + StandardNormal.Below(high));
    }
}
