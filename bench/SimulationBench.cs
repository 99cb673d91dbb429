using System.Globalization;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Bench;

/// <summary>
/// Lives of simulated fleets under ways to decide when to open and what to set: the best fixed interval (setting what is out, everything, or what lies in
/// the outer quarter of its window on either side), a straight line through the last two readings, and the outlook by cost. States coverage, reliability
/// of stated risks, costs, false findings and detection. Seeded; own simulator.
/// </summary>
internal static class SimulationBench
{
    private const double Life = 12_000;
    private const double BookHours = 2000;
    private static readonly double[] Costs = [5, 20, 100];
    private static readonly double[] Intervals = [300, 500, 700, 1000, 1400, 2000, 2800];
    private static readonly double[] Risks = [0.01, 0.05, 0.20];

    private const string Healthy = "healthy, slow wear";

    private static readonly FleetKind[] Kinds =
    [
        new("plain wear, left alone"),
        new("plain wear, all set") { SetAll = true },
        new(Healthy) { FastShare = 0, Rate = -0.008, Tau = 0.002, EngineTau = 0.002 },
        new("warm visits untold") { Warm = 0.07 },
        new("gross errors") { Gross = 0.02 },
        new("hands apart") { PersonSd = 0.012 },
        new("rates that wander") { Wander = 0.4 },
        new("swapped pairs") { Swapped = 0.05 },
        new("meter errors") { MeterSd = 60 },
        new("pairs of 0.03") { Pair = 0.03 },
        new("go and no-go") { GoNoGo = true },
        new("coarse blades") { Blade = 0.05 },
        new("late failures") { LateFailures = 0.008 },
    ];

    public static void Run(int seeds)
    {
        Console.WriteLine("| fleet | 90 % holds | 1 % | 5 % | 20 % | false points a visit | fast found | failing found, by times found since it began | warned before out | healthy flagged |");
        Console.WriteLine("|---|---|---|---|---|---|---|---|---|---|");
        var costs = new List<string>();
        foreach (var kind in Kinds)
        {
            var tally = new Tally();
            var fixedly = Best(kind, seeds, null);
            var all = Best(kind with { SetAll = true }, seeds, null);
            var quarter = Best(kind, seeds, OuterQuarter);
            var line = Mean(seeds, seed => Lived(kind, seed, Line, null));
            var outlook = Costs.Select(c => Mean(seeds, seed =>
            {
                var by = new ByOutlook(c, c == Costs[1] ? tally : new Tally());
                return Lived(kind, seed, by.Next, c == Costs[1] ? tally : null, by.AlsoSet);
            })).ToList();
            Console.WriteLine(string.Create(CultureInfo.InvariantCulture,
                $"| {kind.Name} | {tally.Covered:0.00} | {Share(tally.Happened[0])} | {Share(tally.Happened[1])} | {Share(tally.Happened[2])} | {tally.False:0.000} | {tally.Detected} | {tally.Failing} | {tally.Warned} | {(kind.Name == Healthy ? tally.Flagged : "")} |"));
            costs.Add($"| {kind.Name} | {string.Join(" | ", Costs.Select((c, i) => string.Create(CultureInfo.InvariantCulture, $"{fixedly.Min(l => l.Cost(c)):0.0} / {all.Min(l => l.Cost(c)):0.0} / {quarter.Min(l => l.Cost(c)):0.0} / {line.Cost(c):0.0} / **{outlook[i].Cost(c):0.0}**")))} |");
        }
        Console.WriteLine();
        Console.WriteLine($"| cost of 10,000 h: fixed, what is out set / all set / outer quarter set / line / outlook | {string.Join(" | ", Costs.Select(c => $"c = {c:0}"))} |");
        Console.WriteLine("|---|---|---|---|");
        foreach (var row in costs) Console.WriteLine(row);
        static string Share((int Out, int BegunBefore, int All) happened) => happened.All == 0 ? "" : string.Create(CultureInfo.InvariantCulture, $"{100.0 * happened.Out / happened.All:0.0} %{(happened.BegunBefore < happened.Out ? $" ({happened.BegunBefore} of {happened.Out} had begun at the last visit)" : "")}");
    }

    /// <summary>What a life came to: visits, and breaches with the hours they stood, a 10,000 engine hours.</summary>
    private readonly record struct Outcome(double Visits, double Breaches)
    {
        public double Cost(double breachCost) => Visits + breachCost * Breaches;
    }

    private static List<Outcome> Best(FleetKind kind, int seeds, Func<SimulatedFleet, SimulatedFleet.Engine, double, IReadOnlySet<string>>? alsoSet) =>
        [.. Intervals.Select(interval => Mean(seeds, seed => Lived(kind, seed, (_, _, _) => interval, null, alsoSet)))];

