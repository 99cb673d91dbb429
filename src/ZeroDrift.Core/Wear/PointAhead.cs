using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Wear;

/// <summary>A quadratic in (1, t, ε), t in 1000 h from now and ε = exp(−D/150): what a forecast's variance is, worked out once and cheap at any hour.</summary>
internal readonly record struct AheadQuadratic(double C, double T, double E, double TT, double TE, double EE)
{
    public double At(double t, double e) => C + T * t + E * e + TT * t * t + TE * t * e + EE * e * e;

    public AheadQuadratic Plus(AheadQuadratic o) => new(C + o.C, T + o.T, E + o.E, TT + o.TT, TE + o.TE, EE + o.EE);

    public AheadQuadratic Times(double f) => new(C * f, T * f, E * f, TT * f, TE * f, EE * f);
}

/// <summary>
/// Where one lash point is heading: its clearance D hours from now as a mixture of an ordinary and a fast valve, each normal.
/// </summary>
public sealed class PointAhead
{
    private readonly double atNow;
    private readonly double perT;
    private readonly double perE;
    private readonly AheadQuadratic variance;
    private readonly double slopeAtNow;
    private readonly (double Shift, double Variance) ordinary;
    private readonly (double Shift, double Variance) fast;

    internal PointAhead(string id, Window window, (double C, double T, double E) mean, AheadQuadratic variance, double slopeAtNow, (double Shift, double Variance) ordinary, (double Shift, double Variance) fast, double fastProbability)
    {
        (Id, Window, this.variance, this.slopeAtNow, FastProbability) = (id, window, variance, slopeAtNow, fastProbability);
        (atNow, perT, perE) = mean;
        (this.ordinary, this.fast) = (ordinary, fast);
    }

    /// <summary>The point.</summary>
    public string Id { get; }

    /// <summary>Its limits.</summary>
    public Window Window { get; }

    /// <summary>The chance that it is a fast valve.</summary>
    public double FastProbability { get; }

    /// <summary>Expected clearance D hours from now, mm; may fall below zero.</summary>
    public double MeanMm(double hours)
    {
        var g = slopeAtNow + hours / 1000;
        return Mean(hours) + g * ((1 - FastProbability) * ordinary.Shift + FastProbability * fast.Shift);
    }

    /// <summary>Its standard deviation, both kinds of valve allowed for.</summary>
    public double SdMm(double hours)
    {
        var (a, b) = Parts(hours);
        var mean = (1 - FastProbability) * a.Mean + FastProbability * b.Mean;
        return Math.Sqrt((1 - FastProbability) * (a.Variance + Square(a.Mean - mean)) + FastProbability * (b.Variance + Square(b.Mean - mean)));
    }

    /// <summary>Chance of standing below the window.</summary>
    public double Tight(double hours) => Sum(hours, (mean, variance) => StandardNormal.Below((Window.MinMm - mean) / Math.Sqrt(variance)));

    /// <summary>Chance of standing above it.</summary>
    public double Loose(double hours) => Sum(hours, (mean, variance) => StandardNormal.Below((mean - Window.MaxMm) / Math.Sqrt(variance)));

    /// <summary>Chance of standing outside the window.</summary>
    public double Out(double hours) => Math.Min(1, Tight(hours) + Loose(hours));

    /// <summary>The likelier side.</summary>
    public LimitSide Side(double hours) => Tight(hours) >= Loose(hours) ? LimitSide.Tight : LimitSide.Loose;

    /// <summary>The first of 10 h steps at which its own chance of standing out reaches <paramref name="chance"/>; null at or beyond the horizon.</summary>
    public double? HoursTo(double chance, double horizonHours) => FirstReached.Hours(Out, chance, horizonHours);

    /// <summary>The clearance that <paramref name="share"/> of what is expected stands below, mm.</summary>
    public double Quantile(double hours, double share)
    {
        var (mean, sd) = (MeanMm(hours), SdMm(hours));
        var (low, high) = (mean - 12 * sd, mean + 12 * sd);
        for (var i = 0; i < 60; i++)
        {
            var middle = (low + high) / 2;
            if (Sum(hours, (m, v) => StandardNormal.Below((middle - m) / Math.Sqrt(v))) < share) low = middle;
            else high = middle;
        }
        return (low + high) / 2;
    }

    /// <summary>Nine in ten of what is expected, as it is drawn.</summary>
    public IReadOnlyList<FanStep> Fan(double aheadHours, int steps = 8) =>
        [.. Enumerable.Range(0, steps + 1).Select(i => aheadHours * i / steps).Select(h => new FanStep(h, MeanMm(h), Quantile(h, 0.05), Quantile(h, 0.95)))];

    internal ((double Mean, double Variance) Ordinary, (double Mean, double Variance) Fast) Parts(double hours)
    {
        var (t, e) = (hours / 1000, Math.Exp(-hours / WearLayoutBuilder.BeddingHours));
        var g = slopeAtNow + t;
        var (mean, spread) = (Mean(hours), variance.At(t, e));
        return ((mean + g * ordinary.Shift, Math.Max(spread + g * g * ordinary.Variance, 1e-8)), (mean + g * fast.Shift, Math.Max(spread + g * g * fast.Variance, 1e-8)));
    }

    private double Mean(double hours) => atNow + perT * hours / 1000 + perE * Math.Exp(-hours / WearLayoutBuilder.BeddingHours);

    private double Sum(double hours, Func<double, double, double> chance)
    {
        var (a, b) = Parts(hours);
        return (1 - FastProbability) * chance(a.Mean, a.Variance) + (FastProbability > 0 ? FastProbability * chance(b.Mean, b.Variance) : 0);
    }

    private static double Square(double x) => x * x;
}
