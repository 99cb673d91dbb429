using ZeroDrift.Planning;

namespace ZeroDrift.Core.Tests.Planning;

/// <summary>Crews of two, tools that exist once, jobs that wait for others, roads between sites, and what moving a job costs.</summary>
public sealed class SchedulerWithCrewsTests
{
    private static readonly Technician Marit = new("Marit", ["marine"], [8]);
    private static readonly Technician Olav = new("Olav", ["lorry"], [8, 0, 8, 8]);

    [Fact]
    public void A_job_for_two_takes_both_of_their_hours_and_the_second_need_not_know_the_engine()
    {
        var plan = Scheduler.Plan(new ScheduleRequest(4, [Marit, Olav], [Job("bar", 6, due: 1) with { Skill = "marine", Crew = 2 }, Job("lorry", 4, due: 0) with { Skill = "lorry" }]));

        var bar = plan.Assignments.Single(a => a.Job == "bar");
        Assert.Equal(("Marit", "Olav"), (bar.Technician, bar.Mate));
        Assert.Equal((2, 0), (bar.Day, plan.Assignments.Single(a => a.Job == "lorry").Day));
        Assert.Null(plan.Assignments.Single(a => a.Job == "lorry").Mate);
    }

    [Fact]
    public void A_second_who_is_off_is_said_though_another_could_be()
    {
        var request = new ScheduleRequest(2, [Marit, Olav, new Technician("Tove", [], [8])], [Job("bar", 6, due: 1) with { Skill = "marine", Crew = 2 }]);
        IReadOnlyList<Assignment> draft = [new("bar", "Marit", 1, 1, "", "Olav")];

        Assert.Equal((null, "Tove"), (PlanCheck.Of(request, draft, "bar", "Marit", 1).Obstacle, PlanCheck.Of(request, draft, "bar", "Marit", 1).Mate));
        Assert.Equal("Olav has not the hours to be second on day 1", PlanCheck.Of(request, draft, "bar", "Marit", 1, "Olav").Obstacle);
        Assert.Null(PlanCheck.Of(request, draft, "bar", "Marit", 0, "Olav").Obstacle);
    }

    [Fact]
    public void Nobody_to_be_second_leaves_it_out_and_says_so() =>
        Assert.Contains("takes two", Scheduler.Plan(new ScheduleRequest(4, [Marit], [Job("bar", 6, due: 1) with { Crew = 2 }])).Unplaced.Single().Reason, StringComparison.OrdinalIgnoreCase);

    [Fact]
    public void A_tool_that_exists_once_is_with_one_job_a_day()
    {
        var jobs = new[] { Job("a", 3, due: 0) with { Tools = ["dial rig"] }, Job("b", 3, due: 0) with { Tools = ["dial rig"] } };

        Assert.Equal([0, 1], Scheduler.Plan(new ScheduleRequest(3, [Marit], jobs)).Assignments.Select(a => a.Day).Order());
        Assert.Equal([0, 0], Scheduler.Plan(new ScheduleRequest(3, [Marit], jobs) { ToolCounts = new Dictionary<string, int> { ["dial rig"] = 2 } }).Assignments.Select(a => a.Day));
        Assert.Contains("no dial rig", Scheduler.Plan(new ScheduleRequest(3, [Marit], jobs) { ToolCounts = new Dictionary<string, int> { ["dial rig"] = 0 } }).Unplaced[0].Reason, StringComparison.Ordinal);
    }

    [Fact]
    public void The_second_visit_of_a_shim_job_waits_for_the_parts_and_not_at_all_without_the_first()
    {
        var jobs = new[] { Job("measure", 4, due: 1), Job("fit", 4, due: 2) with { After = new After("measure", 3) } };

        var days = Scheduler.Plan(new ScheduleRequest(8, [Marit], jobs)).Assignments.ToDictionary(a => a.Job, a => a.Day);
        Assert.True(days["fit"] >= days["measure"] + 3, $"{days["measure"]} then {days["fit"]}");
        var without = Scheduler.Plan(new ScheduleRequest(8, [Marit], [jobs[0] with { Skill = "steam" }, jobs[1]]));
        Assert.Equal(["fit", "measure"], without.Unplaced.Select(u => u.Job).Order());
        Assert.Contains("measure comes first", without.Unplaced.Single(u => u.Job == "fit").Reason, StringComparison.Ordinal);
    }

