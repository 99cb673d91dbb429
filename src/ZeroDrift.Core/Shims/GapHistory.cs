namespace ZeroDrift.Core.Shims;

/// <summary>A point at one visit: what was found, what was left, both in mm.</summary>
/// <param name="Date">The day.</param>
/// <param name="FoundMm">As found; null where it was not measured, or in no condition that holds.</param>
/// <param name="LeftMm">As it was left: set, or as found.</param>
/// <param name="Anew">A part of it was changed, or all was built: counting begins anew with what was left.</param>
public sealed record GapAtVisit(DateOnly Date, double? FoundMm, double? LeftMm, bool Anew);

/// <summary>How far a seat has come up, from what every run took off the gap: for adjusters whose own figure nobody reads, such as a screw.</summary>
public static class GapHistory
{
    /// <summary>Recession since the build or the first visit that tells, mm of gap; null where no run is told by both its ends.</summary>
    /// <param name="visits">The oldest first.</param>
    public static (double RecessionMm, DateOnly Since)? Recession(IEnumerable<GapAtVisit> visits)
    {
        double? stood = null;
        (double Sum, DateOnly Since)? told = null;
        DateOnly begun = default;
        foreach (var visit in visits)
        {
            if (visit.Anew) (stood, told) = (null, null);
            else if (stood is { } before && visit.FoundMm is { } found) told = ((told?.Sum ?? 0) + before - found, told?.Since ?? begun);
            if (visit.LeftMm is not { } left) continue;
            if (stood is null) begun = visit.Date;
            stood = left;
        }
        return told;
    }
}
