using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Shims.Jobs;

/// <summary>Shim jobs: decided, ordered, laid out, fitted at the second visit, closed.</summary>
internal static class ShimJobEndpoints
{
    public static void MapShimJobs(this IEndpointRouteBuilder api)
    {
        var jobs = api.MapGroup("/shim-jobs").WithTags("Shims");
        jobs.MapGet("/", List).WithName("list-shim-jobs").Refuses(400);
        jobs.MapPost("/", Decide).WithName("decide-shim-job").Refuses(400, 404, 409, 503);
        jobs.MapGet("/{id:guid}", Get).WithName("get-shim-job").Refuses(404);
        jobs.MapPost("/{id:guid}/events", Happen).WithName("add-shim-job-event").Refuses(400, 404, 409, 503);
        jobs.MapGet("/{id:guid}/order.csv", Csv).WithName("export-shim-order").Produces<string>(200, "text/csv").Refuses(404);
        jobs.MapGet("/{id:guid}/order.eml", Mail).WithName("mail-shim-order").Produces<string>(200, "message/rfc822").Refuses(404);
    }

    /// <summary>The newest first; of one engine, or only those under way.</summary>
    public static async Task<IReadOnlyList<ShimJobResponse>> List(ZeroDriftContext data, Guid? engineId, bool? open, CancellationToken cancelled)
    {
        var asked = data.ShimJobs.AsNoTracking().Where(j => engineId == null || j.Places.Any(p => data.Visits.Any(v => v.Id == p.VisitId && v.EngineId == engineId)));
        // What is closed is told apart before any visit is read: some engine of an open job has had no clock started since it was measured.
        if (open == true)
            asked = asked.Where(j => j.Events.All(e => e.Kind != ShimJobEventKind.Dropped)
                && j.Places.Any(p => data.Visits.Any(m => m.Id == p.VisitId && !data.Visits.Any(v => v.EngineId == m.EngineId && v.Key >= m.Key && v.State == Core.Visits.VisitState.Signed && v.StartsClock))));
        var ids = await asked.OrderByDescending(j => j.MadeAt).Select(j => j.Id).ToListAsync(cancelled);
        var jobs = new List<ShimJobResponse>();
        foreach (var id in ids)
        {
            var job = await Get(id, data, cancelled);
            if (open != true || job.State is not (Core.Shims.ShimJobState.Closed or Core.Shims.ShimJobState.Dropped)) jobs.Add(job);
        }
        return jobs;
    }

    public static async Task<ShimJobResponse> Get(Guid id, ZeroDriftContext data, CancellationToken cancelled) => await ShimJobView.OfAsync(data, await Find(data.ShimJobs.AsNoTracking(), id), cancelled);

    /// <summary>What was seen at the bench stands from now on; what comes out of a drawer is laid out at once.</summary>
    public static async Task<Results<Created<ShimJobResponse>, Ok<ShimJobResponse>>> Decide(ShimJobRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled)
    {
        var who = Given.Name(request.Who, "who", "who decides", 80);
        var id = Given.NewId(request.Id);
        var (job, made) = await gate.RunAsync(async data =>
        {
            if (await data.ShimJobs.AnyAsync(j => j.Id == id)) return (await Get(id, data, CancellationToken.None), false);
            await ShimDeciding.DecideAsync(data, request, id, who, day);
            return (await Get(id, data, CancellationToken.None), true);
        }, cancelled);
        return made ? TypedResults.Created($"/api/shim-jobs/{id}", job) : TypedResults.Ok(job);
    }

    public static async Task<ShimJobResponse> Happen(Guid id, ShimJobEventRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled)
    {
        var kind = request.Kind ?? throw new BadInputException("kind", "Say what happens: runs, stands, partsIn or dropped.");
        if (kind == ShimJobEventKind.Ordered) throw new BadInputException("kind", "A job is ordered when it is decided; say runs, stands, partsIn or dropped.");
        var why = Given.OptionalText(request.Why, "why", "why");
        if (why is null && kind is ShimJobEventKind.Runs or ShimJobEventKind.Dropped) throw new BadInputException("why", kind == ShimJobEventKind.Runs ? "Say why it may run meanwhile." : "Say why it is given up.");
        var happened = new ShimJobEventRow { ActId = Given.NewId(request.Id), JobId = id, Kind = kind, VisitId = request.VisitId, At = day.Now, Who = Given.Name(request.Who, "who", "who says so", 80), Why = why };
        return await gate.RunAsync(async data =>
        {
            if (await data.ShimJobEvents.AsNoTracking().FirstOrDefaultAsync(e => e.ActId == happened.ActId) is { } stands)
                return stands.JobId == id && stands.Kind == kind ? await Get(id, data, CancellationToken.None) : throw new ConflictException("differs", "id", "That identifier belongs to something else that happened.");
            await ShimHappening.KeepAsync(data, await Find(data.ShimJobs, id), happened);
            return await Get(id, data, CancellationToken.None);
        }, cancelled);
    }

    public static async Task Csv(Guid id, HttpContext context, ZeroDriftContext data, CancellationToken cancelled)
    {
        var job = await Get(id, data, cancelled);
        context.Response.ContentType = "text/csv; charset=utf-8";
        await using var text = new StreamWriter(context.Response.Body, new System.Text.UTF8Encoding(true));
        await OrderFile.WriteAsync(job, text);
    }

    /// <summary>A draft that any mail program opens and sends.</summary>
    public static async Task<FileContentHttpResult> Mail(Guid id, ZeroDriftContext data, CancellationToken cancelled)
    {
        var fleet = await data.SettingsAsync();
        return TypedResults.File(await OrderFile.MailAsync(await Get(id, data, cancelled), fleet.Name), "message/rfc822", "shim order.eml");
    }

    private static async Task<ShimJobRow> Find(IQueryable<ShimJobRow> jobs, Guid id) =>
        await jobs.Include(j => j.Places.OrderBy(p => p.Order)).Include(j => j.Events.OrderBy(e => e.Key)).AsSplitQuery().FirstOrDefaultAsync(j => j.Id == id) ?? throw new NotFoundException("There is no such shim job.");
}
