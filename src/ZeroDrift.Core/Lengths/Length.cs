using System.Globalization;

namespace ZeroDrift.Core.Lengths;

/// <summary>
/// A length as somebody wrote it down: the figure exactly as written, its unit, and the millimetres derived from the two.
/// Not to be confused with a measured clearance, which has an uncertainty (<see cref="Measuring.Reading"/>).
/// </summary>
public readonly record struct Length
{
    private Length(string written, decimal figure, LengthUnit unit)
    {
        Written = written;
        Figure = figure;
        Unit = unit;
    }

    /// <summary>The figure as written, trailing zeros and decimal comma included.</summary>
    public string Written { get; }

    /// <summary>The number that <see cref="Written"/> stands for, in <see cref="Unit"/>.</summary>
    public decimal Figure { get; }

    /// <summary>The unit it was written in.</summary>
    public LengthUnit Unit { get; }

    /// <summary>Millimetres, exact: 1 in = 25.4 mm (international inch, 1959; NIST SP 811), so 1 thou = 0.0254 mm.</summary>
    public double Millimetres => (double)(Unit == LengthUnit.Thou ? Figure * MillimetresPerThou : Figure);

    /// <summary>Thousandths of an inch; the inverse of <see cref="Millimetres"/>.</summary>
    public double Thou => (double)(Unit == LengthUnit.Thou ? Figure : Figure / MillimetresPerThou);

    /// <summary>Millimetres in one thou, exact.</summary>
    public const decimal MillimetresPerThou = 0.0254m;

    /// <summary>
    /// Reads a figure of 0 to 1000 with a decimal point or comma. A unit written behind it (mm, thou) must agree with
    /// <paramref name="unit"/>, or replaces it where <paramref name="unit"/> is null.
    /// </summary>
    /// <exception cref="BadInputException">Not a figure, negative, over 1000, an unknown unit, or "mil".</exception>
    public static Length Parse(string? text, LengthUnit? unit, string field = "clearance")
    {
        var written = text?.Trim() ?? "";
        var digits = written.TrimEnd("abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ\" ".ToCharArray());
        if (digits.Length == 0) throw NoFigure();
        var suffix = written[digits.Length..].Trim();
        var named = suffix.Length == 0 ? unit : ParseUnit(suffix, field);
        if (named is null)
            throw new BadInputException(field, $"Say whether {written} is in mm or thou.");
        if (unit is not null && named != unit)
            throw new BadInputException(field, $"'{written}' says {Name(named.Value)}, but {Name(unit.Value)} was expected.");
        const NumberStyles style = NumberStyles.AllowDecimalPoint;
        if (digits.Length > 12 || !decimal.TryParse(digits.Replace(',', '.'), style, CultureInfo.InvariantCulture, out var figure))
            throw NoFigure();
        if (figure > 1000)
            throw new BadInputException(field, $"{written} is far too large for a clearance; from 0 to 1000 is taken.");
        return new Length(digits, figure, named.Value);

        BadInputException NoFigure() => new(field, $"'{written}' is not a figure; write it like 0.20 or 8.");
    }

    /// <summary>Millimetres as a figure of our own, written with up to four decimals.</summary>
    public static Length OfMillimetres(double millimetres)
    {
        var figure = Math.Round((decimal)millimetres, 4);
        return new Length(figure.ToString("0.00##", CultureInfo.InvariantCulture), figure, LengthUnit.Millimetre);
    }

    /// <summary>mm and thou by the spellings people use; "mil" is refused because it is ambiguous.</summary>
    public static LengthUnit ParseUnit(string? text, string field = "unit") => text?.Trim().ToLowerInvariant() switch
    {
        "mm" or "millimetre" or "millimeter" or "millimetres" => LengthUnit.Millimetre,
        "thou" or "thousandth" or "thousandths" => LengthUnit.Thou,
        "mil" or "mils" => throw new BadInputException(field, "'mil' means thou to some and millimetre to others; write thou or mm."),
        var other => throw new BadInputException(field, $"'{other}' is not a unit used here; write mm or thou."),
    };

    private static string Name(LengthUnit unit) => unit == LengthUnit.Thou ? "thou" : "mm";

    /// <summary>Figure and unit, as written.</summary>
    public override string ToString() => $"{Written} {Name(Unit)}";
}
