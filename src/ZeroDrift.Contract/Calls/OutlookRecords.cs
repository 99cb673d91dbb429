using ZeroDrift.Core.Drift;

namespace ZeroDrift.Contract.Calls;

public sealed record OutlookPointRequest(string? Id, string? Engine, string? Group, double? MinMm, double? MaxMm, double? SetMm);

public sealed record OutlookVisitRequest(string? Id, string? Engine, double? Hours, string? Person, bool? Warm);

public sealed record OutlookReadingRequest(string? Point, string? Visit, int? Run, OutlookStage? Stage, double? ClearanceMm, double? LowerMm, double? UpperMm, double? StandardUncertaintyMm, string? Person);

public enum OutlookStage
{
    AsFound,
    AsLeft,
}

/// <summary>Components to hold, and parts of the model to leave out.</summary>
public sealed record OutlookFixedRequest(double? TauMm, double? EngineTauMm, double? VisitSdMm, double? PersonSdMm, double? ReadingSdMm, bool? Bedding, bool? Mixture, bool? HeavyTails);

public sealed record OutlookRequest(
    IReadOnlyList<OutlookPointRequest?>? Points,
    IReadOnlyList<OutlookVisitRequest?>? Visits,
    IReadOnlyList<OutlookReadingRequest?>? Readings,
    IReadOnlyDictionary<string, double>? Now,
    double? Risk,
    double? BreachCost,
    double? HorizonHours,
    IReadOnlyList<double>? RiskAtHours,
    OutlookFixedRequest? Fixed);

public sealed record OutlookGroupResponse(string Group, double MmPer1000h, double StandardErrorMmPer1000h, double TauMmPer1000h, double EngineTauMmPer1000h, double BeddingMm);

public sealed record OutlookComponentsResponse(double ReadingSdMm, double VisitSdMm, double PersonSdMm);

public sealed record OutlookPersonResponse(string Person, double BiasMm, double StandardErrorMm);

public sealed record OutlookVisitResponse(string Visit, double ShiftMm, double StandardErrorMm, bool Odd);

public sealed record OutlookPointResponse(string Id, double? LevelMm, double? LevelStandardErrorMm, double MmPer1000h, double StandardErrorMmPer1000h, double FastProbability);

public sealed record OutlookRiskResponse(double Hours, double P);

public sealed record OutlookEngineResponse(string Engine, double NowHours, IReadOnlyList<OutlookRiskResponse> Risk, double? HoursToRisk, string? DecidedBy, LimitSide? Side, double? OpenAfterHours, double CostPer1000h);

public sealed record OutlookResponse(
    IReadOnlyList<OutlookGroupResponse> Groups,
    OutlookComponentsResponse Components,
    IReadOnlyList<OutlookPersonResponse> People,
    IReadOnlyList<OutlookVisitResponse> Visits,
    IReadOnlyList<OutlookPointResponse> Points,
    IReadOnlyList<OutlookEngineResponse> Engines);
