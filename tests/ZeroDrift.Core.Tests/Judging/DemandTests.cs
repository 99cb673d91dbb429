using CsCheck;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Tests.Judging;

public class DemandTests
{
    [Fact]
    public void Without_a_figure_to_set_the_middle_of_the_window_is_set() =>
        Assert.Equal(0.40, Asked(0.35, 0.45).AimMm, 9);

    [Fact]
    public void A_figure_outside_its_own_window_is_refused() =>
        Assert.Equal("setMm", Assert.Throws<BadInputException>(() => Asked(0.35, 0.45, 0.50)).Field);

    [Theory]
    [InlineData(0, 0.03, 0.05, "figureMm")]
    [InlineData(0.20, 0, 0.05, "tightSideMm")]
    [InlineData(0.20, 0.03, 0, "looseSideMm")]
    public void A_single_figure_and_its_tolerances_are_above_zero(double figure, double tight, double loose, string field) =>
        Assert.Equal(field, Assert.Throws<BadInputException>(() => Demand.Gap.OfSingleFigure(Mm(figure), tight, loose)).Field);

    [Theory]
    [InlineData(0.20, null, null, LengthUnit.Millimetre, 0.175, 0.225)] // common practice, no source
    [InlineData(0.2032, null, null, LengthUnit.Thou, 0.1778, 0.2286)] // common practice, no source
    [InlineData(0.01, null, null, LengthUnit.Millimetre, 0.006666667, 0.035)]
    [InlineData(0.06, 0.05, 0.05, LengthUnit.Millimetre, 0.04, 0.11)]
    public void A_single_figure_has_one_blade_either_way_and_at_most_a_third_of_itself_on_the_tight_side(double figure, double? tight, double? loose, LengthUnit unit, double min, double max)
    {
        var gap = Demand.Gap.OfSingleFigure(Mm(figure), tight, loose, unit);

        Assert.Equal((min, max), (Math.Round(gap.Window.MinMm, 9), Math.Round(gap.Window.MaxMm, 9)));
        Assert.True(gap.FleetTolerance);
    }

    [Fact]
    public void A_go_no_go_pair_has_no_figure_to_set() => Assert.Null(Demand.Gap.OfBlades(Mm(0.178), Mm(0.229)).SetMm);

    [Fact]
    public void The_ends_of_a_window_are_inside_it() =>
        Assert.True(new Window(Mm(0.15), Mm(0.25)).Holds(0.15) && new Window(Mm(0.15), Mm(0.25)).Holds(0.1 + 0.15) && !new Window(Mm(0.15), Mm(0.25)).Holds(0.2501));

    [Fact]
    public void A_surer_figure_inside_the_window_is_never_called_out_of_it() => Gen.Select(Gen.Double[0.36, 0.44], Gen.Double[0.0005, 0.05]).Sample((mm, u) =>
        Verdict.Judge(Reading.Direct(Mm(mm), u), new Window(Mm(0.35), Mm(0.45))).State is VerdictState.InWindow or VerdictState.Borderline);

    [Fact]
    public void The_probabilities_of_tight_loose_and_in_add_up_to_one() => Gen.Select(Gen.Double[0.1, 0.8], Gen.Double[0.001, 0.2]).Sample((mm, u) =>
    {
        var verdict = Verdict.Judge(Reading.Direct(Mm(mm), u), new Window(Mm(0.35), Mm(0.45)));
        return verdict.PTight + verdict.PLoose is >= 0 and <= 1 + 1e-12;
    });
}
