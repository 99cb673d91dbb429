namespace ZeroDrift.Planning;

/// <summary>A plan by simple habit: pinned jobs first, then the costliest to be late, each where it costs least. Gives the solver a start, and stands in where time runs out at once.</summary>
internal static class GreedyPlan
{
    public static List<Option> Make(ScheduleRequest request, IReadOnlyList<List<Option>> options)
    {
        var pinned = request.Pins.Select(p => p.Job).ToHashSet();
        var before = request.Previous.ToDictionary(p => p.Job);
        var occupancy = new Occupancy(request);
        var plan = new List<Option>();
        var order = Enumerable.Range(0, request.Jobs.Count)
            .OrderBy(j => Depth(request, j))
            .ThenByDescending(j => pinned.Contains(request.Jobs[j].Id))
            .ThenByDescending(j => request.Jobs[j].LatePerDay)
            .ThenBy(j => request.Jobs[j].DueDay ?? int.MaxValue)
            .ThenBy(j => j);
        foreach (var job in order)
        {
            Option? best = null;
            var bestCost = double.PositiveInfinity;
            foreach (var option in options[job])
            {
                if (option.Cost > bestCost + 1e-9 || !occupancy.Fits(option)) continue;
                var cost = option.Cost + Travel(request, occupancy, option) + (IsBefore(request, before, option) ? -1e-3 : 0);
                if (cost < bestCost - 1e-12) (best, bestCost) = (option, cost);
            }
            if (best is null || (bestCost > request.UnplacedCost && !pinned.Contains(request.Jobs[job].Id))) continue;
            occupancy.Add(best);
            plan.Add(best);
        }
        return plan;
    }

    /// <summary>How many jobs it waits for, one behind another.</summary>
    private static int Depth(ScheduleRequest request, int job)
    {
        var depth = 0;
        for (var after = request.Jobs[job].After; after is not null && depth <= request.Jobs.Count; depth++) after = request.Jobs.First(j => j.Id == after.Job).After;
        return depth;
    }

    public static bool IsBefore(ScheduleRequest request, IReadOnlyDictionary<string, Placement> before, Option option) =>
        before.TryGetValue(request.Jobs[option.Job].Id, out var was) && was.Technician == request.Technicians[option.Technician].Id && was.Day == option.FirstDay;

    public static double Travel(ScheduleRequest request, Occupancy occupancy, Option option)
    {
        if (request.SiteChangeCost == 0 || request.Jobs[option.Job].Site is not { } site) return 0;
        return request.SiteChangeCost * option.Crew.Sum(who => option.Work.Count(w => occupancy.SitesOf(who, w.Day) is { Count: > 0 } sites && !sites.Contains(site)));
    }
}
