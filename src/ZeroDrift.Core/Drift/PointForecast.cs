using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Drift;

/// <summary>Which limit is reached.</summary>
public enum LimitSide
{
    /// <summary>The lower limit.</summary>
    Tight,

    /// <summary>The upper limit.</summary>
    Loose,
}

/// <summary>
/// Where a lash point is heading: clearance at D hours from now = <paramref name="ClearanceMm"/> + r·D, variance
/// u² + var(r)·D² + 2·D·cov.
/// </summary>
/// <param name="Id">The caller's name for the point.</param>
/// <param name="ClearanceMm">Last accepted figure.</param>
/// <param name="StandardUncertaintyMm">Its u, above 0.</param>
/// <param name="Rate">Rate and standard error.</param>
/// <param name="CovarianceMm2PerHour">Between last figure and rate: (1 − B)·(h0 − h̄)·se₀² on a run that goes on, 0 after a fresh setting.</param>
/// <param name="Window">The limits.</param>
public sealed record PointForecast(string Id, Clearance ClearanceMm, double StandardUncertaintyMm, Rate Rate, double CovarianceMm2PerHour, Window Window)
{
    /// <summary>Expected clearance after <paramref name="hours"/> more, mm.</summary>
    public double MeanMm(double hours) => ClearanceMm + Rate.MmPerHour * hours;

    /// <summary>Standard deviation of that, mm.</summary>
    public double SdMm(double hours)
    {
        var se = Rate.StandardErrorMmPerHour * hours;
        var variance = StandardUncertaintyMm * StandardUncertaintyMm + se * se + 2 * hours * CovarianceMm2PerHour;
        return Math.Sqrt(Math.Max(variance, 1e-12));
    }

    /// <summary>Probability of standing below the window after <paramref name="hours"/> more.</summary>
    public double Tight(double hours) => StandardNormal.Below((Window.MinMm - MeanMm(hours)) / SdMm(hours));

    /// <summary>Probability of standing above it.</summary>
    public double Loose(double hours) => StandardNormal.Below((MeanMm(hours) - Window.MaxMm) / SdMm(hours));

    /// <summary>Probability of standing outside the window.</summary>
    public double Out(double hours)
    {
        var (mean, sd) = (MeanMm(hours), SdMm(hours));
        return StandardNormal.Below((Window.MinMm - mean) / sd) + StandardNormal.Below((mean - Window.MaxMm) / sd);
    }

    /// <summary>The likelier side after <paramref name="hours"/> more.</summary>
    public LimitSide Side(double hours) => Tight(hours) >= Loose(hours) ? LimitSide.Tight : LimitSide.Loose;

    /// <summary>The same point left at another figure, freshly set.</summary>
    public PointForecast LeftAt(Clearance clearanceMm, double uncertaintyMm) =>
        this with { ClearanceMm = clearanceMm, StandardUncertaintyMm = uncertaintyMm, CovarianceMm2PerHour = 0 };

    internal void Check(string field)
    {
        Require.Uncertainty(StandardUncertaintyMm, field + ".standardUncertaintyMm");
        Require.InRange(Rate.MmPer1000h, -1000, 1000, field + ".mmPer1000h", "The rate", "mm per 1000 h");
        Require.InRange(Rate.StandardErrorMmPer1000h, 0, 1000, field + ".standardErrorMmPer1000h", "The rate's standard error", "mm per 1000 h");
        var most = StandardUncertaintyMm * Rate.StandardErrorMmPerHour;
        if (!double.IsFinite(CovarianceMm2PerHour) || Math.Abs(CovarianceMm2PerHour) > most * (1 + 1e-9) + 1e-15)
            throw new BadInputException(field + ".covarianceMm2Per1000h", $"A covariance cannot be larger than uncertainty × standard error, here {Require.Text(most * 1000)}.");
    }
}
