using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Visits;

/// <summary>Open, signed or abandoned.</summary>
public enum VisitState
{
    /// <summary>Work goes on.</summary>
    Open,

    /// <summary>A record.</summary>
    Signed,

    /// <summary>Closed without a record.</summary>
    Abandoned,
}

/// <summary>A figure that stands: which reading, what it says, who kept it and when.</summary>
public sealed record FigureView(Guid Reading, Reading Value, Guid By, DateTimeOffset At);

/// <summary>What is asked next.</summary>
public enum NextDo
{
    /// <summary>Tick a step.</summary>
    Step,

    /// <summary>State the condition.</summary>
    Condition,

    /// <summary>Bar to the stop.</summary>
    Bar,

    /// <summary>Prove the stop.</summary>
    Prove,

    /// <summary>Measure as found.</summary>
    Measure,

    /// <summary>Set.</summary>
    Set,

    /// <summary>Measure again after locking.</summary>
    MeasureAgain,

    /// <summary>Sign.</summary>
    Sign,
}

/// <summary>The next thing to do.</summary>
public sealed record NextTask(NextDo Do, string? Point = null, CrankAngle? CrankDeg = null, string? Step = null);

/// <summary>A measurement that the adjuster was turned away from: a failed lock, or what it was set to before it.</summary>
/// <param name="Reading">Which.</param>
/// <param name="Stage">Before the nut was locked, or after.</param>
/// <param name="Value">What it says.</param>
/// <param name="State">How it stands to the window; null where there is none.</param>
/// <param name="By">Who measured it.</param>
public sealed record AttemptView(Guid Reading, ReadingStage Stage, Reading Value, VerdictState? State, Guid By);

/// <summary>One point as it stands.</summary>
/// <param name="Point">Its label.</param>
/// <param name="Demand">What the book asks in this condition; null where it gives no figure.</param>
/// <param name="Found">First kept before anything was done.</param>
/// <param name="Left">Last kept after setting, or the found figure of a point left alone.</param>
/// <param name="Repeats">Later as-founds.</param>
/// <param name="Verdict">Of the found figure (of the left in a build); null where not judged.</param>
/// <param name="Outcome">As said, or as counted.</param>
/// <param name="Attempts">What was measured since it was found and turned away from, in the order begun.</param>
/// <param name="Advice">What to do now, from the last of what is known; null where the book asks nothing, or the visit is closed.</param>
public sealed record PointView(string Point, Demand? Demand, FigureView? Found, FigureView? Left, IReadOnlyList<FigureView> Repeats, VerdictState? Verdict, PointOutcome? Outcome, IReadOnlyList<AttemptView> Attempts, Setting.Advice? Advice);
