using System.Text.Json.Serialization;
using ZeroDrift.Contract.Calls;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Visits;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Contract.Visits;

/// <summary>
/// All a fold rests on, as a tablet takes it along. Its identifier is the SHA-256 of its bytes, so that a visit says exactly what it was folded
/// by. What came to it later is set and not initialised: generated readers give what is initialised, and missing, no value of its own.
/// </summary>
public sealed record ContextRecord
{
    public required ContextEngineRecord Engine { get; init; }
    public required ContextTypeRecord Type { get; init; }
    public required IReadOnlyList<ContextPointRecord> Points { get; init; }

    /// <summary>The usual condition first.</summary>
    public required IReadOnlyList<ContextDemandsRecord> Demands { get; init; }
    public required IReadOnlyList<PersonRecord> People { get; init; }
    public required IReadOnlyList<StepRecord> Steps { get; init; }
    public required IReadOnlyList<ExpectedRecord> Expected { get; init; }
    public required string Foremost { get; init; }
    public double FleetRisk { get; set; } = 0.05;

    /// <summary>Repeatability of feel where a person's own is not known, mm.</summary>
    public double FeelSdMm { get; set; } = Core.Measuring.Reading.DefaultFeelSdMm;

    /// <summary>Engine hours from this visit to the book's next, by hours or by months at the present use; null without an interval.</summary>
    public double? NextVisitHours { get; init; }

    /// <summary>Repeatability of feel of people whose own is known.</summary>
    public IReadOnlyList<OwnFeelRecord> OwnFeel { get; set; } = [];

    /// <summary>A shift that all readings of a visit today would have in common, mm.</summary>
    public double SharedSdMm { get; init; }
    public ContextMeterRecord? Meter { get; init; }

    /// <summary>The newest visit that left points waiting.</summary>
    public AwaitingRecord? Awaiting { get; init; }

    /// <summary>All visits that did, the newest first; a context of before has the newest alone.</summary>
    public IReadOnlyList<AwaitingRecord>? Waiting { get; set; }
    public IReadOnlyList<MarkRecord> Marks { get; set; } = [];

    /// <summary>What each person's locknuts did on this type.</summary>
    public IReadOnlyList<CreepRecord> Creep { get; set; } = [];

    /// <summary>The rules that came since the first building and hold for it; 0 for a context of before.</summary>
    public int Rules { get; set; }
}

/// <summary>Pairs of before and after locking, and the creep once they are enough, mm: negative where locking closes.</summary>
public sealed record CreepRecord(Guid Person, int Pairs, double? CreepMm)
{
    /// <summary>What locking takes of the gap in the mean, mm; from the first pair on. A context of before has none.</summary>
    public double? MeanMm { get; set; }

    /// <summary>Its scatter, mm.</summary>
    public double SdMm { get; set; }
}

public sealed record ContextEngineRecord(Guid Id, string Name, MachineKind Machine, string MachineName, string? Registration, string Site, string? SerialNumber, string? Rating);

public sealed record OwnFeelRecord(Guid Person, double SdMm);

public sealed record PersonRecord(Guid Id, string Name, string Initials);

public sealed record StepRecord(string Step, StepList List, string Text, string? Asks, string? Point, double? CrankDeg, Counting? Counts, string? Pair, string? ByStarter = null, JobKind? OnlyJob = null)
{
    /// <summary>The places it belongs to; missing: everywhere.</summary>
    public IReadOnlyList<VisitPlace>? Places { get; set; }

    /// <summary>A figure rests on it: "not here" is no answer.</summary>
    public bool Must { get; set; }

    /// <summary>A look at what was fitted at its point: only a tick after the last fitting or turning counts.</summary>
    public bool AfterFitting { get; set; }
}

/// <summary>What the record expects of a point, with the rate that lies behind it.</summary>
public sealed record ExpectedRecord(string Point, double? ClearanceMm, double? StandardUncertaintyMm, double? MmPer1000h, double? StandardErrorMmPer1000h, double? BeforeMm, double? BeforeHours, double? AimMm = null, double? AimGainHours = null)
{
    /// <summary>Where it heads from whatever figure it is left at; a context from before this was kept has the rate alone.</summary>
    public FreshAhead? FromHere { get; init; }
}

public sealed record ContextMeterRecord(DateOnly Date, double ShownHours, double OffsetHours);

public sealed record MarkRecord(string Name, double CrankDeg, bool Trap);

public sealed record AwaitingRecord(Guid VisitId, IReadOnlyList<AwaitingPointRecord> Points)
{
    /// <summary>Engine hours when they were found, through meter changes.</summary>
    public double? TotalHours { get; init; }

    /// <summary>What that visit was opened for; null in a context from before this was told, which knew only overheads and builds.</summary>
    public JobKind? Job { get; init; }
}

public sealed record AwaitingPointRecord(string Point, FigureRecord Found)
{
    /// <summary>The shim decided for it since; null where none was.</summary>
    public PlannedShimRecord? Shim { get; init; }
}

public sealed record PlannedShimRecord(double OldMm, double NewMm, Core.Shims.ShimOrigin Origin, string? FromPoint);

/// <summary>The type of the engine: what its book says of it, and what is worked out of that.</summary>
public sealed record ContextTypeRecord : TypeFacts
{
    [JsonConstructor]
    public ContextTypeRecord()
    {
    }

    /// <summary>Takes over what the book says.</summary>
    public ContextTypeRecord(TypeFacts facts)
        : base(facts)
    {
    }

    public required Guid Id { get; init; }
    public required string Code { get; init; }
    public required string Name { get; init; }
    public required IReadOnlyList<int> FiringOrder { get; init; }
    public ValveTiming? Timing { get; init; }
    public required IReadOnlyList<BookStopRequest> BookStops { get; init; }

    /// <summary>Timing of a uniflow two-stroke; null where the book gives none.</summary>
    public UniflowTiming? Uniflow { get; init; }

    /// <summary>Measured this far past TDC.</summary>
    public PastTdc? PastTdc { get; init; }

    /// <summary>Fasteners with their torques.</summary>
    public IReadOnlyList<Fastener> Fasteners { get; set; } = [];
}

public sealed record ContextPointRecord(Guid Id, string Label, int Cylinder, LashKind Kind, string? Place, int Bank, int Along, AdjusterRequest Adjuster, bool Bridge, string? BookName = null, bool BridgeScrew = false);

public sealed record ContextDemandsRecord(Guid RevisionId, string Revision, string Source, DateOnly Date, SpecCondition Condition, IReadOnlyList<PointDemandRecord> Points);

/// <summary>What is asked of one point: in millimetres as derived, and in the book's own writing.</summary>
public sealed record PointDemandRecord(string Point, AdviceDemandRequest Demand, string Written, bool FleetTolerance, string? Unit = null, OwnFigureRecord? Own = null);

/// <summary>Why an engine carries a figure of its own over its type's.</summary>
public sealed record OwnFigureRecord(string Who, string Why, string Source, DateOnly Date);
