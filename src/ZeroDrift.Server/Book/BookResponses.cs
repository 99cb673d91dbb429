using ZeroDrift.Contract.Calls;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Turning;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Server.Book;

internal static class BookResponses
{
    public static EngineTypeResponse Of(EngineTypeRow row, FleetRow fleet, DateOnly today)
    {
        var inForce = row.InForceByCondition(today).Select(r => r.Id).ToHashSet();
        var core = row.ToCore();
        return new EngineTypeResponse(row.Facts)
        {
            Id = row.Id,
            Code = row.Code,
            Name = row.Name,
            FiringOrder = core.Order.Cylinders,
            TimingKnown = row.Timing is not null,
            Timing = core.Timing,
            Banks = row.Banks,
            Layout = row.Layout,
            Assumed = row.Assumed,
            LettersSpeltOut = row.Facts.Letters.SpeltOut(),
            Uniflow = row.Uniflow,
            ByKind = [.. row.ByKind.Select(k => new KindStyleDto(k.Kind, k.Adjuster, k.PitchMm, k.ClearancePerTravel, k.ClockwiseCloses))],
            Steps = [.. row.StepsOf(core).Select(s => new TypeStepDto { Key = s.Key, List = s.List, Text = s.Text, Kind = s.Kind, Points = s.Points, CrankDeg = s.CrankDeg, Counts = s.Counts, Pair = s.Pair, Asks = s.Asks, OnlyJob = s.OnlyJob, Places = s.Places, AfterFitting = s.AfterFitting })],
            OwnSteps = row.OwnSteps,
            Fasteners = [.. row.Fasteners.Select(f => new FastenerDto(f.Use, f.Size, f.TorqueNm, f.Count))],
            Gaskets = [.. row.Gaskets.Select(g => new GasketDto(g.Name, g.Count, g.SingleUse))],
            ScarceTools = row.ScarceTools,
            Kit = Core.Visits.Kit.Of(core, row.Kit()),
            PastTdcDeg = core.PastTdc is { Degrees: > 0 } past ? past.Degrees : null,
            Methods = TurningMethods.AllowedBy(core),
            BookStops = [.. row.BookStops.Select(s => new BookStopDto(s.CrankDeg, s.Points))],
            Archived = row.ArchivedAt is not null,
            Version = row.Version,
            Points = Points(row),
            Revisions = [.. row.Revisions.OrderByDescending(r => r.Date).Select(r => new RevisionResponse(r.Id, r.Revision, r.Source, r.Date, r.Condition, inForce.Contains(r.Id), Figures(r.Lines, fleet), r.Photo))],
            Plan = TurningPlanResponse.Of(core.Turning(), core.Plan()),
        };
    }

    public static IReadOnlyList<LashPointResponse> Points(EngineTypeRow row) =>
        [.. row.Points.OrderBy(p => p.Order).Select(p => new LashPointResponse(p.Id, p.Label, p.Cylinder, p.Kind, p.Place, p.Adjuster, p.Bank, p.Along, p.BookName, p.BridgeScrew))];

    public static IReadOnlyList<SpecFiguresResponse> Figures(IReadOnlyList<SpecLineRow> lines, FleetRow fleet)
    {
        var demands = DemandMapping.Demands(lines, fleet);
        return [.. lines.Select(line =>
        {
            var gap = demands[line.Kind] as Demand.Gap;
            return new SpecFiguresResponse(line.Kind, gap?.Window.MinMm, gap?.Window.MaxMm, gap?.AimMm, gap?.FleetTolerance ?? false, line.Written(), line.Unit, gap?.AimIsOurs ?? false);
        })];
    }
}
