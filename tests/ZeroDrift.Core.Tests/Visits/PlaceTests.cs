using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Core.Tests.Visits;

/// <summary>Steps that are true: by where the engine is and what its machine has; nobody ticks what cannot happen.</summary>
public sealed class PlaceTests
{
    [Theory]
    [InlineData(VisitPlace.InMachine, true, true, true)]
    [InlineData(VisitPlace.OnStand, false, false, true)]
    [InlineData(VisitPlace.OnBench, false, false, false)]
    public void A_place_asks_what_can_happen_there(VisitPlace place, bool battery, bool run, bool gaskets)
    {
        var visit = Opened(JobKind.Build, place);
        bool Asks(string key) => visit.Visit.Context.Steps.Single(s => s.Key == key) is var step && visit.Visit.Asks(step);

        Assert.Equal((battery, battery, run, gaskets), (Asks("battery"), Asks("shaft"), Asks("run"), Asks("gaskets")));
        Assert.True(Asks("tools"));
        Assert.Equal(place, visit.Visit.Place);
    }

    [Theory]
    [InlineData(VisitPlace.OnStand)]
    [InlineData(VisitPlace.OnBench)]
    public void Out_of_its_machine_an_engine_has_no_hours_and_nothing_to_make_safe_first(VisitPlace place)
    {
        var visit = new VisitScript(Context());
        Assert.Null(visit.Open(JobKind.Build, hours: null, place: place).Refusal);
        visit.State();
        var reading = Guid.CreateVersion7();
        if (place == VisitPlace.OnStand)
        {
            // A stop is proved on a stand too.
            Assert.Equal(RefusalCode.StopNotProved, visit.Figure(reading, "1I", "0.20", ReadingStage.AsLeft).Refusal!.Code);
            visit.Prove(0);
        }
        Assert.Null(visit.Figure(reading, "1I", "0.20", ReadingStage.AsLeft).Refusal);
        Assert.True(visit.Visit.IsOutOfTrend);
    }

    [Fact]
    public void In_its_machine_the_meter_is_read() =>
        Assert.Equal("shownHours", new VisitScript(Context()).Open(hours: null).Refusal!.Field);

    [Fact]
    public void Every_place_is_led_to_its_signature_without_a_false_tick()
    {
        foreach (var place in Enum.GetValues<VisitPlace>())
        {
            var visit = Opened(JobKind.Build, place);
            for (var i = 0; i < 200 && visit.Visit.Next is { Do: not NextDo.Sign } next; i++) Do(visit, next);
            Assert.Null(visit.Sign().Refusal);
            Assert.All(visit.Visit.Ticked, key => Assert.Contains(place, visit.Visit.Context.StepOf(key)!.Places ?? [place]));
        }
    }

    [Fact]
    public void Not_here_answers_a_step_with_its_reason_but_never_one_that_a_figure_rests_on()
    {
        var visit = new VisitScript(Context());
        visit.Open();
        Assert.Equal((RefusalCode.Malformed, "notHere"), (visit.NotHere("battery", "None fitted").Refusal!.Code, visit.NotHere("battery").Refusal!.Field));
        Assert.Equal("notHere", visit.NotHere("shaft", on: false).Refusal!.Field);
        Assert.Null(visit.NotHere("shaft", "Shaft is out for a bearing").Refusal);

        Assert.Contains("shaft", visit.Visit.Ticked);
        Assert.Equal([("shaft", "Shaft is out for a bearing")], visit.Visit.NotHere.Select(t => (t.Step, t.Why!)));
        visit.Tick("shaft");
        Assert.Empty(visit.Visit.NotHere);
    }

