using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Visits;

/// <summary>
/// Points that wait for a part, from whatever visit they wait: an overhead, a spot check, with any number of visits between. A point waits from the last
/// signed visit that measured it, if it was left waiting there.
/// </summary>
public static class WaitingPoints
{
    /// <summary>The visits that left points waiting and what still does, the newest first; with what was decided for them since.</summary>
    public static async Task<IReadOnlyList<AwaitingRecord>> OfAsync(ZeroDriftContext data, Guid engineId)
    {
        var candidates = await VisitReader.AllAsync(data, MayWait(data).Where(v => v.EngineId == engineId));
        var waits = new List<AwaitingRecord>();
        foreach (var (row, _, _, visit) in candidates.OrderByDescending(v => v.Row.Date).ThenByDescending(v => v.Row.Key))
        {
            var since = (await data.Readings.AsNoTracking()
                .Where(r => r.EngineId == engineId && data.Visits.Any(v => v.Key == r.VisitKey && v.State == VisitState.Signed && (v.Date > row.Date || (v.Date == row.Date && v.Key > row.Key))))
                .Select(r => r.Point).Distinct().ToListAsync()).ToHashSet();
            var waiting = Left(visit).Where(p => !since.Contains(p.Point)).ToList();
            if (waiting.Count == 0) continue;
            var decided = await data.ShimPlaces.AsNoTracking().Where(p => p.VisitId == row.Id && !data.ShimJobEvents.Any(e => e.JobId == p.JobId && e.Kind == ShimJobEventKind.Dropped)).ToDictionaryAsync(p => p.Point);
            waits.Add(new AwaitingRecord(row.Id, [.. waiting.Select(p => new AwaitingPointRecord(p.Point, FigureRecord.Of(p.Found)!)
            {
                Shim = decided.TryGetValue(p.Point, out var shim) ? new PlannedShimRecord(shim.OldMm, shim.NewMm, shim.Origin, shim.FromPoint) : null,
            })])
            { TotalHours = row.TotalHours, Job = row.Job });
        }
        return waits;
    }

    /// <summary>The engines on which something may wait.</summary>
    public static async Task<HashSet<Guid>> EnginesAsync(ZeroDriftContext data) => [.. await MayWait(data).Select(v => v.EngineId).Distinct().ToListAsync()];

    private static IQueryable<VisitRow> MayWait(ZeroDriftContext data) =>
        data.Visits.AsNoTracking().Where(v => v.State == VisitState.Signed && (v.Waiting > 0 || (v.Waiting == VisitRow.WaitingUnknown && !v.StartsClock)));

    /// <summary>The points that a visit leaves waiting.</summary>
    public static IEnumerable<PointView> Left(Visit visit) => visit.Points.Where(p => p.Outcome == PointOutcome.Awaiting && p is { Found: not null, Left: null });
}
