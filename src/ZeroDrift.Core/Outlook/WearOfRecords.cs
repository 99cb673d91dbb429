using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Outlook;

/// <summary>
/// Cuts the records of engines into runs for the fit. A run starts with an as-left and holds every later reading taken before the next adjustment; an
/// untouched point continues its run, its one reading serving as found and as left. A changed part ends the history.
/// </summary>
internal static class WearOfRecords
{
    public static string PointId(EngineRecord engine, PointRecord point) => $"{engine.Id}/{point.Label}";

    public static WearRecord Of(IReadOnlyList<EngineRecord> engines)
    {
        var (points, visits, readings) = (new List<WearPoint>(), new List<WearVisit>(), new List<WearReading>());
        var now = new Dictionary<string, double>(StringComparer.Ordinal);
        foreach (var engine in engines)
        {
            now[engine.Id] = Math.Max(engine.HoursNow, engine.Visits.Count > 0 ? engine.Visits.Max(v => v.Hours) : 0.0);
            visits.AddRange(engine.Visits.OrderBy(v => v.Hours).Select(v => new WearVisit(v.Id, engine.Id, v.Hours, v.Person, v.Doubted)));
            foreach (var point in engine.Points) points.Add(Point(engine, point, readings));
        }
        return new WearRecord(points, visits, readings) { NowHours = now, SameGaps = [.. engines.SelectMany(e => e.SameGaps)] };
    }

    private static WearPoint Point(EngineRecord engine, PointRecord point, List<WearReading> readings)
    {
        var id = PointId(engine, point);
        var first = readings.Count;
        var run = 1;
        foreach (var visit in point.Visits.OrderBy(v => v.Visit.Hours))
        {
            if (visit.PartChanged)
            {
                // What was found belongs to the old part.
                readings.RemoveRange(first, readings.Count - first);
                run++;
            }
            else if (visit.Found is { } found && !visit.OtherCondition && Reading(found, false) is { } before) readings.Add(before);
            if (visit.Left is not { } left) continue;
            if (!visit.PartChanged) run++;
            if (!visit.OtherCondition && Reading(left, true) is { } after) readings.Add(after);

            WearReading? Reading(VisitFigure figure, bool asLeft)
            {
                var r = figure.Reading;
                if (r is { EstimateMm: null, LowerMm: null, UpperMm: null }) return null;
                var bounded = figure.IsBounded;
                return new WearReading(id, visit.Visit.Id, run, asLeft, bounded ? null : r.EstimateMm, bounded ? r.LowerMm : null, bounded ? r.UpperMm : null, r.StandardUncertaintyMm is > 0 and var u ? u : Measuring.Reading.DefaultFeelSdMm)
                {
                    Person = figure.Person,
                    Confirmed = figure.Confirmed,
                };
            }
        }
        return new WearPoint(id, engine.Id, point.Group, point.Spec?.Window, point.Spec?.AimMm) { PresentRun = run };
    }
}
