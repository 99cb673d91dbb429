using Microsoft.EntityFrameworkCore;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Writing;
using ZeroDrift.Planning;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Plan;

/// <summary>Plans in the background, one run at a time: told as it gets better, stopped on demand, and the draft is what it found.</summary>
internal sealed class PlanRuns(IServiceScopeFactory scopes, WriteGate gate, FleetDay day, Yard yard, ILogger<PlanRuns> log) : IDisposable
{
    private readonly Lock key = new();
    private CancellationTokenSource? stop;
    private Task running = Task.CompletedTask;
    private volatile RunResponse state = new(false, null, null, null, []);

    /// <summary>What was left out by the last run, with why.</summary>
    public IReadOnlyList<UnplacedJob> Unplaced { get; private set; } = [];

    public RunResponse State => state;

    /// <summary>Begins a run; one that is under way goes on.</summary>
    public void Start(DateOnly from, int days, double seconds)
    {
        lock (key)
        {
            if (!running.IsCompleted) return;
            stop?.Dispose();
            stop = new CancellationTokenSource();
            state = new RunResponse(true, null, null, "Looking…", []);
            var token = stop.Token;
            running = Task.Run(() => RunAsync(from, days, seconds, token), CancellationToken.None);
        }
    }

    /// <summary>Stops; the best plan so far is taken.</summary>
    public void Stop()
    {
        lock (key) stop?.Cancel();
    }

    /// <summary>When nothing runs any more.</summary>
    public Task IdleAsync()
    {
        lock (key) return running;
    }

    public void Dispose()
    {
        stop?.Cancel();
        stop?.Dispose();
    }

    private async Task RunAsync(DateOnly from, int days, double seconds, CancellationToken stopped)
    {
        try
        {
            await using var scope = scopes.CreateAsyncScope();
            var data = scope.ServiceProvider.GetRequiredService<ZeroDriftContext>();
            var plan = await PlanBuilder.OfAsync(data, await JobsView.OfAsync(data, yard, day), from, days, seconds);
            if (plan.Mechanics.Count == 0)
            {
                state = new RunResponse(false, null, null, "Nobody has working hours yet: give them on this page.", []);
                return;
            }
            var found = Scheduler.Plan(plan.Again(), new Progress(this), stopped);
            if (found.Status == ScheduleStatus.Infeasible)
            {
                Unplaced = [.. found.Unplaced.Select(u => new UnplacedJob(Guid.Parse(u.Job), u.Reason))];
                state = new RunResponse(false, null, null, "The pins cannot all hold: " + string.Join(" ", found.Unplaced.Select(u => $"{plan.Name(Guid.Parse(u.Job))}: {u.Reason}")), []);
                return;
            }
            var moved = await KeepAsync(plan, found);
            Unplaced = [.. found.Unplaced.Select(u => new UnplacedJob(Guid.Parse(u.Job), u.Reason))];
            state = new RunResponse(false, found.Cost, found.Bound, Bound(found), moved);
        }
        catch (Exception fault)
        {
            log.LogError(fault, "A planning run failed.");
            state = new RunResponse(false, null, null, fault is Core.BadInputException ? fault.Message : "Planning failed; what stood before stands. The log says more.", []);
        }
    }

    /// <summary>How good it is, in plain words.</summary>
    private static string Bound(Schedule plan)
    {
        if (plan.Status == ScheduleStatus.Optimal) return "No better plan exists.";
        var percent = Math.Ceiling((plan.Cost - plan.Bound) / Math.Max(plan.Cost, 1e-9) * 100);
        return percent < 1 ? "No plan can be 1 % better." : $"No plan can be more than {percent:0} % better.";
    }

    private async Task<IReadOnlyList<string>> KeepAsync(PlanBuilder plan, Schedule found)
    {
        var was = plan.Placements.ToDictionary(p => p.JobId);
        var moved = new List<string>();
        await gate.RunAsync(async data =>
        {
            moved.Clear();
            var open = plan.InPlan.Select(j => j.Id).ToHashSet();
            var rows = await data.Placements.Where(p => open.Contains(p.JobId)).ToDictionaryAsync(p => p.JobId);
            foreach (var at in found.Assignments)
            {
                var id = Guid.Parse(at.Job);
                if (!rows.Remove(id, out var row)) data.Placements.Add(row = new PlacementRow { JobId = id });
                (row.PersonId, row.MateId, row.Date, row.LastDate, row.Because) = (Guid.Parse(at.Technician), at.Mate is null ? null : Guid.Parse(at.Mate), plan.Date(at.Day), plan.Date(at.LastDay), at.Because);
                if (was.TryGetValue(id, out var old) && (old.PersonId != row.PersonId || old.Date != row.Date)) moved.Add($"{plan.Name(id)}: from {Core.Said.Day(old.Date)} to {Core.Said.Day(row.Date)}, {plan.Name(row.PersonId)}. {at.Because}");
            }
            foreach (var gone in rows.Values)
            {
                moved.Add($"{plan.Name(gone.JobId)}: taken out of the plan.");
                data.Placements.Remove(gone);
            }
            return true;
        });
        return moved;
    }

    private sealed class Progress(PlanRuns runs) : IProgress<ScheduleProgress>
    {
        public void Report(ScheduleProgress value) => runs.state = new RunResponse(true, value.BestCost, value.Bound, "Looking for a better one…", []);
    }
}
