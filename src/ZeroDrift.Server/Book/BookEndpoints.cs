using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Server.Calculators;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.Problems;

namespace ZeroDrift.Server.Book;

/// <summary>The book: engine types with their specs and layouts.</summary>
internal static class BookEndpoints
{
    public static void MapBook(this IEndpointRouteBuilder api)
    {
        var book = api.MapGroup("/engine-types").WithTags("Book").ProducesProblem(400);
        book.MapGet("/", List);
        book.MapPost("/preview", Preview);
        book.MapPost("/", Add).ProducesProblem(409);
        book.MapGet("/{id:guid}", Get).ProducesProblem(404);
        book.MapPost("/{id:guid}/revisions", AddRevision).ProducesProblem(404).ProducesProblem(409);
    }

    public static async Task<IReadOnlyList<EngineTypeSummary>> List(ZeroDriftContext context, OutlookCache outlooks)
    {
        var types = await context.EngineTypes.AsNoTracking().Include(t => t.Points).Include(t => t.Revisions).AsSplitQuery().OrderBy(t => t.Code).ToListAsync();
        var engines = await context.Engines.GroupBy(e => e.EngineTypeId).Select(g => new { g.Key, Count = g.Count() }).ToDictionaryAsync(g => g.Key, g => g.Count);
        return [.. types.Select(t => new EngineTypeSummary(t.Id, t.Code, t.Name, t.FiringOrder, t.FiringOrder.Split('-').Length, t.Points.Count, t.Adjuster, t.InForce(outlooks.Today)?.Revision, engines.GetValueOrDefault(t.Id)))];
    }

    public static async Task<EngineTypeResponse> Get(Guid id, ZeroDriftContext context, OutlookCache outlooks) =>
        BookResponses.Of(await LoadAsync(context, id), await FleetAsync(context), outlooks.Today);

    public static async Task<TypePreviewResponse> Preview(EngineTypeRequest request, ZeroDriftContext context, OutlookCache outlooks)
    {
        var fleet = await FleetAsync(context);
        var row = TypeFromRequest.Build(request, fleet, outlooks.Today, preview: true);
        var core = row.ToCore(row.Revisions.FirstOrDefault(), fleet);
        return new TypePreviewResponse(BookResponses.Points(row), TurningPlanResponse.Of(core.Turning(), core.Plan()), BookResponses.Figures(row.Revisions.FirstOrDefault()?.Lines ?? [], fleet));
    }

    public static async Task<Created<EngineTypeResponse>> Add(EngineTypeRequest request, ZeroDriftContext context, OutlookCache outlooks)
    {
        var fleet = await FleetAsync(context);
        var row = TypeFromRequest.Build(request, fleet, outlooks.Today, preview: false);
        if (await context.EngineTypes.AnyAsync(t => t.Id == row.Id))
            return TypedResults.Created($"/api/engine-types/{row.Id}", BookResponses.Of(await LoadAsync(context, row.Id), fleet, outlooks.Today));
        if (await context.EngineTypes.AnyAsync(t => t.Code == row.Code))
            throw new ConflictException("code", $"The book already has a type {row.Code}; choose another code, or add a revision to that type.");
        context.EngineTypes.Add(row);
        await context.SaveChangesAsync();
        return TypedResults.Created($"/api/engine-types/{row.Id}", BookResponses.Of(row, fleet, outlooks.Today));
    }

    public static async Task<EngineTypeResponse> AddRevision(Guid id, SpecRevisionRequest request, ZeroDriftContext context, OutlookCache outlooks)
    {
        var fleet = await FleetAsync(context);
        var type = await LoadAsync(context, id);
        var revision = TypeFromRequest.Revision(request, type, fleet, outlooks.Today);
        if (type.Revisions.Exists(r => string.Equals(r.Revision, revision.Revision, StringComparison.OrdinalIgnoreCase)))
            throw new ConflictException("spec.revision", $"Revision {revision.Revision} is already in the book; old figures stay as they are. Give the new one its own name.");
        context.SpecRevisions.Add(revision);
        await context.SaveChangesAsync();
        outlooks.Forget(id);
        return BookResponses.Of(await LoadAsync(context, id), fleet, outlooks.Today);
    }

    internal static async Task<FleetRow> FleetAsync(ZeroDriftContext context) => await context.Fleet.AsNoTracking().SingleOrDefaultAsync() ?? new FleetRow();

    internal static async Task<EngineTypeRow> LoadAsync(ZeroDriftContext context, Guid id) =>
        await context.EngineTypes.AsNoTracking().Include(t => t.Points).Include(t => t.Revisions).AsSplitQuery().FirstOrDefaultAsync(t => t.Id == id)
        ?? throw new NotFoundException("The book has no such engine type.");
}
