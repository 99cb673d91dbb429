namespace ZeroDrift.Core.Drift;

/// <summary>Mean and spread of a group of rates whose own errors are known.</summary>
/// <param name="Mean">μ.</param>
/// <param name="VarianceOfMean">var(μ) = 1/Σ(τ² + s²)⁻¹.</param>
/// <param name="TauSquared">τ², the variance between the true rates; 0 where the errors explain it all.</param>
/// <param name="VarianceOfTauSquared">V = 2/Σ(τ² + s²)⁻².</param>
public readonly record struct RandomEffects(double Mean, double VarianceOfMean, double TauSquared, double VarianceOfTauSquared);

/// <summary>
/// Restricted maximum likelihood for rates y(i) ~ N(μ, τ² + s(i)²) with s known. Equals R metafor <c>rma(method = "REML")</c>;
/// published checks: eight schools (Rubin 1981), BCG vaccine (Colditz et al. 1994).
/// </summary>
public static class RestrictedLikelihood
{
    private const int GridPoints = 48;
    private const int MostScorings = 50;
    private static readonly double GoldenRatio = (Math.Sqrt(5) - 1) / 2;

    /// <summary>The global maximum, τ² = 0 included. At least two values; each variance above 0.</summary>
    public static RandomEffects Fit(ReadOnlySpan<double> values, ReadOnlySpan<double> variances)
    {
        var tauSquared = Maximise(values, variances);
        return At(values, variances, tauSquared);
    }

    /// <summary>
    /// The same, but from a τ² already known to be close, for leaving one of many points out: Fisher scoring, which needs a few passes over the
    /// values and no logarithm. Falls back on <see cref="Fit"/> where the maximum moves to zero.
    /// </summary>
    public static RandomEffects FitNear(ReadOnlySpan<double> values, ReadOnlySpan<double> variances, double tauSquared)
    {
        if (tauSquared <= 0) return Fit(values, variances);
        for (var i = 0; i < MostScorings; i++)
        {
            var next = tauSquared + ScoringStep(values, variances, tauSquared);
            if (next <= 0) return Fit(values, variances);
            if (Math.Abs(next - tauSquared) <= 1e-10 * next) return At(values, variances, next);
            tauSquared = next;
        }
        return Fit(values, variances);
    }

    /// <summary>Mean and variances at a given τ².</summary>
    public static RandomEffects At(ReadOnlySpan<double> values, ReadOnlySpan<double> variances, double tauSquared)
    {
        var (sum, sumSquared, weighted) = (0.0, 0.0, 0.0);
        for (var i = 0; i < values.Length; i++)
        {
            var w = 1 / (variances[i] + tauSquared);
            sum += w;
            sumSquared += w * w;
            weighted += w * values[i];
        }
        return new RandomEffects(weighted / sum, 1 / sum, tauSquared, 2 / sumSquared);
    }

    /// <summary>Restricted log-likelihood at τ², up to a constant.</summary>
    public static double Likelihood(ReadOnlySpan<double> values, ReadOnlySpan<double> variances, double tauSquared)
    {
        var (sum, weighted, logs) = (0.0, 0.0, 0.0);
        for (var i = 0; i < values.Length; i++)
        {
            var total = variances[i] + tauSquared;
            sum += 1 / total;
            weighted += values[i] / total;
            logs += Math.Log(total);
        }
        var mean = weighted / sum;
        var q = 0.0;
        for (var i = 0; i < values.Length; i++) q += (values[i] - mean) * (values[i] - mean) / (variances[i] + tauSquared);
        return -0.5 * (logs + Math.Log(sum) + q);
    }

    /// <summary>Score over expected information of the restricted likelihood.</summary>
    private static double ScoringStep(ReadOnlySpan<double> values, ReadOnlySpan<double> variances, double tauSquared)
    {
        var (sum, sum2, sum3, weighted) = (0.0, 0.0, 0.0, 0.0);
        for (var i = 0; i < values.Length; i++)
        {
            var w = 1 / (variances[i] + tauSquared);
            sum += w;
            sum2 += w * w;
            sum3 += w * w * w;
            weighted += w * values[i];
        }
        var mean = weighted / sum;
        var q = 0.0;
        for (var i = 0; i < values.Length; i++)
        {
            var w = 1 / (variances[i] + tauSquared);
            q += w * w * (values[i] - mean) * (values[i] - mean);
        }
        var score = q - (sum - sum2 / sum);
        var information = sum2 - 2 * sum3 / sum + sum2 * sum2 / (sum * sum);
        return score / information;
    }

    private static double Maximise(ReadOnlySpan<double> values, ReadOnlySpan<double> variances)
    {
        var (least, most) = (double.PositiveInfinity, 0.0);
        var (low, high) = (double.PositiveInfinity, double.NegativeInfinity);
        for (var i = 0; i < values.Length; i++)
        {
            least = Math.Min(least, variances[i]);
            most = Math.Max(most, variances[i]);
            low = Math.Min(low, values[i]);
            high = Math.Max(high, values[i]);
        }
        // Above the squared range the likelihood can only fall; below a millionth of the smallest own variance τ² no longer shows.
        var from = Math.Log(least * 1e-6);
        var to = Math.Log(Math.Max((high - low) * (high - low), most) * 4);
        var step = (to - from) / GridPoints;
        var (best, bestLikelihood) = (-1, double.NegativeInfinity);
        for (var i = 0; i <= GridPoints; i++)
        {
            var likelihood = Likelihood(values, variances, Math.Exp(from + i * step));
            if (likelihood > bestLikelihood) (best, bestLikelihood) = (i, likelihood);
        }
        var refined = Golden(values, variances, from + (best - 1) * step, from + (best + 1) * step);
        return Likelihood(values, variances, refined) > Likelihood(values, variances, 0) ? refined : 0;
    }

    private static double Golden(ReadOnlySpan<double> values, ReadOnlySpan<double> variances, double from, double to)
    {
        var (a, b) = (to - GoldenRatio * (to - from), from + GoldenRatio * (to - from));
        var (atA, atB) = (Likelihood(values, variances, Math.Exp(a)), Likelihood(values, variances, Math.Exp(b)));
        while (to - from > 1e-7)
        {
            if (atA > atB)
            {
                (to, b, atB) = (b, a, atA);
                a = to - GoldenRatio * (to - from);
                atA = Likelihood(values, variances, Math.Exp(a));
            }
            else
            {
                (from, a, atA) = (a, b, atB);
                b = from + GoldenRatio * (to - from);
                atB = Likelihood(values, variances, Math.Exp(b));
            }
        }
        return Math.Exp((from + to) / 2);
    }
}
