namespace ZeroDrift.Core.Hours;

/// <summary>Why a figure cannot be what the meter showed that day.</summary>
public enum MeterFault
{
    /// <summary>Its day is still to come.</summary>
    StillToCome,

    /// <summary>Its day lies before hour meters, or centuries ahead.</summary>
    NoSuchDay,

    /// <summary>Below what the meter showed before.</summary>
    BelowEarlier,

    /// <summary>Above what the meter showed later.</summary>
    AboveLater,

    /// <summary>More than 24 hours a day from one figure to the next.</summary>
    FasterThanClock,
}

/// <summary>A figure that does not fit, and what it does not fit beside.</summary>
/// <param name="Fault">What is wrong with it.</param>
/// <param name="Reading">The figure.</param>
/// <param name="Beside">The reading before or after it that it contradicts; null where its day alone is wrong.</param>
public sealed record MeterMisfit(MeterFault Fault, MeterReading Reading, MeterReading? Beside = null)
{
    /// <summary>The years in which an hour meter can have been read.</summary>
    private const int FirstYear = 1950, LastYear = 2200;

    /// <summary>Its day is wrong, whatever the figure.</summary>
    public bool IsOfDay => Fault is MeterFault.StillToCome or MeterFault.NoSuchDay;

    /// <summary>The reading it contradicts was taken before it.</summary>
    public bool IsAfterBeside { get; init; } = true;

    /// <summary>Hours run between the two figures.</summary>
    public double RunHours => Beside is not { } beside ? 0 : IsAfterBeside ? Reading.ShownHours - beside.EndsAt : beside.ShownHours - Reading.EndsAt;

    /// <summary>Days between the two figures.</summary>
    public int Days => Beside is { } beside ? Math.Abs(Reading.Date.DayNumber - beside.Date.DayNumber) : 0;

    /// <summary>What is wrong with a day by itself: nobody reads a meter tomorrow, but for the hours by which one zone is ahead of another.</summary>
    /// <param name="reading">The figure with its day.</param>
    /// <param name="today">Today where the engine is; null where there is no clock to trust.</param>
    public static MeterMisfit? OfDay(MeterReading reading, DateOnly? today) =>
        reading.Date.Year is < FirstYear or > LastYear ? new MeterMisfit(MeterFault.NoSuchDay, reading)
        : today is { } day && reading.Date > day.AddDays(1) ? new MeterMisfit(MeterFault.StillToCome, reading)
        : null;

    /// <summary>What speaks against a reading that follows another.</summary>
    /// <returns>Null where it goes on from it.</returns>
    public static MeterMisfit? After(MeterReading before, MeterReading reading) => Between(before, reading, MeterFault.BelowEarlier) is { } fault ? new MeterMisfit(fault, reading, before) : null;

    /// <summary>What speaks against a reading that another follows.</summary>
    /// <returns>Null where that goes on from it.</returns>
    public static MeterMisfit? Before(MeterReading reading, MeterReading after) => Between(reading, after, MeterFault.AboveLater) is { } fault ? new MeterMisfit(fault, reading, after) { IsAfterBeside = false } : null;

    private static MeterFault? Between(MeterReading first, MeterReading second, MeterFault backwards)
    {
        var run = second.ShownHours - first.EndsAt;
        if (run < -1e-9) return backwards;
        // Two readings on one day, or late one evening and early the next, can still be a full day apart.
        return run > 24.0 * (second.Date.DayNumber - first.Date.DayNumber + 1) ? MeterFault.FasterThanClock : null;
    }
}
