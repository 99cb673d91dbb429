using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Outlook;

/// <summary>One lash point of an engine with its whole history.</summary>
/// <param name="Label">Its label in the engine type, such as 4E.</param>
/// <param name="Group">What it is pooled with: its kind.</param>
/// <param name="Spec">Figures of the revision in force; null where the book gives no gap.</param>
/// <param name="Visits">By hours.</param>
/// <param name="Standing">The last accepted reading, as it was left; null before the first.</param>
public sealed record PointRecord(string Label, string Group, Demand.Gap? Spec, IReadOnlyList<PointVisit> Visits, Reading? Standing)
{
    /// <summary>A blade dragged in the standing reading: its estimate is the gap itself.</summary>
    public bool StandingDragged { get; init; }
}

/// <summary>What is known of one engine.</summary>
/// <param name="Id">The caller's name for it.</param>
/// <param name="HoursNow">Total engine hours today.</param>
/// <param name="Usage">Hours a day.</param>
/// <param name="Book">The book's intervals and the last overhead; null for an engine never opened under record.</param>
/// <param name="Points">Its lash points.</param>
public sealed record EngineRecord(string Id, EngineHours HoursNow, Usage Usage, BookClock? Book, IReadOnlyList<PointRecord> Points);
