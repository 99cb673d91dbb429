using System.Text.Json.Serialization;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Setting;
using ZeroDrift.Core.Turning;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Contract.Visits;

/// <summary>
/// An entry as a device writes it down: a union on its kind. The document and the device's types are made from these; <see cref="EntryReader"/> reads what comes, field by field, so that
/// whatever is wrong names its field. A test holds the two to each other.
/// </summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(OpenedEntryRequest), "opened")]
[JsonDerivedType(typeof(ChoseEntryRequest), "chose")]
[JsonDerivedType(typeof(TickedEntryRequest), "ticked")]
[JsonDerivedType(typeof(ConditionStatedEntryRequest), "conditionStated")]
[JsonDerivedType(typeof(PositionProvedEntryRequest), "positionProved")]
[JsonDerivedType(typeof(BarredToEntryRequest), "barredTo")]
[JsonDerivedType(typeof(TriedEntryRequest), "tried")]
[JsonDerivedType(typeof(FigureReadEntryRequest), "figureRead")]
[JsonDerivedType(typeof(ShimReadEntryRequest), "shimRead")]
[JsonDerivedType(typeof(StartStateEntryRequest), "startState")]
[JsonDerivedType(typeof(TurnedEntryRequest), "turned")]
[JsonDerivedType(typeof(KeptEntryRequest), "kept")]
[JsonDerivedType(typeof(DroppedEntryRequest), "dropped")]
[JsonDerivedType(typeof(OutcomeEntryRequest), "outcome")]
[JsonDerivedType(typeof(PartChangedEntryRequest), "partChanged")]
[JsonDerivedType(typeof(AnsweredEntryRequest), "answered")]
[JsonDerivedType(typeof(MarkedEntryRequest), "marked")]
[JsonDerivedType(typeof(NotedEntryRequest), "noted")]
[JsonDerivedType(typeof(PausedEntryRequest), "paused")]
[JsonDerivedType(typeof(ResumedEntryRequest), "resumed")]
[JsonDerivedType(typeof(UndoneEntryRequest), "undone")]
[JsonDerivedType(typeof(AbandonedEntryRequest), "abandoned")]
[JsonDerivedType(typeof(SignedEntryRequest), "signed")]
[JsonDerivedType(typeof(CountersignedEntryRequest), "countersigned")]
[JsonDerivedType(typeof(CorrectedEntryRequest), "corrected")]
[JsonDerivedType(typeof(AdmittedEntryRequest), "admitted")]
public abstract record EntryRequest
{
    /// <summary>Made by the device (UUID v7), so that sending it twice does no harm.</summary>
    public required Guid Id { get; init; }

    /// <summary>The device's clock, UTC.</summary>
    public required DateTimeOffset At { get; init; }

    /// <summary>The person who did it.</summary>
    public required Guid By { get; init; }
    public string? Device { get; init; }
}

public sealed record TrayRequest(string? SetId, string Unit, IReadOnlyList<string> Blades);

public sealed record OpenedEntryRequest : EntryRequest
{
    public required Guid EngineId { get; init; }
    public required JobKind Job { get; init; }
    public required DateOnly Date { get; init; }

    /// <summary>What the meter shows; left out only on a bench or on a stand.</summary>
    public double? ShownHours { get; init; }
    public string? ContextId { get; init; }
    public VisitPlace? Place { get; init; }

    /// <summary>The same as place onBench.</summary>
    public bool? Bench { get; init; }
    public string? TurnedBy { get; init; }
    public TurningMethod? Method { get; init; }
    public PointOrder? Order { get; init; }
    public SettingOrder? Setting { get; init; }
    public TrayRequest? Tray { get; init; }
    public MeasuringMeans? Measuring { get; init; }
    public JudgingSchool? Judging { get; init; }
    public SettingManner? Manner { get; init; }
    public IReadOnlyList<string>? Instruments { get; init; }
    public Guid? Continues { get; init; }
    public Guid? JobId { get; init; }
}

public sealed record ChoseEntryRequest : EntryRequest
{
    public string? Point { get; init; }
    public TurningMethod? Method { get; init; }
    public PointOrder? Order { get; init; }
    public SettingOrder? Setting { get; init; }
    public TrayRequest? Tray { get; init; }
    public MeasuringMeans? Measuring { get; init; }
    public JudgingSchool? Judging { get; init; }
    public SettingManner? Manner { get; init; }
    public string? TurnedBy { get; init; }
}

public sealed record TickedEntryRequest : EntryRequest
{
    public required string Step { get; init; }
    public required bool On { get; init; }
    public string? Said { get; init; }
    public bool? NotHere { get; init; }
    public string? Why { get; init; }
}

public sealed record ConditionStatedEntryRequest : EntryRequest
{
    public required SpecCondition Condition { get; init; }
    public double? EngineTemperatureC { get; init; }
    public double? HoursStanding { get; init; }
    public bool? MeasureAnyway { get; init; }
}

public sealed record SignRequest(int Cylinder, LashKind Kind, ValveState State);

public sealed record PositionProvedEntryRequest : EntryRequest
{
    /// <summary>The stop; or points, where the eye is on the valves.</summary>
    public double? CrankDeg { get; init; }
    public IReadOnlyList<string>? Points { get; init; }
    public IReadOnlyList<SignRequest>? Signs { get; init; }
    public string? Said { get; init; }
}

