using ZeroDrift.Contract.Calls;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Server.Book;

/// <summary>One kind's line, as the source writes it: a window, a single figure, two blades, zero, or an amount.</summary>
public sealed record SpecLineDto
{
    public LashKind? Kind { get; init; }
    public string? Min { get; init; }
    public string? Max { get; init; }
    public string? Set { get; init; }
    public string? Single { get; init; }
    public string? TightSide { get; init; }
    public string? LooseSide { get; init; }
    public string? Go { get; init; }
    public string? NoGo { get; init; }
    public bool? Zero { get; init; }
    public double? Turns { get; init; }
    public double? Fraction { get; init; }
    public double? HeightMm { get; init; }
    public double? TorqueNm { get; init; }
    public string? Unit { get; init; }
}

public sealed record BookStopDto(double CrankDeg, IReadOnlyList<string>? Points);

/// <summary>An engine type as it is typed into the book.</summary>
public sealed record EngineTypeRequest
{
    public Guid? Id { get; init; }
    public string? Code { get; init; }
    public string? Name { get; init; }
    public EngineCycle Cycle { get; init; }
    public string? FiringOrder { get; init; }
    public IReadOnlyList<double>? FiringAnglesDeg { get; init; }
    public TimingRequest? Timing { get; init; }
    public double? RampGuardDeg { get; init; }
    public string? Banks { get; init; }
    public string? Layout { get; init; }
    public AdjusterKind Adjuster { get; init; }
    public double? PitchMm { get; init; }
    public double? ClearancePerTravel { get; init; }
    public bool? ClockwiseCloses { get; init; }
    public IReadOnlyList<double>? ShimSizesMm { get; init; }
    public double? ShimPerClearance { get; init; }
    public double? TravelTurns { get; init; }
    public bool? SelfLocking { get; init; }
    public double? ColdMaxC { get; init; }
    public double? DialConversion { get; init; }
    public string? DialContact { get; init; }
    public PointOrder? Order { get; init; }
    public SettingOrder? Setting { get; init; }
    public JudgingSchool? Judging { get; init; }
    public SettingManner? Manner { get; init; }
    public MeasuringMeans? Measuring { get; init; }
    public bool? Spark { get; init; }
    public bool? Interference { get; init; }
    public string? Pins { get; init; }
    public double? PulleyMm { get; init; }
    public bool? SpeaksCamTurns { get; init; }

    /// <summary>What the book calls each point, in the order of the points; none for those without a name of their own.</summary>
    public IReadOnlyList<string?>? PointNames { get; init; }
    public TurningMethod Method { get; init; }
    public IReadOnlyList<BookStopDto?>? BookStops { get; init; }
    public string? Rotation { get; init; }
    public string? BarringTool { get; init; }
    public double? ToolTurnsPerCrankTurn { get; init; }
    public double? BookHours { get; init; }
    public int? BookMonths { get; init; }
    public double? FirstCheckHours { get; init; }
    public double? BreakInHours { get; init; }
    public double? JobHours { get; init; }
    public SpecRevisionRequest? Spec { get; init; }

    /// <summary>No figure is at hand: points are measured and not judged until a revision is added.</summary>
    public bool? NoFigures { get; init; }
}

public sealed record SpecRevisionRequest(string? Revision, string? Source, DateOnly? Date, SpecCondition Condition, IReadOnlyList<SpecLineDto?>? Lines);

public sealed record LashPointResponse(Guid Id, string Label, int Cylinder, LashKind Kind, string? Place, AdjusterKind Adjuster, int Bank, int Along, string? BookName);

public sealed record SpecFiguresResponse(LashKind Kind, double? MinMm, double? MaxMm, double? SetMm, bool FleetTolerance, string Written, string Unit);

public sealed record RevisionResponse(Guid Id, string Revision, string Source, DateOnly Date, SpecCondition Condition, bool InForce, IReadOnlyList<SpecFiguresResponse> Figures);

public sealed record EngineTypeSummary(Guid Id, string Code, string Name, string FiringOrder, int Cylinders, int Points, AdjusterKind Adjuster, string? Revision, int Engines);

