using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Overheads;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Server.Book;
using ZeroDrift.Server.Calculators;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.Problems;

namespace ZeroDrift.Server.Overheads;

/// <summary>The guided overhead: started, measured, set, closed up, signed. Every step may be sent twice.</summary>
internal static class OverheadEndpoints
{
    /// <summary>Warmer than this is not cold, °C (common practice, no source).</summary>
    private const double ColdUpToC = 40;

    public static void MapOverheads(this IEndpointRouteBuilder api)
    {
        var overheads = api.MapGroup("/overheads").WithTags("Overheads").ProducesProblem(400).ProducesProblem(404).ProducesProblem(409);
        overheads.MapGet("/", ListOpen);
        overheads.MapGet("/{id:guid}", Get);
        overheads.MapPut("/{id:guid}", Start);
        overheads.MapPut("/{id:guid}/ticks", Tick);
        overheads.MapPut("/{id:guid}/condition", Condition);
        overheads.MapPut("/{id:guid}/stops/{index:int}", ProveStop);
        overheads.MapPut("/{id:guid}/readings/{readingId:guid}", ReadingEntry.Put);
        overheads.MapDelete("/{id:guid}/readings/{readingId:guid}", ReadingEntry.Discard);
        overheads.MapPut("/{id:guid}/signature", Sign).ProducesProblem(422);
        overheads.MapPut("/{id:guid}/answer", Answer);
    }

    public static async Task<IReadOnlyList<OverheadSummary>> ListOpen(ZeroDriftContext context) =>
        await context.Overheads.Where(o => o.SignedAt == null).OrderByDescending(o => o.StartedAt)
            .Select(o => new OverheadSummary(o.Id, o.EngineId, o.Engine!.Name, o.Engine.Site, o.Job, o.Date, o.ShownHours, o.Who, o.StartedAt,
                o.Readings.Where(r => r.Stage == ReadingStage.AsFound && r.KeptAt != null).Select(r => r.PointId).Distinct().Count(), o.Engine.EngineType!.Points.Count))
            .ToListAsync();

    public static async Task<OverheadView> Get(Guid id, ZeroDriftContext context, OutlookCache outlooks) =>
        (await OverheadWork.LoadAsync(id, context, outlooks)).View();

    public static async Task<OverheadView> Start(Guid id, OverheadStartRequest request, ZeroDriftContext context, OutlookCache outlooks, TimeProvider clock)
    {
        if (await context.Overheads.AnyAsync(o => o.Id == id)) return await Get(id, context, outlooks);
        var engine = await context.Engines.Include(e => e.MeterReadings).FirstOrDefaultAsync(e => e.Id == request.EngineId)
            ?? throw new BadInputException("engineId", "Choose the engine to open.");
        if (await context.Overheads.FirstOrDefaultAsync(o => o.EngineId == engine.Id && o.SignedAt == null) is { } open)
            throw new ConflictException("engineId", $"{engine.Name} is already open: {open.Who} began on {open.Date:yyyy-MM-dd}. Go on with that one.", new { overheadId = open.Id });
        var type = await BookEndpoints.LoadAsync(context, engine.EngineTypeId);
        var date = request.Date ?? outlooks.Today;
        if (date > outlooks.Today.AddDays(1)) throw new BadInputException("date", $"{date:yyyy-MM-dd} is still to come; give the day the engine was opened.");
        var revision = type.InForce(date) ?? throw new BadInputException("engineId", $"The book has no clearances for {type.Code}; add them before opening {engine.Name}.");
        var meter = engine.Meter();
        var shown = Given.Number(request.ShownHours, "shownHours", "what the hour meter shows");
        meter.Check(new MeterReading(date, shown), "shownHours");
        var unit = WrittenFigure.Unit(request.TrayUnit, "trayUnit");
        var tray = (request.Tray ?? []).ToList();
        if (tray.Count > 100) throw new BadInputException("tray", "At most 100 blades are kept in a tray.");
        foreach (var blade in tray) Length.Parse(blade, unit, "tray");
        var method = request.Method ?? type.Method;
        var row = new OverheadRow
        {
            Id = id,
            EngineId = engine.Id,
            Job = request.Job,
            Date = date,
            ShownHours = shown,
            TotalHours = meter.TotalFor(shown),
            SpecRevisionId = revision.Id,
            Method = method,
            Condition = revision.Condition,
            Who = Given.Text(request.Who, "who", "who does the work", 80),
            Blades = Given.OptionalText(request.Blades, "blades", "which blades", 80),
            TrayBlades = tray,
            TrayUnit = WrittenFigure.Name(unit),
            MeasuringMethod = Given.OptionalText(request.MeasuringMethod, "measuringMethod", "how it is measured", 80) ?? "blades",
            Remark = Given.OptionalText(request.Remark, "remark", "the remark"),
            StartedAt = clock.GetUtcNow().UtcDateTime,
        };
        type.ToCore(revision, await BookEndpoints.FleetAsync(context)).Plan(method);
        context.Overheads.Add(row);
        if (meter.Latest is not { } last || last.Date != date || last.TotalHours != row.TotalHours)
            context.MeterReadings.Add(new MeterReadingRow { Id = Guid.CreateVersion7(), EngineId = engine.Id, Date = date, ShownHours = shown, Who = row.Who, Remark = "Read when the engine was opened." });
        await context.SaveChangesAsync();
        outlooks.Forget(type.Id);
        return await Get(id, context, outlooks);
    }

