using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Tests.Judging;

/// <summary>A go/no-go pair is judged by what enters, and a blade that drags has entered. Common practice, no source: 7 goes, 9 does not; 2.5 and 4 for a figure of 3.</summary>
public sealed class PairTests
{
    private const double Thou = 0.0254;
    private static readonly Demand.Gap Pair = Demand.Gap.OfBlades(Mm(7 * Thou), Mm(9 * Thou)) with { Unit = LengthUnit.Thou };

    [Theory]
    [InlineData(7, Feel.Free, 9, Feel.NoGo, VerdictState.InWindow, Because.Bounds)]
    [InlineData(7, Feel.Drag, 9, Feel.NoGo, VerdictState.InWindow, Because.Touch)]
    [InlineData(8, Feel.Drag, 9, Feel.NoGo, VerdictState.InWindow, Because.Touch)]
    [InlineData(7, Feel.Free, 9, Feel.Drag, VerdictState.Loose, Because.Touch)]
    [InlineData(7, Feel.Drag, 10, Feel.Drag, VerdictState.Loose, Because.Touch)]
    [InlineData(6, Feel.Drag, 7, Feel.NoGo, VerdictState.Tight, Because.Touch)]
    [InlineData(6, Feel.Drag, 8, Feel.Drag, VerdictState.InWindow, Because.Touch)]
    [InlineData(6, Feel.Free, 7, Feel.HeavyDrag, VerdictState.Tight, Because.Bounds)]
    [InlineData(9, Feel.Free, 10, Feel.NoGo, VerdictState.Loose, Because.Bounds)]
    public void The_no_go_blade_must_not_enter_and_the_go_blade_must(double one, Feel feels, double other, Feel otherFeels, VerdictState state, Because because)
    {
        List<BladeTrial> trials = [new([one * Thou], feels), new([other * Thou], otherFeels)];
        var judged = Judgement.Of(Reading.FromBlades(trials), trials, Pair);

        Assert.Equal((state, because), (judged.State, judged.Because));
        Assert.False(judged.OnFigure);
    }

    [Fact]
    public void A_set_figure_beside_a_pair_is_kept_and_a_drag_on_its_blade_is_on_the_figure()
    {
        var withFigure = Demand.Gap.OfBlades(Mm(2.5 * Thou), Mm(4 * Thou), Mm(3 * Thou));
        List<BladeTrial> trials = [new([3 * Thou], Feel.Drag)];
        var judged = Judgement.Of(Reading.FromBlades(trials), trials, withFigure);

        Assert.Equal((VerdictState.InWindow, true, JudgedAction.Leave), (judged.State, judged.OnFigure, judged.Action));
        Assert.Equal(3 * Thou, withFigure.AimMm, 9);
        Assert.False(withFigure.AimIsOurs);
        Assert.True(Pair.AimIsOurs);
        Assert.Null(Pair.SetMm);
        Assert.Equal(8 * Thou, Pair.AimMm, 9);
    }

    [Theory]
    [InlineData(2.4)]
    [InlineData(4)]
    [InlineData(5)]
    public void A_set_figure_that_the_pair_itself_would_refuse_is_refused(double thou) =>
        Assert.Equal("setMm", Assert.Throws<BadInputException>(() => Demand.Gap.OfBlades(Mm(2.5 * Thou), Mm(4 * Thou), Mm(thou * Thou))).Field);

    [Theory]
    [InlineData(0.20, LengthUnit.Millimetre, LengthUnit.Thou, 8.0)]
    [InlineData(0.25, LengthUnit.Millimetre, LengthUnit.Thou, 10.0)]
    [InlineData(0.40, LengthUnit.Millimetre, LengthUnit.Thou, 16.0)]
    [InlineData(8 * Thou, LengthUnit.Thou, LengthUnit.Thou, 8.0)]
    [InlineData(8.4 * Thou, LengthUnit.Thou, LengthUnit.Thou, null)]
    public void Of_two_units_the_nearest_blade_within_half_a_step_is_the_figures_own(double figureMm, LengthUnit figureUnit, LengthUnit trayUnit, double? blade)
    {
        double[] thou = [.. Enumerable.Range(2, 20).Select(i => (double)i)];
        var found = BladeOfFigure.In([.. thou.Select(t => t * Thou)], trayUnit, figureMm, figureUnit);

        Assert.Equal(blade, found is { } i ? thou[i] : null);
    }

    [Fact]
    public void Ten_thou_that_drags_stands_at_the_edge_of_a_window_to_a_quarter_millimetre()
    {
        double[] tray = [.. Enumerable.Range(2, 20).Select(i => i * Thou)];
        List<BladeTrial> trials = [new([10 * Thou], Feel.Drag)];
        var metric = Asked(0.15, 0.25, 0.20);

        Assert.Equal(VerdictState.Loose, Judgement.Of(Reading.FromBlades(trials), trials, metric).State);
        Assert.Equal(VerdictState.InWindow, Judgement.Of(Reading.FromBlades(trials), trials, metric.InBlades(tray, LengthUnit.Thou)).State);
        Assert.Equal(metric, metric.InBlades([0.15, 0.20, 0.25], LengthUnit.Millimetre));
    }
}
