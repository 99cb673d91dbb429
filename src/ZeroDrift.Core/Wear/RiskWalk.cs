namespace ZeroDrift.Core.Wear;

/// <summary>
/// Walks a risk curve in steps of 10 h: the running maximum R̄ and its integral by the trapezium rule. A hundred hours at whose end the risk is still
/// negligible are taken in one; no question walks further than it needs.
/// </summary>
/// <param name="curve">R(D).</param>
/// <param name="horizonHours">Where it ends.</param>
public sealed class RiskWalk(RiskCurve curve, double horizonHours)
{
    private const double Step = 10;
    private const int Block = 10;
    private const double Negligible = 1e-6;

    /// <summary>An average over less than this is no life, hours.</summary>
    private const double ShortestLife = 100;

    private readonly List<(double Most, double Integral)> steps = [(curve.At(0), 0)];

    private int Last => (int)Math.Floor(horizonHours / Step + 1e-9);

    /// <summary>R̄: the running maximum up to an hour.</summary>
    public double MostUpTo(double hours) => Math.Max(At((int)(hours / Step)).Most, curve.At(hours));

    /// <summary>The first step with R̄ at or over a risk; null at or beyond the horizon.</summary>
    public double? FirstAt(double risk)
    {
        for (var i = 0; i * Step < horizonHours; i++) if (At(i).Most >= risk) return i * Step;
        return null;
    }

    /// <summary>γ: the least over T of at least 100 h of (1 + c(R̄(T) + ∫R̄/1000))/T, an hour.</summary>
    public double LeastCostPerHour(double breachCost)
    {
        var best = double.MaxValue;
        for (var i = (int)(ShortestLife / Step); i <= Last; i++)
        {
            var (most, integral) = At(i);
            best = Math.Min(best, (1 + breachCost * (most + integral)) / (i * Step));
            // From here on every further hour costs more than the best average.
            if (breachCost * most / 1000 > best) break;
        }
        return best < double.MaxValue ? best : 1 / ShortestLife;
    }

    /// <summary>T*: where c(R̄(T) + ∫R̄/1000) − γT is least; null only at the horizon's end.</summary>
    public double? OpenAfter(double breachCost, double costPerHour)
    {
        var (best, open) = (double.MaxValue, 0);
        for (var i = 0; i <= Last; i++)
        {
            var (most, integral) = At(i);
            var here = breachCost * (most + integral) - costPerHour * i * Step;
            if (here < best) (best, open) = (here, i);
            if (breachCost * most / 1000 > costPerHour) break;
        }
        return open < Last ? open * Step : null;
    }

    private (double Most, double Integral) At(int step)
    {
        while (steps.Count <= step) Walk();
        return steps[step];
    }

    private void Walk()
    {
        var (from, (most, integral)) = (steps.Count - 1, steps[^1]);
        var end = Math.Max(most, curve.At((from + Block) * Step));
        for (var i = 1; i <= Block; i++)
        {
            var before = most;
            most = i == Block ? end : end < Negligible ? most + (end - most) / (Block - i + 1) : Math.Max(most, curve.At((from + i) * Step));
            integral += (before + most) / 2 * Step / 1000;
            steps.Add((most, integral));
        }
    }
}
