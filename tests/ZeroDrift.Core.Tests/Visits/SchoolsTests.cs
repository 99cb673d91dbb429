using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Core.Tests.Visits;

public class SchoolsTests
{
    /// <summary>A four, 1-3-4-2, whose book works in some way.</summary>
    private static VisitContext Four(TurningMethod method, Schools? schools = null, string layout = "E I I E E I I E")
    {
        var context = VisitScript.Twin();
        var order = FiringOrder.Parse("1 3 4 2", EngineCycle.FourStroke);
        var points = HeadLayout.Parse(null, layout, order, AdjusterKind.ScrewAtValve, new AdjusterFigures(1.0));
        return context with
        {
            Type = new EngineType { Order = order, Points = points, Method = method, BookStops = [new(Deg(360), [new(4, LashKind.Exhaust), new(3, LashKind.Intake)]), new(Deg(540), [new(2, LashKind.Exhaust), new(4, LashKind.Intake)]), new(Deg(0), [new(1, LashKind.Exhaust), new(2, LashKind.Intake)]), new(Deg(180), [new(3, LashKind.Exhaust), new(1, LashKind.Intake)])] },
            Demands = [new ContextDemands("A", "manual", SpecCondition.Cold, points.ToDictionary(p => p.Label, p => (Demand)(p.Kind == LashKind.Intake ? Asked(0.15, 0.25, 0.20) : Asked(0.35, 0.45, 0.40))))],
            Steps = [.. context.Steps, new("power", StepList.MakeSafe, "Battery off.") { ByStarter = "Power stays on." }],
            Schools = schools ?? new Schools(),
        };
    }

    private static VisitScript Ready(VisitContext context)
    {
        var script = new VisitScript(context).Ready();
        script.Tick("power");
        return script;
    }

    private static string Stops(VisitScript script) => string.Join(" | ", script.Visit.Plan.Stops.Select(s => string.Join(' ', s.Points)));

    [Fact]
    public void The_plan_turns_round_to_where_the_crank_stands()
    {
        var script = Ready(Four(TurningMethod.Rocking));
        Assert.Equal("1E 1I | 3E 3I | 4I 4E | 2I 2E", Stops(script));
        // 3 rocks: 2 is on compression, at 540°.
        script.Prove(540);
        Assert.Equal("2I 2E | 1E 1I | 3E 3I | 4I 4E", Stops(script));
        Assert.Equal("2I", script.Visit.Next!.Point);
        Assert.Equal(180, script.Visit.Plan.Stops[1].Turning!.TurnFromPreviousDeg, 6);
    }

    [Fact]
    public void Where_the_companion_is_loose_the_visit_begins_with_it()
    {
        var script = Ready(Four(TurningMethod.TwoStop));
        Assert.Null(script.Prove(360).Refusal);
        Assert.Equal("4E", script.Visit.Plan.Stops[0].Points[^1]);
        Assert.Equal(360, script.Visit.Plan.Stops[0].CrankDeg!.Value, 6);
    }

    [Fact]
    public void Barred_to_a_place_between_stops_the_next_one_ahead_is_the_first_and_its_turn_counts_from_there()
    {
        var script = Ready(Four(TurningMethod.PerCylinder));
        script.Bar(200);
        Assert.Equal("4I 4E | 2I 2E | 1E 1I | 3E 3I", Stops(script));
        Assert.Equal(160, script.Visit.Plan.Stops[0].Turning!.TurnFromPreviousDeg, 6);
        Assert.Equal(200, script.Visit.StandsAbout!.Value, 6);
    }

    [Theory]
    [InlineData(PointOrder.ByCylinder, "1E 1I 2I 3E")]
    [InlineData(PointOrder.OneBlade, "1I 2I 1E 3E")]
    [InlineData(PointOrder.DownTheHead, "1E 1I 2I 3E")]
    public void The_points_of_a_stop_come_in_the_order_chosen(PointOrder order, string first) =>
        Assert.StartsWith(first + " |", Stops(Ready(Four(TurningMethod.TwoStop, new Schools { Order = order }))), StringComparison.Ordinal);

    [Fact]
    public void A_book_list_is_followed_to_the_letter_its_order_too() =>
        Assert.Equal("4E 3I | 2E 4I | 1E 2I | 3E 1I", Stops(Ready(Four(TurningMethod.Book, new Schools { Order = PointOrder.OneBlade }))));

    [Fact]
    public void With_the_lobes_in_sight_a_valve_is_proved_by_being_seen_and_the_guide_takes_the_least_turn()
    {
        var script = Ready(Four(TurningMethod.LobeAway));
        Assert.Equal((NextDo.Prove, "1E", null), (script.Visit.Next!.Do, script.Visit.Next.Point, script.Visit.Next.CrankDeg));
        var reading = Guid.CreateVersion7();
        Assert.Equal(RefusalCode.StopNotProved, script.Try(reading, "1E", "0.40", Feel.Drag).Refusal!.Code);
        Assert.Null(script.ProvePoints("1E").Refusal);
        Assert.Equal(NextDo.Measure, script.Visit.Next!.Do);
        Assert.Null(script.Try(reading, "1E", "0.40", Feel.Drag).Refusal);
        Assert.Null(script.Keep(reading).Refusal);

        var stands = script.Visit.StandsAbout!.Value;
        var next = script.Visit.Work.Single(p => p.Point.Label == script.Visit.Next!.Point).Point;
        Assert.True(script.Visit.Plan.Engine.Margin(stands, next.Ref) >= 10, $"{next.Label} is not free at {stands}");
    }

