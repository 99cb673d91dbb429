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

/// <summary>What one kind of valve adds to a forecast: its share, and what its level and slope differ by from the one history without kinds.</summary>
/// <param name="Share">How likely.</param>
/// <param name="LevelMm">Level, mm.</param>
/// <param name="Slope">Slope, mm per 1000 h.</param>
/// <param name="LevelVariance">Variance of the level; may be negative.</param>
/// <param name="Covariance">Of level and slope.</param>
/// <param name="SlopeVariance">Of the slope.</param>
internal readonly record struct AheadKind(double Share, double LevelMm = 0, double Slope = 0, double LevelVariance = 0, double Covariance = 0, double SlopeVariance = 0);

/// <summary>One normal of a forecast.</summary>
internal readonly record struct AheadPart(double Share, double Mean, double Variance);

/// <summary>
/// Where one lash point is heading: its clearance D hours from now as a mixture of an ordinary valve, a fast one and one that has begun to wear another
/// way, each normal.
/// </summary>
public sealed class PointAhead
{
    /// <summary>No forecast is surer than this, mm (common practice, no source).</summary>
    private const double SurestMm = 0.003;

    /// <summary>Ordinary, fast, changed.</summary>
    internal const int MostKinds = 3;
    private readonly double atNow;
    private readonly double perT;
    private readonly double perE;
    private readonly AheadQuadratic variance;
    private readonly AheadKind[] kinds;

    internal PointAhead(string id, Window window, (double C, double T, double E) mean, AheadQuadratic variance, IEnumerable<AheadKind>? kinds = null)
    {
        (Id, Window, this.variance) = (id, window, variance);
        (atNow, perT, perE) = mean;
        this.kinds = [.. (kinds ?? [new AheadKind(1)]).Where(k => k.Share > 0)];
    }

    /// <summary>The point.</summary>
    public string Id { get; }

    /// <summary>Its limits.</summary>
    public Window Window { get; }

    /// <summary>Expected clearance D hours from now, mm; may fall below zero.</summary>
    public double MeanMm(double hours)
    {
        var sum = 0.0;
        foreach (var part in Parts(hours, stackalloc AheadPart[MostKinds])) sum += part.Share * part.Mean;
        return sum;
    }

    /// <summary>Its standard deviation, every kind of valve allowed for.</summary>
    public double SdMm(double hours)
    {
        var (mean, sum) = (MeanMm(hours), 0.0);
        foreach (var part in Parts(hours, stackalloc AheadPart[MostKinds])) sum += part.Share * (part.Variance + Square(part.Mean - mean));
        return Math.Sqrt(sum);
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

    /// <summary>Its normals after some hours, put into a buffer of <see cref="MostKinds"/>.</summary>
    internal ReadOnlySpan<AheadPart> Parts(double hours, Span<AheadPart> into)
    {
        var (t, e) = (hours / 1000, Math.Exp(-hours / WearLayoutBuilder.BeddingHours));
        var (mean, spread) = (atNow + perT * t + perE * e, variance.At(t, e));
        for (var k = 0; k < kinds.Length; k++)
        {
            var kind = kinds[k];
            into[k] = new AheadPart(kind.Share, mean + kind.LevelMm + kind.Slope * t, Math.Max(spread + kind.LevelVariance + 2 * kind.Covariance * t + kind.SlopeVariance * t * t, SurestMm * SurestMm));
        }
        return into[..kinds.Length];
    }

    private double Sum(double hours, Func<double, double, double> chance)
    {
        var sum = 0.0;
        foreach (var part in Parts(hours, stackalloc AheadPart[MostKinds])) sum += part.Share * chance(part.Mean, part.Variance);
        return sum;
    }

    private static double Square(double x) => x * x;
}
