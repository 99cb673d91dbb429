using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Setting;
using ZeroDrift.Core.Visits;
using ZeroDrift.Core.Visits.Sheet;

namespace ZeroDrift.Core.Tests.Visits;

/// <summary>Set, locked, out, turned again: nothing of a failed lock is lost, and nothing of it is mixed into the next.</summary>
public sealed class TurnedTests
{
    [Fact]
    public void A_lock_that_moved_it_is_turned_again_and_stays_as_an_attempt()
    {
        var visit = Found("0.31");
        visit.Measured("1I", "0.20", ReadingStage.BeforeLock);
        var locked = Guid.CreateVersion7();
        visit.Figure(locked, "1I", "0.14", ReadingStage.AsLeft, true);
        // The advice follows what was just measured, kept or not.
        Assert.Equal((0.06, ScrewDirection.Anticlockwise), (Math.Round(visit.Point("1I").Advice!.Turn!.Turns, 9), visit.Point("1I").Advice!.Turn!.Direction));
        Assert.Null(visit.Turn("1I").Refusal);

        var point = visit.Point("1I");
        Assert.Equal([(ReadingStage.BeforeLock, 0.20, VerdictState.InWindow), (ReadingStage.AsLeft, 0.14, VerdictState.Tight)], point.Attempts.Select(a => (a.Stage, a.Value.EstimateMm!.Value.Millimetres, a.State!.Value)));
        Assert.Null(point.Left);
        Assert.Equal(0.31, point.Found!.Value.EstimateMm!.Value, 9);
        Assert.Equal(0.26, point.Advice!.LeaveMm!.Value, 9);
        Assert.Contains("1I", visit.Visit.Refusals.Single(r => r.Code == RefusalCode.LeftMissing).Points!);

        visit.Measured("1I", "0.26", ReadingStage.BeforeLock);
        Assert.Equal(AdviceAction.Leave, visit.Point("1I").Advice!.Action);
        visit.Measured("1I", "0.20", ReadingStage.AsLeft);
        Assert.Equal(0.20, visit.Point("1I").Left!.Value.EstimateMm!.Value, 9);
        Assert.Equal(2, visit.Point("1I").Attempts.Count);
        Assert.Equal([0.06, 0.06], LockPair.Of(visit.Visit).Select(p => Math.Round(p.PullMm, 9)));
    }

    [Fact]
    public void An_as_left_kept_out_of_its_window_and_turned_again_is_an_attempt_and_no_left()
    {
        var visit = Found("0.31");
        visit.Measured("1I", "0.28", ReadingStage.AsLeft);
        Assert.NotNull(visit.Point("1I").Left);
        visit.Turn("1I", 0.1, ScrewDirection.Clockwise, NutState.Tight);

        Assert.Null(visit.Point("1I").Left);
        Assert.Equal(VerdictState.Loose, visit.Point("1I").Attempts.Single().State);
    }

    [Fact]
    public void Whatever_stood_before_a_point_that_was_turned_owes_an_as_left()
    {
        var visit = Found("0.20");
        Assert.DoesNotContain(visit.Visit.Refusals, r => r.Code == RefusalCode.LeftMissing);
        visit.Turn("1I");
        Assert.Equal(["1I"], visit.Visit.Refusals.Single(r => r.Code == RefusalCode.LeftMissing).Points!);
        visit.Say("1I", PointOutcome.LeftSo);
        Assert.DoesNotContain(visit.Visit.Refusals, r => r.Code == RefusalCode.LeftMissing);
        visit.Turn("1I");
        Assert.Equal(["1I"], visit.Visit.Refusals.Single(r => r.Code == RefusalCode.LeftMissing).Points!);
        visit.Measured("1I", "0.20", ReadingStage.AsLeft);
        Assert.Equal(PointOutcome.Set, visit.Point("1I").Outcome);
    }

    [Fact]
    public void Nothing_is_added_to_kept_or_taken_back_from_what_a_turn_closed()
    {
        var visit = Found("0.31");
        var tried = Guid.CreateVersion7();
        visit.Figure(tried, "1I", "0.14", ReadingStage.AsLeft, true);
        var entry = visit.Last;
        visit.Turn("1I");
        var turned = visit.Last;

        Assert.Equal(RefusalCode.RestsOn, visit.Figure(tried, "1I", "0.20", ReadingStage.AsLeft, true).Refusal!.Code);
        Assert.Equal(RefusalCode.RestsOn, visit.Keep(tried, true).Refusal!.Code);
        Assert.Equal(RefusalCode.RestsOn, visit.Offer(id => new Dropped(tried) { Id = id, At = DateTimeOffset.UnixEpoch, By = VisitScript.Marit, Device = "t" }).Refusal!.Code);
        Assert.Equal(RefusalCode.RestsOn, visit.Undo(entry).Refusal!.Code);
        // The turn itself is taken back until something was measured after it.
        Assert.Null(visit.Undo(turned).Refusal);
        Assert.Empty(visit.Point("1I").Attempts);
        visit.Turn("1I");
        turned = visit.Last;
        visit.Measured("1I", "0.20", ReadingStage.AsLeft);
        Assert.Equal(RefusalCode.RestsOn, visit.Undo(turned).Refusal!.Code);
    }

