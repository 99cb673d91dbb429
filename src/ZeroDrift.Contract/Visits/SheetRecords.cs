using ZeroDrift.Contract.Calls;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
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
    public NextBladeRecord? NextBlade { get; init; }

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
    public SheetReadingRecord? Left { get; init; }
    public SheetReadingRecord? FoundDraft { get; init; }
    public SheetReadingRecord? LeftDraft { get; init; }
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
    public string? FittedShim { get; init; }
    public required string Adjuster { get; init; }
    public required IReadOnlyList<CorrectedFigureRecord> Corrected { get; init; }
}

public sealed record SheetStopRecord(int Index, double? CrankDeg, double TurnFromPreviousDeg, double ToolTurnsFromPrevious, int? CompressionCylinder, int? RockingCylinder, string Sign, double? RoomBackDeg, double? RoomForwardDeg, bool Proved, bool Done, IReadOnlyList<string> Points);

/// <summary>The work sheet of a visit: stops, points, readings, advice, in the form the screens at the engine and the record show.</summary>
public sealed record SheetRecord
{
    public required TurningMethod Method { get; init; }
    public required SettingOrder Setting { get; init; }
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
    public required IReadOnlyList<SheetStopRecord> Stops { get; init; }
    public required IReadOnlyList<UnplacedPointResponse> CannotSet { get; init; }
    public required IReadOnlyList<SheetPointRecord> Points { get; init; }
}
