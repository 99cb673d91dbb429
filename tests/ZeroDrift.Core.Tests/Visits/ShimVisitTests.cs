using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Setting;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Core.Tests.Visits;

/// <summary>Shim heads: measured whole before the first is changed, a mark apart from a measurement. Common practice, no source.</summary>
public class ShimVisitTests
{
    private static VisitScript Script()
    {
        var twin = VisitScript.Twin(adjuster: AdjusterKind.ShimOnTop);
        var shim = new Adjuster.Shim(ShimAccess.OnTop, [2.60, 2.65, 2.70, 2.75, 2.80]);
        return new VisitScript(twin with { Type = twin.Type with { Points = [.. twin.Type.Points.Select(p => p with { Adjuster = shim })] }, Schools = new Schools { Setting = SettingOrder.StopFirst } });
    }

    private static void Read(VisitScript visit, string point, string thickness, ShimKnownBy how = ShimKnownBy.Micrometer, ReadingStage stage = ReadingStage.AsFound) =>
        Assert.Null(visit.Offer(id => new ShimRead(point, stage, thickness, LengthUnit.Millimetre, how) { Id = id, At = DateTimeOffset.UnixEpoch, By = VisitScript.Marit, Device = "t" }).Refusal);

    private static void Fit(VisitScript visit, string point, string old, string fitted) =>
        Assert.Null(visit.Offer(id => new OutcomeSaid(point, PointOutcome.ShimFitted) { Old = old, New = fitted, Unit = "mm", Id = id, At = DateTimeOffset.UnixEpoch, By = VisitScript.Marit, Device = "t" }).Refusal);

    private static PointWork Work(VisitScript visit, string point) => visit.Visit.Work.Single(w => w.Point.Label == point);

    [Fact]
    public void Every_stop_is_measured_before_the_first_shim_comes_out()
    {
        var visit = Script().Ready();
        visit.Measured("1I", "0.09");
        visit.Measured("1E", "0.30");
        Assert.Equal((NextDo.Bar, "2I"), (visit.Visit.Next!.Do, visit.Visit.Next.Point));
        visit.Measured("2I", "0.20");
        visit.Measured("2E", "0.40");
        Assert.Equal("1I", visit.Visit.Next!.Point);
        Assert.NotEqual(NextDo.Measure, visit.Visit.Next.Do);
    }

    [Fact]
    public void What_is_printed_gives_way_to_what_the_micrometer_says_and_stays_beside_it()
    {
        var visit = Script().Ready();
        Read(visit, "1I", "2.81");
        Read(visit, "1I", "2.85", ShimKnownBy.Printed);
        Assert.Equal(("2.81", "2.85"), (Work(visit, "1I").ShimNow!.Thickness, Work(visit, "1I").ShimMark!.Thickness));
    }

    [Fact]
    public void A_shim_fitted_is_the_one_there_and_its_as_left_is_still_owed()
    {
        var visit = Script().Ready();
        visit.Measured("1I", "0.09");
        Read(visit, "1I", "2.81");
        Fit(visit, "1I", "2.81", "2.70");
        Assert.Equal(2.70, Work(visit, "1I").ShimNowMm!.Value, 9);
        Assert.Contains("1I", visit.Visit.Refusals.Single(r => r.Code == RefusalCode.LeftMissing).Points!);
        visit.Measured("1I", "0.20", ReadingStage.AsLeft);
        Assert.DoesNotContain(visit.Visit.Refusals, r => r.Code == RefusalCode.LeftMissing && r.Points!.Contains("1I"));
    }

