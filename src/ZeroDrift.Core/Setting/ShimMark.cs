using System.Globalization;
using ZeroDrift.Core.Lengths;

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
    /// In thou 106.5 is a thickness, and .1065 the same in inches: asked for whole too. Common practice. Nothing is read into a figure that the
    /// series cannot hold.
    /// </summary>
    /// <param name="written">As written or spoken.</param>
    /// <param name="sizesMm">The series of the engine; empty where not known.</param>
    /// <param name="unit">What it is written in.</param>
    /// <param name="marks">What is stamped on each size of the series, in their order; none where the thickness itself is.</param>
    /// <exception cref="BadInputException">Field <c>written</c>: no number, and no mark of the series.</exception>
    public static ShimMark Read(string written, IReadOnlyList<double> sizesMm, LengthUnit unit = LengthUnit.Millimetre, IReadOnlyList<string>? marks = null)
    {
        var stamped = marks is { Count: > 0 } && marks.Count == sizesMm.Count ? Enumerable.Range(0, marks.Count).FirstOrDefault(i => string.Equals(marks[i], written.Trim(), StringComparison.OrdinalIgnoreCase), -1) : -1;
        if (stamped >= 0)
        {
            // A number can be a mark and a thickness: which is asked, never guessed.
            var asThickness = Attempted.Of(() => Read(written, sizesMm, unit)).Value;
            return asThickness is null or { Mm: null, OffersMm.Count: 0 } ? new ShimMark(sizesMm[stamped], []) : new ShimMark(null, [.. asThickness.OffersMm.Prepend(asThickness.Mm ?? sizesMm[stamped]).Prepend(sizesMm[stamped]).Distinct()]);
        }
        if (!double.TryParse(written.Trim().Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var number) || number <= 0)
            throw new BadInputException("written", $"'{written}' is no thickness; write it whole, like {(unit == LengthUnit.Thou ? "106.5" : "2.70")}.");
        var (least, most) = sizesMm.Count == 0 ? (0.5, 25) : (sizesMm.Min() * (1 - Beyond), sizesMm.Max() * (1 + Beyond));
        if (unit == LengthUnit.Thou)
        {
            var mm = number * (double)Length.MillimetresPerThou;
            return Holds(mm) ? new ShimMark(mm, []) : new ShimMark(null, Holds(mm * 1000) ? [mm * 1000] : []);
        }
        if (Holds(number)) return new ShimMark(number, []);
        if (sizesMm.Count == 0) return new ShimMark(null, []);
        if (Holds(number / 100) && number >= 100) return new ShimMark(number / 100, []);
        // The last digits alone, or a point left out: what ends so within the series, or ten times it.
        var digits = written.Trim().TrimStart('.', ',');
        var offers = sizesMm.Where(mm => EndsIn(mm, digits)).Concat(Whole(digits, sizesMm)).Concat(Holds(number / 10) ? [number / 10] : []);
        return new ShimMark(null, [.. offers.Select(mm => Math.Round(mm, 4)).Distinct().Order().Take(6)]);

        bool Holds(double mm) => mm >= least - SameMm && mm <= most + SameMm;
    }

    /// <summary>Two or three digits behind each whole millimetre of the series: a worn 2.81 is called 81 too.</summary>
    private static IEnumerable<double> Whole(string digits, IReadOnlyList<double> sizesMm)
    {
        if (digits.Length is < 2 or > 3 || !digits.All(char.IsAsciiDigit)) yield break;
        var behind = int.Parse(digits, CultureInfo.InvariantCulture) / Math.Pow(10, digits.Length);
        for (var whole = Math.Floor(sizesMm.Min()); whole <= sizesMm.Max(); whole++)
            if (whole + behind >= sizesMm.Min() - SameMm && whole + behind <= sizesMm.Max() + SameMm) yield return whole + behind;
    }

    private static bool EndsIn(double mm, string digits) => digits.Length > 0
        && (mm.ToString("0.00", CultureInfo.InvariantCulture).EndsWith(digits, StringComparison.Ordinal) || mm.ToString("0.000", CultureInfo.InvariantCulture).EndsWith(digits, StringComparison.Ordinal));
}
