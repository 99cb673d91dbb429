using ZeroDrift.Planning;

namespace ZeroDrift.Core.Tests.Planning;

public class SchedulerTests
{
    private static readonly double[] Week = [8, 8, 8, 8, 8, 0, 0];

    [Fact]
    public void A_job_alone_stands_on_its_due_day()
    {
        var plan = Scheduler.Plan(Request([Job("j1", 6, due: 9)], 20));

        var only = Assert.Single(plan.Assignments);
        Assert.Equal((ScheduleStatus.Optimal, 0.0, 9), (plan.Status, plan.Cost, only.Day));
        Assert.Equal("On its due day.", only.Because);
    }

    [Fact]
    public void A_due_day_at_the_week_end_is_met_early_or_late_whichever_costs_less()
    {
        var early = Scheduler.Plan(Request([Job("j", 6, due: 5, late: 10, early: 1)], 14)).Assignments[0];
        var late = Scheduler.Plan(Request([Job("j", 6, due: 6, late: 1, early: 10)], 14)).Assignments[0];

        Assert.Equal((4, 7), (early.Day, late.Day));
        Assert.StartsWith("1 day before its due day", early.Because, StringComparison.Ordinal);
        Assert.StartsWith("1 day after its due day", late.Because, StringComparison.Ordinal);
    }

    [Fact]
    public void A_job_longer_than_a_day_runs_on_over_following_working_days()
    {
        var plan = Scheduler.Plan(Request([Job("head", 20, due: 7)], 14));

        var only = plan.Assignments[0];
        Assert.Equal(2, Enumerable.Range(only.Day, only.LastDay - only.Day + 1).Count(d => Week[d % 7] > 0) - 1);
        Assert.True(only.LastDay <= 7 || plan.Cost > 0);
    }

    [Fact]
    public void A_group_lets_only_so_many_out_on_a_day()
    {
        var request = Request([Job("set 1", 6, due: 1, group: "powerhouse"), Job("set 2", 6, due: 1, group: "powerhouse")], 5, technicians: 2) with { GroupLimits = new Dictionary<string, int> { ["powerhouse"] = 1 } };

        var days = Scheduler.Plan(request).Assignments.Select(a => a.Day).ToList();

        Assert.Equal(2, days.Distinct().Count());
    }

    [Fact]
    public void Two_sites_in_a_day_cost_a_change()
    {
        var jobs = new[] { Job("a", 3, due: 0, site: "north"), Job("b", 3, due: 0, site: "south") };

        Assert.Equal(2, Scheduler.Plan(Request(jobs, 1) with { SiteChangeCost = 2 }).Cost);
        Assert.Equal(0, Scheduler.Plan(Request(jobs, 1, technicians: 2) with { SiteChangeCost = 2 }).Cost);
    }

    [Fact]
    public void What_keeps_a_job_out_is_said()
    {
        var jobs = new[] { Job("big", 30, due: 1), Job("odd", 2, due: 1, skill: "steam"), Job("later", 2, due: 1) with { EarliestDay = 9 }, Job("harvest", 2, due: 1) with { BlockedDays = [0, 1, 2] } };

        var plan = Scheduler.Plan(Request(jobs, 3));

        var reasons = plan.Unplaced.ToDictionary(u => u.Job, u => u.Reason);
        Assert.Contains("do not fit", reasons["big"], StringComparison.Ordinal);
        Assert.Contains("no technician knows steam", reasons["odd"], StringComparison.OrdinalIgnoreCase);
        Assert.Contains("before day 9", reasons["later"], StringComparison.Ordinal);
        Assert.Contains("blocked", reasons["harvest"], StringComparison.Ordinal);
    }

    [Fact]
    public void A_pin_holds_and_one_that_cannot_is_named()
    {
        var jobs = new[] { Job("a", 6, due: 0), Job("b", 6, due: 0) };

        Assert.Equal(3, Scheduler.Plan(Request(jobs, 5) with { Pins = [new Pin("b", "t1", 3)] }).Assignments.Single(a => a.Job == "b").Day);
        var impossible = Scheduler.Plan(Request(jobs, 7) with { Pins = [new Pin("a", "t1", 6)] });
        Assert.Equal((ScheduleStatus.Infeasible, "a"), (impossible.Status, impossible.Unplaced[0].Job));
        var together = Scheduler.Plan(Request(jobs, 5) with { Pins = [new Pin("a", "t1", 0), new Pin("b", "t1", 0)] });
        Assert.Equal(["a", "b"], together.Unplaced.Select(u => u.Job));
    }

