using System.Globalization;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Shims;
using ZeroDrift.Core.Visits;
using ZeroDrift.Server.Sheets;

namespace ZeroDrift.Server.Shims.Drawers;

/// <summary>One line of a counted drawer.</summary>
internal sealed record CountedRow(int Line, ShimSort Sort, string Written, string Unit, double SizeMm, int Count, ShimKnownBy? KnownBy);

/// <summary>What a drawer holds as a table, CSV or a workbook, that comes in as it goes out.</summary>
internal static class StockFile
{
    private static readonly SheetColumn[] Columns =
    [
        new("fits", "access", "type", "sort"), new("diameter mm", "diameter"), new("size", "thickness"), new("unit"), new("count", "number", "pieces"), new("known by", "how"),
    ];

    /// <summary>Writes one.</summary>
    public static async Task WriteAsync(DrawerResponse drawer, TextWriter text)
    {
        await using var csv = await SheetWriter.BeginAsync(text, Columns.Select(c => c.Name));
        foreach (var held in drawer.Held)
        {
            csv.WriteField(Word(held.Access));
            csv.WriteField(held.DiameterMm);
            csv.WriteField(held.Written);
            csv.WriteField(held.Unit);
            csv.WriteField(held.Count);
            csv.WriteField(Word(held.KnownBy));
            await csv.NextRecordAsync();
        }
    }

    /// <summary>Reads one; every line must be right, for half a count is none.</summary>
    /// <exception cref="BadInputException">Field <c>file</c>: what is wrong, with its line.</exception>
    public static IReadOnlyList<CountedRow> Read(byte[] bytes)
    {
        var table = SheetTable.Read(bytes, Columns, "fits", "size", "count");
        var seen = new Dictionary<(ShimSort, double), int>();
        return [.. table.Rows.Select(row =>
        {
            try
            {
                var counted = Row(row);
                return seen.TryAdd((counted.Sort, counted.SizeMm), row.Line) ? counted
                    : throw new BadInputException("size", $"{counted.Written} {counted.Unit} stands in line {seen[(counted.Sort, counted.SizeMm)]} already; add the two counts up.");
            }
            catch (BadInputException bad)
            {
                throw new BadInputException("file", $"Line {row.Line}: {bad.Message}");
            }
        })];
    }

    private static CountedRow Row(SheetRow row)
    {
        var unit = row["unit"] is { Length: > 0 } said ? said : "mm";
        var written = Given.Text(row.Needed("size", "write their thickness, like 2.70"), "size", "their thickness", 20);
        double? diameter = row["diameter mm"] is not { Length: > 0 } across ? null
            : double.TryParse(across.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var mm) ? mm : throw new BadInputException("diameterMm", $"'{across}' is no diameter in mm.");
        return new CountedRow(
            row.Line,
            ShimSort.Of(Said<ShimAccess>(row.Needed("fits", "say onTop, underBucket or puck"), "access", "onTop, underBucket or puck"), diameter),
            written,
            unit,
            ShimSize.Of(written, unit),
            int.TryParse(row.Needed("count", "say how many there are"), NumberStyles.None, CultureInfo.InvariantCulture, out var count) ? count : throw new BadInputException("count", $"'{row["count"]}' is no count; write a whole number."),
            row["known by"] is { Length: > 0 } how ? Said<ShimKnownBy>(how, "knownBy", "micrometer, printed or lapped") : null);
    }

    private static T Said<T>(string text, string field, string choices) where T : struct, Enum =>
        Enum.TryParse<T>(text.Replace(" ", "", StringComparison.Ordinal), true, out var value) && Enum.IsDefined(value) ? value : throw new BadInputException(field, $"'{text}' is not known here; say {choices}.");

    private static string Word<T>(T value) where T : struct, Enum => System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName(value.ToString());
}
