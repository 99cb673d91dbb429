using ZeroDrift.Core.Engines;

namespace ZeroDrift.Data.Demo;

/// <summary>One engine of the demo and what is told about it.</summary>
internal sealed record DemoEngine(string Name, string TypeCode, MachineKind Machine, string Site, double HoursPerDay, double StartHours)
{
    /// <summary>The machine it sits in; several engines may share one.</summary>
    public string MachineName { get; init; } = Name.Split(" · ")[0];

    /// <summary>What its machine has that somebody can be hurt by, where it is not what its kind usually has.</summary>
    public List<MachineProperty>? Has { get; init; }

    /// <summary>Of the invented maker's plate.</summary>
    public string SerialNumber => $"{TypeCode.Replace("-", "", StringComparison.Ordinal)}-{Name.Aggregate(7, (sum, c) => (sum * 31 + c) % 90_000) + 10_000}";

    /// <summary>January first.</summary>
    public double[]? Season { get; init; }

    /// <summary>A point with a true rate of its own, mm per 1000 h.</summary>
    public (string Point, double Rate)? Fast { get; init; }

    /// <summary>A point that begins to fail after a visit, with so many visits since, and its true rate from then on, mm per 1000 h.</summary>
    public (string Point, int VisitsSince, double Rate)? Failing { get; init; }

    /// <summary>Days before today of the last overhead; null: wherever the interval falls.</summary>
    public int? LastVisitDaysAgo { get; init; }

    /// <summary>This visit (0 the first) was made warm: everything reads tight.</summary>
    public int? WarmVisit { get; init; }

    /// <summary>After the last visit a locknut slips at this point and the gap opens by 0.12 mm.</summary>
    public string? SlippedAfterLastVisit { get; init; }

    /// <summary>Days before today on which the meter was replaced.</summary>
    public int? MeterReplacedDaysAgo { get; init; }

    /// <summary>Days before today on which the engine came back rebuilt.</summary>
    public int? RebuiltDaysAgo { get; init; }

    /// <summary>A spot check some days ago that found the point tight and could not set it.</summary>
    public DemoSpotCheck? SpotCheck { get; init; }

    /// <summary>Some days ago it was measured and left waiting for shims.</summary>
    public DemoWaiting? Waiting { get; init; }

    /// <summary>An overhead is under way on this engine today.</summary>
    public bool Open { get; init; }
}

/// <summary>A look at one cylinder and its neighbours: what brought it on, and why the point was left as found.</summary>
internal sealed record DemoSpotCheck(int DaysAgo, string Point, string Remark, string Why);

/// <summary>A first visit to a shim engine: how far points have moved since they were set, mm, and what is out waits.</summary>
internal sealed record DemoWaiting(int DaysAgo, IReadOnlyDictionary<string, double> Moved);

/// <summary>Varnholm: an invented group of islands whose works depot keeps two ferries, a power house, lorries, tractors and mowers.</summary>
internal static class VarnholmFleet
{
    public const string Name = "Varnholm works";

    private static readonly double[] Farm = [0.4, 0.4, 0.8, 1.2, 1.4, 1.5, 2.2, 1.6, 1.0, 0.8, 0.4, 0.3];
    private static readonly double[] Verges = [0, 0, 0.3, 1.2, 2.0, 2.2, 2.0, 1.8, 1.4, 0.8, 0.2, 0];
    private static readonly double[] Winter = [1.8, 1.7, 1.2, 0.9, 0.7, 0.6, 0.6, 0.6, 0.7, 0.9, 1.1, 1.2];

