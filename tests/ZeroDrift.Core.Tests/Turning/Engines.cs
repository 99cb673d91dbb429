using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Tests.Turning;

/// <summary>Engines by firing order, with the default timing, for tests.</summary>
internal static class Engines
{
    public static TurningEngine FourStroke(params int[] order) =>
        TurningEngine.FourStroke(FiringOrder.Of(order, EngineCycle.FourStroke), ValveTiming.Unknown);

    public static TurningEngine Uneven(int[] order, double[] angles) =>
        TurningEngine.FourStroke(FiringOrder.Of(order, EngineCycle.FourStroke, angles), ValveTiming.Unknown);

    public static TurningEngine Uniflow(params int[] order) =>
        TurningEngine.Uniflow(FiringOrder.Of(order, EngineCycle.TwoStroke), UniflowTiming.Unknown);

    public static string Said(TurningStop stop) => string.Join(' ', stop.Set.Select(p => $"{p.Point.Cylinder}{BookLetters.IntakeExhaust.Letter(p.Point.Kind)}"));

    public static TurningPlan Plan(this TurningEngine engine, TurningMethod method, int? start = null, LashKind[]? kinds = null) =>
        TurningPlanner.Plan(engine, new TurningRequest(method, kinds, start));
}
