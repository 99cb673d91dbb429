using System.Globalization;
using System.Text;
using CsvHelper;
using CsvHelper.Configuration;
using ZeroDrift.Core;
using ZeroDrift.Core.Hours;

namespace ZeroDrift.Server.Sheets;

/// <summary>A column, and the ways people write its name.</summary>
internal sealed record SheetColumn(string Name, params string[] Spellings);

/// <summary>One line of a table, its cells by column.</summary>
/// <param name="Line">Where in the file, from 1.</param>
/// <param name="Written">As it was written.</param>
/// <param name="Cells">By the column's own name; what is empty is not there.</param>
internal sealed record SheetRow(int Line, string Written, IReadOnlyDictionary<string, string> Cells)
{
    /// <summary>A cell; empty where there is none.</summary>
    public string this[string column] => Cells.GetValueOrDefault(column, "");

    /// <summary>A cell that must be filled.</summary>
    /// <exception cref="BadInputException">It is empty.</exception>
    public string Needed(string column, string what) => this[column] is { Length: > 0 } value ? value : throw new BadInputException(column, $"The {column} is empty: {what}.");
}

/// <summary>
/// A table as people hold it, CSV or a workbook: separator found, columns known by their names in any order, cells trimmed, an escape against
/// formulas taken off.
/// </summary>
internal sealed record SheetTable(char Separator, IReadOnlyList<string> Columns, IReadOnlyList<string> Ignored, IReadOnlyList<SheetRow> Rows)
{
    public const int MostRows = 100_000;

    /// <summary>The sign before fractions in a column of hours, once it was looked for.</summary>
    private readonly Dictionary<string, char?> signs = [];

    /// <summary>Reads a file.</summary>
    /// <param name="bytes">The file.</param>
    /// <param name="known">The columns it may have.</param>
    /// <param name="needed">Those it must have.</param>
    /// <exception cref="BadInputException">Field <c>file</c>: empty, binary, no header, a needed column missing or twice, too many rows.</exception>
    public static SheetTable Read(byte[] bytes, IReadOnlyList<SheetColumn> known, params string[] needed)
    {
        var text = Text(Spreadsheet.AsCsv(bytes));
        var configuration = new CsvConfiguration(CultureInfo.InvariantCulture)
        {
            DetectDelimiter = true,
            DetectDelimiterValues = [";", "\t", ","],
            TrimOptions = TrimOptions.Trim,
            BadDataFound = null,
            MissingFieldFound = null,
            IgnoreBlankLines = true,
            DetectColumnCountChanges = false,
            Mode = CsvMode.RFC4180,
        };
        using var parser = new CsvParser(new StringReader(text), configuration);
        if (!parser.Read() || parser.Record is not { } names) throw new BadInputException("file", "The file is empty; it begins with a line that names its columns.");
        var (columns, ignored) = Named(names, known, needed);
        var separator = parser.Delimiter[0];
        var rows = new List<SheetRow>();
        while (parser.Read())
        {
            var cells = parser.Record ?? [];
            if (cells.All(string.IsNullOrWhiteSpace)) continue;
            if (rows.Count >= MostRows) throw new BadInputException("file", $"More than {MostRows} rows are not taken at once; cut the file in parts.");
            var filled = columns.Where(c => c.Value < cells.Length).Select(c => (c.Key, Value: WithoutEscape(cells[c.Value].Trim()))).Where(c => c.Value.Length > 0).ToDictionary(c => c.Key, c => c.Value);
            rows.Add(new SheetRow(parser.RawRow, string.Join(separator, cells), filled));
        }
        return new SheetTable(separator, [.. columns.Keys], ignored, rows);
    }

