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
        var left = new BoolVar?[request.Jobs.Count];
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
            var absent = model.NewBoolVar("");
            left[job] = absent;
            model.AddHint(absent, !greedy.Exists(o => o.Job == job));
            own.Add(absent);
            objective.AddTerm(absent, Scaled(request.UnplacedCost) * tieBreak + (before.ContainsKey(request.Jobs[job].Id) ? 1 : 0));
            model.AddExactlyOne(own);
        }
        var visits = new SiteVisits(request, model, variables);
        LimitHours(request, model, variables, visits);
        LimitGroups(request, model, variables);
        LimitTools(request, model, variables);
        KeepOrder(request, model, variables, left);
        visits.Cost(objective, weight => Scaled(weight) * tieBreak);
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

    private static void LimitHours(ScheduleRequest request, CpModel model, List<(Option Option, BoolVar Variable)> variables, SiteVisits visits)
    {
        var days = variables.SelectMany(v => v.Option.Crew.SelectMany(who => v.Option.Work.Select(w => (Key: (Technician: who, w.Day), v.Variable, w.Hours)))).GroupBy(w => w.Key);
        foreach (var day in days)
        {
            var sum = LinearExpr.NewBuilder();
            foreach (var work in day) sum.AddTerm(work.Variable, Hours(work.Hours));
            visits.AddRoads(sum, day.Key.Technician, day.Key.Day, Hours);
            model.AddLinearConstraint(sum, 0, (long)Math.Floor(request.Technicians[day.Key.Technician].HoursOn(day.Key.Day) * HoursScale + 1e-6));
        }
    }

    private static void LimitGroups(ScheduleRequest request, CpModel model, List<(Option Option, BoolVar Variable)> variables)
    {
        foreach (var (group, limit) in request.GroupLimits) AtMost(model, variables.Where(v => request.Jobs[v.Option.Job].Group == group), limit);
    }

    private static void LimitTools(ScheduleRequest request, CpModel model, List<(Option Option, BoolVar Variable)> variables)
    {
        foreach (var tool in request.Jobs.SelectMany(j => j.Tools).Distinct())
            AtMost(model, variables.Where(v => request.Jobs[v.Option.Job].Tools.Contains(tool)), request.ToolCounts.GetValueOrDefault(tool, 1));
    }

    /// <summary>On no day more than so many of these. An engine opened on Friday and closed on Monday is out over the week-end too, and keeps its tools.</summary>
    private static void AtMost(CpModel model, IEnumerable<(Option Option, BoolVar Variable)> variables, int limit)
    {
        var days = variables.SelectMany(v => Enumerable.Range(v.Option.FirstDay, v.Option.LastDay - v.Option.FirstDay + 1).Select(day => (day, v.Variable))).GroupBy(d => d.day);
        foreach (var day in days) model.AddLinearConstraint(LinearExpr.Sum(day.Select(d => d.Variable)), 0, limit);
    }

    /// <summary>A job that waits for another begins so many days after that one's last, and not at all without it.</summary>
    private static void KeepOrder(ScheduleRequest request, CpModel model, List<(Option Option, BoolVar Variable)> variables, BoolVar?[] left)
    {
        if (request.Jobs.All(j => j.After is null)) return;
        var own = variables.ToLookup(v => v.Option.Job);
        var numbers = request.Jobs.Select((j, i) => (j.Id, i)).ToDictionary(j => j.Id, j => j.i);
        for (var job = 0; job < request.Jobs.Count; job++)
        {
            if (request.Jobs[job].After is not { } after) continue;
            var before = numbers[after.Job];
            var gap = LinearExpr.NewBuilder();
            foreach (var (option, variable) in own[job]) gap.AddTerm(variable, option.FirstDay);
            foreach (var (option, variable) in own[before]) gap.AddTerm(variable, -option.LastDay);
            var order = model.AddLinearConstraint(gap, after.MinDays, request.DayCount);
            if (left[job] is { } absent) order.OnlyEnforceIf(absent.Not());
            if (left[before] is not { } first) continue;
            if (left[job] is { } second) model.AddImplication(first, second);
            else model.AddBoolAnd([first.Not()]);
        }
    }

    private static long Hours(double hours) => (long)Math.Ceiling(hours * HoursScale - 1e-6);

    private static long Scaled(double cost) => (long)Math.Round(cost * CostScale);

    private sealed class Reporter(IProgress<ScheduleProgress> progress, double scale) : CpSolverSolutionCallback
    {
        public override void OnSolutionCallback() => progress.Report(new ScheduleProgress(ObjectiveValue() / scale, BestObjectiveBound() / scale));
    }
}