    private static Outcome Mean(int seeds, Func<int, Outcome> of)
    {
        var lives = Enumerable.Range(1, seeds).Select(of).ToList();
        return new Outcome(lives.Average(l => l.Visits), lives.Average(l => l.Breaches));
    }

    /// <summary>What was last found in the outer quarter of its window on either side.</summary>
    private static HashSet<string> OuterQuarter(SimulatedFleet fleet, SimulatedFleet.Engine engine, double hours)
    {
        const double quarter = (SimulatedFleet.Max - SimulatedFleet.Min) / 4;
        return [.. engine.Valves.Select(v => v.Id).Where(id => engine.Readings.FindLast(r => r.Point == id) is var last && (last.Mm ?? (last.LowerMm + last.UpperMm) / 2) is < SimulatedFleet.Min + quarter or > SimulatedFleet.Max - quarter)];
    }

    /// <summary>One fleet under a policy.</summary>
    private static Outcome Lived(FleetKind kind, int seed, Func<SimulatedFleet, SimulatedFleet.Engine, int, double> policy, Tally? tally, Func<SimulatedFleet, SimulatedFleet.Engine, double, IReadOnlySet<string>>? alsoSet = null)
    {
        var fleet = new SimulatedFleet(kind, seed);
        var queue = new PriorityQueue<SimulatedFleet.Engine, double>();
        foreach (var engine in fleet.Engines)
        {
            fleet.Visit(engine, 0);
            queue.Enqueue(engine, 1000);
        }
        var (breaches, visits, events) = (0.0, 0, 0);
        while (queue.TryDequeue(out var engine, out var at))
        {
            var (breach, outHours) = fleet.Visit(engine, Math.Min(at, Life), alsoSet is null ? null : (e, h) => alsoSet(fleet, e, h));
            if (breach) breaches += 1 + outHours / 1000;
            if (at >= Life) continue;
            visits++;
            queue.Enqueue(engine, at + Math.Clamp(policy(fleet, engine, events++), 100, 6000));
        }
        tally?.End(fleet);
        return new Outcome(visits / (kind.Engines * Life) * 10_000, breaches / (kind.Engines * Life) * 10_000);
    }

    /// <summary>From the last two figures of each valve; halfway to its limit at the latest, as a careful hand would.</summary>
    private static double Line(SimulatedFleet fleet, SimulatedFleet.Engine engine, int events)
    {
        var hours = engine.Opened.ToDictionary(v => v.Id, v => (double)v.Hours);
        var earliest = 6000.0;
        foreach (var valve in engine.Valves)
        {
            var own = engine.Readings.Where(r => r.Point == valve.Id).Select(r => (At: hours[r.Visit], r.Run, Mm: r.Mm ?? ((r.LowerMm ?? r.UpperMm) + (r.UpperMm ?? r.LowerMm)) / 2 ?? 0)).ToList();
            var pair = own.GroupBy(r => r.Run).Where(g => g.Count() > 1).Select(g => g.TakeLast(2).ToList()).LastOrDefault();
            if (pair is null || pair[1].At <= pair[0].At) continue;
            var rate = (pair[1].Mm - pair[0].Mm) / (pair[1].At - pair[0].At);
            var left = rate < 0 ? (own[^1].Mm - SimulatedFleet.Min) / -rate : rate > 0 ? (SimulatedFleet.Max - own[^1].Mm) / rate : 6000;
            earliest = Math.Min(earliest, left * 0.7);
        }
        return earliest;
    }

    /// <summary>
    /// T* of the outlook, with its leave-or-set: a valve in its window likelier to be out by the next visit than its share of the risk is set now. The
    /// group is fitted again now and then, an engine at each of its visits.
    /// </summary>
    private sealed class ByOutlook(double cost, Tally tally)
    {
        private const double Risk = 0.05;
        private const int RefitEvery = 24;
        private const int LookEvery = 3;
        private WearFit? group;
        private int events;
        private double usualNext = 1000;

        public IReadOnlySet<string> AlsoSet(SimulatedFleet fleet, SimulatedFleet.Engine engine, double hours)
        {
            if (Wear(fleet, engine) is not { Now.Points.Count: > 0 } one) return new HashSet<string>();
            var share = Risk / engine.Valves.Length;
            return one.Now.Points.Where(p => p.Out(usualNext) > share).Select(p => p.Id).ToHashSet();
        }

        public double Next(SimulatedFleet fleet, SimulatedFleet.Engine engine, int visits)
        {
            if (Wear(fleet, engine) is not { Now.Points.Count: > 0 } one) return 1000;
            var plan = OpeningPlan.Of(one.Now, one.Fresh, Risk, cost, 20_000);
            if (events++ % LookEvery == 0) tally.Look(engine, one, plan);
            var next = plan.OpenAfterHours ?? 6000;
            // What the next planned visit will be, learned as a planner does.
            usualNext += (Math.Clamp(next, 100, 6000) - usualNext) / 10;
            return next;
        }

