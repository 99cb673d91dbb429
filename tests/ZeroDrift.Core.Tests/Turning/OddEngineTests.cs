using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Tests.Turning;

/// <summary>One cylinder, twins, odd counts, a V12, twenty cylinders: every one must be planned or told.</summary>
public class OddEngineTests
{
    [Fact]
    public void A_single_is_set_in_one_stop_at_its_own_compression()
    {
        var plan = Engines.FourStroke(1).Plan(TurningMethod.TwoStop);

        Assert.Equal("1I 1E", Engines.Said(plan.Stops[0]));
        Assert.Empty(plan.Stops[1].Set);
        Assert.Equal("1 at TDC on compression; both its rockers are loose.", plan.Stops[0].Sign);
    }

    [Theory]
    [InlineData(new[] { 1, 2 }, new[] { 0.0, 180 })]
    [InlineData(new[] { 1, 2 }, new[] { 0.0, 270 })]
    [InlineData(new[] { 1, 2 }, new[] { 0.0, 315 })]
    [InlineData(new[] { 1, 2 }, new[] { 0.0, 405 })]
    public void Uneven_twins_are_planned_in_every_method(int[] order, double[] angles)
    {
        foreach (var method in Enum.GetValues<TurningMethod>().Where(m => m is not (TurningMethod.Book or TurningMethod.LobeAway)))
        {
            var plan = Engines.Uneven(order, angles).Plan(method);
            Assert.Equal(4, plan.Stops.Sum(s => s.Set.Count) + plan.CannotSet.Count);
            Assert.All(plan.Stops, stop => Assert.InRange(stop.CrankDeg.Degrees, 0, 720));
        }
    }

    [Fact]
    public void A_V6_with_uneven_firing_keeps_its_angles()
    {
        var plan = Engines.Uneven([1, 6, 5, 4, 3, 2], [0, 150, 240, 390, 480, 630]).Plan(TurningMethod.PerCylinder);

        Assert.Equal([0, 150, 90, 150, 90, 150], plan.Stops.Select(s => (int)s.TurnFromPreviousDeg));
    }

    [Fact]
    public void A_V12_needs_two_stops_and_a_turn()
    {
        var plan = Engines.FourStroke(1, 7, 5, 11, 3, 9, 6, 12, 2, 8, 4, 10).Plan(TurningMethod.TwoStop);

        Assert.Equal([12, 12], plan.Stops.Select(s => s.Set.Count));
        Assert.Equal((1, 6), (plan.Stops[0].CompressionCylinder, plan.Stops[0].RockingCylinder));
    }

    [Theory]
    [InlineData(3)]
    [InlineData(5)]
    [InlineData(7)]
    [InlineData(20)]
    [InlineData(24)]
    public void Odd_and_large_counts_are_planned_completely(int cylinders)
    {
        var engine = Engines.FourStroke([.. Enumerable.Range(1, cylinders)]);

        foreach (var method in (TurningMethod[])[TurningMethod.PerCylinder, TurningMethod.Rocking, TurningMethod.ExhaustOpeningIntakeClosing, TurningMethod.FewestStops])
            Assert.Empty(engine.Plan(method).CannotSet);
    }

    [Fact]
    public void Two_cylinders_that_fire_apart_by_one_turn_rock_each_other()
    {
        var plan = Engines.FourStroke(1, 2).Plan(TurningMethod.Rocking);

        Assert.Equal(["2 rocks: set 1.", "1 rocks: set 2."], plan.Stops.Select(s => s.Sign));
    }

    [Theory]
    [InlineData(new[] { 0.0, 100 }, "firingAnglesDeg")]
    [InlineData(new[] { 5.0, 100, 200 }, "firingAnglesDeg")]
    [InlineData(new[] { 0.0, 200, 100 }, "firingAnglesDeg[2]")]
    [InlineData(new[] { 0.0, 200, 200 }, "firingAnglesDeg[2]")]
    [InlineData(new[] { 0.0, 200, 720 }, "firingAnglesDeg[2]")]
    [InlineData(new[] { 0.0, -10, 200 }, "firingAnglesDeg[1]")]
    [InlineData(new[] { 0.0, double.NaN, 200 }, "firingAnglesDeg[1]")]
    public void Firing_angles_that_cannot_be_are_refused(double[] angles, string field) =>
        Assert.Equal(field, Assert.Throws<BadInputException>(() => FiringOrder.Of([1, 2, 3], EngineCycle.FourStroke, angles)).Field);

    [Theory]
    [InlineData(double.NaN, 45, 50, 15, 15, "valveTiming.ivoBtdc")]
    [InlineData(15, 1e300, 50, 15, 15, "valveTiming.ivcAbdc")]
    [InlineData(15, 45, -200, 15, 15, "valveTiming.evoBbdc")]
    [InlineData(15, 45, 50, 15, -1, "rampGuardDeg")]
    [InlineData(15, 45, 50, 15, 181, "rampGuardDeg")]
    [InlineData(300, 300, 50, 15, 15, "valveTiming")]
    public void Timing_that_cannot_be_is_refused_by_name(double ivo, double ivc, double evo, double evc, double guard, string field)
    {
        var order = FiringOrder.Of([1, 2], EngineCycle.FourStroke);

        Assert.Equal(field, Assert.Throws<BadInputException>(() => TurningEngine.FourStroke(order, new ValveTiming(ivo, ivc, evo, evc), guard)).Field);
    }

    [Fact]
    public void A_two_strokes_injector_is_loaded_at_its_own_TDC_and_free_half_a_turn_on()
    {
        var engine = Engines.Uniflow(1, 2);

        Assert.Equal(-75, engine.Margin(Deg(0), new LashRef(1, LashKind.Injector)));
        Assert.Equal(105, engine.Margin(Deg(180), new LashRef(1, LashKind.Injector)));
        Assert.Equal(80, engine.Margin(Deg(0), new LashRef(1, LashKind.Exhaust)));
        Assert.Null(engine.RockingAt(Deg(0)));
    }

    [Fact]
    public void Per_cylinder_on_a_two_stroke_names_the_injectors_it_cannot_set()
    {
        var plan = Engines.Uniflow(1, 3, 2).Plan(TurningMethod.PerCylinder, null, [LashKind.Exhaust, LashKind.Injector]);

        Assert.Equal(3, plan.Stops.Sum(s => s.Set.Count));
        Assert.All(plan.CannotSet, p => Assert.Equal((LashKind.Injector, -75.0), (p.Point.Kind, p.MarginDeg)));
    }

    [Fact]
    public void A_book_list_may_not_name_a_point_twice_or_a_cylinder_the_engine_lacks()
    {
        var engine = Engines.FourStroke(1, 2);
        var point = new LashRef(1, LashKind.Intake);

        var twice = Assert.Throws<BadInputException>(() => TurningPlanner.Plan(engine, new TurningRequest(TurningMethod.Book, BookStops: [new(Deg(0), [point]), new(Deg(360), [point])])));
        var unknown = Assert.Throws<BadInputException>(() => TurningPlanner.Plan(engine, new TurningRequest(TurningMethod.Book, BookStops: [new(Deg(0), [new(5, LashKind.Intake)])])));

        Assert.Equal(("bookStops[1].set[0]", "bookStops[0].set[0].cylinder"), (twice.Field, unknown.Field));
    }
}
