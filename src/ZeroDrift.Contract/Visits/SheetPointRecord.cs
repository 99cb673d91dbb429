using ZeroDrift.Contract.Calls;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Visits;
using ZeroDrift.Core.Visits.Sheet;

namespace ZeroDrift.Contract.Visits;

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

    /// <summary>The figure to set is ours, the middle of the window, because the book gives none.</summary>
    public bool SetIsOurs { get; init; }

    /// <summary>The two blades of a go/no-go pair, as the tray has them.</summary>
    public GatesRecord? Gates { get; init; }

    /// <summary>It is being set: its found figure is known, or none is owed.</summary>
    public required bool Setting { get; init; }

    /// <summary>The stage at hand; null where nothing is measured now.</summary>
    public ReadingStage? Stage { get; init; }

    /// <summary>The stage at hand where a finished point is set all the same.</summary>
    public required ReadingStage StageIfSet { get; init; }
    public required MeasuringAsk Ask { get; init; }

    /// <summary>It can be said that the adjuster was turned.</summary>
    public bool MayTurn { get; init; }

    /// <summary>It was turned and not measured since, in a sentence: what was advised before is done, and told no more.</summary>
    public string? Turned { get; init; }

    /// <summary>What it was turned away from, in the order begun: a failed lock is never lost.</summary>
    public required IReadOnlyList<SheetReadingRecord> Attempts { get; init; }
    public SettingGuideRecord? Guide { get; init; }

    /// <summary>What it did since it was last left, in a sentence.</summary>
    public string? Moved { get; init; }
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

    /// <summary>What the nuts of whoever works here take, in a sentence; from the first lock on.</summary>
    public string? NutSaid { get; init; }

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

    /// <summary>The same where a finished point is set all the same.</summary>
    public AdviceResponse? AdviceIfSet { get; init; }
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

/// <summary>Limits and figure as a dial on the rocker shows them, in its own unit.</summary>
public sealed record DialRecord(string Unit, double Min, double Max, double From, double To, string Sentence);

/// <summary>What the others of its kind read; odd: the point of the kind that is unlike the rest.</summary>
public sealed record SiblingsRecord(double LeastMm, double MostMm, int Points, string? Odd);

/// <summary>A go/no-go pair in the blades of the tray.</summary>
public sealed record GatesRecord(string Go, string NoGo);

/// <summary>How a point is set in the manner in force: what to do, in order, and the blades it takes.</summary>
public sealed record SettingGuideRecord(IReadOnlyList<string> Lines, string? SetBlade);

/// <summary>A school of positions as this engine and whoever turns it allow it.</summary>
public sealed record MethodRecord(TurningMethod Method, bool NeedsMark, bool Book);
