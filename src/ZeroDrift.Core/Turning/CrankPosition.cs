using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Turning;

/// <summary>What a mechanic sees of one valve.</summary>
public enum ValveState
{
    /// <summary>On the base circle: the rocker is loose.</summary>
    Loose,

    /// <summary>Held open or moving: the rocker is tight.</summary>
    Open,

    /// <summary>The same as <see cref="Open"/>, as it is said while barring.</summary>
    Moving,
}

/// <summary>One thing seen.</summary>
public readonly record struct ValveObservation(LashRef Point, ValveState State)
{
    internal string Said => $"{Point.Spoken} {(State == ValveState.Loose ? "loose" : "open")}";
}

/// <summary>A stretch of the cycle the crank may stand in, forwards from <paramref name="FromDeg"/> (0 to below the cycle) to <paramref name="ToDeg"/> (may pass the cycle). A point where both are equal.</summary>
public sealed record PositionCandidate(CrankAngle FromDeg, double ToDeg, int? CompressionCylinder, int? RockingCylinder);

/// <summary>Where the crank may stand, or why it can stand nowhere.</summary>
public sealed record CrankPosition(IReadOnlyList<PositionCandidate> Candidates, string? Contradiction)
{
    /// <summary>
    /// Every position that agrees with what is seen: loose means outside the lift, open means inside the lift with its guard
    /// (on the ramp both are believed). With a TDC mark up, the agreeing marks as points; otherwise ranges. If nothing agrees, the
    /// observation that contradicts the rest is named. Common practice.
    /// </summary>
    /// <exception cref="BadInputException">Over 200 observations, a cylinder the engine lacks, or a kind with no computed lift.</exception>
    public static CrankPosition From(TurningEngine engine, IReadOnlyList<ValveObservation> seen, bool onTdcMark)
    {
        if (seen.Count > 200) throw new BadInputException("observations", "At most 200 observations are taken.");
        for (var i = 0; i < seen.Count; i++)
        {
            if (!engine.Order.Has(seen[i].Point.Cylinder))
                throw new BadInputException($"observations[{i}].cylinder", $"Cylinder {seen[i].Point.Cylinder} is not on this engine of {engine.Order.Count}.");
            if (!engine.Places(seen[i].Point.Kind))
                throw new BadInputException($"observations[{i}].kind", $"The lift of {seen[i].Point.Kind.Word()} points is known only to the book; observe intake or exhaust valves.");
        }
        var candidates = Agreeing(engine, seen, onTdcMark);
        return new CrankPosition(candidates, candidates.Count == 0 ? Explain(engine, seen, onTdcMark) : null);
    }

    private static List<PositionCandidate> Agreeing(TurningEngine engine, IReadOnlyList<ValveObservation> seen, bool onTdcMark)
    {
        if (onTdcMark)
            return [.. engine.TdcMarks.Where(mark => seen.All(o => Agrees(engine, o, mark)))
                .Select(mark => new PositionCandidate(mark, mark, engine.CompressionAt(mark), engine.RockingAt(mark)))];
        if (seen.Count == 0) return [new PositionCandidate(engine.At(0), engine.Cycle, null, null)];
        return Ranges(engine, seen);
    }

    private static List<PositionCandidate> Ranges(TurningEngine engine, IReadOnlyList<ValveObservation> seen)
    {
        // Agreement can change only at an edge of an observed point's lift, so one look between neighbouring edges is enough.
        var edges = new SortedSet<double>();
        foreach (var o in seen)
        {
            foreach (var (from, length) in Lift(engine, o).Arcs)
            {
                var fires = engine.Order.FiresAt(o.Point.Cylinder);
                edges.Add(fires.After(from));
                edges.Add(fires.After(from + length));
            }
        }
        var sorted = edges.ToList();
        var ranges = new List<(double From, double To)>();
        for (var i = 0; i < sorted.Count; i++)
        {
            var to = i + 1 < sorted.Count ? sorted[i + 1] : sorted[0] + engine.Cycle;
            if (to - sorted[i] < Circle.SamePlaceDeg) continue;
            var middle = engine.At((sorted[i] + to) / 2);
            if (!seen.All(o => Agrees(engine, o, middle))) continue;
            if (ranges.Count > 0 && sorted[i] - ranges[^1].To < Circle.SamePlaceDeg) ranges[^1] = (ranges[^1].From, to);
            else ranges.Add((sorted[i], to));
        }
        if (ranges.Count > 1 && Math.Abs(ranges[^1].To - engine.Cycle - ranges[0].From) < Circle.SamePlaceDeg)
        {
            ranges[^1] = (ranges[^1].From, ranges[0].To + engine.Cycle);
            ranges.RemoveAt(0);
        }
        return [.. ranges.Select(range => new PositionCandidate(engine.At(range.From), range.To, null, null))];
    }

    private static OpenArcs Lift(TurningEngine engine, ValveObservation o) =>
        (o.State == ValveState.Loose ? engine.Unguarded(o.Point.Kind) : engine.Guarded(o.Point.Kind))!;

    private static bool Agrees(TurningEngine engine, ValveObservation o, CrankAngle crank)
    {
        var margin = Lift(engine, o).Margin(engine.Local(crank, o.Point.Cylinder));
        return o.State == ValveState.Loose ? margin >= -Circle.SamePlaceDeg : margin <= Circle.SamePlaceDeg;
    }

    private static string Explain(TurningEngine engine, IReadOnlyList<ValveObservation> seen, bool onTdcMark)
    {
        const string ask = "Look again; if it stands, the firing order or the cylinder numbering may be wrong.";
        var odd = seen.Where((_, i) => Agreeing(engine, [.. seen.Where((_, k) => k != i)], onTdcMark).Count > 0).Distinct().ToList();
        if (onTdcMark && Agreeing(engine, seen, false).Count > 0)
            return $"What is seen fits a crank that stands between the TDC marks: is the mark up one for TDC? {ask}";
        return odd.Count switch
        {
            0 => $"No position fits, whichever single observation is left out. {ask}",
            1 => $"{odd[0].Said} contradicts the rest. {ask}",
            _ => $"{string.Join(" and ", odd.Select(o => o.Said))} cannot all be true at once; without one of them the rest agree. {ask}",
        };
    }
}
