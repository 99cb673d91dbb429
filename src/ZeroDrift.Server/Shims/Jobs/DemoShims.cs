using Microsoft.EntityFrameworkCore;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Visits;
using ZeroDrift.Data.Writing;
using ZeroDrift.Planning.Shims;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.Shims.Bench;

namespace ZeroDrift.Server.Shims.Jobs;

/// <summary>The demo's own shim job: the engine that was left waiting is decided by the bench and ordered, once.</summary>
internal static class DemoShims
{
    private const int Days = 3;

    public static async Task OrderAsync(ZeroDriftContext read, WriteGate gate, FleetDay day, CancellationToken stopped)
    {
        if (await read.ShimJobs.AnyAsync(stopped)) return;
        foreach (var engine in await read.Engines.AsNoTracking().Where(e => e.EngineType!.Facts.ShimSizesMm != null).Select(e => e.Id).ToListAsync(stopped))
            if ((await WaitingPoints.OfAsync(read, engine)).FirstOrDefault() is { } waiting) await OrderAsync(waiting.VisitId, gate, day, stopped);
    }

    private static async Task OrderAsync(Guid visit, WriteGate gate, FleetDay day, CancellationToken stopped) => await gate.RunAsync(async data =>
    {
        var bench = new BenchRequest { Visits = [visit], Policy = ShimPolicy.LeaveGoodAlone };
        var seen = (await BenchView.OfAsync(data, bench)).Bench.Rows.Where(r => r.Shim is { From: not ShimSource.Own }).Select(r => new ShimSeenRequest(r.Point.Id, r.Shim!.ShimMm)).ToList();
        var drawer = await data.ShimDrawers.Where(d => d.Kind == ShimDrawerKind.Kit).OrderBy(d => d.Name).Select(d => (Guid?)d.Id).FirstOrDefaultAsync(stopped);
        await ShimDeciding.DecideAsync(data, new ShimJobRequest { Bench = bench, Seen = seen, DrawerId = drawer, ExpectedOn = day.Today.AddDays(Days) }, Guid.CreateVersion7(), "Tove", day);
        return true;
    }, stopped);
}
