namespace ZeroDrift.Core.Visits;

/// <summary>How long was worked: from the opening to the signature without the pauses.</summary>
internal static class WorkedTime
{
    private const double LeastHours = 0.1;
    private const double MostHours = 14;

    /// <summary>A gap so long that nobody has answered for tells nothing: lunch, another job, or a valve that would not move.</summary>
    private static readonly TimeSpan MostUntold = TimeSpan.FromMinutes(45);

    /// <summary>Hours; null where it is not signed, was no day's work (typed in afterwards, left open over night), or stood still for longer than anybody has accounted for.</summary>
    public static double? Of(IEnumerable<Entry> live, Opened? opened, Signed? signed)
    {
        if (opened is null || signed is null) return null;
        var rest = TimeSpan.Zero;
        DateTimeOffset? paused = null;
        var last = opened.At;
        // By the clock of the devices: a pause is told after it.
        foreach (var entry in live.Where(e => e.At >= opened.At && e.At <= signed.At).OrderBy(e => e.At))
        {
            if (entry is Paused)
            {
                paused ??= entry.At;
            }
            else if (paused is { } since)
            {
                // Resumed, or gone on with and nobody said so.
                (rest, paused) = (rest + (entry.At - since), null);
            }
            else if (entry is not Resumed && entry.At - last > MostUntold)
            {
                return null;
            }
            last = entry.At;
        }
        var worked = (signed.At - opened.At - rest).TotalHours;
        return worked is >= LeastHours and <= MostHours ? Math.Round(worked, 2) : null;
    }
}
