using System.Diagnostics;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Bench;

/// <summary>The outlook's fit of one large group, its curves, and one engine again with the components that stand.</summary>
internal static class WearBench
{
    private const int PointsPerEngine = 12;
    private const int Visits = 10;

    public static void Run(int engines)
    {
        Fleet(2);
        WearFit.Of(Fleet(20));
        var record = Fleet(engines);
        var clock = Stopwatch.StartNew();
        var fit = WearFit.Of(record);
        Console.WriteLine($"fit of {engines} engines × {PointsPerEngine} points × {Visits} visits, {record.Readings.Count} readings: {clock.Elapsed.TotalSeconds:0.0} s (goal 20)");
        clock.Restart();
        var outlooks = fit.Engines;
        var plans = new OpeningPlan[outlooks.Count];
        Parallel.For(0, outlooks.Count, i => plans[i] = OpeningPlan.Of(outlooks[i].Now, outlooks[i].Fresh, 0.05));
        Console.WriteLine($"their curves: {clock.Elapsed.TotalSeconds:0.0} s (goal 60); open after {plans.Average(p => p.OpenAfterHours ?? 50000):0} h on average");
        var own = new WearRecord([.. record.Points.Where(p => p.Engine == "e7")], [.. record.Visits.Where(v => v.Engine == "e7")], [.. record.Readings.Where(r => r.Point.StartsWith("e7/", StringComparison.Ordinal))]);
        var times = new List<double>();
        for (var i = 0; i < 20; i++)
        {
            clock.Restart();
            var one = WearFit.One(own, fit.Shared.Without(fit.Said("e7")), fit.Components).Engines[0];
            OpeningPlan.Of(one.Now, one.Fresh, 0.05);
            times.Add(clock.Elapsed.TotalMilliseconds);
        }
        Console.WriteLine($"one engine with the present components: {times.Order().ElementAt(10):0.0} ms (goal 50)");
    }

    private static WearRecord Fleet(int engines)
    {
        var random = new Random(1);
        var window = Window.Of(0.22, 0.38);
        var (points, visits, readings) = (new List<WearPoint>(), new List<WearVisit>(), new List<WearReading>());
        for (var e = 0; e < engines; e++)
        {
            var slope = 0.003 * Gaussian(random);
            var shifts = Enumerable.Range(0, Visits).Select(_ => 0.005 * Gaussian(random)).ToArray();
            for (var v = 0; v < Visits; v++) visits.Add(new WearVisit($"e{e}/v{v}", $"e{e}", EngineHours.Of(v * 1000), $"p{random.Next(20)}", false));
            for (var p = 0; p < PointsPerEngine; p++)
            {
                var rate = (p % 2 == 0 ? -0.02 : -0.006) + slope + 0.004 * Gaussian(random);
                points.Add(new WearPoint($"e{e}/{p}", $"e{e}", p % 2 == 0 ? "exhaust" : "intake", window, Clearance.OfMm(0.30)));
                var (run, gap) = (0, 0.30);
                for (var v = 0; v < Visits; v++)
                {
                    if (v > 0) readings.Add(Reading(gap += rate, run, false));
                    if (v > 0 && gap is > 0.25 and < 0.35) continue;
                    (run, gap) = (run + 1, 0.30);
                    readings.Add(Reading(gap, run, true));

                    WearReading Reading(double mm, int inRun, bool left) => new($"e{e}/{p}", $"e{e}/v{v}", inRun, left, Math.Max(0, mm + shifts[v] + 0.008 * Gaussian(random)), null, null, 0.005);
                }
            }
        }
        return new WearRecord(points, visits, readings);
    }

    private static double Gaussian(Random random) => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
