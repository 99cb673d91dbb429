using System.Globalization;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Measuring;

/// <summary>
/// A clearance written as people write it: 0.31, &lt;0.05 (closed up, no blade goes), &gt;1.00, or 0.30-0.35 where it lies between two blades. The same
/// spelling goes out as comes in.
/// </summary>
public static class WrittenFigure
{
    /// <summary>Reads a written figure; <paramref name="field"/> names it in a complaint.</summary>
    /// <exception cref="BadInputException">Not a figure, or over 25 mm.</exception>
    public static Reading Parse(string text, LengthUnit unit, string field)
    {
        var t = text.Trim();
        if (t.StartsWith('<')) return new Reading(null, Mm(t[1..]), null, null);
        if (t.StartsWith('>')) return new Reading(Mm(t[1..]), null, null, null);
        var dash = t.IndexOfAny(['-', '–'], 1 <= t.Length ? 1 : 0);
        if (dash > 0)
        {
            var (low, high) = (Mm(t[..dash]), Mm(t[(dash + 1)..]));
            if (low >= high) throw new BadInputException(field, $"'{t}' runs the wrong way: write the smaller blade first, like 0.30-0.35.");
            return Reading.Between(low, high);
        }
        return Reading.Direct(Mm(t), Reading.DefaultFeelSdMm);

        Clearance Mm(string part)
        {
            var mm = Length.Parse(part, unit, field).Millimetres;
            return mm <= Clearance.LargestMm ? Clearance.OfMm(mm, field) : throw new BadInputException(field, $"{part.Trim()} {(unit == LengthUnit.Thou ? "thou" : "mm")} is no clearance; up to 25 mm is taken. Check the unit.");
        }
    }

    /// <summary>The figure of a reading in a unit; empty where there is none. What <paramref name="dragged"/> is the figure, whatever was tried beside it.</summary>
    public static string Write(Reading reading, LengthUnit unit, bool dragged = false)
    {
        if (reading.EstimateMm is { } mm)
            return !dragged && reading is { LowerMm: { } low, UpperMm: { } high } && high > low && Math.Abs((low + high) / 2 - mm) < 1e-9 ? $"{Text(low)}-{Text(high)}" : Text(mm);
        if (reading.UpperMm is { } upper) return "<" + Text(upper);
        return reading.LowerMm is { } lower ? ">" + Text(lower) : "";

        string Text(double value) => unit == LengthUnit.Thou
            ? Math.Round(value / 0.0254, 2).ToString("0.##", CultureInfo.InvariantCulture)
            : Math.Round(value, 4).ToString("0.00##", CultureInfo.InvariantCulture);
    }

    /// <summary>The unit of a spelling; millimetres where none is given.</summary>
    public static LengthUnit Unit(string? text, string field = "unit") => Length.ParseUnit(text ?? "mm", field);

    /// <summary>mm or thou.</summary>
    public static string Name(LengthUnit unit) => unit == LengthUnit.Thou ? "thou" : "mm";
}
