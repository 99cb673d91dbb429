namespace ZeroDrift.Planning;

/// <summary>What a set of placements takes of technicians' days, of groups and of tools; says what keeps another one out.</summary>
internal sealed class Occupancy
{
    private readonly ScheduleRequest request;
    private readonly Dictionary<(int Technician, int Day), Day> days = [];
    private readonly Dictionary<(string Group, int Day), List<int>> groups = [];
    private readonly Dictionary<(string Tool, int Day), List<int>> tools = [];
    private readonly Dictionary<int, Option> placed = [];
    private readonly Roads roads;
    private readonly int[] forerunner;
    private readonly ILookup<int, int> followers;
    private int furtherSites;

    public Occupancy(ScheduleRequest request)
    {
        (this.request, roads) = (request, new Roads(request.TravelHours));
        var numbers = request.Jobs.Select((j, i) => (j.Id, i)).ToDictionary(j => j.Id, j => j.i);
        forerunner = [.. request.Jobs.Select(j => j.After is { } after && numbers.TryGetValue(after.Job, out var first) ? first : -1)];
        followers = Enumerable.Range(0, forerunner.Length).Where(j => forerunner[j] >= 0).ToLookup(j => forerunner[j]);
    }

    /// <summary>One technician's day as it is taken.</summary>
    private sealed class Day
    {
        public List<(int Job, double Hours)> Work { get; } = [];
        public double Hours { get; set; }
        public List<string> Sites { get; } = [];
    }

    public void Add(Option option)
    {
        placed[option.Job] = option;
        foreach (var who in option.Crew)
            foreach (var (day, hours) in option.Work) Take(days.TryGetValue((who, day), out var known) ? known : days[(who, day)] = new Day(), (option.Job, hours));
        Held(option, (list, key) => At(list, key).Add(option.Job));
    }

    public void Remove(Option option)
    {
        placed.Remove(option.Job);
        foreach (var who in option.Crew)
        {
            foreach (var (on, _) in option.Work)
            {
                var day = days[(who, on)];
                var stays = day.Work.Where(w => w.Job != option.Job).ToList();
                furtherSites -= Math.Max(0, day.Sites.Count - 1);
                day.Work.Clear();
                day.Sites.Clear();
                // Added up anew, so that nothing is left of what was taken and given back.
                day.Hours = 0;
                foreach (var work in stays) Take(day, work);
            }
        }
        Held(option, (list, key) => list[key].Remove(option.Job));
    }

    /// <summary>Whether an option fits beside the others.</summary>
    public bool Fits(Option option) => !Check(option, null);

    /// <summary>Why an option does not fit beside the others; null where it does.</summary>
    public string? Obstacle(Option option)
    {
        string? why = null;
        Check(option, said => why = said());
        return why;
    }

    /// <summary>Sites a technician visits on a day.</summary>
    public IReadOnlyList<string> SitesOf(int technician, int day) => days.GetValueOrDefault((technician, day))?.Sites ?? [];

    /// <summary>Cost of travelling between sites.</summary>
    public double TravelCost() => request.SiteChangeCost * furtherSites;

    private void Take(Day day, (int Job, double Hours) work)
    {
        day.Work.Add(work);
        day.Hours += work.Hours;
        if (request.Jobs[work.Job].Site is not { } site || day.Sites.Contains(site)) return;
        day.Sites.Add(site);
        if (day.Sites.Count > 1) furtherSites++;
    }

    private bool Check(Option option, Action<Func<string>>? say) => Full(option, say) || OutOfGroup(option, say) || WithoutTool(option, say) || OutOfOrder(option, say);

    private bool Full(Option option, Action<Func<string>>? say)
    {
        foreach (var who in option.Crew)
        {
            var technician = request.Technicians[who];
            foreach (var (on, hours) in option.Work)
            {
                var day = days.GetValueOrDefault((who, on));
                var room = technician.HoursOn(on) - (day?.Hours ?? 0) - hours;
                if (room < -1e-9)
                {
                    say?.Invoke(() => $"{request.SayName(technician.Id)} is taken by {Names(day!.Work.Select(w => w.Job))}");
                    return true;
                }
                if (day is null || !roads.Any || request.Jobs[option.Job].Site is not { } site) continue;
                if (room < (day.Sites.Contains(site) ? roads.Through(day.Sites) : roads.Through([.. day.Sites, site])) - 1e-9)
                {
                    say?.Invoke(() => $"{request.SayName(technician.Id)} has no time for the road to {site} beside {Names(day.Work.Select(w => w.Job))}");
                    return true;
                }
            }
        }
        return false;
    }

    private bool OutOfGroup(Option option, Action<Func<string>>? say)
    {
        if (request.Jobs[option.Job].Group is not { } group || !request.GroupLimits.TryGetValue(group, out var limit)) return false;
        return TooMany(groups, group, limit, option, others => say?.Invoke(() => others.Count == 0 ? $"none of {request.SayName(group)} may be out" : $"only {limit} of {request.SayName(group)} may be out at once, and {Names(others)} is"));
    }

    private bool WithoutTool(Option option, Action<Func<string>>? say)
    {
        foreach (var tool in request.Jobs[option.Job].Tools)
            if (TooMany(tools, tool, request.ToolCounts.GetValueOrDefault(tool, 1), option, others => say?.Invoke(() => others.Count == 0 ? $"there is no {tool}" : $"the {tool} is with {Names(others)}"))) return true;
        return false;
    }

    private static bool TooMany(Dictionary<(string, int), List<int>> held, string what, int limit, Option option, Action<List<int>> say)
    {
        for (var day = option.FirstDay; day <= option.LastDay; day++)
        {
            var others = held.GetValueOrDefault((what, day)) ?? [];
            if (others.Count + 1 <= limit) continue;
            say(others);
            return true;
        }
        return false;
    }

    private bool OutOfOrder(Option option, Action<Func<string>>? say)
    {
        if (request.Jobs[option.Job].After is { } after)
        {
            if (!placed.TryGetValue(forerunner[option.Job], out var before))
            {
                say?.Invoke(() => $"{request.SayName(after.Job)} comes first and is not placed");
                return true;
            }
            if (option.FirstDay < before.LastDay + after.MinDays)
            {
                say?.Invoke(() => $"it comes {after.MinDays} days or more after {request.SayName(after.Job)}");
                return true;
            }
        }
        foreach (var follower in followers[option.Job])
        {
            if (!placed.TryGetValue(follower, out var then) || then.FirstDay >= option.LastDay + request.Jobs[follower].After!.MinDays) continue;
            say?.Invoke(() => $"{request.SayName(request.Jobs[follower].Id)} comes after it");
            return true;
        }
        return false;
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

    private string Names(IEnumerable<int> jobs) => string.Join(", ", jobs.Select(j => request.SayName(request.Jobs[j].Id)).Distinct());

    private static List<TValue> At<TKey, TValue>(Dictionary<TKey, List<TValue>> map, TKey key) where TKey : notnull =>
        map.TryGetValue(key, out var list) ? list : map[key] = [];
}
