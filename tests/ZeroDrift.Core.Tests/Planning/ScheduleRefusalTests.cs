using ZeroDrift.Planning;

namespace ZeroDrift.Core.Tests.Planning;

public class ScheduleRefusalTests
{
    private static readonly Technician One = new("t1", ["marine"], [8]);
    private static readonly ScheduleJob Job = new("j1", "north", "marine", 6) { DueDay = 2, LatePerDay = 5, EarlyPerDay = 1 };

    [Fact]
    public void Each_impossible_request_is_refused_by_field()
    {
        var good = new ScheduleRequest(5, [One], [Job]);

        Refused("dayCount", good with { DayCount = 0 });
        Refused("dayCount", good with { DayCount = 5000 });
        Refused("technicians", good with { Technicians = [] });
        Refused("technicians[1].id", good with { Technicians = [One, One] });
        Refused("technicians[0].hoursByDay", good with { Technicians = [One with { HoursByDay = [] }] });
        Refused("technicians[0].hoursByDay", good with { Technicians = [One with { HoursByDay = [25] }] });
        Refused("jobs[1].id", good with { Jobs = [Job, Job] });
        Refused("jobs[0].hours", good with { Jobs = [Job with { Hours = 0 }] });
        Refused("jobs[0].hours", good with { Jobs = [Job with { Hours = double.NaN }] });
        Refused("jobs[0].latePerDay", good with { Jobs = [Job with { LatePerDay = -1 }] });
        Refused("jobs[0].earliestDay", good with { Jobs = [Job with { EarliestDay = -1 }] });
        Refused("siteChangeCost", good with { SiteChangeCost = 1e300 });
        Refused("unplacedCost", good with { UnplacedCost = -5 });
        Refused("timeLimitSeconds", good with { TimeLimitSeconds = 1e9 });
        Refused("groupLimits.pair", good with { GroupLimits = new Dictionary<string, int> { ["pair"] = -1 } });
        Refused("pins[0].job", good with { Pins = [new Pin("nobody", "t1", 0)] });
        Refused("pins[0].technician", good with { Pins = [new Pin("j1", "nobody", 0)] });
        Refused("pins[0].day", good with { Pins = [new Pin("j1", "t1", 5)] });

        static void Refused(string field, ScheduleRequest request) => Assert.Equal(field, Assert.Throws<BadInputException>(() => Scheduler.Plan(request)).Field);
    }

    [Fact]
    public void Nothing_to_place_is_a_plan()
    {
        var plan = Scheduler.Plan(new ScheduleRequest(5, [One], []));

        Assert.Equal((ScheduleStatus.Optimal, 0.0), (plan.Status, plan.Cost));
    }

    [Fact]
    public void An_overdue_job_stands_first_and_says_since_when()
    {
        var plan = Scheduler.Plan(new ScheduleRequest(5, [One], [Job with { DueDay = -3 }]));

        Assert.Equal((0, 15.0), (plan.Assignments[0].Day, plan.Cost));
        Assert.StartsWith("3 days after its due day, the first day it may begin", plan.Assignments[0].Because, StringComparison.Ordinal);
    }

    [Fact]
    public void A_full_day_is_named_as_what_keeps_a_job_from_its_due_day()
    {
        var request = new ScheduleRequest(5, [One], [Job with { LatePerDay = 50, EarlyPerDay = 50 }, Job with { Id = "j2", LatePerDay = 2, EarlyPerDay = 3 }]);

        var second = Scheduler.Plan(request).Assignments.Single(a => a.Job == "j2");

        Assert.Equal(3, second.Day);
        Assert.Contains("t1 is taken by j1", second.Because, StringComparison.Ordinal);
    }

    [Fact]
    public void A_group_limit_is_named_as_what_keeps_a_job_out()
    {
        var request = new ScheduleRequest(1, [One, One with { Id = "t2" }], [Job with { Group = "pair" }, Job with { Id = "j2", Group = "pair", LatePerDay = 1 }])
        {
            GroupLimits = new Dictionary<string, int> { ["pair"] = 1 },
        };

        var left = Assert.Single(Scheduler.Plan(request).Unplaced);

        Assert.Contains("only 1 of pair may be out at once", left.Reason, StringComparison.Ordinal);
    }

    [Fact]
    public void A_pin_may_leave_the_day_or_the_technician_open()
    {
        var request = new ScheduleRequest(5, [One, One with { Id = "t2" }], [Job]);

        Assert.Equal("t2", Scheduler.Plan(request with { Pins = [new Pin("j1", "t2", null)] }).Assignments[0].Technician);
        Assert.Equal(4, Scheduler.Plan(request with { Pins = [new Pin("j1", null, 4)] }).Assignments[0].Day);
    }

    [Fact]
    public void Progress_is_told_and_never_gets_worse()
    {
        var jobs = Enumerable.Range(0, 30).Select(i => Job with { Id = $"j{i}", DueDay = i % 7, Site = i % 2 == 0 ? "north" : "south" }).ToArray();
        var told = new List<ScheduleProgress>();

        Scheduler.Plan(new ScheduleRequest(15, [One, One with { Id = "t2" }, One with { Id = "t3" }], jobs) { SiteChangeCost = 2, TimeLimitSeconds = 2 }, new Listener(told));

        Assert.NotEmpty(told);
        Assert.True(told.Zip(told.Skip(1)).All(pair => pair.Second.BestCost <= pair.First.BestCost + 1e-9));
        Assert.All(told, p => Assert.True(p.Bound <= p.BestCost + 1e-6));
    }

    private sealed class Listener(List<ScheduleProgress> told) : IProgress<ScheduleProgress>
    {
        public void Report(ScheduleProgress value) => told.Add(value);
    }
}
