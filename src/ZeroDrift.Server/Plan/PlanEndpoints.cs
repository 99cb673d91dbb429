using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Jobs;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Writing;
using ZeroDrift.Planning;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Plan;

/// <summary>The plan: a draft that is worked on, by the planner and by hand, until it is published.</summary>
internal static class PlanEndpoints
{
    private const int UsualDays = 28;
    private const int FurthestDays = 3650;

    /// <summary>How a published plan is kept.</summary>
    private static readonly JsonSerializerOptions Kept = new(JsonSerializerDefaults.Web);

    public static void MapPlan(this IEndpointRouteBuilder api)
    {
        var plan = api.MapGroup("/plan").WithTags("Plan");
        plan.MapGet("/", Get).WithName("get-plan").Refuses(400);
        plan.MapGet("/outlook", PlanOutlook.OfAsync).WithName("get-plan-outlook");
        plan.MapPost("/run", Run).WithName("run-plan").Refuses(400);
        plan.MapGet("/run", (PlanRuns runs) => runs.State).WithName("get-plan-run");
        plan.MapPost("/run/stop", Stop).WithName("stop-plan-run");
        plan.MapGet("/releases/{jobId:guid}", Releases).WithName("get-releases").Refuses(400);
        plan.MapPost("/check", Check).WithName("check-placement").Refuses(400);
        plan.MapPut("/placements/{jobId:guid}", Place).WithName("place-job").Refuses(400, 404, 409, 503);
        plan.MapDelete("/placements/{jobId:guid}", TakeOut).WithName("take-job-out").Refuses(404, 503);
        plan.MapPost("/publish", Publish).WithName("publish-plan").Refuses(400, 409, 503);
        plan.MapGet("/versions", Versions).WithName("list-plan-versions");
        plan.MapGet("/calendar.ics", PlanCalendar.WriteAsync).WithName("get-plan-calendar").Produces<string>(200, "text/calendar").Refuses(404);
    }

    public static async Task<PlanResponse> Get(ZeroDriftContext data, Yard yard, FleetDay day, PlanRuns runs, CancellationToken cancelled, DateOnly? from = null, int days = UsualDays)
    {
        var lines = await JobsView.OfAsync(data, yard, day, cancelled);
        var plan = await BuildAsync(data, lines, day, from, days, cancelled: cancelled);
        var published = await data.PlanVersions.AsNoTracking().OrderByDescending(v => v.Number).FirstOrDefaultAsync(cancelled);
        var open = plan.Jobs.Select(j => j.Id).ToHashSet();
        var engines = await data.Engines.AsNoTracking().Where(e => e.StandbyGroupId != null).Select(e => new { e.Id, e.StandbyGroupId }).ToListAsync(cancelled);
        var draft = plan.Placements.Where(p => open.Contains(p.JobId)).ToList();
        IReadOnlyList<UnplacedJob> unplaced = [.. runs.Unplaced.Where(u => open.Contains(u.JobId) && draft.TrueForAll(p => p.JobId != u.JobId))];
        IReadOnlyList<PlacementResponse> stands = [.. draft.Select(Response)];
        return new PlanResponse
        {
            From = plan.From,
            Days = plan.Days,
            Today = day.Today,
            People = plan.Mechanics,
            Jobs = plan.Jobs,
            Placements = stands,
            Unplaced = unplaced,
            WithoutDay = WithoutDay(plan, stands, unplaced),
            Broken = plan.Broken(),
            CheapMoments = CheapMoments(plan, lines.Rows),
            Away = await AwayAsync(data, plan.From),
            Groups = [.. (await data.StandbyGroups.AsNoTracking().OrderBy(g => g.Name).ToListAsync(cancelled)).Select(g => new GroupResponse(g.Id, g.Name, g.MostOut, [.. engines.Where(e => e.StandbyGroupId == g.Id).Select(e => e.Id)]))],
            Tools = await data.Tools.AsNoTracking().OrderBy(t => t.Name).Select(t => new ToolResponse(t.Id, t.Name, t.Count)).ToListAsync(cancelled),
            Roads = plan.Roads,
            Run = runs.State,
            Published = published is null ? null : Response(published),
            Changed = published is null ? draft.Count > 0 : Content(draft) != published.Content,
            MovedSincePublished = published is null ? [] : PlanMoves.Between(Read(published), stands, open.Contains, plan.Name),
        };
    }

    private static List<JobWithoutDay> WithoutDay(PlanBuilder plan, IReadOnlyList<PlacementResponse> stands, IReadOnlyList<UnplacedJob> unplaced)
    {
        var placed = stands.Select(p => p.JobId).ToHashSet();
        var why = unplaced.ToDictionary(u => u.JobId, u => u.Reason);
        var end = plan.From.AddDays(plan.Days);
        return [.. from job in plan.Jobs
                   where !placed.Contains(job.Id)
                   let later = job.DueDate >= end
                   select new JobWithoutDay(job.Id, why.GetValueOrDefault(job.Id) ?? (later ? $"Due {Said.Day(job.DueDate!.Value)}, after this plan." : "Not planned yet."), later)];
    }

