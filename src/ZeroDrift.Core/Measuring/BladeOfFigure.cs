using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Measuring;

/// <summary>
/// Which blade of a tray stands for a figure. Where book and blades speak one unit it is the blade of that very figure; where they speak two, the
/// nearest blade within half a blade step is the figure's own: 8 thou and 0.20 mm are one blade (common practice, no source).
/// </summary>
public static class BladeOfFigure
{
    /// <summary>However coarse the tray, a blade further off than half a thou is another figure, mm.</summary>
    public const double FurthestMm = (double)Length.MillimetresPerThou / 2;

    private const double SameMm = 1e-6;

    /// <summary>Its place in the tray; null where no blade stands for the figure.</summary>
    /// <param name="trayMm">The blades, mm, in any order.</param>
    /// <param name="trayUnit">What is written on them.</param>
    /// <param name="figureMm">The figure, mm.</param>
    /// <param name="figureUnit">What its source speaks.</param>
    public static int? In(IReadOnlyList<double> trayMm, LengthUnit trayUnit, double figureMm, LengthUnit figureUnit)
    {
        if (trayMm.Count == 0) return null;
        var nearest = Enumerable.Range(0, trayMm.Count).MinBy(i => Math.Abs(trayMm[i] - figureMm));
        var off = Math.Abs(trayMm[nearest] - figureMm);
        if (off <= SameMm) return nearest;
        if (trayUnit == figureUnit) return null;
        var step = trayMm.Where(mm => Math.Abs(mm - trayMm[nearest]) > SameMm).Select(mm => Math.Abs(mm - trayMm[nearest])).DefaultIfEmpty(2 * FurthestMm).Min();
        return off <= Math.Min(step / 2, FurthestMm) + SameMm ? nearest : null;
    }
}
