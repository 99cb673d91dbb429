using CsCheck;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Setting;

namespace ZeroDrift.Core.Tests.Setting;

/// <summary>Set, locked, out, turned again: the advice follows the last of what is known, with what this nut took. Common practice, no source.</summary>
public sealed class AttemptTests
{
    private static readonly Demand.Gap Gap = Asked(0.15, 0.25, 0.20);
    private static readonly Adjuster Screw = new Adjuster.Screw(ScrewPlace.Valve, 1.0);

    [Fact]
    public void What_locked_tight_is_opened_by_what_the_nut_took()
    {
        var advice = Advise(null, Found(0.31), Before(0.20), Locked(0.14));

        Assert.Equal((AdviceAction.Turn, ScrewDirection.Anticlockwise), (advice.Action, advice.Turn!.Direction));
        Assert.Equal((0.06, 0.26), (Math.Round(advice.Turn.Turns, 9), Math.Round(advice.LeaveMm!.Value, 9)));
        Assert.StartsWith("Open it", advice.Sentence, StringComparison.Ordinal);
        Assert.EndsWith("Leave it at 0.26 mm: the nut brings it to 0.20.", advice.Sentence, StringComparison.Ordinal);
    }

    [Fact]
    public void What_the_hands_other_nuts_took_is_weighed_with_this_ones_as_if_it_were_five_locks()
    {
        var advice = Advise(new LocknutCreep(0.02, 0.005, 9), Found(0.31), Before(0.20), Locked(0.14));

        Assert.Equal(0.2 + (5 * 0.02 + 0.06) / 6, advice.LeaveMm!.Value, 9);
        Assert.Equal((5 * 0.02 + 0.06) / 6, advice.Turn!.Turns, 9);
    }

    [Fact]
    public void The_turn_is_never_that_of_the_as_found_once_the_gap_was_measured_again()
    {
        Assert.Equal(ScrewDirection.Clockwise, Advise(null, Found(0.31)).Turn!.Direction);
        Assert.Equal(ScrewDirection.Anticlockwise, Advise(null, Found(0.31), Locked(0.12)).Turn!.Direction);
        Assert.Equal(AdviceAction.Leave, Advise(null, Found(0.31), Locked(0.20)).Action);
    }

    [Fact]
    public void Before_locking_it_is_judged_by_what_it_will_be_locked()
    {
        // 0.26 slack is over the window; this nut takes 0.06.
        var advice = Advise(null, Found(0.31), Before(0.20), Locked(0.14), Before(0.26));
        Assert.Equal(AdviceAction.Leave, advice.Action);
        Assert.Contains("lock it, and measure again", advice.Sentence, StringComparison.Ordinal);
        Assert.Equal(AdviceAction.Turn, Advise(null, Found(0.31), Before(0.26)).Action);
    }

    [Theory]
    [InlineData(4, 0.20)]
    [InlineData(5, 0.24)]
    public void Without_a_lock_of_its_own_a_nut_is_set_by_the_hand_from_five_locks_on(int pairs, double leave) =>
        Assert.Equal(leave, Advise(new LocknutCreep(0.04, 0.01, pairs), Found(0.31)).LeaveMm!.Value, 9);

    [Fact]
    public void A_found_one_gives_its_pull_back_when_its_nut_is_slackened() =>
        Assert.Equal(0.11, Advise(new LocknutCreep(0.04, 0.01, 9), Found(0.31)).Turn!.Turns, 9);

    [Fact]
    public void Attempts_that_say_nothing_are_passed_over() =>
        Assert.Equal(0.06, Advise(null, Found(0.31), Before(0.20), new Attempt(AttemptStage.BeforeLock, Reading.Nothing), Locked(0.14)).Turn!.Turns, 9);

    [Fact]
    public void A_bound_after_locking_is_set_by_the_blade_of_what_is_to_be_left()
    {
        var advice = Advise(null, Found(0.31), Before(0.20), Locked(0.14), new Attempt(AttemptStage.Locked, new Reading(null, Mm(0.10), null, null)));

        Assert.Equal((AdviceAction.SetByBlade, (double?)null), (advice.Action, advice.LeaveMm));
        Assert.Contains("blade of 0.26 mm", advice.Sentence, StringComparison.Ordinal);
    }

