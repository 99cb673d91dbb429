using System.Collections.Concurrent;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Outlook;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Server.Engines;

namespace ZeroDrift.Server.Outlooks;

/// <summary>An engine with its outlook and the record it came from.</summary>
internal sealed record EngineWithOutlook(EngineRow Engine, EngineTypeRow Type, EngineRecord Record, EngineOutlook Outlook, double ShownHours)
{
    private DueRow? row;

    /// <summary>Its line in the yard, kept as long as the outlook is.</summary>
    public DueRow Row(DateOnly today) => row ??= DueRows.Of(this, today);
}

/// <summary>
/// Keeps the outlook of every engine until something it rests on changes. All engines of a type are worked out together, because their
/// rates are pooled; a signature, a meter reading or a new revision forgets one type and no other.
/// </summary>
internal sealed class OutlookCache(IServiceScopeFactory scopes, TimeProvider clock)
{
    private readonly ConcurrentDictionary<Guid, (DateOnly Day, Lazy<Task<IReadOnlyList<EngineWithOutlook>>> Work)> byType = new();

    public DateOnly Today => DateOnly.FromDateTime(clock.GetUtcNow().UtcDateTime);

    /// <summary>Forget a type whose engines changed.</summary>
    public void Forget(Guid typeId) => byType.TryRemove(typeId, out _);

    /// <summary>Forget everything, as when the fleet's risk or tolerance changed.</summary>
    public void ForgetAll() => byType.Clear();

    /// <summary>All engines of one type.</summary>
    public async Task<IReadOnlyList<EngineWithOutlook>> OfTypeAsync(Guid typeId)
    {
        var today = Today;
        var entry = byType.AddOrUpdate(typeId, _ => (today, Start(typeId, today)), (_, known) => known.Day == today ? known : (today, Start(typeId, today)));
        try
        {
            return await entry.Work.Value;
        }
        catch
        {
            byType.TryRemove(typeId, out _);
            throw;
        }
    }

    /// <summary>Every engine of the fleet.</summary>
    public async Task<IReadOnlyList<EngineWithOutlook>> AllAsync()
    {
        await using var scope = scopes.CreateAsyncScope();
        var types = await scope.ServiceProvider.GetRequiredService<ZeroDriftContext>().EngineTypes.Select(t => t.Id).ToListAsync();
        var all = new List<EngineWithOutlook>();
        foreach (var type in types) all.AddRange(await OfTypeAsync(type));
        return all;
    }

    /// <summary>Works everything out ahead of the first question.</summary>
    public Task WarmAsync() => Task.Run(AllAsync);

    private Lazy<Task<IReadOnlyList<EngineWithOutlook>>> Start(Guid typeId, DateOnly today) => new(() => Task.Run(() => WorkOutAsync(typeId, today)));

    private async Task<IReadOnlyList<EngineWithOutlook>> WorkOutAsync(Guid typeId, DateOnly today)
    {
        await using var scope = scopes.CreateAsyncScope();
        var context = scope.ServiceProvider.GetRequiredService<ZeroDriftContext>();
        var fleet = await context.Fleet.AsNoTracking().SingleOrDefaultAsync() ?? new FleetRow();
        var type = await context.EngineTypes.AsNoTracking().Include(t => t.Points).Include(t => t.Revisions).AsSplitQuery().FirstOrDefaultAsync(t => t.Id == typeId);
        if (type is null) return [];
        var engines = await context.Engines.AsNoTracking().Where(e => e.EngineTypeId == typeId)
            .Include(e => e.MeterReadings).Include(e => e.Overheads.Where(o => o.SignedAt != null)).ThenInclude(o => o.Readings)
            .AsSplitQuery().ToListAsync();
        var records = engines.Select(engine => engine.ToRecord(type, fleet, today)).ToList();
        var outlooks = TypeOutlook.Of(records, today, fleet.Risk);
        return [.. engines.Select((engine, i) => new EngineWithOutlook(engine, type, records[i], outlooks[i], engine.Meter().ShownFor(records[i].HoursNow)))];
    }
}
