using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Calls;
using ZeroDrift.Core;
using ZeroDrift.Core.Shims;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Planning.Shims;
using ZeroDrift.Planning.Shims.Bench;
using ZeroDrift.Server.Shims.Drawers;

namespace ZeroDrift.Server.Shims.Bench;

/// <summary>What lies on the bench: engines of one site, their points, the drawers, and which shim would go where.</summary>
internal sealed class BenchView
{
    private const int MostPoints = 64;

    private readonly BenchRequest request;
    private readonly List<BenchEngine> engines = [];
    private IReadOnlyList<DrawerResponse> drawers = [];
    private Dictionary<Guid, string> people = [];

    private BenchView(BenchRequest request) => this.request = request;

    public IReadOnlyList<BenchEngine> Engines => engines;

    public IReadOnlyList<DrawerResponse> Drawers => drawers;

    /// <summary>The points with their engines, in order.</summary>
    public IReadOnlyList<(BenchEngine Engine, PointWork Work, string Id)> Points { get; private set; } = [];

    /// <summary>The decision.</summary>
    public ShimBench Bench { get; private set; } = null!;

    /// <summary>Works it out.</summary>
    /// <exception cref="BadInputException">Visits that cannot share a bench; pins that cannot all hold.</exception>
    public static async Task<BenchView> OfAsync(ZeroDriftContext data, BenchRequest request, CancellationToken cancelled = default)
    {
        var view = new BenchView(request);
        var ids = request.Visits is { Count: > 0 } given ? given.Distinct().ToList() : throw new BadInputException("visits", "Say which visits: 1 or more.");
        foreach (var id in ids) view.engines.Add(await BenchEngine.LoadAsync(data, id));
        view.CheckShare();
        view.people = await data.People.AsNoTracking().ToDictionaryAsync(p => p.Id, p => p.Name, cancelled);
        view.drawers = await view.DrawersAsync(data);
        view.Points = [.. view.engines.SelectMany(e => e.Shims.Select(w => (e, w, view.engines.Count == 1 ? w.Point.Label : $"{e.Name} {w.Point.Label}")))];
        if (view.Points.Count > MostPoints) throw new BadInputException("visits", $"At most {MostPoints} points are decided at once; these have {view.Points.Count}. Take fewer engines together.");
        view.Bench = ShimBench.Of(
            request.Policy ?? ShimPolicy.LeaveGoodAlone,
            [.. view.Points.Select(p => p.Engine.Point(p.Work, p.Id, request.KeepLoose == true))],
            [.. view.drawers.SelectMany(d => d.Held).Select(h => new LooseShims(h.SizeMm, h.Count))],
            view.BuyMm,
            [.. (request.Pins ?? []).Select((p, i) => new ShimPin(Contract.Input.Given.Text(p?.Point, $"pins[{i}].point", "the point"), Contract.Input.Given.Number(p!.ShimMm, $"pins[{i}].shimMm", "the thickness it gets, in mm")))],
            view.engines[0].Visit.Unit);
        return view;
    }

    private IReadOnlyList<double> BuyMm => request.BuyMm ?? [.. engines.SelectMany(e => e.SizesMm).Distinct().Order()];

    /// <summary>For the screen.</summary>
    public async Task<BenchResponse> ResponseAsync(ZeroDriftContext data, CancellationToken cancelled = default)
    {
        var fromDrawers = FromDrawers();
        var rows = Points.Zip(Bench.Rows).Select(p => Point(p.First.Engine, p.First.Work, p.Second, fromDrawers)).ToList();
        var visits = engines.Select(e => e.Stored.Row.Id).ToList();
        return new BenchResponse
        {
            Policy = request.Policy ?? ShimPolicy.LeaveGoodAlone,
            KeepLoose = request.KeepLoose == true,
            CanKeepLoose = engines.Exists(e => e.Shims.Any(w => e.LooseAim(w) is not null)),
            Access = engines[0].Access,
            Engines = [.. engines.Select(Engine)],
            Points = rows,
            Buy = [.. (Bench.Allocation?.Buy ?? []).Select(b => new BenchBuy(b.SizeMm, b.Count, [.. rows.Where(r => r.From == ShimSource.Buy && Same(r.ShimMm!.Value, b.SizeMm)).Select(r => r.Id)]))],
            Spare = [.. Over().GroupBy(o => o.Mm).OrderBy(g => g.Key).Select(g => new BenchSpare(g.Key, g.Count(), [.. g.Select(o => o.Id)]))],
            Drawers = drawers,
            BuyMm = BuyMm,
            Outside = Bench.Allocation?.Outside ?? 0,
            Bought = Bench.Allocation?.Bought ?? 0,
            Moved = Bench.Allocation?.Moved ?? 0,
            DeviationMm = Bench.Allocation?.DeviationMm ?? 0,
            Others = await OthersAsync(data, cancelled),
            JobId = await data.ShimJobs.AsNoTracking().Where(j => j.Places.Any(p => visits.Contains(p.VisitId)) && j.Events.All(e => e.Kind != Data.Model.ShimJobEventKind.Dropped)).OrderByDescending(j => j.MadeAt).Select(j => (Guid?)j.Id).FirstOrDefaultAsync(cancelled),
        };
    }

