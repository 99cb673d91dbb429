namespace ZeroDrift.Core.Visits;

/// <summary>How long was worked: from the opening to the signature without the pauses.</summary>
internal static class WorkedTime
{
    private const double LeastHours = 0.1;
    private const double MostHours = 14;

    /// <summary>Hours; null where it is not signed, or was no day's work (typed in afterwards, left open over night).</summary>
    public static double? Of(IEnumerable<Entry> live, Opened? opened, Signed? signed)
    {
        if (opened is null || signed is null) return null;
        var rest = TimeSpan.Zero;
        DateTimeOffset? since = null;
        foreach (var entry in live)
        {
            if (entry is Paused) since ??= entry.At;
            if (entry is Resumed && since is { } from) (rest, since) = (rest + (entry.At - from), null);
        }
        var worked = (signed.At - opened.At - rest).TotalHours;
        return worked is >= LeastHours and <= MostHours ? Math.Round(worked, 2) : null;
    }
}