    [Fact]
    public void What_the_new_shim_should_give_is_known_and_half_a_thou_off_is_cleaned_and_measured_again()
    {
        var visit = Script().Ready();
        visit.Measured("1I", "0.09");
        Read(visit, "1I", "2.81");
        Assert.Null(Work(visit, "1I").ExpectedWithShimMm);
        Fit(visit, "1I", "2.81", "2.70");
        Assert.Equal(0.20, Work(visit, "1I").ExpectedWithShimMm!.Value, 9);
        visit.Measured("1I", "0.22", ReadingStage.AsLeft);
        Assert.True(Work(visit, "1I").AsksCleanAgain(Work(visit, "1I").Left!));
        visit.Measured("1I", "0.20", ReadingStage.AsLeft);
        Assert.False(Work(visit, "1I").AsksCleanAgain(Work(visit, "1I").Left!));
        // It is said, not refused: whoever cleaned it knows.
        Assert.DoesNotContain(visit.Visit.Refusals, r => r.Points?.Contains("1I") == true);
    }

    [Fact]
    public void A_gap_measured_before_another_shim_went_in_decides_nothing_about_the_new_one()
    {
        var visit = Script().Ready();
        visit.Measured("1I", "0.09");
        Read(visit, "1I", "2.81");
        Assert.Equal(0.09, Work(visit, "1I").GapWithShim!.Value().EstimateMm!.Value, 9);
        Fit(visit, "1I", "2.81", "2.70");
        // 2.70 + 0.09 − 0.20 would ask for 2.59 on top of what was done.
        Assert.Null(Work(visit, "1I").GapWithShim);
        visit.Measured("1I", "0.28", ReadingStage.AsLeft);
        Assert.Equal(0.28, Work(visit, "1I").GapWithShim!.Value().EstimateMm!.Value, 9);
        Fit(visit, "1I", "2.70", "2.75");
        Assert.Null(Work(visit, "1I").GapWithShim);
    }

    [Fact]
    public void A_shim_read_in_thou_is_worked_out_like_any_other()
    {
        var visit = Script().Ready();
        visit.Measured("1I", "0.09");
        Assert.Null(visit.Offer(id => new ShimRead("1I", ReadingStage.AsFound, "110.5", LengthUnit.Thou, ShimKnownBy.Micrometer) { Id = id, At = DateTimeOffset.UnixEpoch, By = VisitScript.Marit, Device = "t" }).Refusal);
        // 110.5 thou = 2.8067 mm; + 0.09 − 0.20 = 2.6967: 2.70 of the series.
        Assert.Equal(2.8067, Work(visit, "1I").ShimNowMm!.Value, 9);
        Assert.Null(visit.Offer(id => new OutcomeSaid("1I", PointOutcome.ShimFitted) { Old = "110.5", New = "106.3", Unit = "thou", Id = id, At = DateTimeOffset.UnixEpoch, By = VisitScript.Marit, Device = "t" }).Refusal);
        Assert.Equal(2.70002, Work(visit, "1I").ShimNowMm!.Value, 9);
        Assert.Equal(0.09 + 2.8067 - 2.70002, Work(visit, "1I").ExpectedWithShimMm!.Value, 9);
    }

    [Fact]
    public void A_closed_up_valve_gets_a_thinner_shim_first_and_the_right_one_from_the_gap_that_gives()
    {
        var visit = Script().Ready();
        var closed = Guid.CreateVersion7();
        visit.Try(closed, "1I", "0.05", Core.Measuring.Feel.NoGo, unproved: true);
        visit.Keep(closed, true);
        Read(visit, "1I", "2.80");
        Fit(visit, "1I", "2.80", "2.60");
        visit.Measured("1I", "0.12", ReadingStage.BeforeLock);
        var work = Work(visit, "1I");
        var advice = Advice.For(work.Point.Adjuster, visit.Visit.DemandOf(work)!, work.GapWithShim!.Value(), new AdviceFacts { FittedShimMm = work.ShimNowMm });
        // 2.60 + 0.12 − 0.20 = 2.52: thinner than the thinnest of this series, and said so; with 0.28 it is 2.68, so 2.70.
        Assert.Equal(AdviceAction.MeasureOn, advice.Action);
        Assert.Equal(2.52, advice.Shim!.ExactMm, 9);
        visit.Measured("1I", "0.28", ReadingStage.BeforeLock);
        work = Work(visit, "1I");
        Assert.Equal(2.70, Advice.For(work.Point.Adjuster, visit.Visit.DemandOf(work)!, work.GapWithShim!.Value(), new AdviceFacts { FittedShimMm = work.ShimNowMm }).Shim!.ChoiceMm!.Value, 9);
    }

