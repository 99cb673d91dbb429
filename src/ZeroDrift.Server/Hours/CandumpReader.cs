using System.Globalization;
using System.Text;
using System.Text.RegularExpressions;
using ZeroDrift.Core.Hours;

namespace ZeroDrift.Server.Hours;

/// <summary>
/// Total engine hours from a log of a machine's bus in the plain-text candump form: <c>(1764000000.123456) can0 18FEE500#40E20100FFFFFFFF</c>, or as it
/// is shown on a terminal, <c>can0 18FEE500 [8] 40 E2 01 00 FF FF FF FF</c>. The last figure of each sender counts.
/// </summary>
internal static partial class CandumpReader
{
    [GeneratedRegex(@"^\s*(?:\((?<at>\d+\.\d+)\)\s+)?(?<bus>\S+)\s+(?<id>[0-9A-Fa-f]{3,8})(?:#(?<data>[0-9A-Fa-f]*)|\s+\[\d\]\s+(?<bytes>(?:[0-9A-Fa-f]{2}\s*)*))\s*$", RegexOptions.None, 1000)]
    private static partial Regex Frame();

    /// <summary>Whether a text is such a log: one of its first lines is a frame.</summary>
    public static bool Is(string text) => text.Split('\n').Take(20).Any(line => line.Length < 200 && Frame().IsMatch(line.TrimEnd('\r')));

    /// <summary>Reads the log.</summary>
    /// <param name="text">The log.</param>
    /// <param name="day">The day for frames without a time of the calendar.</param>
    public static IReadOnlyList<ReportedFigure> Read(string text, DateOnly day)
    {
        var last = new SortedDictionary<(string Bus, int Source), ReportedFigure>();
        var silent = new SortedSet<(string, int)>();
        var number = 0;
        foreach (var line in text.AsSpan().EnumerateLines())
        {
            number++;
            if (line.Length is 0 or > 200 || Frame().Match(line.ToString()) is not { Success: true } frame) continue;
            var (pgn, source) = TotalEngineHours.Read(uint.Parse(frame.Groups["id"].ValueSpan, NumberStyles.HexNumber, CultureInfo.InvariantCulture));
            if (pgn != TotalEngineHours.Pgn) continue;
            var hex = frame.Groups["data"].Success ? frame.Groups["data"].Value : frame.Groups["bytes"].Value.Replace(" ", "", StringComparison.Ordinal);
            var key = (frame.Groups["bus"].Value, source);
            if (hex.Length % 2 != 0 || TotalEngineHours.Of(Convert.FromHexString(hex)) is not { } hours)
            {
                silent.Add(key);
                continue;
            }
            last[key] = new ReportedFigure(Name(key), Day(frame.Groups["at"].Value) ?? day, Math.Round(hours, 2), line.ToString().Trim(), number);
        }
        // A sender that never told a figure is worth a word; silence between figures is how the bus is.
        foreach (var key in silent.Where(s => !last.ContainsKey(s))) last[key] = new ReportedFigure(Name(key), day, null, "It sends its hours as not available, or cut off.", number);
        return [.. last.Values];
    }

    /// <summary>Address 0 is the first engine, 1 the second (SAE J1939-81, preferred addresses; from memory).</summary>
    private static string Name((string Bus, int Source) key) => new StringBuilder(key.Bus).Append(", address ").Append(key.Source).ToString();

    private static DateOnly? Day(string at) =>
        double.TryParse(at, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var seconds) && seconds is > 1e8 and < 1e11
            ? DateOnly.FromDateTime(DateTimeOffset.FromUnixTimeMilliseconds((long)(seconds * 1000)).UtcDateTime) : null;
}
