using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Tests.Turning;

public class OtherMethodTests
{
    [Fact]
    public void Per_cylinder_goes_through_the_firing_order_from_the_chosen_start()
    {
        var plan = Engines.FourStroke(1, 5, 3, 6, 2, 4).Plan(TurningMethod.PerCylinder, 3);

        Assert.Equal([3, 6, 2, 4, 1, 5], plan.Stops.Select(s => s.CompressionCylinder!.Value));
        Assert.Equal([0, 120, 120, 120, 120, 120], plan.Stops.Select(s => (int)Math.Round(s.TurnFromPreviousDeg)));
        Assert.Equal("3I 3E", Engines.Said(plan.Stops[0]));
    }

    [Fact]
    public void Rocking_names_the_cylinder_that_rocks()
    {
        var plan = Engines.FourStroke(1, 3, 4, 2).Plan(TurningMethod.Rocking);

        Assert.Equal(["4 rocks: set 1.", "2 rocks: set 3.", "1 rocks: set 4.", "3 rocks: set 2."], plan.Stops.Select(s => s.Sign));
    }

    [Theory]
    [InlineData(new[] { 1, 2, 3 }, null)]
    [InlineData(new[] { 1, 2 }, new[] { 0.0, 180 })]
    public void Where_nobody_rocks_exactly_the_stop_says_what_is_seen_instead(int[] order, double[]? angles)
    {
        var engine = TurningEngine.FourStroke(FiringOrder.Of(order, EngineCycle.FourStroke, angles), ValveTiming.Unknown);

        var stop = engine.Plan(TurningMethod.Rocking).Stops[0];

        Assert.Null(stop.RockingCylinder);
        Assert.Contains("held open", stop.Sign, StringComparison.Ordinal);
    }

    [Fact]
    public void Exhaust_opening_sets_the_intake_and_intake_closing_the_exhaust_in_plain_order()
    {
        var plan = Engines.FourStroke(1, 3, 4, 2).Plan(TurningMethod.ExhaustOpeningIntakeClosing);

        Assert.Equal(["1I", "1E", "2I", "2E", "3I", "3E", "4I", "4E"], plan.Stops.Select(Engines.Said));
        Assert.Equal([130.0, 575.0], plan.Stops.Take(2).Select(s => s.CrankDeg.Degrees));
        Assert.Equal("1 exhaust just begins to move.", plan.Stops[0].Sign);
        Assert.Equal("1 intake is almost closed.", plan.Stops[1].Sign);
        Assert.Equal(200, plan.Stops[0].Set[0].MarginDeg);
        Assert.Equal(185, plan.Stops[1].Set[0].MarginDeg);
    }

    [Fact]
    public void A_book_list_is_followed_to_the_letter_and_its_mistake_named_first()
    {
        // Valves E I I E E I I E numbered 1-8 from the front, starting with 4 on compression: 8+6, 4+7, 1+3, 5+2, half a turn apart.
        // common practice, no source; the valve layout is inferred
        var engine = Engines.FourStroke(1, 3, 4, 2);
        BookStop[] list =
        [
            new(Deg(360), [new(4, LashKind.Exhaust), new(3, LashKind.Intake)]),
            new(Deg(540), [new(2, LashKind.Exhaust), new(4, LashKind.Intake)]),
            new(Deg(720), [new(1, LashKind.Exhaust), new(2, LashKind.Intake)]),
            new(Deg(180), [new(3, LashKind.Exhaust), new(1, LashKind.Intake)]),
        ];

        var plan = TurningPlanner.Plan(engine, new TurningRequest(TurningMethod.Book, BookStops: list));

        Assert.Empty(plan.CannotSet);
        Assert.Equal([360.0, 540, 0, 180], plan.Stops.Select(s => s.CrankDeg.Degrees));

        var wrong = TurningPlanner.Plan(engine, new TurningRequest(TurningMethod.Book, BookStops: [new(Deg(0), [new(4, LashKind.Intake), new(1, LashKind.Exhaust)])]));
        Assert.Equal(new LashRef(4, LashKind.Intake), wrong.CannotSet[0].Point);
        Assert.Contains("firing order", wrong.CannotSet[0].Reason, StringComparison.Ordinal);
        Assert.Equal(7, wrong.CannotSet.Count);
        Assert.Equal("1E", Engines.Said(Assert.Single(wrong.Stops)));
    }

    [Fact]
    public void A_book_may_place_injectors_whose_lobes_nobody_computes()
    {
        var plan = TurningPlanner.Plan(Engines.FourStroke(1, 3, 4, 2), new TurningRequest(TurningMethod.Book, [LashKind.Injector],
            BookStops: [new(Deg(0), [new(3, LashKind.Injector)]), new(Deg(180), [new(4, LashKind.Injector)])]));

        Assert.Null(plan.Stops[0].Set[0].MarginDeg);
        Assert.Equal([new LashRef(1, LashKind.Injector), new LashRef(2, LashKind.Injector)], plan.CannotSet.Select(p => p.Point));
    }

    [Fact]
    public void A_uniflow_two_stroke_sets_exhausts_at_their_own_tdc_and_refuses_what_needs_overlap()
    {
        var engine = Engines.Uniflow(1, 3, 2);

        var plan = engine.Plan(TurningMethod.PerCylinder);

        Assert.Equal(["1E", "3E", "2E"], plan.Stops.Select(Engines.Said));
        Assert.All(plan.Stops, stop => Assert.Null(stop.RockingCylinder));
        Assert.Equal("method", Assert.Throws<BadInputException>(() => engine.Plan(TurningMethod.TwoStop)).Field);
        Assert.Equal("kinds", Assert.Throws<BadInputException>(() => engine.Plan(TurningMethod.PerCylinder, null, [LashKind.Intake])).Field);
    }

    [Fact]
    public void Lobe_away_gives_each_point_its_arc_and_says_what_the_present_arc_allows()
    {
        var engine = Engines.FourStroke(1, 3, 4, 2);

        var arcs = MeasuringArc.For(engine, [LashKind.Intake, LashKind.Exhaust], Deg(0));

        Assert.Equal(8, arcs.Count);
        var intake = arcs.Single(a => a.Point == new LashRef(1, LashKind.Intake));
        Assert.Equal((Deg(600), 1050), (intake.FromDeg, intake.ToDeg));
        Assert.True(intake.MarginDeg > 0);
    }

    [Fact]
    public void A_compression_release_lobe_keeps_its_exhaust_valve_out_of_the_plan_there()
    {
        var order = FiringOrder.Of([1], EngineCycle.FourStroke);
        var plain = TurningEngine.FourStroke(order, ValveTiming.Unknown);
        var release = TurningEngine.FourStroke(order, ValveTiming.Unknown, furtherLifts: [(LashKind.Exhaust, 690, 730)]);

        Assert.Single(plain.Plan(TurningMethod.PerCylinder).Stops[0].Set, p => p.Point.Kind == LashKind.Exhaust);
        Assert.Equal(LashKind.Exhaust, Assert.Single(release.Plan(TurningMethod.PerCylinder).CannotSet).Point.Kind);
        // Past the release it is clear again: common practice, no source.
        Assert.True(release.Margin(Deg(60), new LashRef(1, LashKind.Exhaust)) > 0);
    }
}
