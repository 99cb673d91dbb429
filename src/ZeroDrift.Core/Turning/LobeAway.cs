using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Turning;

/// <summary>A point that can be measured now.</summary>
public sealed record ClearPoint(LashRef Point, double MarginDeg);

/// <summary>The next turn of the crank that brings another point clear.</summary>
/// <param name="CrankDeg">Where it leads.</param>
/// <param name="TurnDeg">Forwards from here.</param>
/// <param name="Points">All of those left that can be measured there.</param>
public sealed record NextClear(CrankAngle CrankDeg, double TurnDeg, IReadOnlyList<ClearPoint> Points);

/// <summary>
/// The lobe-away school, cams in sight: no stops. What is left is measured in any order, each point where its lobe points away from its valve;
/// the next is the one that needs the least further turn. Common practice.
/// </summary>
public sealed record LobeAway(IReadOnlyList<ClearPoint> Here, NextClear? Next)
{
    /// <summary>Degrees a point must be clear unless said otherwise.</summary>
    public const double DefaultLeastMarginDeg = 10;

    /// <summary>
    /// Where the crank stands when a point's lobe is seen to point away: where it was thought to be if the point is clear there, else the least turn
    /// on from there, and with nothing known the middle of the point's clear room. Null for a point that only the book places.
    /// </summary>
    public static CrankAngle? StandsAbout(TurningEngine engine, CrankAngle? before, LashRef seen)
    {
        if (engine.Guarded(seen.Kind) is not { } arcs) return before;
        var (from, length) = arcs.LongestClear();
        if (before is not { } crank) return engine.Order.FiresAt(seen.Cylinder).After(from + length / 2);
        if (engine.Margin(crank, seen) >= DefaultLeastMarginDeg) return crank;
        return From(engine, crank, [seen]).Next?.CrankDeg ?? engine.Order.FiresAt(seen.Cylinder).After(from + length / 2);
    }

    /// <summary>What can be measured here, and the smallest forward turn at which some other point left can be.</summary>
    /// <param name="engine">The engine.</param>
    /// <param name="crank">Where the crank stands.</param>
    /// <param name="left">The points still to be measured; those only the book places are passed over.</param>
    /// <param name="leastMarginDeg">0 to 180°.</param>
    /// <exception cref="BadInputException">A margin out of range, or a cylinder the engine lacks.</exception>
    public static LobeAway From(TurningEngine engine, CrankAngle crank, IReadOnlyList<LashRef> left, double leastMarginDeg = DefaultLeastMarginDeg)
    {
        Require.InRange(leastMarginDeg, 0, 180, "leastMarginDeg", "The least margin", "degrees");
        for (var i = 0; i < left.Count; i++)
            if (!engine.Order.Has(left[i].Cylinder)) throw new BadInputException($"left[{i}].cylinder", $"Cylinder {left[i].Cylinder} is not on this engine of {engine.Order.Count}.");
        var points = left.Where(p => engine.Places(p.Kind)).Distinct().ToList();
        var here = ClearAt(crank);
        var turns = points.Where(p => here.TrueForAll(h => h.Point != p)).Select(p => TurnTo(p)).Where(t => t is not null).Select(t => t!.Value).ToList();
        if (turns.Count == 0) return new LobeAway(here, null);
        var turn = turns.Min();
        var there = crank.After(turn);
        return new LobeAway(here, new NextClear(there, turn, ClearAt(there)));

        List<ClearPoint> ClearAt(CrankAngle place) =>
            [.. from p in points let margin = engine.Margin(place, p)!.Value where margin >= leastMarginDeg - Circle.SamePlaceDeg select new ClearPoint(p, margin)];

        double? TurnTo(LashRef point)
        {
            var arcs = engine.Guarded(point.Kind)!.Arcs;
            double? least = null;
            for (var i = 0; i < arcs.Count; i++)
            {
                var ends = arcs[i].From + arcs[i].Length;
                var clear = Circle.Normalise(arcs[(i + 1) % arcs.Count].From - ends, engine.Cycle);
                if (arcs.Count == 1 && clear < Circle.SamePlaceDeg) clear = engine.Cycle - arcs[0].Length;
                if (clear < 2 * leastMarginDeg - Circle.SamePlaceDeg) continue;
                var turn = Circle.Forward(crank, ends + leastMarginDeg + engine.Order.FiresAt(point.Cylinder), engine.Cycle);
                if (least is null || turn < least) least = turn;
            }
            return least;
        }
    }
}
