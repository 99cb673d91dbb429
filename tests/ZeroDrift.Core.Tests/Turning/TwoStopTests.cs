using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Tests.Turning;

public class TwoStopTests
{
    [Theory] // common practice, no source
    [InlineData("1-8-4-3-6-5-7-2", null, "1I 1E 2I 3E 4E 5I 7I 8E")]
    [InlineData("1-3-4-2", null, "1I 1E 2I 3E")]
    [InlineData("1-4-2-6-3-5", 6, "2I 3E 4I 5E 6I 6E")]
    public void The_first_stop_sets_what_mechanics_set_there(string order, int? start, string expected)
    {
        var plan = Engine(order).Plan(TurningMethod.TwoStop, start);

        Assert.Equal(expected.Split(' ').Order(), Engines.Said(plan.Stops[0]).Split(' ').Order());
        Assert.Empty(plan.CannotSet);
        Assert.Equal(Engine(order).Order.Count * 2, plan.Stops.Sum(stop => stop.Set.Count));
    }

    [Theory] // common practice, no source
    [InlineData("1-8-4-3-6-5-7-2", 60)]
    [InlineData("1-5-3-6-2-4", 90)]
    [InlineData("1-3-4-2", 115)]
    public void The_smallest_margin_with_the_default_timing_is_known(string order, double smallest) =>
        Assert.Equal(smallest, Engine(order).Plan(TurningMethod.TwoStop).Stops.SelectMany(s => s.Set).Min(p => p.MarginDeg!.Value), 9);

    [Fact]
    public void The_second_stop_is_one_turn_on_at_the_companion()
    {
        var plan = Engine("1-5-3-6-2-4").Plan(TurningMethod.TwoStop);

        Assert.Equal((Deg(0), 1, 6), (plan.Stops[0].CrankDeg, plan.Stops[0].CompressionCylinder, plan.Stops[0].RockingCylinder));
        Assert.Equal((Deg(360), 360, 6, 1), (plan.Stops[1].CrankDeg, plan.Stops[1].TurnFromPreviousDeg, plan.Stops[1].CompressionCylinder, plan.Stops[1].RockingCylinder));
        Assert.Equal("1 on compression, 6 rocks.", plan.Stops[0].Sign);
    }

    [Fact]
    public void Starting_at_the_companion_keeps_crank_degrees_absolute()
    {
        var plan = Engine("1-5-3-6-2-4").Plan(TurningMethod.TwoStop, 6);

        Assert.Equal([360.0, 0.0], plan.Stops.Select(s => s.CrankDeg.Degrees));
        Assert.Equal(360, plan.Stops[1].TurnFromPreviousDeg);
    }

    [Fact]
    public void Room_both_ways_tells_how_far_the_crank_may_roll_off_the_mark()
    {
        var intake = Engine("1-3-4-2").Plan(TurningMethod.TwoStop).Stops[0].Set.Single(p => p.Point == new LashRef(1, LashKind.Intake));

        Assert.Equal((120, 120, 330), (intake.MarginDeg, intake.RoomBackDeg, intake.RoomForwardDeg));
    }

    [Fact]
    public void A_point_clear_at_neither_stop_is_named_and_not_dropped()
    {
        // An uneven twin with a long-duration camshaft: the second cylinder's valves are caught at both marks.
        var order = FiringOrder.Of([1, 2], EngineCycle.FourStroke, [0, 180]);
        var engine = TurningEngine.FourStroke(order, new ValveTiming(60, 150, 150, 170));

        var plan = engine.Plan(TurningMethod.TwoStop);

        var named = plan.CannotSet.Concat(plan.Stops.SelectMany(s => s.Set).Select(p => new UnplacedPoint(p.Point, p.MarginDeg, "")));
        Assert.Equal(4, named.Select(p => p.Point).Distinct().Count());
        Assert.NotEmpty(plan.CannotSet);
        Assert.All(plan.CannotSet, p => Assert.True(p.MarginDeg <= 0));
    }

    [Fact]
    public void Injectors_of_a_four_stroke_are_left_to_the_book()
    {
        var plan = Engine("1-3-4-2").Plan(TurningMethod.TwoStop, null, [LashKind.Intake, LashKind.Exhaust, LashKind.Injector]);

        Assert.Equal(4, plan.CannotSet.Count);
        Assert.All(plan.CannotSet, p => Assert.Contains("book", p.Reason, StringComparison.Ordinal));
    }

    private static TurningEngine Engine(string order) =>
        TurningEngine.FourStroke(FiringOrder.Parse(order, EngineCycle.FourStroke), ValveTiming.Unknown);
}
