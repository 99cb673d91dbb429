using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Setting;

namespace ZeroDrift.Core.Tests.Setting;

public class AdviceTests
{
    private static readonly Demand.Gap Gap = Asked(0.15, 0.25, 0.20);
    private static readonly Adjuster Screw = new Adjuster.Screw(ScrewPlace.Valve, 1.0);
    private static readonly Adjuster.Shim Shim = new(ShimAccess.UnderBucket, [2.60, 2.65, 2.70, 2.75, 2.80]);

    private static AdviceFacts Fitted(double mm) => new() { FittedShimMm = mm };

    public static TheoryData<Adjuster, Demand> Pairs()
    {
        var data = new TheoryData<Adjuster, Demand>();
        foreach (var adjuster in (Adjuster[])[Screw, new Adjuster.Eccentric(), Shim, new Adjuster.Hydraulic(T(1.6), false), new Adjuster.InjectorScrew(1.0), new Adjuster.BrakeScrew(1.0)])
            foreach (var demand in (Demand[])[Gap, new Demand.Zero(), new Demand.Preload(T(0.5), null), new Demand.Height(34.2), new Demand.Torque(8)]) data.Add(adjuster, demand);
        return data;
    }

    [Theory]
    [InlineData(0.31, true, "Close it, clockwise, until the blade of 0.20 mm drags; lock, measure again.")]
    [InlineData(0.10, true, "Open it, anticlockwise, until the blade of 0.20 mm drags; lock, measure again.")]
    [InlineData(0.10, false, "Open it, clockwise, until the blade of 0.20 mm drags; lock, measure again.")]
    public void With_a_pitch_that_nobody_knows_the_way_is_said_and_no_turn(double found, bool clockwiseCloses, string sentence)
    {
        var advice = Advice.For(new Adjuster.Screw(ScrewPlace.Valve, null, 1, clockwiseCloses), Gap, Reading.Direct(Mm(found)));
        Assert.Equal(AdviceAction.SetByBlade, advice.Action);
        Assert.StartsWith(sentence, advice.Sentence, StringComparison.Ordinal);
        Assert.EndsWith("What one turn changes is not known, so no turn is given.", advice.Sentence, StringComparison.Ordinal);
        Assert.Null(advice.Turn);
    }

    [Fact]
    public void In_its_window_it_is_left_alone_whatever_its_pitch() =>
        Assert.Equal(AdviceAction.Leave, Advice.For(new Adjuster.Screw(ScrewPlace.Valve, null), Gap, Reading.Direct(Mm(0.21))).Action);

    [Theory]
    [MemberData(nameof(Pairs))]
    public void Every_pair_is_answered_or_refused_naming_both_and_no_screw_is_turned_where_there_is_none(Adjuster adjuster, Demand demand)
    {
        var can = (adjuster, demand) switch
        {
            (Adjuster.Screw or Adjuster.BrakeScrew, Demand.Gap or Demand.Zero) => true,
            (Adjuster.Eccentric or Adjuster.Shim, Demand.Gap) => true,
            (Adjuster.Hydraulic, Demand.Preload) => true,
            (Adjuster.InjectorScrew, Demand.Preload or Demand.Height or Demand.Torque) => true,
            _ => false,
        };
        if (!can)
        {
            var refused = Assert.Throws<BadInputException>(() => Advise());
            Assert.Contains(adjuster.Word, refused.Message, StringComparison.Ordinal);
            Assert.Contains(demand.Word, refused.Message, StringComparison.Ordinal);
            return;
        }
        var advice = Advise();
        Assert.Equal(adjuster is Adjuster.Screw or Adjuster.BrakeScrew && demand is Demand.Gap, advice.Turn is not null);
        if (adjuster is not (Adjuster.Screw or Adjuster.BrakeScrew)) Assert.DoesNotContain("°", advice.Sentence, StringComparison.Ordinal);

        Advice Advise() => Advice.For(adjuster, demand, Reading.Direct(Mm(0.31)), Fitted(2.81));
    }

    [Fact] // thread geometry
    public void A_screw_is_turned_from_the_figure_found()
    {
        var advice = Advice.For(Screw, Gap, Reading.Direct(Mm(0.31)));

        Assert.Equal(AdviceAction.Turn, advice.Action);
        Assert.Equal(0.11, advice.Turn!.Turns, 9);
        Assert.Equal((ScrewDirection.Clockwise, 2), (advice.Turn.Direction, advice.Turn.Sixteenths));
        Assert.Equal("Close it 40°, a bit under 1/8 turn, clockwise.", advice.Sentence);
    }

