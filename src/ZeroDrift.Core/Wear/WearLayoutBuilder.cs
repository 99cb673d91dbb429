namespace ZeroDrift.Core.Wear;

/// <summary>Cuts a record into engines, points and runs, and refuses what cannot be.</summary>
internal sealed class WearLayoutBuilder
{
    /// <summary>The feel that every bladed reading has is already in its scatter and not added again, mm (common practice, no source).</summary>
    private const double FeelMm = 0.005;

    /// <summary>What a warm engine adds to what was left, mm (common practice, no source).</summary>
    private const double WarmMm = 0.02;

    /// <summary>Hours in which two thirds of the bedding-in is done (common practice, no source).</summary>
    public const double BeddingHours = 150;

    /// <summary>Set by a pair, it is left this surely at least, and at most, mm (common practice, no source).</summary>
    private const double SurestPairMm = 0.0125;
    private const double LeastSurePairMm = 0.02;

    private readonly WearRecord record;
    private readonly SharedColumns shared;
    private readonly bool slopes;
    private readonly Dictionary<string, int> groupOf = new(StringComparer.Ordinal);
    private readonly Dictionary<string, int> personOf = new(StringComparer.Ordinal);

    private WearLayoutBuilder(WearRecord record, SharedColumns shared, bool slopes)
    {
        (this.record, this.shared, this.slopes) = (record, shared, slopes);
        for (var i = 0; i < shared.Groups.Count; i++) groupOf[shared.Groups[i]] = i;
        for (var i = 0; i < shared.People.Count; i++) personOf[shared.People[i]] = i;
    }

    /// <summary>The shared columns of a record: groups in order of appearance, people by name.</summary>
    public static SharedColumns Columns(WearRecord record, bool bedding, IEnumerable<string>? groups = null, IEnumerable<string>? people = null) => new(
        [.. (groups ?? []).Concat(record.Points.Select(p => p.Group)).Distinct(StringComparer.Ordinal)],
        [.. (people ?? []).Concat(record.Readings.Select(r => r.Person).Concat(record.Visits.Select(v => v.Person)).OfType<string>().Order(StringComparer.Ordinal)).Distinct(StringComparer.Ordinal)],
        bedding);

    /// <summary>The engines in the order of their first point.</summary>
    /// <exception cref="BadInputException">Unknown names, hours that go back, or an uncertainty that is none.</exception>
    public static WearEngine[] Build(WearRecord record, SharedColumns shared, bool slopes) => new WearLayoutBuilder(record, shared, slopes).Engines();

    private WearEngine[] Engines()
    {
        var points = new Dictionary<string, WearPoint>(StringComparer.Ordinal);
        foreach (var (point, i) in record.Points.Select((p, i) => (p, i)))
            if (!points.TryAdd(point.Id, point)) throw new BadInputException($"points[{i}].id", $"Two points are called {point.Id}; give each its own name.");
        var visits = new Dictionary<string, WearVisit>(StringComparer.Ordinal);
        foreach (var (visit, i) in record.Visits.Select((v, i) => (v, i)))
            if (!visits.TryAdd(visit.Id, visit)) throw new BadInputException($"visits[{i}].id", $"Two visits are called {visit.Id}; give each its own name.");
        var visitsOf = record.Visits.ToLookup(v => v.Engine, StringComparer.Ordinal);
        CheckHours();
        var readingsOf = new Dictionary<string, List<(WearReading Reading, WearVisit Visit)>>(StringComparer.Ordinal);
        for (var i = 0; i < record.Readings.Count; i++)
        {
            var reading = record.Readings[i];
            Check(reading, i, points, visits);
            var visit = visits[reading.Visit];
            if (visit.Warm && !reading.AsLeft) continue;
            if (!readingsOf.TryGetValue(reading.Point, out var own)) readingsOf[reading.Point] = own = [];
            own.Add((reading, visit));
        }
        return [.. record.Points.GroupBy(p => p.Engine, StringComparer.Ordinal).Select(g => Engine(g.Key, [.. g], [.. visitsOf[g.Key]], readingsOf))];
    }

    private static void Check(WearReading reading, int i, Dictionary<string, WearPoint> points, Dictionary<string, WearVisit> visits)
    {
        if (!points.TryGetValue(reading.Point, out var point)) throw new BadInputException($"readings[{i}].point", $"There is no point called {reading.Point} among the points.");
        if (!visits.TryGetValue(reading.Visit, out var visit)) throw new BadInputException($"readings[{i}].visit", $"There is no visit called {reading.Visit} among the visits.");
        if (visit.Engine != point.Engine) throw new BadInputException($"readings[{i}].visit", $"Visit {visit.Id} was at {visit.Engine}, but point {point.Id} is on {point.Engine}.");
        Require.Uncertainty(reading.StandardUncertaintyMm, $"readings[{i}].standardUncertaintyMm");
        if (reading.Mm is null && reading.LowerMm is null && reading.UpperMm is null) throw new BadInputException($"readings[{i}].clearanceMm", "Give a clearance, or at least one bound.");
        if (reading.Mm is null && reading.LowerMm > reading.UpperMm) throw new BadInputException($"readings[{i}].upperMm", "The upper bound must not be below the lower.");
    }

