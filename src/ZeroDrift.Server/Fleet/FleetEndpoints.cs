using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Server.Calculators;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Fleet;

public sealed record FleetSettings(string? Name, double? Risk, double? ToleranceTightMm, double? ToleranceLooseMm, string? TimeZone);

internal static class FleetEndpoints
{
    public static void MapFleet(this IEndpointRouteBuilder api)
    {
        api.MapGet("/fleet", Get).WithTags("Fleet");
        api.MapPut("/fleet", Put).WithTags("Fleet").ProducesProblem(400);
    }

    public static async Task<FleetSettings> Get(ZeroDriftContext context) => Of(await context.Fleet.SingleOrDefaultAsync() ?? new FleetRow());

    public static async Task<FleetSettings> Put(FleetSettings settings, ZeroDriftContext context, OutlookCache outlooks)
    {
        var row = await context.Fleet.SingleOrDefaultAsync();
        if (row is null) context.Fleet.Add(row = new FleetRow());
        row.Name = Given.Text(settings.Name, "name", "the fleet's name", 80);
        row.Risk = Given.InRange(settings.Risk, 0.001, 0.5, "risk", "The risk") ?? row.Risk;
        row.ToleranceTightMm = Given.InRange(settings.ToleranceTightMm, 0.005, 1, "toleranceTightMm", "The tolerance on the tight side") ?? row.ToleranceTightMm;
        row.ToleranceLooseMm = Given.InRange(settings.ToleranceLooseMm, 0.005, 1, "toleranceLooseMm", "The tolerance on the loose side") ?? row.ToleranceLooseMm;
        if (settings.TimeZone is { } zone)
        {
            if (!TimeZoneInfo.TryFindSystemTimeZoneById(zone, out _)) throw new BadInputException("timeZone", $"'{zone}' is not a time zone; write one like Europe/Oslo or UTC.");
            row.TimeZone = zone;
        }
        await context.SaveChangesAsync();
        outlooks.ForgetAll();
        return Of(row);
    }

    private static FleetSettings Of(FleetRow row) => new(row.Name, row.Risk, row.ToleranceTightMm, row.ToleranceLooseMm, row.TimeZone);
}
