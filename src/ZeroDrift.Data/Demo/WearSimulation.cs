using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;

namespace ZeroDrift.Data.Demo;

/// <summary>
/// A lash point that wears: its gap changes by a true rate per hour, and whoever measures it sees it through blades. The rates are known, so
/// that a trend can be compared with them.
/// </summary>
public sealed class WearingPoint(double startMm, double trueMmPer1000h)
{
    private double hours;

    /// <summary>What the gap really is.</summary>
    public double GapMm { get; private set; } = startMm;

    /// <summary>The rate it wears at now.</summary>
    public double TrueMmPer1000h { get; private set; } = trueMmPer1000h;

    /// <summary>It begins to wear another way.</summary>
    public void Fail(double mmPer1000h) => TrueMmPer1000h = mmPer1000h;

    /// <summary>Runs on to a total of hours.</summary>
    public void RunTo(double totalHours)
    {
        GapMm = Math.Max(0.01, GapMm + TrueMmPer1000h / 1000 * (totalHours - hours));
        hours = totalHours;
    }

    /// <summary>Begins counting at these hours.</summary>
    public void BeginAt(double totalHours) => hours = totalHours;

    /// <summary>Set to a new gap.</summary>
    public void Set(double gapMm) => GapMm = gapMm;
}

/// <summary>Draws the wear of a fleet from a fixed seed. Rates are invented but of a believable size.</summary>
public sealed class WearSimulation(int seed)
{
    private readonly Random random = new(seed);

    /// <summary>Spread of one person's feel, mm.</summary>
    public const double FeelSdMm = 0.004;

    /// <summary>Mean true rate, mm per 1000 h: exhausts close slowly, intakes open a little.</summary>
    public static double MeanRate(LashKind kind) => kind == LashKind.Exhaust ? -0.007 : 0.0015;

    /// <summary>Spread of the true rates around it.</summary>
    public static double RateSpread(LashKind kind) => kind == LashKind.Exhaust ? 0.0018 : 0.001;

    /// <summary>A new point, set near its figure.</summary>
    public WearingPoint NewPoint(LashKind kind, Demand.Gap spec, double scale = 1) =>
        new(Landed(spec), (MeanRate(kind) + RateSpread(kind) * Gaussian()) * scale);

    /// <summary>Where a mechanic lands when setting to the figure.</summary>
    public double Landed(Demand.Gap spec)
    {
        var gap = spec.AimMm + 0.006 * Gaussian();
        return Math.Clamp(gap, spec.Window.MinMm + 0.006, spec.Window.MaxMm - 0.006);
    }

    /// <summary>The gap as felt, on a scale of whole steps.</summary>
    public double Felt(double gapMm, double stepMm, double shiftMm = 0) =>
        Math.Max(stepMm, Math.Round((gapMm + shiftMm + FeelSdMm * Gaussian()) / stepMm) * stepMm);

    /// <summary>Between two figures.</summary>
    public double Between(double low, double high) => low + (high - low) * random.NextDouble();

    /// <summary>Standard normal, by the polar method of Box and Muller.</summary>
    public double Gaussian() => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
