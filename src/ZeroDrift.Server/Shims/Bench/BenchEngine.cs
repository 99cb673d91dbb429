using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Shims;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Shims;
using ZeroDrift.Data.Visits;
using ZeroDrift.Planning.Shims.Bench;
using ZeroDrift.Server.Errors;

namespace ZeroDrift.Server.Shims.Bench;

/// <summary>A shim as the record knows it.</summary>
internal sealed record KnownShim(double Mm, ShimKnownBy How, string? Mark, DateOnly? Since);

/// <summary>One engine as a bench needs it: its visit, and of each shim point what was measured and what sits there.</summary>
internal sealed class BenchEngine
{
    /// <summary>Hours below which drift has nothing to offer over the book's figure.</summary>
    private const double LeastGainHours = 100;

    private BenchEngine(StoredVisit stored, string name, Guid siteId, string site, double? diameterMm)
    {
        (Stored, Name, SiteId, Site, DiameterMm) = (stored, name, siteId, site, diameterMm);
        Visit = stored.Visit;
        Shims = [.. Visit.Work.Where(w => w.Point.Adjuster is Adjuster.Shim && (Visit.Opened!.Continues is null || w.FoundBefore is not null))];
    }

    public StoredVisit Stored { get; }
    public Visit Visit { get; }
    public string Name { get; }
    public Guid SiteId { get; }
    public string Site { get; }
    public double? DiameterMm { get; }

    /// <summary>Its points with a shim; of a visit that goes on with another only those that waited.</summary>
    public IReadOnlyList<PointWork> Shims { get; }

    private IReadOnlyList<ShimVisit> history = [];

    public ShimAccess Access => ((Adjuster.Shim)Shims[0].Point.Adjuster).Access;

    public ShimSort Sort => new(Access, DiameterMm);

    public IReadOnlyList<double> SizesMm => [.. Shims.SelectMany(s => ((Adjuster.Shim)s.Point.Adjuster).SizesMm).Distinct().Order()];

    /// <summary>Loads one.</summary>
    /// <exception cref="NotFoundException">No such visit.</exception>
    /// <exception cref="BadInputException">Field <c>visits</c>: no shims there, or given up.</exception>
    public static async Task<BenchEngine> LoadAsync(ZeroDriftContext data, Guid visitId, CancellationToken cancelled = default)
    {
        var stored = await VisitReader.LoadAsync(data, visitId) ?? throw new NotFoundException("There is no such visit: nobody has opened it.");
        var engine = await data.Engines.AsNoTracking().Include(e => e.Machine!.Site).Include(e => e.EngineType).FirstAsync(e => e.Id == stored.Row.EngineId, cancelled);
        var bench = new BenchEngine(stored, engine.Name, engine.Machine!.SiteId, engine.Machine.Site!.Name, engine.EngineType!.Facts.ShimDiameterMm);
        if (bench.Shims.Count == 0) throw new BadInputException("visits", $"{engine.Name} has no shims to decide on.");
        if (stored.Row.State == VisitState.Abandoned) throw new BadInputException("visits", $"The visit of {engine.Name} was given up; its figures decide nothing.");
        bench.history = [.. (await ShimHistory.OfAsync(data, [engine.Id], visitId))[engine.Id]];
        return bench;
    }

    /// <summary>The point for the bench.</summary>
    /// <param name="work">Its work.</param>
    /// <param name="id">Its name on the bench.</param>
    /// <param name="keepLoose">Aim where drift says that it lasts longest.</param>
    public BenchPoint Point(PointWork work, string id, bool keepLoose) =>
        new(id, (Adjuster.Shim)work.Point.Adjuster, Visit.DemandOf(work) as Demand.Gap, Gap(work), Known(work)?.Mm, keepLoose ? LooseAim(work) : null);

    /// <summary>A figure looser than the book's that lasts longer; null where drift offers none.</summary>
    public double? LooseAim(PointWork work) =>
        Visit.DemandOf(work) is Demand.Gap gap && Stored.Context.Record.Expected.FirstOrDefault(e => e.Point == work.Point.Label) is { AimMm: { } aim, AimGainHours: > LeastGainHours } && aim > gap.AimMm && gap.Window.Holds(aim) ? aim : null;

    /// <summary>The shim there now: read at this visit, else as an earlier one left it.</summary>
    public KnownShim? Known(PointWork work)
    {
        if (work.ShimNowMm is { } mm) return new KnownShim(mm, work.ShimNow?.How ?? ShimKnownBy.Printed, work.ShimMark?.Thickness, null);
        if (work.Fitted is not null || history.Last(work.Point.Label) is not { } last) return null;
        return new KnownShim(last.Shim.ShimMm!.Value, last.Shim.KnownBy ?? ShimKnownBy.Printed, last.Shim.Mark, last.Date);
    }

    /// <summary>How the point was found, as the visit itself judges it; null where nothing is measured or nothing is asked.</summary>
    public VerdictState? State(PointWork work) => IsEarlier(work) ? Visit.FoundBeforeState(work) : Visit.Judge(Measured(work), work)?.State;

    /// <summary>The gap with the shim that is there; none where the point was cut, or another shim went in, after it was measured.</summary>
    private Reading? Gap(PointWork work) => IsEarlier(work) ? work.FoundBefore?.Value : Measured(work)?.ValueOrNothing();

    /// <summary>It was measured at the visit this one goes on with, and nothing was changed since.</summary>
    private static bool IsEarlier(PointWork work) => work.GapWithShim is null && work.Fitted is null;

    private ReadingWork? Measured(PointWork work)
    {
        var since = Visit.Parts.Where(p => p.Concerns(work.Point.Label, work.Point.Cylinder)).Max(p => p.Sequence);
        return since > work.GapWithShim?.Kept?.Sequence ? null : work.GapWithShim;
    }
}
