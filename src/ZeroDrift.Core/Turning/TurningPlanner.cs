using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Turning;

/// <summary>
/// Works out where to stop and what may be set there. A plan never sets a point where its lobe could be lifting it; what it
/// cannot place it names. The book's list is followed to the letter where it is right. Common practice in every method.
/// </summary>
public static class TurningPlanner
{
    /// <summary>The turning plan for a request.</summary>
    /// <exception cref="BadInputException">
    /// <c>method</c>: one that the cycle does not allow. <c>kinds</c>: none, or intake valves on a uniflow two-stroke.
    /// <c>startCylinder</c>: not on the engine. <c>bookStops</c>: missing, a cylinder the engine lacks, or a point listed twice.
    /// </exception>
    public static TurningPlan Plan(TurningEngine engine, TurningRequest request)
    {
        var points = Points(engine, request.Kinds);
        var start = (request.CrankNowDeg is null ? request.StartCylinder : null) ?? engine.Order.Cylinders[0];
        if (!engine.Order.Has(start))
            throw new BadInputException("startCylinder", $"Cylinder {start} is not on this engine; choose one of {engine.Order}.");
        if (engine.Order.Cycle == EngineCycle.TwoStroke && request.Method is not (TurningMethod.PerCylinder or TurningMethod.FewestStops or TurningMethod.Book))
            throw new BadInputException("method", $"A two-stroke comes round every turn and has no overlap: choose perCylinder, fewestStops or book instead of {Name(request.Method)}.");

        var plan = request.Method switch
        {
            TurningMethod.TwoStop => BestOf(engine, points, [engine.Order.FiresAt(start), engine.Order.FiresAt(start).After(360)]),
            TurningMethod.PerCylinder or TurningMethod.Rocking => OwnCompression(engine, points, start, request.Method),
            TurningMethod.ExhaustOpeningIntakeClosing => ByEachOther(engine, points, start),
            TurningMethod.FewestStops => Fewest(engine, points),
            TurningMethod.Book => BookList.Check(engine, points, request.BookStops),
            TurningMethod.LobeAway => throw new BadInputException("method", "Lobe away has no stops: each point is measured where its lobe points away. Ask lobe-away, or choose another method."),
            _ => throw new BadInputException("method", "This method is not known."),
        };
        return request.CrankNowDeg is { } now ? FromWhereItStands(plan, now, request.Method) : plan;
    }

    /// <summary>
    /// The same stops, so that every point keeps its own, taken forwards from where the crank stands. Exhaust opening / intake closing keeps its
    /// order and begins with the stop that comes up first; a book list is the book's, and only its first turn is counted from here.
    /// </summary>
    private static TurningPlan FromWhereItStands(TurningPlan plan, CrankAngle here, TurningMethod method)
    {
        double Ahead(TurningStop stop) => here.ForwardTo(stop.CrankDeg);
        IEnumerable<TurningStop> order = plan.Stops;
        if (method == TurningMethod.ExhaustOpeningIntakeClosing && plan.Stops.Count > 0)
        {
            var first = 0;
            for (var i = 1; i < plan.Stops.Count; i++)
                if (Ahead(plan.Stops[i]) < Ahead(plan.Stops[first]) - Circle.SamePlaceDeg) first = i;
            order = plan.Stops.Skip(first).Concat(plan.Stops.Take(first));
        }
        else if (method != TurningMethod.Book)
        {
            order = plan.Stops.OrderBy(Ahead);
        }
        var stops = new List<TurningStop>();
        var stands = here;
        foreach (var stop in order)
        {
            stops.Add(stop with { TurnFromPreviousDeg = stands.ForwardTo(stop.CrankDeg) });
            stands = stop.CrankDeg;
        }
        return plan with { Stops = stops };
    }

    private static List<LashRef> Points(TurningEngine engine, IReadOnlyList<LashKind>? kinds)
    {
        var twoStroke = engine.Order.Cycle == EngineCycle.TwoStroke;
        var wanted = kinds ?? (twoStroke ? [LashKind.Exhaust] : [LashKind.Intake, LashKind.Exhaust]);
        if (wanted.Count == 0) throw new BadInputException("kinds", "Name at least one kind of point, such as intake or exhaust.");
        if (twoStroke && wanted.Contains(LashKind.Intake))
            throw new BadInputException("kinds", "A uniflow two-stroke has no intake valves; ask for exhaust and injector.");
        return [.. from cylinder in Enumerable.Range(1, engine.Order.Count)
                   from kind in wanted.Distinct().Order()
                   select new LashRef(cylinder, kind)];
    }

    private static TurningPlan BestOf(TurningEngine engine, IReadOnlyList<LashRef> points, IReadOnlyList<CrankAngle> angles)
    {
        var sets = angles.Select(_ => new List<LashRef>()).ToArray();
        var unplaced = new List<UnplacedPoint>();
        foreach (var point in points)
        {
            if (!engine.Places(point.Kind))
            {
                unplaced.Add(OnlyTheBook(point));
                continue;
            }
            var best = 0;
            for (var i = 1; i < angles.Count; i++)
                if (engine.Margin(angles[i], point) > engine.Margin(angles[best], point) + Circle.SamePlaceDeg) best = i;
            var margin = engine.Margin(angles[best], point)!.Value;
            if (margin > Circle.SamePlaceDeg) sets[best].Add(point);
            else unplaced.Add(NoStop(point, margin));
        }
        return new TurningPlan(Stops(engine, [.. angles.Zip(sets)]), unplaced);
    }

