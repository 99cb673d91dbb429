using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Jobs;
using ZeroDrift.Core.Judging;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Visits;
using ZeroDrift.Server.Engines;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Plan;

/// <summary>Jobs with what they need: hours of work from book and record, the day their parts can be here.</summary>
internal sealed class JobsView
{
    private const int VisitsTimed = 40;
    private readonly ZeroDriftContext data;
    private readonly DateOnly today;
    private readonly Dictionary<Guid, DueRow> rows;
    private readonly Dictionary<Guid, IReadOnlyList<double>> timed = [];
    private readonly Dictionary<Guid, IReadOnlyList<AwaitingPoints>> waits = [];
    private HashSet<Guid>? mayWait;

    private JobsView(ZeroDriftContext data, DateOnly today, Dictionary<Guid, DueRow> rows) => (this.data, this.today, this.rows) = (data, today, rows);

    public static async Task<JobsView> OfAsync(ZeroDriftContext data, Yard yard, FleetDay day, CancellationToken cancelled = default) =>
        new(data, day.Today, (await yard.AllAsync(data, cancelled: cancelled)).ToDictionary(r => r.EngineId));

    /// <summary>The yard's lines, by engine.</summary>
    public IReadOnlyDictionary<Guid, DueRow> Rows => rows;

    /// <summary>Every job in some state, the first due first; of an engine that is archived, none that is still to be done.</summary>
    public async Task<IReadOnlyList<JobResponse>> AllAsync(JobState state)
    {
        var jobs = await data.Jobs.AsNoTracking().Where(j => j.State == state && (state != JobState.Open || j.Engine!.ArchivedAt == null)).Include(j => j.Engine!.EngineType!.Points).Include(j => j.Engine!.Machine!.Site).ToListAsync();
        var placed = await data.Placements.AsNoTracking().ToDictionaryAsync(p => p.JobId, p => p.Date);
        var all = new List<JobResponse>();
        foreach (var job in jobs.OrderBy(j => j.DueDate ?? DateOnly.MaxValue).ThenBy(j => j.Engine!.Name)) all.Add(await OneAsync(job, placed.TryGetValue(job.Id, out var date) ? date : null));
        return all;
    }

    /// <summary>One job.</summary>
    public async Task<JobResponse> OneAsync(JobRow job, DateOnly? placed = null)
    {
        var engine = job.Engine!;
        var type = engine.EngineType!;
        var row = rows.GetValueOrDefault(engine.Id);
        var outAhead = (row?.Findings.Count ?? 0) + (row is { DriftsBeforeBook: true } ? 1 : 0);
        var time = job.Hours is { } given ? new JobTime(given, given, given, 0) : JobTime.Of(type.Facts.JobHours, Math.Max(1, type.Points.Count), outAhead, await TimedAsync(type.Id));
        var missing = job.Parts.Where(p => !p.Here).ToList();
        var arrive = missing.Select(p => (p.OrderedOn ?? today).AddDays(p.LeadDays)).DefaultIfEmpty(DateOnly.MinValue).Max();
        var earliest = new[] { job.EarliestDate ?? DateOnly.MinValue, arrive }.Max();
        var toOrder = missing.Where(p => p.OrderedOn is null).ToList();
        return new JobResponse
        {
            Id = job.Id,
            EngineId = engine.Id,
            Engine = engine.Name,
            Machine = engine.Machine!.Name,
            Kind = engine.Machine.Kind,
            Site = engine.Machine.Site!.Name,
            Title = job.Title,
            Rule = job.Rule,
            DueDate = job.DueDate,
            EarliestDate = earliest == DateOnly.MinValue ? null : earliest,
            Time = time,
            GivenHours = job.Hours,
            Crew = job.Crew,
            Tools = job.Tools,
            Parts = [.. job.Parts.Select(p => new JobPart(p.Name, p.LeadDays, p.OrderedOn, p.Here))],
            OrderBy = toOrder.Count > 0 && (placed ?? job.DueDate) is { } needed ? needed.AddDays(-toOrder.Max(p => p.LeadDays)) : null,
            AfterJobId = job.AfterJobId,
            AfterDays = job.AfterDays,
            Remark = job.Remark,
            State = job.State,
            VisitId = job.VisitId,
            Opens = job.Opens,
            Waiting = await WaitsAsync(engine.Id),
            FoundTight = row?.Findings.Any(f => f.State == VerdictState.Tight) ?? false,
        };
    }

    /// <summary>Few engines wait for anything: the rest is not asked.</summary>
    private async Task<IReadOnlyList<AwaitingPoints>> WaitsAsync(Guid engineId) =>
        !(mayWait ??= await WaitingPoints.EnginesAsync(data)).Contains(engineId) ? []
        : waits.TryGetValue(engineId, out var known) ? known
        : waits[engineId] = await AwaitingPoints.OfAsync(data, engineId);

    private async Task<IReadOnlyList<double>> TimedAsync(Guid typeId)
    {
        if (timed.TryGetValue(typeId, out var known)) return known;
        return timed[typeId] = await data.Visits.AsNoTracking().Where(v => v.Engine!.EngineTypeId == typeId && v.WorkedHours != null && v.Job == Core.Visits.JobKind.Overhead)
            .OrderByDescending(v => v.Key).Take(VisitsTimed).Select(v => v.WorkedHours!.Value).ToListAsync();
    }
}
