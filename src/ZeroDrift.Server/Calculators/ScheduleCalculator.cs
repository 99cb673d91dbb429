using System.Text.Json;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Planning;

namespace ZeroDrift.Server.Calculators;

public sealed record TechnicianRequest(string? Id, IReadOnlyList<string>? Skills, IReadOnlyList<double>? HoursByDay);

public sealed record JobRequest(string? Id, string? Site, string? Skill, double? Hours, int? EarliestDay, int? DueDay, double? LatePerDay, double? EarlyPerDay, IReadOnlyList<int>? BlockedDays, string? Group)
{
    /// <summary>1, or 2 where one turns and one watches.</summary>
    public int? Crew { get; init; }
    public IReadOnlyList<string>? Tools { get; init; }
    public AfterRequest? After { get; init; }
}

/// <summary>The job this one waits for, and the days between its last and this one's first.</summary>
public sealed record AfterRequest(string? Job, int? MinDays);

/// <summary>Where a job stood, and what a day's move of it costs.</summary>
public sealed record PreviousRequest(string? Job, string? Technician, int? Day, double? MovePerDay);

public sealed record PinRequest(string? Job, string? Technician, int? Day);

public sealed record ScheduleApiRequest
{
    public DateOnly? StartDate { get; init; }
    public int? DayCount { get; init; }
    public IReadOnlyList<TechnicianRequest?>? Technicians { get; init; }
    public IReadOnlyList<JobRequest?>? Jobs { get; init; }
    public IReadOnlyDictionary<string, int>? GroupLimits { get; init; }
    public double? SiteChangeCost { get; init; }
    public double? UnplacedCost { get; init; }
    public IReadOnlyList<PinRequest?>? Pins { get; init; }

    /// <summary>The plan in force; among equals the new plan moves the fewest of these.</summary>
    public IReadOnlyList<PreviousRequest?>? Previous { get; init; }

    /// <summary>Cost of each day a job is moved from there.</summary>
    public double? MovePerDay { get; init; }

    /// <summary>How many there are of each tool; one of any not named.</summary>
    public IReadOnlyDictionary<string, int>? ToolCounts { get; init; }

    /// <summary>Hours on the road: {"north":{"south":1.5}}, either way, or a list of {from, to, hours}.</summary>
    public JsonElement? TravelHours { get; init; }
    public double? TimeLimitSeconds { get; init; }
}

public sealed record AssignmentResponse(string Job, string Technician, int Day, int LastDay, DateOnly? Date, string Because, string? Mate);

public sealed record UnplacedResponse(string Job, string Reason);

public sealed record ScheduleResponse(ScheduleStatus Status, double Cost, double Bound, int Moved, IReadOnlyList<AssignmentResponse> Assignments, IReadOnlyList<UnplacedResponse> Unplaced);

internal static class ScheduleCalculator
{
    public static async Task<ScheduleResponse> Plan(ScheduleApiRequest request, CancellationToken cancelled)
    {
        var plan = ToCore(request);
        // The solver holds a thread; the request's own end stops it.
        var schedule = await Task.Run(() => Scheduler.Plan(plan, null, cancelled), CancellationToken.None);
        return new ScheduleResponse(schedule.Status, schedule.Cost, schedule.Bound, schedule.Moved,
            [.. schedule.Assignments.Select(a => new AssignmentResponse(a.Job, a.Technician, a.Day, a.LastDay, request.StartDate?.AddDays(a.Day), a.Because, a.Mate))],
            [.. schedule.Unplaced.Select(u => new UnplacedResponse(u.Job, u.Reason))]);
    }

