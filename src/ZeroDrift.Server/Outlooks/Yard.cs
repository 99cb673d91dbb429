using System.Collections.Concurrent;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Outlook;
using ZeroDrift.Core.Visits;
using ZeroDrift.Core.Wear;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Outlooks;

namespace ZeroDrift.Server.Outlooks;

/// <summary>The yard's lines from the outlooks kept, and from nothing else; a line is worked out again only when its outlook or the day changed.</summary>
internal sealed class Yard(FleetDay day)
{
    private readonly ConcurrentDictionary<Guid, (long Version, string Fingerprint, DateOnly Day, Line Line)> lines = new();

    /// <summary>Every engine in use, most urgent first.</summary>
    public async Task<IReadOnlyList<DueRow>> AllAsync(ZeroDriftContext data, Guid? only = null, CancellationToken cancelled = default)
    {
        var today = day.Today;
        var heads = await Heads(data, only).ToListAsync(cancelled);
        var stale = heads.Where(h => !lines.TryGetValue(h.EngineId, out var known) || known.Version != h.Version || known.Fingerprint != h.Fingerprint || known.Day != today).Select(h => h.EngineId).ToList();
        // What one engine teaches of new failures moves every engine's chance a little: told anew with its own line, and each day.
        var hazard = stale.Count == 0 ? default : await HazardAsync(data, cancelled);
        foreach (var chunk in stale.Chunk(500))
        {
            var rows = await data.Outlooks.AsNoTracking().Where(o => chunk.Contains(o.EngineId)).Select(o => new { o.EngineId, o.Version, o.Fingerprint, o.Content }).ToListAsync(cancelled);
            foreach (var row in rows) lines[row.EngineId] = (row.Version, row.Fingerprint, today, Line.Of(OutlookContent.Of(row.Content).On(today), today, hazard));
        }
        var calls = (await data.Calls.AsNoTracking().Where(c => c.ClosedAt == null && (only == null || c.EngineId == only)).OrderBy(c => c.At).ToListAsync(cancelled)).ToLookup(c => c.EngineId);
        var open = await data.Visits.AsNoTracking().Where(v => v.State == VisitState.Open && (only == null || v.EngineId == only)).ToDictionaryAsync(v => v.EngineId, v => v.Id, cancelled);
        var jobs = await JobsAsync(data, only, cancelled);
        var all = heads.Where(h => lines.ContainsKey(h.EngineId)).Select(h => Row(h, calls[h.EngineId].Any() ? lines[h.EngineId].Line.With([.. calls[h.EngineId]], today) : lines[h.EngineId].Line, [.. calls[h.EngineId]], open.TryGetValue(h.EngineId, out var visit) ? visit : null, jobs[h.EngineId].FirstOrDefault(), today));
        return [.. ByUrgency(all)];
    }

    /// <summary>A job that waits for an engine: those with a day first.</summary>
    private sealed record Waiting(Guid EngineId, Guid Id, string Title, DateOnly? On, string? Person, string? Mate);

    private static async Task<ILookup<Guid, Waiting>> JobsAsync(ZeroDriftContext data, Guid? only, CancellationToken cancelled)
    {
        var rows = await (from job in data.Jobs.AsNoTracking()
                          where job.State == JobState.Open && !job.Opens && (only == null || job.EngineId == only)
                          join placement in data.Placements.AsNoTracking() on job.Id equals placement.JobId into placed
                          from at in placed.DefaultIfEmpty()
                          orderby at == null, at!.Date, job.MadeAt
                          select new Waiting(job.EngineId, job.Id, job.Title, at == null ? null : at.Date, data.People.Where(p => at != null && p.Id == at.PersonId).Select(p => p.Name).FirstOrDefault(), data.People.Where(p => at != null && p.Id == at.MateId).Select(p => p.Name).FirstOrDefault())).ToListAsync(cancelled);
        return rows.ToLookup(j => j.EngineId);
    }

    private static async Task<FleetHazard> HazardAsync(ZeroDriftContext data, CancellationToken cancelled = default) =>
        (await data.TypeFits.AsNoTracking().Select(f => f.Learned).ToListAsync(cancelled)).Select(l => LearnedContent.Of(l).Hazard).Aggregate(default(FleetHazard), (sum, h) => sum.Plus(h));

    /// <summary>Most urgent first: findings, tight before loose, then by the day the deciding rule falls on.</summary>
    private static IEnumerable<DueRow> ByUrgency(IEnumerable<DueRow> rows) => rows
        .OrderBy(r => r.Findings.Count > 0 ? (int)r.Findings[0].State : int.MaxValue)
        .ThenBy(r => r.Decides.Date ?? DateOnly.MaxValue)
        .ThenBy(r => r.DriftSide is Core.Drift.LimitSide.Tight ? 0 : 1)
        .ThenBy(r => r.Name, StringComparer.OrdinalIgnoreCase);

    private sealed record Head(Guid EngineId, string Name, MachineKind Machine, Guid MachineId, string MachineName, string Site, string TypeCode, string? SerialNumber, bool NoInterval, long Version, string Fingerprint);

