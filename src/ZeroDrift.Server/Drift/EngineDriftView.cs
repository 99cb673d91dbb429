using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Outlooks;
using ZeroDrift.Data.Visits;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.Instruments;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Drift;

/// <summary>An engine's drift: its outlook beside every figure it rests on.</summary>
internal static class EngineDriftView
{
    private const int MostSisters = 200;

    public static async Task<EngineDriftResponse> OfAsync(Guid id, ZeroDriftContext data, Yard yard, FleetDay day, CancellationToken cancelled = default)
    {
        var engine = await data.Engines.AsNoTracking().FirstOrDefaultAsync(e => e.Id == id, cancelled) ?? throw new NotFoundException("There is no such engine.");
        var row = (await yard.AllAsync(data, id, cancelled)).FirstOrDefault() ?? throw new NotFoundException($"{engine.Name} is archived.");
        var type = await data.WholeTypes.FirstAsync(t => t.Id == engine.EngineTypeId, cancelled);
        var fleet = await data.SettingsAsync();
        var outlook = (await OutlookKeeper.TodayAsync(data, id, day.Today, cancelled))!;
        var people = await data.People.AsNoTracking().ToDictionaryAsync(p => p.Id, p => p.Name, cancelled);
        var visits = (await data.Visits.AsNoTracking().Where(v => v.EngineId == id && v.State == VisitState.Signed && !v.Bench && v.TotalHours != null).Include(v => v.Readings).ToListAsync(cancelled))
            .OrderBy(v => v.TotalHours).ThenBy(v => v.Date).ThenBy(v => v.Key).ToList();
        var kept = await data.TypeFits.AsNoTracking().FirstOrDefaultAsync(f => f.EngineTypeId == type.Id, cancelled);
        return new EngineDriftResponse
        {
            EngineId = id,
            Engine = engine.Name,
            TypeId = type.Id,
            TypeCode = type.Code,
            TotalHours = outlook.HoursNow,
            HoursPerWeek = row.HoursPerWeek,
            Today = day.Today,
            Risk = fleet.Risk,
            RiskHours = outlook.DriftHours,
            RiskDate = outlook.DriftHours is { } risk ? outlook.Usage.DateAfter(day.Today, risk) : null,
            OpenAfterHours = outlook.OpenAfterHours,
            OpenDate = outlook.OpenAfterHours is { } open ? outlook.Usage.DateAfter(day.Today, open) : null,
            BookHoursLeft = row.BookHoursLeft,
            RiskAtBook = outlook.RiskAtBook,
            BeforeBook = row.DriftsBeforeBook,
            Voice = row.Voice,
            DecidedByHours = outlook.DecidedByHours,
            DecidedByRisk = outlook.DecidedByRisk,
            DecidedBy = outlook.DecidedBy,
            Side = outlook.Side,
            Before = await OutlookKeeper.BeforeLastVisitAsync(data, id, type, day.Today, cancelled),
            Trouble = outlook.Trouble,
            Points = [.. type.Points.OrderBy(p => p.Order).Select(p => Point(p, outlook, visits, type, fleet))],
            Visits = await VisitsAsync(data, visits, outlook, people, cancelled),
            Kinds = kept is null ? [] : [.. LearnedContent.Of(kept.Learned).Groups.Select(g => new KindRate(Enum.Parse<LashKind>(g.Group), g.MmPer1000h, g.StandardErrorMmPer1000h, g.TauMmPer1000h, g.EngineTauMmPer1000h))],
            Sisters = await SistersAsync(data, id, type.Id, cancelled),
        };
    }

    private static EngineDriftPointResponse Point(LashPointRow row, OutlookContent outlook, List<VisitRow> visits, EngineTypeRow type, FleetRow fleet) => new(outlook.Point(row.Label) with { FromHere = null })
    {
        Label = row.Label,
        Cylinder = row.Cylinder,
        Kind = row.Kind,
        Place = row.Place,
        Bank = row.Bank,
        Along = row.Along,
        Visits = [.. visits.Select(v => Visit(v, row.Label)).Where(v => v is not null)!],
        Specs = [.. type.Revisions.OrderBy(r => r.Date).Select(r => Spec(r, row.Kind, fleet)).Where(s => s is not null)!],
    };

