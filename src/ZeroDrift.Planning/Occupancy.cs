namespace ZeroDrift.Planning;

/// <summary>What a set of placements takes of technicians' days and of groups; says what keeps another one out.</summary>
internal sealed class Occupancy(ScheduleRequest request)
{
    private readonly Dictionary<(int Technician, int Day), List<(int Job, double Hours)>> days = [];
    private readonly Dictionary<(string Group, int Day), List<int>> groups = [];

    public void Add(Option option)
    {
        foreach (var (day, hours) in option.Work) At(days, (option.Technician, day)).Add((option.Job, hours));
        if (request.Jobs[option.Job].Group is { } group)
            for (var day = option.FirstDay; day <= option.LastDay; day++) At(groups, (group, day)).Add(option.Job);
    }

    public void Remove(Option option)
    {
        foreach (var (day, _) in option.Work) days[(option.Technician, day)].RemoveAll(w => w.Job == option.Job);
        if (request.Jobs[option.Job].Group is { } group)
            for (var day = option.FirstDay; day <= option.LastDay; day++) groups[(group, day)].Remove(option.Job);
    }

    /// <summary>Why an option does not fit beside the others; null where it does.</summary>
    public string? Obstacle(Option option)
    {
        foreach (var (day, hours) in option.Work)
        {
            var taken = days.GetValueOrDefault((option.Technician, day)) ?? [];
            var technician = request.Technicians[option.Technician];
            if (taken.Sum(w => w.Hours) + hours > technician.HoursOn(day) + 1e-9)
                return $"{technician.Id} is taken by {string.Join(", ", taken.Select(w => request.Jobs[w.Job].Id).Distinct())}";
        }
        if (request.Jobs[option.Job].Group is { } group && request.GroupLimits.TryGetValue(group, out var limit))
        {
            for (var day = option.FirstDay; day <= option.LastDay; day++)
            {
                var others = (groups.GetValueOrDefault((group, day)) ?? []).Distinct().ToList();
                if (others.Count + 1 > limit) return others.Count == 0 ? $"none of {group} may be out" : $"only {limit} of {group} may be out at once, and {string.Join(", ", others.Select(o => request.Jobs[o].Id))} is";
            }
        }
        return null;
    }

    /// <summary>Sites a technician visits on a day.</summary>
    public IEnumerable<string> SitesOf(int technician, int day) =>
        (days.GetValueOrDefault((technician, day)) ?? []).Select(w => request.Jobs[w.Job].Site).Where(s => s is not null).Select(s => s!).Distinct();

    /// <summary>Cost of travelling between sites.</summary>
    public double TravelCost() => request.SiteChangeCost * days.Keys.Sum(key => Math.Max(0, SitesOf(key.Technician, key.Day).Count() - 1));

    private static List<TValue> At<TKey, TValue>(Dictionary<TKey, List<TValue>> map, TKey key) where TKey : notnull =>
        map.TryGetValue(key, out var list) ? list : map[key] = [];
}
