using CsCheck;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Tests.Judging;

public class JudgementTests
{
    private static readonly Demand.Gap Window = Asked(0.15, 0.25, 0.20);
    private static readonly double[] Tray = [0.05, 0.10, 0.15, 0.20, 0.25, 0.30];

    [Theory] // common practice, no source
    [InlineData("0.20 drag", VerdictState.InWindow, true, Because.Touch, JudgedAction.Leave)]
    [InlineData("0.25 drag", VerdictState.InWindow, false, Because.Touch, JudgedAction.Leave)]
    [InlineData("0.15 drag", VerdictState.InWindow, false, Because.Touch, JudgedAction.Leave)]
    [InlineData("0.10 drag", VerdictState.Tight, false, Because.Touch, JudgedAction.Set)]
    [InlineData("0.30 drag", VerdictState.Loose, false, Because.Touch, JudgedAction.Set)]
    [InlineData("0.25 free", VerdictState.Loose, false, Because.Bounds, JudgedAction.Set)]
    [InlineData("0.15 noGo", VerdictState.Tight, false, Because.Bounds, JudgedAction.Set)]
    [InlineData("0.15 free, 0.25 noGo", VerdictState.InWindow, false, Because.Bounds, JudgedAction.Leave)]
    [InlineData("0.15 free, 0.25 heavyDrag", VerdictState.InWindow, false, Because.Bounds, JudgedAction.Leave)]
    [InlineData("0.15 drag, 0.10 drag, 0.05 free, 0.20 noGo", VerdictState.Borderline, false, Because.Probability, JudgedAction.Yours)]
    public void Touch_comes_first_then_bounds_then_probability(string tries, VerdictState state, bool onFigure, Because because, JudgedAction action)
    {
        var trials = Trials(tries);
        var judged = Judgement.Of(Reading.FromBlades(trials), trials, Window);

        Assert.Equal((state, onFigure, because, action), (judged.State!.Value, judged.OnFigure, judged.Because!.Value, judged.Action));
    }

    [Theory] // common practice, no source
    [InlineData(0.20, 0.26, "0.20 free, 0.22 noGo", VerdictState.InWindow)]
    [InlineData(0.35, 0.45, "0.30 free, 0.31 noGo", VerdictState.Tight)]
    [InlineData(0.35, 0.45, "0.25 free, 0.26 noGo", VerdictState.Tight)]
    [InlineData(0.15, 0.25, "0.10 drag", VerdictState.Tight)]
    public void What_mechanics_call_it(double min, double max, string tries, VerdictState state)
    {
        var trials = Trials(tries);
        Assert.Equal(state, Judgement.Of(Reading.FromBlades(trials), trials, Asked(min, max)).State);
    }

    [Theory] // common practice, no source: dial factor 2.4, window 0.14 to 0.17 mm
    [InlineData(18, 0.1905, VerdictState.Loose)]
    [InlineData(15, 0.1588, VerdictState.InWindow)]
    [InlineData(14, 0.1482, VerdictState.InWindow)]
    public void A_dial_reads_by_its_factor(double thou, double mm, VerdictState state)
    {
        var reading = Reading.FromDial(thou * 0.0254, 1 / 2.4, 0.004);

        Assert.Equal(mm, reading.EstimateMm!.Value, 4);
        Assert.Equal(state, Judgement.Of(reading, [], Asked(0.14, 0.17)).State);
    }

    [Fact] // common practice, no source
    public void Four_thou_plus_or_minus_one_with_four_free_and_five_dragging_is_in_at_its_edge()
    {
        var gap = Demand.Gap.OfSingleFigure(Mm(4 * 0.0254), unit: Core.Lengths.LengthUnit.Thou);
        List<BladeTrial> trials = [new([4 * 0.0254], Feel.Free), new([5 * 0.0254], Feel.Drag)];

        var judged = Judgement.Of(Reading.FromBlades(trials), trials, gap);
        var edge = Judgement.Of(Reading.FromBlades(trials), trials, gap, JudgingSchool.EdgeToSet);

        Assert.Equal((VerdictState.InWindow, false, JudgedAction.Leave), (judged.State!.Value, judged.OnFigure, judged.Action));
        Assert.Equal((VerdictState.InWindow, JudgedAction.Set), (edge.State!.Value, edge.Action));
    }

