using ZeroDrift.Contract.Calls;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Tablet.Tests;

/// <summary>A context as a tablet takes it along: a twin with windows 0.15 to 0.25 and 0.35 to 0.45, expected figures and curves.</summary>
internal static class TwinContext
{
    public static readonly Guid Engine = Guid.Parse("00000000-0000-7000-8000-0000000000e1");
    public static readonly Guid Marit = Guid.Parse("00000000-0000-7000-8000-000000000001");
    private static readonly AdjusterRequest Screw = new AdjusterRequest { Kind = AdjusterWord.Screw, PitchMm = 1, ClearancePerTravel = 1, ClockwiseCloses = true };

    public static ContextRecord Record { get; } = new()
    {
        Engine = new ContextEngineRecord(Engine, "Pump twin", MachineKind.Generator, "Pump twin", null, "Depot", null, null),
        Type = new ContextTypeRecord { Id = Engine, Code = "T2", Name = "twin", Cycle = EngineCycle.FourStroke, FiringOrder = [1, 2], RampGuardDeg = 15, Method = TurningMethod.PerCylinder, BookStops = [], Rotation = "clockwise", BarringTool = "wrench", ToolTurnsPerCrankTurn = 1 },
        Points = [Point("1I", 1, LashKind.Intake, 0), Point("1E", 1, LashKind.Exhaust, 1), Point("2I", 2, LashKind.Intake, 2), Point("2E", 2, LashKind.Exhaust, 3)],
        Demands = [new ContextDemandsRecord(Engine, "A", "manual", new DateOnly(2026, 1, 1), SpecCondition.Cold, [Gap("1I", 0.15, 0.25), Gap("1E", 0.35, 0.45), Gap("2I", 0.15, 0.25), Gap("2E", 0.35, 0.45)])],
        People = [new PersonRecord(Marit, "Marit", "M")],
        Steps = [new StepRecord("battery", StepList.MakeSafe, "Battery off.", null, null, null, null, null), new StepRecord("hands", StepList.MakeSafe, "Hands clear.", null, null, null, null, null), new StepRecord("tools", StepList.CloseUp, "Tools counted.", null, null, null, null, null)],
        Expected = [new ExpectedRecord("1I", 0.21, 0.01, 0.008, 0.002, 0.2, 400), new ExpectedRecord("1E", 0.38, 0.012, -0.02, 0.004, 0.4, 400, 0.41, 120)],
        Foremost = "The maker's manual comes first.",
        NextVisitHours = 1500,
        SharedSdMm = 0.004,
        Meter = new ContextMeterRecord(new DateOnly(2026, 10, 1), 900, 250),
    };

    private static ContextPointRecord Point(string label, int cylinder, LashKind kind, int along) => new(Guid.CreateVersion7(), label, cylinder, kind, null, 0, along, Screw, false);

    private static PointDemandRecord Gap(string point, double min, double max) => new(point, new AdviceDemandRequest { Kind = DemandWord.Gap, MinMm = min, MaxMm = max, SetMm = (min + max) / 2 }, $"{min}-{max} mm", false);
}
