using System.Globalization;
using System.Text.RegularExpressions;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Manuals;

/// <summary>
/// A clearance as a book writes it: 0.25, 0.20-0.30, 0.20 to 0.30, 0.25 ± 0.05, 0.25 +0.05/-0.02, with mm, in or thou behind it or not. The figures
/// stay as they were written; inches become thou, which is the same figure with its point moved.
/// </summary>
public sealed partial record BookClearance
{
    private BookClearance(LengthUnit? unit) => Unit = unit;

    /// <summary>The least of a window; null with one figure.</summary>
    public string? Min { get; private init; }

    /// <summary>The most of a window.</summary>
    public string? Max { get; private init; }

    /// <summary>One figure; null with a window.</summary>
    public string? Single { get; private init; }

    /// <summary>What it may be tighter by.</summary>
    public string? TightSide { get; private init; }

    /// <summary>What it may be looser by.</summary>
    public string? LooseSide { get; private init; }

    /// <summary>The unit written behind it; null where none is.</summary>
    public LengthUnit? Unit { get; private init; }

    /// <summary>Reads one clearance and nothing else.</summary>
    /// <param name="text">As it was typed.</param>
    /// <param name="field">Names it in a complaint.</param>
    /// <exception cref="BadInputException">Something else stands there.</exception>
    public static BookClearance Parse(string? text, string field)
    {
        var written = text?.Trim() ?? "";
        var match = Figures().Match(written);
        if (written.Length > MostLetters || !match.Success || match.Index != 0 || match.Length != written.Length)
            throw new BadInputException(field, $"'{(written.Length > 40 ? written[..40] + "…" : written)}' is not a clearance; write 0.25, 0.20-0.30 or 0.25 ± 0.05.");
        return Of(match);
    }

    /// <summary>All clearances of a line of text, with where each begins.</summary>
    internal static IReadOnlyList<(int At, BookClearance Clearance)> Find(string line) => [.. Figures().Matches(line).Select(m => (m.Index, Of(m)))];

    /// <summary>As <see cref="Parse"/> reads it.</summary>
    public override string ToString() => Single is null ? $"{Min}-{Max}"
        : TightSide is null ? Single
        : TightSide == LooseSide ? $"{Single} ± {TightSide}" : $"{Single} +{LooseSide}/-{TightSide}";

    private const int MostLetters = 60;

    private static BookClearance Of(Match match)
    {
        var (first, second) = (match.Groups["unit"].Value.ToLowerInvariant(), match.Groups["unit2"].Value.ToLowerInvariant());
        var unit = second.Length > 0 ? second : first;
        var inches = unit.StartsWith("in", StringComparison.Ordinal) || unit is "\"" or "″";
        var read = new BookClearance(unit.Length == 0 ? null : inches || unit.StartsWith('t') ? LengthUnit.Thou : LengthUnit.Millimetre);
        if (match.Groups["to"].Success) return read with { Min = Text("figure"), Max = Text("to") };
        if (match.Groups["both"].Success) return read with { Single = Text("figure"), TightSide = Text("both"), LooseSide = Text("both") };
        return match.Groups["plus"].Success ? read with { Single = Text("figure"), TightSide = Text("minus"), LooseSide = Text("plus") } : read with { Single = Text("figure") };

        string Text(string group)
        {
            var written = match.Groups[group].Value;
            var whole = written[0] is '.' or ',' ? "0" + written : written;
            return inches && decimal.TryParse(whole.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var figure) ? (figure * 1000).ToString("0.###", CultureInfo.InvariantCulture) : whole;
        }
    }

    private const string Number = @"(?:\d{1,4}(?:[.,]\d{1,6})?|[.,]\d{1,6})";
    private const string Units = @"(?:mm|thou\b|inch(?:es)?\b|in\b\.?|""|″)";

    [GeneratedRegex(
        $@"(?<![\d.,])(?<figure>{Number})\s*(?<unit>{Units})?\s*(?:(?:-|–|—|…|\bto\b|\bbis\b)\s*(?<to>{Number})|(?:±|\+/-|\+-)\s*(?<both>{Number})|\+\s*(?<plus>{Number})\s*/?\s*[-−–]\s*(?<minus>{Number}))?\s*(?<unit2>{Units})?(?![\d])",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, 1000)]
    private static partial Regex Figures();
}
