using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Plan;

/// <summary>What a plan has to heed: who works when and on what, who and what is away, groups, tools and roads.</summary>
internal static class PlanSettingsEndpoints
{
    public static void MapPlanSettings(this IEndpointRouteBuilder api)
    {
        var plan = api.MapGroup("/plan").WithTags("Plan");
        plan.MapPut("/people/{id:guid}", Mechanic).WithName("change-mechanic").Refuses(400, 404, 503);
        plan.MapPost("/away", AddAway).WithName("add-away").Refuses(400, 503);
        plan.MapDelete("/away/{id:guid}", RemoveAway).WithName("remove-away").Refuses(404, 503);
        plan.MapPut("/groups", Group).WithName("put-group").Refuses(400, 409, 503);
        plan.MapPut("/tools", Tool).WithName("put-tool").Refuses(400, 409, 503);
        plan.MapPut("/roads", PutRoad).WithName("put-road").Refuses(400, 503);
    }

    public static async Task<MechanicRequest> Mechanic(Guid id, MechanicRequest request, WriteGate gate, CancellationToken cancelled) => await gate.RunAsync(async data =>
    {
        var person = await data.People.FirstOrDefaultAsync(p => p.Id == id) ?? throw new NotFoundException("There is no such person.");
        if (request.WeekHours is { } week)
        {
            if (week.Count is not (0 or 7) || week.Any(h => h is < 0 or > 24 || !double.IsFinite(h))) throw new BadInputException("weekHours", "Give the hours of seven days, Monday first, 0 to 24 each; none for somebody who is not planned.");
            person.WeekHours = [.. week];
        }
        if (request.Skills is { } skills) person.Skills = [.. skills.Distinct().Select(PlanBuilder.JsonName)];
        return request;
    }, cancelled);

    public static async Task<IReadOnlyList<AwayResponse>> AddAway(AwayRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled) => await gate.RunAsync(async data =>
    {
        if (request.PersonId is null == request.MachineId is null) throw new BadInputException("personId", "Say who is away, or which machine cannot be spared: one of the two.");
        if (request.PersonId is { } person && !await data.People.AnyAsync(p => p.Id == person)) throw new BadInputException("personId", "There is no such person.");
        if (request.MachineId is { } machine && !await data.Machines.AnyAsync(m => m.Id == machine)) throw new BadInputException("machineId", "There is no such machine.");
        var laidUp = request.LaidUp ?? false;
        if (laidUp && request.MachineId is null) throw new BadInputException("laidUp", "Only a machine is laid up; name the machine.");
        var from = request.From ?? throw new BadInputException("from", "Give the first day.");
        var to = request.To ?? from;
        if (to < from || to.DayNumber - from.DayNumber > 730) throw new BadInputException("to", "The last day is the first or after it, within two years.");
        var id = Given.NewId(request.Id);
        if (!await data.Away.AnyAsync(a => a.Id == id)) data.Away.Add(new AwayRow { Id = id, PersonId = request.PersonId, MachineId = request.MachineId, From = from, To = to, Why = Given.Text(request.Why, "why", "why, such as leave, harvest or voyage", 100), LaidUp = laidUp });
        await data.SaveChangesAsync();
        return await PlanEndpoints.AwayAsync(data, day.Today);
    }, cancelled);

    public static async Task<IReadOnlyList<AwayResponse>> RemoveAway(Guid id, WriteGate gate, FleetDay day, CancellationToken cancelled) => await gate.RunAsync(async data =>
    {
        var away = await data.Away.FirstOrDefaultAsync(a => a.Id == id) ?? throw new NotFoundException("There is no such absence.");
        data.Away.Remove(away);
        await data.SaveChangesAsync();
        return await PlanEndpoints.AwayAsync(data, day.Today);
    }, cancelled);

    public static async Task<GroupResponse> Group(GroupRequest request, WriteGate gate, CancellationToken cancelled) => await gate.RunAsync(async data =>
    {
        var name = Given.Name(request.Name, "name", "the group's name", 80);
        var most = request.MostOut is null or (>= 0 and <= 1000) ? request.MostOut ?? 1 : throw new BadInputException("mostOut", "Give how many may be out at once, 0 to 1000.");
        var id = Given.NewId(request.Id);
        await FreeName.RequireAsync<StandbyGroupRow>(data, id, name, $"There is already a group called {name}.");
        var row = await data.StandbyGroups.FirstOrDefaultAsync(g => g.Id == id);
        if (row is null) data.StandbyGroups.Add(row = new StandbyGroupRow { Id = id, Name = name });
        (row.Name, row.MostOut) = (name, most);
        if (request.EngineIds is { } engines)
        {
            if (await data.Engines.CountAsync(e => engines.Contains(e.Id)) < engines.Distinct().Count()) throw new BadInputException("engineIds", "One of these engines is not in the yard.");
            foreach (var engine in await data.Engines.Where(e => e.StandbyGroupId == id || engines.Contains(e.Id)).ToListAsync()) engine.StandbyGroupId = engines.Contains(engine.Id) ? id : null;
        }
        await data.SaveChangesAsync();
        return new GroupResponse(id, name, most, await data.Engines.Where(e => e.StandbyGroupId == id).Select(e => e.Id).ToListAsync());
    }, cancelled);

    public static async Task<ToolResponse> Tool(ToolRequest request, WriteGate gate, CancellationToken cancelled) => await gate.RunAsync(async data =>
    {
        var name = Given.Name(request.Name, "name", "the tool's name", 80);
        var count = request.Count is null or (>= 0 and <= 1000) ? request.Count ?? 1 : throw new BadInputException("count", "Give how many there are, 0 to 1000.");
        var id = Given.NewId(request.Id);
        await FreeName.RequireAsync<ToolRow>(data, id, name, $"There is already a tool called {name}.");
        var row = await data.Tools.FirstOrDefaultAsync(t => t.Id == id);
        if (row is null) data.Tools.Add(row = new ToolRow { Id = id, Name = name });
        (row.Name, row.Count) = (name, count);
        return new ToolResponse(id, name, count);
    }, cancelled);

    public static async Task<RoadRequest> PutRoad(RoadRequest request, WriteGate gate, CancellationToken cancelled) => await gate.RunAsync(async data =>
    {
        var (from, to) = (request.FromId ?? throw new BadInputException("fromId", "Choose a site."), request.ToId ?? throw new BadInputException("toId", "Choose the other site."));
        if (from == to) throw new BadInputException("toId", "Choose two different sites.");
        if (await data.Sites.CountAsync(s => s.Id == from || s.Id == to) < 2) throw new BadInputException("fromId", "There is no such site.");
        var hours = Given.InRange(Given.Number(request.Hours, "hours", "the hours on the road"), 0, 24, "hours", "The hours on the road")!.Value;
        var row = await data.Roads.FirstOrDefaultAsync(r => (r.FromId == from && r.ToId == to) || (r.FromId == to && r.ToId == from));
        if (row is null) data.Roads.Add(new RoadRow { FromId = from, ToId = to, Hours = hours });
        else row.Hours = hours;
        return request;
    }, cancelled);
}
