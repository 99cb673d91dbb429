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
        var open = plan.InPlan.Select(j => j.Id).ToHashSet();
        var was = plan.Placements.Select(PlanEndpoints.Response).ToList();
        var now = await gate.RunAsync(async data =>
        {
            var rows = await data.Placements.Where(p => open.Contains(p.JobId)).ToDictionaryAsync(p => p.JobId);
            var stands = new List<PlacementResponse>();
            foreach (var at in found.Assignments)
            {
                var id = Guid.Parse(at.Job);
                if (!rows.Remove(id, out var row)) data.Placements.Add(row = new PlacementRow { JobId = id });
                (row.PersonId, row.MateId, row.Date, row.LastDate, row.Because) = (Guid.Parse(at.Technician), at.Mate is null ? null : Guid.Parse(at.Mate), plan.Date(at.Day), plan.Date(at.LastDay), at.Because);
                stands.Add(PlanEndpoints.Response(row));
            }
            data.Placements.RemoveRange(rows.Values);
            return stands;
        });
        // What was planned for the first time is no move.
        var before = was.Select(p => p.JobId).ToHashSet();
        return [.. PlanMoves.Between(was, now, id => open.Contains(id) && before.Contains(id), plan.Name).Select(m => m.Sentence)];
    }

    private sealed class Progress(PlanRuns runs) : IProgress<ScheduleProgress>
    {
        public void Report(ScheduleProgress value) => runs.state = new RunResponse(true, value.BestCost, value.Bound, "Looking for a better one…", []);
    }
}
