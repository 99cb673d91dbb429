using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Tests.Judging;

public class VerdictTests
{
    private static readonly Window Exhaust = new(Mm(0.35), Mm(0.45));

    [Theory]
    [InlineData(0.30, 0.35, VerdictState.Tight)]
    [InlineData(0.45, 0.50, VerdictState.Loose)]
    [InlineData(0.35, 0.45, VerdictState.InWindow)]
    [InlineData(0.30, 0.40, VerdictState.Borderline)]
    public void A_go_no_go_pair_is_judged_on_its_bounds(double lower, double upper, VerdictState expected) =>
        Assert.Equal(expected, Verdict.Judge(Reading.Between(Mm(lower), Mm(upper)), Exhaust).State);

    [Theory]
    [InlineData(null, 0.35, VerdictState.Tight)]
    [InlineData(null, 0.40, VerdictState.Borderline)]
    [InlineData(0.45, null, VerdictState.Loose)]
    [InlineData(0.40, null, VerdictState.Borderline)]
    public void A_one_sided_reading_is_judged_on_its_bound_without_a_probability(double? lower, double? upper, VerdictState expected)
    {
        var verdict = Verdict.Judge(new Reading(Mm(lower), Mm(upper), null, null), Exhaust);

        Assert.Equal((expected, null, null), (verdict.State, verdict.PTight, verdict.PLoose));
    }

    [Fact] // JCGM 106:2012, conformity probability: Φ(4) = 0.99997
    public void A_figure_is_judged_by_its_probability()
    {
        var verdict = Verdict.Judge(Reading.Direct(Mm(0.31), 0.01), Exhaust);

        Assert.Equal(VerdictState.Tight, verdict.State);
        Assert.Equal(0.99997, verdict.PTight!.Value, 5);
        Assert.Equal(0, verdict.PLoose!.Value, 9);
    }

    [Theory]
    [InlineData(0.355, 0.35)]
    [InlineData(0.448, 0.45)]
    public void A_borderline_names_the_blade_that_would_decide(double figure, double blade)
    {
        var verdict = Verdict.Judge(Reading.Direct(Mm(figure), 0.01), Exhaust);

        Assert.Equal((VerdictState.Borderline, blade), (verdict.State, verdict.DecidingBladeMm));
    }

    [Fact]
    public void Tight_outranks_loose_in_every_list() =>
        Assert.Equal([VerdictState.Tight, VerdictState.Loose, VerdictState.Borderline, VerdictState.InWindow],
            ((VerdictState[])[VerdictState.InWindow, VerdictState.Loose, VerdictState.Borderline, VerdictState.Tight]).Order());

    [Fact]
    public void A_single_figure_takes_the_fleets_tolerance_wider_on_the_loose_side()
    {
        var spec = Demand.Gap.OfSingleFigure(Mm(0.20), 0.03, 0.05);

        Assert.Equal((0.17, 0.25, 0.20, true), (Math.Round(spec.Window.MinMm, 9), Math.Round(spec.Window.MaxMm, 9), (double)spec.SetMm!.Value, spec.FleetTolerance));
    }

    [Fact]
    public void Nothing_measured_or_bounds_reversed_is_refused()
    {
        Assert.Equal("estimateMm", Assert.Throws<BadInputException>(() => Verdict.Judge(new Reading(null, null, null, null), Exhaust)).Field);
        Assert.Equal("lowerMm", Assert.Throws<BadInputException>(() => Verdict.Judge(new Reading(Mm(0.4), Mm(0.3), null, null), Exhaust)).Field);
        Assert.Equal("standardUncertaintyMm", Assert.Throws<BadInputException>(() => Verdict.Judge(new Reading(null, null, Mm(0.3), null), Exhaust)).Field);
        Assert.Equal("maxMm", Assert.Throws<BadInputException>(() => Window.Of(0.4, 0.3)).Field);
    }
}
