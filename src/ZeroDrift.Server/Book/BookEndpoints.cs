using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Calls;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Manuals;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Turning;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Book;

/// <summary>The book: engine types with their specs and layouts.</summary>
internal static class BookEndpoints
{
    public static void MapBook(this IEndpointRouteBuilder api)
    {
        var book = api.MapGroup("/engine-types").WithTags("Book").Refuses(400);
        book.MapGet("/", List).WithName("list-engine-types");
        book.MapPost("/preview", Preview).WithName("preview-engine-type");
        book.MapPost("/excerpt", Excerpt).WithName("read-manual-excerpt");
        book.MapGet("/usual-layouts", UsualLayouts).WithName("usual-layouts");
        book.MapPost("/", Add).WithName("add-engine-type").Refuses(409, 503);
        book.MapPost("/sheet/preview", TypeSheet.PreviewAsync).WithName("preview-type-sheet").Accepts<string>("application/octet-stream", "text/csv", Sheets.Spreadsheet.MediaType).Produces<TypeSheetReport>().Refuses(415);
        book.MapPost("/sheet/import", TypeSheet.ImportAsync).WithName("import-type-sheet").Accepts<string>("application/octet-stream", "text/csv", Sheets.Spreadsheet.MediaType).Produces<TypeSheetReport>().Refuses(415, 503);
        book.MapGet("/{id:guid}", Get).WithName("get-engine-type").Refuses(404);
        book.MapPut("/{id:guid}", Change).WithName("change-engine-type").Refuses(404, 409, 503);
        book.MapPost("/{id:guid}/revisions", AddRevision).WithName("add-revision").Refuses(404, 409, 503);
    }

    public static async Task<IReadOnlyList<EngineTypeSummary>> List(ZeroDriftContext data, FleetDay day, CancellationToken cancelled)
    {
        var types = await data.WholeTypes.OrderBy(t => t.Code).ToListAsync(cancelled);
        var engines = await data.Engines.Where(e => e.ArchivedAt == null).GroupBy(e => e.EngineTypeId).Select(g => new { g.Key, Count = g.Count() }).ToDictionaryAsync(g => g.Key, g => g.Count, cancelled);
        return [.. types.Select(t => new EngineTypeSummary(t.Id, t.Code, t.Name, t.FiringOrder, t.FiringOrder.Split('-').Length, t.Points.Count, t.Facts.Adjuster, t.InForce(day.Today)?.Revision, engines.GetValueOrDefault(t.Id)))];
    }

    public static async Task<EngineTypeResponse> Get(Guid id, ZeroDriftContext data, FleetDay day, CancellationToken cancelled) =>
        BookResponses.Of(await LoadAsync(data, id, cancelled), await data.SettingsAsync(), day.Today);

    public static async Task<TypePreviewResponse> Preview(EngineTypeRequest request, ZeroDriftContext data, FleetDay day, CancellationToken cancelled)
    {
        var fleet = await data.SettingsAsync();
        var row = TypeFromRequest.Build(request, fleet, day.Today, preview: true);
        var core = row.ToCore();
        return new TypePreviewResponse(BookResponses.Points(row), TurningPlanResponse.Of(core.Turning(), core.Plan()), BookResponses.Figures(row.Revisions.FirstOrDefault()?.Lines ?? [], fleet));
    }

    /// <summary>What a pasted piece of a manual says, for the fields of a new type.</summary>
    public static ManualExcerptResponse Excerpt(ManualExcerptRequest request)
    {
        var read = ManualExcerpt.Read(request.Text);
        return new ManualExcerptResponse(
            read.FiringOrder is { } order ? string.Join('-', order) : null,
            read.Condition,
            read.Unit is { } unit ? WrittenFigure.Name(unit) : null,
            [.. read.Clearances.Select(c => new ExcerptClearanceResponse(c.Kind, c.Clearance.ToString()))],
            read.Runs?.ToString(),
            read.Left);
    }

    /// <summary>How the valves of such an engine often stand along a head, to choose from.</summary>
    public static IReadOnlyList<string> UsualLayouts(string? firingOrder, string? banks, bool? twoStroke) =>
        HeadLayout.Usual(banks, FiringOrder.Parse(firingOrder, twoStroke == true ? EngineCycle.TwoStroke : EngineCycle.FourStroke));

