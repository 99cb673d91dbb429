using ZeroDrift.Core.Setting;

namespace ZeroDrift.Core.Tests.Setting;

public class TrialShimTests
{
    [Fact] // common practice, no source
    public void A_point_that_is_closed_up_gets_the_thickest_that_would_leave_its_figure_then_thinner_ones()
    {
        var trials = TrialShims.From(fittedMm: 2.70, aimMm: 0.20, shimPerClearance: 1, [2.40, 2.45, 2.50, 2.55, 2.60, 2.70, 2.50]);

        Assert.Equal([2.50, 2.45, 2.40], trials);
    }

    [Fact] // common practice, no source: what lies on the short end of a rocker moves less than the gap
    public void A_shim_on_the_short_end_of_a_rocker_need_not_be_so_thin() =>
        Assert.Equal(2.60, TrialShims.From(2.70, 0.20, 0.5, [2.50, 2.55, 2.60, 2.65]).First());

    [Fact]
    public void Where_none_is_thin_enough_none_is_named() =>
        Assert.Empty(TrialShims.From(2.30, 0.20, 1, [2.20, 2.25, 2.30]));
}
