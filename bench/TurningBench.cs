using BenchmarkDotNet.Attributes;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Bench;

/// <summary>A plan for a V12 in every computed method.</summary>
[ShortRunJob]
public class TurningBench
{
    [Params(TurningMethod.TwoStop, TurningMethod.PerCylinder, TurningMethod.Rocking, TurningMethod.ExhaustOpeningIntakeClosing, TurningMethod.FewestStops)]
    public TurningMethod Method { get; set; }

    [Benchmark]
    public TurningPlan Twelve()
    {
        var order = FiringOrder.Of([1, 7, 5, 11, 3, 9, 6, 12, 2, 8, 4, 10], EngineCycle.FourStroke);
        return TurningPlanner.Plan(TurningEngine.FourStroke(order, ValveTiming.Unknown), new TurningRequest(Method));
    }
}
