using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Shims;

/// <summary>
/// A gap measured with one shim, and what another would make of it. It says which shims a point may get at all: nothing is ever made worse to
/// save a purchase (common practice, no source).
/// </summary>
/// <param name="FittedMm">The shim it was measured with, mm.</param>
/// <param name="FromMm">The gap, or the lower end of its bracket, mm.</param>
/// <param name="ToMm">The same figure, or the upper end.</param>
/// <param name="Window">Where it may land.</param>
/// <param name="ShimPerClearance">Shim travel per clearance, above 0 to 10.</param>
public sealed record GapWithShims(double FittedMm, double FromMm, double ToMm, Window Window, double ShimPerClearance = 1)
{
    /// <summary>Two thicknesses nearer than this are one, mm.</summary>
    public const double SameShimMm = 5e-7;

    /// <summary>Two distances nearer than this are alike, mm.</summary>
    private const double AlikeMm = 1e-6;

    private const double EdgeMm = 1e-9;

    /// <summary>The gap expected with another shim, mm; of a bracket its middle. Below zero it would hold the valve open.</summary>
    public double Predicted(double shimMm) => (FromMm + ToMm) / 2 - Change(shimMm);

    /// <summary>Whether it surely lands in the window: both ends of a bracket do.</summary>
    public bool Holds(double shimMm) => Window.Holds(FromMm - Change(shimMm)) && Window.Holds(ToMm - Change(shimMm));

    /// <summary>How far below the window its lower end comes out, mm; 0 where it does not.</summary>
    public double TightMm(double shimMm) => Beyond(Window.MinMm - (FromMm - Change(shimMm)));

    /// <summary>How far above the window its upper end comes out, mm; 0 where it does not.</summary>
    public double LooseMm(double shimMm) => Beyond(ToMm - Change(shimMm) - Window.MaxMm);

    /// <summary>How far outside it comes out, the greater of the two, mm; 0 where it surely fits.</summary>
    public double OutsideMm(double shimMm) => Math.Max(TightMm(shimMm), LooseMm(shimMm));

    /// <summary>The same with tight counted double: erring loose costs less.</summary>
    public double WeighedOutsideMm(double shimMm) => Math.Max(2 * TightMm(shimMm), LooseMm(shimMm));

    /// <summary>It leaves a gap at all.</summary>
    public bool LeavesGap(double shimMm) => FromMm - Change(shimMm) > EdgeMm;

    /// <summary>
    /// Whether a point may get this shim: its own always; another only if it leaves a gap, and lands in the window or strictly nearer to it than its
    /// own does, and does not close a point that comes out tight.
    /// </summary>
    public bool Allows(double shimMm)
    {
        if (Math.Abs(shimMm - FittedMm) <= SameShimMm) return true;
        if (!LeavesGap(shimMm)) return false;
        if (Holds(shimMm)) return true;
        return OutsideMm(shimMm) < OutsideMm(FittedMm) - AlikeMm && (TightMm(shimMm) == 0 || shimMm < FittedMm);
    }

    private double Change(double shimMm) => (shimMm - FittedMm) / ShimPerClearance;

    private static double Beyond(double mm) => mm > EdgeMm ? mm : 0;
}
