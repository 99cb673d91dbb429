using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Outlook;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Projections;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Engines;

/// <summary>The fleet's engines and when each is due.</summary>
internal static class EngineEndpoints
{
    public static void MapEngines(this IEndpointRouteBuilder api)
    {
        api.MapGet("/due", Due).WithTags("Due").WithName("list-due").Refuses(400);
        var engines = api.MapGroup("/engines").WithTags("Engines").Refuses(400);
        engines.MapPost("/", Add).WithName("add-engine").Refuses(409, 503);
        engines.MapGet("/{id:guid}", Get).WithName("get-engine").Refuses(404);
        engines.MapPut("/{id:guid}", Change).WithName("change-engine").Refuses(404, 409, 503);
        engines.MapGet("/{id:guid}/changes", Changes).WithName("list-engine-changes").Refuses(404);
    }

    public static async Task<DueListResponse> Due(ZeroDriftContext data, Yard yard, FleetDay day, int? skip, int? take, CancellationToken cancelled)
    {
        var (from, most) = Paging.Of(skip, take);
        var fleet = await data.SettingsAsync();
        var rows = await yard.AllAsync(data, cancelled: cancelled);
        return new DueListResponse(fleet.Name, fleet.Risk, day.Today, DueMarks.Until(day.Today), [.. rows.Skip(from).Take(most)], rows.Count, EarlyLooks.Of(rows));
    }

    public static Task<EngineResponse> Get(Guid id, ZeroDriftContext data, Yard yard, FleetDay day, CancellationToken cancelled) => EngineView.OfAsync(id, data, yard, day, cancelled);

    public static async Task<Results<Created<EngineResponse>, Ok<EngineResponse>>> Add(EngineCreateRequest request, WriteGate gate, Yard yard, FleetDay day, CancellationToken cancelled)
    {
        var name = Given.Name(request.Name, "name", "the engine's name, as it is called in the yard", 80);
        var typeId = request.EngineTypeId ?? throw new BadInputException("engineTypeId", "Choose the engine's type; add it to the book first if it is not there.");
        var id = Given.NewId(request.Id);
        var duty = request.DutyHoursPerDay ?? 4;
        // Usage checks duty and season as it will use them.
        Usage.Of([], day.Today, duty, request.MonthlyWeights);
        var (response, made) = await gate.RunAsync(async data =>
        {
            if (await data.Engines.AsNoTracking().Include(e => e.Machine!.Site).FirstOrDefaultAsync(e => e.Id == id) is { } stands)
                return IsSame(stands, request, name) ? (await EngineView.OfAsync(id, data, yard, day), false) : throw new ConflictException("differs", "id", $"That identifier is the engine {stands.Name}.");
            if (!await data.EngineTypes.AnyAsync(t => t.Id == typeId)) throw new BadInputException("engineTypeId", "The book has no such engine type; choose one that is there.");
            await FreeName.RequireAsync<EngineRow>(data, id, name, $"There is already an engine called {name}; give this one its own name.");
            var machine = await MachineAsync(data, request, name);
            var engine = new EngineRow
            {
                Id = id,
                Name = name,
                MachineId = machine.Id,
                EngineTypeId = typeId,
                DutyHoursPerDay = duty,
                MonthlyWeights = request.MonthlyWeights is { Count: 12 } weights ? [.. weights] : null,
                Remark = Given.OptionalText(request.Remark, "remark", "the remark"),
                SerialNumber = Given.OptionalText(request.SerialNumber, "serialNumber", "the serial number", 80),
                Rating = Given.OptionalText(request.Rating, "rating", "the rating", 80),
            };
            data.Engines.Add(engine);
            if (request.MeterHours is { } hours)
            {
                data.MeterReadings.Add(new MeterReadingRow { Id = Guid.CreateVersion7(), EngineId = id, Date = day.Today, ShownHours = EngineHours.Of(hours, "meterHours") });
            }
            await data.SaveChangesAsync();
            await day.ReadAsync(data);
            await Projector.BringUpAsync(data, day.Today);
            return (await EngineView.OfAsync(id, data, yard, day), true);
        }, cancelled);
        return made ? TypedResults.Created($"/api/engines/{id}", response) : TypedResults.Ok(response);
    }

    public static async Task<EngineResponse> Change(Guid id, EngineChangeRequest request, WriteGate gate, Yard yard, FleetDay day, CancellationToken cancelled)
    {
        var response = await gate.RunAsync(async data =>
        {
            var engine = await data.Engines.FirstOrDefaultAsync(e => e.Id == id) ?? throw new NotFoundException("There is no such engine.");
            if (request.Version is { } version && version != engine.Version) throw new ConflictException("changedMeanwhile", "version", $"{engine.Name} was changed meanwhile; look at it again.");
            var log = new ChangeLog(data, "engine", id, request.Who, request.Why, day.Now);
            // Put away it stands in no yard any more: what it was is answered, marked so.
            var last = request.Archived == true && engine.ArchivedAt is null ? await EngineView.OfAsync(id, data, yard, day) : null;
            await ApplyAsync(data, engine, request, log, day.Today);
            if (log.Keep()) engine.Version++;
            await data.SaveChangesAsync();
            await day.ReadAsync(data);
            await Projector.BringUpAsync(data, day.Today);
            return engine.ArchivedAt is null ? await EngineView.OfAsync(id, data, yard, day) : last is null ? null : last with { Archived = true, Version = engine.Version };
        }, cancelled);
        return response ?? throw new NotFoundException("The engine is archived; its record stays.", "archived");
    }

