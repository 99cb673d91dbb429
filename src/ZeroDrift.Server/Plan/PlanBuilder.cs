using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Planning;

namespace ZeroDrift.Server.Plan;

/// <summary>The fleet's jobs, people, absences, groups, tools and roads as one request to the planner, and back.</summary>
internal sealed class PlanBuilder
{
    /// <summary>Cost of a day late: a valve found tight most, what is only due by the book least; a day early throws running hours away (common practice, no source).</summary>
    private const double LateTight = 40, LateStandby = 20, LateOther = 10, Early = 1, Unplaced = 2000, SiteChange = 2;

    /// <summary>How every job, person and group is called, by its identifier.</summary>
    private readonly Dictionary<Guid, string> names = [];

    private PlanBuilder(DateOnly from, int days) => (From, Days) = (from, days);

    public DateOnly From { get; }

    public int Days { get; }

    public ScheduleRequest Request { get; private set; } = null!;

    /// <summary>The roads between sites.</summary>
    public IReadOnlyList<RoadResponse> Roads { get; private set; } = [];

    /// <summary>Where jobs stand in the draft.</summary>
    public IReadOnlyList<PlacementRow> Placements { get; private set; } = [];

    public IReadOnlyList<PlanPerson> Mechanics { get; private set; } = [];

    /// <summary>Every open job.</summary>
    public IReadOnlyList<JobResponse> Jobs { get; private set; } = [];

    /// <summary>Those that fall due within the plan's days, or have no day: what falls due later finds its place in a later plan.</summary>
    public IReadOnlyList<JobResponse> InPlan { get; private set; } = [];

    /// <summary>Everything that is open, from a day on.</summary>
    public static async Task<PlanBuilder> OfAsync(ZeroDriftContext data, JobsView jobs, DateOnly from, int days, double seconds = 10, Guid? asked = null, CancellationToken cancelled = default)
    {
        var plan = new PlanBuilder(from, days);
        var away = await data.Away.AsNoTracking().Where(a => a.To >= from).ToListAsync(cancelled);
        var persons = (await data.People.AsNoTracking().Where(p => p.ArchivedAt == null).OrderBy(p => p.Name).ToListAsync(cancelled)).Where(p => p.WeekHours.Sum() > 0).ToList();
        plan.Mechanics = [.. persons.Select(p => new PlanPerson(p.Id, p.Name, p.Skills, p.WeekHours, [.. Enumerable.Range(0, days).Select(d => HoursOn(p, from.AddDays(d), away))]))];
        foreach (var person in persons) plan.names[person.Id] = person.Name;
        plan.Jobs = await jobs.AllAsync(JobState.Open);
        var end = from.AddDays(days);
        plan.Placements = await data.Placements.AsNoTracking().ToListAsync(cancelled);
        var byHand = plan.Placements.Where(p => p.Pinned).Select(p => p.JobId).ToHashSet();
        plan.Roads = await data.Roads.AsNoTracking().Join(data.Sites, r => r.FromId, s => s.Id, (r, s) => new { r, From = s.Name }).Join(data.Sites, r => r.r.ToId, s => s.Id, (r, s) => new RoadResponse(r.r.FromId, r.r.ToId, r.From, s.Name, r.r.Hours)).ToListAsync(cancelled);
        plan.InPlan = [.. plan.Jobs.Where(j => asked == j.Id || byHand.Contains(j.Id) || j.DueDate is null || j.DueDate < end)];
        // An engine with one job is called by its own name.
        foreach (var jobsOfOne in plan.InPlan.GroupBy(j => j.EngineId))
            foreach (var job in jobsOfOne) plan.names[job.Id] = jobsOfOne.Count() == 1 ? job.Engine : $"{job.Engine}, {job.Title}";
        var engines = await data.Engines.AsNoTracking().Where(e => e.ArchivedAt == null).Select(e => new { e.Id, e.MachineId, e.StandbyGroupId }).ToDictionaryAsync(e => e.Id, cancelled);
        var groups = await data.StandbyGroups.AsNoTracking().ToDictionaryAsync(g => g.Id, cancelled);
        foreach (var group in groups.Values) plan.names[group.Id] = group.Name;
        plan.Request = new ScheduleRequest(
            days,
            [.. plan.Mechanics.Select(p => new Technician(Key(p.Id), p.Skills, p.Hours))],
            [.. plan.InPlan.Select(j => plan.Job(j, engines[j.EngineId].StandbyGroupId is { } g && groups.ContainsKey(g) ? Key(g) : null, [.. away.Where(a => !a.LaidUp && a.MachineId == engines[j.EngineId].MachineId)]))])
        {
            GroupLimits = groups.Values.ToDictionary(g => Key(g.Id), g => g.MostOut),
            ToolCounts = await data.Tools.AsNoTracking().ToDictionaryAsync(t => t.Name, t => t.Count, cancelled),
            TravelHours = [.. plan.Roads.Select(r => new Road(r.From, r.To, r.Hours))],
            SiteChangeCost = SiteChange,
            UnplacedCost = Unplaced,
            TimeLimitSeconds = seconds,
            SayName = id => Guid.TryParse(id, out var known) ? plan.names.GetValueOrDefault(known, id) : id,
            SayDay = day => Said.Day(from.AddDays(day)),
        };
        return plan;
    }

