using Google.OrTools.Sat;
using ZeroDrift.Core;

namespace ZeroDrift.Planning;

/// <summary>How far a search has come.</summary>
public readonly record struct ScheduleProgress(double BestCost, double Bound);

/// <summary>
/// Places jobs on days and technicians with CP-SAT: one worker, a fixed seed and a deterministic time limit (wall clock only as a safety), so
/// that the same input gives the same plan. Every constraint holds whatever the input; what does not fit is named with what keeps it out.
/// </summary>
public static class Scheduler
{
    /// <summary>More ways to place jobs than this are not searched.</summary>
    public const int MostOptions = 150_000;

    private const long CostScale = 1000;
    private const int HoursScale = 1000;
    private const int Seed = 7;

    /// <summary>Deterministic units a second of the limit is worth: measured so that the deterministic limit, not the wall clock, ends the search on a slow machine too.</summary>
    private const double DeterministicShare = 0.25;

    /// <summary>The plan.</summary>
    /// <param name="request">What is to be planned.</param>
    /// <param name="progress">Told at each better plan.</param>
    /// <param name="cancellation">Stops the search; the best plan so far is returned.</param>
    /// <exception cref="BadInputException">A field out of range, a name unknown or used twice, or a plan too large to search.</exception>
    public static Schedule Plan(ScheduleRequest request, IProgress<ScheduleProgress>? progress = null, CancellationToken cancellation = default)
    {
        ScheduleCheck.Check(request);
        var options = Enumerable.Range(0, request.Jobs.Count).Select(j => Option.Of(request, j)).ToList();
        if (options.Sum(o => o.Count) > MostOptions)
            throw new BadInputException("jobs", $"{request.Jobs.Count} jobs, {request.Technicians.Count} technicians and {request.DayCount} days are more than can be searched; plan fewer days or jobs at once.");
        if (PinsThatCannotHold(request, options) is { Count: > 0 } impossible)
            return new Schedule(ScheduleStatus.Infeasible, 0, 0, [], impossible, 0);

        var greedy = GreedyPlan.Make(request, options);
        var (status, chosen, bound) = Solve(request, options, greedy, progress, cancellation);
        if (status == CpSolverStatus.Infeasible)
            return new Schedule(ScheduleStatus.Infeasible, 0, 0, [], [.. request.Pins.Select(p => p.Job).Distinct().Select(job => new Unplaced(job, "The pins cannot all hold at once: together they overfill a day or a group."))], 0);
        var cost = Explanation.Cost(request, chosen);
        var optimal = status == CpSolverStatus.Optimal;
        return Explanation.Of(request, options, chosen, optimal ? ScheduleStatus.Optimal : ScheduleStatus.Feasible, cost, optimal ? cost : Math.Min(cost, bound));
    }

    private static List<Unplaced> PinsThatCannotHold(ScheduleRequest request, List<List<Option>> options)
    {
        var result = new List<Unplaced>();
        foreach (var id in request.Pins.Select(p => p.Job).Distinct())
        {
            var job = request.Jobs.Select((j, i) => (j, i)).First(x => x.j.Id == id).i;
            if (options[job].Count == 0) result.Add(new Unplaced(id, "Its pin cannot hold: " + Explanation.NoOption(request, job)));
        }
        return result;
    }

