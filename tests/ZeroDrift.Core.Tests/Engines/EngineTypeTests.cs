using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Setting;

namespace ZeroDrift.Core.Tests.Engines;

public class EngineTypeTests
{
    private static readonly FiringOrder Six = FiringOrder.Parse("1-5-3-6-2-4", EngineCycle.FourStroke);

    [Fact]
    public void Points_lie_along_the_heads_as_the_layout_says()
    {
        var points = HeadLayout.Parse("1 2 3 4 5 6", "E I I E E I I E E I I E", Six, AdjusterKind.ScrewAtValve);

        Assert.Equal("1E 1I 2I 2E 3E 3I 4I 4E 5E 5I 6I 6E", string.Join(' ', points.Select(p => p.Label)));
    }

    [Fact]
    public void Two_banks_may_share_one_layout_and_injectors_get_their_own_adjuster()
    {
        var eight = FiringOrder.Parse("1-8-4-3-6-5-7-2", EngineCycle.FourStroke);

        var points = HeadLayout.Parse("1 3 5 7 / 2 4 6 8", "E J I E J I I J E I J E", eight, AdjusterKind.BridgeScrew);

        Assert.Equal(24, points.Count);
        var injector = points.Single(p => p.Label == "2J");
        Assert.Equal((1, 1), (injector.Bank, injector.Along));
        Assert.IsType<Adjuster.InjectorScrew>(injector.Adjuster);
        Assert.NotNull(points.Single(p => p.Label == "2I").Bridge);
    }

    [Fact]
    public void Two_intakes_of_one_cylinder_are_two_points() =>
        Assert.Equal(["1I front", "1I rear", "1E front", "1E rear"], HeadLayout.Parse("1", "I I E E", FiringOrder.Parse("1", EngineCycle.FourStroke), AdjusterKind.ShimOnTop).Select(p => p.Label));

    [Theory]
    [InlineData("", "firing order")]
    [InlineData("1 2 2", "twice")]
    [InlineData("0 1", "cannot be in an order")]
    [InlineData("1 2 3 4 5 6 7 8 9 10 11 12 13 14 15 16 17 18 19 20 21 22 23 24 25", "1 to 24 cylinders")]
    public void A_firing_order_that_cannot_be_is_refused(string order, string sentence) =>
        Assert.Contains(sentence, Assert.Throws<BadInputException>(() => FiringOrder.Parse(order, EngineCycle.FourStroke)).Message, StringComparison.Ordinal);

    [Theory] // common practice, no source: mechanics think in eighths and sixteenths of a turn
    [InlineData(0.0625, "1/16 turn")]
    [InlineData(0.075, "a bit over 1/16 turn")]
    [InlineData(0.11, "a bit under 1/8 turn")]
    [InlineData(0.5, "1/2 turn")]
    [InlineData(1.0, "1 turn")]
    [InlineData(1.25, "1 1/4 turns")]
    [InlineData(0.02, "under 1/32 turn")]
    public void A_turn_is_said_as_mechanics_say_it(double turns, string said) => Assert.Equal(said, TurnWords.Say(T(turns)));
}