    /// <summary>Plans anew: pins hold, and as little as can be is moved.</summary>
    public static RunResponse Run(FleetDay day, PlanRuns runs, DateOnly? from = null, int days = UsualDays, double seconds = 10)
    {
        if (days is < 1 or > 186) throw new BadInputException("days", "Plan 1 to 186 days.");
        if (seconds is not (>= 1 and <= 60)) throw new BadInputException("seconds", "Look for 1 to 60 seconds.");
        runs.Start(Within(from ?? day.Today, "from", day), days, seconds);
        return runs.State;
    }

    public static RunResponse Stop(PlanRuns runs)
    {
        runs.Stop();
        return runs.State;
    }

    public static async Task<CheckResponse> Check(CheckRequest request, ZeroDriftContext data, Yard yard, FleetDay day, CancellationToken cancelled)
    {
        var plan = await BuildAsync(data, yard, day, null, UsualDays, request.Date, request.JobId, cancelled);
        return Checked(plan, request.JobId, request.PersonId, request.Date);
    }

    /// <summary>Puts a job on a day by hand; a day on which it cannot stand is refused with what is in the way.</summary>
    public static async Task<PlacementResponse> Place(Guid jobId, PlaceRequest request, WriteGate gate, Yard yard, FleetDay day, CancellationToken cancelled) => await gate.RunAsync(async data =>
    {
        var plan = await BuildAsync(data, yard, day, null, UsualDays, request.Date, jobId);
        if (plan.Jobs.All(j => j.Id != jobId)) throw new NotFoundException("There is no such job to plan.");
        var row = await data.Placements.FirstOrDefaultAsync(p => p.JobId == jobId);
        if (row is not null && request is { PersonId: null, Date: null, Pinned: { } pinned })
        {
            row.Pinned = pinned;
            return Response(row);
        }
        var check = Checked(plan, jobId, request.PersonId ?? row?.PersonId, request.Date ?? row?.Date);
        if (!check.Fits) throw new ConflictException("doesNotFit", "date", check.Sentence);
        if (row is null) data.Placements.Add(row = new PlacementRow { JobId = jobId });
        (row.PersonId, row.MateId, row.Date, row.LastDate) = (request.PersonId ?? row.PersonId, check.MateId, request.Date ?? row.Date, check.LastDate);
        (row.Pinned, row.Because) = (request.Pinned ?? true, "Put there by hand.");
        return Response(row);
    }, cancelled);

    public static async Task<IReadOnlyList<Guid>> TakeOut(Guid jobId, WriteGate gate, CancellationToken cancelled) => await gate.RunAsync(async data =>
        await data.Placements.Where(p => p.JobId == jobId).ExecuteDeleteAsync() == 1 ? (IReadOnlyList<Guid>)[jobId] : throw new NotFoundException("That job is not in the plan."), cancelled);

    /// <summary>Makes the draft the plan that is followed; the one before is kept.</summary>
    public static async Task<VersionResponse> Publish(PublishRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled) => await gate.RunAsync(async data =>
    {
        var open = await data.Jobs.Where(j => j.State == JobState.Open).Select(j => j.Id).ToListAsync();
        var draft = await data.Placements.AsNoTracking().Where(p => open.Contains(p.JobId)).ToListAsync();
        if (draft.Count == 0) throw new ConflictException("nothingPlanned", "draft", "Nothing is planned yet; plan first.");
        var content = Content(draft);
        var last = await data.PlanVersions.AsNoTracking().OrderByDescending(v => v.Number).FirstOrDefaultAsync();
        if (last?.Content == content) return Response(last);
        var row = new PlanVersionRow { Number = (last?.Number ?? 0) + 1, PublishedAt = day.Now, Who = Given.OptionalText(request.Who, "who", "who publishes", 80), Content = content };
        data.PlanVersions.Add(row);
        await data.SaveChangesAsync();
        return Response(row);
    }, cancelled);

    public static async Task<IReadOnlyList<VersionResponse>> Versions(ZeroDriftContext data, CancellationToken cancelled) =>
        [.. (await data.PlanVersions.AsNoTracking().OrderByDescending(v => v.Number).Take(100).ToListAsync(cancelled)).Select(Response)];

    internal static PlacementResponse Response(PlacementRow p) => new(p.JobId, p.PersonId, p.MateId, p.Date, p.LastDate, p.Pinned, p.Because);

    internal static IReadOnlyList<PlacementResponse> Read(PlanVersionRow version) => JsonSerializer.Deserialize<List<PlacementResponse>>(version.Content, Kept)!;

    internal static async Task<IReadOnlyList<AwayResponse>> AwayAsync(ZeroDriftContext data, DateOnly from)
    {
        var people = await data.People.AsNoTracking().ToDictionaryAsync(p => p.Id, p => p.Name);
        var machines = await data.Machines.AsNoTracking().ToDictionaryAsync(m => m.Id, m => m.Name);
        return [.. (await data.Away.AsNoTracking().Where(a => a.To >= from).OrderBy(a => a.From).ToListAsync()).Select(a => new AwayResponse(a.Id, a.PersonId, a.MachineId, a.PersonId is { } p ? people[p] : machines[a.MachineId!.Value], a.From, a.To, a.Why, a.LaidUp))];
    }

