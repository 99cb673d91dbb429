using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Shims;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Outlooks;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Shims.Ahead;

/// <summary>How far every seat of an engine has come up, and how much adjustment is left: by its shims, or by what every run took off the gap.</summary>
internal static class LeftView
{
    public static async Task<AdjustmentLeftOfEngine> OfAsync(Guid id, ZeroDriftContext data, FleetDay day, CancellationToken cancelled = default)
    {
        var engine = await data.Engines.AsNoTracking().FirstOrDefaultAsync(e => e.Id == id, cancelled) ?? throw new NotFoundException("There is no such engine.");
        if (await ShimsAhead.LoadAsync(data, id, day.Today, cancelled) is { } shims)
        {
            var series = shims.Type.Facts.ShimSizesMm;
            return new AdjustmentLeftOfEngine(shims.Access, series is { Count: > 0 } ? series.Min() : null, series is { Count: > 0 } ? series.Max() : null, null, shims.Points, shims.Heads);
        }
        var type = await data.WholeTypes.FirstAsync(t => t.Id == engine.EngineTypeId, cancelled);
        var outlook = await OutlookKeeper.TodayAsync(data, id, day.Today, cancelled) ?? throw new NotFoundException($"{engine.Name} is archived.");
        var visits = await data.Visits.AsNoTracking().Where(v => v.EngineId == id && v.State == VisitState.Signed && !v.Bench).Include(v => v.Readings).ToListAsync(cancelled);
        var sorted = visits.OrderBy(v => v.TotalHours).ThenBy(v => v.Date).ThenBy(v => v.Key).ToList();
        var points = type.ToCore().Points.Select(p => Screw(p, type, outlook, sorted)).OfType<PointLeft>().ToList();
        return new AdjustmentLeftOfEngine(null, null, null, type.Facts.ScrewFreeMm,
            [.. points.Select(p => new ShimPointAhead(p.Point, p.Kind, p.Bank, null, null, null, null, p.Left.RecessionMm, p.Since, p.Left.LeftMm, p.Left.Towards, p.Left.Hours))], HeadLeft.Of(points));
    }

    private static PointLeft? Screw(LashPoint point, EngineTypeRow type, OutlookContent outlook, List<VisitRow> visits)
    {
        if (point.Adjuster is not Adjuster.Screw screw || point.Kind is not (LashKind.Intake or LashKind.Exhaust)) return null;
        if (GapHistory.Recession(visits.Select(v => At(v, point.Label))) is not { } told) return null;
        var ahead = outlook.Point(point.Label);
        return new PointLeft(point.Label, point.Kind, point.Bank, AdjustmentLeft.OfScrew(told.RecessionMm, type.Facts.ScrewFreeMm, ahead.MmPer1000h ?? 0, ahead.StandardErrorMmPer1000h ?? 0, screw.ClearancePerTravel), told.Since);
    }

    private static GapAtVisit At(VisitRow visit, string label)
    {
        var found = visit.Readings.Find(r => r.Point == label && r.Stage == StandingStage.Found);
        var left = visit.Readings.Find(r => r.Point == label && r.Stage == StandingStage.Left) ?? found;
        // Warm, or by other blades: it tells of neither end of a run unless it was set there.
        var holds = !visit.OutOfTrend;
        return new GapAtVisit(visit.Date, holds ? Mm(found) : null, holds || left != found ? Mm(left) : null, (found ?? left)?.PartChanged == true);
    }

    private static double? Mm(ReadingRow? reading) => reading is null ? null : reading.EstimateMm ?? (reading is { LowerMm: { } low, UpperMm: { } high } ? (low + high) / 2 : null);
}
