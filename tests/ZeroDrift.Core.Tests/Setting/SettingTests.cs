using CsCheck;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Setting;

namespace ZeroDrift.Core.Tests.Setting;

public class SettingTests
{
    [Fact] // ISO 261: M8 coarse pitch 1.25, fine 1 mm; thread geometry
    public void Nine_hundredths_on_a_1_mm_pitch_is_32_point_4_degrees()
    {
        var turn = ScrewTurn.Between(Mm(0.31), Mm(0.40), 1.0);

        Assert.Equal(0.09, turn.Turns, 9);
        Assert.Equal(32.4, turn.Turns.Degrees, 9);
        Assert.Equal((ScrewDirection.Anticlockwise, 1, true), (turn.Direction, turn.Sixteenths, turn.DegreesFirst));
    }

    [Theory]
    [InlineData(0.40, 0.30, true, ScrewDirection.Clockwise)]
    [InlineData(0.40, 0.30, false, ScrewDirection.Anticlockwise)]
    [InlineData(0.30, 0.40, false, ScrewDirection.Clockwise)]
    public void Direction_follows_the_sign_and_the_screw(double from, double to, bool clockwiseCloses, ScrewDirection expected) =>
        Assert.Equal(expected, ScrewTurn.Between(Mm(from), Mm(to), 1, 1, clockwiseCloses).Direction);

    [Fact]
    public void Half_a_sixteenth_rounds_away_from_zero() => Assert.Equal(2, ScrewTurn.Between(Mm(0), Mm(0.09375), 1).Sixteenths);

    [Fact]
    public void An_eighth_of_a_turn_may_be_said_as_an_eighth() => Assert.False(ScrewTurn.Between(Mm(0.2), Mm(0.325), 1).DegreesFirst);

    [Fact]
    public void Nothing_to_change_has_no_direction() => Assert.Null(ScrewTurn.Between(Mm(0.4), Mm(0.4), 1).Direction);

    [Fact]
    public void Turning_back_what_was_turned_lands_where_it_began() => Gen.Select(Gen.Double[0, 2], Gen.Double[0, 2], Gen.Double[0.3, 2], Gen.Double[0.5, 2]).Sample((from, to, pitch, ratio) =>
        Math.Abs(ScrewTurn.Between(Mm(from), Mm(to), pitch, ratio).Turns - ScrewTurn.Between(Mm(to), Mm(from), pitch, ratio).Turns) < 1e-9);

    [Fact] // common practice, no source: 0.596 in lift at 24 threads an inch is quoted as 7.15 turns
    public void Turns_to_mid_lift_are_half_the_lift_over_the_pitch() =>
        Assert.Equal(7.152, SquaredRocker.Of(0.596 * 25.4, 25.4 / 24, true).Turns, 3);

    [Fact]
    public void Locknut_creep_is_the_mean_of_a_hands_pairs_known_from_the_first_and_told_from_the_fifth()
    {
        var pairs = new[] { (Mm(0.42), Mm(0.41)), (Mm(0.41), Mm(0.40)), (Mm(0.43), Mm(0.41)), (Mm(0.40), Mm(0.39)) };
        Assert.False(LocknutCreep.FromPairs(pairs).IsTold);
        Assert.Equal(0.0125, LocknutCreep.FromPairs(pairs).PullMm, 9);

        var creep = LocknutCreep.FromPairs([.. pairs, (Mm(0.41), Mm(0.40))]);

        Assert.True(creep.IsTold);
        Assert.Equal(-0.012, creep.CreepMm, 9);
        Assert.Equal(0.412, creep.AimBeforeLock(Mm(0.40)), 9);
        // Learned one more is what was learned at once.
        var more = LocknutCreep.FromPairs(pairs).With([0.01]);
        Assert.Equal((creep.PullMm, creep.SdMm, creep.Pairs), (more.PullMm, more.SdMm, more.Pairs), (a, b) => Math.Abs(a.Item1 - b.Item1) < 1e-12 && Math.Abs(a.Item2 - b.Item2) < 1e-12 && a.Item3 == b.Item3);
    }

    [Fact]
    public void Without_a_before_lock_figure_creep_is_learned_from_turns_against_change()
    {
        var settings = Enumerable.Range(0, 5).Select(_ => (Mm(0.31), 0.10, Mm(0.40))).ToArray();

        Assert.Equal(-0.01, LocknutCreep.FromTurns(settings, 1.0)!.CreepMm, 9);
    }

    [Fact] // common practice, no source
    public void A_shim_is_old_plus_gap_minus_target()
    {
        var metric = ShimChoice.From(Mm(0.09), Mm(0.20), new Window(Mm(0.15), Mm(0.25)), 2.81, [2.65, 2.70, 2.75]);
        Assert.Equal(2.70, metric.ExactShimMm, 9);
        Assert.Equal(2.70, metric.Choice!.ShimMm);
        Assert.Equal([2.65, 2.75], metric.Alternatives.Select(a => a.ShimMm));
        Assert.All(metric.Alternatives, a => Assert.True(a.InWindow));

        var inch = ShimChoice.From(Mm(0.0045 * 25.4), Mm(0.009 * 25.4), new Window(Mm(0.20), Mm(0.26)), 0.1085 * 25.4, [2.60, 2.65, 2.70]);
        Assert.Equal(0.104 * 25.4, inch.ExactShimMm, 3);
        Assert.Equal(2.65, inch.Choice!.ShimMm);
    }

    [Fact]
    public void Of_two_equally_near_the_thinner_looser_shim_is_chosen() =>
        Assert.Equal(2.675, ShimChoice.From(Mm(0.09), Mm(0.20), new Window(Mm(0.15), Mm(0.25)), 2.81, [2.725, 2.675]).Choice!.ShimMm);

    [Fact]
    public void Where_no_size_lands_in_the_window_there_is_no_choice_but_the_nearest_are_shown()
    {
        var shim = ShimChoice.From(Mm(0.09), Mm(0.20), new Window(Mm(0.15), Mm(0.25)), 2.81, [2.40, 3.00]);

        Assert.Null(shim.Choice);
        Assert.Equal([3.00, 2.40], shim.Alternatives.OrderByDescending(a => a.ShimMm).Select(a => a.ShimMm));
        Assert.All(shim.Alternatives, a => Assert.False(a.InWindow));
    }

    [Fact] // common practice, no source: 1.6 turns of travel, set 0.8, near enough 3/4 + 1/16
    public void A_lifter_sits_in_the_middle_of_its_travel()
    {
        Assert.Equal(0.8, LifterPreload.FromTurns(T(1.6)), 9);
        Assert.Equal(0.8, LifterPreload.FromTravel(1.6, 1.0), 9);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(double.NaN)]
    [InlineData(1e300)]
    public void An_absurd_pitch_is_refused_by_name(double pitch) =>
        Assert.Equal("pitchMm", Assert.Throws<BadInputException>(() => ScrewTurn.Between(Mm(0.3), Mm(0.4), pitch)).Field);
}
