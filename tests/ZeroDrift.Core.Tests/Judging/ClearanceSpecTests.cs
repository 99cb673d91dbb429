using CsCheck;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Tests.Judging;

public class ClearanceSpecTests
{
    [Fact]
    public void Without_a_figure_to_set_the_middle_of_the_window_is_set() =>
        Assert.Equal(0.40, ClearanceSpec.OfWindow(0.35, 0.45).SetMm, 9);

    [Fact]
    public void A_figure_outside_its_own_window_is_refused() =>
        Assert.Equal("setMm", Assert.Throws<BadInputException>(() => ClearanceSpec.OfWindow(0.35, 0.45, 0.50)).Field);

    [Theory]
    [InlineData(0, 0.03, 0.05, "singleMm")]
    [InlineData(0.20, 0.25, 0.05, "fleet.toleranceTightMm")]
    [InlineData(0.20, 0.03, 0, "fleet.toleranceLooseMm")]
    public void A_tolerance_that_would_reach_below_zero_is_refused(double figure, double tight, double loose, string field) =>
        Assert.Equal(field, Assert.Throws<BadInputException>(() => ClearanceSpec.OfSingleFigure(figure, tight, loose)).Field);

    [Fact]
    public void The_ends_of_a_window_are_inside_it() =>
        Assert.True(new Window(0.15, 0.25).Holds(0.15) && new Window(0.15, 0.25).Holds(0.1 + 0.15) && !new Window(0.15, 0.25).Holds(0.2501));

    [Fact]
    public void A_surer_figure_inside_the_window_is_never_called_out_of_it() => Gen.Select(Gen.Double[0.36, 0.44], Gen.Double[0.0005, 0.05]).Sample((mm, u) =>
        Verdict.Judge(Reading.Direct(mm, u), new Window(0.35, 0.45)).State is VerdictState.InWindow or VerdictState.Borderline);

    [Fact]
    public void The_probabilities_of_tight_loose_and_in_add_up_to_one() => Gen.Select(Gen.Double[0.1, 0.8], Gen.Double[0.001, 0.2]).Sample((mm, u) =>
    {
        var verdict = Verdict.Judge(Reading.Direct(mm, u), new Window(0.35, 0.45));
        return verdict.PTight + verdict.PLoose is >= 0 and <= 1 + 1e-12;
    });
}
