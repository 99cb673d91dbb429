namespace ZeroDrift.Planning;

/// <summary>What a set of placements takes of technicians' days, of groups and of tools; says what keeps another one out.</summary>
internal sealed class Occupancy(ScheduleRequest request)
{
    private readonly Dictionary<(int Technician, int Day), List<(int Job, double Hours)>> days = [];
    private readonly Dictionary<(string Group, int Day), List<int>> groups = [];
    private readonly Dictionary<(string Tool, int Day), List<int>> tools = [];
    private readonly Dictionary<int, Option> placed = [];
    private readonly Roads roads = new(request.TravelHours);
    private readonly Dictionary<string, int> numbers = request.Jobs.Select((j, i) => (j.Id, i)).ToDictionary(j => j.Id, j => j.i);

    public void Add(Option option)
    {
        placed[option.Job] = option;
        foreach (var who in option.Crew)
            foreach (var (day, hours) in option.Work) At(days, (who, day)).Add((option.Job, hours));
        Held(option, (list, key) => At(list, key).Add(option.Job));
    }

    public void Remove(Option option)
    {
        placed.Remove(option.Job);
        foreach (var who in option.Crew)
            foreach (var (day, _) in option.Work) days[(who, day)].RemoveAll(w => w.Job == option.Job);
        Held(option, (list, key) => list[key].Remove(option.Job));
    }

    /// <summary>Why an option does not fit beside the others; null where it does.</summary>
    public string? Obstacle(Option option) => Full(option) ?? OutOfGroup(option) ?? WithoutTool(option) ?? OutOfOrder(option);

    /// <summary>Sites a technician visits on a day.</summary>
    public IEnumerable<string> SitesOf(int technician, int day) =>
        (days.GetValueOrDefault((technician, day)) ?? []).Select(w => request.Jobs[w.Job].Site).Where(s => s is not null).Select(s => s!).Distinct();

    /// <summary>Cost of travelling between sites.</summary>
    public double TravelCost() => request.SiteChangeCost * days.Keys.Sum(key => Math.Max(0, SitesOf(key.Technician, key.Day).Count() - 1));

    private string? Full(Option option)
    {
        foreach (var who in option.Crew)
        {
            var technician = request.Technicians[who];
            foreach (var (day, hours) in option.Work)
            {
                var taken = days.GetValueOrDefault((who, day)) ?? [];
                var room = technician.HoursOn(day) - taken.Sum(w => w.Hours) - hours;
                if (room < -1e-9) return $"{technician.Id} is taken by {Names(taken.Select(w => w.Job))}";
                if (roads.Any && request.Jobs[option.Job].Site is { } site && room < roads.Through([.. SitesOf(who, day).Append(site).Distinct()]) - 1e-9)
                    return $"{technician.Id} has no time for the road to {site} beside {Names(taken.Select(w => w.Job))}";
            }
        }
        return null;
    }

    private string? OutOfGroup(Option option)
    {
        if (request.Jobs[option.Job].Group is not { } group || !request.GroupLimits.TryGetValue(group, out var limit)) return null;
        for (var day = option.FirstDay; day <= option.LastDay; day++)
        {
            var others = (groups.GetValueOrDefault((group, day)) ?? []).Distinct().ToList();
            if (others.Count + 1 > limit) return others.Count == 0 ? $"none of {group} may be out" : $"only {limit} of {group} may be out at once, and {Names(others)} is";
        }
        return null;
    }

    private string? WithoutTool(Option option)
    {
        foreach (var tool in request.Jobs[option.Job].Tools.Distinct())
        {
            var count = request.ToolCounts.GetValueOrDefault(tool, 1);
            for (var day = option.FirstDay; day <= option.LastDay; day++)
            {
                var others = (tools.GetValueOrDefault((tool, day)) ?? []).Distinct().ToList();
                if (others.Count + 1 > count) return others.Count == 0 ? $"there is no {tool}" : $"the {tool} is with {Names(others)}";
            }
        }
        return null;
    }

    private string? OutOfOrder(Option option)
    {
        if (request.Jobs[option.Job].After is { } after)
        {
            if (!placed.TryGetValue(numbers[after.Job], out var before)) return $"{after.Job} comes first and is not placed";
            if (option.FirstDay < before.LastDay + after.MinDays) return $"it comes {after.MinDays} days or more after {after.Job}";
        }
        var follower = placed.Values.FirstOrDefault(p => request.Jobs[p.Job].After is { } waits && numbers[waits.Job] == option.Job && p.FirstDay < option.LastDay + waits.MinDays);
        return follower is null ? null : $"{request.Jobs[follower.Job].Id} comes after it";
    }

    private void Held(Option option, Action<Dictionary<(string, int), List<int>>, (string, int)> change)
    {
        var job = request.Jobs[option.Job];
        for (var day = option.FirstDay; day <= option.LastDay; day++)
        {
            if (job.Group is { } group) change(groups, (group, day));
            foreach (var tool in job.Tools.Distinct()) change(tools, (tool, day));
        }
    }

    private string Names(IEnumerable<int> jobs) => string.Join(", ", jobs.Select(j => request.Jobs[j].Id).Distinct());

    private static List<TValue> At<TKey, TValue>(Dictionary<TKey, List<TValue>> map, TKey key) where TKey : notnull =>
        map.TryGetValue(key, out var list) ? list : map[key] = [];
}
