using System.Globalization;
using ZeroDrift.Core.Drift;

namespace ZeroDrift.Core.Tests.Drift;

/// <summary>Reference libraries: R lm and R metafor; figures and the script that made them stand in tests/reference/ (drift.R).</summary>
public class ReferenceDriftTests
{
    [Fact]
    public void Each_points_rate_is_that_of_R_lm()
    {
        var expected = Read("drift-own.csv");
        var readings = Read("drift-readings.csv").GroupBy(r => (int)r["point"]).ToDictionary(g => g.Key, g => g.Select(r => new DriftReading((int)r["run"], H(r["hours"]), Mm(r["clearance"]), r["u"])).ToList());

        foreach (var row in expected)
        {
            var own = OwnRate.Fit(readings[(int)row["point"]])!;
            Near(row["rate"], own.Rate.MmPerHour);
            Near(row["se"], own.Rate.StandardErrorMmPerHour);
            Near(row["birge"], own.BirgeRatio);
            Assert.Equal((int)row["df"], own.DegreesOfFreedom);
        }
        Assert.Equal(expected.Count, readings.Values.Count(r => OwnRate.Fit(r) is not null));
    }

    [Fact]
    public void Pooling_is_that_of_R_metafor()
    {
        var own = Read("drift-own.csv");
        var expected = Read("drift-pool.csv")[0];

        var fit = RestrictedLikelihood.Fit([.. own.Select(o => o["rate"] * 1000)], [.. own.Select(o => o["se"] * o["se"] * 1e6)]);

        Near(expected["tau2"], fit.TauSquared, 1e-4);
        Near(expected["mean"], fit.Mean, 1e-6);
        Near(expected["se"], Math.Sqrt(fit.VarianceOfMean), 1e-5);
    }

    private static void Near(double expected, double actual, double relative = 1e-8) =>
        Assert.True(Math.Abs(expected - actual) <= relative * Math.Max(Math.Abs(expected), 1e-12), $"{actual} instead of {expected}");

    private static List<Dictionary<string, double>> Read(string file)
    {
        var folder = AppContext.BaseDirectory;
        while (!Directory.Exists(Path.Combine(folder, "tests/reference"))) folder = Path.GetDirectoryName(folder)!;
        var lines = File.ReadAllLines(Path.Combine(folder, "tests/reference", file));
        var names = lines[0].Replace("\"", "", StringComparison.Ordinal).Split(',');
        return [.. lines.Skip(1).Select(line => names.Zip(line.Split(','), (n, v) => (n, v)).ToDictionary(p => p.n.Trim(), p => double.Parse(p.v, CultureInfo.InvariantCulture)))];
    }
}
