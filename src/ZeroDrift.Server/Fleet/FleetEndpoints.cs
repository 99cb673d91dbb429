using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Fleet;

public sealed record FleetSettings(string? Name, double? Risk, double? ToleranceTightMm, double? ToleranceLooseMm, double? FeelSdMm, double? BreachCost, bool? PlainRisk, string? TimeZone);

internal static class FleetEndpoints
{
    public static void MapFleet(this IEndpointRouteBuilder api)
    {
        api.MapGet("/fleet", Get).WithTags("Fleet").WithName("get-fleet");
        api.MapPut("/fleet", Put).WithTags("Fleet").WithName("put-fleet").Refuses(400, 503);
    }

    public static async Task<FleetSettings> Get(ZeroDriftContext data, CancellationToken cancelled) => Of(await data.SettingsAsync());

    public static async Task<FleetSettings> Put(FleetSettings settings, WriteGate gate, FleetDay day, CancellationToken cancelled)
    {
        var name = Given.Name(settings.Name, "name", "the fleet's name", 80);
        return await gate.RunAsync(async data =>
        {
            var row = await data.Fleet.SingleOrDefaultAsync();
            if (row is null) data.Fleet.Add(row = new FleetRow());
            row.Name = name;
            row.Risk = Given.InRange(settings.Risk, 0.001, 0.5, "risk", "The risk") ?? row.Risk;
            row.ToleranceTightMm = Given.InRange(settings.ToleranceTightMm, 0.005, 1, "toleranceTightMm", "The tolerance on the tight side") ?? row.ToleranceTightMm;
            row.ToleranceLooseMm = Given.InRange(settings.ToleranceLooseMm, 0.005, 1, "toleranceLooseMm", "The tolerance on the loose side") ?? row.ToleranceLooseMm;
            row.FeelSdMm = Given.InRange(settings.FeelSdMm, 0.001, 0.05, "feelSdMm", "The repeatability of feel") ?? row.FeelSdMm;
            row.BreachCost = Given.InRange(settings.BreachCost, 1, 1000, "breachCost", "What a valve out of its limits costs, in overheads,") ?? row.BreachCost;
            row.PlainRisk = settings.PlainRisk ?? row.PlainRisk;
            if (settings.TimeZone is { } zone) row.TimeZone = FleetDay.Known(zone);
            await data.SaveChangesAsync();
            await day.ReadAsync(data);
            return Of(row);
        }, cancelled);
    }

    private static FleetSettings Of(FleetRow row) => new(row.Name, row.Risk, row.ToleranceTightMm, row.ToleranceLooseMm, row.FeelSdMm, row.BreachCost, row.PlainRisk, row.TimeZone);
}
