using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Data;

namespace ZeroDrift.Server.Outlooks;

/// <summary>Which day it is where the fleet is, and where a site is.</summary>
internal sealed class FleetDay(TimeProvider clock)
{
    private volatile string fleetZone = "UTC";
    private volatile IReadOnlyDictionary<Guid, string> engineZones = new Dictionary<Guid, string>();

    public DateTime Now => clock.GetUtcNow().UtcDateTime;

    public DateOnly Today => In(fleetZone);

    /// <summary>The day at an engine's site.</summary>
    public DateOnly At(Guid engineId) => In(engineZones.GetValueOrDefault(engineId) ?? fleetZone);

    /// <summary>Reads the zones again, at start and after they changed.</summary>
    public async Task ReadAsync(ZeroDriftContext data, CancellationToken cancelled = default)
    {
        fleetZone = await data.Fleet.AsNoTracking().Select(f => f.TimeZone).SingleOrDefaultAsync(cancelled) ?? "UTC";
        engineZones = await data.Engines.AsNoTracking().Where(e => e.Machine!.Site!.TimeZone != null).Select(e => new { e.Id, Zone = e.Machine!.Site!.TimeZone! }).ToDictionaryAsync(e => e.Id, e => e.Zone, cancelled);
    }

    /// <summary>A time zone as it was given, if there is one of that name.</summary>
    /// <exception cref="BadInputException">There is none.</exception>
    public static string Known(string zone) =>
        TimeZoneInfo.TryFindSystemTimeZoneById(zone, out _) ? zone : throw new BadInputException("timeZone", $"'{Problem.Short(zone, 40)}' is not a time zone; write one like Europe/Oslo or UTC.");

    private DateOnly In(string zone) => DayInZone.Of(clock.GetUtcNow(), zone);
}
