using System.Diagnostics;
using ZeroDrift.Planning;

namespace ZeroDrift.Bench;

/// <summary>120 jobs × 6 mechanics × 40 days, plain and with crews, tools and roads: how near the bound in ten and thirty seconds; what holding a job over a day takes; a year of 500 engines.</summary>
internal static class ScheduleBench
{
    public static void Run()
    {
        foreach (var seed in new[] { 1, 2, 3 }) One($"plain, seed {seed}", Request(seed));
        foreach (var seed in new[] { 1, 2, 3 }) One($"with crews, tools, roads, seed {seed}", WithCrews(Request(seed), seed));
        One("with crews, tools, roads, seed 1", WithCrews(Request(1), 1) with { TimeLimitSeconds = 30 });
        Check(WithCrews(Request(1), 1));
        Year();
    }

    /// <summary>A year of five hundred engines, planned a quarter after the other: what a quarter leaves out is taken along to the next.</summary>
    private static void Year()
    {
        var random = new Random(5);
        var year = Enumerable.Range(0, 500).SelectMany(engine => Enumerable.Range(0, random.Next(1, 3)).Select(visit => (Id: $"e{engine}-{visit}", Due: random.Next(365), Skill: random.Next(4), Site: random.Next(6), Hours: random.Next(2, 9), Late: random.Next(2, 12), Crew: random.Next(8) == 0 ? 2 : 1))).ToList();
        var clock = Stopwatch.StartNew();
        var (placed, over) = (0, new List<(string Id, int Due, int Skill, int Site, int Hours, int Late, int Crew)>());
        for (var quarter = 0; quarter < 4; quarter++)
        {
            var from = quarter * 91;
            var jobs = over.Concat(year.Where(j => j.Due / 92 == quarter)).ToList();
            var plan = Scheduler.Plan(new ScheduleRequest(
                91,
                [.. Enumerable.Range(1, 10).Select(i => new Technician($"t{i}", [$"s{i % 4}", $"s{(i + 1) % 4}"], [8, 8, 8, 8, 8, 0, 0]))],
                [.. jobs.Select(j => new ScheduleJob(j.Id, $"site {j.Site}", $"s{j.Skill}", j.Hours) { EarliestDay = Math.Max(0, j.Due - from - 28), DueDay = Math.Clamp(j.Due - from, 0, 90), LatePerDay = j.Late, EarlyPerDay = 0.5, Crew = j.Crew })])
            { SiteChangeCost = 2, TimeLimitSeconds = 15 });
            placed += plan.Assignments.Count;
            over = [.. jobs.Where(j => plan.Unplaced.Any(u => u.Job == j.Id))];
            Console.WriteLine($"quarter {quarter + 1}: {jobs.Count} jobs, {plan.Status}, cost {plan.Cost:0.#}, bound {plan.Bound:0.#}, {plan.Unplaced.Count} left out, {clock.Elapsed.TotalSeconds:0.0} s since the first");
        }
        Console.WriteLine($"a year of 500 engines: {placed} of {year.Count} jobs placed in {clock.Elapsed.TotalSeconds:0} s");
    }

    private static void One(string name, ScheduleRequest request)
    {
        var clock = Stopwatch.StartNew();
        var plan = Scheduler.Plan(request);
        Console.WriteLine($"{name}, {request.TimeLimitSeconds:0} s: {plan.Status}, cost {plan.Cost:0.#}, bound {plan.Bound:0.#}, {(plan.Cost / Math.Max(plan.Bound, 1e-9) - 1) * 100:0.0} % above it, {plan.Unplaced.Count} left out, {clock.Elapsed.TotalSeconds:0.0} s");
    }

    /// <summary>A job held over every day in turn, the others standing.</summary>
    private static void Check(ScheduleRequest request)
    {
        var plan = Scheduler.Plan(request with { TimeLimitSeconds = 1 });
        var clock = Stopwatch.StartNew();
        for (var day = 0; day < 40; day++) PlanCheck.Of(request, plan.Assignments, plan.Assignments[0].Job, "t1", day);
        Console.WriteLine($"a job held over a day: {clock.Elapsed.TotalMilliseconds / 40:0.0} ms");
    }

    private static ScheduleRequest WithCrews(ScheduleRequest request, int seed)
    {
        var random = new Random(seed + 100);
        return request with
        {
            Jobs = [.. request.Jobs.Select((j, i) => j with { Crew = random.Next(6) == 0 ? 2 : 1, Tools = random.Next(8) == 0 ? ["turning gear"] : [], After = i > 0 && random.Next(15) == 0 ? new After(request.Jobs[random.Next(i)].Id, 3) : null })],
            ToolCounts = new Dictionary<string, int> { ["turning gear"] = 1 },
            TravelHours = [new Road("North Quay", "Power House", 0.25), new Road("North Quay", "Depot", 0.5), new Road("Depot", "Power House", 0.5), new Road("Depot", "South Farm", 1), new Road("North Quay", "South Farm", 1.25), new Road("Power House", "South Farm", 1)],
        };
    }

    private static ScheduleRequest Request(int seed)
    {
        var random = new Random(seed);
        string[] skills = ["marine", "lorry", "plant", "mower"];
        string[] sites = ["North Quay", "Power House", "Depot", "South Farm"];
        return new ScheduleRequest(
            40,
            [.. Enumerable.Range(1, 6).Select(i => new Technician($"t{i}", [skills[i % 4], skills[(i + 1) % 4]], [8, 8, 8, 8, 8, 0, 0]))],
            [.. Enumerable.Range(1, 120).Select(i => new ScheduleJob($"j{i}", sites[random.Next(4)], skills[random.Next(4)], random.Next(2, 11))
            {
                EarliestDay = random.Next(0, 10),
                DueDay = random.Next(3, 38),
                LatePerDay = random.Next(2, 12),
                EarlyPerDay = 1,
                BlockedDays = [.. Enumerable.Range(0, 40).Where(_ => random.Next(12) == 0)],
                Group = random.Next(6) == 0 ? "powerhouse" : null,
            })])
        {
            GroupLimits = new Dictionary<string, int> { ["powerhouse"] = 1 },
            SiteChangeCost = 2,
        };
    }
}
