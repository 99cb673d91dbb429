using System.Globalization;
using CsvHelper;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Visits;
using ZeroDrift.Server.Sheets;

namespace ZeroDrift.Server.Logbook;

/// <summary>Every kept figure of signed visits, in the format that comes in, with all that stands behind it: tries, blades, temperature, job, revision, signature.</summary>
internal static class LogbookExport
{
    private static readonly string[] Columns =
        ["engine", "date", "engine hours", "cylinder", "valve", "as found", "as left", "unit", "who", "remark", "tries as found", "tries as left", "blades", "engine temperature °C", "job", "revision", "signed by", "in trend"];

    public static async Task WriteAsync(ZeroDriftContext data, Guid? engine, TextWriter text)
    {
        await using var csv = await SheetWriter.BeginAsync(text, Columns);
        var people = await data.People.AsNoTracking().ToDictionaryAsync(p => p.Id, p => p.Name);
        var visits = await data.Visits.AsNoTracking().Where(v => v.State == VisitState.Signed && (engine == null || v.EngineId == engine)).OrderBy(v => v.Engine!.Name).ThenBy(v => v.Date).ThenBy(v => v.Key).Select(v => new { v.Id, v.Engine!.Name }).ToListAsync();
        foreach (var listed in visits)
        {
            var stored = (await VisitReader.LoadAsync(data, listed.Id))!;
            foreach (var work in stored.Visit.Work.Where(w => (w.Found ?? w.Left) is not null)) await RowAsync(csv, listed.Name, stored, work, people);
        }
    }

    private static async Task RowAsync(CsvWriter csv, string engine, StoredVisit stored, PointWork work, Dictionary<Guid, string> people)
    {
        var (row, visit) = (stored.Row, stored.Visit);
        var (found, left) = (work.Found, work.Left);
        var unit = WrittenFigure.Unit(UnitOf(found ?? left!));
        var notes = visit.Entries.OfType<Noted>().Where(n => n.Point == work.Point.Label).Select(n => n.Text);
        csv.WriteField(engine);
        csv.WriteField(row.Date.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture));
        csv.WriteField(Hours(row.TotalHours));
        csv.WriteField(work.Point.Cylinder);
        csv.WriteField(work.Point.Kind.Word() + (work.Point.Place is null ? "" : " " + work.Point.Place));
        csv.WriteField(Written(found, unit));
        csv.WriteField(Written(left ?? found, unit));
        csv.WriteField(WrittenFigure.Name(unit));
        csv.WriteField(people.GetValueOrDefault((found ?? left)!.Kept!.By, ""));
        csv.WriteField(string.Join("; ", new[] { work.Said?.Why }.Concat(notes).Where(t => !string.IsNullOrEmpty(t))));
        csv.WriteField(Tries(found));
        csv.WriteField(Tries(left));
        csv.WriteField(visit.Tray?.SetId ?? "");
        csv.WriteField(visit.Condition?.EngineTemperatureC);
        csv.WriteField(System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName(row.Job.ToString()));
        csv.WriteField(row.Revision);
        csv.WriteField(row.SignedBy is { } by ? people.GetValueOrDefault(by, "") : "");
        csv.WriteField(row.OutOfTrend ? row.OutOfTrendBecause ?? "no" : "yes");
        await csv.NextRecordAsync();
    }

    /// <summary>Hours whose fraction nobody can take for thousands: 999.125 goes out as 999.1250.</summary>
    private static string Hours(double? hours) => hours is not { } total ? "" : total.ToString("0.####", CultureInfo.InvariantCulture) is var text && WrittenHours.Ways(text).Count > 1 ? text + "0" : text;

    private static string UnitOf(ReadingWork reading) => reading.Figure?.Unit ?? (reading.Tries.Count > 0 ? WrittenFigure.Name(reading.Tries[^1].Unit) : "mm");

    /// <summary>As it was written, where it was; what drags is the figure.</summary>
    private static string Written(ReadingWork? reading, Core.Lengths.LengthUnit unit)
    {
        if (reading is null) return "";
        if (reading.Trials.Count == 0 && reading.Figure is { With: FigureSource.Figure } figure && WrittenFigure.Unit(figure.Unit) == unit) return figure.Figure;
        return WrittenFigure.Write(reading.ValueOrNothing(), unit, reading.Trials.Any(t => t.Feel == Feel.Drag));
    }

    private static string Tries(ReadingWork? reading) => reading is null ? "" : string.Join(", ", reading.Tries.Select(t => $"{string.Join('+', t.Blades)} {Word(t.Feel)}"));

    private static string Word(Feel feel) => feel switch { Feel.Free => "free", Feel.Drag => "drags", Feel.HeavyDrag => "forced", _ => "no go" };
}
