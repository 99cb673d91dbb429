using ZeroDrift.Core;
using ZeroDrift.Server.Sheets;

namespace ZeroDrift.Server.Hours;

/// <summary>A file of hours in whatever form it comes: a table (CSV, XLSX), a telematics document (XML, JSON), a log of a machine's bus.</summary>
/// <param name="Form">table, telematics, can.</param>
/// <param name="Figures">One an engine and day.</param>
internal sealed record HoursFile(string Form, IReadOnlyList<ReportedFigure> Figures)
{
    private static readonly SheetColumn[] Columns =
    [
        new("engine", "machine", "unit name", "name", "serial", "serial number", "registration"),
        new("date", "day", "read on"),
        new("hours", "engine hours", "meter", "hour meter", "shows"),
    ];

    /// <summary>Reads a file.</summary>
    /// <exception cref="BadInputException">Field <c>file</c>: none of these.</exception>
    public static HoursFile Read(byte[] bytes, DateOnly today)
    {
        if (Spreadsheet.Is(bytes)) return Table(bytes, today);
        var text = SheetTable.Text(bytes);
        var first = text.AsSpan().TrimStart();
        if (first is ['<', ..])
        {
            using var document = new MemoryStream(bytes);
            return Some("telematics", TelematicsReader.Xml(document));
        }
        if (first is ['{' or '[', ..]) return Some("telematics", TelematicsReader.Json(System.Text.Encoding.UTF8.GetBytes(text)));
        return CandumpReader.Is(text) ? Some("can", CandumpReader.Read(text, today)) : Table(bytes, today);
    }

    private static HoursFile Some(string form, IReadOnlyList<ReportedFigure> figures) => figures.Count > 0
        ? new HoursFile(form, figures)
        : throw new BadInputException("file", form == "can" ? "Nobody on this bus tells total engine hours (message 65253)." : "The document names no machine.");

    private static HoursFile Table(byte[] bytes, DateOnly today)
    {
        var table = SheetTable.Read(bytes, Columns, "engine", "hours");
        if (table.Rows.Count == 0) throw new BadInputException("file", "The file names its columns but holds no figure below them.");
        return new HoursFile("table", [.. table.Rows.Select(r => new ReportedFigure(r["engine"] is { Length: > 0 } name ? name[..Math.Min(name.Length, 100)] : "a machine without a name", Day(r["date"], today), null, r.Written[..Math.Min(r.Written.Length, 300)], r.Line) { Ways = Ways(table, r["hours"]) })]);
    }

    private static DateOnly? Day(string text, DateOnly today)
    {
        try
        {
            return text.Length == 0 ? today : SheetTable.Day(text);
        }
        catch (BadInputException)
        {
            return null;
        }
    }

    private static IReadOnlyList<double> Ways(SheetTable table, string text)
    {
        try
        {
            return text.Length == 0 ? [] : table.Hours(text, "hours");
        }
        catch (BadInputException)
        {
            return [];
        }
    }
}