    [Fact]
    public void The_road_between_two_sites_comes_out_of_the_day()
    {
        var jobs = new[] { Job("a", 4, due: 0) with { Site = "north" }, Job("b", 3, due: 0) with { Site = "south" } };
        ScheduleRequest With(double road) => new(2, [Marit], jobs) { TravelHours = [new Road("south", "north", road)] };

        Assert.Equal([0, 0], Scheduler.Plan(With(1)).Assignments.Select(a => a.Day));
        Assert.Equal([0, 1], Scheduler.Plan(With(1.5)).Assignments.Select(a => a.Day).Order());
    }

    [Fact]
    public void A_job_is_moved_only_as_far_as_it_is_worth()
    {
        var request = new ScheduleRequest(6, [Marit], [Job("a", 4, due: 4, late: 10, early: 1)]) { Previous = [new Placement("a", "Marit", 1)], MovePerDay = 2 };

        Assert.Equal((1, 3.0), (Scheduler.Plan(request).Assignments[0].Day, Scheduler.Plan(request).Cost));
        Assert.Equal((4, 1.5), (Scheduler.Plan(request with { MovePerDay = 0.5 }).Assignments[0].Day, Scheduler.Plan(request with { MovePerDay = 0.5 }).Cost));
        Assert.Equal(4, Scheduler.Plan(request with { Previous = [new Placement("a", "Marit", 1, 0.1)] }).Assignments[0].Day);
    }

    [Theory]
    [InlineData("jobs[0].crew")]
    [InlineData("jobs[0].after.job")]
    [InlineData("travelHours[0].hours")]
    [InlineData("toolCounts.rig")]
    [InlineData("movePerDay")]
    public void What_cannot_be_is_named(string field)
    {
        var request = new ScheduleRequest(3, [Marit], [Job("a", 3, due: 0), Job("b", 3, due: 0) with { After = new After("a", 0) }]);
        request = field switch
        {
            "jobs[0].crew" => request with { Jobs = [request.Jobs[0] with { Crew = 3 }, request.Jobs[1]] },
            "jobs[0].after.job" => request with { Jobs = [request.Jobs[0] with { After = new After("b", 0) }, request.Jobs[1]] },
            "travelHours[0].hours" => request with { TravelHours = [new Road("north", "south", 25)] },
            "toolCounts.rig" => request with { ToolCounts = new Dictionary<string, int> { ["rig"] = -1 } },
            _ => request with { MovePerDay = -1 },
        };

        Assert.Equal(field, Assert.Throws<BadInputException>(() => Scheduler.Plan(request)).Field);
    }

    /// <summary>Against every possible plan of small random cases.</summary>
    [Fact]
    public void No_plan_of_a_small_case_costs_less()
    {
        for (var seed = 0; seed < 60; seed++)
        {
            var request = RandomRequest(new Random(seed), 3, 3, 4);
            var plan = Scheduler.Plan(request);

            Assert.Equal(ScheduleStatus.Optimal, plan.Status);
            Assert.True(PlainRules.Hold(request, plan), $"seed {seed}");
            Assert.Equal(PlainRules.Cost(request, PlainRules.Chosen(request, plan)), plan.Cost, 6);
            Assert.Equal(PlainRules.Cheapest(request), plan.Cost, 6);
        }
    }

    [Fact]
    public void Every_constraint_holds_on_larger_ones()
    {
        for (var seed = 200; seed < 212; seed++)
        {
            var request = RandomRequest(new Random(seed), 18, 4, 12) with { TimeLimitSeconds = 1 };
            var plan = Scheduler.Plan(request);

            Assert.True(PlainRules.Hold(request, plan), $"seed {seed}");
            Assert.Equal(PlainRules.Cost(request, PlainRules.Chosen(request, plan)), plan.Cost, 6);
            Assert.True(plan.Bound <= plan.Cost + 1e-6);
        }
    }

