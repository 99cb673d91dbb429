using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Calls;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core.Turning;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Outlooks;
using ZeroDrift.Data.Storage;
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
        book.MapPost("/", Add).WithName("add-engine-type").Refuses(409, 503);
        book.MapPost("/sheet/preview", TypeSheet.PreviewAsync).WithName("preview-type-sheet").Accepts<string>("application/octet-stream", "text/csv", Sheets.Spreadsheet.MediaType).Produces<TypeSheetReport>().Refuses(415);
        book.MapPost("/sheet/import", TypeSheet.ImportAsync).WithName("import-type-sheet").Accepts<string>("application/octet-stream", "text/csv", Sheets.Spreadsheet.MediaType).Produces<TypeSheetReport>().Refuses(415, 503);
        book.MapGet("/{id:guid}", Get).WithName("get-engine-type").Refuses(404);
        book.MapPut("/{id:guid}", Change).WithName("change-engine-type").Refuses(404, 409, 503);
        book.MapPost("/{id:guid}/revisions", AddRevision).WithName("add-revision").Refuses(404, 409, 503);
    }

    public static async Task<IReadOnlyList<EngineTypeSummary>> List(ZeroDriftContext data, FleetDay day)
    {
        var types = await data.WholeTypes.OrderBy(t => t.Code).ToListAsync();
        var engines = await data.Engines.Where(e => e.ArchivedAt == null).GroupBy(e => e.EngineTypeId).Select(g => new { g.Key, Count = g.Count() }).ToDictionaryAsync(g => g.Key, g => g.Count);
        return [.. types.Select(t => new EngineTypeSummary(t.Id, t.Code, t.Name, t.FiringOrder, t.FiringOrder.Split('-').Length, t.Points.Count, t.Adjuster, t.InForce(day.Today)?.Revision, engines.GetValueOrDefault(t.Id)))];
    }

    public static async Task<EngineTypeResponse> Get(Guid id, ZeroDriftContext data, FleetDay day) =>
        BookResponses.Of(await LoadAsync(data, id), await data.SettingsAsync(), day.Today);

    public static async Task<TypePreviewResponse> Preview(EngineTypeRequest request, ZeroDriftContext data, FleetDay day)
    {
        var fleet = await data.SettingsAsync();
        var row = TypeFromRequest.Build(request, fleet, day.Today, preview: true);
        var core = row.ToCore();
        return new TypePreviewResponse(BookResponses.Points(row), TurningPlanResponse.Of(core.Turning(), core.Plan()), BookResponses.Figures(row.Revisions.FirstOrDefault()?.Lines ?? [], fleet));
    }

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

    public static async Task<EngineTypeResponse> Change(Guid id, EngineTypeChangeRequest request, WriteGate gate, FleetDay day, Refits refits, CancellationToken cancelled)
    {
        var later = false;
        var response = await gate.RunAsync(async data =>
        {
            var type = await data.EngineTypes.Include(t => t.Points).Include(t => t.Revisions).AsSplitQuery().FirstOrDefaultAsync(t => t.Id == id) ?? throw new NotFoundException("The book has no such engine type.");
            if (request.Version is { } version && version != type.Version) throw new ConflictException("changedMeanwhile", "version", $"{type.Code} was changed meanwhile; look at it again.");
            var log = new ChangeLog(data, "type", id, request.Who, request.Why, day.Now);
            if (request.Name is not null) type.Name = log.Changed("name", type.Name, Given.Name(request.Name, "name", "a name that says what the engine is", 120));
            if (request.Method is { } method) type.Method = log.Changed("method", type.Method, method);
            if (request.Rotation is not null) type.Rotation = log.Changed("rotation", type.Rotation, Given.Text(request.Rotation, "rotation", "the turning direction", 80));
            if (request.BarringTool is not null) type.BarringTool = log.Changed("barringTool", type.BarringTool, Given.Text(request.BarringTool, "barringTool", "how it is barred", 80));
            type.ToolTurnsPerCrankTurn = log.Changed("toolTurnsPerCrankTurn", type.ToolTurnsPerCrankTurn, Given.InRange(request.ToolTurnsPerCrankTurn, 0.01, 1000, "toolTurnsPerCrankTurn", "The barring ratio") ?? type.ToolTurnsPerCrankTurn);
            type.PitchMm = log.Changed("pitchMm", type.PitchMm, Given.InRange(request.PitchMm, 0.1, 10, "pitchMm", "The screw's pitch") ?? type.PitchMm);
            type.ClearancePerTravel = log.Changed("clearancePerTravel", type.ClearancePerTravel, Given.InRange(request.ClearancePerTravel, 0.05, 10, "clearancePerTravel", "The clearance per screw travel") ?? type.ClearancePerTravel);
            type.ClockwiseCloses = log.Changed("clockwiseCloses", type.ClockwiseCloses, request.ClockwiseCloses ?? type.ClockwiseCloses);
            type.BookHours = log.Changed("bookHours", type.BookHours, Given.InRange(request.BookHours, 1, 100_000, "bookHours", "The book's interval in hours") ?? type.BookHours);
            type.BookMonths = log.Changed("bookMonths", type.BookMonths, (int?)Given.InRange(request.BookMonths, 1, 240, "bookMonths", "The book's interval in months") ?? type.BookMonths);
            type.FirstCheckHours = log.Changed("firstCheckHours", type.FirstCheckHours, Given.InRange(request.FirstCheckHours, 1, 10_000, "firstCheckHours", "The first check after a build") ?? type.FirstCheckHours);
            type.BreakInHours = log.Changed("breakInHours", type.BreakInHours, Given.InRange(request.BreakInHours, 0, 10_000, "breakInHours", "The break-in hours") ?? type.BreakInHours);
            type.JobHours = log.Changed("jobHours", type.JobHours, Given.InRange(request.JobHours, 0.25, 200, "jobHours", "The length of the job in hours") ?? type.JobHours);
            type.ColdMaxC = log.Changed("coldMaxC", type.ColdMaxC, Given.InRange(request.ColdMaxC, 0, 100, "coldMaxC", "The warmest that counts as cold") ?? type.ColdMaxC);
            type.DialConversion = log.Changed("dialConversion", type.DialConversion, Given.InRange(request.DialConversion, 0.01, 10, "dialConversion", "The dial's conversion") ?? type.DialConversion);
            type.DialContact = log.Changed("dialContact", type.DialContact, request.DialContact is null ? type.DialContact : Given.OptionalText(request.DialContact, "dialContact", "where the dial touches", 120));
            type.Order = log.Changed("order", type.Order, request.Order ?? type.Order);
            type.Setting = log.Changed("setting", type.Setting, request.Setting ?? type.Setting);
            type.Judging = log.Changed("judging", type.Judging, request.Judging ?? type.Judging);
            type.Manner = log.Changed("manner", type.Manner, request.Manner ?? type.Manner);
            type.Measuring = log.Changed("measuring", type.Measuring, request.Measuring ?? type.Measuring);
            type.Spark = log.Changed("spark", type.Spark, request.Spark ?? type.Spark);
            type.Interference = log.Changed("interference", type.Interference, request.Interference ?? type.Interference);
            type.Pins = log.Changed("pins", type.Pins, request.Pins is null ? type.Pins : Given.OptionalText(request.Pins, "pins", "the lock pins or cam bars", 120));
            type.PulleyMm = log.Changed("pulleyMm", type.PulleyMm, Given.InRange(request.PulleyMm, 10, 5000, "pulleyMm", "The diameter of the pulley") ?? type.PulleyMm);
            type.SpeaksCamTurns = log.Changed("speaksCamTurns", type.SpeaksCamTurns, request.SpeaksCamTurns ?? type.SpeaksCamTurns);
            TypeFromRequest.Name(type, request.PointNames);
            if (request.BookStops is not null)
            {
                var stops = TypeFromRequest.Stops(request.BookStops);
                log.Changed("bookStops", Written(type.BookStops), Written(stops));
                type.BookStops = stops;
            }
            if (request.Archived is { } archived)
            {
                if (archived && await data.Engines.AnyAsync(e => e.EngineTypeId == id && e.ArchivedAt == null)) throw new ConflictException("inUse", "archived", $"Engines of type {type.Code} are still in use; archive them first.");
                type.ArchivedAt = log.Archived(type.ArchivedAt, archived);
            }
            type.ToCore().Plan();
            if (log.Keep()) type.Version++;
            await data.SaveChangesAsync();
            later = await OutlookKeeper.RefreshTypeAsync(data, id, day.Today);
            return BookResponses.Of(type, await data.SettingsAsync(), day.Today);
        }, cancelled);
        if (later) refits.Want(id);
        return response;
    }

    public static async Task<EngineTypeResponse> AddRevision(Guid id, SpecRevisionRequest request, WriteGate gate, FleetDay day, Refits refits, CancellationToken cancelled)
    {
        var later = false;
        var response = await gate.RunAsync(async data =>
        {
            var fleet = await data.SettingsAsync();
            var type = await LoadAsync(data, id);
            var revision = TypeFromRequest.Revision(request, type, fleet, day.Today);
            var key = NameKeys.Of(revision.Revision);
            if (type.Revisions.Exists(r => r.RevisionKey == key && r.Condition == revision.Condition))
                throw new ConflictException("nameTaken", "spec.revision", $"Revision {revision.Revision} is already in the book; old figures stay as they are. Give the new one its own name.");
            data.SpecRevisions.Add(revision);
            await data.SaveChangesAsync();
            later = await OutlookKeeper.RefreshTypeAsync(data, id, day.Today);
            return BookResponses.Of(await LoadAsync(data, id), fleet, day.Today);
        }, cancelled);
        if (later) refits.Want(id);
        return response;
    }

    private static string Written(IEnumerable<BookStopRow> stops) => string.Join("; ", stops.Select(s => FormattableString.Invariant($"{s.CrankDeg}: {string.Join(' ', s.Points)}")));

    private static bool IsSame(EngineTypeRow a, EngineTypeRow b) => a.NameKey == NameKeys.Of(b.Code) && a.Cycle == b.Cycle && a.FiringOrder == b.FiringOrder && a.Banks == b.Banks && a.Layout == b.Layout && a.Adjuster == b.Adjuster;

    private static async Task<EngineTypeRow> LoadAsync(ZeroDriftContext data, Guid id) =>
        await data.WholeTypes.FirstOrDefaultAsync(t => t.Id == id)
        ?? throw new NotFoundException("The book has no such engine type.");
}
