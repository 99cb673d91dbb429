using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Tests.Turning;

public class OpenArcsTests
{
    [Theory]
    [InlineData(100, 20)]
    [InlineData(90, 10)]
    [InlineData(80, 0)]
    [InlineData(60, -20)]
    [InlineData(40, -20)]
    [InlineData(20, 0)]
    [InlineData(0, 20)]
    [InlineData(700, 40)]
    public void The_margin_is_the_distance_to_the_nearest_edge_negative_inside(double angle, double margin) =>
        Assert.Equal(margin, new OpenArcs(720, [(20, 80)]).Margin(angle), 9);

    [Fact]
    public void A_lift_may_run_through_zero()
    {
        var arcs = new OpenArcs(360, [(-75, 75)]);

        Assert.Equal(-75, arcs.Margin(0), 9);
        Assert.Equal(-5, arcs.Margin(290), 9);
        Assert.Equal(105, arcs.Margin(180), 9);
        Assert.Equal((105, 105), arcs.Room(180));
    }

    [Fact]
    public void Overlapping_lifts_are_one_and_the_longest_clear_stretch_is_between_them()
    {
        var arcs = new OpenArcs(720, [(100, 200), (150, 300), (600, 740)]);

        Assert.Equal(2, arcs.Arcs.Count);
        Assert.Equal((300, 300), arcs.LongestClear());
        Assert.Equal(-50, arcs.Margin(150), 9);
        Assert.Equal((10, 70), arcs.Room(30));
    }

    [Fact]
    public void Lifts_that_meet_across_the_end_of_the_cycle_are_joined()
    {
        var arcs = new OpenArcs(720, [(650, 720), (0, 50)]);

        var only = Assert.Single(arcs.Arcs);
        Assert.Equal((650, 120), only);
    }

    [Theory]
    [InlineData(0, 720)]
    [InlineData(10, 10)]
    [InlineData(30, 10)]
    public void A_lift_as_long_as_the_cycle_or_of_no_length_is_refused(double from, double to) =>
        Assert.Equal("valveTiming", Assert.Throws<BadInputException>(() => new OpenArcs(720, [(from, to)])).Field);

    [Fact]
    public void Lifts_that_together_cover_the_cycle_are_refused() =>
        Assert.Throws<BadInputException>(() => new OpenArcs(360, [(0, 200), (150, 380)]));
}
