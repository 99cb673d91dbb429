using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core;
using ZeroDrift.Core.Shims;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Shims;
using ZeroDrift.Planning.Shims;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.Shims.Bench;

namespace ZeroDrift.Server.Shims.Jobs;

/// <summary>From what lies on the bench to a job that stands: inside the write gate, so that two people never lay out the same shim.</summary>
internal static class ShimDeciding
{
    public static async Task DecideAsync(ZeroDriftContext data, ShimJobRequest request, Guid id, string who, FleetDay day)
    {
        var view = await BenchView.OfAsync(data, request.Bench ?? throw new BadInputException("bench", "Say what lies on the bench."));
        var changes = view.Points.Zip(view.Bench.Rows).Where(p => p.Second.Shim is { From: not ShimSource.Own }).ToList();
        CheckSeen(request.Seen, changes.ToDictionary(c => c.Second.Point.Id, c => c.Second.Shim!.ShimMm));
        if (changes.Count == 0) throw new BadInputException("bench", "No shim changes: there is nothing to lay out or to order.");
        await CheckFreeAsync(data, view);
        var buys = changes.Exists(c => c.Second.Shim!.From == ShimSource.Buy);
        if (request.DrawerId is { } drawer && !await data.ShimDrawers.AnyAsync(d => d.Id == drawer && d.ClosedAt == null)) throw new BadInputException("drawerId", "There is no such drawer.");
        if (buys && request.DrawerId is null) throw new BadInputException("drawerId", "Say which drawer the bought ones come into.");
        var expected = buys ? request.ExpectedOn ?? throw new BadInputException("expectedOn", "Say when the ordered ones are expected.") : (DateOnly?)null;
        if (expected < day.Today.AddDays(-1) || expected > day.Today.AddYears(1)) throw new BadInputException("expectedOn", "The ordered ones can be expected from today to a year from now.");

        var job = new ShimJobRow { Id = id, SiteId = view.Engines[0].SiteId, DrawerId = request.DrawerId, Policy = System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName((request.Bench.Policy ?? ShimPolicy.LeaveGoodAlone).ToString()), ExpectedOn = expected, MadeAt = day.Now, Who = who };
        var over = view.Over().Select(o => o.Id).ToHashSet();
        var from = view.FromDrawers();
        var byId = view.Points.ToDictionary(p => p.Id);
        foreach (var ((engine, work, point), row) in changes)
        {
            var shim = row.Shim!;
            var place = new ShimPlaceRow
            {
                VisitId = engine.Stored.Row.Id,
                Point = work.Point.Label,
                Order = job.Places.Count,
                OldMm = row.Point.FittedMm!.Value,
                NewMm = shim.ShimMm,
                FoundMm = (row.Point.Ends.FromMm + row.Point.Ends.ToMm) / 2,
                PredictedMm = shim.PredictedMm,
                Origin = shim.From switch { ShimSource.Point => ShimOrigin.Point, ShimSource.Stock => ShimOrigin.Drawer, _ => ShimOrigin.Buy },
                FromPoint = shim.FromPoint is { } giver ? byId[giver].Work.Point.Label : null,
                FromVisitId = shim.FromPoint is { } giving ? byId[giving].Engine.Stored.Row.Id : null,
                OldIsOver = over.Contains(point),
            };
            if (from.TryGetValue(point, out var lies))
            {
                (place.DrawerId, place.ActId) = (lies.Drawer.Id, Guid.CreateVersion7());
                await ShimStock.KeepAsync(data, new ShimAct(ShimMovementKind.Out, lies.Drawer.Id, lies.Held.SizeMm, 1), new ShimSort(lies.Held.Access, lies.Held.DiameterMm),
                    new ShimMovementRow { ActId = place.ActId.Value, Written = lies.Held.Written, Unit = lies.Held.Unit, At = day.Now, Who = who, Why = $"Laid out for {engine.Name}, {work.Point.Label}." }, lies.Held.KnownBy);
            }
            job.Places.Add(place);
        }
        if (buys) job.Events.Add(new ShimJobEventRow { ActId = Guid.CreateVersion7(), Kind = ShimJobEventKind.Ordered, At = day.Now, Who = who });
        data.ShimJobs.Add(job);
        await FitJobs.WaitForShimsAsync(data, view.Engines.Select(e => e.Stored.Row.EngineId), job, day);
        await data.SaveChangesAsync();
    }

    /// <summary>Between looking and deciding somebody may have taken a shim or measured a point.</summary>
    private static void CheckSeen(IReadOnlyList<ShimSeenRequest?>? seen, Dictionary<string, double> changes)
    {
        var looked = (seen ?? throw new BadInputException("seen", "Say which points change, as they were seen.")).Where(s => s?.Point is not null).ToList();
        var same = looked.Count == changes.Count && looked.TrueForAll(s => changes.TryGetValue(s!.Point!, out var mm) && Math.Abs(mm - (s.ShimMm ?? 0)) < 1e-6);
        if (!same) throw new ConflictException("changed", "seen", "A drawer or a point has changed since you looked: nothing was laid out. Look at it as it is now, and decide again.");
    }

    /// <summary>A visit has one job under way.</summary>
    private static async Task CheckFreeAsync(ZeroDriftContext data, BenchView view)
    {
        var visits = view.Engines.Select(e => e.Stored.Row.Id).ToList();
        foreach (var job in await data.ShimJobs.AsNoTracking().Include(j => j.Places).Include(j => j.Events).Where(j => j.Places.Any(p => visits.Contains(p.VisitId))).ToListAsync())
        {
            if (job.Events.Exists(e => e.Kind == ShimJobEventKind.Dropped)) continue;
            var taken = view.Engines.First(e => job.Places.Exists(p => p.VisitId == e.Stored.Row.Id));
            throw new ConflictException("decided", "bench.visits", $"The shims of {taken.Name} are decided already, by {job.Who}. Drop that first.", new System.Text.Json.Nodes.JsonObject { ["jobId"] = job.Id.ToString() });
        }
        if (view.Engines.FirstOrDefault(e => e.Visit is { State: VisitState.Signed, StartsClock: true }) is { } closed)
            throw new BadInputException("bench.visits", $"{closed.Name} was closed with nothing waiting: open it anew and measure.");
    }
}