    [Theory] // common practice, no source: figure 10 thou with 10 no go, 8 forced is tight
    [InlineData("0.20 noGo", VerdictState.Tight, JudgedAction.Set)]
    [InlineData("0.20 heavyDrag", VerdictState.Tight, JudgedAction.Set)]
    [InlineData("0.20 free", VerdictState.Loose, JudgedAction.Set)]
    [InlineData("0.20 drag", null, JudgedAction.Leave)]
    public void In_the_one_figure_school_the_set_blade_alone_decides(string tries, VerdictState? side, JudgedAction action)
    {
        var trials = Trials(tries);
        var judged = Judgement.Of(Reading.FromBlades(trials), trials, Window, JudgingSchool.OneFigure);

        Assert.Equal((side, action), (judged.Side, judged.Action));
    }

    [Fact]
    public void A_bound_that_decides_nothing_is_measured_on_while_a_blade_can_tell_more()
    {
        var trials = Trials("0.20 free");

        Assert.Equal((null, JudgedAction.MeasureOn), (Judge(true).State, Judge(true).Action));
        Assert.Equal(JudgedAction.Yours, Judge(false).Action);

        Judgement Judge(bool more) => Judgement.Of(Reading.FromBlades(trials), trials, Window, aBladeTellsMore: more);
    }

    [Fact]
    public void The_next_blade_is_in_the_tray_strictly_inside_what_is_possible_and_not_tried() =>
        Gen.Select(Gen.Int[3, 60], Gen.Bool).Sample((gapHundredths, figure) =>
        {
            var gap = gapHundredths / 100.0 + 0.003;
            var trials = new List<BladeTrial>();
            for (var tries = 0; tries < 40; tries++)
            {
                var known = trials.Count == 0 ? new Reading(null, null, null, null) : Reading.FromBlades(trials);
                var next = NextTry.Of(Tray, trials, known, Window, figure ? MeasuringAim.Figure : MeasuringAim.Decide);
                if (next is null) return figure || Judgement.Of(known, trials, Window).State is not null || known.LowerMm >= 0.55;
                if (!next.BladesMm.All(Tray.Contains) || next.BladesMm.Count > 2 || next.BladesMm.Distinct().Count() != next.BladesMm.Count) return false;
                if (next.SumMm <= (known.LowerMm?.Millimetres ?? 0) || next.SumMm >= (known.UpperMm?.Millimetres ?? double.MaxValue)) return false;
                trials.Add(new BladeTrial(next.BladesMm, next.SumMm < gap ? Feel.Free : Feel.NoGo));
            }
            return false;
        });

    [Fact]
    public void Nothing_further_is_asked_once_it_is_decided_and_nothing_once_a_blade_drags()
    {
        var decided = Trials("0.25 free");
        var drags = Trials("0.20 drag");

        Assert.Null(NextTry.Of(Tray, decided, Reading.FromBlades(decided), Window, MeasuringAim.Decide));
        Assert.NotNull(NextTry.Of(Tray, decided, Reading.FromBlades(decided), Window, MeasuringAim.Figure));
        Assert.Null(NextTry.Of(Tray, drags, Reading.FromBlades(drags), Window, MeasuringAim.Figure));
    }

    [Fact]
    public void The_one_figure_school_begins_with_the_set_blade() =>
        Assert.Equal(0.20, NextTry.Of(Tray, [], new Reading(null, null, null, null), Window, MeasuringAim.Decide, null, JudgingSchool.OneFigure)!.SumMm, 9);

    [Fact]
    public void A_stack_of_two_serves_where_no_blade_does()
    {
        var trials = Trials("0.20 free, 0.30 noGo");

        var next = NextTry.Of([0.05, 0.20, 0.30], trials, Reading.FromBlades(trials), Asked(0.15, 0.25), MeasuringAim.Decide);

        Assert.Equal([0.20, 0.05], next!.BladesMm);
    }

    private static List<BladeTrial> Trials(string said) => [.. said.Split(", ").Select(t => t.Split(' ')).Select(t => new BladeTrial([double.Parse(t[0], System.Globalization.CultureInfo.InvariantCulture)], Enum.Parse<Feel>(t[1], true)))];
}
