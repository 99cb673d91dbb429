using System.Globalization;

namespace ZeroDrift.Core.Setting;

/// <summary>What a thickness that was written or spoken short can mean.</summary>
/// <param name="Mm">The thickness, where there is no doubt.</param>
/// <param name="OffersMm">What it may mean, nearest first, where it must be asked.</param>
public sealed record ShimMark(double? Mm, IReadOnlyList<double> OffersMm)
{
    private const double SameMm = 1e-6;

    /// <summary>Room beyond the series for worn, lapped and odd shims, as a share of its ends.</summary>
    private const double Beyond = 0.25;

    /// <summary>
    /// Reads a mark: 2.70 is a thickness, 270 the same in hundredths, 70 the last digits as they are called across a shop: asked for whole.
    /// Common practice. Nothing is read into a figure that the series cannot hold.
    /// </summary>
    /// <param name="written">As written or spoken, mm.</param>
    /// <param name="sizesMm">The series of the engine; empty where not known.</param>
    /// <exception cref="BadInputException">Field <c>written</c>: no number.</exception>
    public static ShimMark Read(string written, IReadOnlyList<double> sizesMm)
    {
        if (!double.TryParse(written.Trim().Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var number) || number <= 0)
            throw new BadInputException("written", $"'{written}' is no thickness; write it whole, like 2.70.");
        if (sizesMm.Count == 0) return number is > 0.5 and <= 25 ? new ShimMark(number, []) : new ShimMark(null, []);
        var (least, most) = (sizesMm.Min() * (1 - Beyond), sizesMm.Max() * (1 + Beyond));
        if (Holds(number)) return new ShimMark(number, []);
        if (Holds(number / 100) && number >= 100) return new ShimMark(number / 100, []);
        // The last digits alone, or a point left out: every size that ends so, or that it is ten times of.
        var digits = written.Trim().TrimStart('.', ',');
        var offers = sizesMm.Where(mm => EndsIn(mm, digits)).Concat(Holds(number / 10) ? [number / 10] : []);
        return new ShimMark(null, [.. offers.Distinct().Order().Take(6)]);

        bool Holds(double mm) => mm >= least - SameMm && mm <= most + SameMm;
    }

    private static bool EndsIn(double mm, string digits) => digits.Length > 0
        && (mm.ToString("0.00", CultureInfo.InvariantCulture).EndsWith(digits, StringComparison.Ordinal) || mm.ToString("0.000", CultureInfo.InvariantCulture).EndsWith(digits, StringComparison.Ordinal));
}
