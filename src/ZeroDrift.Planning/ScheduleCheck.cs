using ZeroDrift.Core;
namespace ZeroDrift.Planning;

/// <summary>Refuses a request that cannot be planned, by field.</summary>
internal static class ScheduleCheck
{
    public static void Check(ScheduleRequest request)
    {
        Require.InRange(request.DayCount, 1, 366, "dayCount", "The plan's length", "days");
        Require.InRange(request.TimeLimitSeconds, 0.1, 120, "timeLimitSeconds", "The time limit", "s");
        Cost(request.SiteChangeCost, "siteChangeCost", "The cost of a site change");
        Cost(request.UnplacedCost, "unplacedCost", "The cost of leaving a job out");
        Require.Filled(request.Technicians, 60, "technicians", "who can do the jobs");
        if (request.Jobs.Count > 500) throw new BadInputException("jobs", $"At most 500 jobs are planned at once; {request.Jobs.Count} were given.");
        Unique(request.Technicians.Select(t => t.Id), "technicians");
        Unique(request.Jobs.Select(j => j.Id), "jobs");
        for (var i = 0; i < request.Technicians.Count; i++)
        {
            Require.Filled(request.Technicians[i].HoursByDay, 366, $"technicians[{i}].hoursByDay", "the working hours of each day");
            foreach (var hours in request.Technicians[i].HoursByDay) Require.InRange(hours, 0, 24, $"technicians[{i}].hoursByDay", "Working hours", "h");
        }
        for (var i = 0; i < request.Jobs.Count; i++) CheckJob(request.Jobs[i], $"jobs[{i}]");
        foreach (var (group, limit) in request.GroupLimits) Require.InRange(limit, 0, 1000, $"groupLimits.{group}", "A group's limit");
        foreach (var (tool, count) in request.ToolCounts) Require.InRange(count, 0, 1000, $"toolCounts.{tool}", "How many there are of a tool");
        for (var i = 0; i < request.TravelHours.Count; i++) Require.InRange(request.TravelHours[i].Hours, 0, 24, $"travelHours[{i}].hours", "The hours on the road", "h");
        Cost(request.MovePerDay, "movePerDay", "The cost of a day moved");
        foreach (var (before, i) in request.Previous.Select((p, i) => (p, i))) if (before.MovePerDay is { } move) Cost(move, $"previous[{i}].movePerDay", "The cost of a day moved");
        CheckOrder(request);
        CheckPins(request);
        Unique(request.Previous.Select(p => p.Job), "previous");
    }

    private static void CheckJob(ScheduleJob job, string field)
    {
        Require.Above(job.Hours, 0, 1000, field + ".hours", "The job's length", "h");
        Require.InRange(job.EarliestDay, 0, 100_000, field + ".earliestDay", "The earliest day");
        if (job.DueDay is { } due) Require.InRange(due, -100_000, 100_000, field + ".dueDay", "The due day");
        Cost(job.LatePerDay, field + ".latePerDay", "The cost of a late day");
        Cost(job.EarlyPerDay, field + ".earlyPerDay", "The cost of an early day");
        if (job.Crew is not (1 or 2)) throw new BadInputException(field + ".crew", $"A job takes one or two; {job.Crew} was given.");
        if (job.Tools.Count > 50) throw new BadInputException(field + ".tools", "At most 50 tools are taken.");
        if (job.BlockedDays.Count > 1000) throw new BadInputException(field + ".blockedDays", "At most 1000 blocked days are taken.");
    }

    private static void CheckOrder(ScheduleRequest request)
    {
        var waits = request.Jobs.Where(j => j.After is not null).ToDictionary(j => j.Id, j => j.After!.Job);
        for (var i = 0; i < request.Jobs.Count; i++)
        {
            if (request.Jobs[i].After is not { } after) continue;
            if (request.Jobs.All(j => j.Id != after.Job)) throw new BadInputException($"jobs[{i}].after.job", $"There is no job {after.Job} to come after.");
            Require.InRange(after.MinDays, 0, 366, $"jobs[{i}].after.minDays", "The days between");
            var (at, seen) = (request.Jobs[i].Id, new HashSet<string>());
            while (waits.TryGetValue(at, out var next))
            {
                if (!seen.Add(at)) throw new BadInputException($"jobs[{i}].after.job", $"{request.Jobs[i].Id} waits in a circle; one of the jobs must come first.");
                at = next;
            }
        }
    }

    private static void CheckPins(ScheduleRequest request)
    {
        for (var i = 0; i < request.Pins.Count; i++)
        {
            var pin = request.Pins[i];
            if (request.Jobs.All(j => j.Id != pin.Job)) throw new BadInputException($"pins[{i}].job", $"There is no job {pin.Job} to pin.");
            if (pin.Technician is not null && request.Technicians.All(t => t.Id != pin.Technician)) throw new BadInputException($"pins[{i}].technician", $"There is no technician {pin.Technician}.");
            if (pin.Day is { } day) Require.InRange(day, 0, request.DayCount - 1, $"pins[{i}].day", "The pinned day");
        }
    }

    private static void Cost(double cost, string field, string what) => Require.InRange(cost, 0, 1_000_000, field, what);

    private static void Unique(IEnumerable<string> ids, string list)
    {
        var seen = new HashSet<string>();
        foreach (var (id, i) in ids.Select((id, i) => (id, i)))
            if (!seen.Add(id)) throw new BadInputException($"{list}[{i}].id", $"{id} stands twice; give each its own name.");
    }
}
