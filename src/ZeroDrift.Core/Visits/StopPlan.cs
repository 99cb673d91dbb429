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
    /// <exception cref="BadInputException">A method the cycle does not allow, or a book without a list.</exception>
    public StopPlan(EngineType type, TurningMethod method)
    {
        Turning = type.Plan(method);
        var stops = new List<PlannedStop>();
        foreach (var stop in Turning.Stops)
        {
            var set = stop.Set.Select(p => p.Point).ToHashSet();
            stops.Add(new PlannedStop(stop.CrankDeg, stop, [.. type.Points.Where(p => set.Contains(p.Ref)).Select(p => p.Label)]));
        }
        foreach (var stop in stops)
            foreach (var label in stop.Points) stopOf[label] = stop.CrankDeg;
        var rest = type.Points.Where(p => !stopOf.ContainsKey(p.Label)).Select(p => p.Label).ToList();
        if (rest.Count > 0) stops.Add(new PlannedStop(null, null, rest));
        Stops = stops;
        cycle = type.Order.Cycle;
    }

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
