using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Turning;

/// <summary>Says in one sentence how a mechanic knows that the crank stands at a stop.</summary>
internal static class StopSign
{
    public static string Describe(TurningEngine engine, CrankAngle angle, TurningMethod? method)
    {
        var compression = engine.CompressionAt(angle);
        var rocking = engine.RockingAt(angle);
        if (method == TurningMethod.Rocking && rocking is not null)
            return compression is null ? $"{rocking} rocks." : $"{rocking} rocks: set {compression}.";
        if (compression is not null && rocking is not null) return $"{compression} on compression, {rocking} rocks.";
        if (compression is not null) return $"{compression} at TDC on compression{Seen(engine, angle)}.";
        if (rocking is not null) return $"{rocking} rocks, on overlap{Seen(engine, angle)}.";
        if (engine.PastTdcDeg > 0 && engine.StopOf(angle) is { } past) return $"{past} is {engine.PastTdcDeg:0}° past its TDC on compression, its release off.";
        return Turning(engine, angle);
    }

    /// <summary>With nobody exactly on overlap, the valves that are held open at this angle are the proof.</summary>
    private static string Seen(TurningEngine engine, CrankAngle angle)
    {
        if (engine.Order.Count == 1) return engine.Order.Cycle == EngineCycle.FourStroke ? "; " + engine.Gear.FreeHere() : "";
        var open = OpenHere(engine, angle).Take(3).ToList();
        return open.Count == 0 ? "; no other valve is open" : "; " + string.Join(", ", open.Select(p => p.Spoken)) + (open.Count == 1 ? " is" : " are") + " held open";
    }

    private static string Turning(TurningEngine engine, CrankAngle angle)
    {
        foreach (var cylinder in engine.Order.Cylinders)
        {
            var local = engine.Local(angle, cylinder);
            if (engine.Unguarded(LashKind.Exhaust)!.Arcs.Any(arc => Circle.Same(local, arc.From, engine.Cycle)))
                return $"{cylinder} exhaust just begins to move.";
            if (engine.Unguarded(LashKind.Intake) is { } intake && intake.Arcs.Any(arc => Circle.Same(local, arc.From + arc.Length - 10, engine.Cycle)))
                return $"{cylinder} intake is almost closed.";
        }
        var open = OpenHere(engine, angle).Take(3).Select(p => p.Spoken).ToList();
        return open.Count == 0
            ? $"{angle} past TDC compression of {engine.Order.Cylinders[0]}."
            : $"{angle} past TDC compression of {engine.Order.Cylinders[0]}; {string.Join(", ", open)} held open.";
    }

    private static IEnumerable<LashRef> OpenHere(TurningEngine engine, CrankAngle angle) =>
        from cylinder in Enumerable.Range(1, engine.Order.Count)
        from kind in (LashKind[])[LashKind.Exhaust, LashKind.Intake]
        let arcs = engine.Unguarded(kind)
        where arcs is not null && arcs.Margin(engine.Local(angle, cylinder)) < -5
        select new LashRef(cylinder, kind);
}
