using System.Diagnostics;
using ZeroDrift.Planning;

namespace ZeroDrift.Bench;

/// <summary>120 jobs × 6 mechanics × 40 days: how near the bound in ten seconds.</summary>
internal static class ScheduleBench
{
    public static void Run()
    {
        foreach (var seed in new[] { 1, 2, 3 })
        {
            var request = Request(seed);
            var clock = Stopwatch.StartNew();
            var plan = Scheduler.Plan(request);
            Console.WriteLine($"seed {seed}: {plan.Status}, cost {plan.Cost:0.#}, bound {plan.Bound:0.#}, {(plan.Cost / Math.Max(plan.Bound, 1e-9) - 1) * 100:0.0} % above it, {plan.Unplaced.Count} left out, {clock.Elapsed.TotalSeconds:0.0} s");
        }
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