    [Fact]
    public void With_the_starter_as_the_bar_its_own_card_stands_from_the_opening_and_a_school_that_needs_no_mark()
    {
        var visit = new VisitScript(Context());
        Assert.Null(visit.Open(turnedBy: Chose.Starter).Refusal);

        Assert.True(visit.Visit.IsByStarter);
        Assert.Equal(TurningMethod.ExhaustOpeningIntakeClosing, visit.Visit.Method);
        Assert.Equal("method", new VisitScript(Context()).Offer(id => new Opened { Id = id, At = DateTimeOffset.UnixEpoch, By = VisitScript.Marit, Device = "t", EngineId = VisitScript.Engine, Job = JobKind.Overhead, Date = new DateOnly(2026, 11, 1), ShownHours = H(100), TurnedBy = Chose.Starter, Method = TurningMethod.TwoStop }).Refusal!.Field);
    }

    [Fact]
    public void Closing_up_goes_from_parts_and_the_types_own_steps_over_plugs_and_covers_to_lock_outs_and_run()
    {
        var type = VisitScript.Twin().Type;
        TypeStep[] own = [.. DefaultSteps.Of(type, true), new("fan", StepList.CloseUp, "Fan belt on.")];
        var keys = Cautions.Steps(MachineKind.Lorry.Usual(), type, own, new KitFacts { Spark = true }).Where(s => s.List == StepList.CloseUp).Select(s => s.Key);

        Assert.Equal(["rockers", "untouched", "tools", "fan", "plugs-in", "gaskets", "lock-outs", "run"], keys);
    }

    [Fact]
    public void Parts_count_themselves_and_are_counted_in_only_where_some_came_out()
    {
        var visit = new VisitScript(Shims()).Ready();
        foreach (var (point, gap) in new[] { ("1I", "0.20"), ("1E", "0.40"), ("2I", "0.20"), ("2E", "0.40") }) visit.Measured(point, gap);
        Assert.DoesNotContain(visit.Visit.Refusals, r => r.Steps?.Any(s => s is "parts-out" or "parts-in") == true);
        visit.Tick("parts-out", said: "2");
        Assert.Contains("parts-in", visit.Visit.Refusals.Single(r => r.Code == RefusalCode.StepMissing).Steps!);
        visit.Tick("parts-in", said: "1");
        Assert.Contains(visit.Visit.Refusals, r => r.Code == RefusalCode.PartsNotCounted);
        visit.Tick("parts-in", said: "2");
        Assert.DoesNotContain(visit.Visit.Refusals, r => r.Code == RefusalCode.PartsNotCounted);
    }

    [Fact]
    public void A_look_at_what_was_fitted_counts_only_after_the_fitting()
    {
        var visit = new VisitScript(Shims()).Ready();
        visit.Measured("1I", "0.10");
        visit.Tick("puck:1I");
        visit.Fit("1I", "2.80", "2.70");
        Assert.DoesNotContain("puck:1I", visit.Visit.Ticked);
        Assert.Equal(new NextTask(NextDo.Step, "1I", Deg(0), "puck:1I"), Proved(visit).Visit.Next);
        visit.Tick("puck:1I");
        Assert.Contains("puck:1I", visit.Visit.Ticked);
        visit.Measured("1I", "0.20", ReadingStage.AsLeft);
        visit.Fit("1I", "2.70", "2.72");
        Assert.Contains("puck:1I", visit.Visit.Refusals.Single(r => r.Code == RefusalCode.StepMissing).Steps!);
    }

    [Fact]
    public void With_nothing_fitted_a_point_left_alone_asks_no_look()
    {
        var visit = new VisitScript(Shims()).Ready();
        visit.Measured("1I", "0.20");
        Assert.DoesNotContain(visit.Visit.Refusals.Single(r => r.Code == RefusalCode.StepMissing).Steps!, s => s == "puck:1I");
    }

