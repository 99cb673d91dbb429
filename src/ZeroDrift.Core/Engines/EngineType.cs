namespace ZeroDrift.Core.Engines;

/// <summary>Whether a figure holds for a cold or a hot engine; the two never share a trend.</summary>
public enum SpecCondition
{
    /// <summary>Cold: the usual.</summary>
    Cold,

    /// <summary>Hot, run to temperature first.</summary>
    Hot,
}

/// <summary>
/// An engine type as its book describes it, without its figures: who fires when, where the points sit, what sets them. Engines of one type share it.
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
    public double RampGuardDeg { get; init; } = ValveTiming.DefaultRampGuardDeg;

    /// <summary>The lash points, front to back, bank by bank; labels unique.</summary>
    public required IReadOnlyList<LashPoint> Points { get; init; }

    /// <summary>The school the book or the fleet follows.</summary>
    public TurningMethod Method { get; init; } = TurningMethod.TwoStop;

    /// <summary>Measured this far past TDC, where a compression release asks for it.</summary>
    public PastTdc? PastTdc { get; init; }

    /// <summary>The letters of its book; its labels follow them.</summary>
    public BookLetters Letters { get; init; }

    /// <summary>The book's own stops; empty where it has none.</summary>
    public IReadOnlyList<BookStop> BookStops { get; init; } = [];
}
