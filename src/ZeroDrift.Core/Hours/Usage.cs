namespace ZeroDrift.Core.Hours;

/// <summary>
/// How many hours an engine runs a day, with a band, and how that changes with the season. Forecasts of dates rest on it.
/// </summary>
/// <param name="HoursPerDay">In a month of weight 1.</param>
/// <param name="Low">10 % of the band.</param>
/// <param name="High">90 % of the band.</param>
/// <param name="FromReadings">False where the duty class had to stand in.</param>
/// <param name="MonthlyWeights">Twelve weights, January first; 1 is the normal month, 0 laid up.</param>
public sealed record Usage(double HoursPerDay, double Low, double High, bool FromReadings, IReadOnlyList<double> MonthlyWeights)
{
    /// <summary>Readings older than this do not speak for the present use, days.</summary>
    public const int WindowDays = 120;

    /// <summary>Fewer readings than this in the window: the duty class stands in.</summary>
    public const int FewestReadings = 3;

    /// <summary>Dates further ahead than this are not given, days.</summary>
    public const int FurthestDays = 365 * 40;

    /// <summary>Every month alike.</summary>
    public static IReadOnlyList<double> AllYear { get; } = [.. Enumerable.Repeat(1.0, 12)];

    /// <summary>Days on which it stands still by order, laid up: no hours are run.</summary>
    public IReadOnlyList<Days> LaidUp { get; init; } = [];

    /// <summary>Theil-Sen over the last 120 days, divided by the window's mean monthly weight; the duty class with fewer than three readings or a window of no weight.</summary>
    /// <param name="totals">Total hours by date.</param>
    /// <param name="today">The window ends here.</param>
    /// <param name="dutyHoursPerDay">The duty class's default, 0 to 24.</param>
    /// <param name="monthlyWeights">Twelve weights of 0 to 10, or null for a machine used all year.</param>
    /// <param name="laidUp">Days on which it stood or will stand still by order.</param>
    /// <exception cref="BadInputException">A default or weight outside its range, or not twelve weights.</exception>
    public static Usage Of(IReadOnlyList<HoursOnDay> totals, DateOnly today, double dutyHoursPerDay, IReadOnlyList<double>? monthlyWeights = null, IReadOnlyList<Days>? laidUp = null)
    {
        Require.InRange(dutyHoursPerDay, 0, 24, "dutyHoursPerDay", "The duty class's hours a day", "h");
        var (weights, stands) = (Weights(monthlyWeights), laidUp ?? []);
        var window = totals.Where(t => t.Date <= today && today.DayNumber - t.Date.DayNumber <= WindowDays).ToList();
        var mean = window.Count > 1 ? MeanWeight(window[0].Date, window[^1].Date, weights, stands) : 0;
        var slope = window.Count >= FewestReadings && mean > 0 ? TheilSen.Fit([.. window.Select(t => ((double)t.Date.DayNumber, t.TotalHours.Hours))]) : null;
        if (slope is null) return new Usage(dutyHoursPerDay, dutyHoursPerDay * 0.7, Math.Min(24, dutyHoursPerDay * 1.3), false, weights) { LaidUp = stands };
        return new Usage(Day(slope.Slope), Day(slope.Low), Day(slope.High), true, weights) { LaidUp = stands };

        double Day(double perDay) => Math.Clamp(perDay / mean, 0, 24);
    }

    /// <summary>Engine hours expected from one day to a later one.</summary>
    public double HoursBetween(DateOnly from, DateOnly to)
    {
        var hours = 0.0;
        for (var day = from; day < to; day = day.AddDays(1)) hours += On(day, HoursPerDay);
        return hours;
    }

    /// <summary>The least and most believable hours for the same, from the band.</summary>
    public (double Least, double Most) HoursBand(DateOnly from, DateOnly to) => ((this with { HoursPerDay = Low }).HoursBetween(from, to), (this with { HoursPerDay = High }).HoursBetween(from, to));

    /// <summary>The day on which <paramref name="hours"/> more will have been run, today included; null where not within forty years.</summary>
    public DateOnly? DateAfter(DateOnly today, double hours) => DateAt(today, hours, HoursPerDay);

    /// <summary>The earliest and latest believable day for the same, from the band.</summary>
    public (DateOnly? Earliest, DateOnly? Latest) DateBand(DateOnly today, double hours) => (DateAt(today, hours, High), DateAt(today, hours, Low));

    private DateOnly? DateAt(DateOnly today, double hours, double perDay)
    {
        if (hours <= 0) return today;
        var run = 0.0;
        var day = today;
        for (var i = 0; i < FurthestDays; i++)
        {
            run += On(day, perDay);
            day = day.AddDays(1);
            if (run >= hours - 1e-9) return day;
        }
        return null;
    }

    private double On(DateOnly day, double perDay) => IsIn(LaidUp, day) ? 0 : Math.Min(24, perDay * MonthlyWeights[day.Month - 1]);

    private static bool IsIn(IReadOnlyList<Days> stands, DateOnly day)
    {
        for (var i = 0; i < stands.Count; i++) if (stands[i].Hold(day)) return true;
        return false;
    }

    private static double MeanWeight(DateOnly from, DateOnly to, IReadOnlyList<double> weights, IReadOnlyList<Days> stands)
    {
        var (sum, days) = (0.0, 0);
        for (var day = from; day < to; day = day.AddDays(1), days++) sum += IsIn(stands, day) ? 0 : weights[day.Month - 1];
        return days == 0 ? 0 : sum / days;
    }

    private static IReadOnlyList<double> Weights(IReadOnlyList<double>? given)
    {
        if (given is null || given.Count == 0) return AllYear;
        if (given.Count != 12) throw new BadInputException("monthlyWeights", $"Give twelve monthly weights, January first; {given.Count} were given.");
        for (var i = 0; i < 12; i++) Require.InRange(given[i], 0, 10, $"monthlyWeights[{i}]", "A monthly weight");
        if (given.All(weight => weight == 0)) throw new BadInputException("monthlyWeights", "At least one month must have a weight above 0.");
        return given;
    }
}
