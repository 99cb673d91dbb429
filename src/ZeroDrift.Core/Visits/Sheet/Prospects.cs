using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Visits.Sheet;

/// <summary>What a point's wear says to whoever stands at it: whether it can stay, whether a finer figure is worth its blades, where it lasts longest.</summary>
internal sealed record Prospects(PointProspect Prospect, bool WorthFiner, double? HoursToRisk, (double P, LimitSide Side)? OutByNextVisit, (double Mm, double Hours)? AimOff)
{
    /// <summary>Fewer hours gained are not worth leaving the book's figure for.</summary>
    private const double LeastGainHours = 100;

    public static Prospects Of(Visit visit, PointWork work, PointView view, bool owesFound, bool owesLeft)
    {
        var context = visit.Context;
        var prospect = context.Prospects.GetValueOrDefault(view.Point) ?? PointProspect.None;
        if (view.Demand is not Demand.Gap gap) return new Prospects(prospect, false, null, null, null);
        var share = context.FleetRisk / Math.Max(1, context.Type.Points.Count);
        var ahead = prospect.Ahead;
        var done = !owesFound && !owesLeft;
        var leftAt = (view.Left ?? view.Found)?.Value.EstimateMm;
        return new Prospects(
            prospect,
            ahead is not null && work.Left is null && IsWorthFiner(ahead, gap.Window, work, view, context, share),
            ahead is not null && leftAt is { } mm && done ? ahead.LeftAt(view.Point, gap.Window, mm, Drift.AimOff.LeastUncertaintyMm).HoursTo(share, Drift.HoursToRisk.DefaultHorizonHours) : null,
            Stays(ahead, gap.Window, work, view, context.NextVisitHours, share),
            // What the record worked out for the whole engine; offered where it gives days, not hours.
            owesLeft && !owesFound && prospect is { AimMm: { } aim, AimGainHours: > LeastGainHours and { } gain } ? (aim, gain) : null);
    }

    /// <summary>In its window it may be left; offered to be set where it is likelier than its share of the risk to be out before anybody looks again.</summary>
    private static (double, LimitSide)? Stays(FreshAhead? ahead, Window window, PointWork work, PointView view, double? next, double share)
    {
        if (ahead is null || work.Left is not null || next is not > 0 || view is not { Verdict: VerdictState.InWindow, Left: not null, Found.Value.EstimateMm: { } seen }) return null;
        var left = ahead.LeftAt(view.Point, window, seen, Math.Max(view.Found.Value.StandardUncertaintyMm ?? 0, Drift.AimOff.LeastUncertaintyMm));
        return left.Out(next.Value) is var p && p > share ? (p, left.Side(next.Value)) : null;
    }

    /// <summary>Before the first try by what is expected, then by the bracket under way, until it is kept.</summary>
    private static bool IsWorthFiner(FreshAhead ahead, Window window, PointWork work, PointView view, VisitContext context, double share)
    {
        if (view.Found is not null || context.NextVisitHours is not > 0) return false;
        var draft = work.Growing(ReadingStage.AsFound);
        // A figure read off or a blade that drags is as fine as it gets.
        if (draft is { Figure: not null } || draft?.Tries.Any(t => t.Feel == Feel.Drag) == true) return false;
        var (lower, upper) = draft?.ValueOrNothing() is { LowerMm: { } l, UpperMm: { } u } ? (l.Millimetres, u.Millimetres)
            : context.Expected.TryGetValue(view.Point, out var e) ? (e.ClearanceMm - e.StandardUncertaintyMm, e.ClearanceMm + e.StandardUncertaintyMm) : (0.0, 0.0);
        return ahead.IsWorthFiner(window, lower, upper, Drift.AimOff.LeastUncertaintyMm, context.NextVisitHours.Value, share);
    }
}