    [Fact]
    public void Turned_before_it_was_found_is_refused_but_on_a_build()
    {
        Assert.Equal(RefusalCode.FoundMissing, new VisitScript().Ready().Turn("1I").Refusal!.Code);
        Assert.Null(new VisitScript().Ready(JobKind.Build).Turn("1I").Refusal);
        Assert.Equal(RefusalCode.PointUnknown, Found("0.31").Turn("9I").Refusal!.Code);
    }

    [Fact]
    public void Thirty_turns_are_asked_back_and_taken_where_somebody_is_sure()
    {
        var visit = Found("0.31");
        Assert.Equal(RefusalCode.FigureDoubtful, visit.Turn("1I", 30).Refusal!.Code);
        Assert.Null(visit.Turn("1I", 30, sure: true).Refusal);
        Assert.Null(visit.Turn("1I", 10).Refusal);
    }

    [Fact]
    public void A_nut_that_would_have_pulled_half_a_millimetre_is_asked_back()
    {
        var visit = Found("0.90");
        visit.Measured("1I", "0.70", ReadingStage.BeforeLock);
        var left = Guid.CreateVersion7();
        visit.Figure(left, "1I", "0.20", ReadingStage.AsLeft, true);

        var refusal = visit.Keep(left).Refusal!;
        Assert.Equal(RefusalCode.FigureDoubtful, refusal.Code);
        Assert.Equal(0.5, refusal.Pull!.Mm, 9);
        Assert.Null(visit.Keep(left, true).Refusal);
    }

    [Fact]
    public void Found_too_near_its_limit_to_tell_it_is_set_and_not_left_alone()
    {
        var visit = Found("0.151");

        var sheet = Sheet(visit);
        Assert.Equal((true, true, AdviceAction.Turn), (sheet.Undecided, sheet.OwesLeft, sheet.Advice!.Action));
        visit.Measured("1I", "0.20", ReadingStage.AsLeft);
        Assert.False(Sheet(visit).Undecided);
    }

    [Fact]
    public void Drags_too_far_apart_for_one_gap_are_asked_back()
    {
        var visit = Found("0.90");
        var (wide, near) = (Guid.CreateVersion7(), Guid.CreateVersion7());
        foreach (var blade in (string[])["0.20", "0.40"]) visit.Try(wide, "2I", blade, Feel.Drag, unproved: true);
        foreach (var blade in (string[])["0.20", "0.30"]) visit.Try(near, "2E", blade, Feel.Drag, unproved: true);

        Assert.Equal((0.20, 0.40), (visit.Keep(wide).Refusal!.Apart!.ThinMm, visit.Keep(wide).Refusal!.Apart!.ThickMm));
        Assert.Null(visit.Keep(near).Refusal?.Apart);
        Assert.Null(visit.Keep(wide, true).Refusal);
    }

    [Fact]
    public void A_shim_is_changed_and_not_turned()
    {
        var visit = new VisitScript(VisitScript.Twin(adjuster: AdjusterKind.ShimUnderBucket)).Ready();
        visit.Measured("1I", "0.10");
        Assert.Equal((RefusalCode.Malformed, "point"), (visit.Turn("1I").Refusal!.Code, visit.Turn("1I").Refusal!.Field));
    }

    [Fact]
    public void One_tap_says_how_the_nut_was_left_and_the_next_figure_is_asked_for_accordingly()
    {
        var visit = Found("0.31");
        Assert.Equal(ReadingStage.BeforeLock, Sheet(visit).Stage);
        visit.Turn("1I", nut: NutState.Tight);
        Assert.Equal((ReadingStage.AsLeft, MeasuringAsk.Locked), (Sheet(visit).Stage, Sheet(visit).Ask));
        visit.Turn("1I", nut: NutState.Loose);
        Assert.Equal((ReadingStage.BeforeLock, MeasuringAsk.BeforeLock), (Sheet(visit).Stage, Sheet(visit).Ask));
        visit.Measured("1I", "0.20", ReadingStage.BeforeLock);
        Assert.Equal(ReadingStage.AsLeft, Sheet(visit).Stage);
    }

    [Fact]
    public void What_a_hands_nuts_took_is_learned_from_the_first_lock_on_and_at_the_other_points_of_the_visit()
    {
        var visit = Found("0.31");
        Assert.Equal(0, Sheet(visit).Creep!.Pairs);
        visit.Measured("1I", "0.22", ReadingStage.BeforeLock);
        visit.Measured("1I", "0.20", ReadingStage.AsLeft);
        visit.Measured("2I", "0.31");
        Assert.Equal((1, 0.02), (Sheet(visit, "2I").Creep!.Pairs, Math.Round(Sheet(visit, "2I").Creep!.PullMm, 9)));
        // A point's own last lock counts by itself, and not once more among the hand's.
        Assert.Equal((0, 0.02), (Sheet(visit).Creep!.Pairs, Math.Round(Sheet(visit).OwnPullMm!.Value, 9)));
    }

    private static VisitScript Found(string figure)
    {
        var visit = new VisitScript().Ready();
        visit.Measured("1I", figure);
        return visit;
    }

    private static PointSheet Sheet(VisitScript visit, string label = "1I") => visit.Visit.Points.Zip(visit.Visit.Work).Where(p => p.First.Point == label).Select(p => PointSheet.Of(visit.Visit, p.Second, p.First)).Single();
}
