using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;

namespace ZeroDrift.Server.Sheets;

/// <summary>Tables going out as CSV: nothing in them is a formula to a spreadsheet. <see cref="SheetTable"/> takes the escape off again.</summary>
internal static class SheetWriter
{
    /// <summary>A writer that has its header written.</summary>
    public static async Task<CsvWriter> BeginAsync(TextWriter text, IEnumerable<string> columns)
    {
        var csv = new CsvWriter(text, new CsvConfiguration(CultureInfo.InvariantCulture) { InjectionOptions = InjectionOptions.Escape, InjectionCharacters = ['=', '@', '+', '-', '\t', '\r'] });
        foreach (var name in columns) csv.WriteField(name);
        await csv.NextRecordAsync();
        return csv;
    }
}
