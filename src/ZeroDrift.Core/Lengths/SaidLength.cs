using System.Globalization;

namespace ZeroDrift.Core.Lengths;

/// <summary>Lengths as they are said in a sentence, in the unit of the job.</summary>
public static class SaidLength
{
    /// <summary>A gap with its unit: 0.25 mm, 7.9 thou.</summary>
    public static string Gap(double mm, LengthUnit unit) => $"{Figure(mm, unit)} {Unit(unit)}";

    /// <summary>The bare figure: hundredths and thousandths of a millimetre, tenths of a thou.</summary>
    public static string Figure(double mm, LengthUnit unit) => unit == LengthUnit.Thou
        ? Math.Round(mm / (double)Length.MillimetresPerThou, 1).ToString("0.#", CultureInfo.InvariantCulture)
        : Math.Round(mm, 3).ToString("0.00#", CultureInfo.InvariantCulture);

    /// <summary>A shim: 2.70 mm. In a job that speaks thou the series' own millimetres stand behind it, because they are what is stamped on it.</summary>
    public static string Shim(double mm, LengthUnit unit)
    {
        var own = $"{Math.Round(mm, 4).ToString("0.00##", CultureInfo.InvariantCulture)} mm";
        return unit == LengthUnit.Thou ? $"{Figure(mm, unit)} thou ({own})" : own;
    }

    private static string Unit(LengthUnit unit) => unit == LengthUnit.Thou ? "thou" : "mm";
}
