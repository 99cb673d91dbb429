using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Core.Tests.Visits;

public class UndoAndSignTests
{
    [Fact]
    public void Undo_takes_an_entry_back_as_if_it_had_never_been()
    {
        var visit = new VisitScript().Ready();
        visit.Prove(0);
        var reading = Guid.CreateVersion7();
        visit.Try(reading, "1I", "0.20", Feel.Drag);
        visit.Keep(reading);
        var kept = visit.Last;
        Assert.Equal(RefusalCode.RestsOn, visit.Undo(visit.Visit.Entries[^2].Id).Refusal!.Code);
        Assert.Null(visit.Undo(kept).Refusal);
        Assert.Null(visit.Point("1I").Found);
        Assert.Equal(RefusalCode.EntryUnknown, visit.Undo(kept).Refusal!.Code);
        Assert.Null(visit.Try(reading, "1I", "0.25", Feel.NoGo).Refusal);
    }

    [Fact]
    public void What_something_rests_on_stays()
    {
        var visit = new VisitScript().Ready();
        visit.Prove(0);
        var proof = visit.Last;
        var reading = Guid.CreateVersion7();
        visit.Try(reading, "1E", "0.30", Feel.Drag);
        visit.Keep(reading);
        var kept = visit.Last;
        visit.Measured("1E", "0.40", ReadingStage.AsLeft);
        foreach (var target in (Guid[])[visit.Visit.Entries[0].Id, visit.Visit.Entries[1].Id, visit.Visit.Entries[3].Id, proof, kept])
            Assert.Equal(RefusalCode.RestsOn, visit.Undo(target).Refusal!.Code);
        Assert.Equal(RefusalCode.RestsOn, visit.Tick("battery", false).Refusal!.Code);
    }

    [Fact]
    public void An_undo_is_not_undone()
    {
        var visit = new VisitScript().Ready();
        visit.Tick("tools");
        visit.Undo(visit.Last);
        Assert.Equal(RefusalCode.RestsOn, visit.Undo(visit.Last).Refusal!.Code);
    }

    [Fact]
    public void An_overhead_owes_every_point_a_found_and_everything_out_a_left()
    {
        var visit = new VisitScript().Ready();
        visit.Measured("1I", "0.20");
        visit.Measured("1E", "0.30");
        Codes(visit, "stepMissing:tools", "foundMissing:2I,2E", "leftMissing:1E");
        Assert.Equal(RefusalCode.StepMissing, visit.Sign().Refusal!.Code);
        visit.Tick("tools");
        visit.Say("2I", PointOutcome.NotReached);
        visit.Say("2E", PointOutcome.NotReached);
        Codes(visit, "leftMissing:1E");
        visit.Say("1E", PointOutcome.LeftAlone);
        Codes(visit, "leftMissing:1E");
        Assert.Null(visit.Point("1E").Left);
        visit.Measured("1E", "0.40", ReadingStage.AsLeft);
        Codes(visit);
        Assert.Null(visit.Sign().Refusal);
        Assert.Equal(VisitState.Signed, visit.Visit.State);
        Assert.Empty(visit.Visit.Refusals);
        Assert.Equal(RefusalCode.AlreadySigned, visit.Sign().Refusal!.Code);
    }

    [Theory]
    [InlineData(PointOutcome.LeftSo)]
    [InlineData(PointOutcome.Awaiting)]
    public void What_is_out_may_be_left_so_or_wait_with_a_reason(PointOutcome outcome)
    {
        var visit = new VisitScript().Ready().AllFound(exhaust: "0.30");
        foreach (var point in (string[])["1E", "2E"]) visit.Say(point, outcome);
        Assert.Null(visit.Sign().Refusal);
        Assert.Equal(outcome == PointOutcome.LeftSo, visit.Visit.StartsClock);
        Assert.Null(visit.Point("1E").Left);
        Assert.Equal((VerdictState.Tight, outcome), (visit.Point("1E").Verdict, visit.Point("1E").Outcome));
    }

    [Fact]
    public void A_point_left_alone_has_one_figure_that_serves_as_both()
    {
        var visit = new VisitScript().Ready().AllFound();
        var point = visit.Point("1I");
        Assert.Equal((PointOutcome.LeftAlone, point.Found), (point.Outcome, point.Left));
    }

    [Fact]
    public void A_second_as_found_is_a_repeat()
    {
        var visit = new VisitScript().Ready();
        var first = visit.Measured("1I", "0.20");
        visit.Measured("1I", "0.22");
        Assert.Equal((first, Mm(0.22)), (visit.Point("1I").Found!.Reading, visit.Point("1I").Repeats.Single().Value.EstimateMm));
    }

    [Fact]
    public void A_spot_check_owes_only_what_it_began_and_at_least_one()
    {
        var visit = new VisitScript().Ready(JobKind.SpotCheck);
        visit.Tick("tools");
        Codes(visit, "foundMissing:");
        visit.Measured("1I", "0.20");
        Codes(visit);
        visit.Figure(Guid.CreateVersion7(), "1E", "0.40", unproved: true);
        Codes(visit, "foundMissing:1E");
        Assert.False(visit.Visit.StartsClock);
    }

