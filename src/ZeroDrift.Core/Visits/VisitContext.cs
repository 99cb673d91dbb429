using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Setting;

namespace ZeroDrift.Core.Visits;

/// <summary>The lists that a step can belong to.</summary>
public enum StepList
{
    /// <summary>Before the first figure.</summary>
    MakeSafe,

    /// <summary>What to bring.</summary>
    Kit,

    /// <summary>Before the covers come off.</summary>
    Covers,

    /// <summary>At a crank angle.</summary>
    Stop,

    /// <summary>At a point before its as-left.</summary>
    Point,

    /// <summary>After the last point, before closing.</summary>
    BeforeCloseUp,

    /// <summary>Closing up.</summary>
    CloseUp,
}

/// <summary>Parts counted out, or back in.</summary>
public enum Counting
{
    /// <summary>Taken out.</summary>
    Out,

    /// <summary>Put back.</summary>
    In,
}

/// <summary>One step to tick off. Keys are unique, for points too (<c>bridge:3E</c>).</summary>
/// <param name="Key">Its name in entries.</param>
/// <param name="List">Where it belongs.</param>
/// <param name="Text">What to do.</param>
public sealed record VisitStep(string Key, StepList List, string Text)
{
    /// <summary>The point it belongs to.</summary>
    public string? Point { get; init; }

    /// <summary>The crank angle it belongs to.</summary>
    public CrankAngle? CrankDeg { get; init; }

    /// <summary>Parts counted: the number said at <see cref="Counting.Out"/> must come back.</summary>
    public Counting? Counts { get; init; }

    /// <summary>What ties an out-step to its in-step.</summary>
    public string? Pair { get; init; }

    /// <summary>A look that an opened cover allows: what is to be seen and said. Ticked also where nothing is said.</summary>
    public string? Asks { get; init; }

    /// <summary>Asked in this kind of job only; null for all.</summary>
    public JobKind? OnlyJob { get; init; }

    /// <summary>What it asks instead where the starter turns the crank: power stays on then.</summary>
    public string? ByStarter { get; init; }

    /// <summary>The places it belongs to; null for everywhere.</summary>
    public IReadOnlyList<VisitPlace>? Places { get; init; }

    /// <summary>A figure rests on it: "not here" is no answer to it.</summary>
    public bool Must { get; init; }

    /// <summary>A look at what was fitted: it counts only after the last fitting or turning of its point.</summary>
    public bool AfterFitting { get; init; }

    /// <summary>Whether this kind of job asks it, where the engine is; the kit list is for the road and asked by none.</summary>
    public bool IsAskedIn(JobKind job, VisitPlace place) => List != StepList.Kit && (OnlyJob is null || OnlyJob == job) && Places?.Contains(place) != false;
}

/// <summary>What one revision asks, in one condition.</summary>
/// <param name="Revision">Its name.</param>
/// <param name="Source">Where the figures come from.</param>
/// <param name="Condition">Cold or hot.</param>
/// <param name="ByPoint">What is asked of each point, by label; a point without an entry is not judged.</param>
public sealed record ContextDemands(string Revision, string Source, SpecCondition Condition, IReadOnlyDictionary<string, Demand> ByPoint);

/// <summary>What the record expects of a point today.</summary>
/// <param name="ClearanceMm">Middle.</param>
/// <param name="StandardUncertaintyMm">Of the forecast, a reading's own included.</param>
public sealed record ExpectedFigure(double ClearanceMm, double StandardUncertaintyMm);

/// <summary>What the record knows of a point beyond today's expectation.</summary>
/// <param name="BeforeMm">As it was left last; null where it never was.</param>
/// <param name="BeforeHours">Engine hours then.</param>
/// <param name="Ahead">Where it heads from whatever figure it is left at; null where nobody knows.</param>
/// <param name="AimMm">The figure that lasts longest; null where it is the book's.</param>
/// <param name="AimGainHours">The hours it gives the engine.</param>
public sealed record PointProspect(double? BeforeMm, double? BeforeHours, Wear.FreshAhead? Ahead, double? AimMm, double? AimGainHours)
{
    /// <summary>Nothing is known.</summary>
    public static PointProspect None { get; } = new(null, null, null, null, null);
}

/// <summary>The meter as it was last known.</summary>
/// <param name="Date">The day.</param>
/// <param name="ShownHours">What it showed.</param>
/// <param name="OffsetHours">Hours of earlier meters.</param>
public sealed record ContextMeter(DateOnly Date, EngineHours ShownHours, double OffsetHours);

/// <summary>A visit that left points waiting.</summary>
/// <param name="VisitId">The visit.</param>
/// <param name="TotalHours">Engine hours then, through meter changes; null where not known.</param>
/// <param name="Points">What waits since.</param>
public sealed record WaitingVisit(Guid VisitId, double? TotalHours, IReadOnlyList<AwaitingPoint> Points)
{
    /// <summary>What it was opened for: only an overhead or a build looked at every point.</summary>
    public JobKind Job { get; init; } = JobKind.Overhead;
}

/// <summary>A point an earlier visit left waiting, with what it was found as.</summary>
/// <param name="Point">Its label.</param>
/// <param name="Found">As it was found.</param>
/// <param name="Shim">The shim that was decided for it meanwhile; null where none was.</param>
public sealed record AwaitingPoint(string Point, FigureView Found, Shims.PlannedShim? Shim = null);

/// <summary>
/// All that a fold rests on, fixed when the visit is opened: the same entries with the same context give the same visit on a server and on a
/// tablet.
/// </summary>
public sealed record VisitContext
{
    /// <summary>The engine.</summary>
    public required Guid EngineId { get; init; }