    /// <summary>What a drag is told is what a full check of the whole plan says, over random moves.</summary>
    [Fact]
    public void A_job_tried_elsewhere_is_told_what_a_full_check_says()
    {
        var (fits, not) = (0, 0);
        for (var seed = 300; seed < 330; seed++)
        {
            var random = new Random(seed);
            var request = RandomRequest(random, 10, 3, 8) with { TimeLimitSeconds = 0.5 };
            var plan = Scheduler.Plan(request);
            for (var move = 0; move < 20 && plan.Assignments.Count > 0; move++)
            {
                var at = plan.Assignments[random.Next(plan.Assignments.Count)];
                var (technician, day) = (random.Next(3), random.Next(8));
                var check = PlanCheck.Of(request, plan.Assignments, at.Job, request.Technicians[technician].Id, day);
                var job = request.Jobs.Select((j, i) => (j, i)).Single(j => j.j.Id == at.Job).i;
                var before = PlainRules.Chosen(request, plan);
                bool Fits(int? mate) => PlainRules.Fits(request, [.. before.Select((c, j) => j == job ? new PlainRules.Choice(technician, mate, day) : c)]);
                if (check.Obstacle is null)
                {
                    fits++;
                    int? mate = check.Mate is null ? null : request.Technicians.Select((t, i) => (t, i)).Single(t => t.t.Id == check.Mate).i;
                    Assert.True(Fits(mate), $"seed {seed}: {at.Job} at {technician} on {day} was said to fit");
                    var after = before.Select((c, j) => j == job ? new PlainRules.Choice(technician, mate, day) : c).ToList();
                    Assert.Equal(PlainRules.Cost(request, after) - PlainRules.Cost(request, before), check.CostChange, 6);
                }
                else
                {
                    not++;
                    Assert.False(((int?[])[null, 0, 1, 2]).Any(Fits), $"seed {seed}: {at.Job} at {technician} on {day} fits, though {check.Obstacle}");
                }
            }
        }
        Assert.True(fits > 50 && not > 50, $"{fits} fitted, {not} did not");
    }

    private static ScheduleJob Job(string id, double hours, int? due, double late = 10, double early = 1) => new(id, null, null, hours) { DueDay = due, LatePerDay = late, EarlyPerDay = early };

    private static ScheduleRequest RandomRequest(Random random, int jobs, int technicians, int days) => new(
        days,
        [.. Enumerable.Range(1, technicians).Select(i => new Technician($"t{i}", i == 1 ? ["marine", "lorry"] : ["lorry"], [.. Enumerable.Range(0, 7).Select(_ => random.Next(5) == 0 ? 0.0 : random.Next(4, 9))]))],
        [.. Enumerable.Range(1, jobs).Select(i => new ScheduleJob($"j{i}", ((string[])["north", "south", "east"])[random.Next(3)], random.Next(3) == 0 ? "marine" : null, random.Next(1, 9))
        {
            EarliestDay = random.Next(0, Math.Max(1, days / 3)),
            DueDay = random.Next(0, days),
            LatePerDay = random.Next(1, 10),
            EarlyPerDay = random.Next(0, 3),
            Group = random.Next(3) == 0 ? "pair" : null,
            Crew = random.Next(3) == 0 ? 2 : 1,
            Tools = random.Next(2) == 0 ? ["dial rig"] : [],
            After = i > 1 && random.Next(3) == 0 ? new After($"j{random.Next(1, i)}", random.Next(0, 3)) : null,
        })])
    {
        GroupLimits = new Dictionary<string, int> { ["pair"] = 1 },
        TravelHours = [new Road("north", "south", 1), new Road("south", "east", 2), new Road("north", "east", 0.5)],
        SiteChangeCost = random.Next(0, 4),
        UnplacedCost = 40,
        MovePerDay = 0.5,
        Previous = [new Placement("j1", "t1", random.Next(0, days))],
    };
}