    [Fact]
    public void What_locked_tight_opens_and_what_locked_loose_closes_whatever_other_nuts_did() =>
        Gen.Select(Gen.Double[0.02, 0.6], Gen.Double[-0.1, 0.1], Gen.Double[-0.15, 0.15], Gen.Int[0, 12]).Sample((before, pull, mean, pairs) =>
        {
            var locked = before - pull;
            if (locked < 0.01) return true;
            var advice = Advise(new LocknutCreep(mean, 0.01, pairs), Found(0.4), Before(before), Locked(locked));
            return locked < 0.15 - 1e-6 ? advice.Turn!.Direction == ScrewDirection.Anticlockwise
                : locked > 0.25 + 1e-6 ? advice.Turn!.Direction == ScrewDirection.Clockwise
                : advice.Action == AdviceAction.Leave || locked is < 0.1501 or > 0.2499;
        });

    [Fact]
    public void A_screw_that_locks_itself_has_no_nut_to_allow_for_and_no_word_of_one()
    {
        var self = new Adjuster.Screw(ScrewPlace.Valve, 1.0, SelfLocking: true);
        foreach (var attempts in (Attempt[][])[[Found(0.31)], [Found(0.31), Locked(0.14)], [new Attempt(AttemptStage.AsFound, new Reading(Mm(0.30), null, null, null))]])
        {
            var advice = Advice.For(self, Gap, attempts, new AdviceFacts { Creep = new LocknutCreep(0.05, 0.01, 9) });
            Assert.Null(advice.LeaveMm);
            Assert.DoesNotMatch(@"\block", advice.Sentence);
            Assert.DoesNotMatch(@"\bnut", advice.Sentence);
        }
        Assert.Equal(0.06, Advice.For(self, Gap, [Found(0.31), Locked(0.14)]).Turn!.Turns, 9);
    }

    [Fact]
    public void A_shim_measured_after_fitting_is_worked_out_like_a_found_one()
    {
        var shim = new Adjuster.Shim(ShimAccess.UnderBucket, [2.60, 2.65, 2.70, 2.75]);
        var advice = Advice.For(shim, Gap, [Found(0.09), Locked(0.28)], new AdviceFacts { FittedShimMm = 2.65 });
        // 2.65 + 0.28 − 0.20
        Assert.Equal((AdviceAction.FitShim, 2.75), (advice.Action, advice.Shim!.ChoiceMm));
    }

    [Fact]
    public void The_size_that_is_in_is_never_advised()
    {
        var shim = new Adjuster.Shim(ShimAccess.UnderBucket, [2.65, 2.70, 2.75]);
        var advice = Advice.For(shim, Asked(0.18, 0.22, 0.20), [new Attempt(AttemptStage.AsFound, new Reading(Mm(0.15), Mm(0.24), null, null))], new AdviceFacts { FittedShimMm = 2.70, ToFigure = true });
        Assert.Equal((AdviceAction.Leave, "nothing nearer", (double?)null), (advice.Action, advice.Reason, advice.Shim!.ChoiceMm));
        Assert.Contains("lap a trace", advice.Sentence, StringComparison.Ordinal);
    }

    [Fact]
    public void Where_no_size_fits_the_ways_out_come_with_the_advice_and_leaving_it_so_last()
    {
        var advice = Advice.For(new Adjuster.Shim(ShimAccess.Puck, [2.30, 2.40]), Asked(0.35, 0.45, 0.40), Reading.Direct(Mm(0.30)), new AdviceFacts { FittedShimMm = 2.30 });

        Assert.Equal((AdviceAction.MeasureOn, (double?)null), (advice.Action, advice.Shim!.ChoiceMm));
        Assert.Equal([Core.Shims.WayOut.OtherSize, Core.Shims.WayOut.CutStem, Core.Shims.WayOut.LeaveSo], advice.Nothing!.Ways.Select(w => w.Way));
        Assert.Null(Advice.For(new Adjuster.Shim(ShimAccess.Puck, [2.30, 2.40]), Asked(0.35, 0.45, 0.40), Reading.Direct(Mm(0.40)), new AdviceFacts { FittedShimMm = 2.30 }).Nothing);
    }

    private static Advice Advise(LocknutCreep? creep, params Attempt[] attempts) => Advice.For(Screw, Gap, attempts, new AdviceFacts { Creep = creep });

    private static Attempt Found(double mm) => new(AttemptStage.AsFound, Reading.Direct(Mm(mm)));

    private static Attempt Before(double mm) => new(AttemptStage.BeforeLock, Reading.Direct(Mm(mm)));

    private static Attempt Locked(double mm) => new(AttemptStage.Locked, Reading.Direct(Mm(mm)));
}