    /// <summary>Its type, points and book list.</summary>
    public required EngineType Type { get; init; }

    /// <summary>What the book asks; the first is the usual condition, at most one each.</summary>
    public required IReadOnlyList<ContextDemands> Demands { get; init; }

    /// <summary>The people known.</summary>
    public required IReadOnlySet<Guid> People { get; init; }

    /// <summary>The steps to tick.</summary>
    public required IReadOnlyList<VisitStep> Steps { get; init; }

    /// <summary>What is expected of each point, by label.</summary>
    public IReadOnlyDictionary<string, ExpectedFigure> Expected { get; init; } = new Dictionary<string, ExpectedFigure>();

    /// <summary>What the record knows of each point, by label.</summary>
    public IReadOnlyDictionary<string, PointProspect> Prospects { get; init; } = new Dictionary<string, PointProspect>();

    /// <summary>The fleet's risk of a valve out of its limits, 0 to 1.</summary>
    public double FleetRisk { get; init; } = 0.05;

    /// <summary>Engine hours from this visit to the book's next; null without an interval.</summary>
    public double? NextVisitHours { get; init; }

    /// <summary>A shift that all readings of a visit today would have in common, as a standard deviation, mm; 0 where the record says nothing of it.</summary>
    public double SharedSdMm { get; init; }

    /// <summary>What its book says of the type.</summary>
    public TypeFacts Facts { get; init; } = new();

    /// <summary>How the book works at a stop.</summary>
    public Schools Schools { get; init; } = new();

    /// <summary>What each person's locknuts did on this type so far.</summary>
    public IReadOnlyDictionary<Guid, LocknutCreep> Creep { get; init; } = new Dictionary<Guid, LocknutCreep>();

    /// <summary>The rules that came after the first building and hold for this context: a visit folds by those it was opened with.</summary>
    public int Rules { get; init; }

    /// <summary>From these on a blade of the other unit stands for a figure of the book.</summary>
    public const int BladesStandForFigures = 1;

    /// <summary>From these on a figure measured cold is not judged by a hot one.</summary>
    public const int ColdIsNotHot = 1;

    /// <summary>From these on another shim makes an attempt of what was left with the one before.</summary>
    public const int ShimClosesLeft = 1;

    /// <summary>The rules that a new context holds to.</summary>
    public const int NewestRules = 1;

    /// <summary>Marks found at earlier visits.</summary>
    public IReadOnlyList<EngineMark> Marks { get; init; } = [];

    /// <summary>Repeatability of feel where a person's own is not known, mm.</summary>
    public double FeelSdMm { get; init; } = Reading.DefaultFeelSdMm;

    /// <summary>Repeatability of feel of those whose own is known, mm.</summary>
    public IReadOnlyDictionary<Guid, double> OwnFeelSdMm { get; init; } = new Dictionary<Guid, double>();

    /// <summary>The last look at the meter; null where there was none.</summary>
    public ContextMeter? Meter { get; init; }

    /// <summary>Visits that left points waiting, the newest first.</summary>
    public IReadOnlyList<WaitingVisit> Waiting { get; init; } = [];

    /// <summary>The demands of a condition; before one is stated the usual ones. Cold figures of a type that knows only hot ones are judged by nothing.</summary>
    public ContextDemands? For(SpecCondition? condition) => Demands.FirstOrDefault(d => d.Condition == condition)
        ?? (Demands.Count == 0 || (Rules >= ColdIsNotHot && condition == SpecCondition.Cold) ? null : Demands[0]);

    /// <summary>What waits since a visit; null where nothing does.</summary>
    public WaitingVisit? WaitingOf(Guid? visit) => visit is { } id ? Waiting.FirstOrDefault(w => w.VisitId == id) : null;

    /// <summary>The step of a key; null where there is none.</summary>
    public VisitStep? StepOf(string key) => Steps.FirstOrDefault(s => s.Key == key);

    /// <summary>How well somebody's feel repeats, mm.</summary>
    public double FeelSdOf(Guid person) => OwnFeelSdMm.TryGetValue(person, out var own) ? own : FeelSdMm;

    /// <summary>The stops of a school, worked out once.</summary>
    /// <param name="method">The school.</param>
    /// <param name="begin">Where the crank stood when it was begun; null for the book's beginning.</param>
    /// <param name="order">Order of the points at a stop.</param>
    /// <exception cref="BadInputException">A school this engine does not allow.</exception>
    public StopPlan Stops(TurningMethod method, CrankAngle? begin = null, PointOrder order = PointOrder.DownTheHead) => plans.GetOrAdd((method, begin, order), key => new StopPlan(Type, key.Method, key.Begin, key.Order));

    private readonly System.Collections.Concurrent.ConcurrentDictionary<(TurningMethod Method, CrankAngle? Begin, PointOrder Order), StopPlan> plans = new();
}

/// <summary>A mark on the pulley or the flywheel.</summary>
/// <param name="Name">As it is stamped or chalked.</param>
/// <param name="CrankDeg">Where the crank stands when it comes up.</param>
/// <param name="Trap">Not the mark it looks like.</param>
public sealed record EngineMark(string Name, double CrankDeg, bool Trap)
{
    /// <summary>A mark this far from a stop or nearer lies in wait there, degrees.</summary>
    public const double NearDeg = 45;

    /// <summary>Degrees from a position of the crank on to the mark, −180 to 180: a mark comes up once a turn, whichever lap it is.</summary>
    public double After(CrankAngle crank)
    {
        var ahead = Circle.Normalise(CrankDeg - crank.Degrees, 360);
        return ahead > 180 ? ahead - 360 : ahead;
    }
}
