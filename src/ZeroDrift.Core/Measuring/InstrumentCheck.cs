namespace ZeroDrift.Core.Measuring;

/// <summary>What is measured with and checked from time to time.</summary>
public enum InstrumentKind
{
    /// <summary>Feeler blades.</summary>
    BladeSet,

    /// <summary>A micrometer, for shims.</summary>
    Micrometer,

    /// <summary>A dial indicator.</summary>
    Dial,
}

/// <summary>
/// Whether an instrument can be believed on a day. What was found wrong today was right when it was checked last: every visit since then is suspect.
/// </summary>
/// <param name="LastCheck">The day it was last found right; null where nobody knows.</param>
/// <param name="EveryMonths">How often it is checked, months, at least 1.</param>
/// <param name="Withdrawn">The day it was taken out of use; null while it is used.</param>
/// <param name="SuspectFrom">The day from which it may have been wrong, where somebody knows better than its last check.</param>
public sealed record InstrumentCheck(DateOnly? LastCheck, int EveryMonths, DateOnly? Withdrawn, DateOnly? SuspectFrom)
{
    /// <summary>A year, as blades are checked where nobody says otherwise (common practice, no source).</summary>
    public const int UsualMonths = 12;

    /// <summary>The day by which it is to be checked; null where it was never checked or is out of use.</summary>
    public DateOnly? NextCheck => Withdrawn is null ? LastCheck?.AddMonths(EveryMonths) : null;

    /// <summary>Whether its check is overdue: past its day, or never made.</summary>
    public bool IsDue(DateOnly today) => Withdrawn is null && (NextCheck is not { } next || next < today);

    /// <summary>Whether a visit of that day, measured with it, is suspect. The visits of the day of the last check came after it for all anyone knows.</summary>
    public bool MakesSuspect(DateOnly visit) => Withdrawn is not null && visit >= (SuspectFrom ?? LastCheck ?? DateOnly.MinValue);
}
