using System.Globalization;
using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Visits;

/// <summary>What stands between an open visit and its signature.</summary>
internal static class Owed
{
    /// <summary>The refusals a signature would meet; empty exactly when it would be taken.</summary>
    public static IReadOnlyList<Refusal> Refusals(VisitFold fold)
    {
        var refusals = new List<Refusal>();
        if (Unticked(fold, s => IsAsked(fold, s)) is { Count: > 0 } steps) refusals.Add(StepsMissing(fold, steps));
        if (fold.Condition is null) refusals.Add(new Refusal(RefusalCode.ConditionMissing));
        var owing = Owing(fold);
        var found = owing.Where(p => OwesFound(fold, p)).Select(p => p.Point.Label).ToList();
        if (found.Count > 0 || owing.Count == 0) refusals.Add(new Refusal(RefusalCode.FoundMissing) { Points = found });
        var left = owing.Where(p => OwesLeft(fold, p)).Select(p => p.Point.Label).ToList();
        if (left.Count > 0) refusals.Add(new Refusal(RefusalCode.LeftMissing) { Points = left });
        if (Uncounted(fold) is { Count: > 0 } uncounted) refusals.Add(new Refusal(RefusalCode.PartsNotCounted) { Steps = uncounted });
        return refusals;
    }

    /// <summary>The refusal for want of steps, with what they say.</summary>
    public static Refusal StepsMissing(VisitFold fold, IReadOnlyList<string> steps) => new(RefusalCode.StepMissing) { Steps = steps, StepTexts = [.. steps.Select(s => fold.Context.StepOf(s)?.Text ?? s)] };

    public static List<string> Unticked(VisitFold fold, Func<VisitStep, bool> which) =>
        [.. fold.Context.Steps.Where(s => which(s) && !fold.IsTicked(s.Key)).Select(s => s.Key)];

    /// <summary>A number of parts as it was said.</summary>
    public static int? Count(string? said) => int.TryParse(said, NumberStyles.None, CultureInfo.InvariantCulture, out var count) ? count : null;

    /// <summary>An as-found is still to be measured, or a start state seen.</summary>
    public static bool OwesFound(VisitFold fold, PointWork point)
    {
        if (fold.Opened!.Job == JobKind.Build || fold.Opened.Continues is not null || point.Said?.Outcome == PointOutcome.NotReached) return false;
        return IsByAmount(fold, point) ? point.Start is null && point.Said?.Outcome != PointOutcome.LeftSo : point.Found is null;
    }

    /// <summary>It is still to be set and measured again, or something said about it.</summary>
    public static bool OwesLeft(VisitFold fold, PointWork point)
    {
        var said = point.Said?.Outcome;
        if (said is PointOutcome.NotReached or PointOutcome.LeftSo) return false;
        if (IsByAmount(fold, point)) return said != PointOutcome.ByTheBook;
        if (point.Left is not null) return false;
        if (fold.Opened!.Job == JobKind.Build) return true;
        if (said == PointOutcome.Awaiting) return false;
        if (fold.Opened.Continues is not null) return true;
        // Whatever it was found as: it was moved since.
        if (point.IsTurned || point.Fitted is not null) return true;
        return GapOf(fold, point) is { } gap && point.Found is { } found && found.Judge(gap)?.State != VerdictState.InWindow;
    }

    /// <summary>Set by an amount or a sign; a lifter or an injector is, also where the book's amount is not typed in.</summary>
    public static bool IsByAmount(VisitFold fold, PointWork point) =>
        DemandOf(fold, point)?.ByAmount ?? point.Point.Adjuster is Engines.Adjuster.InjectorScrew or Engines.Adjuster.Hydraulic;

    public static Demand? DemandOf(VisitFold fold, PointWork point) => fold.Context.For(fold.Condition?.Condition)?.ByPoint.GetValueOrDefault(point.Point.Label);

    public static Demand.Gap? GapOf(VisitFold fold, PointWork point) => DemandOf(fold, point) as Demand.Gap;

    /// <summary>The points that owe something: all, the ones begun, or the ones that waited.</summary>
    private static List<PointWork> Owing(VisitFold fold)
    {
        if (fold.Opened!.Continues is not null) return [.. fold.Points.Where(p => p.FoundBefore is not null)];
        return fold.Opened.Job is JobKind.Overhead or JobKind.Build ? [.. fold.Points] : [.. fold.Points.Where(p => p.IsBegun)];
    }

    /// <summary>
    /// Whether the signature waits for a step. The kit list is for the road, not for the record; parts are counted in only where some were counted out; a
    /// step at a point belongs to its setting, so that a point left alone asks none.
    /// </summary>
    public static bool IsAsked(VisitFold fold, VisitStep step)
    {
        if (!step.IsAskedIn(fold.Opened!.Job, fold.Place) || (step.List == StepList.MakeSafe && fold.Opened.Bench)) return false;
        if (step.Counts is { } way) return way == Counting.In && Taken(fold, step.Pair ?? step.Key) > 0;
        if (step.Point is not { } label) return true;
        return fold.PointOf(label) is { } point && (IsSet(point) || (step.AfterFitting && point.ChangedAt is not null));
    }

    /// <summary>Whether a step of a point is to be ticked now: one before its setting while that is owed, a look at what was fitted once it was, or once it is set.</summary>
    public static bool IsDueAt(VisitFold fold, VisitStep step, PointWork point)
    {
        if (!step.IsAskedIn(fold.Opened!.Job, fold.Place)) return false;
        return step.AfterFitting ? point.ChangedAt is not null || IsSet(point) : !OwesFound(fold, point) && (OwesLeft(fold, point) || IsSet(point));
    }

    /// <summary>An as-left was taken, or said to be.</summary>
    private static bool IsSet(PointWork point) => point.Left is not null || point.Said?.Outcome is PointOutcome.Set or PointOutcome.ByTheBook or PointOutcome.ShimFitted;

    private static List<string> Uncounted(VisitFold fold)
    {
        var wrong = new List<string>();
        foreach (var pair in fold.Context.Steps.Where(s => s.Counts is not null && s.IsAskedIn(fold.Opened!.Job, fold.Place)).GroupBy(s => s.Pair ?? s.Key))
            if (Taken(fold, pair.Key) is > 0 and var taken && taken != Sum(fold, pair.Key, Counting.In)) wrong.AddRange(pair.Select(s => s.Key));
        return wrong;
    }

    /// <summary>Parts counted out of a pair.</summary>
    private static int Taken(VisitFold fold, string pair) => Sum(fold, pair, Counting.Out);

    private static int Sum(VisitFold fold, string pair, Counting way) => fold.Context.Steps.Where(s => s.Counts == way && (s.Pair ?? s.Key) == pair).Sum(s => Count(fold.SaidAt(s.Key)) ?? 0);
}
