using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Core.Tests.Visits;

/// <summary>Steps that a type owns, asked where they belong. Common practice, no source.</summary>
public class TypeStepsTests
{
    private static EngineType Type(AdjusterKind adjuster, string layout = "I E I E", bool bridgeScrews = false)
    {
        var order = FiringOrder.Parse("1 2", EngineCycle.FourStroke);
        var points = HeadLayout.Parse(null, layout, order, adjuster, new AdjusterFigures(1.0, TravelTurns: T(1.6), ShimSizesMm: [2.65, 2.70, 2.75]));
        return new EngineType { Order = order, Points = [.. points.Select(p => bridgeScrews && p.Kind == LashKind.Exhaust ? p with { Bridge = new Bridge(true) } : p)], Method = TurningMethod.PerCylinder };
    }

    private static List<VisitStep> Steps(EngineType type, bool spark = false) => [.. DefaultSteps.Of(type, spark).SelectMany(s => s.Of(type))];

    [Fact]
    public void An_eccentric_is_asked_for_its_index_mark_at_every_point() =>
        Assert.Equal(["mark:1I", "mark:1E", "mark:2I", "mark:2E"], Steps(Type(AdjusterKind.EccentricShaft)).Where(s => s.List == StepList.Point).Select(s => s.Key));

    [Fact]
    public void Of_two_bridge_styles_in_one_type_only_those_with_a_screw_ask_for_it_first() =>
        Assert.Equal(["bridge:1E", "bridge:2E"], Steps(Type(AdjusterKind.BridgeScrew, bridgeScrews: true)).Where(s => s.List == StepList.Point && !s.AfterFitting).Select(s => s.Key));

    [Fact]
    public void A_puck_is_seen_seated_and_small_parts_are_counted_out_and_in()
    {
        var steps = Steps(Type(AdjusterKind.Puck));
        Assert.Contains(steps, s => s.Key == "puck:2E" && s.Text.Contains("mirror", StringComparison.Ordinal));
        Assert.Equal(["parts", "parts"], steps.Where(s => s.Counts is not null).Select(s => s.Pair));
    }

    [Theory]
    [InlineData(AdjusterKind.ScrewAtValve, false)]
    [InlineData(AdjusterKind.ScrewAtPushrod, false)]
    [InlineData(AdjusterKind.HydraulicPreload, true)]
    public void Only_lifters_are_gone_over_a_second_time(AdjusterKind adjuster, bool second) =>
        Assert.Equal(second, Steps(Type(adjuster)).Exists(s => s.Key == "second-pass"));

    [Fact]
    public void A_head_without_locknuts_or_rockers_is_not_asked_about_them()
    {
        Assert.DoesNotContain(CloseUp.Of(Type(AdjusterKind.ShimOnTop), [], []), c => c.Key is "untouched" or "rockers");
        var lifters = Type(AdjusterKind.HydraulicPreload);
        var selfLocking = lifters with { Points = [.. lifters.Points.Select(p => p with { Adjuster = new Adjuster.Hydraulic(T(1.6), true) })] };
        Assert.DoesNotContain(CloseUp.Of(selfLocking, [], []), c => c.Key == "untouched");
        Assert.Contains(CloseUp.Of(lifters, [], []), c => c.Key == "untouched");
    }

    [Fact]
    public void Whoever_is_told_to_plug_drain_holes_is_told_to_open_them_again()
    {
        foreach (var adjuster in Enum.GetValues<AdjusterKind>().Except([AdjusterKind.InjectorScrew, AdjusterKind.BrakeScrew]))
        {
            var steps = Cautions.Steps(MachineKind.Lorry.Usual(), Type(adjuster), DefaultSteps.Of(Type(adjuster), false), new KitFacts());
            Assert.Single(steps, s => s.Text.Contains("drain holes plugged", StringComparison.Ordinal));
            Assert.Single(steps, s => s.List == StepList.CloseUp && s.Text.EndsWith("drain holes open again.", StringComparison.Ordinal));
        }
    }

