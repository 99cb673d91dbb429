using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Shims;

namespace ZeroDrift.Core.Tests.Shims;

/// <summary>A shim of one sort is none for another.</summary>
public sealed class ShimSortTests
{
    [Theory]
    [InlineData(ShimAccess.OnTop, 29.0, true)]
    [InlineData(ShimAccess.OnTop, 29.004, true)]
    [InlineData(ShimAccess.OnTop, null, true)]
    [InlineData(ShimAccess.OnTop, 33.0, false)]
    [InlineData(ShimAccess.UnderBucket, 29.0, false)]
    [InlineData(ShimAccess.Puck, null, false)]
    public void It_fits_the_same_place_and_the_same_diameter_where_both_are_known(ShimAccess access, double? diameter, bool fits)
    {
        var (asked, held) = (new ShimSort(ShimAccess.OnTop, 29), new ShimSort(access, diameter));

        Assert.Equal((fits, fits), (asked.Fits(held), held.Fits(asked)));
    }
}