    private static IQueryable<Head> Heads(ZeroDriftContext data, Guid? only) =>
        from outlook in data.Outlooks.AsNoTracking()
        join engine in data.Engines.AsNoTracking() on outlook.EngineId equals engine.Id
        where engine.ArchivedAt == null && (only == null || engine.Id == only)
        select new Head(engine.Id, engine.Name, engine.Machine!.Kind, engine.MachineId, engine.Machine.Name, engine.Machine.Site!.Name, engine.EngineType!.Code, engine.SerialNumber, engine.EngineType.Facts.BookHours == null && engine.EngineType.Facts.BookMonths == null, outlook.Version, outlook.Fingerprint);

    private static DueRow Row(Head head, Line line, IReadOnlyList<CallRow> calls, Guid? open, Waiting? job, DateOnly today)
    {
        var o = line.Content;
        var wearing = line.Due.Decides.Rule == DueRule.Drift && line.Voice.Raised;
        var mark = DueMarks.Of(o.Findings.Count > 0 ? o.Findings[0].State : null, o.HasFigures, wearing, line.BookHoursLeft, line.Due.Decides.Date, today);
        return new DueRow
        {
            EngineId = head.EngineId,
            Name = head.Name,
            Machine = head.Machine,
            MachineId = head.MachineId,
            MachineName = head.MachineName,
            Site = head.Site,
            TypeCode = head.TypeCode,
            SerialNumber = head.SerialNumber,
            ShownHours = (o.ReadHours ?? o.HoursNow) - o.MeterOffset,
            ReadOn = o.ReadOn,
            HoursToday = line.Hours is { } hours ? new HoursTodayResponse(o.HoursNow - o.MeterOffset, hours.Least - o.MeterOffset, hours.Most - o.MeterOffset, hours.ToBeRead) : null,
            HoursPerWeek = line.HoursPerWeek,
            Decides = Answer(line.Due.Decides),
            Others = [.. line.Due.Others.Select(Answer)],
            AheadOfBookHours = line.Due.AheadOfBookHours,
            BookHoursLeft = line.BookHoursLeft,
            NoInterval = head.NoInterval,
            DriftHours = o.DriftHours,
            DriftDate = line.DriftDate,
            OpenAfterHours = o.OpenAfterHours,
            RiskAtBook = o.RiskAtBook,
            DriftsBeforeBook = wearing,
            Voice = line.Voice,
            DriftEarlyHours = o.EarlyHours,
            DriftLateHours = o.LateHours,
            DriftPoint = o.DecidedBy,
            DriftSide = o.Side,
            DriftMmPer1000h = o.DeciderMmPer1000h,
            Findings = [.. o.Findings.Select(f => new FindingResponse(f.Point, f.State, f.Mm, f.LimitMm))],
            HasFigures = o.HasFigures,
            Mark = mark,
            Next = new DueNext(DueSteps.Of(mark, open is not null, job is not null, job?.On is not null, line.Hours?.ToBeRead ?? false), open, job?.Id, job?.Title, job?.On, [.. new[] { job?.Person, job?.Mate }.OfType<string>()]),
            Trouble = o.Trouble,
            Calls = [.. calls.Select(c => new CallResponse(c.Id, c.Rule, c.Symptoms, c.What, c.Date, c.AtHours, c.Who, c.At))],
            OpenOverheadId = open,
        };
    }

    private static DueAnswerResponse Answer(DueAnswer a) => new(a.Rule, a.Hours, a.Date);

    /// <summary>What of a line depends on the day.</summary>
    private sealed record Line(OutlookContent Content, Due Due, double HoursPerWeek, double? BookHoursLeft, DateOnly? DriftDate, VoiceResponse Voice, (double Least, double Most, bool ToBeRead)? Hours)
    {
        /// <summary>The same with what calls for the engine besides.</summary>
        public Line With(IReadOnlyList<CallRow> calls, DateOnly today) => this with
        {
            Due = Due.Of(Content.Book, Content.HoursNow, today, Content.Usage, Content.DueByDriftHours, Content.Findings.Count > 0, [.. calls.Select(c => c.ToCall())]),
        };

        public static Line Of(OutlookContent o, DateOnly today, FleetHazard hazard)
        {
            var due = Due.Of(o.Book, o.HoursNow, today, o.Usage, o.DueByDriftHours, o.Findings.Count > 0);
            return new Line(o with { Points = [], Visits = [] }, due, o.Usage.HoursPerDay * o.Usage.MonthlyWeights[today.Month - 1] * 7, due.BookHoursLeft(today, o.Usage), o.DriftHours is { } drift ? o.Usage.DateAfter(today, drift) : null, VoiceResponse.Of(o, hazard), Hours(o, today));

            static (double, double, bool)? Hours(OutlookContent o, DateOnly today) =>
                o.Run() is { } hours && hours.Band(today) is var (least, most) ? (least, most, hours.IsToBeRead(today, o.Book?.BookHours is { } interval ? (double)interval : null)) : null;
        }
    }
}
