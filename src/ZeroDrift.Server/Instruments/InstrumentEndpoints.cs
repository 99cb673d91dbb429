using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Instruments;

/// <summary>Blade sets, micrometers and dials with their checks.</summary>
internal static class InstrumentEndpoints
{
    public static void MapInstruments(this IEndpointRouteBuilder api)
    {
        var instruments = api.MapGroup("/instruments").WithTags("Instruments");
        instruments.MapGet("/", List).WithName("list-instruments");
        instruments.MapPost("/", Add).WithName("add-instrument").Refuses(400, 409, 503);
        instruments.MapPut("/{id:guid}", Change).WithName("change-instrument").Refuses(400, 404, 409, 503);
    }

    public static async Task<IReadOnlyList<InstrumentResponse>> List(ZeroDriftContext data, FleetDay day, CancellationToken cancelled)
    {
        var suspect = (await Suspicion.OfAsync(data, cancelled: cancelled)).ToDictionary(s => s.Key.Id, s => s.ToList());
        return [.. (await data.Instruments.AsNoTracking().OrderBy(i => i.Name).ToListAsync(cancelled)).Select(i => Response(i, suspect.GetValueOrDefault(i.Id) ?? [], day.Today))];
    }

    public static async Task<Results<Created<InstrumentResponse>, Ok<InstrumentResponse>>> Add(InstrumentRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled)
    {
        var row = new InstrumentRow { Id = Given.NewId(request.Id), Name = Given.Name(request.Name, "name", "what is written on it", 100), Kind = request.Kind ?? throw new BadInputException("kind", "Say what it is: a bladeSet, a micrometer or a dial.") };
        Onto(row, request, null, day.Today);
        if (row.Kind == InstrumentKind.BladeSet && row.Blades.Count == 0) throw new BadInputException("blades", "Name the blades of the set, such as 0.10, 0.15, 0.20.");
        var (kept, made) = await gate.RunAsync(async data =>
        {
            if (await data.Instruments.FirstOrDefaultAsync(i => i.Id == row.Id) is { } stands)
                return (stands.NameKey, stands.Kind) == (NameKeys.Of(row.Name), row.Kind) ? (stands, false) : throw new ConflictException("differs", "id", $"That identifier is {stands.Name}.");
            await FreeName.RequireAsync<InstrumentRow>(data, row.Id, row.Name, $"There is already an instrument called {row.Name}.");
            data.Instruments.Add(row);
            await data.SaveChangesAsync();
            return (row, true);
        }, cancelled);
        var response = Response(kept, [], day.Today);
        return made ? TypedResults.Created($"/api/instruments/{kept.Id}", response) : TypedResults.Ok(response);
    }

    public static async Task<InstrumentResponse> Change(Guid id, InstrumentRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled) => await gate.RunAsync(async data =>
    {
        var row = await data.Instruments.FirstOrDefaultAsync(i => i.Id == id) ?? throw new NotFoundException("There is no such instrument.");
        var log = new ChangeLog(data, "instrument", id, request.Who, request.Why, day.Now);
        if (request.Name is not null)
        {
            var name = Given.Name(request.Name, "name", "what is written on it", 100);
            await FreeName.RequireAsync<InstrumentRow>(data, id, name, $"There is already an instrument called {name}.");
            row.Name = log.Changed("name", row.Name, name);
        }
        if (request.Kind is { } kind && kind != row.Kind) throw new BadInputException("kind", "What it is stays; withdraw it and add another.");
        Onto(row, request, log, day.Today);
        if (log.Keep()) row.Version++;
        await data.SaveChangesAsync();
        return Response(row, [.. (await Suspicion.OfAsync(data)).Where(s => s.Key.Id == id).SelectMany(s => s)], day.Today);
    }, cancelled);

    /// <summary>What was given, onto the row; an instrument being added has no history to note it in.</summary>
    private static void Onto(InstrumentRow row, InstrumentRequest request, ChangeLog? log, DateOnly today)
    {
        var unit = WrittenFigure.Unit(request.Unit ?? row.Unit);
        if (request.Blades is { } blades)
        {
            if (blades.Count is 0 or > 100) throw new BadInputException("blades", "Name the blades of the set, up to 100, such as 0.10, 0.15, 0.20.");
            foreach (var blade in blades) Length.Parse(blade, unit, "blades");
            log?.Changed("blades", string.Join(' ', row.Blades), string.Join(' ', blades));
            (row.Blades, row.Unit) = ([.. blades], WrittenFigure.Name(unit));
        }
        if (request.CheckEveryMonths is { } months)
        {
            if (months is < 1 or > 120) throw new BadInputException("checkEveryMonths", "Give the months from one check to the next, 1 to 120.");
            log?.Changed("checkEveryMonths", row.CheckEveryMonths, months);
            row.CheckEveryMonths = months;
        }
        if (Past(request.Checked, "checked", "The day of the check", today) is { } found)
        {
            log?.Changed("lastCheck", row.LastCheck, found);
            row.LastCheck = found;
        }
        if (request.Withdraw is not { } withdraw) return;
        var withdrawn = withdraw ? row.Withdrawn ?? today : (DateOnly?)null;
        log?.Changed("withdrawn", row.Withdrawn, withdrawn);
        row.Withdrawn = withdrawn;
        row.Why = withdraw ? Given.Text(request.Why, "why", "why it is withdrawn") : null;
        row.SuspectFrom = withdraw ? Past(request.SuspectFrom, "suspectFrom", "The day since when it may have been wrong", today) : null;
    }

    private static DateOnly? Past(DateOnly? day, string field, string what, DateOnly today) =>
        day is null || (day <= today && day.Value.Year >= 1950) ? day : throw new BadInputException(field, $"{what} must be today or before.");

    private static InstrumentResponse Response(InstrumentRow row, IReadOnlyList<SuspectVisit> suspect, DateOnly today) => new()
    {
        Id = row.Id,
        Name = row.Name,
        Kind = row.Kind,
        Unit = row.Unit,
        Blades = row.Blades,
        LastCheck = row.LastCheck,
        CheckEveryMonths = row.CheckEveryMonths,
        NextCheck = row.Check.NextCheck,
        CheckDue = row.Check.IsDue(today),
        Withdrawn = row.Withdrawn,
        Why = row.Why,
        Suspect = suspect,
    };
}
