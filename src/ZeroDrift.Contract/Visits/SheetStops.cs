using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Contract.Visits;

/// <summary>The positions of a work sheet: stops with the proofs that fit, or what the lobes allow.</summary>
internal sealed class SheetStops(Visit visit, ContextRecord context)
{
    private readonly IReadOnlyList<EngineMark> marks = visit.KnownMarks;
    private readonly ProofCase proofs = Case(visit);
    private readonly NextTask? next = visit.Next;

    public SheetStopRecord Of(PlannedStop stop, int index, List<SheetPointRecord> points)
    {
        var own = points.Where(p => stop.Points.Contains(p.Label)).ToList();
        var proved = visit.Work.Where(p => stop.Points.Contains(p.Point.Label)).All(visit.IsProved);
        var done = own.TrueForAll(p => p.Done);
        if (stop.Turning is not { } turning)
        {
            var sign = visit.Opened!.Bench ? "On the bench: turn the camshaft until the lobe points away from its valve." : visit.Method == TurningMethod.LobeAway ? "Turn until a lobe points away from its valve: that one is free." : "No stop of the plan reaches these: bar until each one's lobe points away from its valve, then measure.";
            return new SheetStopRecord(index, null, 0, 0, null, null, sign, null, null, proved, done, stop.Points) { Proofs = [], Marks = [], At = At(stop, own) };
        }
        var turn = visit.StandsAbout?.ForwardTo(turning.CrankDeg);
        return new SheetStopRecord(index, turning.CrankDeg, turning.TurnFromPreviousDeg, Tool(turning.TurnFromPreviousDeg), turning.CompressionCylinder ?? visit.Plan.Engine.StopOf(turning.CrankDeg), turning.RockingCylinder, turning.Sign,
            turning.Set.Min(p => p.RoomBackDeg), turning.Set.Min(p => p.RoomForwardDeg), proved, done, stop.Points)
        {
            At = At(stop, own),
            NoMark = WithoutMark.Of(visit.Plan.Engine, turning) is { } without ? new NoMarkRecord(without.PastTdcDeg, without.MarginDeg, without.Sentence) : null,
            TurnDeg = turn,
            ToolTurns = turn is { } deg ? Tool(deg) : null,
            Marks = [.. from mark in marks
                        let ahead = mark.After(turning.CrankDeg)
                        where Math.Abs(ahead) <= EngineMark.NearDeg
                        orderby Math.Abs(ahead)
                        select new StopMarkRecord(mark.Name, mark.Trap, ahead)],
            Proofs = [.. CompressionProof.For(visit.Plan.Engine, turning.CrankDeg, proofs).Select(p => new ProofRecord(p.Kind, p.Sentence))],
        };

        double Tool(double degrees) => BarringTool.For(degrees, context.Type.ToolTurnsPerCrankTurn);
    }

    private string? At(PlannedStop stop, List<SheetPointRecord> own) => next?.Point is { } label && stop.Points.Contains(label) ? label : (own.Find(p => p.OwesFound) ?? own.Find(p => !p.Done) ?? own.FirstOrDefault())?.Label;

    private static ProofCase Case(Visit visit) => new(
        visit.Opened!.Job == JobKind.Build,
        visit.Work.Where(p => MayBeClosedUp(visit, p)).Select(p => p.Point.Cylinder).ToHashSet(),
        CylinderGear.LobesInSight(visit.Context.Type.Points),
        visit.TickOf(DefaultSteps.PlugsOut) is { NotHere: false },
        visit.IsByStarter,
        visit.Context.Facts.Rotor,
        visit.Context.Facts.CamMark,
        visit.Context.Facts.Pins);

    /// <summary>No gap may be left: found so, or the record's expectation reaches down to nothing.</summary>
    private static bool MayBeClosedUp(Visit visit, PointWork point) => point.Left is null && (point.Found?.ValueOrNothing() is { LowerMm: null, EstimateMm: null, UpperMm: not null }
        || (point.Found is null && visit.Context.Expected.TryGetValue(point.Point.Label, out var expected) && expected.ClearanceMm - 2 * expected.StandardUncertaintyMm <= 0.05));

    /// <summary>What is left, as the lobes allow it from where the crank stands.</summary>
    public LobeAwayRecord? LobesAway()
    {
        if (visit is not { Method: TurningMethod.LobeAway, State: VisitState.Open, StandsAbout: { } crank }) return null;
        var left = visit.Work.Where(visit.HasWorkAt).Select(p => p.Point).ToList();
        var away = LobeAway.From(visit.Plan.Engine, crank, [.. left.Select(p => p.Ref)]);
        // Seen is what somebody proved by name; the rest follows from the timing and is only computed.
        var seen = left.Where(p => visit.ProvedPoints.Contains(p.Label)).Select(p => p.Label).ToList();
        return new LobeAwayRecord(seen, [.. from p in left let clear = away.Here.FirstOrDefault(h => h.Point == p.Ref) where clear is not null && !seen.Contains(p.Label) select new ClearHereRecord(p.Label, clear.MarginDeg)], away.Next?.TurnDeg, away.Next?.CrankDeg, Labels(away.Next?.Points ?? []));

        IReadOnlyList<string> Labels(IReadOnlyList<ClearPoint> clear) => [.. left.Where(p => clear.Any(c => c.Point == p.Ref)).Select(p => p.Label)];
    }
}
