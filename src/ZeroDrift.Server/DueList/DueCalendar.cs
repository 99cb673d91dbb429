using System.Text;
using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using ZeroDrift.Core;
using ZeroDrift.Data;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.DueList;

/// <summary>What is due in the next weeks as a calendar (RFC 5545): an all-day entry for every engine on the day that decides, overdue ones today.</summary>
internal static class DueCalendar
{
    public static async Task<IResult> WriteAsync(ZeroDriftContext data, Yard yard, FleetDay day)
    {
        var until = day.Today.AddDays(7 * DueLetter.Weeks);
        var calendar = new Calendar { ProductId = "-//Zero Drift//Due//EN" };
        foreach (var row in (await yard.AllAsync(data)).Where(r => r.Decides.Date <= until).OrderBy(r => r.Decides.Date))
        {
            var due = row.Decides.Date!.Value;
            var on = due < day.Today ? day.Today : due;
            calendar.Events.Add(new CalendarEvent
            {
                Uid = $"due-{row.EngineId}@zero-drift",
                DtStamp = new CalDateTime(day.Now, "UTC"),
                Start = new CalDateTime(on),
                End = new CalDateTime(on.AddDays(1)),
                Summary = $"Due: {row.Name}",
                Location = row.Site,
                Description = DueLetter.Rule(row) + (due < day.Today ? $", since {Said.Day(due)}" : ""),
                Transparency = "TRANSPARENT",
            });
        }
        return Results.Text(new CalendarSerializer().SerializeToString(calendar) ?? "", "text/calendar", Encoding.UTF8);
    }
}