    [Fact]
    public void Replanning_moves_nothing_that_need_not_move()
    {
        var jobs = Enumerable.Range(0, 8).Select(i => Job($"j{i}", 4, due: null)).ToArray();
        var first = Scheduler.Plan(Request(jobs, 10, technicians: 2));
        var previous = first.Assignments.Select(a => new Placement(a.Job, a.Technician, a.Day)).ToList();

        var again = Scheduler.Plan(Request([.. jobs, Job("urgent", 8, due: 0, late: 50)], 10, technicians: 2) with { Previous = previous });

        Assert.Equal(0, again.Cost);
        Assert.True(again.Moved <= 2, $"{again.Moved} moved");
    }

    [Fact]
    public void The_same_input_gives_the_same_plan()
    {
        var request = RandomRequest(new Random(3), 14, 3, 10);

        var plans = Enumerable.Range(0, 3).Select(_ => string.Join(' ', Scheduler.Plan(request).Assignments)).Distinct();

        Assert.Single(plans);
    }

    [Fact]
    public void A_cancelled_search_still_gives_a_plan_that_holds()
    {
        var request = RandomRequest(new Random(5), 40, 3, 20);
        using var cancelled = new CancellationTokenSource();
        cancelled.Cancel();

        AssertHolds(request, Scheduler.Plan(request, null, cancelled.Token));
    }

    /// <summary>Against every possible plan of small random cases.</summary>
    [Fact]
    public void No_plan_of_a_small_case_costs_less()
    {
        for (var seed = 0; seed < 40; seed++)
        {
            var request = RandomRequest(new Random(seed), 4, 2, 4);
            var plan = Scheduler.Plan(request);

            AssertHolds(request, plan);
            Assert.Equal(ScheduleStatus.Optimal, plan.Status);
            Assert.Equal(Cheapest(request), plan.Cost, 6);
        }
    }

    [Fact]
    public void Every_constraint_holds_whatever_the_input()
    {
        for (var seed = 100; seed < 115; seed++)
        {
            var request = RandomRequest(new Random(seed), 25, 4, 14) with { TimeLimitSeconds = 1 };
            var plan = Scheduler.Plan(request);
            AssertHolds(request, plan);
            Assert.True(plan.Bound <= plan.Cost + 1e-6);
        }
    }

    private static double Cheapest(ScheduleRequest request)
    {
        var options = request.Jobs.Select((_, j) => Options(request, j)).ToList();
        var best = double.PositiveInfinity;
        Try(0, []);
        return best;

        void Try(int job, List<(int Technician, int Day)?> chosen)
        {
            if (job == request.Jobs.Count)
            {
                if (Valid(request, chosen)) best = Math.Min(best, CostOf(request, chosen));
                return;
            }
            foreach (var option in options[job].Cast<(int, int)?>().Append(null)) Try(job + 1, [.. chosen, option]);
        }
    }

    private static List<(int Technician, int Day)> Options(ScheduleRequest request, int job) =>
        [.. from t in Enumerable.Range(0, request.Technicians.Count)
            from d in Enumerable.Range(0, request.DayCount)
            where Work(request, job, t, d) is not null
            select (t, d)];

    /// <summary>The rules of the contract once more, in the plainest way.</summary>
    private static List<(int Day, double Hours)>? Work(ScheduleRequest request, int job, int technician, int first)
    {
        var (j, t) = (request.Jobs[job], request.Technicians[technician]);
        if (j.Skill is not null && !t.Skills.Contains(j.Skill) || first < j.EarliestDay) return null;
        var (work, left) = (new List<(int, double)>(), j.Hours);
        for (var day = first; left > 1e-9; day++)
        {
            if (day >= request.DayCount || (day == first && t.HoursOn(day) <= 0)) return null;
            if (t.HoursOn(day) <= 0) continue;
            if (j.BlockedDays.Contains(day)) return null;
            work.Add((day, Math.Min(left, t.HoursOn(day))));
            left -= t.HoursOn(day);
        }
        return work;
    }

