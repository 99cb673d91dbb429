using System.Globalization;
using System.Text;
using CsvHelper;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.Overheads;

namespace ZeroDrift.Server.Logbook;

/// <summary>A logbook in and out: CSV, one reading a row.</summary>
internal static class LogbookEndpoints
{
    private const int MostBytes = 20 * 1024 * 1024;

    public static void MapLogbook(this IEndpointRouteBuilder api)
    {
        var logbook = api.MapGroup("/logbook").WithTags("Logbook");
        logbook.MapPost("/preview", (HttpRequest request, ZeroDriftContext context, OutlookCache outlooks) => RunAsync(request, context, outlooks, save: false, goodOnly: false)).Accepts<string>("text/csv").Produces<LogbookReport>().ProducesProblem(400);
        logbook.MapPost("/import", (HttpRequest request, ZeroDriftContext context, OutlookCache outlooks, bool goodOnly = false) => RunAsync(request, context, outlooks, save: true, goodOnly)).Accepts<string>("text/csv").Produces<LogbookReport>().ProducesProblem(400);
        logbook.MapGet("/export", Export).Produces<string>(200, "text/csv").ProducesProblem(404);
    }

    private static async Task<LogbookReport> RunAsync(HttpRequest request, ZeroDriftContext context, OutlookCache outlooks, bool save, bool goodOnly)
    {
        using var buffer = new MemoryStream();
        var chunk = new byte[65_536];
        int read;
        while ((read = await request.Body.ReadAsync(chunk)) > 0)
        {
            if (buffer.Length + read > MostBytes) throw new BadInputException("file", "The file is larger than 20 MB; cut it in parts.");
            buffer.Write(chunk, 0, read);
        }
        return await new LogbookImport(context, outlooks, LogbookReader.Read(buffer.ToArray())).RunAsync(save, goodOnly);
    }

    /// <summary>Every kept reading of signed visits, in the format that comes in; of one engine or of all.</summary>
    public static async Task<IResult> Export(ZeroDriftContext context, Guid? engine)
    {
        var visits = await context.Overheads.AsNoTracking().Where(o => o.SignedAt != null && (engine == null || o.EngineId == engine))
            .Include(o => o.Readings).Include(o => o.Engine).AsSplitQuery().OrderBy(o => o.Engine!.Name).ThenBy(o => o.Date).ToListAsync();
        var points = await context.LashPoints.AsNoTracking().ToDictionaryAsync(p => p.Id);
        using var text = new StringWriter(new StringBuilder(), CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, CultureInfo.InvariantCulture))
        {
            foreach (var name in (string[])["engine", "date", "engine hours", "cylinder", "valve", "as found", "as left", "unit", "who", "remark"]) csv.WriteField(name);
            csv.NextRecord();
            foreach (var visit in visits)
                foreach (var point in visit.Readings.Select(r => r.PointId).Distinct().Select(id => points[id]).OrderBy(p => p.Order)) Write(csv, visit, point);
        }
        return Results.Text("\uFEFF" + text, "text/csv; charset=utf-8", Encoding.UTF8);
    }

    private static void Write(CsvWriter csv, OverheadRow visit, LashPointRow point)
    {
        var found = visit.Readings.Standing(point.Id, ReadingStage.AsFound);
        var left = visit.Readings.Standing(point.Id, ReadingStage.AsLeft);
        var unit = WrittenFigure.Unit((found ?? left)?.Unit);
        var measuredLeft = left is null or { EstimateMm: null, LowerMm: null, UpperMm: null } ? null : left;
        if (found is null && measuredLeft is null) return;
        csv.WriteField(visit.Engine!.Name);
        csv.WriteField(visit.Date.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture));
        csv.WriteField(visit.TotalHours);
        csv.WriteField(point.Cylinder);
        csv.WriteField(point.Kind.Word() + (point.Place is null ? "" : " " + point.Place));
        csv.WriteField(found is null ? "" : found.Written ?? WrittenFigure.Write(found.ToReading(), unit));
        csv.WriteField((measuredLeft ?? found) is { } l ? l.Written ?? WrittenFigure.Write(l.ToReading(), unit) : "");
        csv.WriteField(WrittenFigure.Name(unit));
        csv.WriteField((found ?? left)!.Who);
        csv.WriteField(left?.Why ?? left?.Remark ?? found?.Remark ?? "");
        csv.NextRecord();
    }
}
