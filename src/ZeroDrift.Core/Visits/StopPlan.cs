using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Visits;

/// <summary>One stop with its points in the order of the head.</summary>
/// <param name="CrankDeg">Where; null for the points that no stop reaches, each found by eye.</param>
/// <param name="Turning">The planner's stop; null with the angle.</param>
/// <param name="Points">Labels.</param>
public sealed record PlannedStop(CrankAngle? CrankDeg, TurningStop? Turning, IReadOnlyList<string> Points);

/// <summary>The stops of a visit by its school of positions.</summary>
public sealed class StopPlan
{
    private readonly EngineCycle cycle;
    private readonly Dictionary<string, CrankAngle?> stopOf = [];

    /// <summary>The plan of a type by a method.</summary>
    /// <param name="type">The type.</param>
    /// <param name="method">The school.</param>
    /// <param name="begin">Where the crank stood when it was begun: the plan turns round to it, every point keeps its stop.</param>
    /// <param name="order">Order of the points at a stop.</param>
    /// <exception cref="BadInputException">A method the cycle does not allow, or a book without a list.</exception>
    public StopPlan(EngineType type, TurningMethod method, CrankAngle? begin = null, PointOrder order = PointOrder.DownTheHead)
    {
        Engine = type.Turning();
        Turning = type.Plan(method, begin);
        IReadOnlyList<LashPoint> points = [.. Sorted(type.Points, order)];
        var stops = new List<PlannedStop>();
        foreach (var stop in FromWhereItIs(Turning.Stops, method, begin))
        {
            var set = stop.Set.Select(p => p.Point).ToList();
            // A stop at which nothing can be set is nothing to bar to. A book's list is followed to the letter, its order too.
            var here = points.Where(p => set.Contains(p.Ref));
            here = method == TurningMethod.Book ? here.OrderBy(p => set.IndexOf(p.Ref)) : AmountsFirst([.. here]);
            if (set.Count > 0) stops.Add(new PlannedStop(stop.CrankDeg, stop, [.. here.Select(p => p.Label)]));
        }
        foreach (var stop in stops)
            foreach (var label in stop.Points) stopOf[label] = stop.CrankDeg;
        var rest = AmountsFirst(points).Where(p => !stopOf.ContainsKey(p.Label)).Select(p => p.Label).ToList();
        if (rest.Count > 0) stops.Add(new PlannedStop(null, null, rest));
        Stops = stops;
        cycle = type.Order.Cycle;
    }

    /// <summary>A book's list keeps its order, but may be begun at any of its stops: it turns round to the one the crank stands at.</summary>
    private static IEnumerable<TurningStop> FromWhereItIs(IReadOnlyList<TurningStop> stops, TurningMethod method, CrankAngle? begin)
    {
        var first = method == TurningMethod.Book && begin is { } here ? Enumerable.Range(0, stops.Count).FirstOrDefault(i => Same(stops[i].CrankDeg, here), 0) : 0;
        for (var i = 0; i < stops.Count; i++)
        {
            var stop = stops[(first + i) % stops.Count];
            yield return first == 0 ? stop : stop with { TurnFromPreviousDeg = i == 0 ? 0 : stops[(first + i - 1) % stops.Count].CrankDeg.ForwardTo(stop.CrankDeg) };
        }
    }

    private static IEnumerable<LashPoint> Sorted(IReadOnlyList<LashPoint> points, PointOrder order) => order switch
    {
        PointOrder.ByCylinder => points.OrderBy(p => p.Cylinder),
        PointOrder.OneBlade or PointOrder.IntakesFirst => points.OrderBy(p => p.Kind),
        PointOrder.ExhaustsFirst => points.OrderBy(p => p.Kind switch { LashKind.Exhaust => 0, LashKind.Intake => 1, _ => 2 }),
        _ => points,
    };

    /// <summary>An injector or an engine brake comes before the valves of its cylinder at the same stop, where its first valve would stand.</summary>
    private static IEnumerable<LashPoint> AmountsFirst(IReadOnlyList<LashPoint> points)
    {
        var given = new HashSet<string>();
        foreach (var point in points)
        {
            if (point.Kind is LashKind.Intake or LashKind.Exhaust)
                foreach (var before in points.Where(p => p.Cylinder == point.Cylinder && p.Kind is LashKind.Injector or LashKind.EngineBrake).OrderBy(p => p.Kind))
                    if (given.Add(before.Label)) yield return before;
            if (given.Add(point.Label)) yield return point;
        }
    }

    /// <summary>The engine as the turning planner sees it.</summary>
    public TurningEngine Engine { get; }

    /// <summary>What the planner said.</summary>
    public TurningPlan Turning { get; }

    /// <summary>The stops in order; the points no stop reaches come last.</summary>
    public IReadOnlyList<PlannedStop> Stops { get; }

    /// <summary>A position of this engine's crank, from degrees of any size.</summary>
    public CrankAngle At(double degrees) => CrankAngle.At(degrees, cycle);

    /// <summary>The stop of a point; null where only eye or book places it.</summary>
    public CrankAngle? StopOf(string label) => stopOf.GetValueOrDefault(label);

    /// <summary>Whether two angles are one stop, within a thousandth of a degree.</summary>
    public static bool Same(CrankAngle a, CrankAngle b)
    {
        var cycle = a.Cycle.Degrees();
        var apart = Circle.Normalise(a.Degrees - b.Degrees, cycle);
        return apart <= 1e-3 || cycle - apart <= 1e-3;
    }
}