    /// <summary>What would have to give way for a job to fit where the others stand, smallest first.</summary>
    public static async Task<IReadOnlyList<ReleaseResponse>> Releases(Guid jobId, ZeroDriftContext data, Yard yard, FleetDay day, CancellationToken cancelled, DateOnly? from = null, int days = UsualDays)
    {
        var plan = await BuildAsync(data, yard, day, from, days, asked: jobId, cancelled: cancelled);
        return [.. Release.For(plan.Request, plan.Standing(), plan.Pinned(), plan.JobKey(jobId)).Select(r => new ReleaseResponse(r.What, Guid.Parse(r.Technician), plan.Date(r.Day)))];
    }

    /// <summary>Overheads that could go with other work that opens the engine before.</summary>
    private static List<CheapMomentResponse> CheapMoments(PlanBuilder plan, IReadOnlyDictionary<Guid, DueRow> rows)
    {
        var on = plan.Placements.ToDictionary(p => p.JobId, p => p.Date);
        DateOnly? Date(JobResponse job) => on.TryGetValue(job.Id, out var date) ? date : job.DueDate;
        return [.. from opening in plan.Jobs
                   where opening.Opens
                   let date = Date(opening)
                   let overhead = plan.Jobs.FirstOrDefault(j => j.EngineId == opening.EngineId && !j.Opens)
                   let due = overhead is null ? rows.GetValueOrDefault(opening.EngineId)?.Decides.Date : overhead.DueDate
                   where date is not null && due is not null && CheapMoment.Is(date.Value, due.Value) && (overhead is null || Date(overhead) != date)
                   select new CheapMomentResponse(opening.EngineId, opening.Engine, opening.Id, opening.Title, date.Value, due.Value, overhead?.Id)];
    }

    private static async Task<PlanBuilder> BuildAsync(ZeroDriftContext data, Yard yard, FleetDay day, DateOnly? from, int days, DateOnly? reaching = null, Guid? asked = null, CancellationToken cancelled = default) =>
        await BuildAsync(data, await JobsView.OfAsync(data, yard, day, cancelled), day, from, days, reaching, asked, cancelled);

    private static async Task<PlanBuilder> BuildAsync(ZeroDriftContext data, JobsView lines, FleetDay day, DateOnly? from, int days, DateOnly? reaching = null, Guid? asked = null, CancellationToken cancelled = default)
    {
        if (days is < 1 or > 186) throw new BadInputException("days", "Look at 1 to 186 days.");
        var start = Within(from ?? day.Today, "from", day);
        if (reaching is { } date)
        {
            if (date < start) throw new BadInputException("date", "That day is past; choose today or later.");
            days = Math.Clamp(date.DayNumber - start.DayNumber + UsualDays, days, 366);
        }
        return await PlanBuilder.OfAsync(data, lines, start, days, asked: asked, cancelled: cancelled);
    }

    private static CheckResponse Checked(PlanBuilder plan, Guid? jobId, Guid? personId, DateOnly? date)
    {
        var job = plan.JobKey(jobId ?? throw new BadInputException("jobId", "Say which job."));
        var who = plan.PersonKey(personId ?? throw new BadInputException("personId", "Say who does it."));
        var day = plan.Day(date ?? throw new BadInputException("date", "Say which day."));
        var check = PlanCheck.Of(plan.Request, plan.Standing(), job, who, day);
        var sentence = check.Obstacle is { } obstacle ? $"It cannot stand here: {obstacle}."
            : check.LateDays > 0 ? $"{Counted(check.LateDays)} after its due day."
            : check.EarlyDays > 0 ? $"{Counted(check.EarlyDays)} before its due day."
            : plan.Jobs.First(j => j.Id == jobId).DueDate is null ? "It fits." : "On its due day.";
        return new CheckResponse(check.Obstacle is null, sentence, plan.Date(check.LastDay), check.Mate is { } mate ? Guid.Parse(mate) : null, check.LateDays, check.EarlyDays);
    }

    /// <summary>A day that a plan can begin on.</summary>
    private static DateOnly Within(DateOnly from, string field, FleetDay day) =>
        Math.Abs(from.DayNumber - day.Today.DayNumber) <= FurthestDays ? from : throw new BadInputException(field, "Begin within ten years of today.");

    private static string Counted(int days) => days == 1 ? "1 day" : $"{days} days";

    /// <summary>A draft as it is kept; in one order, so that two alike are alike.</summary>
    private static string Content(IEnumerable<PlacementRow> draft) =>
        JsonSerializer.Serialize(draft.OrderBy(p => p.Date).ThenBy(p => p.JobId).Select(Response).ToList(), Kept);

    private static VersionResponse Response(PlanVersionRow v) => new(v.Number, v.PublishedAt, v.Who, Read(v).Count);
}
