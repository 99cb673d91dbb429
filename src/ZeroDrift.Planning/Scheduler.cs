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

    /// <summary>From so many ways on, a plan is bettered by taking out and putting back before all is searched.</summary>
    private const int LargeFrom = 4000;

    /// <summary>What of the time limit that may take, and its rounds for each second of the limit (measured).</summary>
    private const double RecreatingShare = 0.2;
    private const int RoundsASecond = 1500;

    /// <summary>A round takes longer with more ways than these.</summary>
    private const double RoundsUpTo = 20_000;

    private const long CostScale = 1000;
    private const int HoursScale = 1000;
    private const int Seed = 7;

    /// <summary>Deterministic units a second of the limit is worth: measured so that the deterministic limit, not the wall clock, ends the search on a slow machine too.</summary>
    private const double DeterministicShare = 0.28;

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
        var seconds = request.TimeLimitSeconds;
        var ways = options.Sum(o => o.Count);
        if (ways >= LargeFrom && IsInvolved(request))
        {
            greedy = Recreation.Better(request, options, greedy, (int)(seconds * RoundsASecond * Math.Min(1, RoundsUpTo / ways)), progress, cancellation);
            seconds *= 1 - RecreatingShare;
        }
        var (status, chosen, bound) = Solve(request, options, greedy, seconds, progress, cancellation);
        if (status == CpSolverStatus.Infeasible)
            return new Schedule(ScheduleStatus.Infeasible, 0, 0, [], [.. request.Pins.Select(p => p.Job).Distinct().Select(job => new Unplaced(job, "The pins cannot all hold at once: together they overfill a day or a group."))], 0);
        var cost = Explanation.Cost(request, chosen);
        var optimal = status == CpSolverStatus.Optimal;
        return Explanation.Of(request, options, chosen, optimal ? ScheduleStatus.Optimal : ScheduleStatus.Feasible, cost, optimal ? cost : Math.Min(cost, bound));
    }

    /// <summary>Crews, tools, order or roads: the whole takes long to search, and a good plan to begin with pays. Without them it is proved as soon.</summary>
    private static bool IsInvolved(ScheduleRequest request) => request.TravelHours.Any(r => r.Hours > 0) || request.Jobs.Any(j => j.Crew > 1 || j.Tools.Count > 0 || j.After is not null);

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

    private static (CpSolverStatus Status, List<Option> Chosen, double Bound) Solve(ScheduleRequest request, IReadOnlyList<List<Option>> options, List<Option> greedy, double seconds, IProgress<ScheduleProgress>? progress, CancellationToken cancellation)
    {
        var model = new CpModel();
        var before = request.Previous.ToDictionary(p => p.Job);
        var tieBreak = request.Previous.Count > 0 ? request.Jobs.Count + 1 : 1;
        var objective = LinearExpr.NewBuilder();
        var pinned = request.Pins.Select(p => p.Job).ToHashSet();
        var placing = new Placing(model, options);
        placing.Hint(model, greedy);
        for (var job = 0; job < options.Count; job++)
        {
            var own = new List<ILiteral>();
            foreach (var lead in placing.ByJob[job])
            {
                own.Add(lead.Chosen);
                var moves = before.ContainsKey(request.Jobs[job].Id) && !GreedyPlan.IsBefore(request, before, lead.Option) ? 1 : 0;
                objective.AddTerm(lead.Chosen, Scaled(lead.Option.Cost) * tieBreak + moves);
            }
            if (pinned.Contains(request.Jobs[job].Id))
            {
                model.AddExactlyOne(own);
                continue;
            }
            var absent = model.NewBoolVar("");
            model.AddHint(absent, !greedy.Exists(o => o.Job == job));
            own.Add(absent);
            objective.AddTerm(absent, Scaled(request.UnplacedCost) * tieBreak + (before.ContainsKey(request.Jobs[job].Id) ? 1 : 0));
            model.AddExactlyOne(own);
        }
        var visits = new SiteVisits(request, model, placing.All, greedy);
        LimitHours(request, model, placing, visits);
        LimitGroups(request, model, placing);
        LimitTools(request, model, placing);
        KeepOrder(request, model, placing);
        visits.Cost(objective, weight => Scaled(weight) * tieBreak);
        model.Minimize(objective);

        var solver = new CpSolver { StringParameters = FormattableString.Invariant($"num_workers:1 random_seed:{Seed} max_deterministic_time:{seconds * DeterministicShare} max_time_in_seconds:{seconds * 1.5} linearization_level:2 cp_model_probing_level:0 symmetry_level:0") };
        using var stop = cancellation.Register(solver.StopSearch);
        if (cancellation.IsCancellationRequested) return (CpSolverStatus.Unknown, greedy, 0);
        var status = solver.Solve(model, progress is null ? null : new Reporter(progress, CostScale * tieBreak));
        var bound = Math.Max(0, Math.Ceiling(solver.BestObjectiveBound / tieBreak - 1 + 1e-6)) / CostScale;
        if (status is CpSolverStatus.Optimal or CpSolverStatus.Feasible)
            return (status, placing.Chosen(v => solver.BooleanValue(v)), tieBreak == 1 ? solver.BestObjectiveBound / CostScale : bound);
        return status == CpSolverStatus.Infeasible || pinned.Count > greedy.Count(o => pinned.Contains(request.Jobs[o.Job].Id))
            ? (CpSolverStatus.Infeasible, [], 0)
            : (CpSolverStatus.Feasible, greedy, Math.Max(0, bound));
    }

    private static void LimitHours(ScheduleRequest request, CpModel model, Placing placing, SiteVisits visits)
    {
        var days = placing.All.SelectMany(p => p.Option.Work.Select(w => (Key: (p.Technician, w.Day), p.Chosen, w.Hours))).GroupBy(w => w.Key);
        foreach (var day in days)
        {
            var sum = LinearExpr.NewBuilder();
            foreach (var work in day) sum.AddTerm(work.Chosen, Hours(work.Hours));
            visits.AddRoads(sum, day.Key.Technician, day.Key.Day, Hours);
            model.AddLinearConstraint(sum, 0, (long)Math.Floor(request.Technicians[day.Key.Technician].HoursOn(day.Key.Day) * HoursScale + 1e-6));
        }
    }

    private static void LimitGroups(ScheduleRequest request, CpModel model, Placing placing)
    {
        foreach (var (group, limit) in request.GroupLimits) AtMost(model, placing.Leads.Where(p => request.Jobs[p.Option.Job].Group == group), limit);
    }

    private static void LimitTools(ScheduleRequest request, CpModel model, Placing placing)
    {
        foreach (var tool in request.Jobs.SelectMany(j => j.Tools).Distinct())
            AtMost(model, placing.Leads.Where(p => request.Jobs[p.Option.Job].Tools.Contains(tool)), request.ToolCounts.GetValueOrDefault(tool, 1));
    }

    /// <summary>On no day more than so many of these. An engine opened on Friday and closed on Monday is out over the week-end too, and keeps its tools.</summary>
    private static void AtMost(CpModel model, IEnumerable<Part> parts, int limit)
    {
        var days = parts.SelectMany(p => Enumerable.Range(p.Option.FirstDay, p.Option.LastDay - p.Option.FirstDay + 1).Select(day => (day, p.Chosen))).GroupBy(d => d.day);
        foreach (var day in days) model.AddLinearConstraint(LinearExpr.Sum(day.Select(d => d.Chosen)), 0, limit);
    }

    /// <summary>A job that waits for another begins so many days after that one's last, and not at all without it.</summary>
    private static void KeepOrder(ScheduleRequest request, CpModel model, Placing placing)
    {
        if (request.Jobs.All(j => j.After is null)) return;
        var numbers = request.Jobs.Select((j, i) => (j.Id, i)).ToDictionary(j => j.Id, j => j.i);
        for (var job = 0; job < request.Jobs.Count; job++)
        {
            if (request.Jobs[job].After is not { } after) continue;
            var before = numbers[after.Job];
            // Whoever has begun it by a day has had the other done in time before: said for every day, which bounds better than one sum of days.
            foreach (var day in placing.ByJob[job].Select(p => p.Option.FirstDay).Distinct())
            {
                var begun = LinearExpr.Sum(placing.ByJob[job].Where(p => p.Option.FirstDay <= day).Select(p => p.Chosen));
                model.Add(begun <= LinearExpr.Sum(placing.ByJob[before].Where(p => p.Option.LastDay + after.MinDays <= day).Select(p => p.Chosen)));
            }
        }
    }

    private static long Hours(double hours) => (long)Math.Ceiling(hours * HoursScale - 1e-6);

    private static long Scaled(double cost) => (long)Math.Round(cost * CostScale);

    private sealed class Reporter(IProgress<ScheduleProgress> progress, double scale) : CpSolverSolutionCallback
    {
        public override void OnSolutionCallback() => progress.Report(new ScheduleProgress(ObjectiveValue() / scale, BestObjectiveBound() / scale));
    }
}
