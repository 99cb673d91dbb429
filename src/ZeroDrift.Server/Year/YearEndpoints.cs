using System.Globalization;
using System.Text;
using ZeroDrift.Core;
using ZeroDrift.Data;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.Sheets;

namespace ZeroDrift.Server.Year;

/// <summary>The year for whoever answers for the fleet: what was opened, found and learned, and what the book's interval would have cost.</summary>
internal static class YearEndpoints
{
    /// <summary>A longer stretch is no year.</summary>
    private const int MostDays = 3 * 366;

    public static void MapYear(this IEndpointRouteBuilder api)
    {
        api.MapGet("/year", Get).WithTags("Year").WithName("get-year").Refuses(400);
        api.MapGet("/year.csv", Csv).WithTags("Year").WithName("export-year").Produces<string>(200, "text/csv").Refuses(400);
    }

    /// <summary>From and until are days, both included; left out, the twelve months up to today.</summary>
    public static Task<YearResponse> Get(ZeroDriftContext data, FleetDay day, DateOnly? from, DateOnly? until, CancellationToken cancelled)
    {
        var (first, last) = Stretch(day, from, until);
        return YearView.OfAsync(data, first, last, cancelled);
    }

    public static async Task Csv(HttpContext context, ZeroDriftContext data, FleetDay day, DateOnly? from, DateOnly? until, CancellationToken cancelled)
    {
        var (first, last) = Stretch(day, from, until);
        var year = await YearView.OfAsync(data, first, last, cancelled);
        context.Response.ContentType = "text/csv; charset=utf-8";
        context.Response.Headers.ContentDisposition = FormattableString.Invariant($"attachment; filename=year-{first:yyyy-MM-dd}-to-{last:yyyy-MM-dd}.csv");
        await using var text = new StreamWriter(context.Response.Body, new UTF8Encoding(true));
        await using var csv = await SheetWriter.BeginAsync(text, ["engine", "kind", "place", "type", "from", "until", "overheads", "spot checks", "builds", "valves measured", "out of limits as found", "set", "engine hours run", "hours of work timed", "openings timed", "parts changed", "shims changed", "openings by the manual's interval", "hours of work these would have cost", "valves that wear otherwise"]);
        foreach (var engine in year.Engines)
        {
            var f = engine.Figures;
            foreach (var field in (object?[])[engine.Name, Words(engine.Machine), engine.Site, engine.TypeCode, Day(first), Day(last), f.Overheads, f.SpotChecks, f.Builds, f.Measured, f.OutAsFound, f.Set, Hours(f.HoursRun), f.Timed == 0 ? null : Hours(f.WorkedHours), f.Timed, f.Parts, f.Shims, f.BookOpenings, Hours(f.BookHours), string.Join(' ', engine.Failing.Select(v => v.Point))])
                csv.WriteField(field);
            await csv.NextRecordAsync();
        }

        static string Day(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
        static string? Hours(double? hours) => hours?.ToString("0.#", CultureInfo.InvariantCulture);
        static string Words<T>(T kind) where T : notnull => kind.ToString()!.ToLowerInvariant();
    }

    private static (DateOnly From, DateOnly Until) Stretch(FleetDay day, DateOnly? from, DateOnly? until)
    {
        var last = until ?? day.Today;
        var first = from ?? last.AddYears(-1).AddDays(1);
        if (first is { Year: < 1950 or > 2200 }) throw new BadInputException("from", "Give a day from 1950 to 2200.");
        if (last is { Year: < 1950 or > 2200 }) throw new BadInputException("until", "Give a day from 1950 to 2200.");
        if (last < first) throw new BadInputException("until", "The last day comes before the first; swap them.");
        if (last.DayNumber - first.DayNumber > MostDays) throw new BadInputException("from", "Ask for at most three years at once.");
        return (first, last);
    }
}