    private static DriftSpec? Spec(SpecRevisionRow revision, LashKind kind, FleetRow fleet) =>
        DemandMapping.Demands(revision.Lines, fleet).GetValueOrDefault(kind) is Demand.Gap gap ? new DriftSpec(revision.Revision, revision.Date, gap.Window.MinMm, gap.Window.MaxMm, gap.AimMm) : null;

    private static DriftPointVisit? Visit(VisitRow visit, string label)
    {
        var found = visit.Readings.Find(r => r.Point == label && r.Stage == StandingStage.Found);
        var left = visit.Readings.Find(r => r.Point == label && r.Stage == StandingStage.Left);
        return (found ?? left) is not { } any ? null : new DriftPointVisit(visit.Id, Figure(found), Figure(left), any.LeftWhy, any.PartChanged);
    }

    private static DriftFigure? Figure(ReadingRow? r) => r is null or { EstimateMm: null, LowerMm: null, UpperMm: null } ? null : new DriftFigure(r.EstimateMm, r.LowerMm, r.UpperMm, r.By);

    private static async Task<IReadOnlyList<DriftVisit>> VisitsAsync(ZeroDriftContext data, List<VisitRow> visits, OutlookContent outlook, Dictionary<Guid, string> people, CancellationToken cancelled = default)
    {
        var shifts = outlook.Visits.ToDictionary(v => v.Visit);
        var suspect = visits.Count == 0 ? [] : (await Suspicion.OfAsync(data, visits[0].EngineId, cancelled)).SelectMany(s => s.Select(v => (v.VisitId, Instrument: s.Key))).DistinctBy(s => s.VisitId).ToDictionary(s => s.VisitId, s => s.Instrument);
        var all = new List<DriftVisit>();
        foreach (var visit in visits)
        {
            var shift = shifts.GetValueOrDefault(visit.Id);
            // Only a visit that stands out is worth reading its entries for an answer.
            var asked = shift is { Odd: true } && !visit.OutOfTrend && await IsUnansweredAsync(data, visit.Id, cancelled);
            all.Add(new DriftVisit
            {
                VisitId = visit.Id,
                Hours = visit.TotalHours!.Value,
                Date = visit.Date,
                Job = visit.Job,
                Who = visit.OpenedBy is { } by ? people.GetValueOrDefault(by, "") : "",
                Revision = visit.Revision,
                ShiftMm = shift?.ShiftMm,
                ShiftStandardErrorMm = shift?.StandardErrorMm,
                Asked = asked,
                Swapped = visit == visits[^1] && (await VisitReader.LoadAsync(data, visit.Id))!.Visit.Swapped is { } pair ? new SwappedRecord(pair.First, pair.Second) : null,
                MeasuredWith = suspect.GetValueOrDefault(visit.Id)?.Name,
                WithdrawnWhy = suspect.GetValueOrDefault(visit.Id)?.Why,
                LeftOut = visit.OutOfTrend ? visit.OutOfTrendBecause ?? "warm" : null,
            });
        }
        return all;
    }

    private static async Task<bool> IsUnansweredAsync(ZeroDriftContext data, Guid visit, CancellationToken cancelled = default)
    {
        var answers = (await VisitReader.LoadAsync(data, visit))!.Visit.Answers;
        return !answers.ContainsKey(VisitQuestion.Warm) && !answers.ContainsKey(VisitQuestion.OtherBlades);
    }

    private static async Task<IReadOnlyList<SisterRate>> SistersAsync(ZeroDriftContext data, Guid id, Guid typeId, CancellationToken cancelled = default)
    {
        var rows = await data.Outlooks.AsNoTracking().Where(o => o.EngineTypeId == typeId && o.EngineId != id)
            .Join(data.Engines.AsNoTracking().Where(e => e.ArchivedAt == null), o => o.EngineId, e => e.Id, (o, e) => new { e.Id, e.Name, o.Content }).OrderBy(r => r.Name).Take(MostSisters).ToListAsync(cancelled);
        return [.. rows.SelectMany(r => OutlookContent.Of(r.Content).Points.Where(p => p.MmPer1000h is not null).Select(p => new SisterRate(r.Id, r.Name, p.Label, p.MmPer1000h!.Value)))];
    }
}
