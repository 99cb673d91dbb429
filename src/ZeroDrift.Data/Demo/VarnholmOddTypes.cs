using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Model;
using static ZeroDrift.Data.Demo.VarnholmTypes;

namespace ZeroDrift.Data.Demo;

/// <summary>The valvetrains that are not a screw on a rocker: amounts, shims, an eccentric, a two-stroke. Every code, figure and size is our own.</summary>
internal static class VarnholmOddTypes
{
    private static readonly List<double> Shims = [.. Enumerable.Range(0, 19).Select(i => 2.30 + i * 0.05).Select(mm => Math.Round(mm, 2))];
    private static readonly List<double> Pucks = [.. Enumerable.Range(0, 29).Select(i => 1.20 + i * 0.05).Select(mm => Math.Round(mm, 2))];

    public static IReadOnlyList<EngineTypeRow> All(DateOnly today) =>
    [
        Type("IB6-13", "Lorry, six with unit injectors and engine brake", "1-5-3-6-2-4", "1 2 3 4 5 6", string.Join(' ', Enumerable.Repeat("J I E B", 6)), AdjusterKind.BridgeScrew, 1.25, 1.0, TurningMethod.Book,
            (1500, 24, 300), 8, today, [.. Window("mm", "0.25", "0.35", "0.30", "0.55", "0.65", "0.60"), Turns(LashKind.Injector, 0.5), Gap(LashKind.EngineBrake, "0.85", "0.95", "0.90")],
            with: t =>
            {
                // Its book goes by six marks on the damper, one cylinder a mark: the injector first, then its valves, the brake last.
                t.BookStops = [.. ((int[])[1, 5, 3, 6, 2, 4]).Select((c, i) => Stop(i * 120, $"{c}J", $"{c}I", $"{c}E", $"{c}B"))];
                t.ByKind = [new KindStyleRow { Kind = LashKind.Injector, Adjuster = AdjusterKind.InjectorScrew, PitchMm = 1.5 }, new KindStyleRow { Kind = LashKind.EngineBrake, Adjuster = AdjusterKind.BrakeScrew, PitchMm = 1 }];
                foreach (var point in t.Points.Where(p => p.Kind == LashKind.Exhaust)) point.BridgeScrew = true;
                t.Facts.NarrowBlade = true;
                t.Fasteners = [Fastener("valve locknut", "17 mm ring", 45, 24), Fastener("injector locknut", "19 mm ring", 60, 6), Fastener("brake locknut", "13 mm ring", 25, 6), Fastener("adjusting screw", "6 mm key", null, null), Fastener("cover bolt", "13 mm", 14, 12)];
                t.Gaskets = [new GasketRow { Name = "cover gasket", Count = 2, SingleUse = true }];
                t.Facts.GasketHours = 0.8;
                t.ScarceTools = ["barring tool for the bell housing"];
            }),
        Type("ST4-16", "Works van, four, shims on top", "1-3-4-2", "1 2 3 4", "I E I E I E I E", AdjusterKind.ShimOnTop, 1, 1.0, TurningMethod.TwoStop,
            (1000, 18, 200), 4, today, Window("mm", "0.15", "0.25", "0.20", "0.35", "0.45", "0.40"), with: t =>
            {
                (t.Facts.ShimSizesMm, t.Facts.ShimDiameterMm) = (Shims, 28);
                t.Gaskets = [new GasketRow { Name = "cover gasket", Count = 1 }, new GasketRow { Name = "half-moon seal", Count = 2, SingleUse = true }];
                t.Fasteners = [Fastener("cover bolt", "10 mm", 9, 8), Fastener("barring nut", "19 mm", null, 1)];
            }),
        Type("SB4-20", "Lorry, four, shims under the buckets", "1-3-4-2", "1 2 3 4", string.Join(' ', Enumerable.Repeat("I I E E", 4)), AdjusterKind.ShimUnderBucket, 1, 1.0, TurningMethod.LobeAway,
            (2500, 36, 300), 7, today, Window("mm", "0.18", "0.26", "0.22", "0.28", "0.36", "0.32"), with: t =>
            {
                (t.Facts.ShimSizesMm, t.Facts.ShimDiameterMm) = (Shims, 9);
                (t.Facts.Interference, t.Facts.Pins) = (true, "the cam lock pins");
                t.Gaskets = [new GasketRow { Name = "cover gasket", Count = 1, SingleUse = true }, new GasketRow { Name = "plug-well seal", Count = 4, SingleUse = true }];
                t.Facts.GasketHours = 1.5;
                t.Fasteners = [Fastener("cam cap bolt", "8 mm", 10, 20), Fastener("cover bolt", "10 mm", 9, 11)];
            }),
        Type("PK1-05", "Island quad, single with pucks", "1", "1", "I I E E", AdjusterKind.Puck, 1, 1.0, TurningMethod.PerCylinder,
            (250, 12, 25), 2, today, Window("mm", "0.10", "0.20", "0.15", "0.20", "0.30", "0.25"), with: t =>
            {
                (t.Facts.ShimSizesMm, t.Facts.ShimDiameterMm) = (Pucks, 7.5);
                t.Facts.Spark = true;
                t.Gaskets = [new GasketRow { Name = "cover seal", Count = 1 }];
            }),
        Type("ET2-05", "Hedge cutter, twin with eccentric shafts", "1-2", "1 2", "I E I E", AdjusterKind.EccentricShaft, 1, 1.0, TurningMethod.PerCylinder,
            (250, 12, 25), 2, today, Window("mm", "0.05", "0.15", "0.10", "0.10", "0.20", "0.15"), angles: [0, 180], with: t =>
            {
                t.Facts.Spark = true;
                t.OwnSteps = true;
                t.Steps =
                [
                    new TypeStepRow { Key = "plugs-out", List = StepList.Covers, Text = "Plugs out, leads laid aside." },
                    new TypeStepRow { Key = "signs", List = StepList.Covers, Text = "Gasket and cover looked at.", Asks = "Signs of earlier work: a gasket that comes off whole, fresh sealant, tool marks?" },
                    // At 90° all four valves of a 0/180 twin are closed: the one place where its chain is slack on both sides.
                    new TypeStepRow { Key = "chain", List = StepList.Stop, CrankDeg = 90, Text = "Chain adjusted, at the mark 90° past TDC of 1, all valves closed." },
                    new TypeStepRow { Key = "mark", List = StepList.Point, Text = "Index mark of {point} faces outward, away from the plug." },
                    new TypeStepRow { Key = "lobes-oiled", List = StepList.BeforeCloseUp, Text = "Lobes and followers oiled." },
                    new TypeStepRow { Key = "plugs-in", List = StepList.CloseUp, Text = "Plugs in, leads on." },
                ];
            }),
        Type("HV4-06", "Quay pump set, V4 with hydraulic lifters", "1-3-4-2", "1 3 / 2 4", "E A E A", AdjusterKind.HydraulicPreload, 1, 1.0, TurningMethod.TwoStop,
            (1000, 24, 100), 3, today, [Fraction(LashKind.Intake), Fraction(LashKind.Exhaust)], letters: BookLetters.EinlassAuslass, with: t =>
            {
                (t.Facts.TravelTurns, t.Facts.SelfLocking, t.Facts.SecondPassMinutes, t.Facts.Spark, t.Facts.RunningMethod) = (1.6, true, 20, true, true);
                t.Gaskets = [new GasketRow { Name = "cover gasket", Count = 2 }];
            }),
        Type("UT3-09", "Work boat, two-stroke three, uniflow", "1-3-2", "1 2 3", "E J E J E J", AdjusterKind.BridgeScrew, 1.25, 1.0, TurningMethod.FewestStops,
            (1200, 18, 200), 5, today, [Gap(LashKind.Exhaust, "0.35", "0.45", "0.40"), new SpecLineRow { Kind = LashKind.Injector, Unit = "mm", HeightMm = 38.2 }], cycle: EngineCycle.TwoStroke, with: t =>
            {
                t.Uniflow = new UniflowTiming(92, 238, -55, 55);
                t.Fasteners = [Fastener("valve locknut", "15 mm ring", 30, 6), Fastener("injector locknut", "17 mm ring", 40, 3), Fastener("cover bolt", "hand knob", null, 6)];
                t.Gaskets = [new GasketRow { Name = "cover gasket", Count = 3 }];
                t.ScarceTools = ["injector height gauge, 38.2 mm"];
            }),
        Type("CR1-03", "Snow blower, single with compression release", "1", "1", "I E", AdjusterKind.ScrewAtValve, 0.8, 1.0, TurningMethod.PerCylinder,
            (200, 12, 25), 1, today, Window("thou", "3", "5", "4", "5", "7", "6"), with: t =>
            {
                t.Facts.Spark = true;
                (t.Facts.PastTdcMm, t.Facts.StrokeMm, t.Facts.RodMm) = (6.35, 60, 100);
            }),
    ];

    private static SpecLineRow Gap(LashKind kind, string min, string max, string set) => new() { Kind = kind, Unit = "mm", Min = min, Max = max, Set = set };

    private static SpecLineRow Turns(LashKind kind, double turns) => new() { Kind = kind, Unit = "mm", Turns = turns };

    private static SpecLineRow Fraction(LashKind kind) => new() { Kind = kind, Unit = "mm", Fraction = 0.5 };

    private static FastenerRow Fastener(string use, string size, double? torqueNm, int? count) => new() { Use = use, Size = size, TorqueNm = torqueNm, Count = count };
}
