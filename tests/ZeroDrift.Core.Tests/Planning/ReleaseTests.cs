using ZeroDrift.Core.Jobs;
using ZeroDrift.Planning;

namespace ZeroDrift.Core.Tests.Planning;

/// <summary>What would have to give way for a job to fit, and the moment when an engine is open anyway.</summary>
public sealed class ReleaseTests
{
    private static readonly Technician Marit = new("Marit", ["marine"], [8, 8, 0]);
    private static readonly IReadOnlySet<string> None = new HashSet<string>();

    [Fact]
    public void An_hour_longer_is_less_than_a_day_off_worked()
    {
        var request = new ScheduleRequest(3, [Marit], [Job("a", 8), Job("b", 7), Job("c", 2)]);
        var releases = Release.For(request, [At("a", 0), At("b", 1)], None, "c");

        Assert.Equal("Marit works 1 h longer on day 1.", releases[0].What);
        Assert.Contains(releases, r => r.What == "Marit works on day 2, a day off.");
    }

    [Theory]
    [InlineData("parts", "it can begin by day 0, its parts here or the wait shorter.")]
    [InlineData("harvest", "the machine is spared from day 0.")]
    [InlineData("group", "2 of ferries may be out from day 0.")]
    [InlineData("tool", "one more gear is had on day 0.")]
    [InlineData("skill", "Marit does this kind (steam) on day 0.")]
    [InlineData("pin", "a is unpinned, and this is done on day 0.")]
    public void What_keeps_it_out_is_what_would_have_to_give_way(string what, string release)
    {
        var (a, c) = (Job("a", 8), Job("c", 2));
        var request = new ScheduleRequest(1, [new Technician("Marit", ["marine"], [what is "pin" ? 8 : 12])], [a, c]);
        request = what switch
        {
            "parts" => request with { DayCount = 2, Technicians = [new Technician("Marit", ["marine"], [12, 0])], Jobs = [a, c with { EarliestDay = 1 }] },
            "harvest" => request with { Jobs = [a, c with { BlockedDays = [0] }] },
            "group" => request with { Jobs = [a with { Group = "ferries" }, c with { Group = "ferries" }], GroupLimits = new Dictionary<string, int> { ["ferries"] = 1 } },
            "tool" => request with { Jobs = [a with { Tools = ["gear"] }, c with { Tools = ["gear"] }] },
            "skill" => request with { Jobs = [a, c with { Skill = "steam" }] },
            _ => request,
        };
        Assert.Contains(release, Release.For(request, [At("a", 0)], what == "pin" ? new HashSet<string> { "a" } : None, "c").Select(r => r.What));
    }

    [Fact]
    public void Where_two_things_are_in_the_way_no_single_one_is_named() =>
        Assert.Empty(Release.For(new ScheduleRequest(1, [Marit], [Job("c", 2) with { Skill = "steam", BlockedDays = [0] }]), [], None, "c"));

    /// <summary>Over random full weeks: whatever is said to let a job in does, tried by the plain rules.</summary>
    [Fact]
    public void Whoever_works_longer_or_on_a_day_off_truly_has_the_room_then()
    {
        var tried = 0;
        for (var seed = 0; seed < 60; seed++)
        {
            var random = new Random(seed);
            ScheduleJob[] jobs = [.. Enumerable.Range(0, 6).Select(i => new ScheduleJob($"j{i}", null, random.Next(2) == 0 ? "marine" : null, random.Next(3, 9)) { DueDay = random.Next(4), LatePerDay = 1 + random.Next(5) })];
            var request = new ScheduleRequest(4, [new Technician("t0", ["marine"], [8, 8, 0, 8]), new Technician("t1", [], [8, 0, 8, 0])], jobs) { TimeLimitSeconds = 0.5 };
            var plan = Scheduler.Plan(request);
            if (plan.Unplaced.Count == 0) continue;
            var left = plan.Unplaced[0].Job;
            foreach (var release in Release.For(request, plan.Assignments, None, left))
            {
                tried++;
                var who = request.Technicians.Select((t, i) => (t, i)).Single(t => t.t.Id == release.Technician).i;
                var more = release.What.Contains("longer", StringComparison.Ordinal) ? release.Size : release.What.Contains("day off", StringComparison.Ordinal) ? 8 : 0;
                var eased = request with { Technicians = [.. request.Technicians.Select((t, i) => i != who || more == 0 ? t : t with { HoursByDay = [.. t.HoursByDay.Select(h => more < 8 ? h > 0 ? h + more : 0 : h > 0 ? h : 8)] })] };
                if (release.What.Contains("does this kind", StringComparison.Ordinal)) eased = eased with { Jobs = [.. eased.Jobs.Select(j => j.Id == left ? j with { Skill = null } : j)] };
                Assert.Null(PlanCheck.Of(eased, plan.Assignments, left, release.Technician, release.Day).Obstacle);
                Assert.NotNull(PlanCheck.Of(request, plan.Assignments, left, release.Technician, release.Day).Obstacle);
            }
        }
        Assert.True(tried > 20, $"{tried}");
    }

    [Theory]
    [InlineData(0, true)]
    [InlineData(90, true)]
    [InlineData(91, false)]
    [InlineData(-1, false)]
    public void An_engine_open_anyway_is_worth_an_overhead_that_is_not_far_off(int daysAhead, bool worth) =>
        Assert.Equal(worth, CheapMoment.Is(new DateOnly(2026, 12, 1), new DateOnly(2026, 12, 1).AddDays(daysAhead)));

    private static ScheduleJob Job(string id, double hours) => new(id, null, "marine", hours) { DueDay = 0, LatePerDay = 1 };

    private static Assignment At(string job, int day) => new(job, "Marit", day, day, "");
}
