using Google.OrTools.Sat;

namespace ZeroDrift.Planning;

/// <summary>One person's part in one way to place a job, as the solver chooses it.</summary>
/// <param name="Option">The way; of a crew's many pairs the first with this lead, or this mate.</param>
/// <param name="Technician">Whose part.</param>
/// <param name="Leads">The first of the crew, or the only one.</param>
/// <param name="Chosen">Whether it is taken.</param>
internal sealed record Part(Option Option, int Technician, bool Leads, BoolVar Chosen);

/// <summary>
/// The parts of all jobs. The second of a crew is chosen apart from the first, tied only by the days and hours they share: far fewer choices than
/// every pair of people.
/// </summary>
internal sealed class Placing
{
    private readonly Dictionary<(int Job, int Technician, int FirstDay), Part> leads = [];
    private readonly Dictionary<(int Job, int Technician, string Days), Part> mates = [];
    private readonly ILookup<(int Job, int Technician, int FirstDay), Option> pairs;

    public Placing(CpModel model, IReadOnlyList<List<Option>> options)
    {
        pairs = options.SelectMany(o => o).ToLookup(Lead);
        foreach (var option in options.SelectMany(o => o))
        {
            if (!leads.ContainsKey(Lead(option))) leads[Lead(option)] = new Part(option, option.Technician, true, model.NewBoolVar(""));
            if (option.Mate is { } mate && !mates.ContainsKey((option.Job, mate, Days(option)))) mates[(option.Job, mate, Days(option))] = new Part(option, mate, false, model.NewBoolVar(""));
        }
        Tie(model);
        ByJob = leads.Values.ToLookup(p => p.Option.Job);
    }

    /// <summary>Those who lead, by job: one of them is chosen where the job is placed.</summary>
    public ILookup<int, Part> ByJob { get; }

    /// <summary>Those who lead.</summary>
    public IEnumerable<Part> Leads => leads.Values;

    /// <summary>Everyone's.</summary>
    public IEnumerable<Part> All => leads.Values.Concat(mates.Values);

    /// <summary>Starts the search from a plan.</summary>
    public void Hint(CpModel model, IReadOnlyList<Option> plan)
    {
        var (led, seconded) = (plan.Select(Lead).ToHashSet(), plan.Where(o => o.Mate is not null).Select(o => (o.Job, o.Mate!.Value, Days(o))).ToHashSet());
        foreach (var (key, part) in leads) model.AddHint(part.Chosen, led.Contains(key));
        foreach (var (key, part) in mates) model.AddHint(part.Chosen, seconded.Contains(key));
    }

    /// <summary>What was chosen.</summary>
    public List<Option> Chosen(Func<BoolVar, bool> taken)
    {
        var seconds = mates.Where(m => taken(m.Value.Chosen)).ToLookup(m => m.Key.Job, m => m.Value.Technician);
        return [.. leads.Where(l => taken(l.Value.Chosen)).Select(l => pairs[l.Key].First(o => o.Mate is null || seconds[o.Job].Contains(o.Mate.Value)))];
    }

    /// <summary>Where somebody leads, one other is second over the same days and hours.</summary>
    private void Tie(CpModel model)
    {
        var seconds = mates.ToLookup(m => (m.Key.Job, m.Key.Days), m => m.Value);
        foreach (var crew in leads.Values.Where(l => l.Option.Mate is not null).GroupBy(l => (l.Option.Job, Days: Days(l.Option))))
        {
            model.Add(LinearExpr.Sum(crew.Select(l => l.Chosen)) == LinearExpr.Sum(seconds[crew.Key].Select(m => m.Chosen)));
            foreach (var lead in crew)
                foreach (var same in seconds[crew.Key].Where(m => m.Technician == lead.Technician)) model.AddAtMostOne([lead.Chosen, same.Chosen]);
        }
    }

    private static (int Job, int Technician, int FirstDay) Lead(Option option) => (option.Job, option.Technician, option.FirstDay);

    private static string Days(Option option) => string.Join(';', option.Work.Select(w => FormattableString.Invariant($"{w.Day}:{w.Hours}")));
}
