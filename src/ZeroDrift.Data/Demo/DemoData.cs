using Microsoft.EntityFrameworkCore;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Demo;

/// <summary>Fills an empty file with the Varnholm demo, or with a generated fleet of any size for measuring speed.</summary>
public static class DemoData
{
    private const int Seed = 20_270_104;

    /// <summary>Writes the demo if the file holds no engine yet. <paramref name="engineCount"/> repeats the fleet under numbered names; null for Varnholm itself.</summary>
    /// <returns>True rates put in, mm per 1000 h, by engine name and point label.</returns>
    public static async Task<IReadOnlyDictionary<string, IReadOnlyDictionary<string, double>>> FillAsync(ZeroDriftContext context, DateOnly today, int? engineCount = null)
    {
        if (await context.Engines.AnyAsync()) return new Dictionary<string, IReadOnlyDictionary<string, double>>();
        var fleet = await context.Fleet.SingleOrDefaultAsync();
        if (fleet is null) context.Fleet.Add(fleet = new FleetRow());
        (fleet.Name, fleet.ToleranceTightMm, fleet.ToleranceLooseMm, fleet.TimeZone) = (VarnholmFleet.Name, 0.04, 0.06, "Europe/Oslo");
        var types = VarnholmTypes.All(today);
        context.EngineTypes.AddRange(types);
        await context.SaveChangesAsync();

        var wear = new WearSimulation(Seed);
        var rates = new Dictionary<string, IReadOnlyDictionary<string, double>>();
        context.ChangeTracker.AutoDetectChangesEnabled = false;
        foreach (var demo in Engines(engineCount))
        {
            var history = new EngineHistory(demo, types.Single(t => t.Code == demo.TypeCode), fleet, wear, today).Live();
            context.Engines.Add(history.Engine);
            rates[demo.Name] = history.TrueRates;
            await context.SaveChangesAsync();
            context.ChangeTracker.Clear();
        }
        return rates;
    }

    private static IEnumerable<DemoEngine> Engines(int? count) => count is not { } wanted
        ? VarnholmFleet.Engines
        : Enumerable.Range(0, wanted).Select(i =>
        {
            var like = VarnholmFleet.Engines[i % VarnholmFleet.Engines.Count];
            return like with { Name = $"{like.Name} · {i + 1}", Open = false };
        });
}
