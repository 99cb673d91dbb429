using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Bench;

/// <summary>What a simulated fleet is like. Rates in mm per 1000 h.</summary>
internal sealed record FleetKind(string Name)
{
    public int Engines { get; init; } = 16;
    public int Points { get; init; } = 6;
    public double Rate { get; init; } = -0.020;
    public double Tau { get; init; } = 0.004;
    public double EngineTau { get; init; } = 0.004;
    public double FastShare { get; init; } = 0.02;
    public double Warm { get; init; }
    public double Gross { get; init; }

    /// <summary>Step of the blades, mm; 0 reads as it feels.</summary>
    public double Blade { get; init; } = 0.01;
    public bool GoNoGo { get; init; }

    /// <summary>Chance a 1000 h that a valve begins to fail, five times as fast from then on.</summary>
    public double LateFailures { get; init; }
    public bool SetAll { get; init; }

    /// <summary>Share by which a valve's rate strays over 1000 h.</summary>
    public double Wander { get; init; }

    /// <summary>Chance a visit that two valves are written down the wrong way round.</summary>
    public double Swapped { get; init; }

    /// <summary>Standard deviation of the hours written down, h.</summary>
    public double MeterSd { get; init; }

    /// <summary>Known only to lie within this of what was felt, mm; 0: a figure.</summary>
    public double Pair { get; init; }
    public double ReadingSd { get; init; } = 0.008;
    public double VisitSd { get; init; } = 0.005;
    public double PersonSd { get; init; } = 0.005;
}

/// <summary>One fleet whose truth is known, opened when a policy says.</summary>
internal sealed class SimulatedFleet
{
    public const double Min = 0.22;
    public const double Max = 0.38;
    public const double Set = 0.30;
    private static readonly Window Book = Window.Of(Min, Max);
    private readonly FleetKind kind;
    private readonly Random random;
    private readonly double[] hands;

    public SimulatedFleet(FleetKind kind, int seed)
    {
        (this.kind, random) = (kind, new Random(seed));
        hands = [.. Enumerable.Range(0, 4).Select(_ => kind.PersonSd * Normal())];
        Engines = [.. Enumerable.Range(0, kind.Engines).Select(Make)];
    }

    public IReadOnlyList<Engine> Engines { get; }

    /// <summary>One valve: its true gap and rate, and whether it is a fast one.</summary>
    public sealed class Valve
    {
        public required string Id { get; init; }
        public double Gap { get; set; } = Set;
        public double Rate { get; set; }
        public bool Fast { get; init; }
        public double FailsAt { get; init; } = double.MaxValue;

        /// <summary>How often it was found since it began to fail.</summary>
        public int FoundSince { get; set; }
        public int Run { get; set; } = 1;

        /// <summary>The true gap after more hours, the failure to come included.</summary>
        public double After(double from, double hours)
        {
            var before = Math.Clamp(FailsAt - from, 0, hours);
            return Gap + Rate * before / 1000 + 5 * Rate * (hours - before) / 1000;
        }

        /// <summary>How long of the hours it stands out of its window.</summary>
        public double OutOf(double from, double hours)
        {
            const int parts = 40;
            return Enumerable.Range(0, parts).Count(i => After(from, hours * (i + 0.5) / parts) is < Min or > Max) * hours / parts;
        }
    }

    public sealed class Engine
    {
        public required string Id { get; init; }
        public required Valve[] Valves { get; init; }
        public double Hours { get; set; }
        public int Visits { get; set; }
        public List<WearVisit> Opened { get; } = [];
        public List<WearReading> Readings { get; } = [];
    }

    public WearRecord Record(IEnumerable<Engine> engines, double? now = null)
    {
        var list = engines.ToList();
        return new WearRecord(
            [.. list.SelectMany(e => e.Valves.Select(v => new WearPoint(v.Id, e.Id, "exhaust", Book, Clearance.OfMm(Set))))],
            [.. list.SelectMany(e => e.Opened)],
            [.. list.SelectMany(e => e.Readings)])
        { NowHours = now is null ? new Dictionary<string, double>() : list.ToDictionary(e => e.Id, _ => now.Value) };
    }

