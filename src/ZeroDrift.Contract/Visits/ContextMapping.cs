using ZeroDrift.Contract.Calls;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Setting;
using ZeroDrift.Core.Visits;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Contract.Visits;

/// <summary>From a taken-along context to the core's.</summary>
public static class ContextMapping
{
    public static VisitContext ToCore(this ContextRecord record) => new()
    {
        EngineId = record.Engine.Id,
        Type = TypeOf(record),
        Demands = [.. record.Demands.Select(d => new ContextDemands(d.Revision, d.Source, d.Condition, d.Points.ToDictionary(p => p.Point, Demand, StringComparer.Ordinal)))],
        People = record.People.Select(p => p.Id).ToHashSet(),
        Steps = [.. record.Steps.Select(s => new VisitStep(s.Step, s.List, s.Text) { Point = s.Point, CrankDeg = s.CrankDeg is { } deg ? CrankAngle.Of(deg, record.Type.Cycle) : null, Counts = s.Counts, Pair = s.Pair, ByStarter = s.ByStarter, Asks = s.Asks, OnlyJob = s.OnlyJob, Places = s.Places, Must = s.Must, AfterFitting = s.AfterFitting })],
        Expected = record.Expected.Where(e => e is { ClearanceMm: not null, StandardUncertaintyMm: not null }).ToDictionary(e => e.Point, e => new ExpectedFigure(e.ClearanceMm!.Value, e.StandardUncertaintyMm!.Value), StringComparer.Ordinal),
        Facts = record.Type,
        Schools = Schools.Of(record.Type),
        Creep = record.Creep.Where(c => c.MeanMm is not null || c.CreepMm is not null).ToDictionary(c => c.Person, c => new LocknutCreep(c.MeanMm ?? -c.CreepMm!.Value, c.SdMm, c.Pairs)),
        Rules = record.Rules,
        Marks = [.. record.Marks.Select(m => new EngineMark(m.Name, m.CrankDeg, m.Trap))],
        FeelSdMm = record.FeelSdMm,
        OwnFeelSdMm = record.OwnFeel.ToDictionary(f => f.Person, f => f.SdMm),
        Prospects = record.Expected.ToDictionary(e => e.Point, e => new PointProspect(e.BeforeMm, e.BeforeHours, e.FromHere ?? (e is { MmPer1000h: { } rate, StandardErrorMmPer1000h: { } error } ? FreshAhead.Plain(rate, error) : null), e.AimMm, e.AimGainHours), StringComparer.Ordinal),
        FleetRisk = record.FleetRisk,
        NextVisitHours = record.NextVisitHours,
        SharedSdMm = record.SharedSdMm,
        Meter = record.Meter is { } m ? new ContextMeter(m.Date, EngineHours.Of(m.ShownHours, "meter.shownHours"), m.OffsetHours) : null,
        Waiting = [.. (record.Waiting ?? (record.Awaiting is { } newest ? [newest] : [])).Select(w => new WaitingVisit(w.VisitId, w.TotalHours,
            [.. w.Points.Select(p => new AwaitingPoint(p.Point, p.Found.ToCore(), p.Shim is { } shim ? new Core.Shims.PlannedShim(shim.OldMm, shim.NewMm, shim.Origin, shim.FromPoint) : null))]) { Job = w.Job ?? JobKind.Overhead })],
    };

    private static EngineType TypeOf(ContextRecord record)
    {
        var t = record.Type;
        return new EngineType
        {
            Order = FiringOrder.Of(t.FiringOrder, t.Cycle, t.FiringAnglesDeg),
            Timing = t.Timing ?? ValveTiming.Unknown,
            Uniflow = t.Uniflow ?? UniflowTiming.Unknown,
            PastTdc = t.PastTdc,
            Letters = t.Letters,
            RampGuardDeg = t.RampGuardDeg,
            Points = [.. record.Points.Select(p => new LashPoint(p.Label, p.Cylinder, p.Kind, p.Place, AdviceCall.Adjuster(p.Adjuster, pitchMayBeUnknown: true), p.Bank, p.Along, p.Bridge ? new Bridge(p.BridgeScrew) : null))],
            Method = t.Method,
            BookStops = [.. t.BookStops.Select((s, i) => new BookStop(CrankAngle.Of(s.CrankDeg, t.Cycle, $"bookStops[{i}].crankDeg", "A crank angle"), [.. (s.Set ?? []).Select((p, k) => p.ToRef($"bookStops[{i}].set[{k}]"))]))],
        };
    }

    private static Demand Demand(PointDemandRecord point)
    {
        var demand = AdviceCall.Demand(point.Demand, point.Unit);
        return demand is Demand.Gap gap ? gap with { FleetTolerance = point.FleetTolerance } : demand;
    }

    public static FigureView ToCore(this FigureRecord f) => new(f.Reading, MeasuringCalls.Known(f.LowerMm, f.UpperMm, f.EstimateMm) with { StandardUncertaintyMm = f.StandardUncertaintyMm }, f.By, f.At);
}
