using System.Globalization;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.Sheets;

namespace ZeroDrift.Server.Book;

/// <summary>What becomes of one line of a sheet of types: new, known (the book has that code), refused with the column and why.</summary>
public sealed record TypeSheetLine(int Line, string? Code, string? Name, string Outcome, int Points, string? Column, string? Sentence);

/// <summary>A sheet of types as it was understood.</summary>
public sealed record TypeSheetReport(int Added, IReadOnlyList<string> Ignored, IReadOnlyList<TypeSheetLine> Lines);

/// <summary>Engine types from a spreadsheet or CSV, one a line: every line is checked as a typed one is, and shown before anything is kept.</summary>
internal static class TypeSheet
{
    private const int MostTypes = 500;

    private static readonly SheetColumn[] Columns =
    [
        new("code", "type", "type code", "model"),
        new("name", "description", "engine"),
        new("firing order", "order"),
        new("layout", "valves", "points"),
        new("banks"),
        new("letters"),
        new("cycle", "strokes"),
        new("adjuster", "adjustment", "valvetrain"),
        new("pitch", "pitch mm", "screw pitch"),
        new("method", "turning method"),
        new("condition", "cold or hot"),
        new("intake", "intake clearance", "inlet"),
        new("intake set"),
        new("exhaust", "exhaust clearance"),
        new("exhaust set"),
        new("unit"),
        new("revision", "rev"),
        new("source", "from"),
        new("book hours", "interval hours", "hours"),
        new("book months", "interval months", "months"),
        new("first check", "first check hours"),
        new("job hours"),
    ];

    public static async Task<TypeSheetReport> PreviewAsync(HttpRequest request, ZeroDriftContext data, FleetDay day, CancellationToken cancelled = default) => Report(await ReadAsync(request, data, day, cancelled), 0);

    /// <summary>Keeps every line that can be; those that cannot are told again.</summary>
    public static async Task<TypeSheetReport> ImportAsync(HttpRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled)
    {
        var bytes = await UploadedFile.ReadAsync(request);
        return await gate.RunAsync(async data =>
        {
            var read = await ReadAsync(bytes, data, day);
            foreach (var type in read.Types) data.EngineTypes.Add(type);
            await data.SaveChangesAsync();
            return Report(read, read.Types.Count);
        }, cancelled);
    }

    private sealed record Sheet(IReadOnlyList<string> Ignored, IReadOnlyList<TypeSheetLine> Lines, IReadOnlyList<EngineTypeRow> Types);

    private static TypeSheetReport Report(Sheet sheet, int added) => new(added, sheet.Ignored, sheet.Lines);

    private static async Task<Sheet> ReadAsync(HttpRequest request, ZeroDriftContext data, FleetDay day, CancellationToken cancelled = default) => await ReadAsync(await UploadedFile.ReadAsync(request), data, day, cancelled);

    private static async Task<Sheet> ReadAsync(byte[] bytes, ZeroDriftContext data, FleetDay day, CancellationToken cancelled = default)
    {
        var table = SheetTable.Read(bytes, Columns, "code", "firing order");
        if (table.Rows.Count == 0) throw new BadInputException("file", "The file names its columns but holds no type below them.");
        if (table.Rows.Count > MostTypes) throw new BadInputException("file", $"More than {MostTypes} types are not taken at once; cut the file in parts.");
        var fleet = await data.SettingsAsync();
        var codes = (await data.EngineTypes.Select(t => t.NameKey).ToListAsync(cancelled)).ToHashSet();
        var (lines, types) = (new List<TypeSheetLine>(), new List<EngineTypeRow>());
        foreach (var row in table.Rows)
        {
            try
            {
                if (codes.Contains(NameKeys.Of(row["code"])))
                {
                    lines.Add(new TypeSheetLine(row.Line, row["code"], row["name"], "known", 0, "code", "The book has this code already, or an earlier line; a new figure is a revision there."));
                    continue;
                }
                var type = TypeFromRequest.Build(Request(table, row), fleet, day.Today, preview: false);
                codes.Add(NameKeys.Of(type.Code));
                types.Add(type);
                lines.Add(new TypeSheetLine(row.Line, type.Code, type.Name, "new", type.Points.Count, null, null));
            }
            catch (BadInputException bad)
            {
                lines.Add(new TypeSheetLine(row.Line, row["code"], row["name"], "refused", 0, Column(bad.Field), bad.Message));
            }
        }
        return new Sheet(table.Ignored, lines, types);
    }

