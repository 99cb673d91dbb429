using ZeroDrift.Core.Hours;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Mapping;

/// <summary>Total hours through meter changes.</summary>
public static class MeterMapping
{
    /// <summary>The readings that stand, by day and then in the order the server took them.</summary>
    public static MeterHistory ToHistory(this IEnumerable<MeterReadingRow> readings) => MeterHistory.Of(
        readings.Where(m => !m.Withdrawn).OrderBy(m => m.Date).ThenBy(m => m.Sequence).Select(m => new MeterReading(m.Date, EngineHours.Of(m.ShownHours), EngineHours.Of(m.NewMeterShows))));
}
