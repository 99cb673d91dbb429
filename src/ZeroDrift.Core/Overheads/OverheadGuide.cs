using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Overheads;

/// <summary>The stations of a guided overhead, in order.</summary>
public enum OverheadStep
{
    /// <summary>Isolate starting, chock, clear hands.</summary>
    MakeSafe,

    /// <summary>Reach the condition of the spec.</summary>
    Condition,

    /// <summary>At a stop: find the position, measure as found, set.</summary>
    Stop,

    /// <summary>Covers back, every tool accounted for.</summary>
    CloseUp,

    /// <summary>Sign the record.</summary>
    Sign,
}

/// <summary>What is asked of the mechanic at a point.</summary>
public enum PointTask
{
    /// <summary>Measure before anything is touched.</summary>
    MeasureFound,

    /// <summary>Set, lock, measure again.</summary>
    SetAndMeasure,
}

/// <summary>The next thing to do.</summary>
/// <param name="Step">Where in the overhead.</param>
/// <param name="StopIndex">Which stop, counting from 0; null outside the stops.</param>
/// <param name="Point">Label of the point; null where the step has none, or the stop's position must be proved first.</param>
/// <param name="Task">What to do there.</param>
public sealed record NextTask(OverheadStep Step, int? StopIndex, string? Point, PointTask? Task);

/// <summary>
/// Leads through an overhead: all points of a stop are measured as found before the first is set, then the next stop. Points that no stop
/// reaches come last, at a stop of their own found by eye. Skipping around is allowed: the guide always returns to the first thing left.
/// </summary>
public static class OverheadGuide
{
    /// <summary>What to do next.</summary>
    /// <param name="plan">The turning plan.</param>
    /// <param name="points">Progress of every point.</param>
    /// <param name="isSafe">All safety points are ticked.</param>
    /// <param name="conditionKnown">Cold (or hot) is confirmed.</param>
    /// <param name="stopsProved">Indexes of stops whose position was confirmed.</param>
    /// <param name="isClosedUp">The close-up list is ticked.</param>
    public static NextTask Next(TurningPlan plan, IReadOnlyList<PointProgress> points, bool isSafe, bool conditionKnown, IReadOnlySet<int> stopsProved, bool isClosedUp)
    {
        if (!isSafe) return new NextTask(OverheadStep.MakeSafe, null, null, null);
        if (!conditionKnown) return new NextTask(OverheadStep.Condition, null, null, null);
        var stops = PointsByStop(plan, points);
        for (var i = 0; i < stops.Count; i++)
        {
            var open = stops[i].Where(p => !p.IsDone).ToList();
            if (open.Count == 0) continue;
            if (!stopsProved.Contains(i)) return new NextTask(OverheadStep.Stop, i, null, null);
            var unmeasured = open.FirstOrDefault(p => p.NeedsFound);
            return unmeasured is not null
                ? new NextTask(OverheadStep.Stop, i, unmeasured.Point.Label, PointTask.MeasureFound)
                : new NextTask(OverheadStep.Stop, i, open[0].Point.Label, PointTask.SetAndMeasure);
        }
        return new NextTask(isClosedUp ? OverheadStep.Sign : OverheadStep.CloseUp, null, null, null);
    }

    /// <summary>The points of each stop in their order along the head; where the plan cannot place some, one more stop holds them.</summary>
    public static IReadOnlyList<IReadOnlyList<PointProgress>> PointsByStop(TurningPlan plan, IReadOnlyList<PointProgress> points)
    {
        var stops = new List<IReadOnlyList<PointProgress>>();
        foreach (var stop in plan.Stops)
        {
            var set = stop.Set.Select(p => p.Point).ToHashSet();
            stops.Add([.. points.Where(p => set.Contains(p.Point.Ref))]);
        }
        var placed = plan.Stops.SelectMany(stop => stop.Set).Select(p => p.Point).ToHashSet();
        var rest = points.Where(p => !placed.Contains(p.Point.Ref)).ToList();
        if (rest.Count > 0) stops.Add(rest);
        return stops;
    }

    /// <summary>Why the record cannot be signed yet, in sentences; empty where it can. A spot check or a receiving check needs only the points it touched.</summary>
    public static IReadOnlyList<string> SigningRefusals(IReadOnlyList<PointProgress> points, bool everyPoint, bool isSafe, bool conditionKnown, bool isClosedUp)
    {
        var refusals = new List<string>();
        if (!isSafe) refusals.Add("The make-safe list is not ticked off.");
        if (!conditionKnown) refusals.Add("Nobody has said whether the engine was cold.");
        var unmeasured = points.Where(p => p.NeedsFound).Select(p => p.Point.Label).ToList();
        if (everyPoint && unmeasured.Count > 0) refusals.Add($"Not measured: {string.Join(", ", unmeasured)}.");
        if (!everyPoint && unmeasured.Count == points.Count) refusals.Add("Nothing has been measured yet.");
        var unset = points.Where(p => p.NeedsLeft).Select(p => p.Point.Label).ToList();
        if (unset.Count > 0) refusals.Add($"Out of the window or undecided, and not set or explained: {string.Join(", ", unset)}.");
        if (!isClosedUp) refusals.Add("The close-up list is not ticked off.");
        return refusals;
    }
}
