using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Visits;

namespace ZeroDrift.Data.Shims;

/// <summary>A point's shim and gap as one signed visit left them.</summary>
/// <param name="Point">Its label.</param>
/// <param name="ShimMm">The shim there when the engine was closed; null where nobody read it.</param>
/// <param name="KnownBy">How its thickness is known.</param>
/// <param name="Mark">What is printed on it, where it was read beside its measurement.</param>
/// <param name="GapMm">The gap it was left at.</param>
/// <param name="PartChanged">A part of it was changed at this visit, or all was built anew.</param>
public sealed record ShimLeft(string Point, double? ShimMm, ShimKnownBy? KnownBy, string? Mark, double? GapMm, bool PartChanged);

/// <summary>One signed visit of a shim engine.</summary>
public sealed record ShimVisit(Guid VisitId, DateOnly Date, double? TotalHours, bool OutOfTrend, IReadOnlyList<ShimLeft> Points);

/// <summary>Which shims an engine is known to have, from its signed visits.</summary>
public static class ShimHistory
{
    /// <summary>The signed visits of several engines, of each the oldest first.</summary>
    /// <param name="data">The file.</param>
    /// <param name="engineIds">The engines.</param>
    /// <param name="besides">A visit to leave out; null for none.</param>
    public static async Task<ILookup<Guid, ShimVisit>> OfAsync(ZeroDriftContext data, IReadOnlyCollection<Guid> engineIds, Guid? besides = null)
    {
        var visits = await VisitReader.AllAsync(data, data.Visits.Where(v => engineIds.Contains(v.EngineId) && v.State == VisitState.Signed && v.Id != besides));
        return visits.OrderBy(v => v.Row.Date).ThenBy(v => v.Row.Key).ToLookup(v => v.Row.EngineId, One);
    }

    private static ShimVisit One(StoredVisit stored) => new(stored.Row.Id, stored.Row.Date, stored.Row.TotalHours, stored.Row.OutOfTrend,
        [.. stored.Visit.Points.Zip(stored.Visit.Work).Where(p => p.Second.Point.Adjuster is Adjuster.Shim).Select(p => new ShimLeft(
            p.First.Point, p.Second.ShimNowMm, p.Second.ShimNow?.How ?? (p.Second.ShimNowMm is null ? null : ShimKnownBy.Printed), p.Second.ShimMark?.Thickness,
            (p.First.Left ?? p.First.Found)?.Value.MiddleMm?.Millimetres,
            stored.Visit.Opened!.Job == JobKind.Build || stored.Visit.Parts.Any(part => part.Concerns(p.First.Point, p.Second.Point.Cylinder))))]);

    /// <summary>The shim last known at a point, with the day it was seen; null where nobody ever read it.</summary>
    public static (ShimLeft Shim, DateOnly Date)? Last(this IReadOnlyList<ShimVisit> visits, string point)
    {
        foreach (var visit in visits.Reverse())
        {
            if (visit.Points.FirstOrDefault(p => p.Point == point) is not { } left) continue;
            if (left.ShimMm is not null) return (left, visit.Date);
            // A head that was built anew has other shims than before.
            if (left.PartChanged) return null;
        }
        return null;
    }
}