    [Fact] // as found the nut is tight: slackened it gives back what it takes again, so that the turn is the same and only the gap to leave differs
    public void A_locknut_that_creeps_is_allowed_for() =>
        Assert.Equal(0.11, Advice.For(Screw, Gap, Reading.Direct(Mm(0.31)), new AdviceFacts { Creep = new LocknutCreep(0.01, 0, 6) }).Turn!.Turns, 9);

    [Theory]
    [InlineData(null, 0.05, AdviceAction.SetByBlade)]
    [InlineData(0.30, null, AdviceAction.SetByBlade)]
    [InlineData(0.10, null, AdviceAction.MeasureOn)]
    [InlineData(null, 0.22, AdviceAction.MeasureOn)]
    [InlineData(0.15, 0.25, AdviceAction.Leave)]
    [InlineData(0.10, 0.22, AdviceAction.MeasureOn)]
    public void A_bound_leads_by_the_blade_or_asks_for_more(double? lower, double? upper, AdviceAction action) =>
        Assert.Equal(action, Advice.For(Screw, Gap, new Reading(Mm(lower), Mm(upper), null, null)).Action);

    [Fact] // common practice, no source: 2.81 + 0.09 − 0.20 = 2.70
    public void A_shim_is_the_old_one_and_the_gap_less_the_figure()
    {
        var advice = Advice.For(Shim, Gap, Reading.Direct(Mm(0.09)), Fitted(2.81));

        Assert.Equal(AdviceAction.FitShim, advice.Action);
        Assert.Equal((2.70, 2.70), (Math.Round(advice.Shim!.ExactMm, 9), advice.Shim.ChoiceMm));
        Assert.Equal([2.65, 2.75], advice.Shim.AlternativesMm);
        Assert.Equal((2.65, 2.75), (Math.Round(advice.Shim.SurelyFromMm!.Value, 9), Math.Round(advice.Shim.MayToMm, 9)));
    }

    [Fact]
    public void From_a_bracket_some_sizes_surely_do_and_more_may()
    {
        var advice = Advice.For(Shim, Gap, new Reading(Mm(0.05), Mm(0.10), null, null), Fitted(2.80));

        Assert.Equal(AdviceAction.FitShim, advice.Action);
        Assert.Equal((2.60, 2.75), (Math.Round(advice.Shim!.MayFromMm, 9), Math.Round(advice.Shim.MayToMm, 9)));
        Assert.Equal((2.65, 2.70), (Math.Round(advice.Shim.SurelyFromMm!.Value, 9), Math.Round(advice.Shim.SurelyToMm!.Value, 9)));
        Assert.Contains(advice.Shim.ChoiceMm!.Value, (double[])[2.65, 2.70]);
    }

    [Fact]
    public void A_bracket_too_wide_for_any_size_gets_the_best_that_may_do()
    {
        var wide = Advice.For(Shim, Asked(0.18, 0.22), new Reading(Mm(0.05), Mm(0.10), null, null), Fitted(2.80));
        var none = Advice.For(new Adjuster.Shim(ShimAccess.Puck, [3.5]), Gap, Reading.Direct(Mm(0.09)), Fitted(2.81));

        Assert.Equal(AdviceAction.FitShim, wide.Action);
        Assert.Null(wide.Shim!.SurelyFromMm);
        Assert.Equal(AdviceAction.MeasureOn, none.Action);
        Assert.Null(none.Shim!.ChoiceMm);
    }

    [Fact]
    public void A_closed_up_shim_point_gets_a_thinner_one_first() =>
        Assert.Equal(AdviceAction.FitThinnerFirst, Advice.For(Shim, Gap, new Reading(null, Mm(0.05), null, null), Fitted(2.81)).Action);

    [Fact] // common practice, no source
    public void Half_of_a_lifters_travel_of_one_and_six_tenths_is_eight_tenths_of_a_turn() =>
        Assert.Equal(0.8, Advice.For(new Adjuster.Hydraulic(T(1.6), true), new Demand.Preload(null, 0.5), []).Amount!.Turns!.Value, 9);

    [Fact]
    public void Zero_lash_is_no_turns_by_a_sign() =>
        Assert.Equal((AdviceAction.ByAmount, 0.0), (Advice.For(Screw, new Demand.Zero(), []).Action, Advice.For(Screw, new Demand.Zero(), []).Amount!.Turns!.Value));
}
