namespace ZeroDrift.Core.Hours;

/// <summary>One look at an hour meter.</summary>
/// <param name="Date">The day it was read.</param>
/// <param name="ShownHours">What the meter showed.</param>
/// <param name="NewMeterShows">At a meter change: what the new or reset meter showed when it took over. Null for an ordinary reading.</param>
public readonly record struct MeterReading(DateOnly Date, EngineHours ShownHours, EngineHours? NewMeterShows = null)
{
    /// <summary>What the meter in place afterwards showed.</summary>
    public EngineHours EndsAt => NewMeterShows ?? ShownHours;
}
