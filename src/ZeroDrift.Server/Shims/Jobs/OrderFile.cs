using System.Globalization;
using MimeKit;
using ZeroDrift.Core.Shims;
using ZeroDrift.Server.Sheets;

namespace ZeroDrift.Server.Shims.Jobs;

/// <summary>What has to be bought, as a table and as a draft that any mail program sends.</summary>
internal static class OrderFile
{
    private static readonly string[] Columns = ["size mm", "size in", "count", "for", "needed by"];

    public static async Task WriteAsync(ShimJobResponse job, TextWriter text)
    {
        await using var csv = await SheetWriter.BeginAsync(text, Columns);
        foreach (var buy in job.Buy)
        {
            csv.WriteField(ShimLedger.Written(buy.SizeMm));
            csv.WriteField(Inches(buy.SizeMm));
            csv.WriteField(buy.Count);
            csv.WriteField(string.Join(", ", buy.For));
            csv.WriteField(job.ExpectedOn?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture) ?? "");
            await csv.NextRecordAsync();
        }
    }

    /// <summary>Addressed to nobody yet: whoever opens it writes the address and sends it.</summary>
    public static async Task<byte[]> MailAsync(ShimJobResponse job, string fleet)
    {
        var engines = string.Join(", ", job.Engines.Select(e => e.Engine).Distinct());
        var lines = job.Buy.Select(b => $"{b.Count} × {ShimLedger.Written(b.SizeMm)} mm ({Inches(b.SizeMm)} in)");
        var needed = job.ExpectedOn is { } day ? $"\nWe reckon with them by {day.ToString("d MMMM yyyy", CultureInfo.InvariantCulture)}." : "";
        var body = new BodyBuilder { TextBody = $"Please send these shims:\n\n{string.Join('\n', lines)}\n\nFor {engines}, {job.Site}.{needed}\n\n{job.Who}\n{fleet}\n" };
        await using var table = new MemoryStream();
        await using (var text = new StreamWriter(table, new System.Text.UTF8Encoding(true), leaveOpen: true)) await WriteAsync(job, text);
        body.Attachments.Add("shim order.csv", table.ToArray(), new ContentType("text", "csv"));
        using var message = new MimeMessage { Subject = $"Shims for {engines}", Body = body.ToMessageBody(), Date = new DateTimeOffset(job.MadeAt, TimeSpan.Zero) };
        // Opened as something to be sent, not as something that came.
        message.Headers.Add("X-Unsent", "1");
        await using var file = new MemoryStream();
        await message.WriteToAsync(file);
        return file.ToArray();
    }

    private static string Inches(double mm) => (mm / 25.4).ToString("0.0000", CultureInfo.InvariantCulture);
}
