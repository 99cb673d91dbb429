namespace ZeroDrift.Core.Drift;

/// <summary>
/// The drift rate of one lash point from its own readings alone.
/// x = c(run) + r·h + e, var(e) = u²; weighted least squares with one rate and an own intercept per run.
/// Equals R <c>lm(x ~ factor(run) + hours, weights = 1/u^2)</c> with the residual variance held at 1.
/// </summary>
/// <param name="Rate">r and its standard error, widened by <paramref name="BirgeRatio"/>.</param>
/// <param name="BirgeRatio">Root of chi-square per degree of freedom, at least 1 (Birge 1932).</param>
/// <param name="DegreesOfFreedom">Readings − runs − 1, over runs with two readings or more.</param>
public sealed record OwnRate(Rate Rate, double BirgeRatio, int DegreesOfFreedom)
{
    /// <summary>The standard error before the Birge ratio, mm per hour.</summary>
    public double BareStandardErrorMmPerHour => Rate.StandardErrorMmPerHour / BirgeRatio;

    /// <summary>The rate, or null where no run has readings at two different hours. The order of the readings does not matter.</summary>
    /// <exception cref="BadInputException">An uncertainty outside its range.</exception>
    public static OwnRate? Fit(IReadOnlyList<DriftReading> readings)
    {
        for (var i = 0; i < readings.Count; i++) Require.Uncertainty(readings[i].StandardUncertaintyMm, $"readings[{i}].standardUncertaintyMm");
        var runs = readings.GroupBy(r => r.Run).Where(run => run.Count() > 1).Select(Centre).ToList();
        var sxx = runs.Sum(run => run.Sxx);
        if (runs.All(run => run.HoursApart == 0)) return null;
        var rate = runs.Sum(run => run.Sxy) / sxx;
        var chiSquare = runs.Sum(run => run.Syy - 2 * rate * run.Sxy + rate * rate * run.Sxx);
        var freedom = runs.Sum(run => run.Count) - runs.Count - 1;
        var birge = freedom > 0 ? Math.Max(1, Math.Sqrt(Math.Max(0, chiSquare) / freedom)) : 1;
        return new OwnRate(new Rate(rate, birge / Math.Sqrt(sxx)), birge, freedom);
    }

    /// <summary>Weighted mean hours of one run; 0 for an empty one.</summary>
    public static double MeanHours(IEnumerable<DriftReading> run)
    {
        var (weight, sum) = (0.0, 0.0);
        foreach (var r in run)
        {
            var w = 1 / (r.StandardUncertaintyMm * r.StandardUncertaintyMm);
            weight += w;
            sum += w * r.Hours;
        }
        return weight > 0 ? sum / weight : 0;
    }

    private static (int Count, double HoursApart, double Sxx, double Sxy, double Syy) Centre(IEnumerable<DriftReading> run)
    {
        var readings = run.ToArray();
        var (weight, hours, mm) = (0.0, 0.0, 0.0);
        foreach (var r in readings)
        {
            var w = 1 / (r.StandardUncertaintyMm * r.StandardUncertaintyMm);
            weight += w;
            hours += w * r.Hours;
            mm += w * r.ClearanceMm;
        }
        hours /= weight;
        mm /= weight;
        var (sxx, sxy, syy) = (0.0, 0.0, 0.0);
        foreach (var r in readings)
        {
            var w = 1 / (r.StandardUncertaintyMm * r.StandardUncertaintyMm);
            sxx += w * (r.Hours - hours) * (r.Hours - hours);
            sxy += w * (r.Hours - hours) * (r.ClearanceMm - mm);
            syy += w * (r.ClearanceMm - mm) * (r.ClearanceMm - mm);
        }
        return (readings.Length, readings.Max(r => r.Hours) - readings.Min(r => r.Hours), sxx, sxy, syy);
    }
}
