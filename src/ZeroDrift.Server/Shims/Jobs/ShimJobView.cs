using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Shims;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Shims;
using ZeroDrift.Server.Shims.Bench;

namespace ZeroDrift.Server.Shims.Jobs;

/// <summary>A shim job as it stands now: what was decided, what happened, and what the visits say of the fitting.</summary>
internal static class ShimJobView
{
    public static async Task<ShimJobResponse> OfAsync(ZeroDriftContext data, ShimJobRow job, CancellationToken cancelled = default)
    {
        var fittings = await ShimFittings.OfAsync(data, job);
        var ids = fittings.Values.Select(f => f.Measured.Row.EngineId).ToList();
        var engines = await data.Engines.AsNoTracking().Where(e => ids.Contains(e.Id)).ToDictionaryAsync(e => e.Id, e => e.Name, cancelled);
        var names = fittings.ToDictionary(f => f.Key, f => engines[f.Value.Measured.Row.EngineId]);
        var drawers = await data.ShimDrawers.AsNoTracking().ToDictionaryAsync(d => d.Id, d => d.Name, cancelled);
        var meters = await data.MetersAsync(ids, cancelled);
        var dropped = job.Events.Exists(e => e.Kind == ShimJobEventKind.Dropped);
        var waits = job.Places.Exists(p => p is { Origin: ShimOrigin.Buy, ActId: null });
        var byVisit = new List<ShimJobEngine>();
        foreach (var (visitId, fitting) in fittings)
        {
            var row = fitting.Measured.Row;
            var hours = meters[row.EngineId].ToHistory().Latest is { } now && row.TotalHours is { } then ? Math.Max(0, now.TotalHours - then) : (double?)null;
            byVisit.Add(new ShimJobEngine
            {
                VisitId = visitId,
                EngineId = row.EngineId,
                Engine = names[visitId],
                MeasuredOn = row.Date,
                Awaits = row.State == VisitState.Signed && !row.StartsClock,
                State = ShimJob.State(true, waits, dropped, fitting.Facts),
                Meanwhile = Meanwhile(fitting.Measured.Visit),
                Decision = job.Events.FindLast(e => e.Kind is ShimJobEventKind.Runs or ShimJobEventKind.Stands && (e.VisitId is null || e.VisitId == visitId)) is { } decided ? Said(decided) : null,
                FittingVisitId = fitting.At?.Row.Id,
                HoursRun = hours,
                FindAgain = hours is { } run && fitting.Facts is { Closed: false, Fitted: 0 } ? ShimJob.FindAgain(run) : null,
                ToFit = fitting.Facts.ToFit,
                Fitted = fitting.Facts.Fitted,
                Measured = fitting.Facts.Measured,
                Mirrored = fitting.At?.Visit.Mirrored is { } pair ? new MirroredResponse(pair.First, pair.Second) : null,
            });
        }
        return new ShimJobResponse
        {
            Id = job.Id,
            MadeAt = job.MadeAt,
            Who = job.Who,
            Site = await data.Sites.Where(s => s.Id == job.SiteId).Select(s => s.Name).FirstAsync(cancelled),
            Policy = job.Policy,
            ExpectedOn = job.ExpectedOn,
            DrawerId = job.DrawerId,
            Drawer = job.DrawerId is { } drawer ? drawers[drawer] : null,
            // The job is as far as the engine that is least far.
            State = byVisit.Min(e => e.State),
            Engines = byVisit,
            Places = [.. job.Places.OrderBy(p => p.Order).Select(p => new ShimJobPlace(
                p.VisitId, names[p.VisitId], p.Point, p.OldMm, p.NewMm, p.Origin,
                p.FromPoint is { } from ? p.FromVisitId == p.VisitId ? from : $"{names[p.FromVisitId!.Value]} {from}" : null,
                p.DrawerId is { } lay ? drawers[lay] : null, p.FoundMm, p.PredictedMm, p.OldIsOver,
                fittings[p.VisitId].Points.ContainsKey(p.Point),
                fittings[p.VisitId].Points.GetValueOrDefault(p.Point)?.Left?.ValueOrNothing().MiddleMm?.Millimetres))],
            Buy = [.. job.Places.Where(p => p.Origin == ShimOrigin.Buy).GroupBy(p => p.NewMm).OrderBy(g => g.Key).Select(g => new BenchBuy(g.Key, g.Count(), [.. g.Select(p => fittings.Count == 1 ? p.Point : $"{names[p.VisitId]} {p.Point}")]))],
            Events = [.. job.Events.OrderBy(e => e.Key).Select(Said)],
        };
    }

    private static string? Meanwhile(Visit visit) => ShimJob.Meanwhile(
        [.. from work in visit.Work
            let gap = visit.DemandOf(work) as Demand.Gap
            let found = work.Found?.ValueOrNothing()
            let most = found?.MiddleMm?.Millimetres ?? found?.UpperMm?.Millimetres
            where gap is not null && most is not null && work.Point.Adjuster is Core.Engines.Adjuster.Shim
            select (work.Point.Label, work.Point.Kind, most.Value, gap.Window)],
        visit.Context.Facts.Spark);

    private static ShimJobEventResponse Said(ShimJobEventRow e) => new(e.Kind, e.VisitId, e.At, e.Who, e.Why);
}
