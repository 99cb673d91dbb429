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

    /// <summary>Decided, and nothing to be looked at twice: it may keep itself.</summary>
    public bool KeepsItself { get; init; }

    /// <summary>It would be left out of its window, or undecided: kept only with a why.</summary>
    public bool OwesWhy { get; init; }

    /// <summary>What is said of the point as this is kept; null where nothing is.</summary>
    public PointOutcome? OnKeeping { get; init; }

    /// <summary>The unit in which the same figure would be believable, where in its own it is not.</summary>
    public string? OfferUnit { get; init; }
}

/// <summary>A figure as it stood before it was corrected.</summary>
public sealed record CorrectedFigureRecord(SheetReadingRecord Before, string Why, Guid By, DateTimeOffset At);
