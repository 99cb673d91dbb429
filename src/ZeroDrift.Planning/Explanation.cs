using ZeroDrift.Core;
namespace ZeroDrift.Planning;

/// <summary>Says of every job why it stands where it stands, or what keeps it out, by trying what else it could have had with the others left in place.</summary>
internal static class Explanation
{
    public static double Cost(ScheduleRequest request, IReadOnlyList<Option> chosen)
    {
        var occupancy = new Occupancy(request);
        foreach (var option in chosen) occupancy.Add(option);
        return chosen.Sum(o => o.Cost) + occupancy.TravelCost() + request.UnplacedCost * (request.Jobs.Count - chosen.Count);
    }

    public static Schedule Of(ScheduleRequest request, IReadOnlyList<List<Option>> options, IReadOnlyList<Option> chosen, ScheduleStatus status, double cost, double bound)
    {
        var occupancy = new Occupancy(request);
        foreach (var option in chosen) occupancy.Add(option);
        var placed = chosen.Select(o => o.Job).ToHashSet();
        var assignments = chosen
            .OrderBy(o => o.FirstDay).ThenBy(o => o.Technician).ThenBy(o => o.Job)
            .Select(o => new Assignment(request.Jobs[o.Job].Id, request.Technicians[o.Technician].Id, o.FirstDay, o.LastDay, Because(request, options[o.Job], o, occupancy), o.Mate is { } mate ? request.Technicians[mate].Id : null))
            .ToList();
        var left = Enumerable.Range(0, request.Jobs.Count).Where(j => !placed.Contains(j))
            .Select(j => new Unplaced(request.Jobs[j].Id, WhyOut(request, options[j], j, occupancy))).ToList();
        var moved = request.Previous.Count(p => !assignments.Exists(a => a.Job == p.Job && a.Technician == p.Technician && a.Day == p.Day));
        return new Schedule(status, cost, bound, assignments, left, moved);
    }

    /// <summary>Why a job cannot be placed even on an empty plan.</summary>
    public static string NoOption(ScheduleRequest request, int job)
    {
        var j = request.Jobs[job];
        var able = request.Technicians.Where(t => j.Skill is null || t.Skills.Contains(j.Skill)).ToList();
        if (able.Count == 0) return $"no technician knows {j.Skill}.";
        if (j.Crew > 1 && request.Technicians.Count < 2) return "it takes two, and there is only one technician.";
        if (j.EarliestDay >= request.DayCount) return $"it cannot begin before {request.SayDay(j.EarliestDay)}, after this plan ends.";
        var pins = request.Pins.Where(p => p.Job == j.Id).ToList();
        if (pins.Count > 0)
        {
            if (pins.Exists(p => p.Technician is not null && able.TrueForAll(t => t.Id != p.Technician))) return $"{request.SayName(pins[0].Technician!)} does not know {j.Skill}.";
            if (pins.Exists(p => p.Day is { } day && j.BlockedDays.Contains(day))) return $"{request.SayDay(pins[0].Day!.Value)} is blocked for it.";
            if (pins.Exists(p => p.Day < j.EarliestDay)) return $"{request.SayDay(pins[0].Day!.Value)} is before its earliest, {request.SayDay(j.EarliestDay)}.";
            if (pins.Exists(p => p.Day is { } day && able.Where(t => p.Technician is null || t.Id == p.Technician).All(t => t.HoursOn(day) <= 0))) return $"{request.SayDay(pins[0].Day!.Value)} is a day off.";
        }
        if (Enumerable.Range(j.EarliestDay, request.DayCount - j.EarliestDay).All(j.BlockedDays.Contains)) return "every day it could begin on is blocked.";
        if (able.TrueForAll(t => Enumerable.Range(0, request.DayCount).All(d => t.HoursOn(d) <= 0))) return "nobody who knows it works on any day of the plan.";
        if (j.Crew > 1) return "nobody has the same hours free as whoever knows it.";
        return $"its {Require.Text(j.Hours)} h do not fit between its blocked days and the end of the plan.";
    }

    private static string Because(ScheduleRequest request, List<Option> own, Option chosen, Occupancy occupancy)
    {
        var job = request.Jobs[chosen.Job];
        if (request.Pins.Any(p => p.Job == job.Id)) return "Pinned by the planner.";
        var stands = Stands(job, chosen);
        var better = own.Where(o => o.Cost < chosen.Cost - 1e-9).ToList();
        if (better.Count == 0) return stands + BestItCould(request, job, own, chosen);
        occupancy.Remove(chosen);
        var obstacles = better.OrderBy(o => o.Cost).Select(occupancy.Obstacle).ToList();
        occupancy.Add(chosen);
        if (obstacles.Contains(null)) return stands + (request.SiteChangeCost > 0 ? ": it shares the trip to " + (job.Site ?? "its site") + " and saves a site change." : ": moving it alone would gain nothing that the whole plan does not lose elsewhere.");
        return $"{stands}: nearer its due day {string.Join("; ", obstacles.Distinct().Take(2))}.";
    }

    private static string Stands(ScheduleJob job, Option chosen)
    {
        if (job.DueDay is not { } due) return "It has no due day";
        if (chosen.LastDay > due) return $"{Days(chosen.LastDay - due)} after its due day";
        return chosen.FirstDay < due ? $"{Days(due - chosen.FirstDay)} before its due day" : "On its due day";
    }

    private static string BestItCould(ScheduleRequest request, ScheduleJob job, List<Option> own, Option chosen)
    {
        if (job.DueDay is not { } due) return ", and this one is free.";
        if (chosen.LastDay > due && chosen.FirstDay <= job.EarliestDay) return $", the first day it may begin ({request.SayDay(job.EarliestDay)}).";
        if (chosen.LastDay > due) return own.Count == 1 ? ", the only day it fits at all." : ", and nobody who knows it could do it sooner.";
        if (chosen.FirstDay < due && chosen.LastDay > chosen.FirstDay) return $", so that its {Require.Text(job.Hours)} h are done in time.";
        if (chosen.FirstDay < due && chosen.Cost > 0) return due >= request.DayCount ? ", which lies after this plan." : ", the nearest day that is neither blocked nor off.";
        return ".";
    }

    private static string WhyOut(ScheduleRequest request, List<Option> own, int job, Occupancy occupancy)
    {
        if (own.Count == 0)
        {
            var why = NoOption(request, job);
            return char.ToUpperInvariant(why[0]) + why[1..];
        }
        var obstacles = own.OrderBy(o => o.Cost).Select(occupancy.Obstacle).ToList();
        if (obstacles.Contains(null)) return $"Placing it would cost {Require.Text(own.Min(o => o.Cost))}, more than leaving it out ({Require.Text(request.UnplacedCost)}).";
        var named = obstacles.GroupBy(o => o!).OrderByDescending(g => g.Count()).Take(2).Select(g => g.Key);
        return $"No room: {string.Join("; ", named)}.";
    }

    private static string Days(int count) => count == 1 ? "1 day" : $"{count} days";
}
