using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Outlooks;
using ZeroDrift.Data.Shims;
using ZeroDrift.Data.Visits;

namespace ZeroDrift.Data.Projections;

/// <summary>
/// Brings up everything that is kept about an engine together: the rows of its visits with their hours, its outlook, and what a signature settles.
/// The write gate ends every transaction with it; whatever it leaves is what <see cref="AllAsync"/> makes of the entries, the meters and the book.
/// </summary>
public static class Projector
{
    /// <summary>Brings up what entries have changed in one visit: its rows, and on its signature the job, the reports and the shims it settles.</summary>
    /// <param name="data">The transaction under way, the entries in it.</param>
    /// <param name="row">The visit's row, tracked.</param>
    /// <param name="visit">The visit as it is now.</param>
    /// <param name="justSigned">It was open before these entries.</param>
    public static async Task VisitAsync(ZeroDriftContext data, VisitRow row, Visit visit, bool justSigned)
    {
        await RowsAsync(data, row, visit);
        if (visit.State != VisitState.Signed) return;
        if (justSigned) await JobOfVisit.CloseAsync(data, row, visit.Opened!);
        if (!row.Bench) await CloseCallsAsync(data, row);
        await ShimFittings.TakeInOverAsync(data, row, visit);
        await data.SaveChangesAsync();
    }

    /// <summary>Brings up all that rests on what this transaction has touched so far. Called once more at its end; whoever answers with it calls it before.</summary>
    public static async Task BringUpAsync(ZeroDriftContext data, DateOnly today)
    {
        await data.SaveChangesAsync();
        var touched = data.Touched;
        if (!touched.IsAnything) return;
        await HoursAsync(data, touched.Meters);
        var engines = new HashSet<Guid>([.. touched.Meters, .. touched.Engines]);
        if (touched.Machines.Count > 0) engines.UnionWith(await data.Engines.Where(e => touched.Machines.Contains(e.MachineId)).Select(e => e.Id).ToListAsync());
        var whole = touched.Fleet ? await data.EngineTypes.Select(t => t.Id).ToListAsync() : touched.Types.ToList();
        var fitted = new HashSet<Guid>();
        foreach (var type in whole) (await OutlookKeeper.RefreshTypeAsync(data, type, today) ? touched.Again : fitted).Add(type);
        touched.Again.UnionWith(await OutlookKeeper.RefreshAsync(data, engines, fitted, today));
        await data.SaveChangesAsync();
        touched.Forget();
    }

    /// <summary>Makes every projection anew from entries, meter and book; inside one transaction.</summary>
    /// <returns>How many visits were folded.</returns>
    public static async Task<int> AllAsync(ZeroDriftContext data, DateOnly today, Action<string>? say = null)
    {
        await data.Readings.ExecuteDeleteAsync();
        await data.Marks.ExecuteDeleteAsync();
        await data.VisitInstruments.ExecuteDeleteAsync();
        await data.SameGaps.ExecuteDeleteAsync();
        await data.LockPairs.ExecuteDeleteAsync();
        var ids = await data.Visits.AsNoTracking().OrderBy(v => v.Key).Select(v => v.Id).ToListAsync();
        foreach (var id in ids)
        {
            var stored = (await VisitReader.LoadAsync(data, id, track: true))!;
            await RowsAsync(data, stored.Row, stored.Visit);
            data.ChangeTracker.Clear();
        }
        await OutlooksAsync(data, today, say);
        return ids.Count;
    }

    /// <summary>Works out every outlook anew, by the model of this version.</summary>
    public static async Task OutlooksAsync(ZeroDriftContext data, DateOnly today, Action<string>? say = null)
    {
        await data.Outlooks.ExecuteDeleteAsync();
        await data.TypeFits.ExecuteDeleteAsync();
        foreach (var type in await data.EngineTypes.AsNoTracking().OrderBy(t => t.Code).Select(t => new { t.Id, t.Code }).ToListAsync())
        {
            say?.Invoke($"Fitting the engines of type {type.Code}");
            if (await OutlookKeeper.FitAsync(data, type.Id, today) is { } fit) await OutlookKeeper.KeepAsync(data, fit);
            data.ChangeTracker.Clear();
        }
        data.Touched.Forget();
    }

    /// <summary>A visit's own rows, as its entries have them.</summary>
    private static async Task RowsAsync(ZeroDriftContext data, VisitRow row, Visit visit)
    {
        await data.SaveChangesAsync();
        VisitProjection.Onto(row, visit, (await data.MeterAsync(row.EngineId)).ToHistory());
        var rows = VisitProjection.Rows(row, visit);
        await MatchAsync(data, data.Readings.Where(r => r.VisitKey == row.Key), rows.Readings, r => (r.Point, r.Stage));
        await MatchAsync(data, data.Marks.Where(r => r.VisitKey == row.Key), rows.Marks, r => r.Name);
        // Of signed visits only: a tap at the engine pays for none of them.
        if (visit.State == VisitState.Signed)
        {
            await MatchAsync(data, data.VisitInstruments.Where(r => r.VisitKey == row.Key), rows.Instruments, r => r.NameKey);
            await MatchAsync(data, data.SameGaps.Where(r => r.VisitKey == row.Key), rows.SameGaps, r => (r.Gap, r.Reading));
            await MatchAsync(data, data.LockPairs.Where(r => r.VisitKey == row.Key), rows.LockPairs, r => (r.Point, r.Lock));
        }
        await data.SaveChangesAsync();
    }

    /// <summary>Makes the rows that stand into those that should.</summary>
    private static async Task MatchAsync<TRow, TKey>(ZeroDriftContext data, IQueryable<TRow> standing, IReadOnlyList<TRow> wanted, Func<TRow, TKey> key)
        where TRow : class
        where TKey : notnull
    {
        var before = await standing.ToDictionaryAsync(key);
        foreach (var row in wanted)
        {
            if (before.Remove(key(row), out var present)) data.Entry(present).CurrentValues.SetValues(row);
            else data.Add(row);
        }
        data.RemoveRange(before.Values);
    }

    /// <summary>Total hours of every visit of engines whose meter now says something else, open ones too.</summary>
    private static async Task HoursAsync(ZeroDriftContext data, IReadOnlyCollection<Guid> engines)
    {
        var meters = await data.MetersAsync(engines);
        foreach (var visits in (await data.Visits.Where(v => engines.Contains(v.EngineId) && v.ShownHours != null).ToListAsync()).GroupBy(v => v.EngineId))
        {
            var meter = meters[visits.Key].ToHistory();
            foreach (var visit in visits) visit.TotalHours = VisitProjection.TotalHours(visit.Date, visit.ShownHours, meter);
        }
    }

    /// <summary>What called for the engine before this visit was opened has been answered by it.</summary>
    private static async Task CloseCallsAsync(ZeroDriftContext data, VisitRow row)
    {
        // By the server's clock: a device's is kept and shown, never judged.
        var opened = await data.Entries.Where(e => e.VisitKey == row.Key && e.Sequence == 1).Select(e => e.ReceivedAt).FirstAsync();
        foreach (var call in await data.Calls.Where(c => c.EngineId == row.EngineId && c.ClosedAt == null && c.At <= opened).ToListAsync())
            (call.ClosedAt, call.VisitId) = (opened, row.Id);
    }
}
