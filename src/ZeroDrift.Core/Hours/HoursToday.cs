namespace ZeroDrift.Core.Hours;

/// <summary>
/// What an engine has run by a day on which nobody has read its meter: its last reading and the use since, by its own rate, its season and without the
/// days it was laid up. A new reading takes its place at once.
/// </summary>
/// <param name="Read">Total hours when it was read last.</param>
/// <param name="On">That day.</param>
/// <param name="Usage">How it is used.</param>
public sealed record HoursToday(EngineHours Read, DateOnly On, Usage Usage)
{
    /// <summary>Not known better than this share of the book's interval, it is to be read (common practice, no source).</summary>
    private const double MostDoubtShare = 0.1;

    /// <summary>The same where the book has no interval, hours (common practice, no source).</summary>
    private const double MostDoubtHours = 100;

    /// <summary>Within so many days nobody is asked to read it again (common practice, no source).</summary>
    private const int FewestDays = 14;

    /// <summary>Total hours on a day, never below what was read.</summary>
    public EngineHours At(DateOnly day) => EngineHours.Near(Read + Usage.HoursBetween(On, day));

    /// <summary>The least and the most believable for the same, from the band of its use.</summary>
    public (EngineHours Least, EngineHours Most) Band(DateOnly day)
    {
        var (least, most) = Usage.HoursBand(On, day);
        return (EngineHours.Near(Read + least), EngineHours.Near(Read + most));
    }

    /// <summary>Unread for longer than its use makes safe: what it may have run beside what is taken is more than a tenth of the book's interval.</summary>
    /// <param name="day">Today.</param>
    /// <param name="bookHours">The book's interval; null where it has none.</param>
    public bool IsToBeRead(DateOnly day, double? bookHours)
    {
        if (day.DayNumber - On.DayNumber < FewestDays) return false;
        var (least, most) = Band(day);
        return most - least > (bookHours is { } interval ? MostDoubtShare * interval : MostDoubtHours);
    }
}
