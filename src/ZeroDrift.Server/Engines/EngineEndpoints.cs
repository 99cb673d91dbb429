using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core;
using ZeroDrift.Core.Hours;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Server.Book;
using ZeroDrift.Server.Calculators;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.Problems;

namespace ZeroDrift.Server.Engines;

/// <summary>The fleet's engines, their meters, and when each is due.</summary>
internal static class EngineEndpoints
{
    public static void MapEngines(this IEndpointRouteBuilder api)
    {
        api.MapGet("/due", Due).WithTags("Due");
        var engines = api.MapGroup("/engines").WithTags("Engines").ProducesProblem(400);
        engines.MapPost("/", Add).ProducesProblem(409);
        engines.MapGet("/{id:guid}", Get).ProducesProblem(404);
        engines.MapPost("/{id:guid}/meter-readings", ReadMeter).ProducesProblem(404);
    }

    public static async Task<DueListResponse> Due(ZeroDriftContext context, OutlookCache outlooks)
    {
        var open = await OpenOverheadsAsync(context);
        var fleet = await BookEndpoints.FleetAsync(context);
        var rows = (await outlooks.AllAsync()).Select(e => e.Row(outlooks.Today) with { OpenOverheadId = open.TryGetValue(e.Engine.Id, out var id) ? id : null });
        return new DueListResponse(fleet.Name, outlooks.Today, [.. DueRows.ByUrgency(rows)]);
    }

    public static async Task<Created<EngineResponse>> Add(EngineCreateRequest request, ZeroDriftContext context, OutlookCache outlooks)
    {
        var name = Given.Text(request.Name, "name", "the engine's name, as it is called in the yard", 80);
        var typeId = request.EngineTypeId ?? throw new BadInputException("engineTypeId", "Choose the engine's type; add it to the book first if it is not there.");
        if (!await context.EngineTypes.AnyAsync(t => t.Id == typeId)) throw new BadInputException("engineTypeId", "The book has no such engine type; choose one that is there.");
        var id = request.Id ?? Guid.CreateVersion7();
        if (!await context.Engines.AnyAsync(e => e.Id == id))
        {
            if (await context.Engines.AnyAsync(e => e.Name == name)) throw new ConflictException("name", $"There is already an engine called {name}; give this one its own name.");
            var duty = request.DutyHoursPerDay ?? 4;
            // Usage checks duty and season as it will use them.
            Usage.Of([], outlooks.Today, duty, request.MonthlyWeights);
            var engine = new EngineRow
            {
                Id = id,
                Name = name,
                Machine = request.Machine ?? throw new BadInputException("machine", "Say what the engine drives: lorry, tractor, mower, ferry or generator."),
                Site = Given.Text(request.Site, "site", "where the machine is kept", 80),
                EngineTypeId = typeId,
                DutyHoursPerDay = duty,
                MonthlyWeights = request.MonthlyWeights is { Count: 12 } weights ? [.. weights] : null,
                Remark = Given.OptionalText(request.Remark, "remark", "the remark"),
            };
            if (request.MeterHours is { } hours)
            {
                MeterHistory.Of([]).Check(new MeterReading(outlooks.Today, hours), "meterHours");
                engine.MeterReadings.Add(new MeterReadingRow { Id = Guid.CreateVersion7(), Date = outlooks.Today, ShownHours = hours });
            }
            context.Engines.Add(engine);
            await context.SaveChangesAsync();
            outlooks.Forget(typeId);
        }
        return TypedResults.Created($"/api/engines/{id}", await Get(id, context, outlooks));
    }

    public static async Task<EngineResponse> Get(Guid id, ZeroDriftContext context, OutlookCache outlooks)
    {
        var entry = await EntryAsync(id, context, outlooks);
        var fleet = await BookEndpoints.FleetAsync(context);
        var open = await context.Overheads.Where(o => o.EngineId == id && o.SignedAt == null).Select(o => (Guid?)o.Id).FirstOrDefaultAsync();
        return EngineView.Of(entry, fleet, open, outlooks.Today);
    }

    public static async Task<EngineResponse> ReadMeter(Guid id, MeterRequest request, ZeroDriftContext context, OutlookCache outlooks)
    {
        var engine = await context.Engines.Include(e => e.MeterReadings).FirstOrDefaultAsync(e => e.Id == id) ?? throw new NotFoundException("There is no such engine.");
        var reading = new MeterReading(request.Date ?? outlooks.Today, Given.Number(request.Hours, "hours", "what the meter shows, in hours"), request.NewMeterShows);
        var rowId = request.Id ?? Guid.CreateVersion7();
        if (!engine.MeterReadings.Exists(m => m.Id == rowId))
        {
            if (reading.Date > outlooks.Today.AddDays(1)) throw new BadInputException("date", $"{reading.Date:yyyy-MM-dd} is still to come; give the day the meter was read.");
            engine.Meter().Check(reading);
            context.MeterReadings.Add(new MeterReadingRow { Id = rowId, EngineId = id, Date = reading.Date, ShownHours = reading.ShownHours, NewMeterShows = reading.NewMeterShows, Who = Given.OptionalText(request.Who, "who", "who read it", 80), Remark = Given.OptionalText(request.Remark, "remark", "the remark") });
            await context.SaveChangesAsync();
            outlooks.Forget(engine.EngineTypeId);
        }
        return await Get(id, context, outlooks);
    }

    internal static async Task<EngineWithOutlook> EntryAsync(Guid engineId, ZeroDriftContext context, OutlookCache outlooks)
    {
        var typeId = await context.Engines.Where(e => e.Id == engineId).Select(e => (Guid?)e.EngineTypeId).FirstOrDefaultAsync()
            ?? throw new NotFoundException("There is no such engine.");
        return (await outlooks.OfTypeAsync(typeId)).First(e => e.Engine.Id == engineId);
    }

    private static async Task<Dictionary<Guid, Guid>> OpenOverheadsAsync(ZeroDriftContext context) =>
        (await context.Overheads.Where(o => o.SignedAt == null).Select(o => new { o.EngineId, o.Id }).ToListAsync())
        .GroupBy(o => o.EngineId).ToDictionary(g => g.Key, g => g.First().Id);
}
