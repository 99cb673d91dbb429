using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Overheads;

/// <summary>How far one lash point has come in an overhead.</summary>
/// <param name="Point">The point.</param>
/// <param name="Spec">Its figures; null where the book gives no gap and the point is only ticked off as set by the book.</param>
/// <param name="Found">As-found reading; null while not measured.</param>
/// <param name="Left">As-left reading, measured after locking; null while not measured.</param>
/// <param name="LeftWhy">Why it was left outside the window, or left undecided, where somebody chose to.</param>
/// <param name="ByTheBook">A point without a gap was set by the book's amount.</param>
public sealed record PointProgress(LashPoint Point, ClearanceSpec? Spec, Reading? Found, Reading? Left, string? LeftWhy, bool ByTheBook)
{
    /// <summary>Verdict on the as-found; null while not measured.</summary>
    public VerdictState? FoundState => Found is not null && Spec is not null ? Verdict.Judge(Found, Spec.Window).State : null;

    /// <summary>Verdict on the as-left.</summary>
    public VerdictState? LeftState => Left is not null && Spec is not null ? Verdict.Judge(Left, Spec.Window).State : null;

    /// <summary>The as-found still has to be measured.</summary>
    public bool NeedsFound => Spec is not null ? Found is null : !ByTheBook;

    /// <summary>
    /// The point still has to be set and measured again. In the window is left alone, and its one reading serves as found and as left.
    /// An as-left outside the window needs a reason.
    /// </summary>
    public bool NeedsLeft => Spec is not null && !NeedsFound && LeftWhy is null && (LeftState ?? FoundState) != VerdictState.InWindow;

    /// <summary>Nothing is left to do here.</summary>
    public bool IsDone => !NeedsFound && !NeedsLeft;
}
