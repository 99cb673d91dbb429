using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Tests.Turning;

public class PositionTests
{
    private static readonly TurningEngine Four = Engines.FourStroke(1, 3, 4, 2);

    [Fact]
    public void With_the_mark_up_the_companion_moving_tells_compression_from_overlap()
    {
        var position = CrankPosition.From(Four, [Saw(4, LashKind.Exhaust, ValveState.Moving), Saw(1, LashKind.Intake, ValveState.Loose)], true);

        var only = Assert.Single(position.Candidates);
        Assert.Equal((Deg(0), 0, 1, 4), (only.FromDeg, only.ToDeg, only.CompressionCylinder, only.RockingCylinder));
        Assert.Null(position.Contradiction);
    }

    [Fact]
    public void Without_a_mark_the_answer_is_every_range_that_agrees()
    {
        var position = CrankPosition.From(Four, [Saw(1, LashKind.Intake, ValveState.Open)], false);

        var only = Assert.Single(position.Candidates);
        Assert.Equal((Deg(330), 600), (only.FromDeg, only.ToDeg));
        Assert.Null(only.CompressionCylinder);
    }

    [Fact]
    public void A_range_may_pass_the_end_of_the_cycle()
    {
        var only = Assert.Single(CrankPosition.From(Four, [Saw(1, LashKind.Intake, ValveState.Loose)], false).Candidates);

        Assert.Equal((Deg(585), 1065), (only.FromDeg, only.ToDeg));
    }

    [Fact]
    public void Nothing_seen_leaves_every_mark_or_the_whole_cycle()
    {
        Assert.Equal([0.0, 180, 360, 540], CrankPosition.From(Four, [], true).Candidates.Select(c => c.FromDeg.Degrees));
        Assert.Equal(new PositionCandidate(Deg(0), 720, null, null), Assert.Single(CrankPosition.From(Four, [], false).Candidates));
    }

    [Fact]
    public void A_contradiction_names_the_observation_that_does_not_fit()
    {
        var position = CrankPosition.From(Four,
            [Saw(1, LashKind.Intake, ValveState.Loose), Saw(1, LashKind.Exhaust, ValveState.Loose), Saw(4, LashKind.Intake, ValveState.Open), Saw(4, LashKind.Exhaust, ValveState.Open), Saw(2, LashKind.Exhaust, ValveState.Loose)], true);

        Assert.Empty(position.Candidates);
        Assert.Contains("2 exhaust loose contradicts", position.Contradiction, StringComparison.Ordinal);
    }

    [Fact]
    public void Observing_what_only_the_book_knows_is_refused() =>
        Assert.Equal("observations[0].kind", Assert.Throws<BadInputException>(() => CrankPosition.From(Four, [Saw(1, LashKind.Injector, ValveState.Loose)], false)).Field);

    private static ValveObservation Saw(int cylinder, LashKind kind, ValveState state) => new(new LashRef(cylinder, kind), state);
}
