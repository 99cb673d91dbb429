using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Shims;
using ZeroDrift.Data;
using ZeroDrift.Data.Shims;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.Shims.Jobs;

namespace ZeroDrift.Server.Shims.Ahead;

/// <summary>What engines are likely to want, and how much adjustment they have left.</summary>
internal static class AheadEndpoints
{
    /// <summary>Beyond this nobody carries a shim by a forecast, days.</summary>
    private const int MostDays = 730;

    public static void MapShimsAhead(this IEndpointRouteBuilder api)
    {
        api.MapGet("/engines/{id:guid}/left", LeftView.OfAsync).WithTags("Engines").WithName("engine-left").Refuses(404);
        api.MapGet("/engines/{id:guid}/shims", OfEngine).WithTags("Shims").WithName("engine-shims").Refuses(404);
        api.MapGet("/sites/{id:guid}/shims-to-hold", OfSite).WithTags("Shims").WithName("site-shims").Refuses(404);
    }

    public static async Task<EngineShimsResponse> OfEngine(Guid id, ZeroDriftContext data, Yard yard, FleetDay day, CancellationToken cancelled)
    {
        var row = (await yard.AllAsync(data, id, cancelled)).FirstOrDefault() ?? throw new NotFoundException("There is no such engine.");
        var shims = await ShimsAhead.LoadAsync(data, id, day.Today, cancelled) ?? throw new NotFoundException($"{row.Name} has no shims.");
        var due = Due(row, day.At(id), MostDays);
        var decided = Decided(await ShimJobEndpoints.List(data, id, true, cancelled), id);
        var after = shims.After(HoursUntil(row, due ?? day.At(id), day.At(id))).Where(p => !decided.Contains(p.Point)).ToList();
        return new EngineShimsResponse
        {
            Access = shims.Access,
            DiameterMm = shims.Type.Facts.ShimDiameterMm,
            DueOn = due,
            Carry = [.. ShimForecast.Of(after).Select(s => new SizeWantedResponse(s.SizeMm, s.Odds, s.Expected, s.Points))],
            NotKnown = [.. shims.Points.Select(p => p.Point).Except(after.Select(a => a.Point)).Except(decided)],
            Decided = decided,
            JobId = await data.ShimJobs.AsNoTracking().Where(j => j.Places.Any(p => data.Visits.Any(v => v.Id == p.VisitId && v.EngineId == id)) && j.Events.All(e => e.Kind != Data.Model.ShimJobEventKind.Dropped)).OrderByDescending(j => j.MadeAt).Select(j => (Guid?)j.Id).FirstOrDefaultAsync(cancelled),
        };
    }

    /// <summary>For every engine of a site that falls due within a year, with what its drawers hold.</summary>
    public static async Task<SiteShimsResponse> OfSite(Guid id, ZeroDriftContext data, Yard yard, FleetDay day, CancellationToken cancelled)
    {
        var site = await data.Sites.AsNoTracking().FirstOrDefaultAsync(s => s.Id == id, cancelled) ?? throw new NotFoundException("There is no such site.");
        var until = day.Today.AddYears(1);
        var wants = new List<(ShimSort Sort, PointAtNext Point)>();
        var (engines, notKnown) = (new List<string>(), new List<string>());
        var rows = (await yard.AllAsync(data, cancelled: cancelled)).Where(r => r.Site == site.Name).ToList();
        var ahead = await ShimsAhead.LoadAsync(data, [.. rows.Select(r => r.EngineId)], day.Today, cancelled);
        var jobs = await ShimJobEndpoints.List(data, null, true, cancelled);
        foreach (var row in rows)
        {
            var today = day.At(row.EngineId);
            if (Due(row, today, until.DayNumber - today.DayNumber) is not { } due || !ahead.TryGetValue(row.EngineId, out var shims)) continue;
            var decided = Decided(jobs, row.EngineId);
            var after = shims.After(HoursUntil(row, due, today)).Where(p => !decided.Contains(p.Point)).ToList();
            wants.AddRange(after.Select(p => (ShimSort.Of(shims.Access, shims.Type.Facts.ShimDiameterMm), p)));
            (after.Count + decided.Count > 0 ? engines : notKnown).Add(row.Name);
        }
        var drawers = await data.ShimDrawers.AsNoTracking().Where(d => d.SiteId == id && d.ClosedAt == null).Select(d => d.Id).ToListAsync(cancelled);
        var held = await ShimStock.HeldAsync(data, drawers);
        return new SiteShimsResponse(site.Name, until, engines, notKnown, [.. from size in ShimForecast.Hold(wants)
            let have = held.Where(h => h.Sort.Fits(size.Sort) && Math.Abs(h.SizeMm - size.SizeMm) < 5e-5).Sum(h => h.Count)
            select new HoldResponse(size.Sort.Access, size.Sort.DiameterMm, size.SizeMm, size.Hold, size.Expected, have)]);
    }

    /// <summary>Points whose shim is decided and laid out or on order: nobody carries another for them.</summary>
    private static IReadOnlyList<string> Decided(IReadOnlyList<ShimJobResponse> jobs, Guid engineId) =>
        [.. from job in jobs
            from place in job.Places
            where !place.Fitted && job.Engines.Any(e => e.VisitId == place.VisitId && e.EngineId == engineId)
            select place.Point];

    /// <summary>The day the engine is due, overdue ones today; null where nothing calls for it so soon.</summary>
    private static DateOnly? Due(DueRow row, DateOnly today, int days) =>
        row.Decides is not { Rule: not Core.Hours.DueRule.Nothing, Date: { } date } ? null : date < today ? today : date.DayNumber - today.DayNumber <= days ? date : null;

    private static double HoursUntil(DueRow row, DateOnly due, DateOnly today) => row.HoursPerWeek / 7 * (due.DayNumber - today.DayNumber);
}
