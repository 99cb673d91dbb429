namespace ZeroDrift.Core.Visits;

/// <summary>One locking of one hand: what the gap was with the locknut loose, and what it was after.</summary>
/// <param name="Point">The point.</param>
/// <param name="By">Who measured after locking.</param>
/// <param name="BeforeMm">Before locking, mm.</param>
/// <param name="AfterMm">After locking, mm.</param>
public sealed record LockPair(string Point, Guid By, double BeforeMm, double AfterMm)
{
    /// <summary>What the nut took, mm: positive where locking closed the gap.</summary>
    public double PullMm => BeforeMm - AfterMm;

    /// <summary>The pairs of a visit, one each time a nut was locked where both figures are known: failed locks teach too.</summary>
    public static IReadOnlyList<LockPair> Of(Visit visit) => [.. visit.Work.SelectMany(Of)];

    /// <summary>Those of one point, oldest first.</summary>
    public static IReadOnlyList<LockPair> Of(PointWork point)
    {
        var pairs = new List<LockPair>();
        foreach (var attempt in point.Readings.Where(r => r.Closed is not null || r.Kept is not null).GroupBy(r => r.Closed))
        {
            var before = attempt.LastOrDefault(r => r.Stage == ReadingStage.BeforeLock && r.ValueOrNothing().EstimateMm is not null);
            var after = attempt.LastOrDefault(r => r.Stage == ReadingStage.AsLeft && r.ValueOrNothing().EstimateMm is not null);
            if (before?.ValueOrNothing().EstimateMm is { } loose && after?.ValueOrNothing().EstimateMm is { } tight) pairs.Add(new LockPair(point.Point.Label, after.By, loose, tight));
        }
        return pairs;
    }
}
