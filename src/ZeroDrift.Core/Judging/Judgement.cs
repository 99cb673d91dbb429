using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Judging;

/// <summary>What a verdict rests on.</summary>
public enum Because
{
    /// <summary>A blade drags: that is the gap.</summary>
    Touch,

    /// <summary>What went and what did not.</summary>
    Bounds,

    /// <summary>A figure with its uncertainty.</summary>
    Probability,
}

/// <summary>What follows from a reading.</summary>
public enum JudgedAction
{
    /// <summary>Leave it alone.</summary>
    Leave,

    /// <summary>Set it.</summary>
    Set,

    /// <summary>Not decided; a blade can tell more.</summary>
    MeasureOn,

    /// <summary>Not decided, and no blade of the tray can tell more: the mechanic's to decide.</summary>
    Yours,
}

/// <summary>The schools of judging beside one another.</summary>
public enum JudgingSchool
{
    /// <summary>Anything inside the window is left.</summary>
    Window,

    /// <summary>Inside, but a limit's blade drags: brought to the set figure.</summary>
    EdgeToSet,

    /// <summary>The set blade alone decides.</summary>
    OneFigure,

    /// <summary>Every cylinder is brought to the same figure, so that all breathe alike: set unless near enough to it.</summary>
    SameFigure,
}

/// <summary>
/// A reading judged as a mechanic judges: touch first (a blade that drags is the gap), then bounds, then probability. The common practice of
/// each school; the probability is JCGM 106:2012, conformity probability.
/// </summary>
/// <param name="State">Null where nothing is decided yet.</param>
/// <param name="OnFigure">The blade of the set figure drags.</param>
/// <param name="Because">Null with the state.</param>
/// <param name="Action">What follows.</param>
/// <param name="Side">One-figure school: to which side the set blade says it is off.</param>
public sealed record Judgement(VerdictState? State, bool OnFigure, Because? Because, JudgedAction Action, VerdictState? Side)
{
    /// <summary>A blade this near a figure is that figure, mm.</summary>
    public const double SameMm = 1e-6;

    /// <summary>Near enough to the same figure where nobody says how near, mm: a hundredth either way (common practice, no source).</summary>
    public const double DefaultSameWithinMm = 0.01;

    /// <summary>Not judged: nothing in the book to judge by, or nothing measured.</summary>
    public static Judgement Open(bool aBladeTellsMore) => new(null, false, null, aBladeTellsMore ? JudgedAction.MeasureOn : JudgedAction.Yours, null);

    /// <summary>Judges a reading and the tries behind it (none for a figure or a dial).</summary>
    /// <param name="reading">What was measured; something of it must be known.</param>
    /// <param name="trials">The blades tried; empty for a figure.</param>
    /// <param name="gap">What the book asks.</param>
    /// <param name="school">How this mechanic judges.</param>
    /// <param name="aBladeTellsMore">Whether a blade of the tray can still tell more.</param>
    /// <param name="sameWithinMm">Where all are brought to one figure: how near is near enough.</param>
    public static Judgement Of(Reading reading, IReadOnlyList<BladeTrial> trials, Demand.Gap gap, JudgingSchool school = JudgingSchool.Window, bool aBladeTellsMore = false, double sameWithinMm = DefaultSameWithinMm)
    {
        var (state, because) = Stands(reading, trials, gap);
        var onFigure = because == Judging.Because.Touch && state == VerdictState.InWindow && gap.SetMm is { } set && Drags(trials).Any(mm => Same(mm, set));
        if (school == JudgingSchool.OneFigure && gap.SetMm is { } figure && trials.Count > 0) return BySetBlade(trials, figure, state, onFigure, because, aBladeTellsMore);
        var onEdge = school == JudgingSchool.EdgeToSet && Drags(trials).Any(mm => Same(mm, gap.Window.MinMm) || Same(mm, gap.Window.MaxMm));
        var action = state switch
        {
            VerdictState.Tight or VerdictState.Loose => JudgedAction.Set,
            VerdictState.InWindow => (onEdge && !onFigure) || IsApart(reading, gap, school, sameWithinMm) ? JudgedAction.Set : JudgedAction.Leave,
            _ => aBladeTellsMore ? JudgedAction.MeasureOn : JudgedAction.Yours,
        };
        return new Judgement(state, onFigure, because, action, null);
    }