    private void CheckHours()
    {
        var last = new Dictionary<string, double>(StringComparer.Ordinal);
        for (var i = 0; i < record.Visits.Count; i++)
        {
            var visit = record.Visits[i];
            if (last.TryGetValue(visit.Engine, out var before) && visit.Hours < before)
                throw new BadInputException($"visits[{i}].hours", $"The hours of {visit.Engine} go back from {Said.Hours(before)} to {Said.Hours(visit.Hours)}; give each engine's visits in the order of its life.");
            last[visit.Engine] = visit.Hours;
        }
        foreach (var (engine, now) in record.NowHours)
            if (last.TryGetValue(engine, out var before) && now < before - 1e-9) throw new BadInputException($"now.{engine}", $"{engine} had {Said.Hours(before)} at its last visit; today cannot be {Said.Hours(now)}.");
    }

    private WearEngine Engine(string id, WearPoint[] points, WearVisit[] visits, Dictionary<string, List<(WearReading, WearVisit)>> readingsOf)
    {
        var groups = points.Select(p => groupOf[p.Group]).Distinct().ToArray();
        var place = visits.Select((v, i) => (v.Id, i)).ToDictionary(v => v.Id, v => v.i, StringComparer.Ordinal);
        var own = visits.Length + (slopes ? groups.Length : 0);
        var touched = new List<int>();
        foreach (var group in groups) touched.Add(SharedColumns.Mean(group));
        if (shared.Bedding) foreach (var group in groups) touched.Add(shared.BeddingOf(group));
        var local = new Dictionary<int, int>();
        var first = visits.Length > 0 ? (double)visits[0].Hours : 0;
        var used = new bool[visits.Length];
        var lines = points.Select(p => Line(p)).ToArray();
        return new WearEngine
        {
            Id = id,
            NowHours = record.NowHours.TryGetValue(id, out var now) ? now : visits.Length > 0 ? visits[^1].Hours : 0,
            FirstHours = first,
            Visits = visits,
            VisitUsed = used,
            Lambda = [.. visits.Select(_ => 1.0)],
            Groups = groups,
            Slopes = slopes,
            Shared = [.. touched],
            Lines = lines,
        };

        WearLine Line(WearPoint point)
        {
            var group = groupOf[point.Group];
            var at = Array.IndexOf(groups, group);
            var runs = readingsOf.TryGetValue(point.Id, out var readings)
                ? readings.GroupBy(r => r.Item1.Run).OrderBy(r => r.Key).Select(r => Run(point, r.Key, [.. r])).ToArray()
                : [];
            return new WearLine(point, group, runs)
            {
                SlopeColumn = slopes ? visits.Length + at : -1,
                MeanColumn = own + at,
                BeddingColumn = shared.Bedding ? own + groups.Length + at : -1,
            };
        }

        WearRun Run(WearPoint point, int number, (WearReading Reading, WearVisit Visit)[] readings)
        {
            double? set = null;
            foreach (var (reading, visit) in readings) if (reading.AsLeft && (set is null || visit.Hours < set)) set = visit.Hours;
            if (readings.Length > 1) foreach (var (_, visit) in readings) used[place[visit.Id]] = true;
            WearRow[] rows = [.. readings.Select(r => Row(SetByPair(r.Reading, point), r.Visit, set))];
            for (var i = 0; i < rows.Length; i++) rows[i].MayBeFar = rows is { Length: > 1 } && rows[i].HasFigure && readings[i].Reading is { AsLeft: false, Confirmed: false };
            return new WearRun(number, set, rows);
        }

        WearRow Row(WearReading reading, WearVisit visit, double? set)
        {
            var u = reading.StandardUncertaintyMm;
            var added = Math.Max(u * u + (visit.Warm ? WarmMm * WarmMm : 0) - FeelMm * FeelMm, 0);
            var since = set is { } from ? visit.Hours - from : 0;
            return new WearRow
            {
                T = (visit.Hours - first) / 1000,
                S = since > 0 ? 1 - Math.Exp(-since / BeddingHours) : 0,
                VisitColumn = place[visit.Id],
                PersonColumn = (reading.Person ?? visit.Person) is { } person ? Local(shared.Person(personOf[person])) : -1,
                Mm = reading.Mm,
                Lower = reading.Mm is null ? reading.LowerMm : null,
                Upper = reading.Mm is null ? reading.UpperMm : null,
                AddedVariance = reading.Mm is null ? 0 : added,
                AsLeft = reading.AsLeft,
            };
        }

        // Who sets by a pair does not leave the gap anywhere between: it is the set figure, less surely.
        static WearReading SetByPair(WearReading reading, WearPoint point)
        {
            if (reading is not { AsLeft: true, Mm: null, LowerMm: { } low, UpperMm: { } high }) return reading;
            var set = point.FigureToSet is { } mm && mm >= low - 1e-9 && mm <= high + 1e-9 ? (double)mm : (low + high) / 2;
            return reading with { Mm = set, StandardUncertaintyMm = Math.Clamp((high - low) / Math.Sqrt(12), SurestPairMm, LeastSurePairMm) };
        }

        int Local(int column)
        {
            if (local.TryGetValue(column, out var known)) return known;
            touched.Add(column);
            return local[column] = own + touched.Count - 1;
        }
    }
}
