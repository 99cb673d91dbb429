namespace ZeroDrift.Core.Visits;

/// <summary>What became of a point.</summary>
public enum PointOutcome
{
    /// <summary>In its window and left alone.</summary>
    LeftAlone,

    /// <summary>Set and measured again.</summary>
    Set,

    /// <summary>Left as found on purpose, with a reason.</summary>
    LeftSo,

    /// <summary>Set by the book's amount.</summary>
    ByTheBook,

    /// <summary>Another shim fitted.</summary>
    ShimFitted,

    /// <summary>Waits for a part; another visit finishes it.</summary>
    Awaiting,

    /// <summary>Not reached this time.</summary>
    NotReached,
}

/// <summary>How the nut was left when an adjuster was moved.</summary>
public enum NutState
{
    /// <summary>Slack: the next figure is one before locking.</summary>
    Loose,

    /// <summary>Tightened again: the next figure is the as-left.</summary>
    Tight,

    /// <summary>There is none.</summary>
    None,
}

/// <summary>
/// The adjuster was moved. What was measured at the point since it was found closes as an attempt and stays in the list, kept or not; the next try
/// begins a new reading.
/// </summary>
public sealed record Turned(string Point) : Entry
{
    /// <summary>Over this many turns nobody means; it is asked back.</summary>
    public const double MostUnasked = 10;

    /// <summary>How far, where it was counted.</summary>
    public double? Turns { get; init; }

    /// <summary>Which way.</summary>
    public Setting.ScrewDirection? Direction { get; init; }

    /// <summary>How its nut was left.</summary>
    public NutState? Nut { get; init; }

    /// <summary>Said again after it was asked back.</summary>
    public bool Sure { get; init; }
}

/// <summary>What was said of a point; the fields belong to the outcome.</summary>
public sealed record OutcomeSaid(string Point, PointOutcome Outcome) : Entry
{
    /// <summary>Why: left so, awaiting, not reached.</summary>
    public string? Why { get; init; }

    /// <summary>By the book: the amount as written.</summary>
    public string? Amount { get; init; }

    /// <summary>Its unit.</summary>
    public string? Unit { get; init; }

    /// <summary>How first contact was found.</summary>
    public string? Contact { get; init; }

    /// <summary>First or second pass.</summary>
    public int? Pass { get; init; }

    /// <summary>Wait before the second.</summary>
    public double? WaitMinutes { get; init; }

    /// <summary>Shim taken out, as written.</summary>
    public string? Old { get; init; }

    /// <summary>Shim put in, as written.</summary>
    public string? New { get; init; }

    /// <summary>The stock movement it came from.</summary>
    public Guid? MovementId { get; init; }
}

/// <summary>A part changed or machined: it ends the rates concerned. Points, a cylinder, or the whole engine.</summary>
public sealed record PartChanged(IReadOnlyList<string> Points, int? Cylinder, bool Whole, string Part, string Why, double? CutMm) : Entry
{
    /// <summary>Whether it concerns a point.</summary>
    public bool Concerns(string label, int cylinder) => Whole || Cylinder == cylinder || Points.Contains(label);
}

/// <summary>Questions that figures raise.</summary>
public enum VisitQuestion
{
    /// <summary>Was the engine warm?</summary>
    Warm,

    /// <summary>Other blades or another hand?</summary>
    OtherBlades,

    /// <summary>Two figures swapped?</summary>
    Swapped,

    /// <summary>One figure typed twice?</summary>
    TypedTwice,

    /// <summary>Judged by a newer revision?</summary>
    NewerRevision,

    /// <summary>A locknut that slipped?</summary>
    SlippedLocknut,

    /// <summary>The meter misread?</summary>
    Meter,
}

/// <summary>Answers to them.</summary>
public enum VisitAnswer
{
    /// <summary>Yes.</summary>
    Yes,

    /// <summary>No.</summary>
    No,

    /// <summary>Nobody knows.</summary>
    Unknown,
}

/// <summary>A question answered.</summary>
public sealed record Answered(VisitQuestion Question, VisitAnswer Answer, IReadOnlyList<string> Points) : Entry;

/// <summary>A mark found or chalked; goes to the engine.</summary>
public sealed record Marked(string Name, double CrankDeg, bool Trap) : Entry;

/// <summary>A note, with a photograph by its hash.</summary>
public sealed record Noted(string? Point, string Text, string? Photo) : Entry
{
    /// <summary>The customer whose remark it is; the picture then is a signature.</summary>
    public string? Customer { get; init; }
}

/// <summary>Work stops: lunch does not count.</summary>
public sealed record Paused : Entry;

/// <summary>Work goes on.</summary>
public sealed record Resumed : Entry;
