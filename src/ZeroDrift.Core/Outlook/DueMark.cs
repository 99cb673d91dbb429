using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Outlook;

/// <summary>The one mark an engine wears in a list: the gravest that is to be said of it. One that is quiet wears none.</summary>
public enum DueMark
{
    /// <summary>Nothing before its interval.</summary>
    None,

    /// <summary>A valve was found tight and waits to be set.</summary>
    Tight,

    /// <summary>A valve was found loose and waits to be set.</summary>
    Loose,

    /// <summary>Past the manual's interval.</summary>
    PastInterval,

    /// <summary>Wearing towards a limit before the manual's date.</summary>
    Wearing,

    /// <summary>Falls due within the weeks looked ahead.</summary>
    Due,

    /// <summary>Nothing was ever measured.</summary>
    NeverMeasured,
}

/// <summary>Which mark an engine wears.</summary>
public static class DueMarks
{
    /// <summary>How far a list of what is due looks ahead, weeks (common practice, no source).</summary>
    public const int WeeksAhead = 8;

    /// <summary>The last day of those weeks.</summary>
    public static DateOnly Until(DateOnly today) => today.AddDays(7 * WeeksAhead);

    /// <summary>The gravest that is to be said.</summary>
    /// <param name="found">What stands out of its limits on record, the worst; null where nothing does.</param>
    /// <param name="measured">Anything was ever measured.</param>
    /// <param name="wearing">It is worth an early look by what its readings say.</param>
    /// <param name="bookHoursLeft">Engine hours to the manual's date; null without one.</param>
    /// <param name="due">The day that decides; null where none does.</param>
    /// <param name="today">Today.</param>
    public static DueMark Of(VerdictState? found, bool measured, bool wearing, double? bookHoursLeft, DateOnly? due, DateOnly today) => found switch
    {
        VerdictState.Tight => DueMark.Tight,
        VerdictState.Loose => DueMark.Loose,
        _ when !measured => DueMark.NeverMeasured,
        _ when bookHoursLeft <= 0 => DueMark.PastInterval,
        _ when wearing => DueMark.Wearing,
        _ => due <= Until(today) ? DueMark.Due : DueMark.None,
    };
}

/// <summary>What is to be done next about an engine.</summary>
public enum DueStep
{
    /// <summary>Nothing now.</summary>
    None,

    /// <summary>A visit is open: go on with it.</summary>
    GoOn,

    /// <summary>A job stands on a day: open it.</summary>
    OpenJob,

    /// <summary>A job has no day yet: plan it.</summary>
    PlanJob,

    /// <summary>It has no job yet: make one and plan it.</summary>
    Plan,

    /// <summary>Measure it for the first time.</summary>
    Start,

    /// <summary>Read its meter: nothing can be planned by what is known of it.</summary>
    ReadMeter,
}

/// <summary>Which step comes next.</summary>
public static class DueSteps
{
    /// <summary>The next step.</summary>
    /// <param name="mark">What it wears.</param>
    /// <param name="isOpen">A visit of it is open.</param>
    /// <param name="hasJob">A job waits for it.</param>
    /// <param name="isPlanned">That job stands on a day.</param>
    /// <param name="toBeRead">Its meter was not read for longer than is safe.</param>
    public static DueStep Of(DueMark mark, bool isOpen, bool hasJob, bool isPlanned, bool toBeRead) =>
        isOpen ? DueStep.GoOn
        : hasJob ? isPlanned ? DueStep.OpenJob : DueStep.PlanJob
        : mark == DueMark.NeverMeasured ? DueStep.Start
        : mark != DueMark.None ? DueStep.Plan
        : toBeRead ? DueStep.ReadMeter : DueStep.None;
}
