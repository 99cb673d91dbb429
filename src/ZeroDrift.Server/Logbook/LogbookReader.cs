using System.Globalization;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Server.Sheets;

namespace ZeroDrift.Server.Logbook;

/// <summary>The file as text, its separator and columns, and each row understood or refused with its line number.</summary>
internal sealed record LogbookFile(char Separator, bool DecimalComma, IReadOnlyList<string> Columns, IReadOnlyList<string> Ignored, IReadOnlyList<LogbookRow> Rows, IReadOnlyList<BadRow> Bad)
{
    public int Count => Rows.Count + Bad.Count;
}

/// <summary>Reads a logbook, CSV or a workbook: decimal point or comma; mm and thou; dates as 2026-02-28 or 28.02.2026.</summary>
internal static class LogbookReader
{
    private static readonly SheetColumn[] Known =
    [
        new("engine", "machine", "unit name"),
        new("date", "day"),
        new("engine hours", "hours", "meter", "hour meter"),
        new("cylinder", "cyl"),
        new("valve", "kind"),
        new("as found", "found"),
        new("as left", "left"),
        new("unit", "units"),
        new("who", "mechanic", "by"),
        new("remark", "remarks", "note", "notes"),
    ];

    /// <param name="bytes">The file.</param>
    /// <param name="said">The letters it uses, where somebody said; null where the file must tell.</param>
    /// <exception cref="BadInputException">Field <c>letters</c>: it uses both. Field <c>file</c>: empty, binary, no header, a needed column missing or twice, too many rows.</exception>
    public static LogbookFile Read(byte[] bytes, BookLetters? said = null)
    {
        var table = SheetTable.Read(bytes, Known, "engine", "date", "engine hours", "cylinder", "valve", "unit");
        if (!table.Columns.Contains("as found") && !table.Columns.Contains("as left")) throw new BadInputException("file", "The file has neither an 'as found' nor an 'as left' column.");
        var letters = said ?? Letters(table.Rows.Select(r => r["valve"]));
        var rows = new List<LogbookRow>();
        var bad = new List<BadRow>();
        foreach (var row in table.Rows)
        {
            try
            {
                rows.Add(Row(table, row, letters));
            }
            catch (BadInputException refused)
            {
                bad.Add(new BadRow(row.Line, refused.Field, refused.Message, row.Written));
            }
        }
        if (table.Rows.Count == 0) throw new BadInputException("file", "The file names its columns but holds no reading below them.");
        var commas = table.Rows.Any(r => r["as found"].Contains(',', StringComparison.Ordinal) || r["as left"].Contains(',', StringComparison.Ordinal));
        return new LogbookFile(table.Separator, commas, table.Columns, table.Ignored, rows, bad);
    }

    private static LogbookRow Row(SheetTable table, SheetRow row, BookLetters? letters)
    {
        var unit = WrittenFigure.Unit(row.Needed("unit", "write mm or thou"));
        var (kind, place) = Valve(row.Needed("valve", "write intake or exhaust, with front or rear where a cylinder has two"), letters);
        var (found, left) = (row["as found"], row["as left"]);
        if (found.Length == 0 && left.Length == 0) throw new BadInputException("as found", "Neither an as-found nor an as-left is given.");
        return new LogbookRow
        {
            Line = row.Line,
            Engine = row.Needed("engine", "name the engine as the yard does"),
            Date = SheetTable.Day(row.Needed("date", "give the day, like 2026-02-28")),
            Hours = table.SureHours(row.Needed("engine hours", "give the engine hours"), "engine hours"),
            Cylinder = int.TryParse(row.Needed("cylinder", "give the cylinder's number"), NumberStyles.None, CultureInfo.InvariantCulture, out var cylinder)
                ? cylinder
                : throw new BadInputException("cylinder", $"'{row["cylinder"]}' is not a cylinder number."),
            Kind = kind,
            EUnclear = letters is null && row["valve"].Split(' ', 2)[0] is "e" or "E",
            Place = place,
            FoundWritten = found.Length == 0 ? null : found,
            Found = found.Length == 0 ? null : WrittenFigure.Parse(found, unit, "as found"),
            LeftWritten = left.Length == 0 ? null : left,
            Left = left.Length == 0 ? null : WrittenFigure.Parse(left, unit, "as left"),
            Unit = WrittenFigure.Name(unit),
            Who = row["who"] is { Length: > 0 } who ? who[..Math.Min(who.Length, 80)] : null,
            Remark = row["remark"] is { Length: > 0 } remark ? remark[..Math.Min(remark.Length, 2000)] : null,
        };
    }

    /// <summary>A file that writes I or A somewhere, or spells its valves out, tells what its E is.</summary>
    private static BookLetters? Letters(IEnumerable<string> valves)
    {
        var words = valves.Select(v => v.Split(' ', 2)[0].ToLowerInvariant()).ToHashSet();
        var letters = words.Where(w => w.Length == 1).Select(w => w[0]).ToList();
        if (words.Overlaps(["einlass", "einlaß", "auslass", "auslaß"])) letters.Add('A');
        else if (words.Overlaps(["in", "intake", "inlet", "ex", "exhaust"]) && !letters.Contains('a')) letters.Add('I');
        return BookLetterNames.Told(letters, null);
    }

    private static (LashKind, string?) Valve(string text, BookLetters? letters)
    {
        // Spelt out first: an engine brake is two words, and what follows the name is the place.
        foreach (var kind in Enum.GetValues<LashKind>())
            if (text.StartsWith(kind.Word(), StringComparison.OrdinalIgnoreCase)) return (kind, Place(text[kind.Word().Length..]));
        var words = text.ToLowerInvariant().Split(' ', 2, StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);
        LashKind known = words[0] switch
        {
            "in" or "inlet" or "einlass" or "einlaß" => LashKind.Intake,
            "ex" or "auslass" or "auslaß" => LashKind.Exhaust,
            "brake" => LashKind.EngineBrake,
            [var letter] when (letters ?? BookLetters.IntakeExhaust).KindOf(letter) is { } lettered => lettered,
            _ => throw new BadInputException("valve", $"'{text}' is not a valve; write intake or exhaust, or the letters of its book."),
        };
        return (known, words.Length > 1 ? words[1] : null);

        static string? Place(string rest) => rest.Trim().ToLowerInvariant() is { Length: > 0 } place ? place : null;
    }
}