    /// <summary>Shims that come out and are wanted nowhere, with the points they come from.</summary>
    public IReadOnlyList<(string Id, double Mm)> Over()
    {
        var given = Bench.Rows.Where(r => r.Shim?.From == ShimSource.Point).Select(r => r.Shim!.FromPoint).ToHashSet();
        return [.. Bench.Rows.Where(r => r.Shim is { } s && s.From != ShimSource.Own && !given.Contains(r.Point.Id)).Select(r => (r.Point.Id, r.Point.FittedMm!.Value))];
    }

    /// <summary>Which drawer gives the shim of a point: the first by name that has one left.</summary>
    public IReadOnlyDictionary<string, (DrawerResponse Drawer, HeldResponse Held)> FromDrawers()
    {
        var left = drawers.SelectMany(d => d.Held.Select(h => (Drawer: d, Held: h, Left: new int[] { h.Count }))).ToList();
        var got = new Dictionary<string, (DrawerResponse, HeldResponse)>(StringComparer.Ordinal);
        foreach (var row in Bench.Rows.Where(r => r.Shim?.From == ShimSource.Stock))
        {
            var (drawer, held, count) = left.First(l => l.Left[0] > 0 && Same(l.Held.SizeMm, row.Shim!.ShimMm));
            count[0]--;
            got[row.Point.Id] = (drawer, held);
        }
        return got;
    }

    private static bool Same(double one, double other) => Math.Abs(one - other) <= 5e-7;

    private void CheckShare()
    {
        if (engines.Exists(e => e.SiteId != engines[0].SiteId)) throw new BadInputException("visits", $"{engines[0].Name} and {engines.First(e => e.SiteId != engines[0].SiteId).Name} are not at one site; their shims are decided apart.");
        if (engines.Exists(e => !e.Sort.Fits(engines[0].Sort)))
            throw new BadInputException("visits", "These engines take shims of different sorts; decide each sort by itself.");
        if (engines.Select(e => e.Stored.Row.EngineId).Distinct().Count() < engines.Count) throw new BadInputException("visits", "Two of these visits are of the same engine; take the newer one.");
    }

    /// <summary>What fits here: the same place, and the same diameter where both are known.</summary>
    private async Task<IReadOnlyList<DrawerResponse>> DrawersAsync(ZeroDriftContext data, CancellationToken cancelled = default)
    {
        var site = engines[0].Site;
        var all = (await DrawerEndpoints.List(data, cancelled)).Where(d => request.Drawers is { } chosen ? chosen.Contains(d.Id) : d.Site == site);
        List<DrawerResponse> open = [.. all.Select(d => d with { Held = [.. d.Held.Where(Fits)] })];
        var tray = await TrayAsync(data, cancelled);
        return tray.Held.Count > 0 ? [.. open, tray] : open;

        bool Fits(HeldResponse held) => engines.TrueForAll(e => e.Sort.Fits(new ShimSort(held.Access, held.DiameterMm)));
    }

    /// <summary>What a job under way has laid out for these engines and nobody has fitted yet: it lies in no drawer, but it is at hand here.</summary>
    private async Task<DrawerResponse> TrayAsync(ZeroDriftContext data, CancellationToken cancelled = default)
    {
        var visits = engines.Select(e => e.Stored.Row.Id).ToList();
        var laid = await data.ShimPlaces.AsNoTracking().Where(p => visits.Contains(p.VisitId) && p.ActId != null && !data.ShimJobEvents.Any(e => e.JobId == p.JobId && e.Kind == Data.Model.ShimJobEventKind.Dropped)).ToListAsync(cancelled);
        var waiting = laid.Where(p => engines.First(e => e.Stored.Row.Id == p.VisitId).Shims.Any(w => w.Point.Label == p.Point && w.Fitted is null)).GroupBy(p => p.NewMm).OrderBy(g => g.Key);
        return new DrawerResponse(Guid.Empty, "the tray", engines[0].Site, Data.Model.ShimDrawerKind.Place,
            [.. waiting.Select(g => new HeldResponse(engines[0].Access, engines[0].DiameterMm, g.Key, g.Count(), ShimKnownBy.Printed, ShimLedger.Written(g.Key), "mm"))]);
    }

