namespace ZeroDrift.Contract.Calls;


public sealed record MeterReadingRequest(DateOnly? Date, double? Hours, double? NewMeterShows);

public sealed record HoursRequest(IReadOnlyList<MeterReadingRequest?>? Readings, DateOnly? Today, double? DutyHoursPerDay, IReadOnlyList<double>? MonthlyWeights, double? HoursAhead);

public sealed record EngineHoursResponse(DateOnly Date, double TotalHours);

public sealed record HoursResponse(IReadOnlyList<EngineHoursResponse> Totals, double HoursPerDay, double HoursPerDayLow, double HoursPerDayHigh, bool FromReadings, DateOnly? DateReached, DateOnly? EarliestDate, DateOnly? LatestDate);
