using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Shims;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Shims;
using ZeroDrift.Server.Errors;

namespace ZeroDrift.Server.Shims.Jobs;

/// <summary>What happens to a job between the two visits, with what it does to the drawers.</summary>
internal static class ShimHappening
{
    public static async Task KeepAsync(ZeroDriftContext data, ShimJobRow job, ShimJobEventRow happened)
    {
        if (job.Events.Exists(e => e.Kind == ShimJobEventKind.Dropped)) throw new ConflictException("dropped", "kind", "This job was given up; nothing happens to it any more.");
        if (happened.VisitId is { } visit && !job.Places.Exists(p => p.VisitId == visit)) throw new BadInputException("visitId", "That visit is not of this job.");
        switch (happened.Kind)
        {
            case ShimJobEventKind.PartsIn:
                await PartsInAsync(data, job, happened);
                break;
            case ShimJobEventKind.Dropped:
                await DropAsync(data, job, happened);
                break;
        }
        job.Events.Add(happened);
        await data.SaveChangesAsync();
    }

    /// <summary>Bought ones come into the drawer and go on to the tray: two lines of the ledger, so that it tells where each came from.</summary>
    private static async Task PartsInAsync(ZeroDriftContext data, ShimJobRow job, ShimJobEventRow happened)
    {
        var waiting = job.Places.Where(p => p is { Origin: ShimOrigin.Buy, ActId: null }).ToList();
        if (waiting.Count == 0) throw new ConflictException("nothingWaits", "kind", "Nothing of this job is on order.");
        foreach (var place in waiting)
        {
            var sort = await SortAsync(data, place.VisitId);
            place.DrawerId = job.DrawerId;
            await LineAsync(data, job.DrawerId!.Value, ShimMovementKind.In, place.NewMm, sort, happened, "Ordered; it is here.", ShimKnownBy.Printed);
            place.ActId = await LineAsync(data, job.DrawerId.Value, ShimMovementKind.Out, place.NewMm, sort, happened, $"Laid out, for {place.Point}.", null);
        }
        await FitJobs.PartsInAsync(data, [.. job.Places.Select(p => p.VisitId).Distinct()]);
    }

    /// <summary>What was laid out goes back to where it lay; nothing may have been fitted yet.</summary>
    private static async Task DropAsync(ZeroDriftContext data, ShimJobRow job, ShimJobEventRow happened)
    {
        if ((await ShimFittings.OfAsync(data, job)).Values.FirstOrDefault(f => f.Facts.Fitted > 0) is { } begun)
            throw new ConflictException("fitted", "kind", $"{begun.Facts.Fitted} of its shims {(begun.Facts.Fitted == 1 ? "is" : "are")} fitted already: finish the visit, and say there what was left.");
        foreach (var place in job.Places.Where(p => p.ActId is not null))
            await LineAsync(data, place.DrawerId!.Value, ShimMovementKind.In, place.NewMm, await SortAsync(data, place.VisitId), happened, $"Back from the tray: {happened.Why}", null);
        await FitJobs.DropAsync(data, [.. job.Places.Select(p => p.VisitId).Distinct()]);
    }

    private static async Task<Guid> LineAsync(ZeroDriftContext data, Guid drawer, ShimMovementKind kind, double mm, ShimSort sort, ShimJobEventRow happened, string why, ShimKnownBy? known, CancellationToken cancelled = default)
    {
        var line = new ShimMovementRow { ActId = Guid.CreateVersion7(), Written = ShimLedger.Written(mm), Unit = "mm", At = happened.At, Who = happened.Who, Why = why };
        await ShimStock.KeepAsync(data, new ShimAct(kind, drawer, mm, 1), sort, line, known);
        return line.ActId;
    }

    /// <summary>What the engine of a visit takes.</summary>
    private static async Task<ShimSort> SortAsync(ZeroDriftContext data, Guid visitId, CancellationToken cancelled = default)
    {
        var typeId = await data.Visits.AsNoTracking().Where(v => v.Id == visitId).Select(v => v.Engine!.EngineTypeId).FirstAsync(cancelled);
        var type = await data.WholeTypes.FirstAsync(t => t.Id == typeId, cancelled);
        return ShimSort.Of(type.Points.Select(p => p.Adjuster.ShimAccess()).First(a => a is not null)!.Value, type.Facts.ShimDiameterMm);
    }
}