    public static Task<OverheadView> Tick(Guid id, TickRequest request, ZeroDriftContext context, OutlookCache outlooks) => ChangeAsync(id, context, outlooks, (row, engine) =>
    {
        var known = Cautions.MakeSafe(engine.Machine).Concat(Cautions.CloseUp()).Select(c => c.Key);
        var key = known.FirstOrDefault(k => k == request.Key) ?? throw new BadInputException("key", $"'{request.Key}' is on neither list of this job.");
        row.Ticked = request.On ? [.. row.Ticked.Append(key).Distinct()] : [.. row.Ticked.Where(k => k != key)];
    });

    public static Task<OverheadView> Condition(Guid id, ConditionRequest request, ZeroDriftContext context, OutlookCache outlooks) => ChangeAsync(id, context, outlooks, (row, _) =>
    {
        var condition = request.Condition ?? throw new BadInputException("condition", "Say whether the engine is cold or hot.");
        if (request.EngineTemperatureC is { } degrees && !(degrees >= -40 && degrees <= 150))
            throw new BadInputException("engineTemperatureC", FormattableString.Invariant($"An engine at {degrees} °C cannot be opened; give −40 to 150 °C."));
        var warm = condition == SpecCondition.Cold && request.EngineTemperatureC > ColdUpToC;
        if (warm && !request.MeasureWarmAnyway)
            throw new BadInputException("engineTemperatureC", FormattableString.Invariant($"{request.EngineTemperatureC} °C is not cold: warm valves read tight. Let it stand until it is as cold as the room, or measure warm and keep the visit out of the trend."));
        row.Condition = condition;
        row.EngineTemperatureC = request.EngineTemperatureC;
        row.Answer = warm ? VisitAnswer.Warm : VisitAnswer.Counts;
        row.Ticked = [.. row.Ticked.Append("condition").Distinct()];
    });

    public static Task<OverheadView> ProveStop(Guid id, int index, ZeroDriftContext context, OutlookCache outlooks) => ChangeAsync(id, context, outlooks, (row, _) =>
    {
        if (index is < 0 or > 200) throw new BadInputException("index", "There is no such stop.");
        row.StopsProved = [.. row.StopsProved.Append(index).Distinct()];
    });

    public static async Task<OverheadView> Sign(Guid id, SignRequest request, ZeroDriftContext context, OutlookCache outlooks, TimeProvider clock)
    {
        var work = await OverheadWork.LoadAsync(id, context, outlooks);
        var who = Given.Text(request.Who, "who", "your name", 80);
        if (work.Row.SignedAt is not null)
            return work.Row.SignedBy == who ? work.View() : throw new ConflictException("who", $"{work.Row.SignedBy} has already signed this overhead.");
        if (work.SigningRefusals is { Count: > 0 } refusals) throw new BadInputException("overhead", string.Join(' ', refusals));
        work.Row.SignedBy = who;
        work.Row.SignedAt = clock.GetUtcNow().UtcDateTime;
        work.Row.Remark = Given.OptionalText(request.Remark, "remark", "the remark") ?? work.Row.Remark;
        work.Row.Version++;
        await context.SaveChangesAsync();
        outlooks.Forget(work.Type.Id);
        return (await OverheadWork.LoadAsync(id, context, outlooks)).View();
    }

    /// <summary>Says afterwards whether a visit counts: a warm engine or other blades keep it out of the rates.</summary>
    public static async Task<OverheadView> Answer(Guid id, AnswerRequest request, ZeroDriftContext context, OutlookCache outlooks)
    {
        var row = await context.Overheads.Include(o => o.Engine).FirstOrDefaultAsync(o => o.Id == id) ?? throw new NotFoundException("There is no such overhead.");
        row.Answer = request.Answer ?? throw new BadInputException("answer", "Say whether the visit counts, the engine was warm, or other blades were used.");
        row.Version++;
        await context.SaveChangesAsync();
        outlooks.Forget(row.Engine!.EngineTypeId);
        return await Get(id, context, outlooks);
    }

    /// <summary>A change that two people may make at once without harm: on a collision it is made again on what stands now.</summary>
    private static async Task<OverheadView> ChangeAsync(Guid id, ZeroDriftContext context, OutlookCache outlooks, Action<OverheadRow, EngineRow> change)
    {
        const int tries = 5;
        for (var i = 1; ; i++)
        {
            var row = await context.Overheads.Include(o => o.Engine).FirstOrDefaultAsync(o => o.Id == id) ?? throw new NotFoundException("There is no such overhead.");
            if (row.SignedAt is { } signed) throw new ConflictException("overhead", $"This overhead was signed by {row.SignedBy} on {signed:yyyy-MM-dd}; it no longer changes.");
            change(row, row.Engine!);
            row.Version++;
            try
            {
                await context.SaveChangesAsync();
                return await Get(id, context, outlooks);
            }
            catch (DbUpdateConcurrencyException) when (i < tries)
            {
                context.ChangeTracker.Clear();
            }
        }
    }
}
