namespace ZeroDrift.Planning;

/// <summary>
/// Betters a plan by taking out a few jobs near each other and putting them back where each costs least, over and over ("ruin and recreate":
/// Schrimpf, Schneider, Stamm-Wilbrandt and Dueck, 2000). A large search begins from a good plan so, and its bound has something to meet. Seeded,
/// and counted in rounds: the same input gives the same plan.
/// </summary>
internal sealed class Recreation
{
    private const int Seed = 11;
    private const int FewestOut = 3;
    private const int MostOut = 18;

    /// <summary>A plan so much dearer is still gone on from at first, so as not to be caught in the first good one.</summary>
    private const double WorseAtFirst = 0.03;

    /// <summary>Now and then a way is overlooked, so that the same jobs are not put back the same.</summary>
    private const double Overlooked = 0.02;

    /// <summary>Moving a job from where it stood costs this at least, so that nothing moves for nothing.</summary>
    private const double Stays = 1e-3;

    private readonly ScheduleRequest request;
    private readonly IReadOnlyList<List<Option>> options;
    private readonly Occupancy occupancy;
    private readonly Random random = new(Seed);
    private readonly Option?[] placed;
    private readonly int[] before;
    private readonly List<int>[] after;
    private readonly bool[] pinned;
    private readonly Dictionary<string, Placement> stood;

    private Recreation(ScheduleRequest request, IReadOnlyList<List<Option>> options, IReadOnlyList<Option> plan)
    {
        (this.request, occupancy, placed) = (request, new Occupancy(request), new Option?[request.Jobs.Count]);
        this.options = [.. options.Select(own => own.OrderBy(o => o.Cost).ToList())];
        foreach (var option in plan) Put(option);
        var numbers = request.Jobs.Select((j, i) => (j.Id, i)).ToDictionary(j => j.Id, j => j.i);
        before = [.. request.Jobs.Select(j => j.After is { } first ? numbers[first.Job] : -1)];
        after = [.. request.Jobs.Select((_, i) => Enumerable.Range(0, before.Length).Where(k => before[k] == i).ToList())];
        var pins = request.Pins.Select(p => p.Job).ToHashSet();
        pinned = [.. request.Jobs.Select(j => pins.Contains(j.Id))];
        stood = request.Previous.ToDictionary(p => p.Job);
    }

    /// <summary>The better plan, or the same.</summary>
    /// <param name="request">What is to be planned.</param>
    /// <param name="options">All ways of every job.</param>
    /// <param name="plan">The plan so far; holds every constraint.</param>
    /// <param name="rounds">How often to try.</param>
    /// <param name="progress">Told at each better plan.</param>
    /// <param name="cancellation">Stops it.</param>
    public static List<Option> Better(ScheduleRequest request, IReadOnlyList<List<Option>> options, List<Option> plan, int rounds, IProgress<ScheduleProgress>? progress, CancellationToken cancellation)
    {
        var work = new Recreation(request, options, plan);
        var (cost, best) = (work.Cost(), work.Cost());
        for (var round = 0; round < rounds && !cancellation.IsCancellationRequested; round++)
        {
            var taken = work.Ruin();
            work.Recreate([.. taken.Select(t => t.Job)]);
            var now = work.Cost();
            var patience = Math.Min(best, request.UnplacedCost) * WorseAtFirst * Math.Pow(0.003, (double)round / rounds) * -Math.Log(1 - work.random.NextDouble());
            if (now <= cost + patience && work.Holds(taken)) cost = now;
            else work.Restore(taken);
            if (cost >= best - 1e-9) continue;
            (best, plan) = (cost, [.. work.placed.OfType<Option>()]);
            progress?.Report(new ScheduleProgress(Explanation.Cost(request, plan), 0));
        }
        return plan;
    }

    private double Cost() => placed.Select((option, job) => option is null ? Left(job) : Of(option)).Sum() + occupancy.TravelCost();

    private double Left(int job) => pinned[job] ? 1e9 : request.UnplacedCost;