    /// <summary>One engine of every valvetrain that is not a screw on a rocker; they came to the depot one by one.</summary>
    public static IReadOnlyList<DemoEngine> Odd { get; } =
    [
        new("Lorry 5", "IB6-13", MachineKind.Lorry, "Depot", 4.6, 1900) { LastVisitDaysAgo = 210 },
        new("Works van", "ST4-16", MachineKind.Van, "Depot", 2.4, 800) { LastVisitDaysAgo = 320 },
        new("Lorry 6", "SB4-20", MachineKind.Lorry, "Depot", 4.1, 2100)
        {
            LastVisitDaysAgo = 400,
            Waiting = new DemoWaiting(4, new Dictionary<string, double> { ["1E rear"] = -0.07, ["2I front"] = 0.06, ["2E rear"] = -0.06, ["3E front"] = -0.08, ["3I rear"] = 0.07, ["4E front"] = -0.11 }),
        },
        new("Island quad", "PK1-05", MachineKind.Other, "South Farm", 0.7, 90) { Has = [MachineProperty.Battery, MachineProperty.Wheels], LastVisitDaysAgo = 190 },
        new("Hedge cutter", "ET2-05", MachineKind.Mower, "Depot", 0.9, 120) { Season = Verges, LastVisitDaysAgo = 150 },
        new("Quay pump set", "HV4-06", MachineKind.Pump, "North Quay", 1.1, 400) { LastVisitDaysAgo = 240 },
        new("Work boat", "UT3-09", MachineKind.Boat, "North Quay", 3.4, 1500) { LastVisitDaysAgo = 160 },
        new("Snow blower", "CR1-03", MachineKind.Mower, "Depot", 0.6, 60) { Season = Winter, LastVisitDaysAgo = 300 },
    ];

    public static IReadOnlyList<DemoEngine> Engines { get; } =
    [
        new("Skarv · port main", "SL6-11", MachineKind.Ferry, "North Quay", 8.6, 3200) { Fast = ("4E", -0.052), LastVisitDaysAgo = 172, SpotCheck = new(4, "4E", "After a smoke report.", "Sailing in twenty minutes; to be set at the next layover.") },
        new("Skarv · starboard main", "SL6-11", MachineKind.Ferry, "North Quay", 8.5, 3180) { Fast = ("2E", -0.027), LastVisitDaysAgo = 138 },
        new("Skarv · generator", "GL4-5", MachineKind.Ferry, "North Quay", 5.1, 2100),
        new("Lomvi · port main", "HV8-26", MachineKind.Ferry, "North Quay", 8.2, 7050) { WarmVisit = 2, LastVisitDaysAgo = 120 },
        new("Lomvi · starboard main", "HV8-26", MachineKind.Ferry, "North Quay", 8.2, 7010) { LastVisitDaysAgo = 95 },
        new("Lomvi · generator", "GL4-5", MachineKind.Ferry, "North Quay", 5.0, 3900) { Failing = ("2E", 2, -0.055), LastVisitDaysAgo = 61 },
        new("Set 1", "PB6-8", MachineKind.Generator, "Power House", 1.3, 900) { LastVisitDaysAgo = 230 },
        new("Set 2", "PB6-8", MachineKind.Generator, "Power House", 1.2, 860) { LastVisitDaysAgo = 298 },
        new("Set 3", "PB6-8", MachineKind.Generator, "Power House", 1.4, 640) { RebuiltDaysAgo = 64 },
        new("Lorry 1", "LB6-10", MachineKind.Lorry, "Depot", 4.4, 1500) { Season = Winter },
        new("Lorry 2", "LB6-10", MachineKind.Lorry, "Depot", 4.8, 2300) { Season = Winter, MeterReplacedDaysAgo = 410 },
        new("Lorry 3", "LC4-4", MachineKind.Lorry, "Depot", 3.6, 700),
        new("Lorry 4", "LC4-4", MachineKind.Lorry, "Depot", 3.9, 2650) { Open = true, LastVisitDaysAgo = 296 },
        new("South Farm tractor 1", "TP4-4", MachineKind.Tractor, "South Farm", 2.1, 1400) { Season = Farm },
        new("South Farm tractor 2", "TP3-3", MachineKind.Tractor, "South Farm", 2.6, 2300) { Season = Farm, LastVisitDaysAgo = 371 },
        new("Depot tractor", "TP4-4", MachineKind.Tractor, "Depot", 1.7, 980) { Season = Winter },
        new("Verge mower 1", "MV2-07", MachineKind.Mower, "Depot", 1.3, 210) { Season = Verges, SlippedAfterLastVisit = "2I", LastVisitDaysAgo = 140, SpotCheck = new(9, "2I", "Ticking on the last cut.", "Locknut stripped; new one on order. Not to be run until then.") },
        new("Verge mower 2", "MS1-04", MachineKind.Mower, "Depot", 0.8, 150) { Season = Verges, LastVisitDaysAgo = 120 },
    ];
}
