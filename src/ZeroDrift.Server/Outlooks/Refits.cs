using System.Collections.Concurrent;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Data;
using ZeroDrift.Data.Outlooks;
using ZeroDrift.Data.Writing;

namespace ZeroDrift.Server.Outlooks;

/// <summary>
/// Fits groups again in the background: a signature or a meter reading has brought its own engine up at once, its sisters follow. Asking twice
/// while one waits is asking once.
/// </summary>
internal sealed class Refits : BackgroundService
{
    private readonly IServiceScopeFactory scopes;
    private readonly WriteGate gate;
    private readonly FleetDay day;
    private readonly ILogger<Refits> log;

    private static readonly TimeSpan Gather = TimeSpan.FromMilliseconds(300);
    private static readonly TimeSpan LookForStale = TimeSpan.FromMinutes(10);

    /// <summary>Usage and forecasts stand on a day; a week later they are worked out again though nothing came in. So is what an earlier model worked out.</summary>
    private const int StaleDays = 7;

    private readonly ConcurrentDictionary<Guid, bool> wanted = new();
    private readonly SemaphoreSlim bell = new(0, 1);

    public Refits(IServiceScopeFactory scopes, WriteGate gate, FleetDay day, ILogger<Refits> log)
    {
        (this.scopes, this.gate, this.day, this.log) = (scopes, gate, day, log);
        gate.RefitWanted += Want;
    }

    private void Want(IReadOnlySet<Guid> types)
    {
        if (types.Count == 0) return;
        foreach (var id in types) wanted[id] = true;
        try
        {
            bell.Release();
        }
        catch (SemaphoreFullException)
        {
            // It rings already.
        }
    }

    public override void Dispose()
    {
        gate.RefitWanted -= Want;
        bell.Dispose();
        base.Dispose();
    }

    /// <summary>Whether nothing waits to be fitted.</summary>
    public bool IsIdle => wanted.IsEmpty && !working;

    private volatile bool working;

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        while (!stoppingToken.IsCancellationRequested)
        {
            try
            {
                await WantStaleAsync();
                await bell.WaitAsync(LookForStale, stoppingToken);
                await Task.Delay(Gather, stoppingToken);
                working = true;
                foreach (var typeId in wanted.Keys)
                {
                    if (stoppingToken.IsCancellationRequested) return;
                    wanted.TryRemove(typeId, out _);
                    await FitAsync(typeId);
                }
            }
            catch (OperationCanceledException)
            {
                return;
            }
            catch (Exception fault)
            {
                log.LogError(fault, "A group could not be fitted; it is tried again when something changes.");
            }
            finally
            {
                working = false;
            }
        }
    }

    private async Task WantStaleAsync()
    {
        await using var scope = scopes.CreateAsyncScope();
        var before = day.Today.AddDays(-StaleDays);
        var types = await scope.ServiceProvider.GetRequiredService<ZeroDriftContext>().Outlooks.AsNoTracking().Where(o => o.AsOf < before || o.Model != OutlookKeeper.Model).Select(o => o.EngineTypeId).Distinct().ToListAsync();
        Want(types.ToHashSet());
    }

    private async Task FitAsync(Guid typeId)
    {
        await using var scope = scopes.CreateAsyncScope();
        var data = scope.ServiceProvider.GetRequiredService<ZeroDriftContext>();
        // What came in while it was worked out stays as it stands, and has asked for another fit already.
        if (await OutlookKeeper.FitAsync(data, typeId, day.Today) is { } fit) await gate.RunAsync(write => OutlookKeeper.KeepAsync(write, fit));
    }
}
