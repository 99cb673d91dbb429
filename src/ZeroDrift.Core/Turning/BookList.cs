using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Turning;

/// <summary>Follows a book's stop list to the letter and checks it against the firing order.</summary>
internal static class BookList
{
    private const int MostStops = 96;

    public static TurningPlan Check(TurningEngine engine, IReadOnlyList<LashRef> points, IReadOnlyList<BookStop>? list)
    {
        Require.Filled(list, MostStops, "bookStops", "the book's stops, each with its crank angle and points");
        var stops = new List<(CrankAngle, List<LashRef>)>();
        var conflicts = new List<UnplacedPoint>();
        var listed = new HashSet<LashRef>();
        for (var i = 0; i < list!.Count; i++)
        {
            var angle = list[i].CrankDeg;
            var set = new List<LashRef>();
            for (var k = 0; k < list[i].Set.Count; k++)
            {
                var point = list[i].Set[k];
                var field = $"bookStops[{i}].set[{k}]";
                if (!engine.Order.Has(point.Cylinder))
                    throw new BadInputException(field + ".cylinder", $"The book's list names cylinder {point.Cylinder}; this engine has 1 to {engine.Order.Count}.");
                if (!listed.Add(point))
                    throw new BadInputException(field, $"{point.Spoken} stands twice in the book's list; give each point one stop.");
                if (engine.Margin(angle, point) is { } margin && margin <= Circle.SamePlaceDeg)
                    conflicts.Add(new UnplacedPoint(point, margin, $"The book sets {point.Spoken} at {angle}, but there it is {-margin:0.#}° inside its lift: check the list against the firing order {engine.Order}."));
                else
                    set.Add(point);
            }
            stops.Add((angle, set));
        }
        var leftOut = from point in points
                      where !listed.Contains(point)
                      let best = list.Max(stop => engine.Margin(stop.CrankDeg, point))
                      select new UnplacedPoint(point, best, $"The book's list leaves out {point.Spoken}.");
        return new TurningPlan(TurningPlanner.Stops(engine, stops), [.. conflicts, .. leftOut]);
    }
}
