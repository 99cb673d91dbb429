namespace ZeroDrift.Core.Hours;

/// <summary>One look at an hour meter.</summary>
/// <param name="Date">The day it was read.</param>
/// <param name="ShownHours">What the meter showed, 0 to 1,000,000 h.</param>
/// <param name="NewMeterShows">At a meter change: what the new or reset meter showed when it took over. Null for an ordinary reading.</param>
public readonly record struct MeterReading(DateOnly Date, double ShownHours, double? NewMeterShows = null);

/// <summary>Total engine hours on a day.</summary>
public readonly record struct EngineHours(DateOnly Date, double TotalHours);
