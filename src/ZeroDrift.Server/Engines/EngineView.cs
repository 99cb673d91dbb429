using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Outlooks;
using ZeroDrift.Data.Visits;
using ZeroDrift.Server.Book;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Engines;

/// <summary>Everything the engine's page shows, from the projections.</summary>
internal static class EngineView
{
    public static async Task<EngineResponse> OfAsync(Guid id, ZeroDriftContext data, Yard yard, FleetDay day, CancellationToken cancelled = default)
    {
        var engine = await data.Engines.AsNoTracking().Include(e => e.Machine).FirstOrDefaultAsync(e => e.Id == id, cancelled) ?? throw new NotFoundException("There is no such engine.");
        var type = await data.WholeTypes.FirstAsync(t => t.Id == engine.EngineTypeId, cancelled);
        var fleet = await data.SettingsAsync();
        var row = (await yard.AllAsync(data, id, cancelled)).FirstOrDefault() ?? throw new NotFoundException($"{engine.Name} is archived.");
        var outlook = (await OutlookKeeper.TodayAsync(data, id, day.Today, cancelled))!;
        var visits = await data.Visits.AsNoTracking().Where(v => v.EngineId == id && v.State == VisitState.Signed).Include(v => v.Readings).ToListAsync(cancelled);
        var sorted = visits.OrderBy(v => v.TotalHours).ThenBy(v => v.Date).ThenBy(v => v.Key).ToList();
        var people = await data.People.AsNoTracking().ToDictionaryAsync(p => p.Id, p => p.Name, cancelled);
        var meter = await data.MeterAsync(id, cancelled);
        return new EngineResponse
        {
            Row = row,
            Type = BookResponses.Of(type, fleet, day.Today),
            Points = [.. type.Points.OrderBy(p => p.Order).Select(p => Point(p, outlook, sorted))],
            Ledger = [.. Enumerable.Reverse(sorted).Select(v => Ledger(v, people))],
            Meter = [.. meter.OrderByDescending(m => m.Date).ThenByDescending(m => m.Sequence).Select(m => new MeterReadingResponse(m.Id, m.Date, m.ShownHours, m.NewMeterShows, m.PersonId is { } p && people.TryGetValue(p, out var name) ? name : m.Who, m.Remark, m.Withdrawn, m.ReplacesId, m.Why, m.VisitId))],
            OwnFigures = await OwnFigureEndpoints.List(id, data, cancelled),
            TotalHours = outlook.ReadHours ?? outlook.HoursNow,
            Remark = engine.Remark,
            Rating = engine.Rating,
            Marks = [.. (await EngineMarks.OfAsync(data, id)).OrderBy(m => m.CrankDeg)],
            Waiting = await AwaitingPoints.OfAsync(data, id, cancelled),
            Jobs = await JobsAsync(data, id, cancelled),
            Registration = engine.Machine!.Registration,
            DutyHoursPerDay = engine.DutyHoursPerDay,
            MonthlyWeights = engine.MonthlyWeights,
            Archived = engine.ArchivedAt is not null,
            Version = engine.Version,
        };
    }

    private static async Task<IReadOnlyList<EngineJob>> JobsAsync(ZeroDriftContext data, Guid id, CancellationToken cancelled = default)
    {
        var closed = await JobOfVisit.FindAsync(data, id, JobKind.Overhead, null);
        var jobs = await data.Jobs.AsNoTracking().Where(j => j.EngineId == id && j.State == JobState.Open).OrderBy(j => j.MadeAt)
            .Select(j => new { j.Id, j.Title, On = data.Placements.Where(p => p.JobId == j.Id).Select(p => (DateOnly?)p.Date).FirstOrDefault() }).ToListAsync(cancelled);
        return [.. jobs.Select(j => new EngineJob(j.Id, j.Title, j.On, j.Id == closed))];
    }

    private static EnginePointResponse Point(LashPointRow row, OutlookContent outlook, List<VisitRow> visits) => new(outlook.Point(row.Label) with { FromHere = null })
    {
        Id = row.Id,
        Label = row.Label,
        Cylinder = row.Cylinder,
        Kind = row.Kind,
        Place = row.Place,
        Bank = row.Bank,
        Along = row.Along,
        Series = [.. visits.Where(v => v.TotalHours is not null).Select(v => Visit(v, row.Label)).Where(v => v is not null)!],
    };

    private static SeriesVisit? Visit(VisitRow visit, string label)
    {
        var found = visit.Readings.Find(r => r.Point == label && r.Stage == StandingStage.Found);
        var left = visit.Readings.Find(r => r.Point == label && r.Stage == StandingStage.Left);
        return (found ?? left) is not { } any ? null
            : new SeriesVisit(visit.Id, visit.TotalHours!.Value, visit.Date, found?.EstimateMm, left?.EstimateMm, found?.LowerMm, found?.UpperMm, visit.OutOfTrend, any.PartChanged);
    }

    private static LedgerRow Ledger(VisitRow v, Dictionary<Guid, string> people) => new(
        v.Id, v.ShownHours, v.TotalHours, v.Date, v.Job, v.State, v.OpenedBy is { } by && people.TryGetValue(by, out var name) ? name : "", v.OutAsFound, v.Measured,
        v.Worst, v.WorstMm, v.WorstState, v.SetCount, v.Revision, v.OutOfTrend ? v.OutOfTrendBecause ?? "warm" : "counts", v.Remark, v.Corrections);
}
