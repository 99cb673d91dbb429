namespace ZeroDrift.Core.Hours;

/// <summary>
/// Total engine hours through meter replacements and resets: each meter is a segment, and a change carries the total on. The one owner of what a
/// meter can have shown on which day.
/// </summary>
public sealed class MeterHistory
{
    private readonly List<MeterReading> readings;
    private readonly List<HoursOnDay> totals = [];
    private readonly List<(DateOnly Date, double OldShows, double Offset)> changes = [];

    private MeterHistory(IEnumerable<MeterReading> given)
    {
        readings = InOrder(given);
        foreach (var reading in readings)
        {
            totals.Add(new HoursOnDay(reading.Date, EngineHours.Near(reading.ShownHours + Offset)));
            if (reading.NewMeterShows is not { } start) continue;
            Offset += reading.ShownHours - start;
            changes.Add((reading.Date, reading.ShownHours, Offset));
        }
    }

    /// <summary>Total hours at each reading, by date.</summary>
    public IReadOnlyList<HoursOnDay> Totals => totals;

    /// <summary>The latest total; null where the meter was never read.</summary>
    public HoursOnDay? Latest => totals.Count > 0 ? totals[^1] : null;

    /// <summary>What the meter in place showed last, and when; null where it was never read.</summary>
    public MeterReading? Last => readings.Count > 0 ? readings[^1] : null;

    /// <summary>Hours to add to what the present meter shows.</summary>
    public double Offset { get; }

    /// <summary>Runs through readings that are already accepted. Those of one day stand in the order given, but for figures of one meter, which stand by hours.</summary>
    public static MeterHistory Of(IEnumerable<MeterReading> readings) => new(readings);

    /// <summary>What speaks against one more reading, the last of its day.</summary>
    /// <param name="next">The reading.</param>
    /// <param name="today">Today where the engine is; null leaves that out.</param>
    /// <returns>Null where it fits.</returns>
    public MeterMisfit? Misfit(MeterReading next, DateOnly? today = null) =>
        MeterMisfit.OfDay(next, today) ?? At(InOrder([.. readings, next]), next);

    /// <summary>What speaks against putting a reading right: on the same day the right one stands where the wrong one stood, however much was read since.</summary>
    /// <param name="wrong">One of these readings.</param>
    /// <param name="right">What it should have been.</param>
    /// <param name="today">Today where the engine is.</param>
    public MeterMisfit? MisfitInstead(MeterReading wrong, MeterReading right, DateOnly? today = null)
    {
        var others = readings.ToList();
        var place = others.IndexOf(wrong);
        if (place >= 0) others.RemoveAt(place);
        if (place >= 0 && wrong.Date == right.Date) others.Insert(place, right);
        else others.Add(right);
        return MeterMisfit.OfDay(right, today) ?? At(InOrder(others), right);
    }

    /// <summary>What speaks against taking a reading away: what was read after it must still go on from what was read before.</summary>
    public MeterMisfit? MisfitWithout(MeterReading gone)
    {
        var place = readings.IndexOf(gone);
        return place <= 0 || place == readings.Count - 1 ? null : MeterMisfit.After(readings[place - 1], readings[place + 1]);
    }

    /// <summary>Total hours for what the meter in place on a day shows. On the day of a change it is whichever meter the figure goes on from.</summary>
    public EngineHours TotalOn(DateOnly date, EngineHours shownHours)
    {
        for (var i = readings.Count - 1; i >= 0; i--)
            if (readings[i].Date == date && readings[i].ShownHours == shownHours) return totals[i].TotalHours;
        var began = changes.FindLast(c => c.Date < date).Offset;
        var before = totals.FindLast(t => t.Date < date);
        var taken = began;
        foreach (var change in changes.Where(c => c.Date == date))
        {
            var goesOn = shownHours + taken >= before.TotalHours - 1e-9 && shownHours <= change.OldShows + 1e-9 && (shownHours + taken - before.TotalHours <= 24.0 * (date.DayNumber - before.Date.DayNumber + 1) || before == default);
            if (goesOn) break;
            taken = change.Offset;
        }
        return EngineHours.Near(shownHours + taken);
    }

    private static MeterMisfit? At(List<MeterReading> ordered, MeterReading reading)
    {
        var i = ordered.LastIndexOf(reading);
        return (i > 0 ? MeterMisfit.After(ordered[i - 1], reading) : null) ?? (i < ordered.Count - 1 ? MeterMisfit.Before(reading, ordered[i + 1]) : null);
    }

    private static List<MeterReading> InOrder(IEnumerable<MeterReading> given)
    {
        // Which meter of its day a figure was read off: as many changes of that day were given before it.
        var meters = new List<(MeterReading Reading, int Meter)>();
        var (day, meter) = (default(DateOnly), 0);
        foreach (var reading in given.OrderBy(r => r.Date))
        {
            if (reading.Date != day) (day, meter) = (reading.Date, 0);
            meters.Add((reading, meter));
            if (reading.NewMeterShows is not null) meter++;
        }
        return [.. meters.OrderBy(m => m.Reading.Date).ThenBy(m => m.Meter).ThenBy(m => m.Reading.NewMeterShows is not null).ThenBy(m => m.Reading.ShownHours.Hours).Select(m => m.Reading)];
    }
}
