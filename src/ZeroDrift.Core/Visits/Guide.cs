using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Visits;

/// <summary>
/// Leads through a visit: make safe, condition, covers, preliminaries, then stop by stop, then closing up. Skipping around is allowed; the guide returns to the first thing left, but stays
/// at a point that somebody chose until it is done. Whether a whole stop is measured before the first point is set, or each point finished before the next, is the visit's own choice.
/// </summary>
internal static class Guide
{
    public static NextTask Next(Visit visit)
    {
        if (Unticked(visit, StepList.MakeSafe) is { } safe) return new NextTask(NextDo.Step, Step: safe.Key);
        if (visit.Condition is null) return new NextTask(NextDo.Condition);
        if (Unticked(visit, StepList.Covers) is { } cover) return new NextTask(NextDo.Step, Step: cover.Key);
        if (Unticked(visit, StepList.Stop) is { } first) return new NextTask(NextDo.Step, CrankDeg: first.CrankDeg, Step: first.Key);
        if (visit.ChosenPoint is { } chosen) return AtPoint(visit, visit.Plan.Stops.First(s => s.Points.Contains(chosen.Point.Label)), chosen);
        // Where a shim is dear to change, the whole engine is measured before the first comes out.
        if (visit.Setting == SettingOrder.StopFirst && visit.Work.Any(p => p.Point.Adjuster is Adjuster.Shim))
            foreach (var stop in visit.Plan.Stops)
                if (AtStop(visit, stop, visit.OwesFound) is { } unmeasured) return unmeasured;
        foreach (var stop in visit.Plan.Stops)
            if (AtStop(visit, stop, visit.HasWorkAt) is { } task) return task;
        return (Unticked(visit, StepList.BeforeCloseUp) ?? Unticked(visit, StepList.CloseUp)) is { } last
            ? new NextTask(NextDo.Step, Step: last.Key)
            : new NextTask(NextDo.Sign);
    }

    private static VisitStep? Unticked(Visit visit, StepList list) => visit.Context.Steps.FirstOrDefault(s => s.List == list && visit.Asks(s) && !visit.IsTicked(s.Key));

    private static NextTask? AtStop(Visit visit, PlannedStop stop, Func<PointWork, bool> hasWork)
    {
        var open = Ordered(visit, stop).Where(hasWork).ToList();
        if (open.Count == 0) return null;
        var unmeasured = open.Find(visit.OwesFound);
        return AtPoint(visit, stop, visit.Setting == SettingOrder.StopFirst ? unmeasured ?? open[0] : open[0]);
    }

    private static NextTask AtPoint(Visit visit, PlannedStop stop, PointWork point)
    {
        // What was done can be looked at wherever the crank stands.
        var looks = !visit.OwesFound(point) && !visit.OwesLeft(point) && !visit.WantsSetting(point);
        if (!looks && !visit.Opened!.Bench && !visit.IsProved(point) && stop.CrankDeg is { } angle)
            return new NextTask(visit.CrankDeg is { } here && StopPlan.Same(here, angle) ? NextDo.Prove : NextDo.Bar, point.Point.Label, angle);
        // With the lobes in sight the valve itself is seen to be free, and that proves it.
        if (!looks && visit.Method == TurningMethod.LobeAway && !visit.Opened!.Bench && !visit.IsByAmount(point) && !visit.IsProved(point)) return new NextTask(NextDo.Prove, point.Point.Label);
        // A step at a point comes before its as-left: what is done first before it is set, a look at what was fitted after the fitting.
        if (visit.StepAt(point) is { } own) return new NextTask(NextDo.Step, point.Point.Label, stop.CrankDeg, own.Key);
        var task = visit.OwesFound(point) ? NextDo.Measure
            : point.Said?.Outcome is PointOutcome.Set or PointOutcome.ShimFitted || point.IsTurned || point.Growing(ReadingStage.AsLeft) is not null ? NextDo.MeasureAgain
            : NextDo.Set;
        return new NextTask(task, point.Point.Label, stop.CrankDeg);
    }

    /// <summary>In the order of the stop; with the lobes in sight the points that are clear now first, then those of the least further turn.</summary>
    private static IEnumerable<PointWork> Ordered(Visit visit, PlannedStop stop)
    {
        var work = visit.Work.ToDictionary(p => p.Point.Label);
        var here = stop.Points.Select(label => work[label]);
        if (visit.Method != TurningMethod.LobeAway || visit.StandsAbout is not { } crank) return here;
        return here.OrderBy(p => Turn(p.Point.Ref));

        double Turn(LashRef point) => LobeAway.From(visit.Plan.Engine, crank, [point]) is var away && away.Here.Count > 0 ? 0 : away.Next?.TurnDeg ?? double.MaxValue;
    }
}
