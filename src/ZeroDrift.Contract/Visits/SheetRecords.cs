using ZeroDrift.Contract.Calls;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Turning;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Contract.Visits;

public sealed record TryRecord(Guid Entry, IReadOnlyList<string> Blades, string Unit, Feel Feel);

/// <summary>A blade or a stack of the tray, as written on it.</summary>
public sealed record NextBladeRecord(IReadOnlyList<string> Blades, double SumMm);

/// <summary>One reading on the sheet: every try of it, what it says, who, and how it stands.</summary>
public sealed record SheetReadingRecord
{
    public required Guid Id { get; init; }
    public required ReadingStage Stage { get; init; }
    public required IReadOnlyList<TryRecord> Tries { get; init; }
    public string? Written { get; init; }
    public required string Unit { get; init; }
    public double? LowerMm { get; init; }
    public double? UpperMm { get; init; }
    public double? EstimateMm { get; init; }
    public double? StandardUncertaintyMm { get; init; }
    public required Guid By { get; init; }
    public required DateTimeOffset At { get; init; }
    public required bool Kept { get; init; }
    public required bool Unproved { get; init; }
    public VerdictState? State { get; init; }
    public Because? Because { get; init; }
    public required bool OnFigure { get; init; }
    public JudgedAction? Action { get; init; }

    /// <summary>One-figure school: to which side the set blade says it is off.</summary>
    public VerdictState? Side { get; init; }
    public NextBladeRecord? NextBlade { get; init; }

    /// <summary>The blade that narrows the figure for the trend; nothing needs it to be decided.</summary>
    public NextBladeRecord? TrendBlade { get; init; }

    /// <summary>Why it is looked at again before it is kept: it is not what the record expects, or no clearance of this engine.</summary>
    public string? Surprise { get; init; }

    /// <summary>Measured hot: minutes since the engine stopped.</summary>
    public double? MinutesSinceStop { get; init; }

    /// <summary>What a written figure was read off.</summary>
    public FigureSource? With { get; init; }

    /// <summary>The entry by which it was kept; taken back while the visit is open, it opens the reading again.</summary>
    public Guid? KeptEntry { get; init; }

    /// <summary>The entry a correction of this figure names.</summary>
    public required Guid LastEntry { get; init; }
    public string? Complaint { get; init; }

    /// <summary>The unit in which the same figure would be believable, where in its own it is not.</summary>
    public string? OfferUnit { get; init; }
}

/// <summary>A figure as it stood before it was corrected.</summary>
public sealed record CorrectedFigureRecord(SheetReadingRecord Before, string Why, Guid By, DateTimeOffset At);

public sealed record SheetPointRecord
{
    public required string Label { get; init; }
    public required int Cylinder { get; init; }
    public required LashKind Kind { get; init; }
    public string? Place { get; init; }
    public required int Bank { get; init; }
    public required int Along { get; init; }
    public required int StopIndex { get; init; }
    public double? MinMm { get; init; }
    public double? MaxMm { get; init; }
    public double? SetMm { get; init; }
    public required bool FleetTolerance { get; init; }
    public string? SpecWritten { get; init; }
    public required bool ByAmount { get; init; }
    public AmountResponse? Amount { get; init; }
    public StartState? Start { get; init; }
    public double? BeforeMm { get; init; }
    public double? BeforeHours { get; init; }
    public double? ExpectedMm { get; init; }
    public SheetReadingRecord? Found { get; init; }

    /// <summary>As the visit before this one found it, where this one goes on with it and has not found it anew.</summary>
    public FigureRecord? FoundBefore { get; init; }
    public SheetReadingRecord? Left { get; init; }
    /// <summary>What somebody else says it was left at, beside what is found.</summary>
    public SheetReadingRecord? Claimed { get; init; }
    public string? ClaimedBy { get; init; }
    public SheetReadingRecord? FoundDraft { get; init; }
    public SheetReadingRecord? LeftDraft { get; init; }

    /// <summary>Set, the locknut still loose.</summary>
    public SheetReadingRecord? BeforeLock { get; init; }
    public SheetReadingRecord? BeforeLockDraft { get; init; }

    /// <summary>A figure before locking is worth a tap, while it teaches what the locknut does or where it does much.</summary>
    public bool AsksBeforeLock { get; init; }

    /// <summary>Pairs of before and after locking known of this hand on this type.</summary>
    public int CreepPairs { get; init; }
    public double? CreepMm { get; init; }

    /// <summary>As the book calls it, where it has a name of its own there.</summary>
    public string? BookName { get; init; }

    /// <summary>What the book's figure is written in.</summary>
    public string? SpecUnit { get; init; }

    /// <summary>The blade to begin with.</summary>
    public NextBladeRecord? FirstBlade { get; init; }

    /// <summary>The limits on a dial, where one is used.</summary>
    public DialRecord? Dial { get; init; }

    /// <summary>What the others of its kind read, where no book judges it.</summary>
    public SiblingsRecord? Siblings { get; init; }
    public PointOutcome? Outcome { get; init; }
    public string? Why { get; init; }
    public required bool OwesFound { get; init; }
    public required bool OwesLeft { get; init; }
    public required bool Done { get; init; }
    public AdviceResponse? Advice { get; init; }
    public double? HoursToRiskFromHere { get; init; }

