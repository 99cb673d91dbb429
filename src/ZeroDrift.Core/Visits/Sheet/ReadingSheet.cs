using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Visits.Sheet;

/// <summary>A blade of the tray or a stack of two, as written on them.</summary>
public sealed record WrittenStack(IReadOnlyList<string> Blades, double SumMm);

/// <summary>One reading on the sheet: what it says, how it stands by the school in force, what may be done with it, and the next blade.</summary>
public sealed record ReadingSheet
{
    /// <summary>The reading.</summary>
    public required ReadingWork Work { get; init; }

    /// <summary>What it says; nothing where its blades contradict each other.</summary>
    public required Reading Value { get; init; }

    /// <summary>Why it says nothing.</summary>
    public string? Complaint { get; init; }

    /// <summary>How it stands; null where there is nothing to judge by.</summary>
    public Judgement? Judged { get; init; }

    /// <summary>What follows; null while nothing is read.</summary>
    public JudgedAction? Action { get; init; }

    /// <summary>The blade that decides.</summary>
    public WrittenStack? NextBlade { get; init; }

    /// <summary>The blade that narrows the figure for the trend; nothing needs it to be decided.</summary>
    public WrittenStack? TrendBlade { get; init; }

    /// <summary>Why it is looked at again before it is kept; null where it surprises nobody.</summary>
    public Refusal? Surprise { get; init; }

    /// <summary>The unit in which the same figure would be believable, where in its own it is not.</summary>
    public LengthUnit? OfferUnit { get; init; }

    /// <summary>Decided, and nothing that a mechanic would look at twice: it may keep itself.</summary>
    public bool KeepsItself { get; init; }

    /// <summary>It would be left out of its window, or undecided: the record says why.</summary>
    public bool OwesWhy { get; init; }

    /// <summary>What is said of the point as this is kept; null where nothing is.</summary>
    public PointOutcome? OnKeeping { get; init; }

    /// <summary>Measured hot: minutes since the engine stopped.</summary>
    public double? MinutesSinceStop { get; init; }
}
