using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server.Book;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Engines;

/// <summary>A figure of this engine over its type's: who says so, why, and from where.</summary>
public sealed record OwnFigureRequest(Guid? Id, SpecLineDto? Line, SpecCondition Condition, string? Who, string? Why, string? Source, DateOnly? Date);

/// <summary>Back to the type's figure, with who and why.</summary>
public sealed record OwnFigureWithdrawal(string? Who, string? Why);

public sealed record OwnFigureResponse(Guid Id, LashKind Kind, SpecCondition Condition, string Written, string Who, string Why, string Source, DateOnly Date, DateTime At);

/// <summary>Figures an engine carries of its own: a plate that differs, a camshaft of another maker. The type's stay beside them.</summary>
internal static class OwnFigureEndpoints
{
    public static void MapOwnFigures(this IEndpointRouteBuilder api)
    {
        var figures = api.MapGroup("/engines/{id:guid}/own-figures").WithTags("Engines").Refuses(400, 404);
        figures.MapGet("/", List).WithName("list-own-figures");
        figures.MapPost("/", Add).WithName("add-own-figure").Refuses(409, 503);
        figures.MapPost("/{figureId:guid}/withdraw", Withdraw).WithName("withdraw-own-figure").Refuses(503);
    }

    /// <summary>Those that stand.</summary>
    public static async Task<IReadOnlyList<OwnFigureResponse>> List(Guid id, ZeroDriftContext data, CancellationToken cancelled) =>
        [.. (await data.EngineFigures.AsNoTracking().Where(f => f.EngineId == id && f.WithdrawnAt == null).ToListAsync(cancelled)).OrderBy(f => f.At).Select(Response)];

    public static async Task<IReadOnlyList<OwnFigureResponse>> Add(Guid id, OwnFigureRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled)
    {
        var figureId = Given.NewId(request.Id);
        return await gate.RunAsync(async data =>
        {
            var engine = await data.Engines.FirstOrDefaultAsync(e => e.Id == id) ?? throw new NotFoundException("There is no such engine.");
            var type = await data.WholeTypes.FirstAsync(t => t.Id == engine.EngineTypeId);
            var line = TypeFromRequest.Line(request.Line ?? throw new BadInputException("line", "Give the figure, as its source writes it."), "line");
            var point = type.Points.Find(p => p.Kind == line.Kind) ?? throw new BadInputException("line.kind", $"{type.Code} has no {line.Kind.Word()} point.");
            TypeFromRequest.Fits(point.Adjuster.With(type.Figures(line.Kind)), line.ToDemand(await data.SettingsAsync()));
            var row = new EngineFigureRow
            {
                Id = figureId,
                EngineId = id,
                Line = line,
                Condition = request.Condition,
                Who = Given.Name(request.Who, "who", "who says so", 80),
                Why = Given.Text(request.Why, "why", "why this engine differs from its type"),
                Source = Given.Text(request.Source, "source", "where the figure comes from: its plate, the maker of its camshaft"),
                Date = request.Date ?? day.Today,
                At = day.Now,
            };
            if (await data.EngineFigures.AsNoTracking().FirstOrDefaultAsync(f => f.Id == figureId) is { } stands)
            {
                if (stands.EngineId != id || stands.Why != row.Why || stands.Line.Written() != line.Written()) throw new ConflictException("differs", "id", "That identifier is another figure.");
                return await List(id, data, CancellationToken.None);
            }
            data.EngineFigures.Add(row);
            await data.SaveChangesAsync();
            return await List(id, data, CancellationToken.None);
        }, cancelled);
    }

    public static async Task<IReadOnlyList<OwnFigureResponse>> Withdraw(Guid id, Guid figureId, OwnFigureWithdrawal request, WriteGate gate, FleetDay day, CancellationToken cancelled)
    {
        return await gate.RunAsync(async data =>
        {
            var row = await data.EngineFigures.FirstOrDefaultAsync(f => f.Id == figureId && f.EngineId == id) ?? throw new NotFoundException("This engine has no such figure of its own.");
            var log = new ChangeLog(data, "engine", id, Given.Name(request.Who, "who", "who takes it back", 80), Given.Text(request.Why, "why", "why the type's figure holds again"), day.Now);
            row.WithdrawnAt ??= day.Now;
            log.Changed("ownFigure", (string?)row.Line.Written(), null);
            log.Keep();
            await data.SaveChangesAsync();
            return await List(id, data, CancellationToken.None);
        }, cancelled);
    }

    internal static OwnFigureResponse Response(EngineFigureRow row) => new(row.Id, row.Line.Kind, row.Condition, row.Line.Written(), row.Who, row.Why, row.Source, row.Date, row.At);
}
