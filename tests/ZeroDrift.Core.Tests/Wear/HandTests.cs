using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Tests.Wear;

/// <summary>How well a hand repeats: from readings taken twice and from known gaps.</summary>
public sealed class HandTests
{
    private static readonly Guid Mine = Guid.Parse("00000000-0000-7000-8000-000000000001");
    private static readonly Guid Theirs = Guid.Parse("00000000-0000-7000-8000-000000000002");

    [Fact]
    public void With_nothing_to_go_by_a_hand_is_a_usual_one()
    {
        Assert.Equal(new Hand(0.005, 0, null, null), Hand.Of(Mine, [], [], 0.005));
        Assert.Equal(0, Hand.Of(Mine, [Gap((Mine, 0.30))], [], 0.005).Repeats);
    }

    [Fact]
    public void Repeats_move_it_by_as_much_as_they_weigh()
    {
        // Eight usual repeats of 0.005 and eight of this hand's, pairs 0.02 apart: 2·0.01² each.
        var hand = Hand.Of(Mine, [.. Enumerable.Repeat(Gap((Mine, 0.30), (Mine, 0.32)), 8)], [], 0.005);
        Assert.Equal(8, hand.Repeats);
        Assert.Equal(Math.Sqrt((8 * 0.005 * 0.005 + 8 * 0.0002) / 16), hand.RepeatSdMm, 12);
    }

    [Fact]
    public void A_hand_that_reads_loose_on_known_gaps_has_a_bias_with_its_error()
    {
        var hand = Hand.Of(Mine, [], [new(0.30, 0.31), new(0.20, 0.21), new(0.40, 0.41), new(0.25, 0.26)], 0.005);
        Assert.Equal(0.01, hand.OnKnownGaps!.Mm, 12);
        Assert.Equal(hand.RepeatSdMm / 2, hand.OnKnownGaps!.ErrorMm, 12);
        Assert.True(hand.RepeatSdMm < 0.005);
    }

    [Fact]
    public void Beside_another_on_the_same_gaps_it_is_known_which_of_two_reads_looser_but_not_which_is_right()
    {
        SameGap[] gaps = [Gap((Theirs, 0.30), (Mine, 0.31)), Gap((Theirs, 0.20), (Mine, 0.21))];
        var mine = Hand.Of(Mine, gaps, [], 0.005);
        Assert.Equal(0.01, mine.BesideOthers!.Mm, 12);
        Assert.Equal(0.005, mine.BesideOthers.ErrorMm, 12);
        Assert.Equal(2, mine.BesideOthers.Count);
        Assert.Equal(-0.01, Hand.Of(Theirs, gaps, [], 0.005).BesideOthers!.Mm, 12);
        Assert.Equal(0, mine.Repeats);
    }

    private static SameGap Gap(params (Guid By, double Mm)[] readings) => new("1E", [.. readings.Select(r => new GapReading(r.By, r.Mm))]);
}
