using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Core.Tests.Visits;

/// <summary>What may follow what.</summary>
public class OrderTests
{
    [Fact]
    public void Nothing_comes_before_the_opening() => Assert.Equal(RefusalCode.NotOpened, new VisitScript().Tick("battery").Refusal!.Code);

    [Fact]
    public void A_visit_is_opened_once()
    {
        var visit = new VisitScript();
        visit.Open();
        Assert.Equal(RefusalCode.EngineOpen, visit.Open().Refusal!.Code);
    }

    [Fact]
    public void Hours_are_read_at_the_opening_except_on_a_bench()
    {
        Assert.Equal("shownHours", new VisitScript().Open(hours: null).Refusal!.Field);
        Assert.Null(new VisitScript().Open(bench: true).Refusal);
    }

    [Fact]
    public void Somebody_nobody_knows_writes_nothing()
    {
        var visit = new VisitScript { By = Guid.CreateVersion7() };
        Assert.Equal(RefusalCode.PersonUnknown, visit.Open().Refusal!.Code);
    }

    [Fact]
    public void Before_the_first_figure_it_is_safe_cold_and_proved_and_each_is_asked_by_name()
    {
        var visit = new VisitScript();
        visit.Open();
        visit.Tick("battery");
        var (reading, missing) = (Guid.CreateVersion7(), visit.Try(Guid.CreateVersion7(), "1I", "0.20", Feel.Drag).Refusal!);
        Assert.Equal((RefusalCode.StepMissing, "hands"), (missing.Code, missing.Steps!.Single()));
        visit.Tick("hands");
        Assert.Equal(RefusalCode.ConditionMissing, visit.Try(reading, "1I", "0.20", Feel.Drag).Refusal!.Code);
        visit.State();
        Assert.Equal(RefusalCode.StopNotProved, visit.Try(reading, "1I", "0.20", Feel.Drag).Refusal!.Code);
        visit.Prove(0);
        Assert.Null(visit.Try(reading, "1I", "0.20", Feel.Drag).Refusal);
        Assert.Equal(RefusalCode.StopNotProved, visit.Try(Guid.CreateVersion7(), "2I", "0.20", Feel.Drag).Refusal!.Code);
    }

    [Fact]
    public void A_proof_ends_when_the_crank_is_barred_elsewhere_and_stands_when_it_is_barred_to_the_same_place()
    {
        var visit = new VisitScript().Ready();
        visit.Prove(720);
        Assert.Equal([Deg(0)], visit.Visit.Proved);
        visit.Bar(0);
        Assert.Null(visit.Try(Guid.CreateVersion7(), "1I", "0.20", Feel.Drag).Refusal);
        visit.Bar(90);
        Assert.Empty(visit.Visit.Proved);
        Assert.Equal(Deg(90), visit.Visit.CrankDeg);
        Assert.Equal(RefusalCode.StopNotProved, visit.Try(Guid.CreateVersion7(), "1E", "0.40", Feel.Drag).Refusal!.Code);
        visit.ProvePoints("1E");
        Assert.Null(visit.Try(Guid.CreateVersion7(), "1E", "0.40", Feel.Drag).Refusal);
        visit.Bar(90);
        Assert.Equal(RefusalCode.StopNotProved, visit.Try(Guid.CreateVersion7(), "1E", "0.40", Feel.Drag).Refusal!.Code);
    }

    [Fact]
    public void Measured_without_proof_is_taken_and_shown()
    {
        var visit = new VisitScript().Ready();
        var reading = Guid.CreateVersion7();
        Assert.Null(visit.Try(reading, "2I", "0.20", Feel.Drag, unproved: true).Refusal);
        Assert.True(visit.Visit.Work.Single(p => p.Point.Label == "2I").Readings[0].Unproved);
    }

    [Fact]
    public void A_bench_asks_for_no_make_safe_and_no_stop()
    {
        var visit = new VisitScript();
        visit.Open(bench: true);
        visit.State();
        Assert.Null(visit.Try(Guid.CreateVersion7(), "2I", "0.20", Feel.Drag).Refusal);
        Assert.True(visit.Visit.IsOutOfTrend);
    }

    [Fact]
    public void As_left_waits_for_the_as_found_except_in_a_build()
    {
        var visit = new VisitScript().Ready();
        Assert.Equal(RefusalCode.FoundMissing, visit.Figure(Guid.CreateVersion7(), "1E", "0.40", ReadingStage.AsLeft, true).Refusal!.Code);
        Assert.Null(new VisitScript().Ready(JobKind.Build).Figure(Guid.CreateVersion7(), "1E", "0.40", ReadingStage.AsLeft, true).Refusal);
    }

    [Fact]
    public void A_reading_that_says_nothing_or_contradicts_itself_is_not_kept()
    {
        var visit = new VisitScript().Ready();
        visit.Prove(0);
        var reading = Guid.CreateVersion7();
        Assert.Equal(RefusalCode.ReadingEmpty, visit.Keep(reading).Refusal!.Code);
        visit.Try(reading, "1I", "0.25", Feel.Free);
        Assert.Null(visit.Try(reading, "1I", "0.20", Feel.NoGo).Refusal);
        Assert.Equal(RefusalCode.BladesContradict, visit.Keep(reading).Refusal!.Code);
        visit.Undo(visit.Last);
        Assert.Null(visit.Keep(reading).Refusal);
    }

