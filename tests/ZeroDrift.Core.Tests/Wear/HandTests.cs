using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Tests.Wear;

/// <summary>How well a hand repeats: from readings taken twice and from known gaps.</summary>
public sealed class HandTests
{
    [Fact]
    public void With_nothing_to_go_by_a_hand_is_a_usual_one()
    {
        Assert.Equal(new Hand(0.005, 0, null, null, 0), Hand.Of([], [], 0.005));
        Assert.Equal(0, Hand.Of([[0.30]], [], 0.005).Repeats);
    }

    [Fact]
    public void Repeats_move_it_by_as_much_as_they_weigh()
    {
        // Eight usual repeats of 0.005 and eight of this hand's, pairs 0.02 apart: 2·0.01² each.
        var hand = Hand.Of([.. Enumerable.Repeat<IReadOnlyList<double>>([0.30, 0.32], 8)], [], 0.005);
        Assert.Equal(8, hand.Repeats);
        Assert.Equal(Math.Sqrt((8 * 0.005 * 0.005 + 8 * 0.0002) / 16), hand.RepeatSdMm, 12);
    }

    [Fact]
    public void A_hand_that_reads_loose_on_known_gaps_has_a_bias_with_its_error()
    {
        var hand = Hand.Of([], [new(0.30, 0.31), new(0.20, 0.21), new(0.40, 0.41), new(0.25, 0.26)], 0.005);
        Assert.Equal(0.01, hand.CheckBiasMm!.Value, 12);
        Assert.Equal(hand.RepeatSdMm / 2, hand.CheckBiasErrorMm!.Value, 12);
        Assert.True(hand.RepeatSdMm < 0.005);
    }
}
