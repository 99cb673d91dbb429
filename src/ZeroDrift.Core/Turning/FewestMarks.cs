using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Turning;

/// <summary>
/// Chooses the smallest set of TDC marks at which every point is clear by at least 15°; among equals the one with the largest
/// smallest margin; among equals the least turning from the first stop to the last; among equals the one that begins earliest.
/// Each point's clear room is one arc of the circle (its longest, where further lobes cut it up), so choosing marks is the
/// classic stabbing of arcs and can be solved exactly: cut the circle at a mark, then always take the last mark before an arc ends.
/// </summary>
internal static class FewestMarks
{
    public const double LeastMarginDeg = 15;
    private const double Tolerance = 1e-9;

    public static double Best(TurningEngine engine, LashRef point) => engine.TdcMarks.Max(mark => engine.Margin(mark, point)!.Value);

    public static bool Reaches(TurningEngine engine, LashRef point) =>
        engine.TdcMarks.Any(mark => Inside(engine, ClearArc(engine, point), mark, LeastMarginDeg));

    public static IReadOnlyList<CrankAngle> Choose(TurningEngine engine, IReadOnlyList<LashRef> points)
    {
        var marks = engine.TdcMarks;
        var arcs = points.Select(p => ClearArc(engine, p)).Distinct()
            .Where(arc => marks.Any(mark => Inside(engine, arc, mark, LeastMarginDeg))).ToList();
        if (arcs.Count == 0) return [];

        var margins = (from arc in arcs from mark in marks let m = MarginIn(engine, arc, mark) where m >= LeastMarginDeg - Tolerance select m)
            .Distinct().Order().ToList();
        var fewest = Fewest(LeastMarginDeg).Count;
        var (low, high) = (0, margins.Count - 1);
        while (low < high)
        {
            var middle = (low + high + 1) / 2;
            if (Fewest(margins[middle]) is { Count: > 0 } found && found.Count <= fewest) low = middle;
            else high = middle - 1;
        }
        return LeastTurning(margins[low]);

        List<CrankAngle> Fewest(double margin)
        {
            List<CrankAngle> best = [];
            for (var first = 0; first < marks.Count; first++)
                if (Stab(engine, marks, arcs, margin, first, marks.Count - 1) is { } set && (best.Count == 0 || set.Count < best.Count)) best = set;
            return best;
        }

        List<CrankAngle> LeastTurning(double margin)
        {
            var candidates = from first in Enumerable.Range(0, marks.Count)
                             from steps in Enumerable.Range(0, marks.Count)
                             let turn = marks[first].ForwardTo(marks[(first + steps) % marks.Count])
                             orderby Math.Round(turn, 6), marks[first].Degrees
                             select Stab(engine, marks, arcs, margin, first, steps);
            return candidates.First(set => set is not null && set.Count <= fewest)!;
        }
    }

    /// <summary>The greedy for a circle cut at mark <paramref name="first"/>, using marks up to <paramref name="steps"/> further on. Null where it cannot reach everything.</summary>
    private static List<CrankAngle>? Stab(TurningEngine engine, IReadOnlyList<CrankAngle> marks, List<(double From, double Length)> arcs, double margin, int first, int steps)
    {
        var start = marks[first];
        var open = arcs.Where(arc => !Inside(engine, arc, start, margin))
            .Select(arc => (
                From: Circle.Normalise(arc.From + margin - start, engine.Cycle),
                Length: arc.Length - 2 * margin))
            .OrderBy(arc => arc.From + arc.Length).ToList();
        var chosen = new List<CrankAngle> { start };
        var last = 0.0;
        foreach (var (from, length) in open)
        {
            if (length < -Tolerance) return null;
            if (chosen.Count > 1 && last >= from - Tolerance) continue;
            var stop = -1.0;
            var index = -1;
            for (var i = 1; i <= steps; i++)
            {
                var offset = start.ForwardTo(marks[(first + i) % marks.Count]);
                if (offset < from - Tolerance || offset > from + length + Tolerance) continue;
                if (offset > stop) (stop, index) = (offset, (first + i) % marks.Count);
            }
            if (index < 0) return null;
            chosen.Add(marks[index]);
            last = stop;
        }
        return chosen;
    }

    private static (double From, double Length) ClearArc(TurningEngine engine, LashRef point)
    {
        var (from, length) = engine.Guarded(point.Kind)!.LongestClear();
        return (engine.Order.FiresAt(point.Cylinder).After(from), length);
    }

    private static double MarginIn(TurningEngine engine, (double From, double Length) arc, double mark)
    {
        var into = Circle.Normalise(mark - arc.From, engine.Cycle);
        return Math.Min(into, arc.Length - into);
    }

    private static bool Inside(TurningEngine engine, (double From, double Length) arc, double mark, double margin) =>
        MarginIn(engine, arc, mark) >= margin - Tolerance;
}
