using ZeroDrift.Core.Drift;

namespace ZeroDrift.Contract.Calls;


public sealed record DriftReadingRequest(int? Run, double? Hours, double? ClearanceMm, double? StandardUncertaintyMm);

public sealed record DriftPointRequest(string? Id, string? Group, IReadOnlyList<DriftReadingRequest?>? Readings);

public sealed record DriftRequest(IReadOnlyList<DriftPointRequest?>? Points);

public sealed record RateResponse(double MmPer1000h, double StandardErrorMmPer1000h)
{
    public static RateResponse? Of(Rate? rate) => rate is { } r ? new(r.MmPer1000h, r.StandardErrorMmPer1000h) : null;
}

public sealed record DriftPointResponse(string Id, string Group, RateResponse? OwnRate, double BirgeRatio, RateResponse? Rate, bool UnlikeSiblings);

public sealed record DriftGroupResponse(string Group, double? MeanMmPer1000h, double? StandardErrorMmPer1000h, double? TauMmPer1000h);

public sealed record DriftResponse(IReadOnlyList<DriftPointResponse> Points, IReadOnlyList<DriftGroupResponse> Groups);

public sealed record ForecastPointRequest(string? Id, double? ClearanceMm, double? StandardUncertaintyMm, double? MmPer1000h, double? StandardErrorMmPer1000h, double? CovarianceMm2Per1000h, double? MinMm, double? MaxMm, double? SetMm);

public sealed record ForecastRequest(double? Risk, double? HorizonHours, IReadOnlyList<ForecastPointRequest?>? Points);

public sealed record AimOffResponse(double AimMm, double? HoursAtAim, double? HoursAtBook, double GainHours);

public sealed record ForecastPointResponse(string Id, double? HoursToRisk, LimitSide? Side, AimOffResponse? AimOff);

public sealed record ForecastResponse(double? HoursToRisk, string? DecidedBy, LimitSide? Side, IReadOnlyList<ForecastPointResponse> Points);
