using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Visits;

namespace ZeroDrift.Server.Engines;

/// <summary>What waits since a visit, and in which kind of job it is gone on with.</summary>
public sealed record AwaitingPoints(Guid VisitId, DateOnly Date, IReadOnlyList<string> Points, JobKind Job)
{
    /// <summary>All that waits on an engine, the newest visit first.</summary>
    internal static async Task<IReadOnlyList<AwaitingPoints>> OfAsync(ZeroDriftContext data, Guid engineId, CancellationToken cancelled = default)
    {
        var waits = await WaitingPoints.OfAsync(data, engineId);
        if (waits.Count == 0) return [];
        var ids = waits.Select(w => w.VisitId).ToList();
        var visits = await data.Visits.AsNoTracking().Where(v => ids.Contains(v.Id)).Select(v => new { v.Id, v.Date, v.Job }).ToDictionaryAsync(v => v.Id, cancelled);
        return [.. waits.Select(w => new AwaitingPoints(w.VisitId, visits[w.VisitId].Date, [.. w.Points.Select(p => p.Point)], visits[w.VisitId].Job))];
    }
}
