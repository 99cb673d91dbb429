namespace ZeroDrift.Core.Visits;

/// <summary>One locking of one hand: what the gap was with the locknut loose, and what it was after.</summary>
/// <param name="Point">The point.</param>
/// <param name="By">Who kept the figure after locking.</param>
/// <param name="BeforeMm">Before locking, mm.</param>
/// <param name="AfterMm">After locking, mm.</param>
public sealed record LockPair(string Point, Guid By, double BeforeMm, double AfterMm)
{
    /// <summary>The pairs of a visit, one a point where both figures are known.</summary>
    public static IReadOnlyList<LockPair> Of(Visit visit)
    {
        var pairs = new List<LockPair>();
        foreach (var point in visit.Work)
            if (point.Left is { Kept: { } kept } left && point.KeptAt(ReadingStage.BeforeLock).LastOrDefault() is { } loose
                && loose.ValueOrNothing().EstimateMm is { } before && left.ValueOrNothing().EstimateMm is { } after)
                pairs.Add(new LockPair(point.Point.Label, kept.By, before, after));
        return pairs;
    }
}