    /// <summary>2026-02-28 or 28.02.2026; an order of day and month that is not sure is refused.</summary>
    /// <exception cref="BadInputException">Field <c>date</c>.</exception>
    public static DateOnly Day(string text)
    {
        if (DateTime.TryParseExact(text, ["yyyy-MM-dd", "dd.MM.yyyy", "d.M.yyyy", "d MMM yyyy", "yyyy-MM-dd HH:mm"], CultureInfo.InvariantCulture, DateTimeStyles.None, out var date) && date.Year is >= 1950 and < 2200) return DateOnly.FromDateTime(date);
        // A day above twelve says which of the two it is: 11/25/2026 is 25 November.
        if (DateOnly.TryParseExact(text, "M/d/yyyy", CultureInfo.InvariantCulture, DateTimeStyles.None, out var monthFirst) != DateOnly.TryParseExact(text, "d/M/yyyy", CultureInfo.InvariantCulture, DateTimeStyles.None, out var dayFirst))
            return monthFirst == default ? dayFirst : monthFirst;
        throw new BadInputException("date", text.Contains('/', StringComparison.Ordinal)
            ? $"'{text}' has its day and month in an order that is not sure; write the date like 2026-02-28 or 28.02.2026."
            : $"'{text}' is not a date; write it like 2026-02-28 or 28.02.2026.");
    }

    /// <summary>What a cell of a column of hours can mean: one figure, or two where nothing in the column tells.</summary>
    /// <exception cref="BadInputException">Field <paramref name="column"/>: no figure, or none of hours.</exception>
    public IReadOnlyList<double> Hours(string text, string column)
    {
        if (!signs.TryGetValue(column, out var sign)) signs[column] = sign = WrittenHours.DecimalSign(Rows.Select(r => r[column]));
        var ways = WrittenHours.Ways(text, sign);
        if (ways.Count == 0 || ways.All(h => h > EngineHours.Most)) throw new BadInputException(column, $"'{text}' is not a number of hours from 0 to 1000000.");
        return [.. ways.Where(h => h <= EngineHours.Most)];
    }

    /// <summary>The same where it must be one figure.</summary>
    /// <exception cref="BadInputException">Field <paramref name="column"/>: no figure of hours, or one that could be two.</exception>
    public double SureHours(string text, string column)
    {
        var ways = Hours(text, column);
        return ways is [var sure] ? sure : throw new BadInputException(column, $"'{text}' could be {Said.Either(ways)}. Write it without a sign between thousands, or say which it is.");
    }

    /// <summary>Bytes as text: UTF-8, else as older spreadsheets write.</summary>
    /// <exception cref="BadInputException">Field <c>file</c>: empty or no text.</exception>
    public static string Text(byte[] bytes)
    {
        const string NoText = "This is not a text file. Save the table as XLSX or as CSV (comma or semicolon separated) and choose that.";
        if (bytes.Length == 0) throw new BadInputException("file", "The file is empty; choose one with one reading a row.");
        if (bytes.AsSpan(0, Math.Min(bytes.Length, 8192)).Contains((byte)0)) throw new BadInputException("file", NoText);
        string text;
        try
        {
            text = new UTF8Encoding(false, true).GetString(bytes);
        }
        catch (DecoderFallbackException)
        {
            text = Encoding.Latin1.GetString(bytes);
        }
        text = text.TrimStart('\uFEFF');
        if (string.IsNullOrWhiteSpace(text)) throw new BadInputException("file", "The file is empty; choose one with one reading a row.");
        if (text.Take(4096).Count(c => char.IsControl(c) && c is not ('\r' or '\n' or '\t')) > 8) throw new BadInputException("file", NoText);
        return text;
    }

    /// <summary>An apostrophe that an export puts before what a spreadsheet would take for a formula.</summary>
    private static string WithoutEscape(string cell) => cell.Length > 1 && cell[0] == '\'' && "=+-@".Contains(cell[1], StringComparison.Ordinal) ? cell[1..] : cell;

    private static (Dictionary<string, int> Columns, List<string> Ignored) Named(string[] names, IReadOnlyList<SheetColumn> known, string[] needed)
    {
        var columns = new Dictionary<string, int>();
        var ignored = new List<string>();
        for (var i = 0; i < names.Length; i++)
        {
            var name = names[i].Trim().Trim('"').ToLowerInvariant().Replace('_', ' ').Replace('-', ' ');
            var column = known.FirstOrDefault(k => k.Name == name || k.Spellings.Contains(name))?.Name;
            if (column is null) ignored.Add(names[i]);
            else if (!columns.TryAdd(column, i)) throw new BadInputException("file", $"Two columns say '{column}'; keep one.");
        }
        foreach (var column in needed)
            if (!columns.ContainsKey(column)) throw new BadInputException("file", $"The column '{column}' is missing. The first line must name: {string.Join(", ", known.Select(k => k.Name))}.");
        return (columns, ignored);
    }
}
