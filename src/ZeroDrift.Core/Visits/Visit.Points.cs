using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Visits;

/// <content>What is asked of its steps and its points: owed, due, judged, advised.</content>
public sealed partial class Visit
{
    /// <summary>Whether a step is ticked.</summary>
    public bool IsTicked(string step) => Fold.IsTicked(step);

    /// <summary>The tick of a step that stands; null where there is none.</summary>
    public Ticked? TickOf(string step) => Fold.TickOf(step);

    /// <summary>Whether a step of a point is to be ticked now.</summary>
    public bool IsDue(VisitStep step, PointWork point) => Owed.IsDueAt(Fold, step, point);

    /// <summary>What was said at a step: what was seen, or how many parts.</summary>
    public string? SaidAt(string step) => Fold.SaidAt(step);

    /// <summary>Whether this visit asks a step: its kind of job, where the engine is, and what was counted or set.</summary>
    public bool Asks(VisitStep step) => Owed.IsAsked(Fold, step);

    /// <summary>Whether a step is on the lists of this visit, asked or only offered.</summary>
    public bool Lists(VisitStep step) => step.IsAskedIn(Fold.Opened!.Job, Fold.Place) && !(step.List == StepList.MakeSafe && Fold.Opened.Bench);

    /// <summary>What the book asks of a point in the condition stated.</summary>
    public Demand? DemandOf(PointWork point) => Owed.DemandOf(Fold, point);

    /// <summary>Whether a point is set by an amount or a sign.</summary>
    public bool IsByAmount(PointWork point) => Owed.IsByAmount(Fold, point);

    /// <summary>Whether a point still owes a found figure.</summary>
    public bool OwesFound(PointWork point) => Owed.OwesFound(Fold, point);

    /// <summary>Whether a point still owes an as-left.</summary>
    public bool OwesLeft(PointWork point) => Owed.OwesLeft(Fold, point);

    /// <summary>The judgement of a reading by the school in force; null where there is nothing to judge by or nothing said.</summary>
    public Judgement? Judge(ReadingWork? reading, PointWork point) => reading?.Judge(Owed.GapOf(Fold, point), Schools.Judging, Schools.SameWithinMm);

    /// <summary>How a point was found by the visit that this one goes on with; null where it was measured here.</summary>
    public VerdictState? FoundBeforeState(PointWork point) => PointViews.FoundBeforeState(point, Owed.GapOf(Fold, point));

    /// <summary>Why a figure would be asked again before it is kept; null where it surprises nobody, or contradicts itself.</summary>
    public Refusal? DoubtOf(ReadingWork reading) => reading.ValueOrNothing() == Measuring.Reading.Nothing ? null : EntryRules.Doubt(Fold, reading);

    /// <summary>What to do to a point, from the last of what is known of it; null where the book asks nothing of it.</summary>
    /// <param name="point">The point.</param>
    /// <param name="toFigure">It is to be brought to the set figure though it may stand in its window.</param>
    public Setting.Advice? AdviceOn(PointWork point, bool toFigure = false) => PointAdvice.Of(Fold, point, toFigure);

    /// <summary>What the nuts of whoever works at a point take: learned before, and at the other points of this visit.</summary>
    public Setting.LocknutCreep CreepAt(PointWork point) => PointAdvice.CreepAt(Fold, point);

    /// <summary>Not where it is to be left, though nothing is owed: the school in force brings it to the set figure, or it was built out of its window; and nobody has said that it stays.</summary>
    public bool WantsSetting(PointWork point) => State == VisitState.Open && point.Said is null && !OwesLeft(point)
        && (point is { Found: { } found, Left: null } ? Judge(found, point)?.Action == JudgedAction.Set : Fold.Opened!.Job == JobKind.Build && point.Left is { } left && left.Judge(Owed.GapOf(Fold, point))?.State is VerdictState.Tight or VerdictState.Loose);

    /// <summary>Whether anything is left to do at a point: to measure, to set, to look at, or to say.</summary>
    public bool HasWorkAt(PointWork point) =>
        (Fold.Opened!.Continues is null || point.FoundBefore is not null) && (OwesFound(point) || OwesLeft(point) || WantsSetting(point) || StepAt(point) is { List: StepList.Point, AfterFitting: true });

    /// <summary>The step of a point that is to be ticked now; null where none is.</summary>
    public VisitStep? StepAt(PointWork point) => Context.Steps.FirstOrDefault(s => s.Point == point.Point.Label && Owed.IsDueAt(Fold, s, point) && !Fold.IsTicked(s.Key));

    /// <summary>Whether the position is proved for a point.</summary>
    public bool IsProved(PointWork point) => Fold.IsProved(point.Point.Label);

    /// <summary>The point somebody chose to go on with, while anything is left to do there.</summary>
    public PointWork? ChosenPoint => Fold.Chosen is { } label && Fold.PointOf(label) is { } point && HasWorkAt(point) ? point : null;
}
