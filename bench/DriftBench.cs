using System.Diagnostics;
using System.Globalization;
using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Bench;

/// <summary>Pooled drift for 2,000 engines × 12 points × 10 visits; with a file name, the same readings are written for R (drift.R beside this).</summary>
internal static class DriftBench
{
    private const int Engines = 2000;
    private const int PointsPerEngine = 12;
    private const int Visits = 10;

    public static void Run(string? file)
    {
        var random = new Random(1);
        var points = new List<DriftReading[]>();
        for (var i = 0; i < Engines * PointsPerEngine; i++)
        {
            var rate = (-12 + 3 * Gaussian(random)) * 1e-6;
            points.Add([.. Enumerable.Range(0, Visits).Select(v => new DriftReading(v / 3, EngineHours.Of(v * 1000), Clearance.OfMm(0.40 + rate * (v % 3) * 1000 + 0.008 * Gaussian(random)), 0.008))]);
        }
        if (file is not null)
        {
            using var csv = new StreamWriter(file);
            csv.WriteLine("point,run,hours,clearance,u");
            for (var i = 0; i < points.Count; i++)
                foreach (var r in points[i]) csv.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{i},{r.Run},{r.Hours},{r.ClearanceMm},{r.StandardUncertaintyMm}"));
        }

        // Twenty engine types of a hundred engines, intake and exhaust apart: forty groups.
        Fit(points[..1200]);
        var clock = Stopwatch.StartNew();
        var own = Fit(points);
        var fitted = clock.Elapsed;
        var groups = Enumerable.Range(0, 40).Select(g => own.Where((_, i) => i / (PointsPerEngine * 100) * 2 + i % 2 == g).ToList()).ToList();
        var pools = groups.Select(g => RatePool.Of(g)).ToList();
        clock.Stop();
        Console.WriteLine($"{points.Count} own rates: {fitted.TotalSeconds:0.00} s; {groups.Count} pools with leave-one-out: {(clock.Elapsed - fitted).TotalSeconds:0.00} s; in all {clock.Elapsed.TotalSeconds:0.00} s");
        clock.Restart();
        var two = Enumerable.Range(0, 2).Select(k => RatePool.Of([.. own.Where((_, i) => i % 2 == k)])).ToList();
        Console.WriteLine($"the same as one type, two pools of {two[0].Points.Count}: {clock.Elapsed.TotalSeconds:0.00} s");
        clock.Restart();
        foreach (var group in groups) RestrictedLikelihood.Fit([.. group.Select(r => r!.Value.MmPerHour)], [.. group.Select(r => Math.Pow(r!.Value.StandardErrorMmPerHour, 2))]);
        Console.WriteLine($"REML alone, forty groups: {clock.Elapsed.TotalSeconds:0.000} s; mean of the first {pools[0].Group!.Value.Mean * 1000:0.000000} mm per 1000 h");
    }

    private static List<Rate?> Fit(IEnumerable<DriftReading[]> points) => [.. points.Select(p => OwnRate.Fit(p)?.Rate)];

    private static double Gaussian(Random random) => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
