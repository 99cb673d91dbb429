using ZeroDrift.Planning;

namespace ZeroDrift.Core.Tests.Planning;

/// <summary>The rules of the contract once more, in the plainest way: what a plan is held to.</summary>
internal static class PlainRules
{
    internal sealed record Choice(int Technician, int? Mate, int Day);

    public static List<Choice?> Chosen(ScheduleRequest request, Schedule plan) =>
        [.. request.Jobs.Select(j => plan.Assignments.SingleOrDefault(a => a.Job == j.Id) is { } a ? new Choice(Number(request, a.Technician), a.Mate is null ? null : Number(request, a.Mate), a.Day) : null)];

    public static bool Hold(ScheduleRequest request, Schedule plan) =>
        plan.Assignments.Count + plan.Unplaced.Count == request.Jobs.Count && plan.Assignments.All(a => a.Because.Length > 0) && plan.Unplaced.All(u => u.Reason.Length > 0) && Valid(request, Chosen(request, plan));

    /// <summary>Whether these placements hold every rule, each possible by itself.</summary>
    public static bool Fits(ScheduleRequest request, List<Choice?> chosen) =>
        chosen.Select((c, j) => (c, j)).All(x => x.c is null || Work(request, x.j, x.c) is not null) && Valid(request, chosen);

    public static double Cheapest(ScheduleRequest request)
    {
        var options = request.Jobs.Select((_, j) => Options(request, j)).ToList();
        var best = double.PositiveInfinity;
        Try(0, []);
        return best;

        void Try(int job, List<Choice?> chosen)
        {
            if (job == request.Jobs.Count)
            {
                if (Valid(request, chosen)) best = Math.Min(best, Cost(request, chosen));
                return;
            }
            foreach (var option in options[job].Append(null)) Try(job + 1, [.. chosen, option]);
        }
    }

    public static double Cost(ScheduleRequest request, List<Choice?> chosen)
    {
        var cost = 0.0;
        for (var j = 0; j < chosen.Count; j++)
        {
            var job = request.Jobs[j];
            if (chosen[j] is not { } at)
            {
                cost += request.UnplacedCost;
                continue;
            }
            var last = Work(request, j, at)![^1].Day;
            if (job.DueDay is { } due) cost += job.LatePerDay * Math.Max(0, last - due) + job.EarlyPerDay * Math.Max(0, due - at.Day);
            if (request.Previous.FirstOrDefault(p => p.Job == job.Id) is { } before) cost += request.MovePerDay * Math.Abs(at.Day - before.Day);
        }
        return cost + Days(request, chosen).Sum(d => request.SiteChangeCost * (d.Sites.Count - 1));
    }

    private static List<Choice?> Options(ScheduleRequest request, int job)
    {
        var options = new List<Choice?>();
        for (var t = 0; t < request.Technicians.Count; t++)
            for (var day = 0; day < request.DayCount; day++)
                for (var mate = -1; mate < request.Technicians.Count; mate++)
                {
                    var choice = new Choice(t, mate < 0 ? null : mate, day);
                    if (Work(request, job, choice) is not null) options.Add(choice);
                }
        return options;
    }

    private static List<(int Day, double Hours)>? Work(ScheduleRequest request, int job, Choice at)
    {
        var (j, lead) = (request.Jobs[job], request.Technicians[at.Technician]);
        if (j.Skill is not null && !lead.Skills.Contains(j.Skill)) return null;
        if (at.Day < j.EarliestDay || at.Mate is null != (j.Crew == 1) || at.Mate == at.Technician) return null;
        var (work, left) = (new List<(int, double)>(), j.Hours);
        for (var day = at.Day; left > 1e-9; day++)
        {
            if (day >= request.DayCount || (day == at.Day && lead.HoursOn(day) <= 0)) return null;
            if (lead.HoursOn(day) <= 0) continue;
            var here = Math.Min(left, lead.HoursOn(day));
            if (j.BlockedDays.Contains(day) || (at.Mate is { } mate && request.Technicians[mate].HoursOn(day) < here)) return null;
            work.Add((day, here));
            left -= here;
        }
        return work;
    }

    private static List<(int Technician, int Day, double Hours, List<string> Sites)> Days(ScheduleRequest request, List<Choice?> chosen)
    {
        var work = chosen.SelectMany((c, j) => c is null ? [] : new[] { c.Technician, c.Mate ?? -1 }.Where(who => who >= 0).SelectMany(who => Work(request, j, c)!.Select(w => (who, w.Day, w.Hours, Site: request.Jobs[j].Site!))));
        return [.. work.GroupBy(w => (w.who, w.Day)).Select(g => (g.Key.who, g.Key.Day, g.Sum(w => w.Hours), g.Select(w => w.Site).Distinct().ToList()))];
    }

    private static bool Valid(ScheduleRequest request, List<Choice?> chosen)
    {
        if (Days(request, chosen).Exists(d => d.Hours + Shortest(request, d.Sites) > request.Technicians[d.Technician].HoursOn(d.Day) + 1e-6)) return false;
        var held = new Dictionary<(string, int), int>();
        for (var j = 0; j < chosen.Count; j++)
        {
            if (chosen[j] is not { } at) continue;
            var job = request.Jobs[j];
            for (var day = at.Day; day <= Work(request, j, at)![^1].Day; day++)
                foreach (var name in job.Tools.Select(t => "tool " + t).Concat(job.Group is null ? [] : ["group " + job.Group])) held[(name, day)] = held.GetValueOrDefault((name, day)) + 1;
            if (job.After is not { } after) continue;
            var before = request.Jobs.Select((b, i) => (b, i)).Single(b => b.b.Id == after.Job).i;
            if (chosen[before] is not { } first || at.Day < Work(request, before, first)![^1].Day + after.MinDays) return false;
        }
        return held.All(h => h.Value <= 1);
    }

    private static double Shortest(ScheduleRequest request, List<string> sites) => sites.Count < 2 ? 0 : Orders(sites).Min(order => order.Zip(order.Skip(1), (a, b) => request.TravelHours.Where(r => (r.From, r.To) == (a, b) || (r.From, r.To) == (b, a)).Sum(r => r.Hours)).Sum());

    private static IEnumerable<List<string>> Orders(List<string> sites) =>
        sites.Count == 0 ? [[]] : sites.SelectMany(first => Orders([.. sites.Where(s => s != first)]).Select(rest => (List<string>)[first, .. rest]));

    private static int Number(ScheduleRequest request, string technician) => request.Technicians.Select((t, i) => (t, i)).Single(x => x.t.Id == technician).i;
}