    private static EngineTypeRequest Request(SheetTable table, SheetRow row)
    {
        var cycle = row["cycle"] is ['2', ..] ? EngineCycle.TwoStroke : row["cycle"] is ['4', ..] ? EngineCycle.FourStroke : Word("cycle", EngineCycle.FourStroke);
        var order = row.Needed("firing order", "such as 1-3-4-2");
        return new EngineTypeRequest
        {
            Code = row.Needed("code", "a short code for the type"),
            Name = row["name"] is { Length: > 0 } name ? name : row["code"],
            Cycle = cycle,
            FiringOrder = order,
            Layout = row["layout"] is { Length: > 0 } layout ? layout : string.Join(' ', Enumerable.Repeat("I E", FiringOrder.Parse(order, cycle).Count)),
            Letters = row["letters"] is { Length: > 0 } letters ? BookLetterNames.Told(letters, null) : null,
            LayoutAssumed = row["layout"].Length == 0,
            AdjusterAssumed = row["adjuster"].Length == 0,
            Banks = row["banks"],
            Adjuster = Word("adjuster", AdjusterKind.ScrewAtValve),
            PitchMm = Number("pitch"),
            Method = Word("method", TurningMethod.TwoStop),
            BookHours = Hours("book hours"),
            BookMonths = (int?)Number("book months"),
            FirstCheckHours = Hours("first check"),
            JobHours = Hours("job hours"),
            Spec = new SpecRevisionRequest(
                row["revision"] is { Length: > 0 } revision ? revision : "A",
                row["source"] is { Length: > 0 } source ? source : "a sheet of types",
                null,
                Word("condition", SpecCondition.Cold),
                [Line(LashKind.Intake, "intake"), Line(LashKind.Exhaust, "exhaust")]),
        };

        double? Hours(string column) => row[column] is { Length: > 0 } text ? table.SureHours(text, column) : null;

        // A pitch of 1,250 is never a thousand.
        double? Number(string column) => row[column] is not { Length: > 0 } text ? null
            : double.TryParse(text.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var number) ? number
            : throw new BadInputException(column, $"'{text}' is not a number.");

        T Word<T>(string column, T otherwise) where T : struct, Enum
        {
            var word = string.Concat(row[column].Where(char.IsLetter));
            if (word.Length == 0) return otherwise;
            return Enum.TryParse<T>(word, true, out var known) ? known : throw new BadInputException(column, $"'{row[column]}' is not known here; write one of: {string.Join(", ", Enum.GetNames<T>().Select(Spaced))}.");
        }

        SpecLineDto? Line(LashKind kind, string column)
        {
            if (row[column] is not { Length: > 0 } written) return null;
            return new SpecLineDto { Kind = kind, Written = written, Set = row[column + " set"] is { Length: > 0 } set ? set : null, Unit = row["unit"] is { Length: > 0 } unit ? unit : "mm" };
        }
    }

    private static string Spaced<T>(T name) where T : notnull => string.Concat(name.ToString()!.Select((c, i) => i > 0 && char.IsUpper(c) ? $" {char.ToLower(c, CultureInfo.InvariantCulture)}" : char.ToLower(c, CultureInfo.InvariantCulture).ToString()));

    /// <summary>The sheet's own name of a field.</summary>
    private static string Column(string field) => field switch
    {
        "firingOrder" => "firing order",
        "pitchMm" => "pitch",
        "bookHours" => "book hours",
        "bookMonths" => "book months",
        "firstCheckHours" => "first check",
        "jobHours" => "job hours",
        _ when field.StartsWith("spec", StringComparison.Ordinal) || field == "lines" => field.Contains("[1]", StringComparison.Ordinal) ? "exhaust" : field.Contains("revision", StringComparison.Ordinal) ? "revision" : field.Contains("source", StringComparison.Ordinal) ? "source" : "intake",
        _ => field,
    };
}
