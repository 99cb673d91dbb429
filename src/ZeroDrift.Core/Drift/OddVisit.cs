using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Drift;

/// <summary>What was expected of one point at a visit beside what was found.</summary>
/// <param name="Id">The point.</param>
/// <param name="Group">Its pool; points of one pool share the error of μ.</param>
/// <param name="PredictedMm">Forecast for the visit.</param>
/// <param name="PredictedVariance">Variance of the forecast, mm².</param>
/// <param name="FoundMm">As found.</param>
/// <param name="FoundU">Its standard uncertainty, mm.</param>
/// <param name="Shrinkage">B of its rate.</param>
/// <param name="HoursAhead">D, hours since the figure the forecast starts from.</param>
/// <param name="VarianceOfGroupMean">var(μ) of its pool, per hour squared.</param>
public sealed record VisitResidual(string Id, string Group, double PredictedMm, double PredictedVariance, Clearance FoundMm, double FoundU, double Shrinkage, double HoursAhead, double VarianceOfGroupMean)
{
    /// <summary>Found minus expected, mm.</summary>
    public double ResidualMm => FoundMm - PredictedMm;

    /// <summary>Variance of the residual, mm².</summary>
    public double Variance => PredictedVariance + FoundU * FoundU;
}

/// <summary>One point beyond three of its own errors, once the common shift is taken out.</summary>
public sealed record OddPoint(string Id, double ResidualMm, double StandardErrors);

/// <summary>
/// Looks at a whole visit: residuals that all shift one way mean a warm engine or other blades rather than wear. Ask, and keep the visit out
/// of the trend until answered.
/// </summary>
/// <param name="IsShifted">At least four points, the weighted mean over three standard errors, three quarters of them the same way.</param>
/// <param name="ShiftMm">The common shift, mm; 0 where there is none.</param>
/// <param name="ShiftStandardErrors">The shift in its own standard errors.</param>
/// <param name="Points">Odd points, worst first.</param>
public sealed record OddVisit(bool IsShifted, double ShiftMm, double ShiftStandardErrors, IReadOnlyList<OddPoint> Points)
{
    /// <summary>Beyond this many standard errors a visit or a point is odd.</summary>
    public const double Limit = 3;

    /// <summary>
    /// Judges a visit. Common practice; the variance of the weighted mean allows for the shared error of each pool's μ and, where readings come
    /// from the record, for the shared feel of this visit and of the one the forecasts start from: 2·s²·(1 − Σa²), since each reading's own u
    /// already holds its part.
    /// </summary>
    /// <param name="residuals">One a point.</param>
    /// <param name="sharedFeelMm">s: <see cref="DriftHistory.SharedFeelMm"/> for the record; 0 where errors are independent.</param>
    public static OddVisit Judge(IReadOnlyList<VisitResidual> residuals, double sharedFeelMm = 0)
    {
        if (residuals.Count == 0) return new OddVisit(false, 0, 0, []);
        var weights = residuals.Select(r => 1 / r.Variance).ToArray();
        var sum = weights.Sum();
        var mean = residuals.Zip(weights, (r, w) => r.ResidualMm * w).Sum() / sum;
        var variance = 1 / sum + residuals.Zip(weights).GroupBy(p => p.First.Group).Sum(group => Shared(group, sum))
            + 2 * sharedFeelMm * sharedFeelMm * (1 - weights.Sum(w => w / sum * (w / sum)));
        var errors = Math.Abs(mean) / Math.Sqrt(variance);
        var sameWay = residuals.Count(r => Math.Sign(r.ResidualMm) == Math.Sign(mean));
        var shifted = residuals.Count >= 4 && errors > Limit && sameWay >= 0.75 * residuals.Count;
        var shift = shifted ? mean : 0;
        var odd = from r in residuals
                  let own = (r.ResidualMm - shift) / Math.Sqrt(r.Variance)
                  where Math.Abs(own) > Limit
                  orderby Math.Abs(own) descending
                  select new OddPoint(r.Id, r.ResidualMm - shift, own);
        return new OddVisit(shifted, shift, errors, [.. odd]);
    }

    /// <summary>[(Σ aBD)² − Σ(aBD)²]·var(μ), a = w/Σw, within one pool.</summary>
    private static double Shared(IEnumerable<(VisitResidual Residual, double Weight)> group, double sumOfWeights)
    {
        var (total, squares, variance) = (0.0, 0.0, 0.0);
        foreach (var (r, w) in group)
        {
            var share = w / sumOfWeights * r.Shrinkage * r.HoursAhead;
            total += share;
            squares += share * share;
            variance = r.VarianceOfGroupMean;
        }
        return (total * total - squares) * variance;
    }
}
