using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Places;

/// <summary>Sites and the machines kept there. Archived, never deleted.</summary>
internal static class PlaceEndpoints
{
    public static void MapPlaces(this IEndpointRouteBuilder api)
    {
        var sites = api.MapGroup("/sites").WithTags("Sites and machines");
        sites.MapGet("/", Sites).WithName("list-sites");
        sites.MapPost("/", AddSite).WithName("add-site").Refuses(400, 409, 503);
        sites.MapPut("/{id:guid}", ChangeSite).WithName("change-site").Refuses(400, 404, 409, 503);
        var machines = api.MapGroup("/machines").WithTags("Sites and machines");
        machines.MapGet("/", Machines).WithName("list-machines");
        machines.MapPost("/", AddMachine).WithName("add-machine").Refuses(400, 409, 503);
        machines.MapPut("/{id:guid}", ChangeMachine).WithName("change-machine").Refuses(400, 404, 409, 503);
    }

    public static async Task<IReadOnlyList<SiteResponse>> Sites(ZeroDriftContext data, CancellationToken cancelled) =>
        await data.Sites.AsNoTracking().OrderBy(s => s.Name).Select(s => new SiteResponse(s.Id, s.Name, s.TimeZone, s.ArchivedAt != null, data.Machines.Count(m => m.SiteId == s.Id))).ToListAsync(cancelled);

    public static async Task<IReadOnlyList<MachineResponse>> Machines(ZeroDriftContext data, CancellationToken cancelled)
    {
        var engines = (await data.Engines.AsNoTracking().Where(e => e.ArchivedAt == null).Select(e => new { e.MachineId, e.Id, e.Name }).ToListAsync(cancelled)).ToLookup(e => e.MachineId);
        var machines = await data.Machines.AsNoTracking().Include(m => m.Site).OrderBy(m => m.Name).ToListAsync(cancelled);
        return [.. machines.Select(m => MachineResponse.Of(m, [.. engines[m.Id].Select(e => new MachineEngine(e.Id, e.Name))]))];
    }

    public static async Task<Results<Created<SiteResponse>, Ok<SiteResponse>>> AddSite(SiteRequest request, WriteGate gate, CancellationToken cancelled)
    {
        var name = Given.Name(request.Name, "name", "the site's name", 80);
        var (id, zone) = (Given.NewId(request.Id), Zone(request.TimeZone));
        var (row, made) = await gate.RunAsync(async data =>
        {
            if (await data.Sites.FirstOrDefaultAsync(s => s.Id == id) is { } stands) return stands.NameKey == NameKeys.Of(name) ? (stands, false) : throw new ConflictException("differs", "id", $"That identifier is the site {stands.Name}.");
            await FreeName.RequireAsync<SiteRow>(data, id, name, $"There is already a site called {name}.");
            var site = new SiteRow { Id = id, Name = name, TimeZone = zone };
            data.Sites.Add(site);
            await data.SaveChangesAsync();
            return (site, true);
        }, cancelled);
        var response = new SiteResponse(row.Id, row.Name, row.TimeZone, false, 0);
        return made ? TypedResults.Created($"/api/sites/{id}", response) : TypedResults.Ok(response);
    }

    public static async Task<SiteResponse> ChangeSite(Guid id, SiteRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled) => await gate.RunAsync(async data =>
    {
        var site = await data.Sites.FirstOrDefaultAsync(s => s.Id == id) ?? throw new NotFoundException("There is no such site.");
        var log = new ChangeLog(data, "site", id, request.Who, null, day.Now);
        if (request.Name is not null)
        {
            var name = Given.Name(request.Name, "name", "the site's name", 80);
            await FreeName.RequireAsync<SiteRow>(data, id, name, $"There is already a site called {name}.");
            site.Name = log.Changed("name", site.Name, name);
        }
        if (request.TimeZone is not null) site.TimeZone = log.Changed("timeZone", site.TimeZone, Zone(request.TimeZone));
        if (request.Archived is { } archived)
        {
            if (archived && await data.Machines.AnyAsync(m => m.SiteId == id && m.ArchivedAt == null)) throw new ConflictException("inUse", "archived", $"Machines are still kept at {site.Name}; move them first.");
            site.ArchivedAt = log.Archived(site.ArchivedAt, archived);
        }
        if (log.Keep()) site.Version++;
        await data.SaveChangesAsync();
        await day.ReadAsync(data);
        return new SiteResponse(site.Id, site.Name, site.TimeZone, site.ArchivedAt is not null, await data.Machines.CountAsync(m => m.SiteId == id));
    }, cancelled);

