using Microsoft.EntityFrameworkCore;
using ZeroDrift.Data.Outlooks;

namespace ZeroDrift.Data.Visits;

/// <summary>Makes every projection anew from entries, meter and book.</summary>
public static class Rebuild
{
    /// <summary>Rebuilds visits, standing figures, marks and outlooks; inside one transaction.</summary>
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
            await Exchange.ProjectAsync(data, stored.Row, stored.Visit, false, today);
            data.ChangeTracker.Clear();
        }
        await OutlooksAsync(data, today, say);
        return ids.Count;
    }

    /// <summary>Notes for every visit what it was measured with and which gaps were measured twice; for a file whose visits were kept before that was noted.</summary>
    public static async Task MeansAsync(ZeroDriftContext data)
    {
        foreach (var id in await data.Visits.AsNoTracking().OrderBy(v => v.Key).Select(v => v.Id).ToListAsync())
        {
            var stored = (await VisitReader.LoadAsync(data, id))!;
            await Exchange.MeansAsync(data, stored.Row, stored.Visit);
            await data.SaveChangesAsync();
            data.ChangeTracker.Clear();
        }
    }

    /// <summary>Works out every outlook anew, by the model of this version.</summary>
    public static async Task OutlooksAsync(ZeroDriftContext data, DateOnly today, Action<string>? say = null)
    {
        await data.Outlooks.ExecuteDeleteAsync();
        await data.TypeFits.ExecuteDeleteAsync();
        foreach (var type in await data.EngineTypes.AsNoTracking().Select(t => t.Id).ToListAsync())
        {
            say?.Invoke($"Outlooks of type {type}");
            if (await OutlookKeeper.FitAsync(data, type, today) is { } fit) await OutlookKeeper.KeepAsync(data, fit);
            data.ChangeTracker.Clear();
        }
    }
}
