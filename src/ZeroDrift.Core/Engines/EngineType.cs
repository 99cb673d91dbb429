using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Engines;

/// <summary>Whether a figure holds for a cold or a hot engine; the two never share a trend.</summary>
public enum SpecCondition
{
    /// <summary>Cold: the usual.</summary>
    Cold,

    /// <summary>Hot, run to temperature first.</summary>
    Hot,
}

/// <summary>The adjusting screw of a type.</summary>
/// <param name="PitchMm">Thread pitch, above 0 to 10 mm.</param>
/// <param name="ClearancePerTravel">Clearance gained per screw travel, above 0 to 10.</param>
/// <param name="ClockwiseCloses">True on an ordinary rocker (common practice, no source).</param>
public sealed record AdjustingScrew(double PitchMm, double ClearancePerTravel = 1, bool ClockwiseCloses = true);

/// <summary>
/// An engine type as its book describes it: everything needed to find the position, judge a reading and set it. Engines of one type share it.
/// </summary>
public sealed record EngineType
{
    /// <summary>Who fires when; carries the cycle.</summary>
    public required FiringOrder Order { get; init; }

    /// <summary>Valve timing of a four-stroke; the safe defaults where it is not known.</summary>
    public ValveTiming Timing { get; init; } = ValveTiming.Unknown;

    /// <summary>Timing of a uniflow two-stroke.</summary>
    public UniflowTiming Uniflow { get; init; } = UniflowTiming.Unknown;

    /// <summary>Degrees kept clear on both sides of a lift.</summary>
    public double RampGuardDeg { get; init; } = TurningEngine.DefaultRampGuardDeg;

    /// <summary>The lash points, front to back, bank by bank; labels unique.</summary>
    public required IReadOnlyList<LashPoint> Points { get; init; }

    /// <summary>The figures by kind, of the revision in force.</summary>
    public required IReadOnlyDictionary<LashKind, ClearanceSpec> Specs { get; init; }

    /// <summary>Cold or hot.</summary>
    public SpecCondition Condition { get; init; }

    /// <summary>The screw; null where shims or shafts are set instead.</summary>
    public AdjustingScrew? Screw { get; init; }

    /// <summary>The school the book or the fleet follows.</summary>
    public TurningMethod Method { get; init; } = TurningMethod.TwoStop;

    /// <summary>The book's own stops; empty where it has none.</summary>
    public IReadOnlyList<BookStop> BookStops { get; init; } = [];

    /// <summary>The engine as the turning planner sees it.</summary>
    /// <exception cref="BadInputException">Timing that cannot be.</exception>
    public TurningEngine Turning() => Order.Cycle == EngineCycle.FourStroke
        ? TurningEngine.FourStroke(Order, Timing, RampGuardDeg)
        : TurningEngine.Uniflow(Order, Uniflow, RampGuardDeg);

    /// <summary>The turning plan for this type's own points and method, or another method where the mechanic prefers one.</summary>
    /// <exception cref="BadInputException">A method the cycle does not allow.</exception>
    public TurningPlan Plan(TurningMethod? method = null) => TurningPlanner.Plan(Turning(), new TurningRequest(
        method ?? Method,
        [.. Points.Select(p => p.Kind).Distinct()],
        null,
        BookStops));

    /// <summary>The figures of one point; null where the book gives none (injectors set by turns).</summary>
    public ClearanceSpec? SpecFor(LashPoint point) => Specs.GetValueOrDefault(point.Kind);
}
