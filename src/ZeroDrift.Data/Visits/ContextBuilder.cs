using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Outlooks;

namespace ZeroDrift.Data.Visits;

/// <summary>Puts together all that a visit of an engine will rest on.</summary>
public static class ContextBuilder
{
    /// <summary>The context of an engine on a day; null where there is no such engine.</summary>
    public static async Task<ContextRecord?> BuildAsync(ZeroDriftContext data, Guid engineId, DateOnly day)
    {
        var engine = await data.Engines.AsNoTracking().Include(e => e.Machine!.Site).FirstOrDefaultAsync(e => e.Id == engineId);
        if (engine is null) return null;
        var type = await data.WholeTypes.FirstAsync(t => t.Id == engine.EngineTypeId);
        var fleet = await data.SettingsAsync();
        var people = await data.People.AsNoTracking().Where(p => p.ArchivedAt == null).OrderBy(p => p.Name).ToListAsync();
        var meter = await data.MeterAsync(engineId);
        var outlook = await data.Outlooks.AsNoTracking().Where(o => o.EngineId == engineId).Select(o => o.Content).FirstOrDefaultAsync() is { } content ? OutlookContent.Of(content) : null;
        var own = await data.EngineFigures.AsNoTracking().Where(f => f.EngineId == engineId && f.WithdrawnAt == null).ToListAsync();
        var record = Of(engine, type, fleet, people, type.InForceByCondition(day), own);
        var waiting = await WaitingPoints.OfAsync(data, engineId);
        var history = meter.ToHistory();
        return record with
        {
            Meter = history.Last is { } last ? new ContextMeterRecord(last.Date, last.EndsAt, history.Offset) : null,
            OwnFeel = [.. (await Hands.KnownAsync(data, fleet.FeelSdMm)).OrderBy(f => f.Key).Select(f => new OwnFeelRecord(f.Key, f.Value))],
            Creep = await Locknuts.OfTypeAsync(data, type.Id),
            NextVisitHours = NextVisit(type, outlook?.Usage ?? Usage.Of([], day, engine.DutyHoursPerDay, engine.MonthlyWeights), day),
            SharedSdMm = outlook?.SharedSdMm ?? 0,
            Expected = outlook is null ? [] : [.. outlook.Points.Select(p => p.ToExpected()).OfType<ExpectedRecord>()],
            Awaiting = waiting.FirstOrDefault(),
            Waiting = waiting,
            Marks = await EngineMarks.OfAsync(data, engineId),
        };
    }

    /// <summary>Engine hours to the next visit the book asks for, counted from today's.</summary>
    private static double? NextVisit(EngineTypeRow type, Usage usage, DateOnly today) =>
        new[] { type.Facts.BookHours, type.Facts.BookMonths is { } months ? usage.HoursBetween(today, today.AddMonths(months)) : null }.Min();

    /// <summary>The same from what is at hand, without what the record expects: for visits written as a whole.</summary>
    public static ContextRecord Of(EngineRow engine, EngineTypeRow type, FleetRow fleet, IReadOnlyList<PersonRow> people, IReadOnlyList<SpecRevisionRow> revisions, IReadOnlyList<EngineFigureRow>? own = null)
    {
        var core = type.ToCore();
        return new ContextRecord
        {
            Engine = new ContextEngineRecord(engine.Id, engine.Name, engine.Machine!.Kind, engine.Machine.Name, engine.Machine.Registration, engine.Machine.Site!.Name, engine.SerialNumber, engine.Rating),
            Type = new ContextTypeRecord(type.Facts)
            {
                Id = type.Id,
                Code = type.Code,
                Name = type.Name,
                FiringOrder = core.Order.Cylinders,
                Timing = type.Timing,
                BookStops = [.. core.BookStops.Select(s => new Contract.Calls.BookStopRequest(s.CrankDeg, [.. s.Set.Select(p => new Contract.Calls.PointRequest(p.Cylinder, p.Kind))]))],
                Uniflow = type.Uniflow,
                PastTdc = core.PastTdc,
                Fasteners = type.Kit().Fasteners,
            },
            Points = [.. type.Points.OrderBy(p => p.Order).Zip(core.Points).Select(p => new ContextPointRecord(p.First.Id, p.First.Label, p.First.Cylinder, p.First.Kind, p.First.Place, p.First.Bank, p.First.Along, p.Second.Adjuster.ToRecord(), p.Second.Bridge is not null, p.First.BookName, p.First.BridgeScrew))],
            Demands = [.. revisions.Select(r => Demands(r, type, fleet, own))],
            People = [.. people.Select(p => new PersonRecord(p.Id, p.Name, p.Initials))],
            Steps = [.. Cautions.Steps(engine.Machine.Has, core, type.StepsOf(core), type.Kit()).Select(s => new StepRecord(s.Key, s.List, s.Text, s.Asks, s.Point, s.CrankDeg, s.Counts, s.Pair, s.ByStarter, s.OnlyJob) { Places = s.Places, Must = s.Must, AfterFitting = s.AfterFitting })],
            Rules = VisitContext.NewestRules,
            Expected = [],
            Foremost = Cautions.Foremost,
            FleetRisk = fleet.Risk,
            FeelSdMm = fleet.FeelSdMm,
        };
    }

    /// <summary>What a revision asks of every point; a figure of the engine's own goes before it.</summary>
    internal static ContextDemandsRecord Demands(SpecRevisionRow revision, EngineTypeRow type, FleetRow fleet, IReadOnlyList<EngineFigureRow>? own = null)
    {
        var lines = OwnFigures.Over(revision, own);
        var demands = DemandMapping.Demands(lines.Select(l => l.Line), fleet);
        return new ContextDemandsRecord(revision.Id, revision.Revision, revision.Source, revision.Date, revision.Condition,
            [.. from point in type.Points.OrderBy(p => p.Order)
                let line = lines.FirstOrDefault(l => l.Line.Kind == point.Kind)
                where line.Line is not null
                let demand = demands[point.Kind]
                select new PointDemandRecord(point.Label, demand.ToRecord(), line.Line.Written(), demand is Core.Judging.Demand.Gap { FleetTolerance: true }, line.Line.Unit,
                    line.Own is { } why ? new OwnFigureRecord(why.Who, why.Why, why.Source, why.Date) : null)]);
    }
}
