using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Outlook;

/// <summary>One signed opening of an engine.</summary>
/// <param name="Id">The caller's name for it.</param>
/// <param name="Hours">Total engine hours.</param>
/// <param name="Person">Who did the work; null where nobody is named.</param>
/// <param name="Doubted">Answered as warm or as other blades: what was found is left out of every rate.</param>
public sealed record EngineVisit(string Id, EngineHours Hours, string? Person, bool Doubted);

/// <summary>One standing figure.</summary>
/// <param name="Reading">What it says.</param>
/// <param name="Dragged">A blade dragged: its estimate is the gap itself. Without, two bounds are bounds and no middle.</param>
/// <param name="Person">Who measured.</param>
public sealed record VisitFigure(Reading Reading, bool Dragged, string? Person)
{
    /// <summary>A second look, or a second hand, agreed.</summary>
    public bool Confirmed { get; init; }

    /// <summary>Two looks agree within this, mm (common practice, no source).</summary>
    public const double AgreesWithinMm = 0.02;

    /// <summary>Known only to lie between bounds.</summary>
    public bool IsBounded => Reading.EstimateMm is not { } mm
        || (!Dragged && Reading is { LowerMm: { } low, UpperMm: { } high } && high > low && Math.Abs((low + high) / 2 - mm) < 1e-9);
}

/// <summary>What happened to one lash point at one visit.</summary>
/// <param name="Visit">Which.</param>
/// <param name="Found">Before anything was touched; null where not measured.</param>
/// <param name="Left">After setting; null where the point was left untouched.</param>
public sealed record PointVisit(EngineVisit Visit, VisitFigure? Found, VisitFigure? Left)
{
    /// <summary>Measured in another condition (hot against cold) than the spec's: says nothing of this demand.</summary>
    public bool OtherCondition { get; init; }

    /// <summary>A valve, seat, cam, follower or head was changed or machined here: the history before it is another part's.</summary>
    public bool PartChanged { get; init; }
}

/// <summary>One lash point of an engine with its whole history.</summary>
/// <param name="Label">Its label in the engine type, such as 4E.</param>
/// <param name="Group">What it wears like: its kind.</param>
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
/// <param name="HoursNow">Total engine hours today, by its last reading and its use since.</param>
/// <param name="Usage">Hours a day.</param>
/// <param name="Book">The book's intervals and the last overhead; null for an engine never opened under record.</param>
/// <param name="Visits">Its visits, by hours.</param>
/// <param name="Points">Its lash points.</param>
public sealed record EngineRecord(string Id, EngineHours HoursNow, Usage Usage, BookClock? Book, IReadOnlyList<EngineVisit> Visits, IReadOnlyList<PointRecord> Points)
{
    /// <summary>Gaps measured more than once with nothing done between.</summary>
    public IReadOnlyList<WearGap> SameGaps { get; init; } = [];
}