    /// <summary>The draft as the planner knows it; a placement outside the plan's days or of somebody no longer planned is not in it.</summary>
    public IReadOnlyList<Assignment> Standing() =>
        [.. Placements.Where(p => names.ContainsKey(p.JobId) && names.ContainsKey(p.PersonId) && p.Date >= From && p.LastDate < From.AddDays(Days))
            .Select(p => new Assignment(Key(p.JobId), Key(p.PersonId), Day(p.Date), Day(p.LastDate), p.Because, p.MateId is { } mate && names.ContainsKey(mate) ? Key(mate) : null))];

    /// <summary>What is pinned in the draft.</summary>
    public IReadOnlySet<string> Pinned() => Placements.Where(p => p.Pinned && names.ContainsKey(p.JobId)).Select(p => Key(p.JobId)).ToHashSet();

    /// <summary>What of the draft can stand no more where it stands, and why.</summary>
    public IReadOnlyList<UnplacedJob> Broken() =>
        [.. PlanCheck.Broken(Request, Standing()).Select(b => new UnplacedJob(Guid.Parse(b.At.Job), $"{char.ToUpperInvariant(b.Obstacle[0])}{b.Obstacle[1..]}."))];

    /// <summary>With the pins of the draft holding, and the rest moved as little as can be.</summary>
    public ScheduleRequest Again()
    {
        var standing = Standing();
        // A pin that can hold no more, because somebody fell ill, must not stop the planning: it is moved, and said.
        var broken = Broken().Select(b => b.JobId).ToHashSet();
        var pinned = Placements.Where(p => p.Pinned).Select(p => p.JobId).ToHashSet();
        return Request with
        {
            Pins = [.. standing.Where(s => pinned.Contains(Guid.Parse(s.Job)) && !broken.Contains(Guid.Parse(s.Job))).Select(s => new Pin(s.Job, s.Technician, s.Day))],
            Previous = [.. standing.Select(s => new Placement(s.Job, s.Technician, s.Day))],
            MovePerDay = 0.5,
        };
    }

    public int Day(DateOnly date) => date.DayNumber - From.DayNumber;

    public DateOnly Date(int day) => From.AddDays(day);

    /// <summary>A job or a person as the planner knows it.</summary>
    public static string Key(Guid id) => id.ToString();

    /// <summary>How a job or a person is called.</summary>
    public string Name(Guid id) => names[id];

    /// <summary>A job that is in this plan.</summary>
    public string JobKey(Guid id) => InPlan.Any(j => j.Id == id) ? Key(id) : throw new BadInputException("jobId", "There is no such job to plan.");

    /// <summary>Somebody who can be given work in this plan.</summary>
    public string PersonKey(Guid id) => Mechanics.Any(p => p.Id == id) ? Key(id) : throw new BadInputException("personId", "Choose somebody with working hours.");

    private ScheduleJob Job(JobResponse job, string? group, IReadOnlyList<AwayRow> away) => new(Key(job.Id), job.Site, JsonName(job.Kind), Math.Round(job.Time.Middle * 4, MidpointRounding.AwayFromZero) / 4 is var hours && hours > 0 ? hours : 0.25)
    {
        EarliestDay = Math.Max(0, job.EarliestDate is { } earliest ? Day(earliest) : 0),
        DueDay = job.DueDate is { } due ? Day(due) : null,
        LatePerDay = job.FoundTight ? LateTight : group is not null ? LateStandby : LateOther,
        EarlyPerDay = Early,
        BlockedDays = [.. Enumerable.Range(0, Days).Where(d => away.Any(a => From.AddDays(d) >= a.From && From.AddDays(d) <= a.To))],
        Group = group,
        Crew = job.Crew,
        Tools = job.Tools,
        After = job.AfterJobId is { } after && InPlan.Any(j => j.Id == after) ? new After(Key(after), job.AfterDays) : null,
    };

    /// <summary>A kind of machine as a skill is written.</summary>
    internal static string JsonName(MachineKind kind) => System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName(kind.ToString());

    private static double HoursOn(PersonRow person, DateOnly day, IEnumerable<AwayRow> away) =>
        away.Any(a => a.PersonId == person.Id && day >= a.From && day <= a.To) ? 0 : person.WeekHours[((int)day.DayOfWeek + 6) % 7];
}