    private static (CpSolverStatus Status, List<Option> Chosen, double Bound) Solve(ScheduleRequest request, List<List<Option>> options, List<Option> greedy, IProgress<ScheduleProgress>? progress, CancellationToken cancellation)
    {
        var model = new CpModel();
        var hinted = greedy.ToHashSet();
        var before = request.Previous.ToDictionary(p => p.Job);
        var tieBreak = request.Previous.Count > 0 ? request.Jobs.Count + 1 : 1;
        var objective = LinearExpr.NewBuilder();
        var variables = new List<(Option Option, BoolVar Variable)>();
        var pinned = request.Pins.Select(p => p.Job).ToHashSet();
        for (var job = 0; job < options.Count; job++)
        {
            var own = new List<ILiteral>();
            foreach (var option in options[job])
            {
                var variable = model.NewBoolVar("");
                variables.Add((option, variable));
                own.Add(variable);
                var moves = before.ContainsKey(request.Jobs[job].Id) && !GreedyPlan.IsBefore(request, before, option) ? 1 : 0;
                objective.AddTerm(variable, Scaled(option.Cost) * tieBreak + moves);
                model.AddHint(variable, hinted.Contains(option));
            }
            if (pinned.Contains(request.Jobs[job].Id))
            {
                model.AddExactlyOne(own);
                continue;
            }
            var left = model.NewBoolVar("");
            model.AddHint(left, !greedy.Exists(o => o.Job == job));
            own.Add(left);
            objective.AddTerm(left, Scaled(request.UnplacedCost) * tieBreak + (before.ContainsKey(request.Jobs[job].Id) ? 1 : 0));
            model.AddExactlyOne(own);
        }
        LimitHours(request, model, variables);
        LimitGroups(request, model, variables);
        CountSites(request, model, variables, objective, tieBreak);
        model.Minimize(objective);

        var solver = new CpSolver { StringParameters = FormattableString.Invariant($"num_workers:1 random_seed:{Seed} max_deterministic_time:{request.TimeLimitSeconds * DeterministicShare} max_time_in_seconds:{request.TimeLimitSeconds * 1.5} linearization_level:2") };
        using var stop = cancellation.Register(solver.StopSearch);
        if (cancellation.IsCancellationRequested) return (CpSolverStatus.Unknown, greedy, 0);
        var status = solver.Solve(model, progress is null ? null : new Reporter(progress, CostScale * tieBreak));
        var bound = Math.Max(0, Math.Ceiling(solver.BestObjectiveBound / tieBreak - 1 + 1e-6)) / CostScale;
        if (status is CpSolverStatus.Optimal or CpSolverStatus.Feasible)
            return (status, [.. variables.Where(v => solver.BooleanValue(v.Variable)).Select(v => v.Option)], tieBreak == 1 ? solver.BestObjectiveBound / CostScale : bound);
        return status == CpSolverStatus.Infeasible || pinned.Count > greedy.Count(o => pinned.Contains(request.Jobs[o.Job].Id))
            ? (CpSolverStatus.Infeasible, [], 0)
            : (CpSolverStatus.Feasible, greedy, Math.Max(0, bound));
    }

    private static void LimitHours(ScheduleRequest request, CpModel model, List<(Option Option, BoolVar Variable)> variables)
    {
        var days = variables.SelectMany(v => v.Option.Work.Select(w => (Key: (v.Option.Technician, w.Day), v.Variable, w.Hours))).GroupBy(w => w.Key);
        foreach (var day in days)
        {
            var sum = LinearExpr.NewBuilder();
            foreach (var work in day) sum.AddTerm(work.Variable, (long)Math.Ceiling(work.Hours * HoursScale - 1e-6));
            model.AddLinearConstraint(sum, 0, (long)Math.Floor(request.Technicians[day.Key.Technician].HoursOn(day.Key.Day) * HoursScale + 1e-6));
        }
    }

    private static void LimitGroups(ScheduleRequest request, CpModel model, List<(Option Option, BoolVar Variable)> variables)
    {
        foreach (var (group, limit) in request.GroupLimits)
        {
            // An engine opened on Friday and closed on Monday is out over the week-end too.
            var days = variables.Where(v => request.Jobs[v.Option.Job].Group == group)
                .SelectMany(v => Enumerable.Range(v.Option.FirstDay, v.Option.LastDay - v.Option.FirstDay + 1).Select(day => (day, v.Variable)))
                .GroupBy(d => d.day);
            foreach (var day in days) model.AddLinearConstraint(LinearExpr.Sum(day.Select(d => d.Variable)), 0, limit);
        }
    }

    private static void CountSites(ScheduleRequest request, CpModel model, List<(Option Option, BoolVar Variable)> variables, LinearExprBuilder objective, int tieBreak)
    {
        if (request.SiteChangeCost <= 0) return;
        var days = variables.Where(v => request.Jobs[v.Option.Job].Site is not null)
            .SelectMany(v => v.Option.Work.Select(w => (Key: (v.Option.Technician, w.Day), Site: request.Jobs[v.Option.Job].Site!, v.Variable)))
            .GroupBy(w => w.Key);
        foreach (var day in days)
        {
            var sites = day.GroupBy(w => w.Site).ToList();
            if (sites.Count < 2) continue;
            var visited = new List<BoolVar>();
            foreach (var site in sites)
            {
                var visit = model.NewBoolVar("");
                foreach (var work in site) model.AddImplication(work.Variable, visit);
                visited.Add(visit);
            }
            // The first site of a day is free. "At least one fewer than visited" keeps the relaxation tight, where a bonus for the first would not.
            var further = model.NewIntVar(0, sites.Count - 1, "");
            model.Add(further >= LinearExpr.Sum(visited) - 1);
            objective.AddTerm(further, Scaled(request.SiteChangeCost) * tieBreak);
        }
    }

    private static long Scaled(double cost) => (long)Math.Round(cost * CostScale);

    private sealed class Reporter(IProgress<ScheduleProgress> progress, double scale) : CpSolverSolutionCallback
    {
        public override void OnSolutionCallback() => progress.Report(new ScheduleProgress(ObjectiveValue() / scale, BestObjectiveBound() / scale));
    }
}
