using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Outlook;
using ZeroDrift.Data;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Plan;

/// <summary>What a manager asks: what falls due, whether the depot can do it, who has more than fits, what must be ordered today.</summary>
public sealed record PlanOutlookResponse(DateOnly Until, int Due, int WithoutJob, int Planned, int NotFitting, double HoursNeeded, double HoursThere, IReadOnlyList<string> Overloaded, IReadOnlyList<string> OrderToday);

internal static class PlanOutlook
{
    private const int Weeks = DueMarks.WeeksAhead;

    /// <summary>A week fuller than this leaves no room for what breaks.</summary>
    private const double Full = 0.85;

    public static async Task<PlanOutlookResponse> OfAsync(ZeroDriftContext data, Yard yard, FleetDay day, PlanRuns runs, CancellationToken cancelled = default)
    {
        var until = day.Today.AddDays(7 * Weeks);
        var jobs = await JobsView.OfAsync(data, yard, day, cancelled);
        var plan = await PlanBuilder.OfAsync(data, jobs, day.Today, 7 * Weeks, cancelled: cancelled);
        var due = jobs.Rows.Values.Where(r => r.Decides is { Rule: not DueRule.Nothing, Date: { } date } && date <= until).Select(r => r.EngineId).ToHashSet();
        var time = plan.InPlan.ToDictionary(j => j.Id, j => j.Time.Middle);
        var overloaded = from person in plan.Mechanics
                         let weeks = Enumerable.Range(0, Weeks).Where(w => Used(person.Id, w) > Full * Math.Max(person.Hours.Skip(7 * w).Take(7).Sum(), 0.1)).ToList()
                         where weeks.Count > 0
                         select $"{person.Name}, week of {Core.Said.Day(day.Today.AddDays(7 * weeks[0]))}";
        return new PlanOutlookResponse(
            until,
            due.Count,
            due.Count(id => plan.Jobs.All(j => j.EngineId != id)),
            plan.InPlan.Count(j => plan.Placements.Any(p => p.JobId == j.Id)),
            runs.Unplaced.Count(u => plan.InPlan.Any(j => j.Id == u.JobId)),
            plan.InPlan.Sum(j => j.Time.Middle * j.Crew),
            plan.Mechanics.Sum(p => p.Hours.Sum()),
            [.. overloaded],
            [.. plan.Jobs.Where(j => j.OrderBy <= day.Today).Select(j => $"{string.Join(", ", j.Parts.Where(p => p is { Here: not true, OrderedOn: null }).Select(p => p.Name))} for {j.Engine}")]);

        double Used(Guid person, int week) => plan.Placements.Where(p => (p.PersonId == person || p.MateId == person) && plan.Day(p.Date) / 7 == week && p.Date >= day.Today).Sum(p => time.GetValueOrDefault(p.JobId));
    }
}