    /// <summary>Other engines of the site measured and not closed: open, or with points that wait.</summary>
    private async Task<IReadOnlyList<BenchOther>> OthersAsync(ZeroDriftContext data, CancellationToken cancelled = default)
    {
        var here = engines.Select(e => e.Stored.Row.EngineId).ToList();
        var site = engines[0].SiteId;
        var kind = engines[0].Access switch { Core.Engines.ShimAccess.OnTop => Core.Engines.AdjusterKind.ShimOnTop, Core.Engines.ShimAccess.UnderBucket => Core.Engines.AdjusterKind.ShimUnderBucket, _ => Core.Engines.AdjusterKind.Puck };
        var found = await data.Visits.AsNoTracking().Where(v => v.Engine!.Machine!.SiteId == site && !here.Contains(v.EngineId) && v.Engine.ArchivedAt == null && v.Measured > 0 && !v.Bench
                && v.Engine.EngineType!.Points.Any(p => p.Adjuster == kind)
                && (v.State == VisitState.Open || (v.State == VisitState.Signed && !v.StartsClock && v.Job == JobKind.Overhead)))
            .OrderByDescending(v => v.Key).Select(v => new { v.Id, v.EngineId, v.Engine!.Name, v.Date, Last = data.Visits.Where(o => o.EngineId == v.EngineId && o.State != VisitState.Abandoned).Max(o => o.Key), v.Key }).ToListAsync(cancelled);
        return [.. found.Where(v => v.Key == v.Last).Select(v => new BenchOther(v.Id, v.Name, v.Date))];
    }

    private BenchEngineResponse Engine(BenchEngine engine)
    {
        var visit = engine.Visit;
        var unit = engine.Stored.Context.Record.Demands.FirstOrDefault(d => d.Condition == visit.Demands?.Condition)?.Points.FirstOrDefault()?.Unit ?? "mm";
        return new BenchEngineResponse
        {
            VisitId = engine.Stored.Row.Id,
            EngineId = engine.Stored.Row.EngineId,
            Engine = engine.Name,
            Site = engine.Site,
            TypeName = engine.Stored.Context.Record.Type.Name,
            State = visit.State,
            Date = visit.Opened!.Date,
            MeasuredBy = people.GetValueOrDefault(visit.Opened.By),
            Condition = visit.Condition?.Condition,
            TemperatureC = visit.Condition?.EngineTemperatureC,
            Unit = unit,
            SizesMm = engine.SizesMm,
            DiameterMm = engine.DiameterMm,
            Meanwhile = Meanwhile(engine),
        };
    }

    /// <summary>What running before its shims are in may do.</summary>
    public string? Meanwhile(BenchEngine engine) => ShimJob.Meanwhile(
        [.. from point in Points.Zip(Bench.Rows)
            where point.First.Engine == engine && point.Second.Point is { Demand: not null, Gap: not null }
            let gap = point.Second.Point.Gap!
            let most = gap.MiddleMm?.Millimetres ?? gap.UpperMm?.Millimetres
            where most is not null
            select (point.First.Work.Point.Label, point.First.Work.Point.Kind, most.Value, point.Second.Point.Demand!.Window)],
        engine.Visit.Context.Facts.Spark);

    private BenchPointResponse Point(BenchEngine engine, PointWork work, BenchRow row, IReadOnlyDictionary<string, (DrawerResponse Drawer, HeldResponse Held)> fromDrawers)
    {
        var known = engine.Known(work);
        var point = row.Point;
        var (from, to) = point.Gap is not { } gap ? (null, null) : gap.MiddleMm is null ? (gap.LowerMm?.Millimetres, gap.UpperMm?.Millimetres) : ((double?)point.Ends.FromMm, (double?)point.Ends.ToMm);
        return new BenchPointResponse
        {
            Id = point.Id,
            VisitId = engine.Stored.Row.Id,
            Label = work.Point.Label,
            Kind = work.Point.Kind,
            Standing = point.Standing,
            MinMm = point.Demand?.Window.MinMm,
            MaxMm = point.Demand?.Window.MaxMm,
            TargetMm = point.Demand is null ? null : point.TargetMm,
            GapFromMm = from,
            GapToMm = to,
            GapMm = point.Gap?.MiddleMm?.Millimetres,
            State = engine.State(work),
            FittedMm = point.FittedMm,
            KnownBy = known?.How,
            Mark = known?.Mark,
            KnownSince = known?.Since,
            ShimMm = row.Shim?.ShimMm,
            From = row.Shim?.From,
            FromPoint = row.Shim?.FromPoint,
            DrawerId = fromDrawers.TryGetValue(point.Id, out var drawer) ? drawer.Drawer.Id : null,
            PredictedMm = row.Shim?.PredictedMm,
            InWindow = row.Shim?.InWindow ?? false,
            Pinned = request.Pins?.Any(p => p?.Point == point.Id) == true,
            Wanted = row.Wanted is { } w ? new WantedResponse(w.ExactMm, w.MayFromMm, w.MayToMm, w.SurelyFromMm, w.SurelyToMm) : null,
            ThinnerMm = row.ThinnerMm,
            Why = row.Why,
            Short = row.Short is { } s ? new ShortResponse(s.ShortMm, s.Sentence, WayOutResponse.Of(s)!) : null,
            Options = row.Options,
        };
    }
}
