namespace ZeroDrift.Core.Hours;

/// <summary>
/// What an engine has run as its meter was read: between two readings evenly, and nothing before the first or after the last, so that nothing is
/// claimed that nobody read.
/// </summary>
public static class HoursRead
{
    /// <summary>Total hours on a day; null before the first reading and after the last.</summary>
    /// <param name="totals">As they were read, by date.</param>
    /// <param name="date">The day.</param>
    public static EngineHours? On(IReadOnlyList<HoursOnDay> totals, DateOnly date)
    {
        if (totals.Count == 0 || date < totals[0].Date || date > totals[^1].Date) return null;
        var after = totals.First(t => t.Date >= date);
        // The last of a day's readings is what it had run when the day was over.
        if (after.Date == date) return totals.Last(t => t.Date == date).TotalHours;
        var before = totals.Last(t => t.Date < date);
        var part = (double)(date.DayNumber - before.Date.DayNumber) / (after.Date.DayNumber - before.Date.DayNumber);
        return EngineHours.Near(before.TotalHours + part * (after.TotalHours - before.TotalHours));
    }

    /// <summary>Hours run in the part of a stretch that readings cover; null where they cover no day of it.</summary>
    /// <param name="totals">As they were read, by date.</param>
    /// <param name="from">Its first day.</param>
    /// <param name="until">Its last day.</param>
    public static double? Between(IReadOnlyList<HoursOnDay> totals, DateOnly from, DateOnly until)
    {
        if (totals.Count == 0) return null;
        var (first, last) = (from > totals[0].Date ? from : totals[0].Date, until < totals[^1].Date ? until : totals[^1].Date);
        return first < last && On(totals, first) is { } before && On(totals, last) is { } after ? after - before : null;
    }

    /// <summary>The first day on which a total was reached; null where no reading shows that it was.</summary>
    /// <param name="totals">As they were read, by date.</param>
    /// <param name="hours">The total.</param>
    public static DateOnly? Reached(IReadOnlyList<HoursOnDay> totals, double hours)
    {
        for (var i = 0; i < totals.Count; i++)
        {
            if (totals[i].TotalHours < hours) continue;
            if (i == 0) return totals[0].Date;
            var (before, after) = (totals[i - 1], totals[i]);
            var days = after.Date.DayNumber - before.Date.DayNumber;
            return before.Date.AddDays((int)Math.Ceiling(days * (hours - before.TotalHours) / (after.TotalHours - before.TotalHours)));
        }
        return null;
    }
}
