namespace ZeroDrift.Core.Visits;

/// <summary>An open visit at which nothing was written down for a while.</summary>
/// <param name="Since">Its last entry.</param>
/// <param name="AskAt">From then on somebody is asked whether it was a pause.</param>
/// <param name="IsPaused">A pause is on: nothing is asked, and where one was is said at the return.</param>
public sealed record Stillness(DateTimeOffset Since, DateTimeOffset AskAt, bool IsPaused)
{
    private static readonly TimeSpan AskAfter = TimeSpan.FromMinutes(20);

    /// <summary>Of a visit's entries in their order; null where it is not open.</summary>
    internal static Stillness? Of(VisitState state, IEnumerable<Entry> live)
    {
        if (state != VisitState.Open) return null;
        DateTimeOffset? last = null;
        DateTimeOffset? pausedAt = null;
        foreach (var entry in live.OrderBy(e => e.At))
        {
            last = entry.At;
            pausedAt = entry is Paused ? pausedAt ?? entry.At : null;
        }
        return last is { } since ? new Stillness(pausedAt ?? since, since + AskAfter, pausedAt is not null) : null;
    }
}
