using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Overheads;
using ZeroDrift.Core.Setting;
using ZeroDrift.Core.Turning;
using ZeroDrift.Data.Model;
using ZeroDrift.Server.Calculators;

namespace ZeroDrift.Server.Overheads;

public sealed record OverheadStartRequest
{
    public Guid? EngineId { get; init; }
    public JobKind Job { get; init; }
    public DateOnly? Date { get; init; }
    public double? ShownHours { get; init; }
    public string? Who { get; init; }
    public string? Blades { get; init; }
    public IReadOnlyList<string>? Tray { get; init; }
    public string? TrayUnit { get; init; }
    public string? MeasuringMethod { get; init; }
    public TurningMethod? Method { get; init; }
    public string? Remark { get; init; }
}

public sealed record TickRequest(string? Key, bool On);

public sealed record ConditionRequest(SpecCondition? Condition, double? EngineTemperatureC, bool MeasureWarmAnyway);

public sealed record SignRequest(string? Who, string? Remark);

public sealed record AnswerRequest(VisitAnswer? Answer, string? Who);

public sealed record TrialDto(IReadOnlyList<string>? Blades, Feel? Feel);

/// <summary>One reading as it grows tap by tap, and as it is kept.</summary>
public sealed record ReadingPutRequest
{
    public Guid? PointId { get; init; }
    public ReadingStage? Stage { get; init; }
    public IReadOnlyList<TrialDto?>? Trials { get; init; }

    /// <summary>A figure given directly instead of blades: 0.31, &lt;0.05, 0.30-0.35.</summary>
    public string? Figure { get; init; }
    public string? Unit { get; init; }
    public string? Who { get; init; }
    public bool Keep { get; init; }

    /// <summary>The version this builds on; 0 for a new reading.</summary>
    public int Version { get; init; }

    /// <summary>The kept reading this one corrects.</summary>
    public Guid? Corrects { get; init; }
    public string? Why { get; init; }
    public string? Remark { get; init; }
    public bool ByTheBook { get; init; }

    /// <summary>The figure is far from the window, and was looked at again.</summary>
    public bool Sure { get; init; }
}

public sealed record ReadingView
{
    public required Guid Id { get; init; }
    public required Guid PointId { get; init; }
    public required ReadingStage Stage { get; init; }
    public required IReadOnlyList<TrialDto> Trials { get; init; }
    public string? Written { get; init; }
    public required string Unit { get; init; }
    public double? LowerMm { get; init; }
    public double? UpperMm { get; init; }
    public double? EstimateMm { get; init; }
    public double? StandardUncertaintyMm { get; init; }
    public required string Who { get; init; }
    public required DateTime At { get; init; }
    public required bool Kept { get; init; }
    public required int Version { get; init; }
    public Guid? Corrects { get; init; }
    public string? Why { get; init; }
    public string? Remark { get; init; }
    public required bool ByTheBook { get; init; }
    public VerdictState? State { get; init; }
    public double? DecidingBladeMm { get; init; }
    public double? NextBladeMm { get; init; }
}

public sealed record AdviceView(double AimMm, double? Degrees, int? Sixteenths, ScrewDirection? Direction, string Sentence);

public sealed record OverheadPointView
{
    public required Guid Id { get; init; }
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
    public bool FleetTolerance { get; init; }
    public string? SpecWritten { get; init; }
    public double? BeforeMm { get; init; }
    public double? BeforeHours { get; init; }
    public double? ExpectedMm { get; init; }
    public ReadingView? Found { get; init; }
    public ReadingView? Left { get; init; }
    public ReadingView? FoundDraft { get; init; }
    public ReadingView? LeftDraft { get; init; }
    public required bool Done { get; init; }
    public required bool LeftAlone { get; init; }
    public AdviceView? Advice { get; init; }

    /// <summary>Hours to the fleet's risk from the figure it is left at; null without a rate.</summary>
    public double? HoursToRiskFromHere { get; init; }
    public double? AimOffMm { get; init; }
    public double? AimOffHours { get; init; }
    public required IReadOnlyList<ReadingView> Corrected { get; init; }
}

public sealed record StopView(int Index, double? CrankDeg, double TurnFromPreviousDeg, double ToolTurnsFromPrevious, int? CompressionCylinder, int? RockingCylinder, string Sign, double? RoomBackDeg, double? RoomForwardDeg, bool Proved, IReadOnlyList<string> Points, bool Done);

public sealed record OverheadView
{
    public required Guid Id { get; init; }
    public required Guid EngineId { get; init; }
    public required string EngineName { get; init; }
    public required MachineKind Machine { get; init; }
    public required JobKind Job { get; init; }
    public required DateOnly Date { get; init; }
    public required double ShownHours { get; init; }
    public required double TotalHours { get; init; }
    public required string Who { get; init; }
    public string? Blades { get; init; }
    public required IReadOnlyList<string> Tray { get; init; }
    public required string TrayUnit { get; init; }
    public required string MeasuringMethod { get; init; }
    public required TurningMethod Method { get; init; }
    public required SpecCondition Condition { get; init; }
    public double? EngineTemperatureC { get; init; }
    public required string SpecRevision { get; init; }
    public required string SpecSource { get; init; }
    public required string Rotation { get; init; }
    public required string BarringTool { get; init; }
    public required double ToolTurnsPerCrankTurn { get; init; }
    public required IReadOnlyList<int> FiringOrder { get; init; }
    public required IReadOnlyList<double> FiringAnglesDeg { get; init; }
    public required double CycleDeg { get; init; }
    public required IReadOnlyList<Caution> MakeSafe { get; init; }
    public required IReadOnlyList<Caution> CloseUp { get; init; }
    public required string Foremost { get; init; }
    public required IReadOnlyList<string> Ticked { get; init; }
    public required NextTask Next { get; init; }
    public required IReadOnlyList<StopView> Stops { get; init; }
    public required IReadOnlyList<UnplacedPointResponse> CannotSet { get; init; }
    public required IReadOnlyList<OverheadPointView> Points { get; init; }
    public required IReadOnlyList<string> SigningRefusals { get; init; }
    public string? SignedBy { get; init; }
    public DateTime? SignedAt { get; init; }
    public required VisitAnswer Answer { get; init; }
    public string? Remark { get; init; }
    public required int Version { get; init; }
}

public sealed record OverheadSummary(Guid Id, Guid EngineId, string EngineName, string Site, JobKind Job, DateOnly Date, double ShownHours, string Who, DateTime StartedAt, int Found, int Points);
