using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Shims;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Demo;

/// <summary>How the works depot works: who knows what and when, what cannot be spared, what exists once, and the roads between.</summary>
internal static class DemoWorks
{
    private static readonly List<double> Week = [8, 8, 8, 8, 8, 0, 0];

    /// <summary>Writes it beside people, machines, sites and engines that are there.</summary>
    public static void Add(ZeroDriftContext data, DateOnly today, IReadOnlyList<PersonRow> people, IReadOnlyDictionary<string, SiteRow> sites, IReadOnlyDictionary<string, MachineRow> machines)
    {
        void Knows(string name, List<double> week, params string[] skills)
        {
            var person = people.First(p => p.Name == name);
            (person.WeekHours, person.Skills) = (week, [.. skills]);
        }
        Knows("Marit", Week, "ferry", "generator");
        Knows("Olav", Week, "ferry", "lorry", "generator");
        Knows("Tove", [8, 8, 8, 8, 6, 0, 0], "lorry", "mower", "tractor");
        void Away(string name, Guid? person, Guid? machine, int from, int days, string why) =>
            data.Away.Add(new AwayRow { Id = DemoIds.For($"away/{name}/{why}"), PersonId = person, MachineId = machine, From = today.AddDays(from), To = today.AddDays(from + days - 1), Why = why });
        Away("Olav", people.First(p => p.Name == "Olav").Id, null, 2, 5, "at sea with Lomvi");
        Away("Tove", people.First(p => p.Name == "Tove").Id, null, 16, 3, "leave");
        if (machines.TryGetValue("Skarv", out var skarv)) Away("Skarv", null, skarv.Id, 8, 4, "extra sailings");
        if (machines.TryGetValue("South Farm tractor 2", out var tractor)) Away("South Farm tractor 2", null, tractor.Id, 0, 12, "snow clearing");
        data.StandbyGroups.Add(new StandbyGroupRow { Id = DemoIds.For("group/power house"), Name = "Power House sets", MostOut = 1 });
        data.StandbyGroups.Add(new StandbyGroupRow { Id = DemoIds.For("group/ferries"), Name = "Ferry mains", MostOut = 1 });
        data.Tools.Add(new ToolRow { Id = DemoIds.For("tool/turning gear"), Name = "portable turning gear", Count = 1 });
        void Road(string from, string to, double hours)
        {
            if (sites.TryGetValue(from, out var one) && sites.TryGetValue(to, out var other)) data.Roads.Add(new RoadRow { FromId = one.Id, ToId = other.Id, Hours = hours });
        }
        Road("North Quay", "Power House", 0.25);
        Road("North Quay", "Depot", 0.5);
        Road("Depot", "Power House", 0.5);
        Road("Depot", "South Farm", 1);
        Road("North Quay", "South Farm", 1.25);
    }

    /// <summary>Loose shims: a kit, an old head, somebody's box.</summary>
    public static void Drawers(ZeroDriftContext data, IReadOnlyDictionary<string, SiteRow> sites, DateTime now)
    {
        void Drawer(string name, ShimDrawerKind kind, string site, ShimAccess access, ShimKnownBy known, double? diameterMm, params (string Size, int Count)[] held)
        {
            if (!sites.TryGetValue(site, out var at)) return;
            var drawer = new ShimDrawerRow { Id = DemoIds.For("drawer/" + name), Name = name, Kind = kind, SiteId = at.Id };
            data.ShimDrawers.Add(drawer);
            foreach (var (size, count) in held)
                data.ShimMovements.Add(new ShimMovementRow
                {
                    ActId = DemoIds.For($"drawer/{name}/{access}/{size}"),
                    DrawerId = drawer.Id,
                    Kind = ShimMovementKind.Counted,
                    Access = access,
                    DiameterMm = diameterMm,
                    SizeMm = ShimSize.Of(size, "mm"),
                    Change = count,
                    Counted = count,
                    KnownBy = known,
                    Written = size,
                    Unit = "mm",
                    At = now.AddDays(-9),
                    Who = "Tove",
                    Why = "Counted in.",
                });
        }
        Drawer("Depot kit", ShimDrawerKind.Kit, "Depot", ShimAccess.UnderBucket, ShimKnownBy.Printed, 9, ("2.30", 2), ("2.35", 1), ("2.40", 2), ("2.75", 1), ("3.05", 1), ("3.10", 2), ("3.15", 1));
        Drawer("Old head, Lorry 4", ShimDrawerKind.OldHead, "Depot", ShimAccess.UnderBucket, ShimKnownBy.Micrometer, 9, ("2.62", 1), ("2.98", 1));
        Drawer("Van tin", ShimDrawerKind.Place, "Depot", ShimAccess.OnTop, ShimKnownBy.Micrometer, 28, ("2.45", 1), ("2.50", 2), ("2.60", 1), ("2.75", 1), ("2.85", 2));
        Drawer("Tove's box", ShimDrawerKind.Person, "South Farm", ShimAccess.Puck, ShimKnownBy.Micrometer, 7.5, ("1.75", 1), ("1.80", 2), ("1.95", 1), ("2.10", 1));
    }

    /// <summary>The group an engine stands by in; null for most.</summary>
    public static Guid? Group(DemoEngine engine) => engine.Site == "Power House" ? DemoIds.For("group/power house") : engine.Name.EndsWith("main", StringComparison.Ordinal) ? DemoIds.For("group/ferries") : null;

    /// <summary>Jobs somebody asked for: a ferry main that takes two and the turning gear, and a mower that waits for a part.</summary>
    public static void Jobs(ZeroDriftContext data, DateOnly today, DateTime now)
    {
        data.Jobs.Add(new JobRow { Id = DemoIds.For("job/skarv"), EngineId = DemoIds.For("engine/Skarv · port main"), Title = "Set 4E, look at the rest", Rule = Core.Hours.DueRule.Finding, DueDate = today.AddDays(1), Crew = 2, Tools = ["portable turning gear"], MadeAt = now });
        data.Jobs.Add(new JobRow { Id = DemoIds.For("job/mower"), EngineId = DemoIds.For("engine/Verge mower 1"), Title = "New locknut at 2I, set", Rule = Core.Hours.DueRule.Finding, DueDate = today.AddDays(3), Parts = [new JobPartRow { Name = "locknut, rocker screw", LeadDays = 6 }], MadeAt = now });
        data.Jobs.Add(new JobRow { Id = DemoIds.For("job/mower again"), EngineId = DemoIds.For("engine/Verge mower 1"), Title = "Look at 2I again", DueDate = today.AddDays(16), Hours = 1, AfterJobId = DemoIds.For("job/mower"), AfterDays = 5, MadeAt = now });
        data.Jobs.Add(new JobRow { Id = DemoIds.For("job/injectors"), EngineId = DemoIds.For("engine/Lorry 1"), Title = "Injectors out for test", DueDate = today.AddDays(18), Hours = 3, Opens = true, MadeAt = now });
    }
}
