using System.Collections.Concurrent;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Data;
using ZeroDrift.Data.Outlooks;
using ZeroDrift.Data.Storage;

namespace ZeroDrift.Server.Outlooks;

/// <summary>
/// Fits groups again in the background: a signature or a meter reading has brought its own engine up at once, its sisters follow. Asking twice
/// while one waits is asking once.
/// </summary>
internal sealed class Refits(IServiceScopeFactory scopes, WriteGate gate, FleetDay day, ILogger<Refits> log) : BackgroundService
{
    private static readonly TimeSpan Gather = TimeSpan.FromMilliseconds(300);
    private static readonly TimeSpan LookForStale = TimeSpan.FromMinutes(10);

    /// <summary>Usage and forecasts stand on a day; a week later they are worked out again though nothing came in.</summary>
    private const int StaleDays = 7;

    private readonly ConcurrentDictionary<Guid, bool> wanted = new();
    private readonly SemaphoreSlim bell = new(0, 1);

    /// <summary>Asks for a type to be fitted again.</summary>
    public void Want(Guid? typeId)
    {
        if (typeId is not { } id) return;
        wanted[id] = true;
        try
        {
            bell.Release();
        }
        catch (SemaphoreFullException)
        {
            // It rings already.
        }
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
        var types = await scope.ServiceProvider.GetRequiredService<ZeroDriftContext>().Outlooks.AsNoTracking().Where(o => o.AsOf < before).Select(o => o.EngineTypeId).Distinct().ToListAsync();
        foreach (var type in types) Want(type);
    }

    private async Task FitAsync(Guid typeId)
    {
        await using var scope = scopes.CreateAsyncScope();
        var data = scope.ServiceProvider.GetRequiredService<ZeroDriftContext>();
        // What came in while it was worked out rings again, so nothing stale stays.
        if (await OutlookKeeper.FitAsync(data, typeId, day.Today) is { } fit) await gate.RunAsync(write => OutlookKeeper.KeepAsync(write, fit));
    }
}