    private static ScheduleRequest ToCore(ScheduleApiRequest request)
    {
        if (request.StartDate?.Year > 9000) throw new BadInputException("startDate", "The plan must start before the year 9000.");
        return new ScheduleRequest(
            request.DayCount ?? throw new BadInputException("dayCount", "Say how many days the plan covers."),
            [.. Given.List(request.Technicians, "technicians", "who can do the jobs", 60).Select((t, i) => new Technician(
                Given.Text(t.Id, $"technicians[{i}].id", "a name for the technician"), t.Skills ?? [], t.HoursByDay ?? []))],
            [.. (request.Jobs ?? throw new BadInputException("jobs", "Give the jobs to place.")).Select(Job)])
        {
            GroupLimits = request.GroupLimits ?? new Dictionary<string, int>(),
            SiteChangeCost = request.SiteChangeCost ?? 0,
            UnplacedCost = request.UnplacedCost ?? 1000,
            TimeLimitSeconds = request.TimeLimitSeconds ?? 10,
            Pins = [.. (request.Pins ?? []).Select((p, i) => new Pin(Given.Text(p?.Job, $"pins[{i}].job", "the job to pin"), p!.Technician, p.Day))],
            Previous = [.. (request.Previous ?? []).Select((p, i) => new Placement(
                Given.Text(p?.Job, $"previous[{i}].job", "the job"), Given.Text(p!.Technician, $"previous[{i}].technician", "its technician"), p.Day ?? throw new BadInputException($"previous[{i}].day", "Give the day it stood on."), p.MovePerDay))],
            MovePerDay = request.MovePerDay ?? 0,
            ToolCounts = request.ToolCounts ?? new Dictionary<string, int>(),
            TravelHours = RoadsFrom(request.TravelHours),
        };
    }

    private static ScheduleJob Job(JobRequest? job, int i)
    {
        if (job is null) throw new BadInputException($"jobs[{i}]", "Describe the job.");
        return new ScheduleJob(Given.Text(job.Id, $"jobs[{i}].id", "a name for the job"), job.Site, job.Skill, Given.Number(job.Hours, $"jobs[{i}].hours", "how long the job takes"))
        {
            EarliestDay = job.EarliestDay ?? 0,
            DueDay = job.DueDay,
            LatePerDay = job.LatePerDay ?? 0,
            EarlyPerDay = job.EarlyPerDay ?? 0,
            BlockedDays = job.BlockedDays ?? [],
            Group = job.Group,
            Crew = job.Crew ?? 1,
            Tools = [.. (job.Tools ?? []).Select((t, k) => Given.Text(t, $"jobs[{i}].tools[{k}]", "the tool"))],
            After = job.After is { } after ? new After(Given.Text(after.Job, $"jobs[{i}].after.job", "the job before"), after.MinDays ?? 0) : null,
        };
    }

    private static IReadOnlyList<Road> RoadsFrom(JsonElement? given)
    {
        const string What = "Give the roads as {\"north\":{\"south\":1.5}} or as a list of from, to and hours.";
        return given switch
        {
            null or { ValueKind: JsonValueKind.Null or JsonValueKind.Undefined } => [],
            { ValueKind: JsonValueKind.Object } sites => [.. sites.EnumerateObject().SelectMany(from => from.Value.ValueKind == JsonValueKind.Object
                ? from.Value.EnumerateObject().Select(to => new Road(from.Name, to.Name, Hours(to.Value, $"travelHours.{from.Name}.{to.Name}")))
                : throw new BadInputException($"travelHours.{from.Name}", What))],
            { ValueKind: JsonValueKind.Array } list => [.. list.EnumerateArray().Select((road, i) => road.ValueKind == JsonValueKind.Object
                ? new Road(Site(road, "from", i), Site(road, "to", i), Hours(road.TryGetProperty("hours", out var hours) ? hours : default, $"travelHours[{i}].hours"))
                : throw new BadInputException($"travelHours[{i}]", What))],
            _ => throw new BadInputException("travelHours", What),
        };
    }

    private static string Site(JsonElement road, string end, int i) =>
        Given.Text(road.TryGetProperty(end, out var site) && site.ValueKind == JsonValueKind.String ? site.GetString() : null, $"travelHours[{i}].{end}", "the site");

    private static double Hours(JsonElement given, string field) =>
        given.ValueKind == JsonValueKind.Number && given.TryGetDouble(out var hours) ? hours : throw new BadInputException(field, "Give the hours on the road as a number.");
}