    [Fact]
    public void A_receiving_check_owes_nothing_for_what_is_only_claimed_and_says_that_nobody_looked()
    {
        var visit = new VisitScript().Ready(JobKind.ReceivingCheck);
        visit.Tick("tools");
        visit.Measured("1I", "0.30", ReadingStage.Claimed);
        visit.Measured("2I", "0.30", ReadingStage.Claimed);
        Codes(visit, "foundMissing:");
        visit.Measured("1I", "0.20");
        Codes(visit);
        Assert.Equal([2], visit.Visit.NotLookedAt);
    }

    [Fact]
    public void A_build_owes_every_point_a_left_and_its_verdict_is_of_that()
    {
        var visit = new VisitScript().Ready(JobKind.Build);
        visit.Tick("tools");
        Codes(visit, "leftMissing:1I,1E,2I,2E");
        foreach (var (point, figure) in ((string, string)[])[("1I", "0.20"), ("1E", "0.40"), ("2I", "0.20"), ("2E", "0.40")]) visit.Measured(point, figure, ReadingStage.AsLeft);
        Assert.Equal((VerdictState.InWindow, PointOutcome.Set), (visit.Point("1I").Verdict, visit.Point("1I").Outcome));
        Assert.Null(visit.Sign().Refusal);
        Assert.True(visit.Visit.StartsClock);
    }

    [Fact]
    public void Points_set_by_amount_have_a_start_state_and_an_amount()
    {
        var visit = new VisitScript(VisitScript.Twin("I E J I E J")).Ready();
        foreach (var (point, figure) in ((string, string)[])[("1I", "0.20"), ("1E", "0.40"), ("2I", "0.20"), ("2E", "0.40")]) visit.Measured(point, figure);
        visit.Tick("tools");
        Codes(visit, "foundMissing:1J,2J", "leftMissing:1J,2J");
        visit.Start("1J");
        visit.Say("1J", PointOutcome.ByTheBook);
        visit.Say("2J", PointOutcome.LeftSo);
        Codes(visit);
    }

    [Fact]
    public void A_solid_lifters_screw_is_set_to_zero_by_a_sign()
    {
        var visit = new VisitScript(VisitScript.Twin(demand: _ => new Demand.Zero())).Ready();
        visit.Tick("tools");
        foreach (var point in (string[])["1I", "1E", "2I", "2E"])
        {
            visit.Start(point, StartState.Rattles);
            visit.Say(point, PointOutcome.ByTheBook);
        }
        Codes(visit);
    }

    [Fact]
    public void A_point_without_a_figure_in_the_book_is_measured_and_not_judged()
    {
        var visit = new VisitScript(VisitScript.Twin(demand: p => p.Kind == LashKind.Intake ? Asked(0.15, 0.25) : null)).Ready().AllFound(exhaust: "0.99");
        Codes(visit);
        Assert.Null(visit.Point("1E").Verdict);
        Assert.NotNull(visit.Point("1E").Found);
    }

    [Fact]
    public void Parts_are_counted_in_as_out()
    {
        VisitStep[] steps = [new("out", StepList.Covers, "Plugs out") { Counts = Counting.Out, Pair = "plugs" }, new("in", StepList.CloseUp, "Plugs in") { Counts = Counting.In, Pair = "plugs" }];
        var visit = new VisitScript(VisitScript.Twin(steps: steps));
        visit.Open();
        visit.State();
        visit.AllFound();
        Assert.Equal("said", visit.Tick("out", said: "a few").Refusal!.Field);
        visit.Tick("out", said: "4");
        visit.Tick("in");
        Codes(visit, "partsNotCounted:");
        visit.Tick("in", said: "3");
        Codes(visit, "partsNotCounted:");
        visit.Tick("in", said: "4");
        Codes(visit);
    }

    [Fact]
    public void After_abandoning_nothing_is_added()
    {
        var visit = new VisitScript().Ready();
        visit.Abandon();
        Assert.Equal(RefusalCode.Abandoned, visit.Tick("tools").Refusal!.Code);
        Assert.Equal(RefusalCode.Abandoned, visit.Sign().Refusal!.Code);
        Assert.True(visit.Visit.IsOutOfTrend);
    }

    [Fact]
    public void A_continued_visit_owes_the_points_that_waited_and_then_the_clock_starts()
    {
        var first = Guid.CreateVersion7();
        var found = new FigureView(Guid.CreateVersion7(), Reading.Direct(Mm(0.30)), VisitScript.Marit, DateTimeOffset.UnixEpoch);
        var context = VisitScript.Twin() with { Waiting = [new WaitingVisit(first, null, [new AwaitingPoint("1E", found)])] };
        var visit = new VisitScript(context);
        Assert.Equal("continues", visit.Open(continues: Guid.CreateVersion7()).Refusal!.Field);
        visit.Open(continues: first);
        visit.Tick("battery");
        visit.Tick("hands");
        visit.Tick("tools");
        visit.State();
        Codes(visit, "leftMissing:1E");
        Assert.Equal(found, visit.Point("1E").Found);
        visit.Measured("1E", "0.40", ReadingStage.AsLeft);
        Assert.Null(visit.Sign().Refusal);
        Assert.True(visit.Visit.StartsClock);
    }

    private static void Codes(VisitScript visit, params string[] expected) =>
        Assert.Equal(expected, visit.Visit.Refusals.Select(r => $"{r.Code}:{string.Join(',', r.Points ?? (r.Code == RefusalCode.PartsNotCounted ? [] : r.Steps) ?? [])}"));
}