    [Theory]
    [InlineData(MachineKind.Mower, true, "Ignition disabled", "Fuel stop")]
    [InlineData(MachineKind.Lorry, false, "its pressure is high", "Ignition")]
    [InlineData(MachineKind.Mower, true, "Blades disengaged", "hydraulic starter")]
    [InlineData(MachineKind.Ferry, false, "hydraulic starter isolated", "plug leads")]
    [InlineData(MachineKind.Tractor, false, "Battery negative off.", "air or hydraulic")]
    public void A_caution_stands_where_it_applies_and_only_there(MachineKind machine, bool spark, string stands, string standsNot)
    {
        var all = string.Join(' ', Cautions.MakeSafe(new MachineFacts(machine.Usual(), spark)).Select(c => c.Text));
        Assert.Contains(stands, all, StringComparison.Ordinal);
        Assert.DoesNotContain(standsNot, all, StringComparison.Ordinal);
    }

    [Fact]
    public void A_propeller_as_the_bar_has_a_caution_of_its_own()
    {
        Assert.Contains(Cautions.MakeSafe(new MachineFacts(MachineKind.Generator.Usual(), true, "by the propeller")), c => c.Key == "propeller");
        Assert.DoesNotContain(Cautions.MakeSafe(new MachineFacts(MachineKind.Ferry.Usual(), false, "socket on the crank nut")), c => c.Key == "propeller");
    }

    [Theory]
    [InlineData(AdjusterKind.ScrewAtValve, "Every rocker shaken: each has its play, and none rocks with the blade in.")]
    [InlineData(AdjusterKind.FollowerScrew, "Every follower shaken: each has its play, and none rocks with the blade in.")]
    [InlineData(AdjusterKind.FollowerScrew, "Every follower shaken: each has its play, and none rocks with the blade in.", "I E B I E B")]
    [InlineData(AdjusterKind.HydraulicPreload, "Every rocker shaken: none rattles on its lifter.")]
    public void What_is_shaken_at_the_end_is_what_the_head_has(AdjusterKind adjuster, string says, string layout = "I E I E") =>
        Assert.Equal(says, CloseUp.Of(Type(adjuster, layout), [], []).Single(c => c.Key == "rockers").Text);

    [Fact]
    public void The_torque_of_a_cover_stands_at_its_end_that_of_a_locknut_at_its_point()
    {
        Fastener[] fasteners = [new("locknut", "13 mm ring", 22, 12), new("cover bolt", "10 mm", 9, 8)];
        var close = CloseUp.Of(Type(AdjusterKind.ScrewAtValve), fasteners, []).ToList();
        // A nut tightened at the end would move what was measured: its torque belongs to its point.
        Assert.DoesNotContain(close, c => c.Text.Contains("22 Nm", StringComparison.Ordinal));
        Assert.Contains("cover bolt 9 Nm", close.Single(c => c.Key == "gaskets").Text, StringComparison.Ordinal);
    }

    [Fact]
    public void The_kit_list_sums_fasteners_of_one_size_and_names_what_is_scarce()
    {
        var kit = Kit.Of(Type(AdjusterKind.ShimOnTop), new KitFacts
        {
            Fasteners = [new("cover bolt", "10 mm", 9, 8), new("plug", "21 mm", null, 2), new("barring nut", "21 mm", null, 1)],
            Gaskets = [new Gasket("cover gasket", 1, true)],
            ScarceTools = ["puller for the air cleaner"],
        }).Select(l => l.Text).ToList();
        Assert.Contains("21 mm: plug, barring nut", kit);
        Assert.Contains("1 × cover gasket: new every time", kit);
        Assert.Contains(kit, t => t.StartsWith("Depressor", StringComparison.Ordinal));
        Assert.Contains("Torque wrench for cover bolt 9 Nm", kit);
    }

    [Fact]
    public void The_guide_asks_covers_after_cold_and_a_preliminary_at_its_own_crank_position()
    {
        var context = VisitScript.Twin(steps:
        [
            new("battery", StepList.MakeSafe, "Battery off."), new("hands", StepList.MakeSafe, "Hands clear."), new("kit-1", StepList.Kit, "Blades"),
            new("drains", StepList.Covers, "Drain holes plugged."), new("chain", StepList.Stop, "Chain adjusted.") { CrankDeg = Deg(90) }, new("oiled", StepList.BeforeCloseUp, "Lobes oiled."),
        ]);
        var visit = new VisitScript(context).Ready();
        Assert.Equal("drains", visit.Visit.Next!.Step);
        visit.Tick("drains");
        visit.Bar(90);
        Assert.Equal(new NextTask(NextDo.Step, CrankDeg: Deg(90), Step: "chain"), visit.Visit.Next);
        visit.Tick("chain");
        // From there on in the running direction: the second cylinder's stop comes up first.
        Assert.Equal((NextDo.Bar, "2I"), (visit.Visit.Next!.Do, visit.Visit.Next.Point));
        visit.AllFound();
        Assert.Equal("oiled", visit.Visit.Next!.Step);
        visit.Tick("oiled");
        Assert.Equal(NextDo.Sign, visit.Visit.Next!.Do);
        Assert.Empty(visit.Visit.Refusals);
    }

