using Microsoft.AspNetCore.Http.HttpResults;
using ZeroDrift.Core;
using ZeroDrift.Core.Outlook;
using ZeroDrift.Data;
using ZeroDrift.Server.Calendars;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.DueList;

/// <summary>What is due in the next weeks as a calendar (RFC 5545): an all-day entry for every engine on the day that decides, overdue ones today.</summary>
internal static class DueCalendar
{
    public static async Task<ContentHttpResult> WriteAsync(ZeroDriftContext data, Yard yard, FleetDay day, CancellationToken cancelled)
    {
        var until = DueMarks.Until(day.Today);
        var calendar = new CalendarFile("Due");
        foreach (var row in (await yard.AllAsync(data, cancelled: cancelled)).Where(r => r.Decides.Date <= until).OrderBy(r => r.Decides.Date))
        {
            var due = row.Decides.Date!.Value;
            var on = due < day.Today ? day.Today : due;
            calendar.Add($"due-{row.EngineId}", day.Now, on, on, $"Due: {row.Name}", row.Site, DueLetter.Rule(row) + (due < day.Today ? $", since {Said.Day(due)}" : "")).Transparency = "TRANSPARENT";
        }
        return calendar.ToResult();
    }
}
