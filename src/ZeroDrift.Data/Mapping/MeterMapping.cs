using Microsoft.EntityFrameworkCore;
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

    /// <summary>Every look at an engine's meter, withdrawn ones too.</summary>
    public static Task<List<MeterReadingRow>> MeterAsync(this ZeroDriftContext data, Guid engineId, CancellationToken cancelled = default) =>
        data.MeterReadings.AsNoTracking().Where(m => m.EngineId == engineId).ToListAsync(cancelled);

    /// <summary>The same of several engines.</summary>
    public static async Task<ILookup<Guid, MeterReadingRow>> MetersAsync(this ZeroDriftContext data, IReadOnlyCollection<Guid> engineIds, CancellationToken cancelled = default) =>
        (await data.MeterReadings.AsNoTracking().Where(m => engineIds.Contains(m.EngineId)).ToListAsync(cancelled)).ToLookup(m => m.EngineId);

    /// <summary>As the core reads it.</summary>
    public static MeterReading ToReading(this MeterReadingRow row) => new(row.Date, EngineHours.Of(row.ShownHours), EngineHours.Of(row.NewMeterShows));
}
