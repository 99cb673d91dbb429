using ZeroDrift.Core.Shims;

namespace ZeroDrift.Core.Tests.Shims;

/// <summary>Two shims in each other's places give themselves away by their gaps.</summary>
public sealed class MirroredShimsTests
{
    [Fact]
    public void One_too_tight_by_as_much_as_the_other_is_too_wide_and_by_the_difference_of_the_two()
    {
        // 2.60 was to go to 1E and 2.70 to 2E; each went into the other's place.
        Assert.Equal(new MirroredShims("1E", "2E"), MirroredShims.Of([At("1E", 2.60, 0.40, 0.30), At("2E", 2.70, 0.40, 0.50), At("3E", 2.65, 0.40, 0.40)]));
    }

    [Fact]
    public void Mirrored_gaps_that_the_two_shims_do_not_explain_are_no_swap() =>
        Assert.Null(MirroredShims.Of([At("1E", 2.60, 0.40, 0.30), At("2E", 2.62, 0.40, 0.50)]));

    [Fact]
    public void Two_that_are_both_too_tight_are_no_swap() =>
        Assert.Null(MirroredShims.Of([At("1E", 2.60, 0.40, 0.30), At("2E", 2.70, 0.40, 0.30)]));

    [Theory]
    [InlineData(0.015)]
    [InlineData(0.004)]
    public void What_feel_alone_can_do_is_no_swap(double off) =>
        Assert.Null(MirroredShims.Of([At("1E", 2.60, 0.40, 0.40 - off), At("2E", 2.60 + off, 0.40, 0.40 + off)]));

    [Fact]
    public void Read_with_coarse_blades_a_swap_of_neighbouring_sizes_is_not_claimed() =>
        Assert.Null(MirroredShims.Of([At("1E", 2.60, 0.40, 0.35, 0.03), At("2E", 2.65, 0.40, 0.45, 0.03)]));

    [Fact]
    public void A_follower_with_a_ratio_shows_the_swap_by_its_own_ratio() =>
        Assert.Equal(new MirroredShims("1I", "2I"), MirroredShims.Of([At("1I", 2.00, 0.20, 0.20 - 0.10 / 1.6, ratio: 1.6), At("2I", 2.10, 0.20, 0.20 + 0.10 / 1.6, ratio: 1.6)]));

    [Fact]
    public void Of_several_pairs_that_could_be_the_one_that_fits_best_is_named() =>
        Assert.Equal(new MirroredShims("1E", "2E"), MirroredShims.Of([At("1E", 2.60, 0.40, 0.30), At("2E", 2.70, 0.40, 0.50), At("3E", 2.69, 0.40, 0.49)]));

    private static FittedPoint At(string point, double shim, double expected, double left, double u = 0.007, double ratio = 1) => new(point, shim, expected, left, u, ratio);
}
