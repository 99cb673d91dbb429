using System.Globalization;
using CsvHelper;
using MiniExcelLibs;
using ZeroDrift.Core;

namespace ZeroDrift.Server.Sheets;

/// <summary>A spreadsheet as people hold it: its first sheet becomes the lines that a CSV file would have, and is read from there like one.</summary>
internal static class Spreadsheet
{
    /// <summary>How a workbook is called when it is sent.</summary>
    public const string MediaType = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    private const int MostRows = 100_001;

    /// <summary>Whether the bytes are a workbook: an XLSX is a ZIP.</summary>
    public static bool Is(ReadOnlySpan<byte> bytes) => bytes is [0x50, 0x4B, 0x03, 0x04, ..];

    /// <summary>The first sheet as CSV, comma and decimal point; anything else as it is.</summary>
    /// <exception cref="BadInputException">Field <c>file</c>: it cannot be opened.</exception>
    public static byte[] AsCsv(byte[] bytes)
    {
        if (!Is(bytes)) return bytes;
        try
        {
            using var stream = new MemoryStream(bytes);
            using var text = new StringWriter(CultureInfo.InvariantCulture);
            using var csv = new CsvWriter(text, CultureInfo.InvariantCulture);
            foreach (var row in stream.Query().Take(MostRows).Cast<IDictionary<string, object?>>())
            {
                foreach (var cell in row.Values) csv.WriteField(Text(cell));
                csv.NextRecord();
            }
            csv.Flush();
            return new System.Text.UTF8Encoding(false).GetBytes(text.ToString());
        }
        catch (Exception broken) when (broken is not BadInputException)
        {
            throw new BadInputException("file", "This workbook cannot be opened. Save it anew as XLSX, or as CSV, and choose that.");
        }
    }

    private static string Text(object? cell) => cell switch
    {
        null => "",
        DateTime day => day.ToString(day.TimeOfDay == TimeSpan.Zero ? "yyyy-MM-dd" : "yyyy-MM-dd HH:mm", CultureInfo.InvariantCulture),
        double number => Math.Round(number, 9).ToString(CultureInfo.InvariantCulture),
        IFormattable value => value.ToString(null, CultureInfo.InvariantCulture),
        _ => cell.ToString() ?? "",
    };
}