        private EngineWear Wear(SimulatedFleet fleet, SimulatedFleet.Engine engine)
        {
            if (group is null || events % RefitEvery == 0) group = WearFit.Of(fleet.Record(fleet.Engines));
            return WearFit.One(fleet.Record([engine]), group.Shared.Without(group.Said(engine.Id)), group.Components).Engines[0];
        }
    }

    /// <summary>What was stated, beside what is true.</summary>
    private sealed class Tally
    {
        private int inside;
        private int forecasts;
        private int falsePoints;
        private int visitsLooked;
        private int fastFound;
        private int fastAll;
        private int flagged;
        private int healthy;
        private int warned;
        private int ailing;
        private readonly Dictionary<string, bool> named = [];
        private readonly SortedDictionary<int, (int Named, int All)> failing = [];

        public (int Out, int BegunBefore, int All)[] Happened { get; } = new (int, int, int)[3];

        /// <summary>Failing valves named, by how often they were found since they began: once, twice, three times or more.</summary>
        public string Failing => string.Join(", ", failing.Select(f => $"{(f.Key == 3 ? "3+" : f.Key)}×: {f.Value.Named} of {f.Value.All}"));

        public double Covered => (double)inside / Math.Max(1, forecasts);

        public double False => (double)falsePoints / Math.Max(1, visitsLooked);

        public string Detected => fastAll == 0 ? "" : $"{fastFound} of {fastAll}";

        /// <summary>Of the looks after which some valve stood out before the book's call, those that said so.</summary>
        public string Warned => ailing == 0 ? "" : string.Create(CultureInfo.InvariantCulture, $"{100.0 * warned / ailing:0} % of {ailing}");

        public string Flagged => string.Create(CultureInfo.InvariantCulture, $"{100.0 * flagged / Math.Max(1, healthy):0} %");

        public void Look(SimulatedFleet.Engine engine, EngineWear one, OpeningPlan plan)
        {
            visitsLooked++;
            foreach (var ahead in one.Now.Points)
            {
                var valve = engine.Valves.First(v => v.Id == ahead.Id);
                var then = plan.OpenAfterHours is > 0 and { } open ? Math.Min(open, 3000) : 500;
                var gap = valve.After(engine.Hours, then);
                forecasts++;
                if (gap >= ahead.Quantile(then, 0.05) && gap <= ahead.Quantile(then, 0.95)) inside++;
                named[ahead.Id] = one.Points.First(p => p.Id == ahead.Id).IsNamed;
                if (named[ahead.Id] && !valve.Fast && valve.FailsAt > engine.Hours) falsePoints++;
            }
            var walk = new RiskWalk(one.Now, 20_000);
            for (var i = 0; i < Risks.Length; i++)
            {
                if (walk.FirstAt(Risks[i]) is not { } hours || hours <= 0) continue;
                var isOut = engine.Valves.Where(v => v.After(engine.Hours, hours) is < SimulatedFleet.Min or > SimulatedFleet.Max).ToList();
                // What begins after the last visit no history shows.
                var before = isOut.Any(v => v.FailsAt <= engine.Hours || v.FailsAt > engine.Hours + hours);
                Happened[i] = (Happened[i].Out + (isOut.Count > 0 ? 1 : 0), Happened[i].BegunBefore + (before ? 1 : 0), Happened[i].All + 1);
            }
            // Where nothing stands out by the book's next call a flag is noise; where something does it is wanted.
            var told = plan.OpenAfterHours < BookHours && EngineVoice.Of(one, walk, BookHours).IsRaised;
            if (engine.Valves.Any(v => v.After(engine.Hours, BookHours) is < SimulatedFleet.Min or > SimulatedFleet.Max))
            {
                ailing++;
                if (told) warned++;
                return;
            }
            healthy++;
            if (told) flagged++;
        }

        public void End(SimulatedFleet fleet)
        {
            foreach (var valve in fleet.Engines.SelectMany(e => e.Valves).Where(v => v.Fast))
            {
                fastAll++;
                if (named.GetValueOrDefault(valve.Id)) fastFound++;
            }
            foreach (var valve in fleet.Engines.SelectMany(e => e.Valves).Where(v => v.FoundSince > 0))
            {
                var (found, all) = failing.GetValueOrDefault(Math.Min(3, valve.FoundSince));
                failing[Math.Min(3, valve.FoundSince)] = (found + (named.GetValueOrDefault(valve.Id) ? 1 : 0), all + 1);
            }
            named.Clear();
        }
    }
}