    public static async Task<Results<Created<EngineTypeResponse>, Ok<EngineTypeResponse>>> Add(EngineTypeRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled)
    {
        var (response, made) = await gate.RunAsync(async data =>
        {
            var fleet = await data.SettingsAsync();
            var row = TypeFromRequest.Build(request, fleet, day.Today, preview: false);
            if (await data.EngineTypes.AnyAsync(t => t.Id == row.Id))
            {
                var stands = await LoadAsync(data, row.Id);
                return IsSame(stands, row) ? (BookResponses.Of(stands, fleet, day.Today), false) : throw new ConflictException("differs", "id", $"That identifier is the type {stands.Code}.");
            }
            var key = NameKeys.Of(row.Code);
            if (await data.EngineTypes.AnyAsync(t => t.NameKey == key))
                throw new ConflictException("nameTaken", "code", $"The book already has a type {row.Code}; choose another code, or add a revision to that type.");
            data.EngineTypes.Add(row);
            await data.SaveChangesAsync();
            return (BookResponses.Of(row, fleet, day.Today), true);
        }, cancelled);
        return made ? TypedResults.Created($"/api/engine-types/{response.Id}", response) : TypedResults.Ok(response);
    }

    public static async Task<EngineTypeResponse> Change(Guid id, EngineTypeChangeRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled)
    {
        return await gate.RunAsync(async data =>
        {
            var type = await data.EngineTypes.Include(t => t.Points).Include(t => t.Revisions).AsSplitQuery().FirstOrDefaultAsync(t => t.Id == id) ?? throw new NotFoundException("The book has no such engine type.");
            if (request.Version is { } version && version != type.Version) throw new ConflictException("changedMeanwhile", "version", $"{type.Code} was changed meanwhile; look at it again.");
            var log = new ChangeLog(data, "type", id, request.Who, request.Why, day.Now);
            if (request.Name is not null) type.Name = log.Changed("name", type.Name, Given.Name(request.Name, "name", "a name that says what the engine is", 120));
            if (request.Method is { } method) type.Facts.Method = log.Changed("method", type.Facts.Method, method);
            request.Onto(type, log);
            if (request.Archived is { } archived)
            {
                if (archived && await data.Engines.AnyAsync(e => e.EngineTypeId == id && e.ArchivedAt == null)) throw new ConflictException("inUse", "archived", $"Engines of type {type.Code} are still in use; archive them first.");
                type.ArchivedAt = log.Archived(type.ArchivedAt, archived);
            }
            type.ToCore().Plan();
            if (log.Keep()) type.Version++;
            await data.SaveChangesAsync();
            return BookResponses.Of(type, await data.SettingsAsync(), day.Today);
        }, cancelled);
    }

    public static async Task<EngineTypeResponse> AddRevision(Guid id, SpecRevisionRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled)
    {
        return await gate.RunAsync(async data =>
        {
            var fleet = await data.SettingsAsync();
            var type = await LoadAsync(data, id);
            var revision = TypeFromRequest.Revision(request, type, fleet, day.Today);
            var key = NameKeys.Of(revision.Revision);
            if (type.Revisions.Exists(r => r.RevisionKey == key && r.Condition == revision.Condition))
                throw new ConflictException("nameTaken", "spec.revision", $"Revision {revision.Revision} is already in the book; old figures stay as they are. Give the new one its own name.");
            data.SpecRevisions.Add(revision);
            await data.SaveChangesAsync();
            return BookResponses.Of(await LoadAsync(data, id), fleet, day.Today);
        }, cancelled);
    }

    private static bool IsSame(EngineTypeRow a, EngineTypeRow b) => a.NameKey == NameKeys.Of(b.Code) && a.Facts.Cycle == b.Facts.Cycle && a.FiringOrder == b.FiringOrder && a.Banks == b.Banks && a.Layout == b.Layout && a.Facts.Adjuster == b.Facts.Adjuster;

    private static async Task<EngineTypeRow> LoadAsync(ZeroDriftContext data, Guid id, CancellationToken cancelled = default) =>
        await data.WholeTypes.FirstOrDefaultAsync(t => t.Id == id, cancelled)
        ?? throw new NotFoundException("The book has no such engine type.");
}
