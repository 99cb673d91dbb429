using System.Diagnostics;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

/// <summary>Reads a calendar with python3-icalendar of Debian's packages, a library that did not write it.</summary>
internal static class CalendarReader
{
    private const string Script = """
        import sys, json, icalendar
        events = icalendar.Calendar.from_ical(sys.stdin.buffer.read()).walk('VEVENT')
        print(json.dumps([{k: str(e[k]) for k in ('SUMMARY', 'LOCATION', 'UID')} | {'start': e['DTSTART'].dt.isoformat(), 'end': e['DTEND'].dt.isoformat()} for e in events]))
        """;

    internal sealed record ReadEvent(string Summary, string Location, string Uid, DateOnly Start, DateOnly End);

    public static IReadOnlyList<ReadEvent> Read(string calendar)
    {
        using var python = Process.Start(new ProcessStartInfo("/usr/bin/python3", ["-c", Script]) { RedirectStandardInput = true, RedirectStandardOutput = true, RedirectStandardError = true, StandardInputEncoding = new System.Text.UTF8Encoding(false) })!;
        python.StandardInput.Write(calendar);
        python.StandardInput.Close();
        var (read, complaint) = (python.StandardOutput.ReadToEnd(), python.StandardError.ReadToEnd());
        python.WaitForExit();
        Assert.True(python.ExitCode == 0, complaint);
        return [.. JsonDocument.Parse(read).RootElement.EnumerateArray().Select(e => new ReadEvent(
            e.GetProperty("SUMMARY").GetString()!, e.GetProperty("LOCATION").GetString()!, e.GetProperty("UID").GetString()!,
            DateOnly.Parse(e.GetProperty("start").GetString()!, System.Globalization.CultureInfo.InvariantCulture), DateOnly.Parse(e.GetProperty("end").GetString()!, System.Globalization.CultureInfo.InvariantCulture)))];
    }
}
