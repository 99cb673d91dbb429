using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Visits;

/// <summary>
/// What the book says of an engine type, one figure or word each: the same record in the data, in what is answered of a type and in what a visit
/// takes along, so that a new one is added here and at the field it is typed into. Null where the book gives none. Set, not initialised: what an
/// older context leaves out keeps the value it has here.
/// </summary>
public record TypeFacts
{
    /// <summary>Two or four strokes.</summary>
    public EngineCycle Cycle { get; set; }

    /// <summary>When each cylinder of the firing order fires, degrees; null for an engine that fires evenly.</summary>
    public IReadOnlyList<double>? FiringAnglesDeg { get; set; }

    /// <summary>Degrees kept clear on both sides of a lift, 0 to 180.</summary>
    public double RampGuardDeg { get; set; } = ValveTiming.DefaultRampGuardDeg;

    /// <summary>The school of its book.</summary>
    public TurningMethod Method { get; set; }

    /// <summary>What sets its points, where no kind is set otherwise.</summary>
    public AdjusterKind Adjuster { get; set; }

    /// <summary>Thread of the screw, mm a turn, 0.1 to 10.</summary>
    public double? PitchMm { get; set; }

    /// <summary>Clearance per travel of the screw, 0.05 to 10.</summary>
    public double ClearancePerTravel { get; set; } = 1;

    /// <summary>Clockwise closes the gap.</summary>
    public bool ClockwiseCloses { get; set; } = true;

    /// <summary>Thicknesses of its shim series, mm, thinnest first.</summary>
    public IReadOnlyList<double>? ShimSizesMm { get; set; }

    /// <summary>Clearance per thickness of the shim.</summary>
    public double ShimPerClearance { get; set; } = 1;

    /// <summary>What is stamped on each size of the series, in their order; null where the thickness itself is.</summary>
    public IReadOnlyList<string>? ShimMarks { get; set; }

    /// <summary>Thread that a new screw has left to come out by, mm of travel, 0.1 to 50; null where nobody measured it.</summary>
    public double? ScrewFreeMm { get; set; }

    /// <summary>Its shims across, mm, 1 to 60: those of another diameter do not fit.</summary>
    public double? ShimDiameterMm { get; set; }

    /// <summary>The whole travel of a lifter, turns of its screw.</summary>
    public double? TravelTurns { get; set; }

    /// <summary>The screw holds by its own drag and has no locknut.</summary>
    public bool SelfLocking { get; set; }

    /// <summary>Warmer than this is not cold, °C, 0 to 100 (common practice, no source).</summary>
    public double ColdMaxC { get; set; } = 40;

    /// <summary>Clearance per dial travel, 0.01 to 10.</summary>
    public double? DialConversion { get; set; }

    /// <summary>Where the dial touches the rocker.</summary>
    public string? DialContact { get; set; }

    /// <summary>In which order the points of a stop are taken.</summary>
    public PointOrder Order { get; set; }

    /// <summary>Stop by stop or point by point; null for what suits the adjuster.</summary>
    public SettingOrder? Setting { get; set; }

    /// <summary>How a reading is judged.</summary>
    public JudgingSchool Judging { get; set; }

    /// <summary>How an adjuster is held while it is locked.</summary>
    public SettingManner Manner { get; set; }

    /// <summary>Blades, or a dial on the rocker.</summary>
    public MeasuringMeans Measuring { get; set; }

    /// <summary>A spark engine; else a diesel.</summary>
    public bool Spark { get; set; }

    /// <summary>With the timing in doubt a valve can meet its piston.</summary>
    public bool Interference { get; set; }

    /// <summary>Lock pins or cam bars that must be out before the crank turns, as the book names them.</summary>
    public string? Pins { get; set; }

    /// <summary>The mark of the camshaft that shows the lap, as the book names it.</summary>
    public string? CamMark { get; set; }

    /// <summary>A distributor's rotor can be seen.</summary>
    public bool Rotor { get; set; }

    /// <summary>Diameter of the pulley or flywheel that carries the marks, mm, 10 to 5000.</summary>
    public double? PulleyMm { get; set; }

    /// <summary>The book counts turns of the cam.</summary>
    public bool SpeaksCamTurns { get; set; }

    /// <summary>The letters of its book.</summary>
    public BookLetters Letters { get; set; }

    /// <summary>What new single-use gaskets are worth, hours of work, 0.01 to 1000: they make an opening dearer.</summary>
    public double? GasketHours { get; set; }

    /// <summary>Its bridges leave room for a narrow blade only.</summary>
    public bool NarrowBlade { get; set; }

    /// <summary>A hot figure holds for so many minutes since the engine stopped, 1 to 600.</summary>
    public double? HotMinutes { get; set; }

    /// <summary>After a build it is set again hot, so many hours later, 1 to 10 000.</summary>
    public double? ResetHotHours { get; set; }

    /// <summary>Minutes to the second pass over points set by amount, 1 to 1440.</summary>
    public double? SecondPassMinutes { get; set; }

    /// <summary>Its book sets it with the engine running; guided here is the still method beside it.</summary>
    public bool RunningMethod { get; set; }

    /// <summary>Where all are brought to one figure: how near is near enough, mm, 0 to 1.</summary>
    public double? SameWithinMm { get; set; }

    /// <summary>Measured at this piston travel past TDC, mm, 0.1 to 500; <see cref="StrokeMm"/> and <see cref="RodMm"/> turn it into degrees.</summary>
    public double? PastTdcMm { get; set; }

    /// <summary>The stroke, mm, 1 to 5000.</summary>
    public double? StrokeMm { get; set; }

    /// <summary>The connecting rod from centre to centre, mm, 1 to 20 000.</summary>
    public double? RodMm { get; set; }

    /// <summary>Turning direction in the running sense, as seen from where the crank is barred.</summary>
    public string Rotation { get; set; } = RotationUnknown;

    /// <summary>How it is barred.</summary>
    public string BarringTool { get; set; } = BarringToolUnknown;

    /// <summary>Said where nobody knows which way it runs: as part of a sentence that tells someone to bar it.</summary>
    public const string RotationUnknown = "which way it runs is not known: look before you bar it";

    /// <summary>Said where nobody knows what bars it.</summary>
    public const string BarringToolUnknown = "its barring tool";

    /// <summary>Turns of the barring tool to one of the crank, 0.01 to 1000.</summary>
    public double ToolTurnsPerCrankTurn { get; set; } = 1;

    /// <summary>The book's interval, engine hours, 1 to 100 000.</summary>
    public double? BookHours { get; set; }

    /// <summary>The book's interval, months, 1 to 240.</summary>
    public int? BookMonths { get; set; }

    /// <summary>The first check after a build, engine hours, 1 to 10 000.</summary>
    public double? FirstCheckHours { get; set; }

    /// <summary>Seats settle for so many engine hours after a build, 0 to 10 000.</summary>
    public double BreakInHours { get; set; }

    /// <summary>How long the job takes, hours, 0.25 to 200.</summary>
    public double JobHours { get; set; } = 4;
}
