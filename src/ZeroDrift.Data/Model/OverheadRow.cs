using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Data.Model;

/// <summary>The kinds of job that open an engine.</summary>
public enum JobKind
{
    /// <summary>The full service; resets the book's clock.</summary>
    Overhead,

    /// <summary>Some points, to settle a doubt; feeds the trend, does not reset the clock.</summary>
    SpotCheck,

    /// <summary>Somebody else's adjustment or a bought-in head, claimed beside found.</summary>
    ReceivingCheck,

    /// <summary>Built or rebuilt; starts the first-check clock and ends the history of changed parts.</summary>
    Build,
}

/// <summary>What was answered about a visit whose figures all shifted one way.</summary>
public enum VisitAnswer
{
    /// <summary>Nothing was asked, or it counts.</summary>
    Counts,

    /// <summary>The engine was warm: left out of the rates.</summary>
    Warm,

    /// <summary>Other blades or another hand: left out of the rates.</summary>
    OtherBlades,
}

/// <summary>One visit to one engine, from opening to signature.</summary>
public sealed class OverheadRow
{
    public Guid Id { get; set; }
    public Guid EngineId { get; set; }
    public EngineRow? Engine { get; set; }
    public JobKind Job { get; set; }
    public DateOnly Date { get; set; }
    public double ShownHours { get; set; }

    /// <summary>Total hours through meter changes, fixed when the visit began.</summary>
    public double TotalHours { get; set; }
    public Guid SpecRevisionId { get; set; }
    public TurningMethod Method { get; set; }
    public SpecCondition Condition { get; set; }
    public required string Who { get; set; }
    public string? Blades { get; set; }

    /// <summary>The tray as it is written on the blades.</summary>
    public List<string> TrayBlades { get; set; } = [];
    public string TrayUnit { get; set; } = "mm";
    public string MeasuringMethod { get; set; } = "blades";
    public double? EngineTemperatureC { get; set; }
    public List<string> Ticked { get; set; } = [];
    public List<int> StopsProved { get; set; } = [];
    public VisitAnswer Answer { get; set; }
    public string? Remark { get; set; }
    public DateTime StartedAt { get; set; }
    public string? SignedBy { get; set; }
    public DateTime? SignedAt { get; set; }

    /// <summary>Identity of the imported file row group, so that an import run twice adds nothing twice.</summary>
    public string? ImportKey { get; set; }
    public int Version { get; set; } = 1;

    public List<ReadingRow> Readings { get; set; } = [];
}

/// <summary>When in the work a reading was taken.</summary>
public enum ReadingStage
{
    /// <summary>Before anything was touched.</summary>
    AsFound,

    /// <summary>Set, locknut still loose.</summary>
    BeforeLock,

    /// <summary>Measured again after locking.</summary>
    AsLeft,
}

/// <summary>
/// One measured figure of one point. While <see cref="KeptAt"/> is null it is being measured and its trials still grow; once kept it is a
/// fact and never changes. A correction is another row that names this one.
/// </summary>
public sealed class ReadingRow
{
    public Guid Id { get; set; }
    public Guid OverheadId { get; set; }
    public Guid PointId { get; set; }
    public ReadingStage Stage { get; set; }

    /// <summary>Blades with their feel, as written.</summary>
    public List<TrialRow> Trials { get; set; } = [];

    /// <summary>A figure given directly, as written; null where blades were used.</summary>
    public string? Written { get; set; }
    public string Unit { get; set; } = "mm";
    public double? LowerMm { get; set; }
    public double? UpperMm { get; set; }
    public double? EstimateMm { get; set; }
    public double? UncertaintyMm { get; set; }
    public bool ByTheBook { get; set; }
    public required string Who { get; set; }
    public DateTime At { get; set; }
    public DateTime? KeptAt { get; set; }
    public Guid? CorrectsId { get; set; }
    public string? Why { get; set; }
    public string? Remark { get; set; }
    public int Version { get; set; } = 1;

    public Reading ToReading() => new(LowerMm, UpperMm, EstimateMm, UncertaintyMm);
}

/// <summary>One try with a blade or a stack, as written.</summary>
public sealed class TrialRow
{
    public List<string> Blades { get; set; } = [];
    public Feel Feel { get; set; }
}
