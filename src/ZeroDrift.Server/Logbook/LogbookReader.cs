using System.Globalization;
using System.Text;
using CsvHelper;
using CsvHelper.Configuration;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Server.Logbook;

/// <summary>The file as text, its separator and columns, and each row understood or refused with its line number.</summary>
internal sealed record LogbookFile(char Separator, bool DecimalComma, IReadOnlyList<string> Columns, IReadOnlyList<string> Ignored, IReadOnlyList<LogbookRow> Rows, IReadOnlyList<BadRow> Bad)
{
    public int Count => Rows.Count + Bad.Count;
}

/// <summary>Reads a logbook: comma, semicolon or tab; decimal point or comma; mm and thou; dates as 2026-02-28 or 28.02.2026.</summary>
internal static class LogbookReader
{
    public const int MostRows = 100_000;

    private static readonly (string Name, string[] Spellings)[] Known =
    [
        ("engine", ["engine", "machine", "unit name"]),
        ("date", ["date", "day"]),
        ("engine hours", ["engine hours", "hours", "meter", "hour meter"]),
        ("cylinder", ["cylinder", "cyl"]),
        ("valve", ["valve", "kind"]),
        ("as found", ["as found", "found"]),
        ("as left", ["as left", "left"]),
        ("unit", ["unit", "units"]),
        ("who", ["who", "mechanic", "by"]),
        ("remark", ["remark", "remarks", "note", "notes"]),
    ];

    /// <exception cref="BadInputException">Field <c>file</c>: empty, binary, no header, a needed column missing or twice, too many rows.</exception>
    public static LogbookFile Read(byte[] bytes)
    {
        var text = Text(bytes);
        var header = text.AsSpan(0, Math.Max(0, text.IndexOf('\n')) is var end && end > 0 ? end : text.Length).ToString();
        var separator = ((char[])[';', '\t', ',']).MaxBy(c => header.Count(h => h == c));
        var configuration = new CsvConfiguration(CultureInfo.InvariantCulture)
        {
            Delimiter = separator.ToString(),
            TrimOptions = TrimOptions.Trim,
            BadDataFound = null,
            MissingFieldFound = null,
            IgnoreBlankLines = true,
            DetectColumnCountChanges = false,
            Mode = CsvMode.RFC4180,
        };
        using var parser = new CsvParser(new StringReader(text), configuration);
        if (!parser.Read() || parser.Record is not { } names) throw new BadInputException("file", "The file is empty; a logbook begins with a line that names its columns.");
        var (columns, ignored) = Columns(names);
        var rows = new List<LogbookRow>();
        var bad = new List<BadRow>();
        var commas = 0;
        while (parser.Read())
        {
            var cells = parser.Record ?? [];
            if (cells.All(string.IsNullOrWhiteSpace)) continue;
            if (rows.Count + bad.Count >= MostRows) throw new BadInputException("file", $"More than {MostRows} rows are not taken at once; cut the file in parts.");
            var line = parser.RawRow;
            string Cell(string column) => columns.TryGetValue(column, out var at) && at < cells.Length ? WithoutEscape(cells[at].Trim()) : "";
            if (Cell("as found").Contains(',', StringComparison.Ordinal) || Cell("as left").Contains(',', StringComparison.Ordinal)) commas++;
            try
            {
                rows.Add(Row(line, Cell));
            }
            catch (BadInputException refused)
            {
                bad.Add(new BadRow(line, refused.Field, refused.Message, string.Join(separator, cells)));
            }
        }
        if (rows.Count + bad.Count == 0) throw new BadInputException("file", "The file names its columns but holds no reading below them.");
        return new LogbookFile(separator, commas > 0, [.. columns.Keys], ignored, rows, bad);
    }

    /// <summary>An apostrophe that an export puts before what a spreadsheet would take for a formula.</summary>
    private static string WithoutEscape(string cell) => cell.Length > 1 && cell[0] == '\'' && "=+-@".Contains(cell[1], StringComparison.Ordinal) ? cell[1..] : cell;

    private static string Text(byte[] bytes)
    {
        if (bytes.Length == 0) throw new BadInputException("file", "The file is empty; choose a CSV file with one reading a row.");
        if (bytes.AsSpan(0, Math.Min(bytes.Length, 8192)).Contains((byte)0))
            throw new BadInputException("file", "This is not a text file. Save the logbook as CSV (comma or semicolon separated) and choose that.");
        string text;
        try
        {
            text = new UTF8Encoding(false, true).GetString(bytes);
        }
        catch (DecoderFallbackException)
        {
            text = Encoding.Latin1.GetString(bytes); // older spreadsheets
        }
        text = text.TrimStart('\uFEFF');
        if (string.IsNullOrWhiteSpace(text)) throw new BadInputException("file", "The file is empty; choose a CSV file with one reading a row.");
        if (text.Take(4096).Count(c => char.IsControl(c) && c is not ('\r' or '\n' or '\t')) > 8)
            throw new BadInputException("file", "This is not a text file. Save the logbook as CSV (comma or semicolon separated) and choose that.");
        return text;
    }

