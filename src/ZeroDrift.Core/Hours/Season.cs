namespace ZeroDrift.Core.Hours;

/// <summary>
/// Twelve monthly weights learned from an engine's own readings: the hours between two readings spread evenly over their days, each month beside the
/// year's mean. A month seen little stays near 1. Common practice, no source.
/// </summary>
public static class Season
{
    /// <summary>Readings further apart than this say nothing of single months, days.</summary>
    private const int FurthestApart = 45;

    /// <summary>A month is known from so many of its days on.</summary>
    private const int FewestDays = 20;

    /// <summary>Days of a month that an even year counts as before the first reading.</summary>
    private const double EvenDays = 15;

    /// <summary>A year that strays less than this from even has no season.</summary>
    private const double LeastSwing = 0.3;

    /// <summary>The weights, January first, mean 1; null where not every month has been seen, or the year is even.</summary>
    /// <param name="totals">Total hours by date, ascending.</param>
    /// <param name="stands">Days on which the engine stood still by order: they say nothing of its season.</param>
    public static IReadOnlyList<double>? Learned(IReadOnlyList<HoursOnDay> totals, IReadOnlyList<Days>? stands = null)
    {
        var (hours, days) = (new double[12], new double[12]);
        foreach (var (from, to) in totals.Zip(totals.Skip(1)))
        {
            var apart = to.Date.DayNumber - from.Date.DayNumber;
            if (apart is <= 0 or > FurthestApart || stands?.Any(s => s.From < to.Date && s.To >= from.Date) == true) continue;
            var aDay = (to.TotalHours - from.TotalHours) / apart;
            for (var day = from.Date; day < to.Date; day = day.AddDays(1))
            {
                hours[day.Month - 1] += aDay;
                days[day.Month - 1]++;
            }
        }
        if (days.Any(d => d < FewestDays)) return null;
        var mean = hours.Zip(days, (h, d) => h / d).Average();
        if (mean <= 0) return null;
        var weights = hours.Zip(days, (h, d) => (h / mean + EvenDays) / (d + EvenDays)).ToList();
        var level = weights.Average();
        return weights.Max() - weights.Min() < LeastSwing ? null : [.. weights.Select(w => Math.Round(w / level, 3))];
    }
}
