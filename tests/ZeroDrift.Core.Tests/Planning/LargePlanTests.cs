using ZeroDrift.Planning;

namespace ZeroDrift.Core.Tests.Planning;

/// <summary>Plans too large to be proved at once: bettered by taking out and putting back, then searched.</summary>
public sealed class LargePlanTests
{
    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    public void Everything_holds_in_it_and_its_cost_is_what_a_plain_count_says(int seed)
    {
        var request = Request(seed);
        var plan = Scheduler.Plan(request);

        Assert.True(PlainRules.Hold(request, plan));
        Assert.Equal(PlainRules.Cost(request, PlainRules.Chosen(request, plan)), plan.Cost, 6);
        Assert.InRange(plan.Bound, 0, plan.Cost + 1e-6);
    }

    [Fact]
    public void The_same_input_gives_the_same_plan()
    {
        var (one, other) = (Scheduler.Plan(Request(3)), Scheduler.Plan(Request(3)));
        Assert.Equal(one.Assignments.Select(a => (a.Job, a.Technician, a.Mate, a.Day)), other.Assignments.Select(a => (a.Job, a.Technician, a.Mate, a.Day)));
    }

    [Fact]
    public void A_pin_stands_in_it_and_so_does_what_it_waits_for()
    {
        var request = Request(4) with { Pins = [new Pin("j7", "t2", 9)] };
        var plan = Scheduler.Plan(request with { Jobs = [.. request.Jobs.Select(j => j.Id == "j7" ? j with { Skill = null, Hours = 3, Crew = 1, After = null, BlockedDays = [], EarliestDay = 0 } : j.Id == "j8" ? j with { After = new After("j7", 2) } : j)] });

        Assert.Equal(("t2", 9), (plan.Assignments.Single(a => a.Job == "j7").Technician, plan.Assignments.Single(a => a.Job == "j7").Day));
        Assert.True(plan.Assignments.SingleOrDefault(a => a.Job == "j8") is not { } next || next.Day >= 11);
    }

    [Fact]
    public void A_way_round_may_be_shorter_than_the_road_nobody_would_take()
    {
        // From a to b it is three hours straight and nothing by c: with work at all three the day holds them, with a and b alone it does not.
        Technician[] one = [new("t1", [], [8])];
        ScheduleJob At(string site) => new(site, site, null, 2) { DueDay = 0, LatePerDay = 5 };
        ScheduleRequest With(params string[] sites) => new(2, one, [.. sites.Select(At)]) { TravelHours = [new Road("a", "b", 5)] };

        Assert.Equal([0, 0, 0], Scheduler.Plan(With("a", "b", "c")).Assignments.Select(a => a.Day));
        Assert.Equal([0, 1], Scheduler.Plan(With("a", "b")).Assignments.Select(a => a.Day).Order());
    }

    private static ScheduleRequest Request(int seed)
    {
        var random = new Random(seed);
        string[] sites = ["quay", "power house", "depot", "farm"];
        return new ScheduleRequest(
            30,
            [.. Enumerable.Range(1, 5).Select(i => new Technician($"t{i}", [i % 2 == 0 ? "marine" : "lorry"], [8, 8, 8, 8, 8, 0, 0]))],
            [.. Enumerable.Range(1, 70).Select(i => new ScheduleJob($"j{i}", sites[random.Next(4)], random.Next(3) == 0 ? null : random.Next(2) == 0 ? "marine" : "lorry", random.Next(2, 10))
            {
                EarliestDay = random.Next(0, 8),
                DueDay = random.Next(3, 28),
                LatePerDay = random.Next(2, 12),
                EarlyPerDay = 1,
                BlockedDays = [.. Enumerable.Range(0, 30).Where(_ => random.Next(12) == 0)],
                Group = random.Next(6) == 0 ? "standby" : null,
                Crew = random.Next(5) == 0 ? 2 : 1,
                Tools = random.Next(8) == 0 ? ["turning gear"] : [],
                After = i > 1 && random.Next(12) == 0 ? new After($"j{random.Next(1, i)}", 3) : null,
            })])
        {
            GroupLimits = new Dictionary<string, int> { ["standby"] = 1 },
            ToolCounts = new Dictionary<string, int> { ["turning gear"] = 1 },
            TravelHours = [new Road("quay", "depot", 0.5), new Road("quay", "farm", 1), new Road("depot", "farm", 0.75)],
            SiteChangeCost = 2,
            TimeLimitSeconds = 2,
        };
    }
}