    private static bool Valid(ScheduleRequest request, List<(int Technician, int Day)?> chosen)
    {
        var work = chosen.SelectMany((c, j) => c is { } at ? Work(request, j, at.Technician, at.Day)!.Select(w => (j, at.Technician, w.Day, w.Hours)) : []).ToList();
        if (work.GroupBy(w => (w.Technician, w.Day)).Any(day => day.Sum(w => w.Hours) > request.Technicians[day.Key.Technician].HoursOn(day.Key.Day) + 1e-6)) return false;
        var spans = work.GroupBy(w => w.j).Where(g => request.Jobs[g.Key].Group is not null).SelectMany(g => Enumerable.Range(g.Min(w => w.Day), g.Max(w => w.Day) - g.Min(w => w.Day) + 1).Select(day => (request.Jobs[g.Key].Group!, day)));
        return spans.GroupBy(s => s).All(day => !request.GroupLimits.TryGetValue(day.Key.Item1, out var limit) || day.Count() <= limit);
    }

    private static double CostOf(ScheduleRequest request, List<(int Technician, int Day)?> chosen)
    {
        var cost = 0.0;
        var sites = new Dictionary<(int, int), HashSet<string>>();
        for (var j = 0; j < chosen.Count; j++)
        {
            if (chosen[j] is not { } at)
            {
                cost += request.UnplacedCost;
                continue;
            }
            var work = Work(request, j, at.Technician, at.Day)!;
            var job = request.Jobs[j];
            if (job.DueDay is { } due) cost += job.LatePerDay * Math.Max(0, work[^1].Day - due) + job.EarlyPerDay * Math.Max(0, due - at.Day);
            foreach (var (day, _) in work) (sites.TryGetValue((at.Technician, day), out var set) ? set : sites[(at.Technician, day)] = []).Add(job.Site!);
        }
        return cost + request.SiteChangeCost * sites.Values.Sum(s => s.Count - 1);
    }

    private static void AssertHolds(ScheduleRequest request, Schedule plan)
    {
        var chosen = request.Jobs.Select(j => plan.Assignments.SingleOrDefault(a => a.Job == j.Id) is { } a
            ? ((int, int)?)(request.Technicians.Select((t, i) => (t, i)).Single(x => x.t.Id == a.Technician).i, a.Day)
            : null).ToList();
        Assert.All(chosen.Select((c, j) => (c, j)).Where(x => x.c is not null), x => Assert.NotNull(Work(request, x.j, x.c!.Value.Item1, x.c.Value.Item2)));
        Assert.True(Valid(request, chosen));
        Assert.Equal(plan.Cost, CostOf(request, chosen), 6);
        Assert.Equal(request.Jobs.Count, plan.Assignments.Count + plan.Unplaced.Count);
        Assert.All(plan.Assignments, a => Assert.NotEmpty(a.Because));
        Assert.All(plan.Unplaced, u => Assert.NotEmpty(u.Reason));
    }

    private static ScheduleRequest RandomRequest(Random random, int jobs, int technicians, int days) => new(
        days,
        [.. Enumerable.Range(1, technicians).Select(i => new Technician($"t{i}", i == 1 ? ["marine", "lorry"] : ["lorry"], [.. Enumerable.Range(0, 7).Select(_ => random.Next(4) == 0 ? 0.0 : random.Next(4, 9))]))],
        [.. Enumerable.Range(1, jobs).Select(i => new ScheduleJob($"j{i}", random.Next(2) == 0 ? "north" : "south", random.Next(3) == 0 ? "marine" : null, random.Next(1, 11))
        {
            EarliestDay = random.Next(0, Math.Max(1, days / 3)),
            DueDay = random.Next(0, days),
            LatePerDay = random.Next(1, 10),
            EarlyPerDay = random.Next(0, 3),
            BlockedDays = [.. Enumerable.Range(0, days).Where(_ => random.Next(8) == 0)],
            Group = random.Next(3) == 0 ? "pair" : null,
        })])
    {
        GroupLimits = new Dictionary<string, int> { ["pair"] = 1 },
        SiteChangeCost = random.Next(0, 4),
        UnplacedCost = 40,
    };

    private static ScheduleRequest Request(ScheduleJob[] jobs, int days, int technicians = 1) =>
        new(days, [.. Enumerable.Range(1, technicians).Select(i => new Technician($"t{i}", ["marine"], Week))], jobs);

    private static ScheduleJob Job(string id, double hours, int? due, double late = 10, double early = 1, string? skill = "marine", string? site = null, string? group = null) =>
        new(id, site, skill, hours) { DueDay = due, LatePerDay = late, EarlyPerDay = early, Group = group };
}
