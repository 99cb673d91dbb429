namespace ZeroDrift.Planning;

/// <summary>What placing one job somewhere would mean, by the same rules as the solver's.</summary>
/// <param name="Obstacle">What stands in the way; null where it fits.</param>
/// <param name="LastDay">Its last day there.</param>
/// <param name="Mate">Who would be second; null where it takes one.</param>
/// <param name="LateDays">Days its last lies after its due day.</param>
/// <param name="EarlyDays">Days its first lies before its due day.</param>
/// <param name="CostChange">What the plan's cost changes by.</param>
public sealed record PlanCheck(string? Obstacle, int LastDay, string? Mate, int LateDays, int EarlyDays, double CostChange)
{
    /// <summary>Tries a job at a day with a technician, the others left where they stand.</summary>
    /// <param name="request">What is planned; its pins are not asked.</param>
    /// <param name="others">Where the other jobs stand.</param>
    /// <param name="job">The job tried.</param>
    /// <param name="technician">Who would lead it.</param>
    /// <param name="day">Its first day.</param>
    public static PlanCheck Of(ScheduleRequest request, IReadOnlyList<Assignment> others, string job, string technician, int day)
    {
        var plain = request with { Pins = [] };
        var number = Number(plain.Jobs, j => j.Id == job, "job");
        var who = Number(plain.Technicians, t => t.Id == technician, "technician");
        var there = Option.Of(plain with { Pins = [new Pin(job, technician, day)] }, number);
        if (there.Count == 0) return new PlanCheck(WhyNever(plain, number, who, day), day, null, 0, 0, 0);
        var occupancy = new Occupancy(plain);
        var standing = others.Where(o => o.Job != job).Select(o => Standing(plain, o)).OfType<Option>().ToList();
        foreach (var option in standing) occupancy.Add(option);
        var tries = there.Select(o => (Option: o, Obstacle: occupancy.Obstacle(o))).ToList();
        var (chosen, obstacle) = tries.Find(t => t.Obstacle is null) is { Option: not null } free ? free : tries[0];
        var due = plain.Jobs[number].DueDay;
        return new PlanCheck(
            obstacle,
            chosen.LastDay,
            chosen.Mate is { } mate ? plain.Technicians[mate].Id : null,
            due is { } d ? Math.Max(0, chosen.LastDay - d) : 0,
            due is { } e ? Math.Max(0, e - chosen.FirstDay) : 0,
            obstacle is null ? Explanation.Cost(plain, [.. standing, chosen]) - Explanation.Cost(plain, [.. others.Select(o => Standing(plain, o)).OfType<Option>()]) : 0);
    }

    private static Option? Standing(ScheduleRequest request, Assignment at)
    {
        var job = request.Jobs.Select((j, i) => (j, i)).FirstOrDefault(j => j.j.Id == at.Job, (null!, -1)).Item2;
        return job < 0 ? null : Option.Of(request with { Pins = [new Pin(at.Job, at.Technician, at.Day)] }, job).Find(o => at.Mate is null || (o.Mate is { } mate && request.Technicians[mate].Id == at.Mate));
    }

    private static string WhyNever(ScheduleRequest request, int job, int technician, int day)
    {
        var (j, t) = (request.Jobs[job], request.Technicians[technician]);
        if (j.Skill is not null && !t.Skills.Contains(j.Skill)) return $"{t.Id} does not know this kind ({j.Skill})";
        if (day < j.EarliestDay) return $"it cannot begin before {request.SayDay(j.EarliestDay)}";
        if (t.HoursOn(day) <= 0) return $"{t.Id} is off on {request.SayDay(day)}";
        if (j.BlockedDays.Contains(day)) return $"it cannot be spared on {request.SayDay(day)}";
        if (j.Crew > 1) return "nobody has the same hours free to be second";
        return "its hours do not fit before it is needed again or the plan ends";
    }

    private static int Number<T>(IReadOnlyList<T> list, Func<T, bool> is_, string what)
    {
        for (var i = 0; i < list.Count; i++) if (is_(list[i])) return i;
        throw new ZeroDrift.Core.BadInputException(what, $"There is no such {what} in this plan.");
    }
}
