using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Hours;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Outlooks;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.DueList;

/// <summary>An operator's slip (`symptoms`), or a follow-up (`what`, by a day or after so many engine hours).</summary>
public sealed record CallRequest(Guid? Id, IReadOnlyList<Symptom>? Symptoms, string? What, DateOnly? Date, double? InHours, string? Who);

public sealed record CloseCallRequest(string? Why, string? Who);

/// <summary>Settings to try without keeping them: the fleet's risk, what a breach costs, and how much more or less the engines run.</summary>
public sealed record TryRequest(double? Risk, double? BreachCost, double? UsageFactor);

public sealed record TriedEngine(Guid EngineId, string Name, DueAnswerResponse Before, DueAnswerResponse After, double? RiskHours);

/// <summary>Slips and follow-ups, and the due list under other settings.</summary>
internal static class CallEndpoints
{
    public static void MapCalls(this IEndpointRouteBuilder api)
    {
        api.MapPost("/engines/{id:guid}/calls", Add).WithTags("Due").WithName("add-call").Refuses(400, 404, 409, 503);
        api.MapPost("/calls/{id:guid}/close", Close).WithTags("Due").WithName("close-call").Refuses(400, 404, 503);
        api.MapPost("/due/try", Try).WithTags("Due").WithName("try-due").Refuses(400);
        api.MapGet("/due/calendar.ics", DueCalendar.WriteAsync).WithTags("Due").WithName("get-due-calendar").Produces<string>(200, "text/calendar");
        api.MapGet("/due/letter.eml", DueLetter.WriteAsync).WithTags("Due").WithName("get-due-letter").Produces<string>(200, "message/rfc822");
    }

    public static async Task<DueRow> Add(Guid id, CallRequest request, WriteGate gate, Yard yard, FleetDay day, CancellationToken cancelled)
    {
        var symptoms = (request.Symptoms ?? []).Distinct().ToList();
        var what = Given.OptionalText(request.What, "what", "what was noticed", 500);
        if (symptoms.Count == 0 && what is null) throw new BadInputException("symptoms", "Tick what was noticed, or write what is to be looked at.");
        var today = day.At(id);
        return await gate.RunAsync(async data =>
        {
            if (!await data.Engines.AnyAsync(e => e.Id == id && e.ArchivedAt == null)) throw new NotFoundException("There is no such engine.");
            var callId = Given.NewId(request.Id);
            if (await data.Calls.AsNoTracking().FirstOrDefaultAsync(c => c.Id == callId) is { } stands)
            {
                if (stands.EngineId != id || stands.What != (what ?? "")) throw new ConflictException("differs", "id", "That identifier is another report.");
                return (await yard.AllAsync(data, id))[0];
            }
            var row = new CallRow { Id = callId, EngineId = id, Rule = symptoms.Count > 0 ? DueRule.Symptom : DueRule.FollowUp, Symptoms = symptoms, What = what ?? "", Who = Given.OptionalText(request.Who, "who", "who noticed it", 80), At = day.Now };
            if (row.Rule == DueRule.Symptom) row.Date = today.AddDays(EngineCall.DaysFor(symptoms));
            else if (request.InHours is { } hours)
            {
                Given.Above(hours, 0, 100_000, "inHours", "The engine hours until then", "h");
                var now = await data.Outlooks.Where(o => o.EngineId == id).Select(o => o.Content).FirstOrDefaultAsync();
                row.AtHours = (now is null ? 0 : OutlookContent.Of(now).On(today).HoursNow) + hours;
            }
            else row.Date = request.Date ?? throw new BadInputException("date", "Give the day, or after how many engine hours.");
            if (row.Date < today) throw new BadInputException("date", "That day is past; give today or later.");
            data.Calls.Add(row);
            await data.SaveChangesAsync();
            return (await yard.AllAsync(data, id))[0];
        }, cancelled);
    }

    public static async Task<DueRow> Close(Guid id, CloseCallRequest request, WriteGate gate, Yard yard, FleetDay day, CancellationToken cancelled)
    {
        var why = Given.Text(request.Why, "why", "why it is closed", 500);
        return await gate.RunAsync(async data =>
        {
            var row = await data.Calls.FirstOrDefaultAsync(c => c.Id == id) ?? throw new NotFoundException("There is no such report.");
            row.ClosedAt ??= day.Now;
            row.Why ??= $"{why}{(request.Who is { Length: > 0 } who ? $" ({who})" : "")}";
            await data.SaveChangesAsync();
            return (await yard.AllAsync(data, row.EngineId))[0];
        }, cancelled);
    }

    /// <summary>What would move under other settings; nothing is kept.</summary>
    public static async Task<IReadOnlyList<TriedEngine>> Try(TryRequest request, ZeroDriftContext data, Yard yard, FleetDay day, CancellationToken cancelled)
    {
        var fleet = await data.SettingsAsync();
        var risk = request.Risk is null or (> 0 and < 1) ? request.Risk ?? fleet.Risk : throw new BadInputException("risk", "A risk lies between 0 and 1, such as 0.05.");
        var cost = request.BreachCost is null or (> 0 and <= 10_000) ? request.BreachCost ?? fleet.BreachCost : throw new BadInputException("breachCost", "Give what a burnt valve costs in overheads, above 0.");
        var factor = request.UsageFactor is null or (>= 0.1 and <= 10) ? request.UsageFactor ?? 1 : throw new BadInputException("usageFactor", "Give how much they run beside now, 0.1 to 10 times.");
        var rows = (await yard.AllAsync(data, cancelled: cancelled)).ToDictionary(r => r.EngineId);
        var changed = new List<TriedEngine>();
        foreach (var type in await data.EngineTypes.AsNoTracking().Select(t => t.Id).ToListAsync(cancelled))
        {
            foreach (var row in (await OutlookKeeper.FitAsync(data, type, day.Today, new Core.Outlook.FleetRisk(risk, cost, fleet.PlainRisk), cancelled))?.Rows ?? [])
            {
                if (!rows.TryGetValue(row.EngineId, out var before)) continue;
                var o = OutlookContent.Of(row.Content);
                var usage = o.Usage with { HoursPerDay = Math.Min(24, o.Usage.HoursPerDay * factor), Low = Math.Min(24, o.Usage.Low * factor), High = Math.Min(24, o.Usage.High * factor) };
                var calls = before.Calls.Select(c => new EngineCall(c.Rule, c.Date, EngineHours.Of(c.AtHours))).ToList();
                var after = Due.Of(o.Book, o.HoursNow, day.Today, usage, o.DueByDriftHours, o.Findings.Count > 0, calls).Decides;
                if (after.Rule == before.Decides.Rule && after.Date == before.Decides.Date) continue;
                changed.Add(new TriedEngine(row.EngineId, before.Name, before.Decides, new DueAnswerResponse(after.Rule, after.Hours, after.Date), o.DriftHours));
            }
        }
        return [.. changed.OrderBy(c => c.After.Date ?? DateOnly.MaxValue).ThenBy(c => c.Name)];
    }
}
