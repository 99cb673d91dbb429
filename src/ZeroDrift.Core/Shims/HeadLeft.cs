using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Shims;

/// <summary>One point's adjustment left.</summary>
/// <param name="Point">Its label.</param>
/// <param name="Kind">Its kind.</param>
/// <param name="Bank">Its head.</param>
/// <param name="Left">How far its seat has come up, and what is left; hours only where its drift is known.</param>
/// <param name="Since">What the recession is counted from: the build, or the first visit that tells.</param>
public sealed record PointLeft(string Point, LashKind Kind, int Bank, AdjustmentLeft Left, DateOnly Since);

/// <summary>The worst of one kind on one head: what decides for it.</summary>
/// <param name="Bank">The head.</param>
/// <param name="Kind">Intakes or exhausts.</param>
/// <param name="MostRecededPoint">The one whose seat has come up most.</param>
/// <param name="RecessionMm">By how much.</param>
/// <param name="FirstOutPoint">The one whose adjustment is used up first; null where none drifts.</param>
/// <param name="LeftMm">What it has left.</param>
/// <param name="Towards">Thinnest or thickest.</param>
/// <param name="Hours">Until then.</param>
public sealed record HeadLeft(int Bank, LashKind Kind, string MostRecededPoint, double RecessionMm, string? FirstOutPoint, double? LeftMm, ShimEnd? Towards, HoursLeft? Hours)
{
    /// <summary>One line a head and kind.</summary>
    public static IReadOnlyList<HeadLeft> Of(IEnumerable<PointLeft> points) =>
        [.. from point in points
            group point by (point.Bank, point.Kind) into head
            orderby head.Key.Bank, head.Key.Kind
            let receded = head.MaxBy(p => p.Left.RecessionMm)!
            let first = head.Where(p => p.Left.Hours.Middle is not null).MinBy(p => p.Left.Hours.Middle)
            select new HeadLeft(head.Key.Bank, head.Key.Kind, receded.Point, receded.Left.RecessionMm, first?.Point, first?.Left.LeftMm, first?.Left.Towards, first?.Left.Hours)];
}
