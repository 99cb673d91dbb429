using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Outlook;
using ZeroDrift.Core.Visits;
using ZeroDrift.Core.Wear;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Outlooks;

/// <summary>An engine's life as the core looks ahead with it, with the little more that is kept of it.</summary>
public sealed record EngineLife(EngineRow Engine, EngineRecord Record, double MeterOffset, IReadOnlyList<(double? Mm, double? Hours)> Before, HoursToday? Read);

/// <summary>Reads lives from the projections: meter, signed visits, standing figures.</summary>
public static class EngineLives
{
    private const int EnginesAtOnce = 200;

    /// <summary>The lives of some engines of one type; null for all of them.</summary>
    public static async Task<IReadOnlyList<EngineLife>> LoadAsync(ZeroDriftContext data, EngineTypeRow type, FleetRow fleet, DateOnly today, Guid? only = null, CancellationToken cancelled = default)
    {
        var engines = await data.Engines.AsNoTracking().Where(e => e.EngineTypeId == type.Id && e.ArchivedAt == null && (only == null || e.Id == only)).OrderBy(e => e.Name).ToListAsync(cancelled);
        List<MeterReadingRow> meterRows = [];
        List<VisitRow> visitRows = [];
        List<ReadingRow> readingRows = [];
        List<SameGapRow> gapRows = [];
        List<EngineFigureRow> figureRows = [];
        // Always by engine: that way every table is entered through its index, however few engines a type has.
        foreach (var ids in engines.Select(e => e.Id).Chunk(EnginesAtOnce))
        {
            meterRows.AddRange(await data.MeterReadings.AsNoTracking().Where(m => ids.Contains(m.EngineId)).ToListAsync(cancelled));
            visitRows.AddRange(await data.Visits.AsNoTracking().Where(v => ids.Contains(v.EngineId) && v.State == VisitState.Signed && !v.Bench).ToListAsync(cancelled));
            readingRows.AddRange(await data.Readings.AsNoTracking().Where(r => ids.Contains(r.EngineId)).ToListAsync(cancelled));
            figureRows.AddRange(await data.EngineFigures.AsNoTracking().Where(f => ids.Contains(f.EngineId)).ToListAsync(cancelled));
            gapRows.AddRange(await data.SameGaps.AsNoTracking().Where(g => data.Visits.Any(v => v.Key == g.VisitKey && ids.Contains(v.EngineId) && v.State == VisitState.Signed && !v.Bench)).ToListAsync(cancelled));
        }
        var (meters, visits, readings) = (meterRows.ToLookup(m => m.EngineId), visitRows.ToLookup(v => v.EngineId), readingRows.ToLookup(r => r.VisitKey));
        var gaps = gapRows.ToLookup(g => g.VisitKey);
        var laidUp = await LaidUps.OfAsync(data, engines.Select(e => e.MachineId));
        var inForce = type.InForce(today);
        var own = figureRows.ToLookup(f => f.EngineId);
        // What the type asks is worked out once; again only for an engine that carries figures of its own.
        var usual = inForce is null ? new Dictionary<LashKind, Demand>() : DemandMapping.Demands(inForce.Lines, fleet);
        return [.. engines.Select(engine => Life(engine, type, Demands(engine.Id), inForce?.Condition ?? SpecCondition.Cold, meters[engine.Id], visits[engine.Id], readings, gaps, [.. laidUp[engine.MachineId]], today))];

        IReadOnlyDictionary<LashKind, Demand> Demands(Guid engine) => inForce is null || !own.Contains(engine)
            ? usual
            : DemandMapping.Demands(OwnFigures.Over(inForce, [.. own[engine]]).Select(l => l.Line), fleet);
    }

