using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Shims;

namespace ZeroDrift.Core.Tests.Shims;

/// <summary>What another shim makes of a gap, and when the figure after it is not believed yet. Common practice, no source.</summary>
public class ShimChangeTests
{
    private static Reading Drags(double mm) => Reading.FromBlades([new BladeTrial([mm], Feel.Drag)]);

    private static Reading Between(double free, double noGo) => Reading.FromBlades([new BladeTrial([free], Feel.Free), new BladeTrial([noGo], Feel.NoGo)]);

    [Theory]
    [InlineData(2.81, 2.70, 1, 0.09, 0.20)]
    [InlineData(2.65, 2.70, 1, 0.25, 0.20)]
    [InlineData(2.00, 1.90, 2, 0.10, 0.15)]
    public void A_thinner_shim_opens_the_gap_by_what_it_is_thinner_over_its_travel(double old, double fitted, double travel, double gap, double after) =>
        Assert.Equal(after, new ShimChange(old, fitted, travel).After(gap), 9);

    [Fact]
    public void Half_a_thou_off_is_cleaned_and_measured_again_before_it_is_believed()
    {
        var change = new ShimChange(2.81, 2.70);
        Assert.False(change.AsksCleanAgain(Drags(0.09), Drags(0.20)));
        Assert.False(change.AsksCleanAgain(Drags(0.09), Drags(0.21)));
        Assert.True(change.AsksCleanAgain(Drags(0.09), Drags(0.22)));
        Assert.True(change.AsksCleanAgain(Drags(0.09), Drags(0.15)));
    }

    [Fact]
    public void What_blades_on_both_sides_allow_is_not_doubted()
    {
        var change = new ShimChange(2.81, 2.70);
        // 0.05 to 0.10 found: 0.16 to 0.21 may follow.
        Assert.False(change.AsksCleanAgain(Between(0.05, 0.10), Between(0.20, 0.25)));
        Assert.True(change.AsksCleanAgain(Between(0.05, 0.10), Between(0.25, 0.30)));
        // Closed up says only that it was under the thinnest blade.
        var closedUp = Reading.FromBlades([new BladeTrial([0.05], Feel.NoGo)]);
        Assert.False(change.AsksCleanAgain(closedUp, Drags(0.10)));
        Assert.True(change.AsksCleanAgain(closedUp, Drags(0.20)));
    }
}
