using ZeroDrift.Contract.Calls;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Turning;
using ZeroDrift.Core.Visits;
using ZeroDrift.Core.Visits.Sheet;

namespace ZeroDrift.Contract.Visits;

/// <summary>One part of the way through a visit.</summary>
public sealed record CourseStepRecord(CoursePart Part, int? Stop, bool Done);

/// <summary>A line of a list as this visit asks it; asked: the signature waits for it, else it is only offered.</summary>
public sealed record SheetStepRecord(string Step, StepList List, string Text, bool Asked, bool Ticked)
{
    public string? Asks { get; init; }
    public string? Point { get; init; }
    public double? CrankDeg { get; init; }
    public Counting? Counts { get; init; }

    /// <summary>"Not here" is no answer to it.</summary>
    public bool Must { get; init; }
    public bool AfterFitting { get; init; }

    /// <summary>To be ticked now, of a step at a point.</summary>
    public bool Due { get; init; }
    public bool NotHere { get; init; }
    public string? Why { get; init; }
    public string? Said { get; init; }
}

/// <summary>Since when nothing was written down, from when on it is asked whether that was a pause, and whether one is on.</summary>
public sealed record StillnessRecord(DateTimeOffset Since, DateTimeOffset AskAt, bool IsPaused);

/// <summary>The work sheet of a visit: stops, points, readings, advice, in the form the screens at the engine and the record show.</summary>
public sealed record SheetRecord
{
    /// <summary>What a signed visit comes to, in a sentence or two; null before.</summary>
    public string? Result { get; init; }
    public required TurningMethod Method { get; init; }
    public required SettingOrder Setting { get; init; }
    public required PointOrder Order { get; init; }
    public required JudgingSchool Judging { get; init; }
    public required SettingManner Manner { get; init; }
    public required MeasuringMeans Measuring { get; init; }

    /// <summary>The schools to choose from.</summary>
    public required IReadOnlyList<MethodRecord> Methods { get; init; }

    /// <summary>The eye is on one valve at a time: what is seen proves the point, no stop does.</summary>
    public required bool ByEye { get; init; }
    public string? TurnedBy { get; init; }

    /// <summary>How the position is found where the starter turns the crank: too coarse for a mark.</summary>
    public required TurningMethod ByEyeMethod { get; init; }
    public required CrankEnd SeenFrom { get; init; }
    public required bool Anticlockwise { get; init; }

    /// <summary>The book does not say which end or which way.</summary>
    public required bool ViewAssumed { get; init; }

    /// <summary>How a cylinder shows that its valves are free.</summary>
    public required CylinderGear Gear { get; init; }

    /// <summary>Where the crank stands as far as can be told.</summary>
    public double? StandsDeg { get; init; }
    public LobeAwayRecord? LobeAway { get; init; }
    public required IReadOnlyList<MarkRecord> Marks { get; init; }
    public required double CycleDeg { get; init; }
    public required IReadOnlyList<int> FiringOrder { get; init; }
    public required IReadOnlyList<double> FiringAnglesDeg { get; init; }
    public required SpecCondition Condition { get; init; }
    public required bool ConditionKnown { get; init; }
    public double? EngineTemperatureC { get; init; }
    public required bool OutOfTrend { get; init; }
    public string? OutOfTrendBecause { get; init; }
    public string? SpecRevision { get; init; }
    public string? SpecSource { get; init; }
    public double? ShownHours { get; init; }

    /// <summary>Through meter changes: those the context knew of; a server knows all of them.</summary>
    public double? TotalHours { get; init; }
    public required IReadOnlyList<string> Tray { get; init; }
    public required string TrayUnit { get; init; }
    public string? TraySet { get; init; }

    /// <summary>Blades so thin that they buckle at a right drag.</summary>
    public required IReadOnlyList<string> ThinBlades { get; init; }

    /// <summary>When the engine was stopped, where it is measured hot, and how long its hot figure holds.</summary>
    public DateTimeOffset? StoppedAt { get; init; }
    public double? HotMinutes { get; init; }

    /// <summary>Since when nothing was written down, when that is asked, and whether a pause is on; null where the visit is not open.</summary>
    public StillnessRecord? Stillness { get; init; }

    public bool NarrowBlade { get; init; }
    public bool RunningMethod { get; init; }
    public double? SecondPassMinutes { get; init; }

    /// <summary>The book's letters, spelt out.</summary>
    public required string Letters { get; init; }

    /// <summary>Cylinders that nobody looked at.</summary>
    public required IReadOnlyList<int> NotLookedAt { get; init; }

    /// <summary>The points that waited, where this visit goes on with another: no other is asked for. Empty for every other visit.</summary>
    public IReadOnlyList<string> Waiting { get; init; } = [];

    /// <summary>Why what an earlier visit found should be measured anew; null where it still tells.</summary>
    public string? FindAgain { get; init; }

    /// <summary>Piston travel past TDC, mm, at which this engine is measured.</summary>
    public PastTdc? PastTdc { get; init; }
    /// <summary>The way through the visit, and where its guide stands.</summary>
    public required IReadOnlyList<CourseStepRecord> Course { get; init; }
    public required CoursePart At { get; init; }
    public int? AtStop { get; init; }

    /// <summary>The lines of every list as this visit asks them: by its kind of job, its place, and who or what turns the crank.</summary>
    public required IReadOnlyList<SheetStepRecord> Steps { get; init; }

    /// <summary>Cold figures of a type that knows only hot ones: kept, judged by nothing.</summary>
    public bool NotJudged { get; init; }
    public required IReadOnlyList<SheetStopRecord> Stops { get; init; }
    public required IReadOnlyList<UnplacedPointResponse> CannotSet { get; init; }
    public required IReadOnlyList<SheetPointRecord> Points { get; init; }
}