    [Fact]
    public void Another_school_on_the_way_takes_the_crank_from_where_it_stands()
    {
        var script = Ready(Four(TurningMethod.TwoStop));
        script.Prove(360);
        Assert.Null(script.Offer(id => new Chose { Id = id, At = DateTimeOffset.UnixEpoch, By = VisitScript.Marit, Device = "t", Method = TurningMethod.PerCylinder }).Refusal);
        Assert.Equal("4I 4E | 2I 2E | 1E 1I | 3E 3I", Stops(script));
    }

    [Fact]
    public void The_starter_is_too_coarse_for_a_mark_and_what_was_made_safe_for_a_bar_is_asked_again()
    {
        var script = Ready(Four(TurningMethod.TwoStop));
        TakingResult Turned(TurningMethod? method) => script.Offer(id => new Chose { Id = id, At = DateTimeOffset.UnixEpoch, By = VisitScript.Marit, Device = "t", Method = method, TurnedBy = Chose.Starter });

        Assert.Equal("turnedBy", Turned(null).Refusal!.Field);
        Assert.Null(Turned(TurningMethod.Rocking).Refusal);
        Assert.False(script.Visit.IsTicked("power"));
        Assert.True(script.Visit.IsTicked("battery"));
        script.Prove(0);
        Assert.Equal(RefusalCode.StepMissing, script.Try(Guid.CreateVersion7(), "1E", "0.40", Feel.Drag).Refusal!.Code);
        script.Tick("power");
        Assert.Null(script.Try(Guid.CreateVersion7(), "1E", "0.40", Feel.Drag).Refusal);
    }

    [Fact] // common practice, no source
    public void On_the_edge_of_its_window_it_is_left_by_one_school_and_brought_to_the_figure_by_another()
    {
        foreach (var (school, sets) in new[] { (JudgingSchool.Window, false), (JudgingSchool.EdgeToSet, true), (JudgingSchool.OneFigure, true) })
        {
            var script = Ready(Four(TurningMethod.PerCylinder, new Schools { Judging = school }));
            script.Prove(0);
            var reading = Guid.CreateVersion7();
            script.Try(reading, "1E", "0.35", Feel.Drag);
            script.Keep(reading);
            var point = script.Visit.Work.Single(p => p.Point.Label == "1E");
            Assert.Equal((sets, false), (script.Visit.WantsSetting(point), script.Visit.OwesLeft(point)));
            Assert.Equal(sets ? NextDo.Set : NextDo.Measure, script.Visit.Next!.Do);
            Assert.Equal(VerdictState.InWindow, script.Point("1E").Verdict);
            // Whoever leaves it says so, and the guide goes on.
            script.Say("1E", PointOutcome.LeftAlone);
            Assert.False(script.Visit.WantsSetting(point));
        }
    }

    [Fact]
    public void What_the_locknut_did_is_known_from_the_figures_before_and_after_it()
    {
        var script = Ready(Four(TurningMethod.PerCylinder));
        script.Measured("1E", "0.30");
        script.Measured("1E", "0.42", ReadingStage.BeforeLock);
        script.Measured("1E", "0.40", ReadingStage.AsLeft);
        script.Measured("1I", "0.20");
        script.Measured("1I", "0.21", ReadingStage.AsLeft);

        var pair = Assert.Single(LockPair.Of(script.Visit));
        Assert.Equal(("1E", VisitScript.Marit), (pair.Point, pair.By));
        Assert.Equal(-0.02, pair.AfterMm - pair.BeforeMm, 9);
    }

    [Fact]
    public void Without_a_figure_a_valve_is_compared_with_its_siblings_and_signed_as_not_judged()
    {
        var script = new VisitScript(VisitScript.Twin("I E I E", demand: _ => null)).Ready();
        foreach (var (point, figure) in new[] { ("1I", "0.20"), ("2I", "0.30"), ("1E", "0.40"), ("2E", "0.41") }) script.Measured(point, figure);
        Assert.Null(Siblings.Of(script.Visit, script.Visit.Work[0]));
        var six = Ready(Four(TurningMethod.PerCylinder));
        foreach (var (point, figure) in new[] { ("1I", "0.20"), ("2I", "0.22"), ("3I", "0.30"), ("4I", "0.21") }) six.Measured(point, figure);
        Assert.Equal(new Siblings(0.20, 0.22, 3, "3I"), Siblings.Of(six.Visit, six.Visit.Work.Single(p => p.Point.Label == "3I")));

        Assert.All(script.Visit.Points, p => Assert.Null(p.Verdict));
        script.Tick("tools");
        Assert.Null(script.Sign().Refusal);
    }

    [Theory]
    [InlineData("T", 0, 0, 0)]
    [InlineData("T", 0, 360, 0)]
    [InlineData("F", 340, 0, -20)]
    [InlineData("chalk", 180, 540, 0)]
    public void A_mark_comes_up_once_a_turn_whichever_lap_it_is(string name, double mark, double crank, double ahead) =>
        Assert.Equal(ahead, new EngineMark(name, mark, false).After(Deg(crank)), 6);
}
