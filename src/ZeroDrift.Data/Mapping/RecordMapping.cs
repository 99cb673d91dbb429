using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Outlook;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Mapping;

/// <summary>From an engine's stored record to what the core looks ahead with.</summary>
public static class RecordMapping
{
    /// <summary>Total hours through meter changes.</summary>
    public static MeterHistory Meter(this EngineRow engine) => MeterHistory.Of(
        engine.MeterReadings.OrderBy(m => m.Date).ThenBy(m => m.Id).Select(m => new MeterReading(m.Date, m.ShownHours, m.NewMeterShows)));

    /// <summary>The kept reading that stands for a point and stage: the last of its chain of corrections. Null where none is kept.</summary>
    public static ReadingRow? Standing(this IEnumerable<ReadingRow> readings, Guid pointId, ReadingStage stage)
    {
        var kept = readings.Where(r => r.PointId == pointId && r.Stage == stage && r.KeptAt is not null).ToList();
        var corrected = kept.Where(r => r.CorrectsId is not null).Select(r => r.CorrectsId!.Value).ToHashSet();
        return kept.Where(r => !corrected.Contains(r.Id)).MaxBy(r => r.KeptAt);
    }

    /// <summary>
    /// The engine's record up to now. Only signed visits speak; the type's points, revisions and the engine's meter and visits must be loaded.
    /// </summary>
    public static EngineRecord ToRecord(this EngineRow engine, EngineTypeRow type, FleetRow fleet, DateOnly today)
    {
        var meter = engine.Meter();
        var revision = type.InForce(today);
        var core = type.ToCore(revision, fleet);
        var visits = engine.Overheads.Where(o => o.SignedAt is not null).OrderBy(o => o.TotalHours).ThenBy(o => o.Date).ToList();
        var conditions = type.Revisions.ToDictionary(r => r.Id, r => r.Condition);
        var hoursNow = Math.Max(meter.Latest?.TotalHours ?? 0, visits.Count > 0 ? visits[^1].TotalHours : 0);
        var breakIns = visits.Where(v => v.Job == JobKind.Build).Select(v => v.TotalHours).ToList();
        var standing = visits.Select(v => v.Readings.Where(r => r.KeptAt is not null).ToLookup(r => r.PointId)).ToList();
        var points = type.Points.OrderBy(p => p.Order).Select(point =>
        {
            Reading? last = null;
            var own = new List<PointVisit>();
            for (var i = 0; i < visits.Count; i++)
            {
                var readings = standing[i][point.Id];
                var found = readings.Standing(point.Id, ReadingStage.AsFound);
                var left = readings.Standing(point.Id, ReadingStage.AsLeft);
                if (left is { EstimateMm: null, LowerMm: null, UpperMm: null }) left = null;
                if (found is null && left is null) continue;
                own.Add(Visit(visits[i], found, left) with
                {
                    OtherCondition = visits[i].Condition != core.Condition || conditions.GetValueOrDefault(visits[i].SpecRevisionId) != core.Condition,
                    BreakIn = breakIns.Exists(built => visits[i].TotalHours >= built && visits[i].TotalHours < built + type.BreakInHours),
                });
                if (visits[i].Answer == VisitAnswer.Counts) last = (left ?? found)!.ToReading();
            }
            return new PointRecord(point.Label, point.Kind.ToString(), core.Specs.GetValueOrDefault(point.Kind), own, last is { LowerMm: null, UpperMm: null, EstimateMm: null } ? null : last);
        }).ToList();
        var usage = Usage.Of(meter.Totals, today, engine.DutyHoursPerDay, engine.MonthlyWeights);
        return new EngineRecord(engine.Id.ToString(), hoursNow, usage, Clock(type, visits), points);
    }

    private static PointVisit Visit(OverheadRow visit, ReadingRow? found, ReadingRow? left) => new(visit.TotalHours, Figure(found), Figure(left))
    {
        Adjusted = left is not null,
        Excluded = visit.Answer != VisitAnswer.Counts,
        PartChanged = visit.Job == JobKind.Build,
    };

    private static (double, double)? Figure(ReadingRow? reading) =>
        reading is { EstimateMm: { } mm, UncertaintyMm: { } u } ? (mm, u) : null;

    private static BookClock? Clock(EngineTypeRow type, List<OverheadRow> visits) =>
        visits.FindLast(v => v.Job is JobKind.Overhead or JobKind.Build) is { } last
            ? new BookClock(type.BookHours, type.BookMonths, type.FirstCheckHours, last.TotalHours, last.Date, last.Job == JobKind.Build)
            : null;
}