    [Fact]
    public void A_hot_only_type_takes_cold_figures_as_not_judged_and_out_of_the_trend()
    {
        var hot = VisitScript.Twin(condition: SpecCondition.Hot) with { Rules = VisitContext.NewestRules };
        var visit = new VisitScript(hot).Ready();
        visit.Measured("1I", "0.10");

        Assert.Null(visit.Point("1I").Verdict);
        Assert.Equal((true, true, "notJudged"), (visit.Visit.IsNotJudged, visit.Visit.IsOutOfTrend, visit.Visit.OutOfTrendBecause));
        // A build may go by a cold figure where there is one.
        var both = hot with { Demands = [.. hot.Demands, hot.Demands[0] with { Condition = SpecCondition.Cold }] };
        var build = new VisitScript(both).Ready(JobKind.Build);
        build.Measured("1I", "0.10", ReadingStage.AsLeft);
        Assert.Equal(VerdictState.Tight, build.Point("1I").Verdict);
    }

    [Fact]
    public void A_build_of_shims_computes_them_from_the_gap_that_was_left()
    {
        var visit = new VisitScript(Shims()).Ready(JobKind.Build);
        visit.Shim("1I", "2.80");
        visit.Measured("1I", "0.10", ReadingStage.AsLeft);
        var advice = visit.Point("1I").Advice!;

        // 2.80 + 0.10 − 0.20
        Assert.Equal((Core.Setting.AdviceAction.FitShim, 2.70), (advice.Action, advice.Shim!.ChoiceMm!.Value));
        Assert.Equal(VerdictState.Tight, visit.Point("1I").Verdict);
        Assert.True(visit.Visit.HasWorkAt(visit.Visit.Work[0]));
        visit.Fit("1I", "2.80", "2.70");
        visit.Shim("1I", "2.70", ReadingStage.AsLeft);
        visit.Measured("1I", "0.20", ReadingStage.AsLeft);
        Assert.Equal(Core.Setting.AdviceAction.Leave, visit.Point("1I").Advice!.Action);
    }

    private static VisitContext Context()
    {
        var twin = VisitScript.Twin();
        return twin with { Steps = Cautions.Steps(MachineKind.Ferry.Usual(), twin.Type, DefaultSteps.Of(twin.Type, false), new KitFacts()) };
    }

    private static VisitContext Shims()
    {
        var order = FiringOrder.Parse("1 2", EngineCycle.FourStroke);
        var points = HeadLayout.Parse(null, "I E I E", order, AdjusterKind.Puck, new AdjusterFigures(null, ShimSizesMm: [2.60, 2.65, 2.70, 2.75, 2.80]));
        var type = new EngineType { Order = order, Points = points, Method = TurningMethod.PerCylinder };
        var twin = VisitScript.Twin() with { Type = type };
        return twin with { Steps = [.. twin.Steps, .. DefaultSteps.Of(type, false).SelectMany(s => s.Of(type))] };
    }

    private static VisitScript Opened(JobKind job, VisitPlace place)
    {
        var visit = new VisitScript(Context());
        visit.Open(job, hours: place == VisitPlace.InMachine ? 100 : null, place: place);
        return visit;
    }

    private static VisitScript Proved(VisitScript visit)
    {
        foreach (var step in visit.Visit.Context.Steps.Where(s => s.List == StepList.Covers && visit.Visit.Asks(s))) visit.Tick(step.Key);
        visit.Prove(0);
        visit.Choose("1I");
        return visit;
    }

    private static void Do(VisitScript visit, NextTask next)
    {
        var done = next.Do switch
        {
            NextDo.Step => visit.Tick(next.Step!),
            NextDo.Condition => visit.State(),
            NextDo.Bar => visit.Bar(next.CrankDeg!.Value.Degrees),
            NextDo.Prove => next.CrankDeg is { } deg ? visit.Prove(deg.Degrees) : visit.ProvePoints(next.Point!),
            _ => Measured(),
        };
        Assert.Null(done.Refusal);

        TakingResult Measured()
        {
            var reading = Guid.CreateVersion7();
            visit.Figure(reading, next.Point!, next.Point!.EndsWith('I') ? "0.20" : "0.40", ReadingStage.AsLeft);
            return visit.Keep(reading);
        }
    }
}