    private double Of(Option option) => option.Cost + (GreedyPlan.IsBefore(request, stood, option) ? 0 : Stays);

    /// <summary>Takes out jobs near one of them in time, more likely of the same people, with all that wait for them, and all that are left out.</summary>
    private List<(int Job, Option? Was)> Ruin()
    {
        var centre = random.Next(placed.Length);
        var middle = placed[centre] ?? options[centre].FirstOrDefault();
        double Far(int job) => placed[job] is { } there && middle is not null
            ? Math.Abs(there.FirstDay - middle.FirstDay) + (there.Crew.Intersect(middle.Crew).Any() ? 0 : 2) - (SharesWhatIsScarce(job, centre) ? 4 : 0) + 3 * random.NextDouble()
            : 0;
        var jobs = Enumerable.Range(0, placed.Length).Select(j => (Job: j, Far: j == centre ? -1 : Far(j))).OrderBy(j => j.Far).Take(random.Next(FewestOut, MostOut)).Select(j => j.Job)
            .Concat(Enumerable.Range(0, placed.Length).Where(j => placed[j] is null)).ToHashSet();
        for (var queue = new Queue<int>(jobs); queue.TryDequeue(out var job);)
            foreach (var waits in after[job]) if (jobs.Add(waits)) queue.Enqueue(waits);
        var taken = jobs.Select(j => (j, placed[j])).ToList();
        foreach (var (_, was) in taken) if (was is not null) Take(was);
        return taken;
    }

    private bool SharesWhatIsScarce(int one, int other) =>
        (request.Jobs[one].Group is { } group && group == request.Jobs[other].Group) || (request.Jobs[one].Tools.Count > 0 && request.Jobs[one].Tools.Intersect(request.Jobs[other].Tools).Any());

    /// <summary>Puts them back, what others wait for first, then what is dear to be late, with some chance in it.</summary>
    private void Recreate(List<int> jobs)
    {
        foreach (var job in jobs.OrderBy(Depth).ThenByDescending(j => pinned[j]).ThenBy(Order()).ToList())
        {
            Option? best = null;
            var least = Left(job);
            foreach (var option in options[job])
            {
                if (option.Cost >= least) break;
                if (random.NextDouble() < Overlooked || !occupancy.Fits(option)) continue;
                var cost = Of(option) + GreedyPlan.Travel(request, occupancy, option);
                if (cost < least - 1e-12) (best, least) = (option, cost);
            }
            if (best is not null) Put(best);
        }
    }

    /// <summary>Dear to be late first, long ones first, first due first, or as it comes.</summary>
    private Func<int, double> Order() => random.Next(4) switch
    {
        0 => j => -(request.Jobs[j].LatePerDay + 1) * (0.3 + random.NextDouble()),
        1 => j => -request.Jobs[j].Hours * (request.Jobs[j].Crew + random.NextDouble()),
        2 => j => (request.Jobs[j].DueDay ?? request.DayCount) + 4 * random.NextDouble(),
        _ => _ => random.NextDouble(),
    };

    /// <summary>Nothing stands whose forerunner was left out.</summary>
    private bool Holds(List<(int Job, Option? Was)> taken) => taken.TrueForAll(t => placed[t.Job] is not null || after[t.Job].TrueForAll(a => placed[a] is null));

    private void Restore(List<(int Job, Option? Was)> taken)
    {
        foreach (var (job, _) in taken) if (placed[job] is { } now) Take(now);
        foreach (var (_, was) in taken) if (was is not null) Put(was);
    }

    private int Depth(int job)
    {
        var depth = 0;
        for (var first = before[job]; first >= 0 && depth <= placed.Length; first = before[first]) depth++;
        return depth;
    }

    private void Put(Option option)
    {
        occupancy.Add(option);
        placed[option.Job] = option;
    }

    private void Take(Option option)
    {
        occupancy.Remove(option);
        placed[option.Job] = null;
    }
}
