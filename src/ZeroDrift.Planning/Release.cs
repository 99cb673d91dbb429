namespace ZeroDrift.Planning;

/// <summary>One thing that, given way, lets a job in where the others stand.</summary>
/// <param name="What">In a sentence.</param>
/// <param name="Size">How much is asked, smallest first: about the hours somebody gives up (common practice, no source).</param>
/// <param name="Technician">Who would lead it then.</param>
/// <param name="Day">From which day.</param>
public sealed record Release(string What, double Size, string Technician, int Day)
{
    private static readonly double[] LongerBy = [0.5, 1, 1.5, 2, 3, 4];

    /// <summary>The smallest ways to make a job fit, one of each kind, smallest first; empty where no single one does.</summary>
    /// <param name="request">What is planned; its pins are not asked.</param>
    /// <param name="others">Where the other jobs stand.</param>
    /// <param name="pinned">Which of them are pinned.</param>
    /// <param name="job">The job that does not fit.</param>
    public static IReadOnlyList<Release> For(ScheduleRequest request, IReadOnlyList<Assignment> others, IReadOnlySet<string> pinned, string job)
    {
        var plain = request with { Pins = [] };
        var number = Enumerable.Range(0, plain.Jobs.Count).First(i => plain.Jobs[i].Id == job);
        var j = plain.Jobs[number];
        var standing = PlanCheck.Standing(plain, [.. others.Where(o => o.Job != job)]);
        var found = new List<Release?>
        {
            LongerBy.Select(more => Try(plain with { Technicians = [.. plain.Technicians.Select(t => Longer(t, more))] }, more, o => $"{Names(o)} {(o.Mate is null ? "works" : "work")} {more:0.#} h longer on {Day(o)}")).FirstOrDefault(r => r is not null),
            j.EarliestDay > 0 ? Try(With(j with { EarliestDay = 0 }), 2, o => $"it can begin by {Day(o)}, its parts here or the wait shorter") : null,
            j.BlockedDays.Count > 0 ? Try(With(j with { BlockedDays = [] }), 5, o => $"the machine is spared from {Day(o)}") : null,
            j.Group is { } group && plain.GroupLimits.TryGetValue(group, out var limit) ? Try(plain with { GroupLimits = plain.GroupLimits.ToDictionary(g => g.Key, g => g.Key == group ? limit + 1 : g.Value) }, 6, o => $"{limit + 1} of {plain.SayName(group)} may be out from {Day(o)}") : null,
            j.Skill is { } skill ? Try(With(j with { Skill = null }), 8, o => $"{plain.SayName(plain.Technicians[o.Technician].Id)} does this kind ({skill}) on {Day(o)}") : null,
            Try(plain with { Technicians = [.. plain.Technicians.Select(EveryDay)] }, 8, o => $"{Names(o)} {(o.Mate is null ? "works" : "work")} on {Day(o)}, a day off"),
        };
        found.AddRange(j.Tools.Select(tool => Try(plain with { ToolCounts = plain.ToolCounts.Where(t => t.Key != tool).Append(new(tool, plain.ToolCounts.GetValueOrDefault(tool, 1) + 1)).ToDictionary() }, 4, o => $"one more {tool} is had on {Day(o)}")));
        found.AddRange(pinned.Where(p => p != job).Select(p => Try(plain, 3, o => $"{plain.SayName(p)} is unpinned, and this is done on {Day(o)}", p)));
        return [.. found.OfType<Release>().GroupBy(r => r.What).Select(g => g.First()).OrderBy(r => r.Size)];

        Release? Try(ScheduleRequest eased, double size, Func<Option, string> say, string? without = null)
        {
            var occupancy = new Occupancy(eased);
            foreach (var option in standing) if (without is null || plain.Jobs[option.Job].Id != without) occupancy.Add(option);
            return Option.Of(eased, number).OrderBy(o => o.Cost).FirstOrDefault(occupancy.Fits) is { } fits ? new Release(say(fits) + ".", size, plain.Technicians[fits.Technician].Id, fits.FirstDay) : null;
        }
        ScheduleRequest With(ScheduleJob changed) => plain with { Jobs = [.. plain.Jobs.Select((other, i) => i == number ? changed : other)] };
        string Day(Option o) => plain.SayDay(o.FirstDay);
        string Names(Option o) => string.Join(" and ", o.Crew.Select(who => plain.SayName(plain.Technicians[who].Id)));
    }

    private static Technician Longer(Technician t, double more) => t with { HoursByDay = [.. t.HoursByDay.Select(h => h > 0 ? Math.Min(24, h + more) : 0)] };

    private static Technician EveryDay(Technician t) => t.HoursByDay.Max() is > 0 and var full ? t with { HoursByDay = [.. t.HoursByDay.Select(h => h > 0 ? h : full)] } : t;
}