    /// <summary>Left alone, the chance of being out of its window at the book's next visit, where that is more than its share of the risk.</summary>
    public double? OutByNextVisit { get; init; }
    public Core.Drift.LimitSide? OutSide { get; init; }

    /// <summary>Only a finer figure tells whether it can stay until the next visit: the next blade narrows.</summary>
    public bool WorthFiner { get; init; }

    /// <summary>The figure that lasts longest, and the hours it gives the engine.</summary>
    public double? AimOffMm { get; init; }
    public double? AimOffHours { get; init; }

    /// <summary>The shim there, where it is set by one.</summary>
    public SheetShimRecord? Shim { get; init; }
    public required string Adjuster { get; init; }
    public required AdjusterWord AdjusterKind { get; init; }

    /// <summary>Something is locked after setting.</summary>
    public required bool Locks { get; init; }

    /// <summary>Its locknut with its torque, as the book gives it.</summary>
    public string? LockTorque { get; init; }

    /// <summary>One rocker drives two valves over a bridge; with a screw of its own it is set first.</summary>
    public bool Bridge { get; init; }
    public bool BridgeScrew { get; init; }

    /// <summary>What was said of a point set by amount.</summary>
    public string? AmountSaid { get; init; }
    public string? ContactSaid { get; init; }
    public int? Pass { get; init; }
    public DateTimeOffset? SaidAt { get; init; }

    /// <summary>Who said what became of it.</summary>
    public Guid? SaidBy { get; init; }

    /// <summary>A figure of this engine over its type's.</summary>
    public OwnFigureRecord? Own { get; init; }
    public required IReadOnlyList<CorrectedFigureRecord> Corrected { get; init; }
}

/// <summary>The shim at a point: mark and measurement are two figures.</summary>
public sealed record SheetShimRecord
{
    public required ShimAccess Access { get; init; }
    public required IReadOnlyList<double> SizesMm { get; init; }

    /// <summary>As found.</summary>
    public ShimReadRecord? Found { get; init; }

    /// <summary>There now.</summary>
    public ShimReadRecord? Now { get; init; }

    /// <summary>What is printed on it, where it was read beside its measurement.</summary>
    public string? Mark { get; init; }
    public double? NowMm { get; init; }

    /// <summary>Another shim was fitted here.</summary>
    public bool Fitted { get; init; }

    /// <summary>What was decided for it between the visit that measured it and this one.</summary>
    public PlannedShimRecord? Planned { get; init; }

    /// <summary>The one fitted is there to give a gap to measure; the right one is worked out from it.</summary>
    public bool IsTrial { get; init; }

    /// <summary>The gap that the shim there now should give.</summary>
    public double? ExpectedMm { get; init; }

    /// <summary>What is read with it lies half a thou or more from that: cleaned and measured again before it is believed.</summary>
    public bool CleanAgain { get; init; }
}

public sealed record ShimReadRecord(string Thickness, string Unit, ShimKnownBy How);

/// <summary>Limits and figure as a dial on the rocker shows them, in its own unit.</summary>
public sealed record DialRecord(string Unit, double Min, double Max, double From, double To, string Sentence);

public sealed record SiblingsRecord(double LeastMm, double MostMm, int Points);

/// <summary>A school of positions as this engine and whoever turns it allow it.</summary>
public sealed record MethodRecord(TurningMethod Method, bool NeedsMark, bool Book);

/// <summary>With the lobes in sight: what can be measured where the crank stands, and the least turn that brings another point clear.</summary>
public sealed record LobeAwayRecord(IReadOnlyList<string> Here, double? TurnDeg, double? CrankDeg, IReadOnlyList<string> Next);

public sealed record ProofRecord(ProofKind Kind, string Sentence);

public sealed record SheetStopRecord(int Index, double? CrankDeg, double TurnFromPreviousDeg, double ToolTurnsFromPrevious, int? CompressionCylinder, int? RockingCylinder, string Sign, double? RoomBackDeg, double? RoomForwardDeg, bool Proved, bool Done, IReadOnlyList<string> Points)
{
    /// <summary>Forwards from where the crank stands; null where nobody has said where that is.</summary>
    public double? TurnDeg { get; init; }
    public double? ToolTurns { get; init; }

    /// <summary>The proofs of compression that fit this engine and this case.</summary>
    public required IReadOnlyList<ProofRecord> Proofs { get; init; }

    /// <summary>The marks that are up here, and the ones that lie in wait near it.</summary>
    public required IReadOnlyList<StopMarkRecord> Marks { get; init; }
}

/// <summary>A mark at a stop: so many degrees on from it, before it where negative.</summary>
public sealed record StopMarkRecord(string Name, bool Trap, double AheadDeg);

/// <summary>The work sheet of a visit: stops, points, readings, advice, in the form the screens at the engine and the record show.</summary>
public sealed record SheetRecord
{
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
    public required IReadOnlyList<SheetStopRecord> Stops { get; init; }
    public required IReadOnlyList<UnplacedPointResponse> CannotSet { get; init; }
    public required IReadOnlyList<SheetPointRecord> Points { get; init; }
}
