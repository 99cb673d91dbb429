using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Visits;

/// <summary>One point as it stands: what was found, what was tried on the way, what it was left at, and what to do now.</summary>
internal static class PointViews
{
    public static PointView Of(VisitFold fold, PointWork point, VisitState state)
    {
        var job = fold.Opened!.Job;
        var (found, left) = (point.Found, point.Left);
        var demand = Owed.DemandOf(fold, point);
        var gap = demand as Demand.Gap;
        var judged = job == JobKind.Build && found is null ? left : found;
        var verdict = judged?.Judge(gap)?.State;
        // Once it was turned, what it was found as no longer says how it stands.
        var outcome = point.Said?.Outcome ?? (verdict == VerdictState.InWindow && !(point.IsTurned && left is null) ? job == JobKind.Build || point.IsTurned ? PointOutcome.Set : PointOutcome.LeftAlone : (PointOutcome?)null);
        var alone = left is null && found is not null && outcome == PointOutcome.LeftAlone && (demand is null || verdict == VerdictState.InWindow);
        return new PointView(
            point.Point.Label,
            demand,
            found?.View() ?? point.FoundBefore,
            left?.View() ?? (alone ? found!.View() : null),
            [.. point.KeptAt(ReadingStage.AsFound).Skip(1).Select(r => r.View())],
            verdict ?? FoundBeforeState(point, gap),
            outcome,
            [.. point.Attempts.Where(a => a.SaysSomething).Select(a => new AttemptView(a.Id, a.Stage, a.ValueOrNothing(), a.Judge(gap)?.State, a.By))],
            state == VisitState.Open ? PointAdvice.Of(fold, point) : null);
    }

    /// <summary>How a point stands that only an earlier visit measured.</summary>
    public static VerdictState? FoundBeforeState(PointWork point, Demand.Gap? gap) =>
        point is { Found: null, FoundBefore: { Value: { } value } } && gap is not null && value is not { EstimateMm: null, LowerMm: null, UpperMm: null } ? Judgement.Of(value, [], gap).State : null;
}
