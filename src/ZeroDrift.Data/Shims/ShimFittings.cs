using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Shims;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Visits;

namespace ZeroDrift.Data.Shims;

/// <summary>How far the fitting of one engine is.</summary>
/// <param name="Measured">The visit at which it was measured.</param>
/// <param name="At">The visit at which its shims are fitted; null before.</param>
/// <param name="Facts">How many of how many.</param>
/// <param name="Points">Points at which a shim was fitted, with what was left.</param>
public sealed record EngineFitting(StoredVisit Measured, StoredVisit? At, ShimFitting Facts, IReadOnlyDictionary<string, PointWork> Points);

/// <summary>What became of a decided job at the engine: read from the visits, never kept twice.</summary>
public static class ShimFittings
{
    /// <summary>Of every engine of a job, by the visit at which it was measured.</summary>
    public static async Task<IReadOnlyDictionary<Guid, EngineFitting>> OfAsync(ZeroDriftContext data, ShimJobRow job)
    {
        var fittings = new Dictionary<Guid, EngineFitting>();
        foreach (var places in job.Places.GroupBy(p => p.VisitId)) fittings[places.Key] = await OneAsync(data, places.Key, [.. places.Select(p => p.Point)]);
        return fittings;
    }

    /// <summary>Over shims of a signed visit go into the drawer of their job, once. Part of the transaction that took its entries.</summary>
    public static async Task TakeInOverAsync(ZeroDriftContext data, VisitRow row, Visit visit)
    {
        var measured = visit.Opened!.Continues ?? row.Id;
        var over = await data.ShimPlaces.Where(p => p.VisitId == measured && p.OldIsOver && p.OverActId == null).ToListAsync();
        if (over.Count == 0) return;
        var who = await data.People.Where(p => p.Id == visit.Signed!.By).Select(p => p.Name).FirstOrDefaultAsync() ?? "";
        foreach (var place in over)
        {
            var job = await data.ShimJobs.AsNoTracking().Include(j => j.Events).FirstAsync(j => j.Id == place.JobId);
            if (job.DrawerId is not { } drawer || job.Events.Exists(e => e.Kind == ShimJobEventKind.Dropped)) continue;
            if (visit.Work.FirstOrDefault(w => w.Point.Label == place.Point) is not { Fitted: not null, Point.Adjuster: Adjuster.Shim shim } work) continue;
            place.OverActId = Guid.CreateVersion7();
            var diameter = await data.Engines.Where(e => e.Id == row.EngineId).Select(e => e.EngineType!.Facts.ShimDiameterMm).FirstAsync();
            var line = new ShimMovementRow { ActId = place.OverActId.Value, Written = ShimLedger.Written(place.OldMm), Unit = "mm", At = visit.Signed!.At.UtcDateTime, Who = who, Why = $"Came out at {place.Point}." };
            await ShimStock.KeepAsync(data, new ShimAct(ShimMovementKind.In, drawer, place.OldMm, 1), ShimSort.Of(shim.Access, diameter), line, work.ShimFound?.How ?? ShimKnownBy.Micrometer);
        }
    }

    private static async Task<EngineFitting> OneAsync(ZeroDriftContext data, Guid measuredId, IReadOnlyList<string> points)
    {
        var measured = (await VisitReader.LoadAsync(data, measuredId))!;
        var later = await data.Visits.AsNoTracking().Where(v => v.EngineId == measured.Row.EngineId && v.Key > measured.Row.Key && v.State != VisitState.Abandoned).OrderBy(v => v.Key).Select(v => v.Id).ToListAsync();
        List<StoredVisit> fitting = [measured];
        foreach (var id in later)
            if ((await VisitReader.LoadAsync(data, id))! is { } visit && visit.Visit.Opened!.Continues == measuredId) fitting.Add(visit);
        var at = fitting.FindLast(v => v.Row.Id != measuredId) ?? (measured.Visit.Work.Any(w => w.Fitted is not null && points.Contains(w.Point.Label)) ? measured : null);
        var fitted = new Dictionary<string, PointWork>(StringComparer.Ordinal);
        foreach (var visit in fitting)
            foreach (var work in visit.Visit.Work.Where(w => points.Contains(w.Point.Label) && w.Fitted is not null)) fitted[work.Point.Label] = work;
        var facts = new ShimFitting(at?.Visit.State == VisitState.Open, points.Count, fitted.Count, fitted.Values.Count(w => w.Left is not null), at is { Visit: { State: VisitState.Signed, StartsClock: true } });
        return new EngineFitting(measured, at, facts, fitted);
    }
}