    [Fact]
    public void A_step_at_a_point_is_owed_only_where_the_point_was_set()
    {
        var context = VisitScript.Twin(steps: [new("battery", StepList.MakeSafe, "Battery off."), new("hands", StepList.MakeSafe, "Hands clear."), .. Type(AdjusterKind.EccentricShaft).Points.Select(p => new VisitStep("mark:" + p.Label, StepList.Point, "Mark outward.") { Point = p.Label })]);
        var visit = new VisitScript(context).Ready();
        foreach (var label in (string[])["1E", "2I", "2E"]) visit.Measured(label, label[1] == 'E' ? "0.40" : "0.20");
        visit.Measured("1I", "0.10");
        visit.Prove(0);
        Assert.Equal("mark:1I", visit.Visit.Next!.Step);
        visit.Measured("1I", "0.20", ReadingStage.AsLeft);
        Assert.Equal(["mark:1I"], visit.Visit.Refusals.Single(r => r.Code == RefusalCode.StepMissing).Steps);
        visit.Tick("mark:1I");
        Assert.Empty(visit.Visit.Refusals);
    }

    [Fact]
    public void A_step_of_a_build_is_not_asked_in_an_overhead()
    {
        var context = VisitScript.Twin(steps: [new("battery", StepList.MakeSafe, "Battery off."), new("hands", StepList.MakeSafe, "Hands clear."), new("caps", StepList.Stop, "Cam caps torqued.") { OnlyJob = JobKind.Build }]);
        Assert.NotEqual("caps", new VisitScript(context).Ready().Visit.Next!.Step);
        Assert.Equal("caps", new VisitScript(context).Ready(JobKind.Build).Visit.Next!.Step);
    }

    [Fact]
    public void One_bank_opened_says_which_cylinders_were_not_looked_at()
    {
        var visit = new VisitScript().Ready();
        visit.Measured("1I", "0.20");
        visit.Measured("1E", "0.40");
        visit.Say("2I", PointOutcome.NotReached, "bank not opened");
        visit.Say("2E", PointOutcome.NotReached, "bank not opened");
        visit.Tick("tools");
        visit.Sign();
        Assert.Equal([2], visit.Visit.NotLookedAt);
    }

    [Fact]
    public void A_hot_engine_s_minutes_count_from_when_it_was_stopped_and_anew_once_it_was_run_warm_again()
    {
        var visit = new VisitScript(VisitScript.Twin(condition: SpecCondition.Hot));
        visit.Open();
        Assert.Null(visit.Visit.StoppedAt);
        var at = new DateTimeOffset(2026, 11, 1, 9, 0, 0, TimeSpan.Zero);
        visit.Offer(id => new ConditionStated(SpecCondition.Hot, 82, 0.25, false) { Id = id, At = at, By = VisitScript.Marit, Device = "t" });
        Assert.Equal(at.AddMinutes(-15), visit.Visit.StoppedAt);
        visit.Offer(id => new ConditionStated(SpecCondition.Hot, null, 0, false) { Id = id, At = at.AddMinutes(30), By = VisitScript.Marit, Device = "t" });
        Assert.Equal(at.AddMinutes(30), visit.Visit.StoppedAt);
    }

    [Fact]
    public void Small_steps_of_the_same_figure_school_bring_every_cylinder_to_one_figure()
    {
        var gap = Demand.Gap.OfWindow(Window.Of(Mm(0.15), Mm(0.25)), Mm(0.20));
        JudgedAction Act(double mm) => Judgement.Of(Core.Measuring.Reading.Direct(Mm(mm), 0.002), [], gap, JudgingSchool.SameFigure, sameWithinMm: 0.02).Action;
        Assert.Equal((JudgedAction.Leave, JudgedAction.Leave, JudgedAction.Set, JudgedAction.Set), (Act(0.20), Act(0.22), Act(0.23), Act(0.16)));
    }
}
