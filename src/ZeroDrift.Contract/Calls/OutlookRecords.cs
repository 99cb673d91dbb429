using ZeroDrift.Core.Drift;

namespace ZeroDrift.Contract.Calls;

public sealed record OutlookPointRequest(string? Id, string? Engine, string? Group, double? MinMm, double? MaxMm, double? SetMm);

public sealed record OutlookVisitRequest(string? Id, string? Engine, double? Hours, string? Person, bool? Warm);

public sealed record OutlookReadingRequest(string? Point, string? Visit, int? Run, OutlookStage? Stage, double? ClearanceMm, double? LowerMm, double? UpperMm, double? StandardUncertaintyMm, string? Person, bool? Confirmed = null);

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
    OutlookFixedRequest? Fixed,
    IReadOnlyDictionary<string, double?>? BookHours = null);

public sealed record OutlookGroupResponse(string Group, double MmPer1000h, double StandardErrorMmPer1000h, double TauMmPer1000h, double EngineTauMmPer1000h, double BeddingMm);

public sealed record OutlookComponentsResponse(double ReadingSdMm, double VisitSdMm, double PersonSdMm);

public sealed record OutlookPersonResponse(string Person, double BiasMm, double StandardErrorMm);

public sealed record OutlookVisitResponse(string Visit, double ShiftMm, double StandardErrorMm, bool Odd);

/// <summary>The last visit before a valve began to wear another way, and how far what was found last lies off, in standard deviations.</summary>
public sealed record OutlookChangeResponse(string Visit, double Hours, double? Z);

public sealed record OutlookPointResponse(
    string Id,
    double? LevelMm,
    double? LevelStandardErrorMm,
    double MmPer1000h,
    double StandardErrorMmPer1000h,
    double FastProbability,
    double ChangeProbability,
    OutlookChangeResponse? Changed,
    double? LastFoundZ,
    double FarOffProbability,
    bool Dated,
    double? HoursToRisk);

public sealed record OutlookRiskResponse(double Hours, double P);

/// <summary>The fleet's own rate of new failures, for what is said; no date rests on it.</summary>
public sealed record OutlookHazardResponse(double Per1000h, IReadOnlyList<OutlookRiskResponse> Risk);

public sealed record OutlookVoicePointResponse(string Point, double P);

/// <summary>What is said of an engine.</summary>
public sealed record OutlookVoiceResponse(double? AtHours, double? Risk, bool Raised, IReadOnlyList<OutlookVoicePointResponse> Points, IReadOnlyList<string> Named, IReadOnlyList<string> FoundOut, IReadOnlyList<string> LookAgain, bool Ordinary);

public sealed record OutlookEngineResponse(
    string Engine,
    double NowHours,
    IReadOnlyList<OutlookRiskResponse> Risk,
    double? HoursToRisk,
    string? DecidedBy,
    double? DecidedByHours,
    double? DecidedByRisk,
    LimitSide? Side,
    double? OpenAfterHours,
    double? CostPer1000h,
    OutlookHazardResponse? Hazard,
    OutlookVoiceResponse Voice);

public sealed record OutlookResponse(
    IReadOnlyList<OutlookGroupResponse> Groups,
    OutlookComponentsResponse Components,
    IReadOnlyList<OutlookPersonResponse> People,
    IReadOnlyList<OutlookVisitResponse> Visits,
    IReadOnlyList<OutlookPointResponse> Points,
    IReadOnlyList<OutlookEngineResponse> Engines);
