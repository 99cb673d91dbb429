using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Shims;

namespace ZeroDrift.Core.Tests.Shims;

/// <summary>How far the seats have come up, and when the shims run out.</summary>
public sealed class AdjustmentLeftTests
{
    [Fact]
    public void A_seat_that_comes_up_runs_towards_the_thinnest_shim()
    {
        var left = Of(-0.02, 0.004);

        Assert.Equal(0.17, left.RecessionMm, 9);
        Assert.Equal(0.40, left.LeftMm!.Value, 9);
        Assert.Equal(ShimEnd.Thinnest, left.Towards);
        Assert.Equal((15919.5, 20000.0, 26893.3), (Math.Round(left.Hours.Early!.Value, 1), Math.Round(left.Hours.Middle!.Value, 1), Math.Round(left.Hours.Late!.Value, 1)));
    }

    [Fact]
    public void A_gap_that_opens_runs_towards_the_thickest()
    {
        var left = Of(0.02, 0.004);

        Assert.Equal((ShimEnd.Thickest, 0.5), (left.Towards!.Value, Math.Round(left.LeftMm!.Value, 9)));
        Assert.Equal(25000, left.Hours.Middle!.Value, 6);
    }

    [Fact]
    public void A_rate_that_may_be_nothing_has_no_late_end_and_a_rate_of_nothing_no_end_at_all()
    {
        var unsure = Of(-0.02, 0.02);
        Assert.NotNull(unsure.Hours.Early);
        Assert.NotNull(unsure.Hours.Middle);
        Assert.Null(unsure.Hours.Late);

        var still = Of(0, 0.004);
        Assert.Equal(0.17, still.RecessionMm, 9);
        Assert.Equal((null, null, new HoursLeft(null, null, null)), (still.LeftMm, still.Towards, still.Hours));
    }

    [Fact]
    public void The_shim_travels_by_k_for_a_change_of_the_gap()
    {
        // by the lever: 0.15 of shim at k 1.5 is 0.10 of gap, and 0.40 of shim 0.2667
        var left = Of(-0.02, 0, k: 1.5);

        Assert.Equal(0.12, left.RecessionMm, 9);
        Assert.Equal(0.4 / 1.5 / 0.02 * 1000, left.Hours.Middle!.Value, 6);
        Assert.Equal(left.Hours.Early, left.Hours.Late);
    }

    [Fact]
    public void A_shim_thinner_than_any_made_has_nothing_left() =>
        Assert.Equal((0.0, 0.0), (Of(-0.02, 0, shim: 2.25).LeftMm!.Value, Of(-0.02, 0, shim: 2.25).Hours.Middle!.Value));

    [Theory]
    [InlineData(27, 1, "shimMm")]
    [InlineData(0, 1, "shimMm")]
    [InlineData(double.NaN, 1, "shimMm")]
    [InlineData(2.7, 0, "k")]
    public void A_figure_that_cannot_be_is_named(double shim, double k, string field) =>
        Assert.Equal(field, Assert.Throws<BadInputException>(() => Of(-0.02, 0.004, k, shim)).Field);

    private static AdjustmentLeft Of(double rate, double error, double k = 1, double shim = 2.70) =>
        AdjustmentLeft.Of((2.85, Clearance.OfMm(0.20)), (shim, Clearance.OfMm(0.18)), (2.30, 3.20), rate, error, k);
}
