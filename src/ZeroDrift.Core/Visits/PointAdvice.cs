using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Setting;

namespace ZeroDrift.Core.Visits;

/// <summary>What to do to a point of a visit, from the last of what is known of it: a figure kept or still growing, the found one included.</summary>
internal static class PointAdvice
{
    /// <summary>The advice; null where the book asks nothing of the point.</summary>
    /// <param name="fold">The state.</param>
    /// <param name="point">The point.</param>
    /// <param name="toFigure">It is to be brought to the set figure though it may stand in its window.</param>
    public static Advice? Of(VisitFold fold, PointWork point, bool toFigure = false)
    {
        if (Owed.DemandOf(fold, point) is not { } demand) return null;
        // Decided at the bench for the whole engine; a figure found anew speaks for itself.
        if (point is { Planned: { } planned, Fitted: null, Found: null } && point.Measured.Count == 0)
            return new Advice(AdviceAction.FitShim, planned.Sentence(fold.Unit)) { Shim = new ShimRange(planned.NewMm, planned.NewMm, planned.NewMm, planned.NewMm, planned.NewMm, planned.NewMm, []) };
        // Built, and nothing measured yet: it is set to the figure first. A shim is chosen from a gap.
        if (fold.Opened!.Job == JobKind.Build && point.Measured.Count == 0 && demand is Demand.Gap build && point.Point.Adjuster is not Adjuster.Shim)
            return new Advice(AdviceAction.MeasureOn, $"Set it to {SaidLength.Gap(build.AimMm, fold.Unit)}.");
        var facts = new AdviceFacts
        {
            FittedShimMm = point.ShimNowMm,
            Creep = fold.Schools.Manner == SettingManner.BladeIn ? null : CreepAt(fold, point),
            Unit = fold.Unit,
            ToFigure = toFigure || SchoolSets(fold, point),
        };
        var advised = Attempted.Of(() => Advice.For(point.Point.Adjuster, demand, Attempts(point), facts));
        // A shim whose thickness nobody has measured yet, or a book that asks what this adjuster cannot do: said, not hidden.
        return advised.Bad is { } bad ? new Advice(AdviceAction.MeasureOn, bad.Message) : advised.Value;
    }

    /// <summary>What the nuts of whoever works at a point take: learned at earlier visits of the type, and at the locks of this one; not the point's own last, which counts by itself.</summary>
    public static LocknutCreep CreepAt(VisitFold fold, PointWork point)
    {
        var hand = point.Measured.LastOrDefault()?.By ?? fold.Opened?.By ?? Guid.Empty;
        var here = fold.Points.SelectMany(p => LockPair.Of(p) is var locks && p == point ? locks.SkipLast(1) : locks).Where(l => l.By == hand).Select(l => l.PullMm);
        return (fold.Context.Creep.GetValueOrDefault(hand) ?? LocknutCreep.None).With([.. here]);
    }

    /// <summary>In its window as found, but the school in force brings it to the set figure.</summary>
    private static bool SchoolSets(VisitFold fold, PointWork point) =>
        point is { Found: { } found, Measured: [.., { Stage: ReadingStage.AsFound }] } && Owed.GapOf(fold, point) is { } gap && found.Judge(gap, fold.Schools.Judging, fold.Schools.SameWithinMm) is { Action: JudgedAction.Set };

    private static List<Attempt> Attempts(PointWork point)
    {
        var found = point is { Found: null, Fitted: null, FoundBefore: { } before } ? [new Attempt(AttemptStage.AsFound, before.Value)] : new List<Attempt>();
        return [.. found, .. point.Measured.Select(r => new Attempt(StageOf(r.Stage), r.ValueOrNothing()))];
    }

    private static AttemptStage StageOf(ReadingStage stage) => stage switch
    {
        ReadingStage.BeforeLock => AttemptStage.BeforeLock,
        ReadingStage.AsLeft => AttemptStage.Locked,
        _ => AttemptStage.AsFound,
    };
}
