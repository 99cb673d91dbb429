using System.Globalization;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Shims;

/// <summary>A shim's thickness as it is stamped or typed: 2.70 or 270 in millimetres, 106 in thou, 0.106 in inches.</summary>
public static class ShimSize
{
    /// <summary>The thinnest and thickest that is taken for a shim, mm.</summary>
    private const double ThinnestMm = 0.5;
    private const double ThickestMm = 25;
    private const double MmPerThou = (double)Length.MillimetresPerThou;

    /// <summary>Millimetres, to a tenth of a micrometre.</summary>
    /// <param name="written">As stamped; the decimal comma is read too.</param>
    /// <param name="unit">mm, thou or in.</param>
    /// <param name="field">Named in a complaint.</param>
    /// <exception cref="BadInputException">No thickness, or none that a shim has.</exception>
    public static double Of(string written, string unit, string field = "size")
    {
        var text = written.Trim().Replace(',', '.');
        if (!double.TryParse(text, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var number) || number <= 0)
            throw new BadInputException(field, $"'{written}' is no thickness; write it whole, like 2.70.");
        var mm = unit switch
        {
            // Three digits without a point are hundredths, as they are stamped.
            "mm" => !text.Contains('.', StringComparison.Ordinal) && number is >= 100 and <= 999 ? number / 100 : number,
            "thou" => number * MmPerThou,
            "in" => number * MmPerThou * 1000,
            _ => throw new BadInputException("unit", $"'{unit}' is no unit for a shim; say mm, thou or in."),
        };
        return mm is >= ThinnestMm and <= ThickestMm
            ? ShimLedger.Size(mm, field)
            : throw new BadInputException(field, FormattableString.Invariant($"{written} {unit} would be a shim of {mm:0.###} mm; shims are {ThinnestMm} to {ThickestMm} mm. Write it whole, like 2.70, and check the unit."));
    }
}
