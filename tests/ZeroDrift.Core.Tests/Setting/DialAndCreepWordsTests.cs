using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Setting;

namespace ZeroDrift.Core.Tests.Setting;

public class DialAndCreepWordsTests
{
    private const double Thou = 0.0254;

    [Fact] // common practice, no source
    public void A_factor_of_2_4_between_dial_and_lobe_puts_a_window_of_14_to_17_hundredths_at_13_2_to_16_1_thou()
    {
        var aim = DialAim.For(Asked(0.14, 0.17), 1 / 2.4, LengthUnit.Thou);

        Assert.Equal(13.2, aim.MinMm / Thou, 1);
        Assert.Equal(16.1, aim.MaxMm / Thou, 1);
        Assert.Equal("Set until the dial shows 14 to 15 thou; 0.15 to 0.16 mm at the lobe.", aim.Sentence);
    }

    [Theory] // common practice, no source
    [InlineData(18, 0.1905, VerdictState.Loose)]
    [InlineData(15, 0.1588, VerdictState.InWindow)]
    [InlineData(14, 0.1482, VerdictState.InWindow)]
    public void What_the_dial_shows_is_converted_before_it_is_judged(double shown, double clearance, VerdictState state)
    {
        var reading = Reading.FromDial(shown * Thou, 1 / 2.4, 0.001);
        Assert.Equal(clearance, reading.EstimateMm!.Value, 4);
        Assert.Equal(state, Judgement.Of(reading, [], Asked(0.14, 0.17)).State);
    }

    [Fact]
    public void A_dial_in_millimetres_is_read_to_its_hundredth_and_a_figure_on_a_division_is_that_division()
    {
        Assert.Equal("Set until the dial shows 0.47 to 0.48 mm; 0.20 to 0.20 mm at the lobe.", DialAim.For(Asked(0.17, 0.25, 0.20), 0.42, LengthUnit.Millimetre).Sentence);
        Assert.Equal("Set until the dial shows 0.40 mm; 0.20 mm at the lobe.", DialAim.For(Asked(0.15, 0.25, 0.20), 0.5, LengthUnit.Millimetre).Sentence);
    }

    [Fact] // common practice, no source
    public void A_hand_whose_locknuts_close_by_two_hundredths_leaves_the_screw_wide_by_as_much()
    {
        var advice = Advice.For(new Adjuster.Screw(ScrewPlace.Valve, 1.0), Asked(0.15, 0.25, 0.20), Reading.Direct(Mm(0.30)), new AdviceFacts { Creep = new LocknutCreep(0.02, 0.004, 6) });
        Assert.EndsWith("Leave it at 0.22 mm: the nut brings it to 0.20.", advice.Sentence, StringComparison.Ordinal);
        var wide = Advice.For(new Adjuster.Screw(ScrewPlace.Valve, 1.0), Asked(10 * Thou, 14 * Thou, 12 * Thou), Reading.Direct(Mm(9 * Thou)), new AdviceFacts { Creep = new LocknutCreep(0.0625, 0.01, 6), Unit = LengthUnit.Thou });
        Assert.EndsWith("Leave it at 14.5 thou: the nut brings it to 12.", wide.Sentence, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(0, null, true)]
    [InlineData(4, null, true)]
    [InlineData(6, -0.01, false)]
    [InlineData(6, -0.03, true)]
    public void A_look_before_locking_is_asked_for_while_it_teaches_and_where_it_pays(int pairs, double? creep, bool asks) =>
        Assert.Equal(asks, new LocknutCreep(-(creep ?? 0), 0, pairs).IsWorthAsking(0.10));

    [Fact]
    public void In_its_window_it_is_left_alone_unless_it_is_to_be_brought_to_the_figure()
    {
        var screw = new Adjuster.Screw(ScrewPlace.Valve, 1.0);
        Assert.Equal(AdviceAction.Leave, Advice.For(screw, Asked(0.15, 0.25, 0.20), Reading.Direct(Mm(0.25))).Action);
        Assert.Equal("Close it 18°, 1/16 turn, clockwise.".Replace("1/16", "a bit under 1/16", StringComparison.Ordinal), Advice.For(screw, Asked(0.15, 0.25, 0.20), Reading.Direct(Mm(0.25)), new AdviceFacts { ToFigure = true }).Sentence);
        // The set blade did not go: no figure to turn from.
        Assert.Equal(AdviceAction.SetByBlade, Advice.For(screw, Asked(0.15, 0.25, 0.20), new Reading(null, Mm(0.20), null, null), new AdviceFacts { ToFigure = true }).Action);
    }

    [Theory] // common practice, no source
    [InlineData(3, true)]
    [InlineData(4, false)]
    public void A_blade_of_three_thou_buckles_at_a_right_drag_one_of_four_does_not(double thou, bool thin) => Assert.Equal(thin, ThinBlade.Is(thou * Thou));
}
