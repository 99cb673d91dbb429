using System.Text;
using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using Microsoft.AspNetCore.Http.HttpResults;

namespace ZeroDrift.Server.Calendars;

/// <summary>A calendar of whole days as it is sent (RFC 5545).</summary>
internal sealed class CalendarFile(string of)
{
    private readonly Calendar calendar = new() { ProductId = $"-//Zero Drift//{of}//EN" };

    /// <summary>An entry from a first day to a last; a day's end is the day after (RFC 5545, 3.6.1).</summary>
    public CalendarEvent Add(string uid, DateTime stamp, DateOnly first, DateOnly last, string summary, string site, string description)
    {
        var entry = new CalendarEvent
        {
            Uid = $"{uid}@zero-drift",
            DtStamp = new CalDateTime(stamp, "UTC"),
            Start = new CalDateTime(first),
            End = new CalDateTime(last.AddDays(1)),
            Summary = summary,
            Location = site,
            Description = description,
        };
        calendar.Events.Add(entry);
        return entry;
    }

    /// <summary>The answer to whoever asked.</summary>
    public ContentHttpResult ToResult() => TypedResults.Text(new CalendarSerializer().SerializeToString(calendar) ?? "", "text/calendar", Encoding.UTF8);
}
