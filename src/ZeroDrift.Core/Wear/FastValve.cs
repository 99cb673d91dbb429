namespace ZeroDrift.Core.Wear;

/// <summary>
/// Whether a valve is one of the few that wear three times as fast: a mixture of two kinds of valve, judged by the valve's own evidence.
/// Rates in mm per 1000 h. Common practice; the algebra is that of two normal distributions.
/// </summary>
/// <param name="Probability">q: the chance that it is a fast one.</param>
/// <param name="EvidenceMm">o: what its own readings say of its rate against its siblings'.</param>
/// <param name="EvidenceVariance">s².</param>
/// <param name="FastMean">3μ*.</param>
/// <param name="FastVariance">μ*².</param>
/// <param name="OrdinaryVariance">τ².</param>
public readonly record struct FastValve(double Probability, double EvidenceMm, double EvidenceVariance, double FastMean, double FastVariance, double OrdinaryVariance)
{
    /// <summary>The share of fast valves (common practice, no source).</summary>
    public const double Share = 0.02;

    /// <summary>A group's rate is never taken as slower than this here, mm per 1000 h.</summary>
    public const double SlowestMean = 0.003;

    /// <summary>Judged by evidence o with variance s².</summary>
    public static FastValve Of(double evidence, double variance, double groupMean, double tau)
    {
        var (fastMean, fastVariance) = Fast(groupMean);
        var fast = Share * StandardNormal.Density(evidence, fastMean, variance + fastVariance);
        var ordinary = (1 - Share) * StandardNormal.Density(evidence, 0, variance + tau * tau);
        // Far from both, the nearer kind decides; two zeros say nothing.
        var q = fast + ordinary > 0 ? fast / (fast + ordinary) : Math.Abs(evidence - fastMean) < Math.Abs(evidence) ? 1 : 0;
        return new FastValve(q, evidence, variance, fastMean, fastVariance, tau * tau);
    }

    /// <summary>The evidence of a valve without its prior: from its estimate and variance under N(m, v).</summary>
    public static FastValve FromEstimate(double estimate, double estimateVariance, double priorMean, double priorVariance, double groupMean, double tau)
    {
        var variance = 1 / Math.Max(1 / estimateVariance - 1 / priorVariance, 1e-3);
        return Of(variance * (estimate / estimateVariance - priorMean / priorVariance), variance, groupMean, tau);
    }

    /// <summary>3μ* and μ*² of a group.</summary>
    public static (double Mean, double Variance) Fast(double groupMean)
    {
        var mean = (groupMean < 0 ? -1 : 1) * Math.Max(Math.Abs(groupMean), SlowestMean);
        return (3 * mean, mean * mean);
    }

    /// <summary>Mean and variance of the rate's own part if it is an ordinary valve.</summary>
    public (double Mean, double Variance) IfOrdinary => Blend(0, OrdinaryVariance);

    /// <summary>The same if it is a fast one.</summary>
    public (double Mean, double Variance) IfFast => Blend(FastMean, FastVariance);

    private (double Mean, double Variance) Blend(double mean, double variance)
    {
        var total = EvidenceVariance + variance;
        return ((EvidenceMm * variance + mean * EvidenceVariance) / total, EvidenceVariance * variance / total);
    }
}
