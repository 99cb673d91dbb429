using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Outlook;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.Shims.Jobs;

namespace ZeroDrift.Server.Plan;

/// <summary>Jobs: made from what is due, by hand, changed, dropped with why.</summary>
internal static class JobEndpoints
{
    /// <summary>From measuring to fitting: what is between is worked out and bought (common practice, no source).</summary>
    private const int ShimDays = 7;

    public static void MapJobs(this IEndpointRouteBuilder api)
    {
        var jobs = api.MapGroup("/jobs").WithTags("Jobs");
        jobs.MapGet("/", List).WithName("list-jobs").Refuses(400);
        jobs.MapPost("/", Add).WithName("add-job").Refuses(400, 409, 503);
        jobs.MapPut("/{id:guid}", Change).WithName("change-job").Refuses(400, 404, 409, 503);
        jobs.MapPost("/from-due", FromDue).WithName("jobs-from-due").Refuses(400, 503);
    }

    public static async Task<IReadOnlyList<JobResponse>> List(ZeroDriftContext data, Yard yard, FleetDay day, CancellationToken cancelled, string state = "open") =>
        await (await JobsView.OfAsync(data, yard, day, cancelled)).AllAsync(Enum.TryParse<JobState>(state, true, out var asked) && !char.IsDigit(state[0]) ? asked : throw new BadInputException("state", "Ask for open, done or dropped."));

    public static async Task<Results<Created<JobResponse>, Ok<JobResponse>>> Add(JobOrderRequest request, WriteGate gate, Yard yard, FleetDay day, CancellationToken cancelled)
    {
        var id = Given.NewId(request.Id);
        var (job, made) = await gate.RunAsync(async data =>
        {
            var engineId = request.EngineId ?? throw new BadInputException("engineId", "Say which engine the job is on.");
            if (await data.Jobs.AsNoTracking().FirstOrDefaultAsync(j => j.Id == id) is { } stands)
                return stands.EngineId == engineId ? (await OneAsync(data, id, yard, day), false) : throw new ConflictException("differs", "id", $"That identifier is another job, {stands.Title}.");
            if (!await data.Engines.AnyAsync(e => e.Id == engineId && e.ArchivedAt == null)) throw new BadInputException("engineId", "There is no such engine in the yard.");
            var row = new JobRow { Id = id, EngineId = engineId, Title = Given.Text(request.Title ?? "Overhead", "title", "what the job is", 80), MadeAt = day.Now };
            await OntoAsync(data, row, request);
            data.Jobs.Add(row);
            await data.SaveChangesAsync();
            return (await OneAsync(data, id, yard, day), true);
        }, cancelled);
        return made ? TypedResults.Created($"/api/jobs/{id}", job) : TypedResults.Ok(job);
    }

    public static async Task<JobResponse> Change(Guid id, JobOrderRequest request, WriteGate gate, Yard yard, FleetDay day, CancellationToken cancelled) => await gate.RunAsync(async data =>
    {
        var row = await data.Jobs.FirstOrDefaultAsync(j => j.Id == id) ?? throw new NotFoundException("There is no such job.");
        if (row.State == JobState.Done) throw new ConflictException("alreadySigned", "state", "This job is done; its visit is signed.");
        if (request.Title is not null) row.Title = Given.Text(request.Title, "title", "what the job is", 80);
        await OntoAsync(data, row, request);
        if (request.State is { } state)
        {
            if (state == JobState.Done && !row.Opens) throw new BadInputException("state", "A job is done when its visit is signed; open the engine from it.");
            (row.State, row.Why) = (state, state == JobState.Dropped ? Given.Text(request.Why, "why", "why it is not done", 500) : null);
            if (state == JobState.Dropped) await data.Placements.Where(p => p.JobId == id).ExecuteDeleteAsync();
        }
        row.Version++;
        await data.SaveChangesAsync();
        return await OneAsync(data, id, yard, day);
    }, cancelled);

