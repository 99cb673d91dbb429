using CsCheck;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Tests.Turning;

public class TurningPropertyTests
{
    private static readonly TurningMethod[] Computed = [TurningMethod.TwoStop, TurningMethod.PerCylinder, TurningMethod.Rocking, TurningMethod.ExhaustOpeningIntakeClosing, TurningMethod.FewestStops];

    private static readonly Gen<TurningEngine> AnyEngine =
        from count in Gen.Int[1, 20]
        from order in Gen.Shuffle(Enumerable.Range(1, count).ToArray())
        from uneven in Gen.Bool
        from gaps in Gen.Int[1, 40].Array[count]
        from timing in Gen.Select(Gen.Int[-20, 60], Gen.Int[10, 90], Gen.Int[20, 90], Gen.Int[-20, 60])
        from guard in Gen.Int[0, 35]
        select TurningEngine.FourStroke(
            FiringOrder.Of(order, EngineCycle.FourStroke, uneven ? Angles(gaps) : null),
            new ValveTiming(timing.Item1, timing.Item2, timing.Item3, timing.Item4), guard);

    [Fact]
    public void Every_plan_covers_every_point_exactly_once_or_names_it() => Gen.Select(AnyEngine, Gen.OneOfConst(Computed)).Sample((engine, method) =>
    {
        var plan = engine.Plan(method);
        var all = plan.Stops.SelectMany(s => s.Set).Select(p => p.Point).Concat(plan.CannotSet.Select(p => p.Point)).ToList();
        return all.Count == 2 * engine.Order.Count && all.Distinct().Count() == all.Count;
    });

    [Fact]
    public void No_point_is_set_where_it_is_open() => Gen.Select(AnyEngine, Gen.OneOfConst(Computed)).Sample((engine, method) =>
        engine.Plan(method).Stops.All(stop => stop.Set.All(p => engine.Margin(stop.CrankDeg, p.Point) > 0 && p.RoomBackDeg > 0 && p.RoomForwardDeg > 0)));

    [Fact]
    public void Renumbering_the_cylinders_changes_no_angle() => Gen.Select(AnyEngine, Gen.OneOfConst(Computed)).Sample((engine, method) =>
    {
        if (method == TurningMethod.ExhaustOpeningIntakeClosing) return true; // this school follows the numbers themselves
        var count = engine.Order.Count;
        var renumbered = FiringOrder.Of([.. engine.Order.Cylinders.Select(c => count + 1 - c)], EngineCycle.FourStroke, [.. engine.Order.Cylinders.Select(engine.Order.FiresAt)]);
        var exhaust = engine.Unguarded(LashKind.Exhaust)!.Arcs[0];
        var intake = engine.Unguarded(LashKind.Intake)!.Arcs[0];
        var guard = exhaust.From - engine.Guarded(LashKind.Exhaust)!.Arcs[0].From;
        var timing = new ValveTiming(360 - intake.From, intake.From + intake.Length - 540, 180 - exhaust.From, exhaust.From + exhaust.Length - 360);
        var other = TurningEngine.FourStroke(renumbered, timing, guard);
        return engine.Plan(method).Stops.Select(s => Math.Round(s.CrankDeg, 6)).SequenceEqual(other.Plan(method).Stops.Select(s => Math.Round(s.CrankDeg, 6)));
    });

    [Fact]
    public void The_true_position_always_agrees_with_what_is_seen_there() => Gen.Select(AnyEngine, Gen.Double[0, 719.99]).Sample((engine, theta) =>
    {
        var seen = (from c in engine.Order.Cylinders
                    from k in (LashKind[])[LashKind.Intake, LashKind.Exhaust]
                    let open = engine.Unguarded(k)!.Margin(engine.Local(Deg(theta), c)) < 0
                    select new ValveObservation(new LashRef(c, k), open ? ValveState.Open : ValveState.Loose)).ToList();
        var position = CrankPosition.From(engine, seen, false);
        return position.Candidates.Any(c => theta >= c.FromDeg - 1e-6 && theta <= c.ToDeg + 1e-6 || theta + 720 <= c.ToDeg + 1e-6 && theta + 720 >= c.FromDeg);
    });

    private static double[] Angles(int[] gaps)
    {
        var scale = 720.0 / gaps.Sum();
        var angles = new double[gaps.Length];
        for (var i = 1; i < gaps.Length; i++) angles[i] = angles[i - 1] + gaps[i - 1] * scale;
        return angles;
    }
}
