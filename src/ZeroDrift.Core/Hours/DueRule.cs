namespace ZeroDrift.Core.Hours;

/// <summary>What can decide when an engine's next overhead is due.</summary>
public enum DueRule
{
    /// <summary>A finding that says now.</summary>
    Finding,

    /// <summary>A point drifts out first.</summary>
    Drift,

    /// <summary>The book's hours since the last overhead.</summary>
    BookHours,

    /// <summary>The book's months since the last overhead.</summary>
    BookMonths,

    /// <summary>The book's first check after a build or rebuild.</summary>
    FirstCheck,

    /// <summary>An operator noticed something.</summary>
    Symptom,

    /// <summary>Somebody promised to look again.</summary>
    FollowUp,

    /// <summary>Built with the cold figure, the book has it set again hot after break-in.</summary>
    ResetHot,

    /// <summary>The engine's book gives no interval and nothing is known to drift.</summary>
    Nothing,
}

/// <summary>One rule's answer.</summary>
/// <param name="Rule">Which.</param>
/// <param name="Hours">Engine hours from now; negative when past; null for a rule of the calendar.</param>
/// <param name="Date">The day it falls on; null where it cannot be dated.</param>
public sealed record DueAnswer(DueRule Rule, double? Hours, DateOnly? Date);

/// <summary>What the book asks and what has been done.</summary>
/// <param name="BookHours">Interval in engine hours; null where the book gives none.</param>
/// <param name="BookMonths">Interval in months; null where the book gives none.</param>
/// <param name="FirstCheckHours">First check after a build; null where the book gives none.</param>
/// <param name="LastHours">Total hours at the last overhead or build.</param>
/// <param name="LastDate">Its day.</param>
/// <param name="LastWasBuild">It was a build or rebuild, so the first check counts.</param>
/// <param name="ResetHotHours">After a build it is set again hot, so many hours later; null where the book does not ask.</param>
public sealed record BookClock(EngineHours? BookHours, int? BookMonths, EngineHours? FirstCheckHours, EngineHours LastHours, DateOnly LastDate, bool LastWasBuild, EngineHours? ResetHotHours = null);

/// <summary>
/// When the next overhead is due: the earliest of book hours, book months, drift and a finding that says now. Drift may bring the day
/// forward, never push it past the book.
/// </summary>
/// <param name="Decides">The earliest answer.</param>
/// <param name="Others">The rest, earliest first.</param>
/// <param name="AheadOfBookHours">Where drift or a finding decides: engine hours it comes before the book; null where the book decides or has no hours.</param>
public sealed record Due(DueAnswer Decides, IReadOnlyList<DueAnswer> Others, double? AheadOfBookHours)
{
    /// <summary>Engine hours from now to the book's call, by hours or by months at the present use, whichever is first; null without a book.</summary>
    /// <param name="today">The day the rules were weighed.</param>
    /// <param name="usage">For turning months into hours.</param>
    public double? BookHoursLeft(DateOnly today, Usage usage)
    {
        var answers = Others.Prepend(Decides).ToList();
        var hours = answers.Where(a => a.Rule is DueRule.BookHours or DueRule.FirstCheck).Select(a => a.Hours);
        var months = answers.Where(a => a.Rule == DueRule.BookMonths && a.Date is not null).Select(a => (double?)(a.Date > today ? usage.HoursBetween(today, a.Date!.Value) : 0));
        return hours.Concat(months).Min();
    }

    /// <summary>Weighs the rules.</summary>
    /// <param name="book">The book and the last overhead; null for an engine never opened under record.</param>
    /// <param name="hoursNow">Total engine hours now.</param>
    /// <param name="today">Today.</param>
    /// <param name="usage">For turning hours into dates.</param>
    /// <param name="driftHours">Hours to risk from now; null where nothing drifts out within the horizon.</param>
    /// <param name="findingSaysNow">A point is tight or otherwise urgent now.</param>
    /// <param name="calls">What calls for it besides.</param>
    public static Due Of(BookClock? book, EngineHours hoursNow, DateOnly today, Usage usage, EngineHours? driftHours, bool findingSaysNow, IReadOnlyList<EngineCall>? calls = null)
    {
        var answers = new List<DueAnswer>();
        foreach (var call in calls ?? [])
        {
            var until = call.AtHours is { } at ? at - hoursNow : (double?)null;
            answers.Add(new DueAnswer(call.Rule, until, call.Date ?? (until is { } h ? DayFor(h) : today)));
        }
        if (findingSaysNow) answers.Add(new DueAnswer(DueRule.Finding, 0, today));
        if (driftHours is { } drift) answers.Add(new DueAnswer(DueRule.Drift, drift, usage.DateAfter(today, drift)));
        double? bookLeft = null;
        if (book is not null)
        {
            var first = book.LastWasBuild ? book.FirstCheckHours : null;
            if ((first ?? book.BookHours) is { } interval)
            {
                bookLeft = book.LastHours + interval - hoursNow;
                answers.Add(In(bookLeft.Value, first is null ? DueRule.BookHours : DueRule.FirstCheck));
            }
            if (book.LastWasBuild && book.ResetHotHours is { } hot) answers.Add(In(book.LastHours + hot - hoursNow, DueRule.ResetHot));
            if (book.BookMonths is { } months) answers.Add(new DueAnswer(DueRule.BookMonths, null, book.LastDate.AddMonths(months)));
        }
        if (answers.Count == 0) answers.Add(new DueAnswer(DueRule.Nothing, null, null));
        var sorted = answers.OrderBy(a => a.Date ?? DateOnly.MaxValue).ThenBy(a => a.Rule).ToList();
        var ahead = sorted[0].Rule is DueRule.Drift or DueRule.Finding && bookLeft is { } left ? left - sorted[0].Hours : null;
        return new Due(sorted[0], sorted[1..], ahead);

        DueAnswer In(double hoursLeft, DueRule rule) => new(rule, hoursLeft, DayFor(hoursLeft));

        // Hours already overrun are dated back at the present use, so that the longest overdue stands first.
        DateOnly? DayFor(double hoursLeft) => hoursLeft >= 0
            ? usage.DateAfter(today, hoursLeft)
            : today.AddDays(-(int)Math.Min(3650, Math.Ceiling(-hoursLeft / Math.Max(usage.HoursPerDay, 0.1))));
    }
}