    public static async Task<Results<Created<MachineResponse>, Ok<MachineResponse>>> AddMachine(MachineRequest request, WriteGate gate, CancellationToken cancelled)
    {
        var name = Given.Name(request.Name, "name", "the machine's name", 80);
        var siteName = Given.Name(request.Site, "site", "where the machine is kept", 80);
        var kind = request.Kind ?? throw new BadInputException("kind", "Say what machine it is: lorry, van, car, motorcycle, tractor, mower, boat, ferry, ship, generator, pump, construction or other.");
        var (id, registration) = (Given.NewId(request.Id), Given.OptionalText(request.Registration, "registration", "the registration", 80));
        var (row, made) = await gate.RunAsync(async data =>
        {
            if (await data.Machines.Include(m => m.Site).FirstOrDefaultAsync(m => m.Id == id) is { } stands) return stands.NameKey == NameKeys.Of(name) ? (stands, false) : throw new ConflictException("differs", "id", $"That identifier is the machine {stands.Name}.");
            await FreeName.RequireAsync<MachineRow>(data, id, name, $"There is already a machine called {name}.");
            var site = await Data.Places.SiteAsync(data, siteName);
            var machine = new MachineRow { Id = id, Name = name, Kind = kind, SiteId = site.Id, Site = site, Registration = registration, Properties = Properties(request.Properties, kind) };
            data.Machines.Add(machine);
            await data.SaveChangesAsync();
            return (machine, true);
        }, cancelled);
        var response = MachineResponse.Of(row, []);
        return made ? TypedResults.Created($"/api/machines/{id}", response) : TypedResults.Ok(response);
    }

    public static async Task<MachineResponse> ChangeMachine(Guid id, MachineRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled) => await gate.RunAsync(async data =>
    {
        var machine = await data.Machines.Include(m => m.Site).FirstOrDefaultAsync(m => m.Id == id) ?? throw new NotFoundException("There is no such machine.");
        var log = new ChangeLog(data, "machine", id, request.Who, null, day.Now);
        if (request.Name is not null)
        {
            var name = Given.Name(request.Name, "name", "the machine's name", 80);
            await FreeName.RequireAsync<MachineRow>(data, id, name, $"There is already a machine called {name}.");
            machine.Name = log.Changed("name", machine.Name, name);
        }
        if (request.Kind is { } kind && kind != machine.Kind)
        {
            machine.Kind = log.Changed("kind", machine.Kind, kind);
            // Another kind of machine is another preset, unless its properties come with it.
            machine.Properties = null;
        }
        if (request.Properties is not null)
        {
            var before = Words(machine.Has);
            machine.Properties = Properties(request.Properties, machine.Kind);
            log.Changed("properties", before, Words(machine.Has));
        }
        if (request.Registration is not null) machine.Registration = log.Changed("registration", machine.Registration, Given.OptionalText(request.Registration, "registration", "the registration", 80));
        if (request.Site is not null)
        {
            var site = await Data.Places.SiteAsync(data, Given.Name(request.Site, "site", "where the machine is kept", 80));
            log.Changed("site", machine.Site!.Name, site.Name);
            (machine.SiteId, machine.Site) = (site.Id, site);
        }
        if (request.Archived is { } archived)
        {
            if (archived && await data.Engines.AnyAsync(e => e.MachineId == id && e.ArchivedAt == null)) throw new ConflictException("inUse", "archived", $"Engines are still in {machine.Name}; move or archive them first.");
            machine.ArchivedAt = log.Archived(machine.ArchivedAt, archived);
        }
        if (log.Keep()) machine.Version++;
        await data.SaveChangesAsync();
        await day.ReadAsync(data);
        var engines = await data.Engines.Where(e => e.MachineId == id && e.ArchivedAt == null).Select(e => new MachineEngine(e.Id, e.Name)).ToListAsync();
        return MachineResponse.Of(machine, engines);
    }, cancelled);

    /// <summary>What a machine has; what its kind usually has is not kept, so that it follows the kind.</summary>
    private static List<MachineProperty>? Properties(IReadOnlyList<MachineProperty>? given, MachineKind kind) =>
        given is null || given.ToHashSet().SetEquals(kind.Usual()) ? null : [.. given.Distinct().Order()];

    private static string Words(IReadOnlyList<MachineProperty> properties) => string.Join(", ", properties.Order());

    private static string? Zone(string? zone) => string.IsNullOrWhiteSpace(zone) ? null : FleetDay.Known(zone);
}
