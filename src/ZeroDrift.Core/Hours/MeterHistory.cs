namespace ZeroDrift.Core.Hours;

/// <summary>
/// Total engine hours through meter replacements and resets: each meter is a segment, and a change carries the total on.
/// </summary>
public sealed class MeterHistory
{
    private readonly List<HoursOnDay> totals = [];
    private readonly List<(DateOnly Date, double OldShows, double Offset)> changes = [];
    private double offset;
    private double lastShown;

    private MeterHistory()
    {
    }

    /// <summary>Total hours at each reading, by date.</summary>
    public IReadOnlyList<HoursOnDay> Totals => totals;

    /// <summary>The latest total; null where the meter was never read.</summary>
    public HoursOnDay? Latest => totals.Count > 0 ? totals[^1] : null;

    /// <summary>Hours to add to what the present meter shows.</summary>
    public double Offset => offset;

    /// <summary>Runs through readings that are already accepted, by date then hours; at a change the old meter's last figure closes its segment.</summary>
    public static MeterHistory Of(IEnumerable<MeterReading> readings)
    {
        var history = new MeterHistory();
        foreach (var reading in readings) history.Take(reading);
        return history;
    }

    /// <summary>
    /// Checks a new reading against this history. <paramref name="field"/> names it in the complaint.
    /// </summary>
    /// <exception cref="BadInputException">
    /// Before the last reading's day, lower than the last without being a meter change, or faster than 24 h a day.
    /// </exception>
    public void Check(MeterReading next, string field = "hours")
    {
        if (Latest is not { } last) return;
        if (next.Date < last.Date)
            throw new BadInputException("date", $"The meter was already read on {Said.Day(last.Date)}; a reading of {Said.Day(next.Date)} comes before it. Use that day or later.");
        if (next.ShownHours < lastShown)
            throw new BadInputException(field, $"{Said.Hours(next.ShownHours)} is below the last reading, {Said.Hours(lastShown)} on {Said.Day(last.Date)}. Check the figure, or say that the meter was replaced or reset.");
        var days = next.Date.DayNumber - last.Date.DayNumber;
        var run = next.ShownHours - lastShown;
        // Two readings on one day, or late one evening and early the next, can still be a full day apart.
        if (run > 24.0 * (days + 1))
            throw new BadInputException(field, $"{Said.Hours(run)} in {days} days is more than 24 h a day since {Said.Hours(lastShown)} on {Said.Day(last.Date)}. Check the figure and the date, or say that the meter was replaced.");
    }

    /// <summary>Total hours for what the meter in place on a day shows: changes before that day count, one of that day only where the figure is below what the old meter had reached.</summary>
    public EngineHours TotalOn(DateOnly date, EngineHours shownHours)
    {
        var before = 0.0;
        foreach (var change in changes)
            if (change.Date < date || (change.Date == date && shownHours < change.OldShows)) before = change.Offset;
        return EngineHours.Near(shownHours + before);
    }

    /// <summary>How a figure of any day stands to the readings around it.</summary>
    public MeterFit Fit(DateOnly date, EngineHours shownHours)
    {
        var total = TotalOn(date, shownHours);
        HoursOnDay? before = null;
        HoursOnDay? after = null;
        foreach (var known in totals)
        {
            if (known.Date <= date) before = known;
            else after ??= known;
        }
        // Of one day's readings any may be the one before.
        if (before is { } last && total < last.TotalHours - 1e-9 && !(last.Date == date && totals.Any(t => t.Date == date && t.TotalHours <= total + 1e-9))) return MeterFit.Backwards;
        if (after is { } next && total > next.TotalHours + 1e-9) return MeterFit.Backwards;
        if (before is { } from && total - from.TotalHours > 24.0 * (date.DayNumber - from.Date.DayNumber + 1)) return MeterFit.TooFast;
        return MeterFit.Fits;
    }

    private void Take(MeterReading reading)
    {
        totals.Add(new HoursOnDay(reading.Date, EngineHours.Near(reading.ShownHours + offset)));
        lastShown = reading.ShownHours;
        if (reading.NewMeterShows is not { } start) return;
        offset += reading.ShownHours - start;
        changes.Add((reading.Date, reading.ShownHours, offset));
        lastShown = start;
    }
}

/// <summary>How a meter figure stands to those around it.</summary>
public enum MeterFit
{
    /// <summary>Between them.</summary>
    Fits,

    /// <summary>Below an earlier one or above a later one.</summary>
    Backwards,

    /// <summary>More than 24 hours a day.</summary>
    TooFast,
}
