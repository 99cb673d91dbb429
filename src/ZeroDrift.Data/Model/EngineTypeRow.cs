using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Data.Model;

/// <summary>An engine type of the book.</summary>
public sealed class EngineTypeRow : INamed
{
    public Guid Id { get; set; }
    public required string Code { get; set; }

    /// <summary>A type is told from others by its code.</summary>
    public string NameKey { get; set; } = "";
    string INamed.Name => Code;
    public required string Name { get; set; }

    /// <summary>What its book says of it, one figure or word each.</summary>
    public TypeFacts Facts { get; set; } = new();

    /// <summary>1-5-3-6-2-4.</summary>
    public required string FiringOrder { get; set; }

    /// <summary>Null where the book does not give it: the safe defaults stand in.</summary>
    public ValveTiming? Timing { get; set; }

    /// <summary>As typed: cylinders of each bank from the front, banks parted by /.</summary>
    public required string Banks { get; set; }

    /// <summary>As typed: E I I E …</summary>
    public required string Layout { get; set; }
    public List<BookStopRow> BookStops { get; set; } = [];

    /// <summary>Timing of a uniflow two-stroke; null where the book gives none.</summary>
    public UniflowTiming? Uniflow { get; set; }

    /// <summary>What sets one kind of point otherwise than the rest.</summary>
    public List<KindStyleRow> ByKind { get; set; } = [];

    /// <summary>Its steps, once they were edited; until then those that follow from its adjusters.</summary>
    public bool OwnSteps { get; set; }
    public List<TypeStepRow> Steps { get; set; } = [];
    public List<FastenerRow> Fasteners { get; set; } = [];
    public List<GasketRow> Gaskets { get; set; } = [];
    public List<string> ScarceTools { get; set; } = [];

    /// <summary>Fields that nobody gave: assumed, not the book's, and asked for until somebody says.</summary>
    public List<string> Assumed { get; set; } = [];
    public DateTime? ArchivedAt { get; set; }
    public int Version { get; set; } = 1;

    public List<LashPointRow> Points { get; set; } = [];
    public List<SpecRevisionRow> Revisions { get; set; } = [];
}

/// <summary>One stop of the book's own list.</summary>
public sealed class BookStopRow
{
    public double CrankDeg { get; set; }

    /// <summary>4E 3I …, or by the book's own names.</summary>
    public List<string> Points { get; set; } = [];
}

/// <summary>What sets one kind of point, where it differs from the type's own.</summary>
public sealed class KindStyleRow
{
    public LashKind Kind { get; set; }
    public AdjusterKind Adjuster { get; set; }
    public double? PitchMm { get; set; }
    public double? ClearancePerTravel { get; set; }
    public bool? ClockwiseCloses { get; set; }
}

/// <summary>One step of the type's own.</summary>
public sealed class TypeStepRow
{
    public required string Key { get; set; }
    public StepList List { get; set; }
    public required string Text { get; set; }
    public LashKind? Kind { get; set; }
    public List<string>? Points { get; set; }
    public double? CrankDeg { get; set; }
    public Counting? Counts { get; set; }
    public string? Pair { get; set; }
    public string? Asks { get; set; }
    public JobKind? OnlyJob { get; set; }

    /// <summary>The places it belongs to; null for everywhere.</summary>
    public List<VisitPlace>? Places { get; set; }

    /// <summary>A look at what was fitted; null for a step from before that was said, whose name tells.</summary>
    public bool? AfterFitting { get; set; }
}

/// <summary>A fastener with its tool and its torque.</summary>
public sealed class FastenerRow
{
    public required string Use { get; set; }
    public string? Size { get; set; }
    public double? TorqueNm { get; set; }
    public int? Count { get; set; }
}

/// <summary>A gasket or a seal.</summary>
public sealed class GasketRow
{
    public required string Name { get; set; }
    public int Count { get; set; }
    public bool SingleUse { get; set; }
}

/// <summary>One lash point of a type.</summary>
public sealed class LashPointRow
{
    public Guid Id { get; set; }
    public Guid EngineTypeId { get; set; }
    public required string Label { get; set; }
    public int Cylinder { get; set; }
    public LashKind Kind { get; set; }
    public string? Place { get; set; }
    public AdjusterKind Adjuster { get; set; }
    public int Bank { get; set; }
    public int Along { get; set; }

    /// <summary>What the book calls it, where it has a name or a number of its own.</summary>
    public string? BookName { get; set; }

    /// <summary>Its bridge has a screw of its own.</summary>
    public bool BridgeScrew { get; set; }

    /// <summary>Order front to back, bank by bank, over the whole engine.</summary>
    public int Order { get; set; }
}

/// <summary>A revision of the spec. Old and new stay side by side: a record says by which it was judged.</summary>
public sealed class SpecRevisionRow
{
    public Guid Id { get; set; }
    public Guid EngineTypeId { get; set; }
    public required string Revision { get; set; }

    /// <summary>Its name, spelling aside.</summary>
    public string RevisionKey { get; set; } = "";
    public required string Source { get; set; }
    public DateOnly Date { get; set; }
    public SpecCondition Condition { get; set; }
    public List<SpecLineRow> Lines { get; set; } = [];

    /// <summary>A picture of the plate or the page, by its hash.</summary>
    public string? Photo { get; set; }
}

/// <summary>A figure that one engine carries over its type's: a plate that differs, a camshaft of another maker.</summary>
public sealed class EngineFigureRow
{
    public Guid Id { get; set; }
    public Guid EngineId { get; set; }
    public SpecCondition Condition { get; set; }
    public required SpecLineRow Line { get; set; }
    public required string Who { get; set; }
    public required string Why { get; set; }
    public required string Source { get; set; }
    public DateOnly Date { get; set; }
    public DateTime At { get; set; }
    public DateTime? WithdrawnAt { get; set; }
}

/// <summary>One kind's figures, exactly as the source writes them.</summary>
public sealed class SpecLineRow
{
    public LashKind Kind { get; set; }
    public string? Min { get; set; }
    public string? Max { get; set; }
    public string? Set { get; set; }

    /// <summary>One figure without a window: the fleet's tolerance is added.</summary>
    public string? Single { get; set; }

    /// <summary>Tolerances of a single figure, where the line gives them.</summary>
    public string? TightSide { get; set; }
    public string? LooseSide { get; set; }

    /// <summary>A pair of blades: this one goes, that one does not.</summary>
    public string? Go { get; set; }
    public string? NoGo { get; set; }

    /// <summary>Zero lash, no gap and no preload.</summary>
    public bool Zero { get; set; }

    /// <summary>Turns past contact, a fraction of the travel, a height in mm or a torque in Nm.</summary>
    public double? Turns { get; set; }
    public double? Fraction { get; set; }
    public double? HeightMm { get; set; }
    public double? TorqueNm { get; set; }
    public required string Unit { get; set; }
}
