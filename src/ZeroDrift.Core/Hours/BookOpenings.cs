namespace ZeroDrift.Core.Hours;

/// <summary>When the book would have had an engine opened in a stretch of its life, had it been opened each time its hours or its months were up.</summary>
public static class BookOpenings
{
    /// <summary>The days of a stretch on which the book's interval was up.</summary>
    /// <param name="totals">Total hours as they were read, by date.</param>
    /// <param name="bookHours">The book's interval in engine hours; null where it has none.</param>
    /// <param name="bookMonths">In months; null where it has none.</param>
    /// <param name="began">The opening before the stretch that the book counts from; without one, the first day anything is known of it.</param>
    /// <param name="from">First day of the stretch.</param>
    /// <param name="until">Its last.</param>
    /// <returns>By date. By hours only as far as the meter was read.</returns>
    /// <remarks>What fell due before the stretch is taken to have been done on its day, and is not counted.</remarks>
    public static IReadOnlyList<DateOnly> Between(IReadOnlyList<HoursOnDay> totals, EngineHours? bookHours, int? bookMonths, DateOnly began, DateOnly from, DateOnly until)
    {
        var due = new List<DateOnly>();
        var at = began;
        while (Next(at) is { } next && next <= until)
        {
            if (next >= from) due.Add(next);
            at = next;
        }
        return due;

        DateOnly? Next(DateOnly since)
        {
            var byMonths = bookMonths is { } months ? since.AddMonths(months) : (DateOnly?)null;
            var begun = totals.Count > 0 && since < totals[0].Date ? totals[0].TotalHours : HoursRead.On(totals, since);
            var byHours = bookHours is { } hours && hours > 0 && begun is { } run ? HoursRead.Reached(totals, run + hours) : null;
            var first = byHours is { } h && (byMonths is null || h < byMonths) ? h : byMonths;
            // An interval shorter than a day would never end.
            return first > since ? first : first is null ? null : since.AddDays(1);
        }
    }
}
