using ZeroDrift.Core.Hours;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Mapping;

/// <summary>Total hours through meter changes.</summary>
public static class MeterMapping
{
    /// <summary>The readings that stand, by day and then in the order the server took them; one that was put right stands where the wrong one stood. Give the withdrawn ones too: they hold the places.</summary>
    public static MeterHistory ToHistory(this IEnumerable<MeterReadingRow> readings)
    {
        var all = readings.ToList();
        var replaced = all.Where(m => m.Withdrawn).ToDictionary(m => m.Id);
        return MeterHistory.Of(all.Where(m => !m.Withdrawn).OrderBy(m => m.Date).ThenBy(Place).Select(ToReading));

        long Place(MeterReadingRow row) => row.ReplacesId is { } id && replaced.TryGetValue(id, out var wrong) && wrong.Date == row.Date ? Place(wrong) : row.Sequence;
    }

    /// <summary>As the core reads it.</summary>
    public static MeterReading ToReading(this MeterReadingRow row) => new(row.Date, EngineHours.Of(row.ShownHours), EngineHours.Of(row.NewMeterShows));
}