    public static async Task<IReadOnlyList<ChangeResponse>> Changes(Guid id, ZeroDriftContext data, CancellationToken cancelled)
    {
        if (!await data.Engines.AnyAsync(e => e.Id == id, cancelled)) throw new NotFoundException("There is no such engine.");
        var machines = await data.Engines.Where(e => e.Id == id).Select(e => e.MachineId).ToListAsync(cancelled);
        var rows = await data.Changes.AsNoTracking().Where(c => c.SubjectId == id || machines.Contains(c.SubjectId)).OrderByDescending(c => c.Id).ToListAsync(cancelled);
        return [.. rows.Select(r => new ChangeResponse(r.At, r.Subject, r.Who, r.Why, JsonNode.Parse(r.What)!.AsObject()))];
    }

    private static async Task ApplyAsync(ZeroDriftContext data, EngineRow engine, EngineChangeRequest request, ChangeLog log, DateOnly today)
    {
        if (request.Name is not null)
        {
            var name = Given.Name(request.Name, "name", "the engine's name", 80);
            await FreeName.RequireAsync<EngineRow>(data, engine.Id, name, $"There is already an engine called {name}; give this one its own name.");
            engine.Name = log.Changed("name", engine.Name, name);
        }
        if (request.MachineId is { } machine)
        {
            if (!await data.Machines.AnyAsync(m => m.Id == machine && m.ArchivedAt == null)) throw new BadInputException("machineId", "There is no such machine; choose one that is there.");
            engine.MachineId = log.Changed("machineId", engine.MachineId, machine);
        }
        if (request.EngineTypeId is { } type)
        {
            if (!await data.EngineTypes.AnyAsync(t => t.Id == type)) throw new BadInputException("engineTypeId", "The book has no such engine type; choose one that is there.");
            if (type != engine.EngineTypeId && await data.Visits.AnyAsync(v => v.EngineId == engine.Id && v.State == VisitState.Open)) throw new ConflictException("engineOpen", "engineTypeId", $"{engine.Name} is open; sign or give up that visit before its type is put right.");
            engine.EngineTypeId = log.Changed("engineTypeId", engine.EngineTypeId, type);
        }
        var duty = request.DutyHoursPerDay ?? engine.DutyHoursPerDay;
        Usage.Of([], today, duty, request.MonthlyWeights ?? engine.MonthlyWeights);
        engine.DutyHoursPerDay = log.Changed("dutyHoursPerDay", engine.DutyHoursPerDay, duty);
        if (request.MonthlyWeights is not null)
        {
            log.Changed("monthlyWeights", string.Join(' ', engine.MonthlyWeights ?? []), string.Join(' ', request.MonthlyWeights));
            engine.MonthlyWeights = request.MonthlyWeights.Count == 12 ? [.. request.MonthlyWeights] : null;
        }
        if (request.Remark is not null) engine.Remark = log.Changed("remark", engine.Remark, Given.OptionalText(request.Remark, "remark", "the remark"));
        if (request.SerialNumber is not null) engine.SerialNumber = log.Changed("serialNumber", engine.SerialNumber, Given.OptionalText(request.SerialNumber, "serialNumber", "the serial number", 80));
        if (request.Rating is not null) engine.Rating = log.Changed("rating", engine.Rating, Given.OptionalText(request.Rating, "rating", "the rating", 80));
        if (request.Archived is not { } archived) return;
        if (archived && await data.Visits.AnyAsync(v => v.EngineId == engine.Id && v.State == VisitState.Open)) throw new ConflictException("engineOpen", "archived", $"{engine.Name} is open; sign or give up that visit first.");
        engine.ArchivedAt = log.Archived(engine.ArchivedAt, archived);
    }

    private static async Task<MachineRow> MachineAsync(ZeroDriftContext data, EngineCreateRequest request, string name)
    {
        if (request.MachineId is { } id)
            return await data.Machines.FirstOrDefaultAsync(m => m.Id == id && m.ArchivedAt == null) ?? throw new BadInputException("machineId", "There is no such machine; choose one that is there, or leave it out.");
        var kind = request.Machine ?? throw new BadInputException("machine", "Say what the engine drives: lorry, tractor, mower, ferry or generator.");
        var site = await Data.Places.SiteAsync(data, Given.Name(request.Site, "site", "where the machine is kept", 80));
        return await Data.Places.MachineFor(data, name, kind, site.Id);
    }

    private static bool IsSame(EngineRow stands, EngineCreateRequest request, string name) =>
        stands.NameKey == NameKeys.Of(name) && stands.EngineTypeId == request.EngineTypeId
        && (request.Machine is null || stands.Machine!.Kind == request.Machine)
        && (request.Site is null || stands.Machine!.Site!.NameKey == NameKeys.Of(request.Site))
        && (request.DutyHoursPerDay is null || stands.DutyHoursPerDay == request.DutyHoursPerDay);
}
