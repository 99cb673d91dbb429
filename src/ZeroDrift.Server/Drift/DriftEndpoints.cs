using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Drift;

/// <summary>What the figures say before the valve says it: of an engine, and of the fleet.</summary>
internal static class DriftEndpoints
{
    public static void MapDrift(this IEndpointRouteBuilder api)
    {
        api.MapGet("/drift", Fleet).WithTags("Drift").WithName("get-fleet-drift");
        api.MapGet("/engines/{id:guid}/drift", Engine).WithTags("Drift").WithName("get-engine-drift").Refuses(404);
        api.MapGet("/people/{id:guid}/hand", Hand).WithTags("Drift").WithName("get-hand").Refuses(404);
        api.MapPost("/people/{id:guid}/feel-checks", Check).WithTags("Drift").WithName("add-feel-checks").Refuses(400, 404, 409, 503);
    }

    public static Task<FleetDriftResponse> Fleet(ZeroDriftContext data, Yard yard, FleetDay day, CancellationToken cancelled) => FleetDriftView.OfAsync(data, yard, day, cancelled);

    public static Task<EngineDriftResponse> Engine(Guid id, ZeroDriftContext data, Yard yard, FleetDay day, CancellationToken cancelled) => EngineDriftView.OfAsync(id, data, yard, day, cancelled);

    /// <summary>One person's hand, for that person: never a list of all.</summary>
    public static Task<HandResponse> Hand(Guid id, ZeroDriftContext data, CancellationToken cancelled) => HandView.OfAsync(id, data, cancelled);

    /// <summary>Keeps checks on known gaps; sent twice they are kept once.</summary>
    public static async Task<HandResponse> Check(Guid id, FeelChecksRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled)
    {
        var checks = Given.List(request.Checks, "checks", "the gaps felt", 100);
        return await gate.RunAsync(async data =>
        {
            if (!await data.People.AnyAsync(p => p.Id == id)) throw new NotFoundException("There is no such person.");
            for (var i = 0; i < checks.Count; i++)
            {
                var row = new FeelCheckRow
                {
                    Id = Given.NewId(checks[i].Id),
                    PersonId = id,
                    At = day.Now,
                    KnownMm = Given.Clearance(checks[i].KnownMm, $"checks[{i}].knownMm", "The known gap"),
                    FeltMm = Given.Clearance(checks[i].FeltMm, $"checks[{i}].feltMm", "What was felt"),
                };
                if (await data.FeelChecks.FindAsync([row.Id], cancelled) is not { } stands) data.FeelChecks.Add(row);
                else if ((stands.PersonId, stands.KnownMm, stands.FeltMm) != (row.PersonId, row.KnownMm, row.FeltMm)) throw new ConflictException("differs", $"checks[{i}].id", "That identifier is another check.");
            }
            await data.SaveChangesAsync();
            return await HandView.OfAsync(id, data);
        }, cancelled);
    }
}
