using System.Globalization;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Setting;

/// <summary>
/// A gap's limits as a dial on the rocker shows them. Its point of contact has its own ratio: clearance = travel × conversion, so that the dial
/// shows limit ÷ conversion. Not a reading (<see cref="Measuring.Reading.FromDial"/>).
/// </summary>
/// <param name="MinMm">The window's lower limit on the dial, mm of travel.</param>
/// <param name="MaxMm">The upper limit.</param>
/// <param name="FromMm">Set until the dial shows from here…</param>
/// <param name="ToMm">…to here: the whole divisions on both sides of the figure to set, inside the window.</param>
/// <param name="Conversion">Clearance per dial travel.</param>
/// <param name="Unit">What the dial is divided in: 0.01 mm or 1 thou.</param>
public sealed record DialAim(double MinMm, double MaxMm, double FromMm, double ToMm, double Conversion, LengthUnit Unit)
{
    /// <summary>The limits of a gap on a dial.</summary>
    /// <param name="gap">What the book asks.</param>
    /// <param name="conversion">Clearance per dial travel, 0.01 to 10.</param>
    /// <param name="unit">What the dial is divided in.</param>
    /// <exception cref="BadInputException">A conversion out of range.</exception>
    public static DialAim For(Demand.Gap gap, double conversion, LengthUnit unit)
    {
        Require.InRange(conversion, 0.01, 10, "dialConversion", "The dial's conversion");
        var division = unit == LengthUnit.Thou ? (double)Length.MillimetresPerThou : 0.01;
        var (min, max) = (gap.Window.MinMm / conversion, gap.Window.MaxMm / conversion);
        var figure = gap.AimMm / conversion / division;
        var (from, to) = (Math.Floor(figure + 1e-9) * division, Math.Ceiling(figure - 1e-9) * division);
        return new DialAim(min, max, Math.Max(from, min), Math.Min(to, max), conversion, unit);
    }

    /// <summary>Set until the dial shows 14 to 15 thou; 0.15 to 0.16 mm at the lobe.</summary>
    public string Sentence => FromMm >= ToMm - 1e-9
        ? $"Set until the dial shows {Shown(FromMm)} {Word}; {At(FromMm)} mm at the lobe."
        : $"Set until the dial shows {Shown(FromMm)} to {Shown(ToMm)} {Word}; {At(FromMm)} to {At(ToMm)} mm at the lobe.";

    private string Word => Unit == LengthUnit.Thou ? "thou" : "mm";

    private string Shown(double mm) => Unit == LengthUnit.Thou
        ? Math.Round(mm / (double)Length.MillimetresPerThou, 1).ToString("0.#", CultureInfo.InvariantCulture)
        : Math.Round(mm, 3).ToString("0.00#", CultureInfo.InvariantCulture);

    private string At(double travelMm) => Math.Round(travelMm * Conversion, 2).ToString("0.00", CultureInfo.InvariantCulture);
}
