using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Visits;

/// <summary>The kinds of job that open an engine.</summary>
public enum JobKind
{
    /// <summary>The full service; starts the book's clock anew.</summary>
    Overhead,

    /// <summary>Some points, to settle a doubt; feeds the trend, does not touch the clock.</summary>
    SpotCheck,

    /// <summary>Somebody else's adjustment or a bought-in head, claimed beside found.</summary>
    ReceivingCheck,

    /// <summary>Built or rebuilt: nothing found, everything left; starts the first-check clock and ends the history of changed parts.</summary>
    Build,
}

/// <summary>In which order the points of a stop are taken.</summary>
public enum PointOrder
{
    /// <summary>Cylinder by cylinder.</summary>
    ByCylinder,

    /// <summary>As they stand along the head.</summary>
    DownTheHead,

    /// <summary>All of one kind, then the other, so that the blade in hand changes once.</summary>
    OneBlade,

    /// <summary>All exhausts first: the hotter, the more urgent.</summary>
    ExhaustsFirst,

    /// <summary>All intakes first.</summary>
    IntakesFirst,
}

/// <summary>Where the engine is while it is worked on.</summary>
public enum VisitPlace
{
    /// <summary>In its machine.</summary>
    InMachine,

    /// <summary>Whole, out of its machine: no battery, no wheels, no propeller.</summary>
    OnStand,

    /// <summary>A head on a bench: no hours, no stops, not in the trend.</summary>
    OnBench,
}

/// <summary>Whether a point is set as soon as it is measured.</summary>
public enum SettingOrder
{
    /// <summary>Everything at a stop is measured before the first adjuster is touched.</summary>
    StopFirst,

    /// <summary>A point is finished before the next.</summary>
    PointByPoint,
}

/// <summary>What is measured with.</summary>
public enum MeasuringMeans
{
    /// <summary>Feeler blades.</summary>
    Blades,

    /// <summary>A dial indicator on the rocker.</summary>
    Dial,
}

/// <summary>The blades at hand, as written on them.</summary>
public sealed record Tray(string? SetId, LengthUnit Unit, IReadOnlyList<string> Blades)
{
    /// <summary>Thicknesses, mm.</summary>
    public IReadOnlyList<double> BladesMm { get; } = [.. Blades.Select(b => Length.Parse(b, Unit, "tray.blades").Millimetres)];
}

/// <summary>First entry of every visit.</summary>
public sealed record Opened : Entry
{
    /// <summary>The engine.</summary>
    public required Guid EngineId { get; init; }

    /// <summary>What kind of job.</summary>
    public required JobKind Job { get; init; }

    /// <summary>The day.</summary>
    public required DateOnly Date { get; init; }

    /// <summary>What the hour meter shows; null only out of the machine.</summary>
    public EngineHours? ShownHours { get; init; }

    /// <summary>The context the device folded by.</summary>
    public string? ContextId { get; init; }

    /// <summary>The school of positions; null for the book's.</summary>
    public TurningMethod? Method { get; init; }

    /// <summary>Order of the points at a stop.</summary>
    public PointOrder? Order { get; init; }

    /// <summary>Stop by stop or point by point.</summary>
    public SettingOrder? Setting { get; init; }

    /// <summary>The blades.</summary>
    public Tray? Tray { get; init; }

    /// <summary>Blades or dial; null for the book's.</summary>
    public MeasuringMeans? Measuring { get; init; }

    /// <summary>How a reading is judged; null for the book's.</summary>
    public JudgingSchool? Judging { get; init; }

    /// <summary>How a screw is locked; null for the book's.</summary>
    public SettingManner? Manner { get; init; }

    /// <summary>What else is measured with: a micrometer, a dial, by the name written on it.</summary>
    public IReadOnlyList<string> Instruments { get; init; } = [];

    /// <summary>Where the engine is.</summary>
    public VisitPlace Place { get; init; }

    /// <summary>A head on a bench.</summary>
    public bool Bench => Place == VisitPlace.OnBench;

    /// <summary>Who or what turns the crank; null where nobody said, <see cref="Chose.Starter"/> where the starter does.</summary>
    public string? TurnedBy { get; init; }

    /// <summary>The visit whose awaiting points this one finishes.</summary>
    public Guid? Continues { get; init; }

    /// <summary>The planned job this is.</summary>
    public Guid? JobId { get; init; }
}

/// <summary>Something chosen otherwise on the way.</summary>
public sealed record Chose : Entry
{
    /// <summary>The school of positions.</summary>
    public TurningMethod? Method { get; init; }

    /// <summary>Order of the points at a stop.</summary>
    public PointOrder? Order { get; init; }

    /// <summary>Stop by stop or point by point.</summary>
    public SettingOrder? Setting { get; init; }

    /// <summary>The blades.</summary>
    public Tray? Tray { get; init; }

    /// <summary>Blades or dial.</summary>
    public MeasuringMeans? Measuring { get; init; }

    /// <summary>How a reading is judged.</summary>
    public JudgingSchool? Judging { get; init; }

    /// <summary>How a screw is locked.</summary>
    public SettingManner? Manner { get; init; }

    /// <summary>The point to go on with: it stays chosen until it is done or another is.</summary>
    public string? Point { get; init; }

    /// <summary>Who or what turns the crank; <see cref="Starter"/> where the starter does.</summary>
    public string? TurnedBy { get; init; }

    /// <summary>The word for the starter: it needs live power and is too coarse for a mark.</summary>
    public const string Starter = "starter";
}

/// <summary>A step of the lists done, or not after all.</summary>
public sealed record Ticked(string Step, bool On, string? Said) : Entry
{
    /// <summary>It does not apply here: the step is answered, and printed so.</summary>
    public bool NotHere { get; init; }

    /// <summary>Why it does not apply.</summary>
    public string? Why { get; init; }
}

/// <summary>Cold or hot, with what it rests on.</summary>
public sealed record ConditionStated(SpecCondition Condition, double? EngineTemperatureC, double? HoursStanding, bool MeasureAnyway) : Entry;

/// <summary>What was seen of one valve.</summary>
public sealed record SignSeen(int Cylinder, LashKind Kind, ValveState State);

/// <summary>The stop, or these points, proved by what was seen.</summary>
public sealed record PositionProved(double? CrankDeg, IReadOnlyList<string> Points, IReadOnlyList<SignSeen> Signs, string? Said) : Entry;

/// <summary>Where the crank stands now.</summary>
public sealed record BarredTo(double CrankDeg) : Entry;