    private static TurningPlan OwnCompression(TurningEngine engine, IReadOnlyList<LashRef> points, int start, TurningMethod method)
    {
        // Rocking is seen at the TDC itself; going by the cylinder's own mark one goes on until its release is off.
        var past = method == TurningMethod.PerCylinder ? engine.PastTdcDeg : 0;
        var wanted = FiringOrderFrom(engine, start)
            .Select(cylinder => (engine.Order.FiresAt(cylinder).After(past), points.Where(p => p.Cylinder == cylinder)));
        return AtGivenStops(engine, wanted, method);
    }

    private static TurningPlan ByEachOther(TurningEngine engine, IReadOnlyList<LashRef> points, int start)
    {
        // Guard-free edges: the mechanic sees the valve itself begin to move. Ten degrees before the intake seats is "almost closed".
        var exhaustOpens = engine.Unguarded(LashKind.Exhaust)!.Arcs[0].From;
        var intake = engine.Unguarded(LashKind.Intake)!.Arcs[0];
        var intakeAlmostClosed = intake.From + intake.Length - 10;
        var wanted = new List<(CrankAngle, IEnumerable<LashRef>)>();
        for (var i = 0; i < engine.Order.Count; i++)
        {
            var cylinder = (start - 1 + i) % engine.Order.Count + 1;
            var own = points.Where(p => p.Cylinder == cylinder).ToList();
            wanted.Add((engine.Order.FiresAt(cylinder).After(exhaustOpens), own.Where(p => p.Kind == LashKind.Intake)));
            wanted.Add((engine.Order.FiresAt(cylinder).After(intakeAlmostClosed), own.Where(p => p.Kind != LashKind.Intake)));
        }
        return AtGivenStops(engine, wanted, TurningMethod.ExhaustOpeningIntakeClosing);
    }

    private static TurningPlan Fewest(TurningEngine engine, IReadOnlyList<LashRef> points)
    {
        var reachable = points.Where(p => engine.Places(p.Kind)).ToList();
        var marks = FewestMarks.Choose(engine, reachable);
        var plan = BestOf(engine, [.. points.Where(p => !engine.Places(p.Kind) || FewestMarks.Reaches(engine, p))], marks);
        var beyond = from p in reachable
                     where !FewestMarks.Reaches(engine, p)
                     let margin = FewestMarks.Best(engine, p)
                     select new UnplacedPoint(p, margin, $"No TDC mark leaves {p.Spoken} at least {FewestMarks.LeastMarginDeg}° clear of its lift; the best leaves {margin:0.#}°.");
        return plan with { CannotSet = [.. beyond, .. plan.CannotSet] };
    }

    private static TurningPlan AtGivenStops(TurningEngine engine, IEnumerable<(CrankAngle Angle, IEnumerable<LashRef> Points)> wanted, TurningMethod method)
    {
        var stops = new List<(CrankAngle, List<LashRef>)>();
        var unplaced = new List<UnplacedPoint>();
        foreach (var (here, points) in wanted)
        {
            var set = new List<LashRef>();
            foreach (var point in points)
            {
                if (engine.Margin(here, point) is not { } margin) unplaced.Add(OnlyTheBook(point));
                else if (margin > Circle.SamePlaceDeg) set.Add(point);
                else unplaced.Add(NoStop(point, margin));
            }
            stops.Add((here, set));
        }
        return new TurningPlan(Stops(engine, stops, method), unplaced);
    }

    internal static IReadOnlyList<TurningStop> Stops(TurningEngine engine, IReadOnlyList<(CrankAngle Angle, List<LashRef> Set)> stops, TurningMethod? method = null)
    {
        var result = new List<TurningStop>();
        for (var i = 0; i < stops.Count; i++)
        {
            var (angle, set) = stops[i];
            result.Add(new TurningStop(
                angle,
                i == 0 ? 0 : stops[i - 1].Angle.ForwardTo(angle),
                engine.CompressionAt(angle),
                engine.RockingAt(angle),
                StopSign.Describe(engine, angle, method),
                [.. set.Select(point => Placed(engine, angle, point))]));
        }
        return result;
    }

    internal static UnplacedPoint OnlyTheBook(LashRef point) =>
        new(point, null, $"Where {point.Spoken} is free depends on its own lobe: only the book's stop list can place it.");

    private static PlacedPoint Placed(TurningEngine engine, CrankAngle angle, LashRef point)
    {
        if (engine.Guarded(point.Kind) is not { } arcs) return new PlacedPoint(point, null, null, null);
        var local = engine.Local(angle, point.Cylinder);
        var (back, forward) = arcs.Room(local);
        return new PlacedPoint(point, arcs.Margin(local), back, forward);
    }

    private static UnplacedPoint NoStop(LashRef point, double margin) =>
        new(point, margin, $"At no stop of this plan is {point.Spoken} clear of its lift; the best one is {-margin:0.#}° inside it.");

    private static IEnumerable<int> FiringOrderFrom(TurningEngine engine, int start)
    {
        var order = engine.Order.Cylinders;
        var first = 0;
        while (order[first] != start) first++;
        return Enumerable.Range(0, order.Count).Select(i => order[(first + i) % order.Count]);
    }

    private static string Name(TurningMethod method) => char.ToLowerInvariant(method.ToString()[0]) + method.ToString()[1..];
}