public sealed record BarredToEntryRequest : EntryRequest
{
    public required double CrankDeg { get; init; }
}

public sealed record TriedEntryRequest : EntryRequest
{
    public required Guid Reading { get; init; }
    public required string Point { get; init; }
    public required ReadingStage Stage { get; init; }
    public required IReadOnlyList<string> Blades { get; init; }
    public required string Unit { get; init; }
    public required Feel Feel { get; init; }
    public string? BladeSet { get; init; }
    public bool? Unproved { get; init; }
}

public sealed record FigureReadEntryRequest : EntryRequest
{
    public required Guid Reading { get; init; }
    public required string Point { get; init; }
    public required ReadingStage Stage { get; init; }
    public required string Figure { get; init; }
    public required string Unit { get; init; }
    public FigureSource? With { get; init; }
    public string? ClaimedBy { get; init; }
    public bool? Unproved { get; init; }
}

public sealed record ShimReadEntryRequest : EntryRequest
{
    public required string Point { get; init; }
    public required ReadingStage Stage { get; init; }
    public required string Thickness { get; init; }
    public required string Unit { get; init; }
    public required ShimKnownBy How { get; init; }
}

public sealed record StartStateEntryRequest : EntryRequest
{
    public required string Point { get; init; }
    public required StartState State { get; init; }
}

public sealed record TurnedEntryRequest : EntryRequest
{
    public required string Point { get; init; }
    public double? Turns { get; init; }
    public ScrewDirection? Direction { get; init; }
    public NutState? Nut { get; init; }
    public bool? Sure { get; init; }
}

public sealed record KeptEntryRequest : EntryRequest
{
    public required Guid Reading { get; init; }
    public bool? Sure { get; init; }
}

public sealed record DroppedEntryRequest : EntryRequest
{
    public required Guid Reading { get; init; }
}

public sealed record OutcomeEntryRequest : EntryRequest
{
    public required string Point { get; init; }
    public required PointOutcome Outcome { get; init; }
    public string? Why { get; init; }
    public string? Amount { get; init; }
    public string? Unit { get; init; }
    public string? Contact { get; init; }
    public int? Pass { get; init; }
    public double? WaitMinutes { get; init; }
    public string? Old { get; init; }
    public string? New { get; init; }
    public Guid? MovementId { get; init; }
}

public sealed record PartChangedEntryRequest : EntryRequest
{
    public IReadOnlyList<string>? Points { get; init; }
    public int? Cylinder { get; init; }
    public bool? Whole { get; init; }
    public required string Part { get; init; }
    public required string Why { get; init; }
    public double? CutMm { get; init; }
}

public sealed record AnsweredEntryRequest : EntryRequest
{
    public required VisitQuestion Question { get; init; }
    public required VisitAnswer Answer { get; init; }
    public IReadOnlyList<string>? Points { get; init; }
}

public sealed record MarkedEntryRequest : EntryRequest
{
    public required string Name { get; init; }
    public required double CrankDeg { get; init; }
    public bool? Trap { get; init; }
}

public sealed record NotedEntryRequest : EntryRequest
{
    public string? Point { get; init; }
    public required string Text { get; init; }
    public string? Photo { get; init; }
    public string? Customer { get; init; }
}

public sealed record PausedEntryRequest : EntryRequest;

public sealed record ResumedEntryRequest : EntryRequest;

public sealed record UndoneEntryRequest : EntryRequest
{
    public required Guid Entry { get; init; }
}

public sealed record AbandonedEntryRequest : EntryRequest
{
    public required string Why { get; init; }
}

public sealed record SignedEntryRequest : EntryRequest
{
    public string? Remark { get; init; }
}

public sealed record SecondReadingRequest(string Point, string Unit, IReadOnlyList<string>? Blades = null, Feel? Feel = null, string? Figure = null);

public sealed record CountersignedEntryRequest : EntryRequest
{
    public required IReadOnlyList<SecondReadingRequest> Readings { get; init; }
}

/// <summary>The replacing fields of a correction; only those given replace.</summary>
public sealed record CorrectedFieldsRequest
{
    public DateOnly? Date { get; init; }
    public double? ShownHours { get; init; }
    public SpecCondition? Condition { get; init; }
    public double? EngineTemperatureC { get; init; }
    public IReadOnlyList<string>? Blades { get; init; }
    public Feel? Feel { get; init; }
    public string? Figure { get; init; }
    public string? Unit { get; init; }
    public string? Thickness { get; init; }
    public ShimKnownBy? How { get; init; }
    public StartState? State { get; init; }
    public PointOutcome? Outcome { get; init; }
    public string? Why { get; init; }
    public string? Amount { get; init; }
    public string? Old { get; init; }
    public string? New { get; init; }
    public string? Text { get; init; }
}

public sealed record CorrectedEntryRequest : EntryRequest
{
    public required Guid Entry { get; init; }
    public required string Why { get; init; }
    public required CorrectedFieldsRequest Fields { get; init; }
}

public sealed record AdmittedEntryRequest : EntryRequest
{
    public required IReadOnlyList<Guid> Entries { get; init; }
    public required string Why { get; init; }
}
