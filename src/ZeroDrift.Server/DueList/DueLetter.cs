using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using MimeKit;
using ZeroDrift.Core;
using ZeroDrift.Core.Outlook;
using ZeroDrift.Data;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.DueList;

/// <summary>What is due in the next weeks as a letter to send on (RFC 5322).</summary>
internal static class DueLetter
{
    public static async Task<FileContentHttpResult> WriteAsync(ZeroDriftContext data, Yard yard, FleetDay day, CancellationToken cancelled)
    {
        var fleet = (await data.SettingsAsync()).Name;
        var until = DueMarks.Until(day.Today);
        var text = new StringBuilder().Append(fleet).Append(": due until ").Append(Said.Day(until)).Append("\r\n\r\n");
        foreach (var week in (await yard.AllAsync(data, cancelled: cancelled)).Where(r => r.Decides.Date <= until).GroupBy(r => Monday(r.Decides.Date!.Value < day.Today ? day.Today : r.Decides.Date.Value)).OrderBy(w => w.Key))
        {
            text.Append("Week of ").Append(Said.Day(week.Key)).Append("\r\n");
            foreach (var row in week) text.Append("  ").Append(row.Name).Append(", ").Append(row.Site).Append(": ").Append(Rule(row)).Append(", ").Append(Said.Day(row.Decides.Date!.Value)).Append("\r\n");
            text.Append("\r\n");
        }
        var body = new TextPart("plain") { ContentTransferEncoding = ContentEncoding.Base64 };
        body.SetText(Encoding.UTF8, text.ToString());
        using var letter = new MimeMessage { Date = new DateTimeOffset(day.Now, TimeSpan.Zero), Subject = $"{fleet}: due", Body = body };
        var bytes = new MemoryStream();
        await letter.WriteToAsync(bytes);
        return TypedResults.Bytes(bytes.ToArray(), "message/rfc822");
    }

    private static DateOnly Monday(DateOnly day) => day.AddDays(-(((int)day.DayOfWeek + 6) % 7));

    public static string Rule(DueRow row) => row.Decides.Rule switch
    {
        Core.Hours.DueRule.Finding => $"{row.Findings[0].Point} {(row.Findings[0].State == Core.Judging.VerdictState.Tight ? "tight" : "loose")}, waits to be set",
        Core.Hours.DueRule.Drift => $"{row.DriftPoint} drifts",
        Core.Hours.DueRule.BookHours => "book hours",
        Core.Hours.DueRule.BookMonths => "book months",
        Core.Hours.DueRule.FirstCheck => "first check after the build",
        Core.Hours.DueRule.Symptom => "operator's report",
        Core.Hours.DueRule.FollowUp => row.Calls.FirstOrDefault(c => c.Rule == Core.Hours.DueRule.FollowUp)?.What ?? "a follow-up",
        Core.Hours.DueRule.ResetHot => "to be set hot after break-in",
        _ => "no rule",
    };
}
