using ZeroDrift.Core;

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
    /// <param name="mate">Who must be the second; null for whoever can.</param>
    public static PlanCheck Of(ScheduleRequest request, IReadOnlyList<Assignment> others, string job, string technician, int day, string? mate = null)
    {
        var plain = request with { Pins = [] };
        var number = Number(plain.Jobs, j => j.Id == job, "job");
        var who = Number(plain.Technicians, t => t.Id == technician, "technician");
        var there = Option.Of(plain with { Pins = [new Pin(job, technician, day)] }, number);
        if (there.Count == 0) return new PlanCheck(WhyNever(plain, number, who, day), day, null, 0, 0, 0);
        if (mate is not null)
        {
            there = there.FindAll(o => o.Mate is { } second && plain.Technicians[second].Id == mate);
            if (there.Count == 0) return new PlanCheck($"{plain.SayName(mate)} has not the hours to be second on {plain.SayDay(day)}", day, null, 0, 0, 0);
        }
        var before = Standing(plain, others);
        var standing = before.Where(o => o.Job != number).ToList();
        var occupancy = new Occupancy(plain);
        foreach (var option in standing) occupancy.Add(option);
        var tries = there.Select(o => (Option: o, Obstacle: occupancy.Obstacle(o))).ToList();
        var (chosen, obstacle) = tries.Find(t => t.Obstacle is null) is { Option: not null } free ? free : tries[0];
        var off = plain.Jobs[number].DueDay is { } due ? (Late: Math.Max(0, chosen.LastDay - due), Early: Math.Max(0, due - chosen.FirstDay)) : default;
        return new PlanCheck(
            obstacle,
            chosen.LastDay,
            chosen.Mate is { } with ? plain.Technicians[with].Id : null,
            off.Late,
            off.Early,
            obstacle is null ? Explanation.Cost(plain, [.. standing, chosen]) - Explanation.Cost(plain, before) : 0);
    }

    /// <summary>What of a draft can stand no more where it stands, the second of a crew included, and why; the rest is looked at once.</summary>
    /// <param name="request">What is planned; its pins are not asked.</param>
    /// <param name="draft">Where the jobs stand; only jobs of the request.</param>
    public static IReadOnlyList<(Assignment At, string Obstacle)> Broken(ScheduleRequest request, IReadOnlyList<Assignment> draft)
    {
        var plain = request with { Pins = [] };
        var numbers = Numbers(plain);
        var placed = draft.Select(at => (At: at, Option: There(plain, numbers[at.Job], at))).ToList();
        var occupancy = new Occupancy(plain);
        foreach (var (_, option) in placed) if (option is not null) occupancy.Add(option);
        var broken = new List<(Assignment, string)>();
        foreach (var (at, option) in placed)
        {
            if (option is null)
            {
                broken.Add((at, Of(plain, [], at.Job, at.Technician, at.Day, at.Mate).Obstacle!));
                continue;
            }
            occupancy.Remove(option);
            if (occupancy.Obstacle(option) is { } obstacle) broken.Add((at, obstacle));
            occupancy.Add(option);
        }
        return broken;
    }

    /// <summary>Where jobs stand, as the planner knows it; what can stand there no more is left out.</summary>
    internal static List<Option> Standing(ScheduleRequest request, IReadOnlyList<Assignment> at)
    {
        var numbers = Numbers(request);
        return [.. at.Where(a => numbers.ContainsKey(a.Job)).Select(a => There(request, numbers[a.Job], a)).OfType<Option>()];
    }

    private static Dictionary<string, int> Numbers(ScheduleRequest request) => request.Jobs.Select((j, i) => (j.Id, i)).ToDictionary(j => j.Id, j => j.i);

    /// <summary>A job where it stands, with its second where one is named; null where that cannot be.</summary>
    private static Option? There(ScheduleRequest request, int job, Assignment at) =>
        Option.Of(request with { Pins = [new Pin(at.Job, at.Technician, at.Day)] }, job).Find(o => at.Mate is null || (o.Mate is { } mate && request.Technicians[mate].Id == at.Mate));

    private static string WhyNever(ScheduleRequest request, int job, int technician, int day)
    {
        var (j, t) = (request.Jobs[job], request.Technicians[technician]);
        if (j.Skill is not null && !t.Skills.Contains(j.Skill)) return $"{request.SayName(t.Id)} does not know this kind ({j.Skill})";
        if (day < j.EarliestDay) return $"it cannot begin before {request.SayDay(j.EarliestDay)}";
        if (t.HoursOn(day) <= 0) return $"{request.SayName(t.Id)} is off on {request.SayDay(day)}";
        if (j.BlockedDays.Contains(day)) return $"it cannot be spared on {request.SayDay(day)}";
        if (j.Crew > 1) return "nobody has the same hours free to be second";
        return "its hours do not fit before it is needed again or the plan ends";
    }

    private static int Number<T>(IReadOnlyList<T> list, Func<T, bool> isIt, string what)
    {
        for (var i = 0; i < list.Count; i++) if (isIt(list[i])) return i;
        throw new BadInputException(what, $"There is no such {what} in this plan.");
    }
}