    [Theory]
    [InlineData("27")]
    [InlineData("0")]
    [InlineData("thick")]
    public void A_shim_that_cannot_be_is_refused_by_its_field(string thickness)
    {
        var visit = Script().Ready();
        var refusal = visit.Offer(id => new OutcomeSaid("1I", PointOutcome.ShimFitted) { Old = "2.80", New = thickness, Unit = "mm", Id = id, At = DateTimeOffset.UnixEpoch, By = VisitScript.Marit, Device = "t" }).Refusal;
        Assert.Equal((RefusalCode.Malformed, "new"), (refusal!.Code, refusal.Field));
    }

    [Fact]
    public void The_second_visit_knows_what_sits_there_and_what_was_decided_and_still_asks_for_the_as_left()
    {
        var visit = SecondVisit();
        var work = Work(visit, "1E");

        Assert.Equal((2.70, 2.60), (work.ShimNowMm!.Value, work.Planned!.NewMm));
        Assert.Equal("Decided: 2.60 mm, ordered, in place of 2.70 mm. Fit it, then measure.", work.Planned.Sentence(Core.Lengths.LengthUnit.Millimetre));
        Fit(visit, "1E", "2.70", "2.60");
        Assert.Equal(2.60, Work(visit, "1E").ShimNowMm!.Value, 9);
        Assert.Contains("1E", visit.Visit.Refusals.Single(r => r.Code == RefusalCode.LeftMissing).Points!);
    }

    [Fact]
    public void Two_shims_fitted_in_each_others_places_are_said_before_the_signature()
    {
        var visit = SecondVisit();
        Fit(visit, "1E", "2.70", "2.60");
        Fit(visit, "2E", "2.70", "2.80");
        visit.Measured("1E", "0.20", ReadingStage.AsLeft);
        Assert.Null(visit.Visit.Mirrored);
        // 0.30 + 0.10 was expected at 1E and 0.50 − 0.10 at 2E.
        visit.Measured("2E", "0.60", ReadingStage.AsLeft);

        Assert.Equal(new Core.Shims.MirroredShims("1E", "2E"), visit.Visit.Mirrored);
    }

    [Fact]
    public void Shims_in_their_own_places_mirror_nothing()
    {
        var visit = SecondVisit();
        Fit(visit, "1E", "2.70", "2.60");
        Fit(visit, "2E", "2.70", "2.80");
        visit.Measured("1E", "0.40", ReadingStage.AsLeft);
        visit.Measured("2E", "0.40", ReadingStage.AsLeft);

        Assert.Null(visit.Visit.Mirrored);
    }

    /// <summary>1E was found at 0.30 and gets 2.60, 2E at 0.50 and gets 2.80; both had 2.70.</summary>
    private static VisitScript SecondVisit()
    {
        var first = Guid.CreateVersion7();
        FigureView Found(double mm) => new(Guid.CreateVersion7(), Core.Measuring.Reading.Direct(Clearance.OfMm(mm)), VisitScript.Marit, DateTimeOffset.UnixEpoch);
        var context = Script().Visit.Context with
        {
            Waiting =
            [
                new WaitingVisit(first, null,
                [
                    new AwaitingPoint("1E", Found(0.30), new Core.Shims.PlannedShim(2.70, 2.60, Core.Shims.ShimOrigin.Buy, null)),
                    new AwaitingPoint("2E", Found(0.50), new Core.Shims.PlannedShim(2.70, 2.80, Core.Shims.ShimOrigin.Drawer, null)),
                ]),
            ],
        };
        var visit = new VisitScript(context);
        visit.Open(continues: first);
        visit.Tick("battery");
        visit.Tick("hands");
        visit.State();
        return visit;
    }
}
