namespace ZeroDrift.Data;

/// <summary>The day at a moment where the clocks of a time zone hang.</summary>
public static class DayInZone
{
    /// <summary>By a zone's name, such as Europe/Oslo; by UTC where this machine does not know it.</summary>
    public static DateOnly Of(DateTimeOffset moment, string zone) =>
        DateOnly.FromDateTime(TimeZoneInfo.TryFindSystemTimeZoneById(zone, out var known) ? TimeZoneInfo.ConvertTime(moment, known).DateTime : moment.UtcDateTime);
}
