namespace ZeroDrift.Planning;

/// <summary>One way to place one job: who, with whom, from which day, and the hours it takes of each of their days.</summary>
internal sealed record Option(int Job, int Technician, int? Mate, int FirstDay, int LastDay, IReadOnlyList<(int Day, double Hours)> Work, double Cost)
{
    /// <summary>Everyone it takes.</summary>
    public IEnumerable<int> Crew => Mate is { } mate ? [Technician, mate] : [Technician];

    /// <summary>
    /// All ways a job could be placed were it alone. A job longer than its first day's full hours runs on over that technician's following
    /// working days, none of them blocked; any other fits in one day.
    /// </summary>
    public static List<Option> Of(ScheduleRequest request, int job)
    {
        var options = new List<Option>();
        var j = request.Jobs[job];
        var blocked = j.BlockedDays.ToHashSet();
        var before = request.Previous.FirstOrDefault(p => p.Job == j.Id);
        var pin = request.Pins.Where(p => p.Job == j.Id).ToList();
        for (var t = 0; t < request.Technicians.Count; t++)
        {
            var technician = request.Technicians[t];
            if (j.Skill is not null && !technician.Skills.Contains(j.Skill)) continue;
            if (pin.Exists(p => p.Technician is not null && p.Technician != technician.Id)) continue;
            for (var day = Math.Max(0, j.EarliestDay); day < request.DayCount; day++)
            {
                if (pin.Exists(p => p.Day is not null && p.Day != day)) continue;
                if (Days(technician, j.Hours, day, request.DayCount, blocked) is not { } work) continue;
                var cost = CostOf(j, day, work[^1].Day) + MoveOf(request, before, day);
                foreach (var mate in Mates(request, j, t, work)) options.Add(new Option(job, t, mate, day, work[^1].Day, work, cost));
            }
        }
        return options;
    }

    /// <summary>Who could be second: anyone with the hours on the same days; nobody where it takes one.</summary>
    private static IEnumerable<int?> Mates(ScheduleRequest request, ScheduleJob job, int lead, IReadOnlyList<(int Day, double Hours)> work) => job.Crew < 2
        ? [null]
        : Enumerable.Range(0, request.Technicians.Count).Where(m => m != lead && work.All(w => request.Technicians[m].HoursOn(w.Day) >= w.Hours - 1e-9)).Select(m => (int?)m);

    private static double MoveOf(ScheduleRequest request, Placement? before, int day) => before is null ? 0 : (before.MovePerDay ?? request.MovePerDay) * Math.Abs(day - before.Day);

    /// <summary>Lateness counts from the last day, earliness from the first.</summary>
    public static double CostOf(ScheduleJob job, int first, int last) => job.DueDay is not { } due
        ? 0
        : job.LatePerDay * Math.Max(0, last - due) + job.EarlyPerDay * Math.Max(0, due - first);

    private static List<(int Day, double Hours)>? Days(Technician technician, double hours, int first, int dayCount, HashSet<int> blocked)
    {
        if (technician.HoursOn(first) <= 0 || blocked.Contains(first)) return null;
        var work = new List<(int Day, double Hours)>();
        var left = hours;
        for (var day = first; left > 1e-9; day++)
        {
            if (day >= dayCount) return null;
            var full = technician.HoursOn(day);
            if (full <= 0) continue;
            if (blocked.Contains(day)) return null;
            var here = Math.Min(left, full);
            work.Add((day, here));
            left -= here;
        }
        return work;
    }
}