    [Theory]
    [InlineData("2.5", true)]
    [InlineData("0.015", true)]
    [InlineData("2.4", false)]
    [InlineData("0.30", false)]
    public void Ten_times_the_window_or_a_tenth_of_it_is_looked_at_again(string figure, bool asked)
    {
        var visit = new VisitScript().Ready();
        var reading = Guid.CreateVersion7();
        visit.Figure(reading, "1I", figure, unproved: true);

        Assert.Equal(asked ? RefusalCode.FigureDoubtful : null, visit.Keep(reading).Refusal?.Code);
        Assert.True(!asked || visit.Keep(reading, true).Refusal is null);
    }

    [Theory]
    [InlineData("0.36", true)]
    [InlineData("0.34", true)]
    [InlineData("0.33", false)]
    public void With_an_expectation_three_of_its_errors_are_surprising(string figure, bool asked)
    {
        var context = VisitScript.Twin() with { Expected = new Dictionary<string, ExpectedFigure> { ["1E"] = new(0.40, 0.0125), ["2E"] = new(0.30, 0.0125) } };
        var visit = new VisitScript(context).Ready();
        var reading = Guid.CreateVersion7();
        visit.Figure(reading, "2E", figure, unproved: true);

        Assert.Equal(asked ? RefusalCode.FigureDoubtful : null, visit.Keep(reading).Refusal?.Code);
        var other = Guid.CreateVersion7();
        visit.Figure(other, "1E", "0.38", unproved: true);
        Assert.Null(visit.Keep(other).Refusal);
    }

    [Fact]
    public void A_surprise_names_the_blades_on_both_sides_of_what_was_expected()
    {
        var tray = new Tray(null, LengthUnit.Millimetre, ["0.40", "0.20", "0.25", "0.30", "0.35"]);

        Assert.Equal((true, "0.35 0.40"), (SecondLook.Of(0.38, 0.30, tray).ReadsTight, string.Join(' ', SecondLook.Of(0.38, 0.30, tray).Blades)));
        Assert.Equal((false, "0.40"), (SecondLook.Of(0.42, 0.50, tray).ReadsTight, string.Join(' ', SecondLook.Of(0.42, 0.50, tray).Blades)));
        Assert.Empty(SecondLook.Of(0.42, 0.50, null).Blades);
    }

    [Fact]
    public void An_as_left_outside_its_window_is_looked_at_again()
    {
        var visit = new VisitScript().Ready();
        visit.Measured("1E", "0.30");
        var reading = Guid.CreateVersion7();
        visit.Figure(reading, "1E", "0.33", ReadingStage.AsLeft, true);

        var no = visit.Keep(reading).Refusal!;
        Assert.Equal((RefusalCode.FigureDoubtful, true), (no.Code, no.Outside!.IsLeft));
        Assert.Null(visit.Keep(reading, true).Refusal);
    }

    [Fact]
    public void A_reading_begun_at_one_point_does_not_go_on_at_another()
    {
        var visit = new VisitScript().Ready();
        var reading = Guid.CreateVersion7();
        visit.Figure(reading, "1I", "0.20", unproved: true);

        Assert.Equal(RefusalCode.Differs, visit.Figure(reading, "1E", "0.40", unproved: true).Refusal!.Code);
        visit.Keep(reading);
        Assert.Equal(RefusalCode.RestsOn, visit.Figure(reading, "1I", "0.21", unproved: true).Refusal!.Code);
    }

    [Fact]
    public void Warm_is_refused_or_measured_all_the_same_and_kept_out_of_the_trend()
    {
        var visit = new VisitScript();
        visit.Open();
        Assert.Equal(RefusalCode.ConditionMissing, visit.State(degrees: 55).Refusal!.Code);
        Assert.Null(visit.State(degrees: 55, anyway: true).Refusal);
        Assert.True(visit.Visit.IsOutOfTrend);
        visit.State(degrees: 20);
        Assert.False(visit.Visit.IsOutOfTrend);
    }

    [Fact]
    public void Steps_have_names_and_points_have_labels()
    {
        var visit = new VisitScript().Ready();
        Assert.Equal(RefusalCode.StepUnknown, visit.Tick("champagne").Refusal!.Code);
        Assert.Equal(RefusalCode.PointUnknown, visit.Figure(Guid.CreateVersion7(), "9E", "0.40", unproved: true).Refusal!.Code);
    }

    [Fact]
    public void A_meter_does_not_run_backwards_nor_faster_than_the_clock()
    {
        var context = VisitScript.Twin() with { Meter = new ContextMeter(new DateOnly(2026, 10, 30), H(100), 0) };
        Assert.Equal(RefusalCode.HoursBackwards, new VisitScript(context).Open(hours: 99).Refusal!.Code);
        Assert.Equal(RefusalCode.DateImpossible, new VisitScript(context).Open(hours: 400).Refusal!.Code);
        Assert.Null(new VisitScript(context).Open(hours: 130).Refusal);
    }
}
