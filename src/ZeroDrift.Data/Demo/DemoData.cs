using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Projections;
using ZeroDrift.Data.Storage;
using ZeroDrift.Data.Visits;

namespace ZeroDrift.Data.Demo;

/// <summary>Fills an empty file with the Varnholm demo, or with a generated fleet of any size for measuring speed.</summary>
public static class DemoData
{
    private const int Seed = 20_270_104;
    private const string TimeZone = "Europe/Oslo";

    /// <summary>The day in Varnholm at a moment: between its midnight and that of UTC the works are a day ahead.</summary>
    public static DateOnly DayAt(DateTimeOffset moment) => DayInZone.Of(moment, TimeZone);

    /// <summary>Writes the demo. <paramref name="engineCount"/> repeats the fleet under numbered names; null for Varnholm itself.</summary>
    /// <returns>True rates put in, mm per 1000 h, by engine name and point label.</returns>
    public static async Task<IReadOnlyDictionary<string, IReadOnlyDictionary<string, double>>> FillAsync(ZeroDriftContext data, DateOnly today, int? engineCount = null, int years = 5, Action<string>? say = null)
    {
        await using var transaction = await data.Database.BeginTransactionAsync();
        var fleet = new FleetRow { Name = VarnholmFleet.Name, ToleranceTightMm = 0.04, ToleranceLooseMm = 0.06, TimeZone = TimeZone };
        data.Fleet.Add(fleet);
        var types = VarnholmTypes.All(today);
        data.EngineTypes.AddRange(types);
        var people = ((string[])["Marit", "Olav", "Tove"]).Select(name => new PersonRow { Id = DemoIds.For("person/" + name), Name = name, Initials = Initials.Of(name) }).ToList();
        data.People.AddRange(people);
        data.Instruments.AddRange(Instruments(today));
        var engines = Engines(engineCount).ToList();
        var sites = engines.Select(e => e.Site).Distinct().ToDictionary(name => name, name => new SiteRow { Id = DemoIds.For("site/" + name), Name = name });
        data.Sites.AddRange(sites.Values);
        var machines = engines.DistinctBy(e => e.MachineName).ToDictionary(e => e.MachineName, e => new MachineRow { Id = DemoIds.For("machine/" + e.MachineName), Name = e.MachineName, Kind = e.Machine, Properties = e.Has, SiteId = sites[e.Site].Id, Site = sites[e.Site] });
        data.Machines.AddRange(machines.Values);
        DemoWorks.Add(data, today, people, sites, machines);
        if (engineCount is null) DemoWorks.Drawers(data, sites, DateTime.UtcNow);
        await data.SaveChangesAsync();

        var wear = new WearSimulation(Seed);
        var rates = new Dictionary<string, IReadOnlyDictionary<string, double>>();
        using var writer = new LifeWriter(data, fleet, people);
        for (var i = 0; i < engines.Count; i++)
        {
            var type = types.Single(t => t.Code == engines[i].TypeCode);
            var history = new EngineHistory(engines[i], machines[engines[i].MachineName], type, fleet, people.ToDictionary(p => p.Name, p => p.Id), wear, today, years).Live();
            await writer.WriteAsync(history, type);
            rates[engines[i].Name] = history.TrueRates;
            if (i % 200 == 199) say?.Invoke($"{i + 1} of {engines.Count} engines lived through");
        }
        await Projector.OutlooksAsync(data, today, say);
        await ExpectAsync(data, today);
        if (engineCount is null) DemoWorks.Jobs(data, today, DateTime.UtcNow);
        await data.SaveChangesAsync();
        await transaction.CommitAsync();
        return rates;
    }

    /// <summary>Everyone's own blades, checked on different days, one of them too long ago, and what the depot keeps for all.</summary>
    private static IEnumerable<InstrumentRow> Instruments(DateOnly today)
    {
        yield return Set("Marit's set", today.AddDays(-75));
        yield return Set("Olav's set", today.AddDays(-410));
        yield return Set("Tove's set", today.AddDays(-140));
        yield return new InstrumentRow { Id = DemoIds.For("instrument/micrometer"), Name = "Depot micrometer, 0 to 25", Kind = InstrumentKind.Micrometer, LastCheck = today.AddDays(-200) };
        yield return new InstrumentRow { Id = DemoIds.For("instrument/dial"), Name = "Dial rig", Kind = InstrumentKind.Dial, LastCheck = today.AddDays(-200) };

        static InstrumentRow Set(string name, DateOnly check) => new() { Id = DemoIds.For("instrument/" + name), Name = name, Kind = InstrumentKind.BladeSet, Unit = "mm", Blades = Trays.Metric, LastCheck = check };
    }

    /// <summary>What is open today was opened with what the record expects.</summary>
    private static async Task ExpectAsync(ZeroDriftContext data, DateOnly today)
    {
        foreach (var visit in await data.Visits.Where(v => v.State == VisitState.Open).ToListAsync())
            visit.ContextId = (await ContextStore.KeepAsync(data, (await ContextBuilder.BuildAsync(data, visit.EngineId, today))!, DateTime.UtcNow)).Id;
        await data.SaveChangesAsync();
    }

    private static IEnumerable<DemoEngine> Engines(int? count) => count is not { } wanted
        ? [.. VarnholmFleet.Engines, .. VarnholmFleet.Odd]
        : Enumerable.Range(0, wanted).Select(i =>
        {
            var like = VarnholmFleet.Engines[i % VarnholmFleet.Engines.Count];
            return like with { Name = $"{like.Name} · {i + 1}", MachineName = $"{like.MachineName} · {i / VarnholmFleet.Engines.Count + 1}", Open = false };
        });

    /// <summary>Writes lives with prepared statements.</summary>
    private sealed class LifeWriter(ZeroDriftContext data, FleetRow fleet, IReadOnlyList<PersonRow> people) : IDisposable
    {
        private readonly BulkInsert<MeterReadingRow> meters = new(data);
        private readonly VisitWriter visits = new(data);
        private long sequence;

        public async Task WriteAsync(EngineHistory life, EngineTypeRow type)
        {
            // Only the engine: its machine and type are in the file already.
            data.Entry(life.Engine).State = EntityState.Added;
            await data.SaveChangesAsync();
            foreach (var look in life.Meter.OrderBy(m => m.Date)) Look(look);
            var meter = life.Meter.ToHistory();
            var known = new Dictionary<Guid, KnownContext>();
            foreach (var visit in life.Visits.OrderBy(v => v.Draft.Entries.First().At))
            {
                if (!known.TryGetValue(visit.Revision.Id, out var context)) known[visit.Revision.Id] = context = visits.Keep(ContextBuilder.Of(life.Engine, type, fleet, people, [visit.Revision]));
                visits.Write(visit.Draft, context, meter);
            }
            data.ChangeTracker.Clear();
        }

        private void Look(MeterReadingRow look)
        {
            look.Sequence = ++sequence;
            meters.Add(look);
        }

        public void Dispose()
        {
            meters.Dispose();
            visits.Dispose();
        }
    }
}