    private static (Dictionary<string, int> Columns, List<string> Ignored) Columns(string[] names)
    {
        var columns = new Dictionary<string, int>();
        var ignored = new List<string>();
        for (var i = 0; i < names.Length; i++)
        {
            var name = names[i].Trim().Trim('"').ToLowerInvariant().Replace('_', ' ').Replace('-', ' ');
            var known = Known.FirstOrDefault(k => k.Spellings.Contains(name)).Name;
            if (known is null) ignored.Add(names[i]);
            else if (!columns.TryAdd(known, i)) throw new BadInputException("file", $"Two columns say '{known}'; keep one.");
        }
        foreach (var needed in (string[])["engine", "date", "engine hours", "cylinder", "valve", "unit"])
            if (!columns.ContainsKey(needed)) throw new BadInputException("file", $"The column '{needed}' is missing. The first line must name: {string.Join(", ", Known.Select(k => k.Name))}.");
        if (!columns.ContainsKey("as found") && !columns.ContainsKey("as left")) throw new BadInputException("file", "The file has neither an 'as found' nor an 'as left' column.");
        return (columns, ignored);
    }

    private static LogbookRow Row(int line, Func<string, string> cell)
    {
        var unit = WrittenFigure.Unit(Needed("unit", "write mm or thou"));
        var (kind, place) = Valve(Needed("valve", "write intake or exhaust, with front or rear where a cylinder has two"));
        var (found, left) = (cell("as found"), cell("as left"));
        if (found.Length == 0 && left.Length == 0) throw new BadInputException("as found", "Neither an as-found nor an as-left is given.");
        return new LogbookRow
        {
            Line = line,
            Engine = Needed("engine", "name the engine as the yard does"),
            Date = Date(Needed("date", "give the day, like 2026-02-28")),
            Hours = Hours(Needed("engine hours", "give the engine hours")),
            Cylinder = int.TryParse(Needed("cylinder", "give the cylinder's number"), NumberStyles.None, CultureInfo.InvariantCulture, out var cylinder)
                ? cylinder
                : throw new BadInputException("cylinder", $"'{cell("cylinder")}' is not a cylinder number."),
            Kind = kind,
            Place = place,
            FoundWritten = found.Length == 0 ? null : found,
            Found = found.Length == 0 ? null : WrittenFigure.Parse(found, unit, "as found"),
            LeftWritten = left.Length == 0 ? null : left,
            Left = left.Length == 0 ? null : WrittenFigure.Parse(left, unit, "as left"),
            Unit = WrittenFigure.Name(unit),
            Who = cell("who") is { Length: > 0 } who ? who[..Math.Min(who.Length, 80)] : null,
            Remark = cell("remark") is { Length: > 0 } remark ? remark[..Math.Min(remark.Length, 2000)] : null,
        };

        string Needed(string column, string what) => cell(column) is { Length: > 0 } value ? value : throw new BadInputException(column, $"The {column} is empty: {what}.");
    }

    private static (LashKind, string?) Valve(string text)
    {
        var words = text.ToLowerInvariant().Split(' ', 2, StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);
        LashKind kind = words[0] switch
        {
            "i" or "in" or "intake" or "inlet" => LashKind.Intake,
            "e" or "ex" or "exhaust" => LashKind.Exhaust,
            "b" or "brake" => LashKind.EngineBrake,
            _ => throw new BadInputException("valve", $"'{text}' is not a valve; write intake or exhaust, or I or E."),
        };
        return (kind, words.Length > 1 ? words[1] : null);
    }

    private static DateOnly Date(string text)
    {
        if (DateOnly.TryParseExact(text, ["yyyy-MM-dd", "dd.MM.yyyy", "d.M.yyyy"], CultureInfo.InvariantCulture, DateTimeStyles.None, out var date) && date.Year is >= 1950 and < 2200) return date;
        // A day above twelve says which of the two it is: 11/25/2026 is 25 November.
        if (DateOnly.TryParseExact(text, "M/d/yyyy", CultureInfo.InvariantCulture, DateTimeStyles.None, out var monthFirst) != DateOnly.TryParseExact(text, "d/M/yyyy", CultureInfo.InvariantCulture, DateTimeStyles.None, out var dayFirst))
            return monthFirst == default ? dayFirst : monthFirst;
        throw new BadInputException("date", text.Contains('/', StringComparison.Ordinal)
            ? $"'{text}' has its day and month in an order that is not sure; write the date like 2026-02-28 or 28.02.2026."
            : $"'{text}' is not a date; write it like 2026-02-28 or 28.02.2026.");
    }

    private static double Hours(string text)
    {
        // 12 345,5 and 12345.5 are hours; 12,345.5 would be a guess.
        var plain = text.Replace(" ", "", StringComparison.Ordinal).Replace("\u00a0", "", StringComparison.Ordinal).Replace(',', '.');
        if (double.TryParse(plain, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var hours) && hours is >= 0 and <= 1_000_000) return hours;
        throw new BadInputException("engine hours", $"'{text}' is not a number of hours from 0 to 1000000.");
    }
}