    /// <summary>A job for every engine that falls due until a day and has none open; what was made before stays.</summary>
    public static async Task<IReadOnlyList<JobResponse>> FromDue(JobsFromDueRequest request, WriteGate gate, Yard yard, FleetDay day, CancellationToken cancelled) => await gate.RunAsync(async data =>
    {
        var until = request.Until ?? DueMarks.Until(day.Today);
        // Other work on an engine is no overhead: one is made beside it.
        var busy = (await data.Jobs.Where(j => j.State == JobState.Open && !j.Opens).Select(j => j.EngineId).ToListAsync()).ToHashSet();
        var shims = (await data.Engines.Where(e => e.EngineType!.Points.Any(p => p.Adjuster == AdjusterKind.ShimOnTop || p.Adjuster == AdjusterKind.ShimUnderBucket || p.Adjuster == AdjusterKind.Puck)).Select(e => e.Id).ToListAsync()).ToHashSet();
        foreach (var row in await yard.AllAsync(data))
        {
            if (busy.Contains(row.EngineId) || row.OpenOverheadId is not null || row.Decides is not { Rule: not DueRule.Nothing, Date: { } due } || due > until) continue;
            JobRow Job(string title) => new() { Id = Guid.CreateVersion7(), EngineId = row.EngineId, Title = title, Rule = row.Decides.Rule, DueDate = due, MadeAt = day.Now };
            if (shims.Contains(row.EngineId))
            {
                // Measured, thought about and bought for, then opened again: two visits.
                var measure = Job("Measure for shims");
                var fit = Job(FitJobs.Title);
                (fit.AfterJobId, fit.AfterDays, fit.DueDate) = (measure.Id, ShimDays, due.AddDays(ShimDays));
                data.Jobs.AddRange(measure, fit);
                continue;
            }
            data.Jobs.Add(Job(row.Decides.Rule == DueRule.Finding ? $"Set {string.Join(", ", row.Findings.Take(3).Select(f => f.Point))}" : "Overhead"));
        }
        await data.SaveChangesAsync();
        return await List(data, yard, day, CancellationToken.None);
    }, cancelled);

    private static DateOnly? Day(DateOnly? day, string field) =>
        day is { Year: < 1950 or > 2200 } ? throw new BadInputException(field, "Give a day from 1950 to 2200.") : day;

    private static JobPartRow Part(JobPart part, int i)
    {
        if (part.LeadDays is < 0 or > 730) throw new BadInputException($"parts[{i}].leadDays", "Give the days until it is here, 0 to 730.");
        return new JobPartRow { Name = Given.Text(part.Name, $"parts[{i}].name", "the part", 100), LeadDays = part.LeadDays ?? 0, OrderedOn = Day(part.OrderedOn, $"parts[{i}].orderedOn"), Here = part.Here ?? false };
    }

    private static async Task<JobResponse> OneAsync(ZeroDriftContext data, Guid id, Yard yard, FleetDay day)
    {
        var row = await data.Jobs.AsNoTracking().Include(j => j.Engine!.EngineType!.Points).Include(j => j.Engine!.Machine!.Site).FirstAsync(j => j.Id == id);
        return await (await JobsView.OfAsync(data, yard, day)).OneAsync(row, await data.Placements.Where(p => p.JobId == id).Select(p => (DateOnly?)p.Date).FirstOrDefaultAsync());
    }

    private static async Task OntoAsync(ZeroDriftContext data, JobRow row, JobOrderRequest request)
    {
        row.DueDate = Day(request.DueDate, "dueDate") ?? row.DueDate;
        row.EarliestDate = Day(request.EarliestDate, "earliestDate") ?? row.EarliestDate;
        if (request.Hours is { } hours) row.Hours = Given.Above(hours, 0, 1000, "hours", "The hours of work", "h");
        if (request.Crew is { } crew) row.Crew = crew is 1 or 2 ? crew : throw new BadInputException("crew", "A job takes one or two.");
        if (request.Tools is { } tools) row.Tools = [.. tools.Select((t, i) => Given.Text(t, $"tools[{i}]", "the tool", 80)).Distinct()];
        if (request.Parts is { Count: 0 }) row.Parts = [];
        else if (request.Parts is { } parts)
            row.Parts = [.. Given.List(parts, "parts", "the parts", 100).Select(Part)];
        row.Opens = request.Opens ?? row.Opens;
        if (request.Remark is not null) row.Remark = Given.OptionalText(request.Remark, "remark", "the remark");
        if (request.AfterJobId is not { } after) return;
        for (Guid? at = after; at is { } id; at = await data.Jobs.Where(j => j.Id == id).Select(j => j.AfterJobId).FirstOrDefaultAsync())
            if (id == row.Id) throw new BadInputException("afterJobId", "The jobs would wait for each other in a circle.");
        if (!await data.Jobs.AnyAsync(j => j.Id == after)) throw new BadInputException("afterJobId", "There is no such job to wait for.");
        (row.AfterJobId, row.AfterDays) = (after, request.AfterDays is null or (>= 0 and <= 366) ? request.AfterDays ?? 0 : throw new BadInputException("afterDays", "Give the days between, 0 to 366."));
    }
}