    /// <summary>In its window, but further from the one figure than is near enough; a bracket by its middle.</summary>
    private static bool IsApart(Reading reading, Demand.Gap gap, JudgingSchool school, double withinMm) =>
        school == JudgingSchool.SameFigure && gap.SetMm is { } figure && reading.EstimateMm is { } mm && Math.Abs(mm - figure) > withinMm + SameMm;

    /// <summary>Whether a reading is decided: tight, loose or in its window.</summary>
    public bool IsDecided => State is VerdictState.Tight or VerdictState.Loose or VerdictState.InWindow;

    /// <summary>Thicknesses that dragged.</summary>
    internal static IEnumerable<double> Drags(IReadOnlyList<BladeTrial> trials) => trials.Where(t => t.Feel == Feel.Drag).Select(t => t.StackMm);

    internal static bool Same(double a, double b) => Math.Abs(a - b) <= SameMm;

    private static (VerdictState?, Because?) Stands(Reading reading, IReadOnlyList<BladeTrial> trials, Demand.Gap gap)
    {
        var window = gap.Window;
        if (ByTouch([.. Drags(trials)], gap) is { } touched) return (touched, Judging.Because.Touch);
        if (Verdict.ByBounds(reading, window) is { } bounded) return (bounded, Judging.Because.Bounds);
        if (reading.EstimateMm is null) return (null, null);
        return (Verdict.Judge(reading, window).State, Judging.Because.Probability);
    }

    /// <summary>What the blades that drag say; null where none does, or they lie on both sides of a limit.</summary>
    private static VerdictState? ByTouch(IReadOnlyList<double> drags, Demand.Gap gap)
    {
        var window = gap.Window;
        if (drags.Count == 0) return null;
        // Of a pair a blade that drags has entered: the one that must not go decides, whatever else drags.
        if (gap.IsPair) return drags.Any(mm => mm >= window.MaxMm - SameMm) ? VerdictState.Loose : drags.All(mm => mm < window.MinMm - SameMm) ? VerdictState.Tight : VerdictState.InWindow;
        if (drags.All(mm => mm >= window.MinMm - SameMm && mm <= window.MaxMm + SameMm)) return VerdictState.InWindow;
        if (drags.All(mm => mm < window.MinMm - SameMm)) return VerdictState.Tight;
        return drags.All(mm => mm > window.MaxMm + SameMm) ? VerdictState.Loose : null;
    }

    private static Judgement BySetBlade(IReadOnlyList<BladeTrial> trials, double figure, VerdictState? state, bool onFigure, Because? because, bool aBladeTellsMore)
    {
        var own = trials.Where(t => Same(t.StackMm, figure)).Select(t => (Feel?)t.Feel).LastOrDefault();
        return own switch
        {
            Feel.NoGo or Feel.HeavyDrag => new Judgement(state, onFigure, because, JudgedAction.Set, VerdictState.Tight),
            Feel.Free => new Judgement(state, onFigure, because, JudgedAction.Set, VerdictState.Loose),
            Feel.Drag => new Judgement(state, onFigure, because, JudgedAction.Leave, null),
            // Another blade can have said which side of the figure it is on.
            null when trials.Any(t => t.Feel is Feel.NoGo or Feel.HeavyDrag && t.StackMm < figure) || Drags(trials).Any(mm => mm < figure - SameMm) => new Judgement(state, onFigure, because, JudgedAction.Set, VerdictState.Tight),
            null when trials.Any(t => t.Feel == Feel.Free && t.StackMm > figure) || Drags(trials).Any(mm => mm > figure + SameMm) => new Judgement(state, onFigure, because, JudgedAction.Set, VerdictState.Loose),
            _ => new Judgement(state, onFigure, because, aBladeTellsMore ? JudgedAction.MeasureOn : JudgedAction.Yours, null),
        };
    }
}
