using Microsoft.EntityFrameworkCore;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.Shims.Jobs;

namespace ZeroDrift.Server.Plan;

/// <summary>The demo's own plan, made once by the planner from what its engines are due for, and published.</summary>
internal sealed class DemoPlan(IServiceScopeFactory scopes, WriteGate gate, Yard yard, FleetDay day, PlanRuns runs, ILogger<DemoPlan> log) : BackgroundService
{
    private const int Days = 42;
    private const double Seconds = 3;

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        try
        {
            await using (var scope = scopes.CreateAsyncScope())
            {
                var data = scope.ServiceProvider.GetRequiredService<ZeroDriftContext>();
                await DemoShims.OrderAsync(data, gate, day, stoppingToken);
                if (await data.PlanVersions.AnyAsync(stoppingToken) || await data.Placements.AnyAsync(stoppingToken)) return;
            }
            await JobEndpoints.FromDue(new JobsFromDueRequest(null), gate, yard, day, stoppingToken);
            runs.Start(day.Today, Days, Seconds);
            await runs.IdleAsync();
            await PinAsync(stoppingToken);
            await PlanEndpoints.Publish(new PublishRequest("Tove"), gate, day, stoppingToken);
            await BreakAsync(stoppingToken);
        }
        catch (OperationCanceledException)
        {
            // The server stops; the next start plans.
        }
        catch (Exception fault)
        {
            log.LogWarning(fault, "The demo has no plan yet.");
        }
    }

    /// <summary>The test bench for the injectors is booked: that job stays where it is.</summary>
    private async Task PinAsync(CancellationToken stopped) => await gate.RunAsync(async data =>
    {
        var booked = await data.Jobs.Where(j => j.Opens).Select(j => j.Id).ToListAsync(stopped);
        foreach (var placed in await data.Placements.Where(p => booked.Contains(p.JobId)).ToListAsync(stopped)) placed.Pinned = true;
        return true;
    }, stopped);

    /// <summary>A day when something breaks: whoever has the next job by the published plan is ill, and the draft says what can stand no more.</summary>
    private async Task BreakAsync(CancellationToken stopped) => await gate.RunAsync(async data =>
    {
        var next = await data.Placements.Where(p => !p.Pinned).OrderBy(p => p.Date).ThenBy(p => p.PersonId).FirstOrDefaultAsync(stopped);
        if (next is null) return false;
        data.Away.Add(new AwayRow { Id = Guid.CreateVersion7(), PersonId = next.PersonId, From = next.Date, To = next.Date.AddDays(1), Why = "ill" });
        return true;
    }, stopped);
}