public sealed record EngineTypeResponse
{
    public required Guid Id { get; init; }
    public required string Code { get; init; }
    public required string Name { get; init; }
    public required EngineCycle Cycle { get; init; }
    public required IReadOnlyList<int> FiringOrder { get; init; }
    public IReadOnlyList<double>? FiringAnglesDeg { get; init; }
    public required bool TimingKnown { get; init; }
    public required ValveTiming Timing { get; init; }
    public required double RampGuardDeg { get; init; }
    public required string Banks { get; init; }
    public required string Layout { get; init; }
    public required AdjusterKind Adjuster { get; init; }
    public double? PitchMm { get; init; }
    public required double ClearancePerTravel { get; init; }
    public required bool ClockwiseCloses { get; init; }
    public IReadOnlyList<double>? ShimSizesMm { get; init; }
    public required double ShimPerClearance { get; init; }
    public double? TravelTurns { get; init; }
    public required bool SelfLocking { get; init; }
    public required double ColdMaxC { get; init; }
    public double? DialConversion { get; init; }
    public string? DialContact { get; init; }
    public required PointOrder Order { get; init; }
    public SettingOrder? Setting { get; init; }
    public required JudgingSchool Judging { get; init; }
    public required SettingManner Manner { get; init; }
    public required MeasuringMeans Measuring { get; init; }
    public required bool Spark { get; init; }
    public required bool Interference { get; init; }
    public string? Pins { get; init; }
    public double? PulleyMm { get; init; }
    public required bool SpeaksCamTurns { get; init; }
    public required bool Archived { get; init; }
    public required int Version { get; init; }
    public required TurningMethod Method { get; init; }
    public required string Rotation { get; init; }
    public required string BarringTool { get; init; }
    public required double ToolTurnsPerCrankTurn { get; init; }
    public double? BookHours { get; init; }
    public int? BookMonths { get; init; }
    public double? FirstCheckHours { get; init; }
    public required double BreakInHours { get; init; }
    public required double JobHours { get; init; }
    public required IReadOnlyList<BookStopDto> BookStops { get; init; }

    /// <summary>The schools of positions to choose from.</summary>
    public required IReadOnlyList<TurningMethod> Methods { get; init; }
    public required IReadOnlyList<LashPointResponse> Points { get; init; }
    public required IReadOnlyList<RevisionResponse> Revisions { get; init; }
    public required TurningPlanResponse Plan { get; init; }
}

/// <summary>What a type being typed in would look like: its points and its turning plan.</summary>
public sealed record TypePreviewResponse(IReadOnlyList<LashPointResponse> Points, TurningPlanResponse Plan, IReadOnlyList<SpecFiguresResponse> Figures);

/// <summary>What of a type may be edited; its points and firing order may not, since records stand on them.</summary>
public sealed record EngineTypeChangeRequest
{
    public string? Name { get; init; }
    public TurningMethod? Method { get; init; }
    public string? Rotation { get; init; }
    public string? BarringTool { get; init; }
    public double? ToolTurnsPerCrankTurn { get; init; }
    public double? PitchMm { get; init; }
    public double? ClearancePerTravel { get; init; }
    public bool? ClockwiseCloses { get; init; }
    public double? BookHours { get; init; }
    public int? BookMonths { get; init; }
    public double? FirstCheckHours { get; init; }
    public double? BreakInHours { get; init; }
    public double? JobHours { get; init; }
    public double? ColdMaxC { get; init; }
    public double? DialConversion { get; init; }
    public string? DialContact { get; init; }
    public PointOrder? Order { get; init; }
    public SettingOrder? Setting { get; init; }
    public JudgingSchool? Judging { get; init; }
    public SettingManner? Manner { get; init; }
    public MeasuringMeans? Measuring { get; init; }
    public bool? Spark { get; init; }
    public bool? Interference { get; init; }
    public string? Pins { get; init; }
    public double? PulleyMm { get; init; }
    public bool? SpeaksCamTurns { get; init; }
    public IReadOnlyList<BookStopDto?>? BookStops { get; init; }
    public IReadOnlyList<string?>? PointNames { get; init; }
    public bool? Archived { get; init; }
    public string? Who { get; init; }
    public string? Why { get; init; }

    /// <summary>The version this edit was made on.</summary>
    public int? Version { get; init; }
}