    /// <summary>Runs to an hour and opens: cost of what stood out. What is found out is set, and what <paramref name="alsoSet"/> names once all is found.</summary>
    public (bool Breach, double OutHours) Visit(Engine engine, double hours, Func<Engine, double, IReadOnlySet<string>>? alsoSet = null)
    {
        var ahead = hours - engine.Hours;
        var outHours = ahead > 0 ? engine.Valves.Max(v => v.OutOf(engine.Hours, ahead)) : 0;
        var breach = outHours > 0;
        var id = $"{engine.Id}/{engine.Visits++}";
        var person = random.Next(hands.Length);
        var warm = random.NextDouble() < kind.Warm ? -0.03 - 0.03 * random.NextDouble() : 0;
        var shift = kind.VisitSd * Normal() + hands[person] + warm;
        var written = Math.Max(engine.Opened.Count > 0 ? engine.Opened[^1].Hours : 0, hours + (ahead > 0 ? kind.MeterSd * Normal() : 0));
        engine.Opened.Add(new WearVisit(id, engine.Id, EngineHours.Of(written), $"p{person}", false));
        var toSet = new HashSet<Valve>();
        foreach (var valve in engine.Valves)
        {
            valve.Gap = valve.After(engine.Hours, ahead);
            if (valve.FailsAt <= hours && valve.FailsAt > engine.Hours) valve.Rate *= 5;
            var reading = ahead > 0 ? Read(valve.Gap + shift) : (null, null, null);
            if (ahead > 0) engine.Readings.Add(Row(valve, id, false, reading));
            if (ahead > 0 && valve.FailsAt < hours) valve.FoundSince++;
            var seen = reading.Mm ?? (reading.Low is null ? Min - 0.01 : reading.High is null ? Max + 0.01 : Set);
            if (ahead <= 0 || kind.SetAll || seen is < Min or > Max) toSet.Add(valve);
        }
        if (ahead > 0 && random.NextDouble() < kind.Swapped) Swap(engine, id);
        if (ahead > 0 && kind.Wander > 0) foreach (var valve in engine.Valves) valve.Rate *= Math.Exp(kind.Wander * Math.Sqrt(ahead / 1000) * Normal());
        engine.Hours = hours;
        if (ahead > 0 && !kind.SetAll && alsoSet?.Invoke(engine, hours) is { } named) toSet.UnionWith(engine.Valves.Where(v => named.Contains(v.Id)));
        foreach (var valve in engine.Valves.Where(toSet.Contains))
        {
            valve.Gap = Set + kind.ReadingSd / 2 * Normal() - shift * (warm == 0 ? 1 : 0.5);
            if (ahead > 0) valve.Run++;
            engine.Readings.Add(Row(valve, id, true, Read(valve.Gap + shift)));
        }
        return (breach, outHours);
    }

    private void Swap(Engine engine, string visit)
    {
        var found = engine.Readings.FindIndex(r => r.Visit == visit);
        var (a, b) = (found, found + 1 + random.Next(engine.Valves.Length - 1));
        var (one, other) = (engine.Readings[a], engine.Readings[b]);
        engine.Readings[a] = one with { Mm = other.Mm, LowerMm = other.LowerMm, UpperMm = other.UpperMm };
        engine.Readings[b] = other with { Mm = one.Mm, LowerMm = one.LowerMm, UpperMm = one.UpperMm };
    }

    private (double? Mm, double? Low, double? High) Read(double gap)
    {
        var felt = gap + kind.ReadingSd * Normal() + (random.NextDouble() < kind.Gross ? 0.1 * (random.Next(2) * 2 - 1) : 0);
        if (kind.GoNoGo) return felt < Min ? (null, null, Min) : felt > Max ? (null, Max, null) : (null, Min, Max);
        if (kind.Pair > 0) return (null, Math.Max(0, felt - kind.Pair), felt + kind.Pair);
        if (kind.Blade <= 0.01) return (Math.Max(0, Math.Round(felt, 2)), null, null);
        var low = Math.Max(0, Math.Floor(felt / kind.Blade) * kind.Blade);
        return (null, low, low + kind.Blade);
    }

    private static WearReading Row(Valve valve, string visit, bool left, (double? Mm, double? Low, double? High) r) => new(valve.Id, visit, valve.Run, left, r.Mm, r.Low, r.High, 0.005);

    private Engine Make(int e)
    {
        var slope = kind.EngineTau * Normal();
        return new Engine
        {
            Id = $"e{e}",
            Valves = [.. Enumerable.Range(0, kind.Points).Select(p =>
            {
                var fast = random.NextDouble() < kind.FastShare;
                var fails = kind.LateFailures > 0 ? -Math.Log(1 - random.NextDouble()) / kind.LateFailures * 1000 : double.MaxValue;
                return new Valve { Id = $"e{e}/{p}", Fast = fast, FailsAt = fails, Rate = fast ? kind.Rate * (2.5 + random.NextDouble()) : kind.Rate + slope + kind.Tau * Normal() };
            })],
        };
    }

    private double Normal() => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
