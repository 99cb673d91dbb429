using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Outlook;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Outlooks;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Drift;

/// <summary>What the outlooks of the whole fleet say together.</summary>
internal static class FleetDriftView
{
    private const int MostFast = 15;
    private const int DaysLearned = 31;

    public static async Task<FleetDriftResponse> OfAsync(ZeroDriftContext data, Yard yard, FleetDay day, CancellationToken cancelled = default)
    {
        var fleet = await data.SettingsAsync();
        var rows = await yard.AllAsync(data, cancelled: cancelled);
        var engines = await data.Outlooks.AsNoTracking()
            .Join(data.Engines.AsNoTracking().Where(e => e.ArchivedAt == null), o => o.EngineId, e => e.Id, (o, e) => new { e.Id, e.Name, e.EngineTypeId, e.EngineType!.Code, Machine = e.Machine!.Kind, o.Content }).ToListAsync(cancelled);
        var looked = engines.Select(e => new Looked(e.Id, e.Name, e.EngineTypeId, e.Code, e.Machine, OutlookContent.Of(e.Content))).ToList();
        var kinds = (await data.EngineTypes.AsNoTracking().Include(t => t.Points).ToListAsync(cancelled)).SelectMany(t => t.Points.Select(p => (t.Id, p.Label, p.Kind))).ToDictionary(p => (p.Id, p.Label), p => p.Kind);
        var fits = await data.TypeFits.AsNoTracking().Join(data.EngineTypes, f => f.EngineTypeId, t => t.Id, (f, t) => new { t.Id, t.Code, t.Name, f.Learned }).ToListAsync(cancelled);
        var types = fits.SelectMany(f => LearnedContent.Of(f.Learned).Groups.Select(g => new TypeRate(f.Id, f.Code, f.Name, Enum.Parse<LashKind>(g.Group), looked.Count(e => e.TypeId == f.Id), g.MmPer1000h, g.StandardErrorMmPer1000h, g.TauMmPer1000h))).OrderBy(t => t.TypeCode, StringComparer.Ordinal).ThenBy(t => t.Kind).ToList();
        return new FleetDriftResponse
        {
            Today = day.Today,
            Risk = fleet.Risk,
            States = States(rows),
            Fastest = Fastest(looked, kinds, types.ToDictionary(t => (t.TypeId, t.Kind), t => t.MmPer1000h)),
            Types = types,
            Uses = Uses(looked, kinds),
            Learned = await LearnedAsync(data, looked, day.Today, cancelled),
        };
    }

    private sealed record Looked(Guid Id, string Name, Guid TypeId, string TypeCode, MachineKind Machine, OutlookContent Content);

    private static FleetStates States(IReadOnlyList<DueRow> rows)
    {
        var states = rows.CountBy(r => FleetDrift.State(r.Findings.Count > 0, r.DriftsBeforeBook, r.BookHoursLeft, r.HasFigures)).ToDictionary();
        int Of(EngineState state) => states.GetValueOrDefault(state);
        return new FleetStates(Of(EngineState.Found), Of(EngineState.Drifting), Of(EngineState.Overdue), Of(EngineState.Quiet), Of(EngineState.Unknown));
    }

    /// <summary>Furthest beyond what is usual for their kind, in the way the kind goes; unsure rates do not lead a list.</summary>
    private static List<FastPoint> Fastest(List<Looked> engines, Dictionary<(Guid, string), LashKind> kinds, Dictionary<(Guid, LashKind), double> usual) =>
        [.. (from engine in engines
             from point in engine.Content.Points
             where point is { MmPer1000h: not null, StandardErrorMmPer1000h: not null } && kinds.ContainsKey((engine.TypeId, point.Label))
             let mean = usual.GetValueOrDefault((engine.TypeId, kinds[(engine.TypeId, point.Label)]))
             let rate = point.MmPer1000h!.Value
             let sure = FleetDrift.Surely(rate, point.StandardErrorMmPer1000h!.Value)
             where sure > 0
             orderby point.UnlikeSiblings descending, sure descending
             select new FastPoint(engine.Id, engine.Name, engine.TypeCode, point.Label, rate, point.StandardErrorMmPer1000h!.Value, mean, point.FastProbability, point.HoursToRisk, point.Side, point.Standing)).Take(MostFast)];

    private static List<UseRate> Uses(List<Looked> engines, Dictionary<(Guid, string), LashKind> kinds)
    {
        var own = from engine in engines
                  from point in engine.Content.Points
                  where point is { MmPer1000h: not null, StandardErrorMmPer1000h: > 0 } && kinds.ContainsKey((engine.TypeId, point.Label))
                  group (point.MmPer1000h!.Value, point.StandardErrorMmPer1000h!.Value) by (engine.Id, engine.Machine, Kind: kinds[(engine.TypeId, point.Label)]) into valves
                  select (valves.Key.Machine, valves.Key.Kind, Rate: EngineRate.Of([.. valves]));
        var uses = new List<UseRate>();
        foreach (var use in own.GroupBy(o => (o.Machine, o.Kind)))
            if (FleetDrift.Use([.. use.Select(u => u.Rate)]) is { } mean) uses.Add(new UseRate(use.Key.Machine, use.Key.Kind, use.Count(), mean.Mean, Math.Sqrt(mean.VarianceOfMean)));
        return [.. uses.OrderBy(u => u.Kind).ThenBy(u => u.MmPer1000h)];
    }

    private static async Task<IReadOnlyList<LearnedVisit>> LearnedAsync(ZeroDriftContext data, List<Looked> engines, DateOnly today, CancellationToken cancelled = default)
    {
        var from = today.AddDays(-DaysLearned);
        var names = engines.ToDictionary(e => e.Id);
        var visits = await data.Visits.AsNoTracking().Where(v => v.State == VisitState.Signed && !v.Bench && v.Date >= from && v.Measured > 0).OrderByDescending(v => v.Date).Take(60).ToListAsync(cancelled);
        return [.. from visit in visits
                   where names.ContainsKey(visit.EngineId)
                   let engine = names[visit.EngineId]
                   let shift = engine.Content.Visits.FirstOrDefault(v => v.Visit == visit.Id)
                   select new LearnedVisit(visit.Id, visit.EngineId, engine.Name, visit.Date, visit.OutAsFound, visit.Measured, visit.Worst, visit.WorstMm, visit.WorstState, shift?.ShiftMm, shift is { Odd: true } && !visit.OutOfTrend)];
    }
}