    private static EngineLife Life(EngineRow engine, EngineTypeRow type, IReadOnlyDictionary<LashKind, Demand> demands, SpecCondition condition, IEnumerable<MeterReadingRow> readings, IEnumerable<VisitRow> all, ILookup<long, ReadingRow> figures, ILookup<long, SameGapRow> gaps, IReadOnlyList<Days> laidUp, DateOnly today)
    {
        var meter = readings.ToHistory();
        var visits = all.Where(v => v.TotalHours is not null).OrderBy(v => v.TotalHours).ThenBy(v => v.Date).ThenBy(v => v.Key).ToList();
        var opened = visits.Select(v => new EngineVisit(v.Id.ToString(), EngineHours.Of(v.TotalHours!.Value), v.OpenedBy?.ToString(), v.OutOfTrend)).ToList();
        var byVisit = visits.Select(v => figures[v.Key].ToLookup(r => r.Point, StringComparer.Ordinal)).ToList();
        var before = new List<(double?, double?)>();
        var points = type.Points.Where(p => Wears(p, demands)).OrderBy(p => p.Order).Select(point =>
        {
            var own = new List<PointVisit>();
            ReadingRow? standing = null;
            (double? Mm, double? Hours) last = (null, null);
            for (var i = 0; i < visits.Count; i++)
            {
                var rows = byVisit[i][point.Label].ToList();
                if (rows.Count == 0) continue;
                var visit = visits[i];
                var (found, left) = (rows.Find(r => r.Stage == StandingStage.Found), rows.Find(r => r.Stage == StandingStage.Left));
                own.Add(new PointVisit(opened[i], Figure(found) is { } figure ? figure with { Confirmed = IsConfirmed(found!, gaps[visit.Key]) } : null, Figure(left)) { PartChanged = rows[0].PartChanged, OtherCondition = visit.Condition != condition });
                if (visit.OutOfTrend) continue;
                if ((left ?? found) is { } stands && (stands.EstimateMm ?? stands.LowerMm ?? stands.UpperMm) is not null) standing = stands;
                if ((left ?? found)?.EstimateMm is { } mm) last = (mm, visit.TotalHours);
            }
            before.Add(last);
            return new PointRecord(point.Label, point.Kind.ToString(), demands.GetValueOrDefault(point.Kind) as Demand.Gap, own, standing?.ToReading()) { StandingDragged = standing?.Dragged ?? false };
        }).ToList();
        var known = meter.Totals.Where(t => t.Date <= today).ToList();
        // By the use up to its last reading: an engine that nobody reads goes on as it did, and its dates with it.
        var usage = Usage.Of(known, known.Count > 0 ? known[^1].Date : today, engine.DutyHoursPerDay, engine.MonthlyWeights ?? Season.Learned(meter.Totals, laidUp), laidUp);
        var opening = visits.FindLast(v => v.Date <= today);
        var read = opening is { TotalHours: { } atVisit } && (known.Count == 0 || atVisit > known[^1].TotalHours) ? new HoursToday(EngineHours.Of(atVisit), opening.Date, usage)
            : known.Count > 0 ? new HoursToday(known[^1].TotalHours, known[^1].Date, usage) : null;
        return new EngineLife(engine, new EngineRecord(engine.Id.ToString(), read?.At(today) ?? EngineHours.Of(0), usage, Clock(type, visits), opened, points) { SameGaps = [.. visits.SelectMany(v => Gaps(gaps[v.Key]))] }, meter.Offset, before, read);
    }

    /// <summary>An injector, an engine brake, a lifter, whatever is set by an amount: no gap of theirs wears, and none is in the trend.</summary>
    private static bool Wears(LashPointRow point, IReadOnlyDictionary<LashKind, Demand> demands) =>
        point is { Kind: LashKind.Intake or LashKind.Exhaust, Adjuster: not AdjusterKind.HydraulicPreload }
        && demands.GetValueOrDefault(point.Kind) is null or Demand.Gap;

    private static IEnumerable<WearGap> Gaps(IEnumerable<SameGapRow> rows) =>
        rows.GroupBy(r => r.Gap).OrderBy(g => g.Key).Where(g => g.Count() > 1).Select(g => new WearGap([.. g.OrderBy(r => r.Reading).Select(r => ((string?)r.By.ToString(), r.Mm))]));

    /// <summary>What was found was looked at again, by the same hand or another, and agreed.</summary>
    private static bool IsConfirmed(ReadingRow found, IEnumerable<SameGapRow> gaps) => found.EstimateMm is { } mm
        && gaps.Where(g => g.Point == found.Point).GroupBy(g => g.Gap).Any(g => g.Any(r => Math.Abs(r.Mm - mm) < 1e-6) && g.Count(r => Math.Abs(r.Mm - mm) <= VisitFigure.AgreesWithinMm + 1e-9) > 1);

    private static VisitFigure? Figure(ReadingRow? reading) => reading is null ? null : new VisitFigure(reading.ToReading(), reading.Dragged, reading.By.ToString());

    private static BookClock? Clock(EngineTypeRow type, List<VisitRow> visits) => visits.FindLast(v => v.StartsClock) is { } last
        ? new BookClock(EngineHours.Of(type.Facts.BookHours), type.Facts.BookMonths, EngineHours.Of(type.Facts.FirstCheckHours), EngineHours.Of(last.TotalHours!.Value), last.Date, last.Job == JobKind.Build, EngineHours.Of(type.Facts.ResetHotHours))
        : null;
}
