namespace ZeroDrift.Core.Hours;

/// <summary>Total engine hours on a day, through every meter the engine has had.</summary>
public readonly record struct HoursOnDay(DateOnly Date, EngineHours TotalHours);
