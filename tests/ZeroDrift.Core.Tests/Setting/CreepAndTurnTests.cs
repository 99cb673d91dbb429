using CsCheck;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Setting;

namespace ZeroDrift.Core.Tests.Setting;

public class CreepAndTurnTests
{
    [Fact]
    public void One_slip_of_the_spanner_does_not_spoil_what_was_learned()
    {
        (Clearance, Clearance)[] pairs = [(Mm(0.41), Mm(0.40)), (Mm(0.42), Mm(0.41)), (Mm(0.41), Mm(0.40)), (Mm(0.43), Mm(0.42)), (Mm(0.41), Mm(0.20))];

        Assert.Equal(-0.01, LocknutCreep.FromPairs(pairs)!.CreepMm, 9);
    }

    [Fact]
    public void A_screw_at_the_pushrod_turns_less_for_the_same_gap() =>
        Assert.Equal(ScrewTurn.Between(Mm(0.2), Mm(0.3), 1, 1).Turns / 1.5, ScrewTurn.Between(Mm(0.2), Mm(0.3), 1, 1.5).Turns, 9);

    [Fact]
    public void The_turn_given_lands_on_the_target() => Gen.Select(Gen.Double[0.05, 1], Gen.Double[0.05, 1], Gen.Double[0.5, 2], Gen.Double[0.5, 2]).Sample((now, wanted, pitch, ratio) =>
    {
        var turn = ScrewTurn.Between(Mm(now), Mm(wanted), pitch, ratio);
        var opens = turn.Direction == ScrewDirection.Anticlockwise ? 1 : -1;
        return turn.Direction is null || Math.Abs(now + opens * turn.Turns * pitch * ratio - wanted) < 1e-9;
    });

    [Fact]
    public void The_chosen_shim_is_never_worse_than_another_in_the_window() => Gen.Select(Gen.Double[0.02, 0.5], Gen.Double[2, 3].Array[1, 30]).Sample((measured, sizes) =>
    {
        var choice = ShimChoice.From(Mm(measured), Mm(0.20), new Window(Mm(0.15), Mm(0.25)), 2.5, sizes);
        var others = choice.Alternatives.Where(a => a.InWindow).ToList();
        return choice.Choice is null
            ? others.Count == 0
            : others.TrueForAll(a => Math.Abs(a.PredictedMm - 0.20) >= Math.Abs(choice.Choice.PredictedMm - 0.20) - 1e-6);
    });

    [Theory]
    [InlineData(0, 0.5, "travelTurns")]
    [InlineData(1.6, 1.5, "fraction")]
    public void Impossible_preloads_are_refused(double travel, double fraction, string field) =>
        Assert.Equal(field, Assert.Throws<BadInputException>(() => LifterPreload.FromTurns(T(travel), fraction)).Field);
}
