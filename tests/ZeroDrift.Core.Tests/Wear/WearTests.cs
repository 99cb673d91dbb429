using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Tests.Wear;

/// <summary>Worked cases of the outlook, each computed independently twice.</summary>
public sealed class WearTests
{
    private static readonly Window Book = Window.Of(0.22, 0.38);

    [Theory]
    [InlineData(0)]
    [InlineData(1e-6)]
    [InlineData(0.3)]
    [InlineData(0.46875)]
    [InlineData(1.7)]
    [InlineData(4)]
    [InlineData(7.5)]
    [InlineData(25)]
    public void The_error_function_equals_the_reference_library(double x)
    {
        Assert.Equal(MathNet.Numerics.SpecialFunctions.Erfc(x), StandardNormal.Erfc(x), 1e-12 * Math.Max(1, MathNet.Numerics.SpecialFunctions.Erfc(x)));
        Assert.Equal(MathNet.Numerics.SpecialFunctions.Erfc(-x), StandardNormal.Erfc(-x), 1e-12);
        Assert.Equal(MathNet.Numerics.Distributions.Normal.CDF(0, 1, x), StandardNormal.Below(x), 1e-12);
    }

    [Fact]
    public void A_reading_between_bounds_enters_by_what_the_bounds_leave_open()
    {
        var wide = CensoredReading.Of(0.22, 0.38, 0.235, 0.0125);
        Assert.Equal((0.219437, 0.311476, 0.243806), (Math.Round(wide.Shift, 6), Math.Round(wide.Information, 6), Math.Round(wide.Mm, 6)));
        Assert.Equal(0.8625, CensoredReading.Of(0.22, 0.38, 0.9, 0.0125).Mm, 9);
        // The same from below: towards the interval.
        Assert.Equal(-0.3 + 0.0375, CensoredReading.Of(0.22, 0.38, -0.3, 0.0125).Mm, 9);
    }

    [Fact]
    public void Three_visits_of_two_points_give_rates_shifts_hands_and_a_level()
    {
        var fit = WearFit.Of(Small(), Held(0));
        var group = Assert.Single(fit.Groups);
        Near(-0.022450, group.MmPer1000h, 1e-6);
        Near(0.008480, group.StandardErrorMmPer1000h, 1e-6);
        var engine = Assert.Single(fit.Engines);
        Near(-0.021737, engine.Points[0].MmPer1000h, 1e-6);
        Near(-0.023487, engine.Points[1].MmPer1000h, 1e-6);
        Near(0.008205, engine.Points[0].StandardErrorMmPer1000h, 1e-6);
        Near(0.001169, engine.Visits[0].ShiftMm, 1e-6);
        Near(-0.001873, engine.Visits[1].ShiftMm, 1e-6);
        Near(0.000705, engine.Visits[2].ShiftMm, 1e-6);
        Near(0.002550, Math.Abs(fit.People[0].BiasMm), 1e-6);
        Near(-fit.People[0].BiasMm, fit.People[1].BiasMm, 1e-9);
        Near(0.296746, engine.Points[0].LevelMm!.Value, 1e-6);
        Near(0.012798, engine.Points[0].LevelStandardErrorMm!.Value, 1e-6);
        Near(0.275009, engine.Ahead("1E")!.MeanMm(1000), 1e-6);
        Near(0.273258, engine.Ahead("2E")!.MeanMm(1000), 1e-6);
        Near(0.016330, engine.Ahead("1E")!.SdMm(1000), 1e-6);
    }

    [Fact]
    public void The_chance_that_some_valve_is_out_and_when_to_open_follow_from_them()
    {
        var engine = WearFit.Of(Small(), Held(0)).Engines[0];
        Near(0.000910, engine.Now.At(1000), 1e-6);
        Near(0.132618, engine.Now.At(2000), 1e-6);
        Near(0.000305, engine.Fresh.At(1000), 1e-6);
        Near(0.089376, engine.Fresh.At(2000), 1e-6);
        var plan = OpeningPlan.Of(engine.Now, engine.Fresh, 0.05, 20, 20000);
        Assert.Equal((1680.0, "2E", LimitSide.Tight), (plan.HoursToRisk, plan.DecidedBy, plan.Side));
        Near(0.818299, plan.CostPerHour * 1000, 1e-6);
        Assert.Equal(1240, plan.OpenAfterHours);
    }

    [Fact]
    public void An_engines_own_slope_takes_a_part_of_what_its_valves_share()
    {
        var fit = WearFit.Of(Small(), Held(0.004));
        Near(-0.022312, fit.Groups[0].MmPer1000h, 1e-6);
        Near(-0.021740, fit.Engines[0].Points[0].MmPer1000h, 1e-6);
        Near(-0.023491, fit.Engines[0].Points[1].MmPer1000h, 1e-6);
        Near(0.008206, fit.Engines[0].Points[0].StandardErrorMmPer1000h, 1e-6);
        Near(0.296745, fit.Engines[0].Points[0].LevelMm!.Value, 1e-6);
        Near(0.275005, fit.Engines[0].Ahead("1E")!.MeanMm(1000), 1e-6);
        Near(0.273254, fit.Engines[0].Ahead("2E")!.MeanMm(1000), 1e-6);
        Near(0.132702, fit.Engines[0].Now.At(2000), 1e-6);
    }

    [Theory]
    [InlineData(0.25, 0.000716, 0.989864, 130)]
    [InlineData(0.21, 0.236976, null, 0)]
    public void A_valve_left_alone_near_its_limit_brings_the_opening_forward(double found, double atOnce, double? gamma, double open)
    {
        var small = Small();
        var readings = small.Readings.Where(r => !(r.Visit == "v3" && r.Point == "2E")).Append(new WearReading("2E", "v3", 2, false, found, null, null, 0.005)).ToList();
        var engine = WearFit.Of(small with { Readings = readings }, Held(0)).Engines[0];
        Near(atOnce, engine.Now.At(0), 1e-6);
        var plan = OpeningPlan.Of(engine.Now, engine.Fresh, 0.05, 20, 20000);
        if (gamma is { } g) Near(g, plan.CostPerHour * 1000, 1e-6);
        Assert.Equal(open, plan.OpenAfterHours);
    }

    /// <summary>Generalised least squares on the marginal covariance, in tests/reference/outlook.py: another way to the same figures.</summary>
    [Theory]
    [InlineData("0.0", 0)]
    [InlineData("0.004", 0.004)]
    public void Generalised_least_squares_on_the_marginal_covariance_says_the_same(string row, double psi)
    {
        var fit = WearFit.Of(Small(), Held(psi));
        var reference = Reference().Where(r => r[0] == row).ToDictionary(r => r[1], r => (Value: Number(r[2]), Error: Number(r[3])));
        void Same(string what, double value, double error)
        {
            Near(reference[what].Value, value, 2e-9);
            Near(reference[what].Error, error, 2e-9);
        }
        Same("mu", fit.Groups[0].MmPer1000h, fit.Groups[0].StandardErrorMmPer1000h);
        foreach (var point in fit.Engines[0].Points) Same(point.Id, point.MmPer1000h, point.StandardErrorMmPer1000h);
        for (var i = 0; i < 3; i++) Same($"visit{i}", fit.Engines[0].Visits[i].ShiftMm, fit.Engines[0].Visits[i].StandardErrorMm);
        foreach (var person in fit.People) Same("person" + person.Person, person.BiasMm, person.StandardErrorMm);
    }

    private static IEnumerable<string[]> Reference()
    {
        var folder = AppContext.BaseDirectory;
        while (!Directory.Exists(Path.Combine(folder, "tests/reference"))) folder = Path.GetDirectoryName(folder)!;
        return File.ReadAllLines(Path.Combine(folder, "tests/reference/outlook.csv")).Skip(1).Select(l => l.Split(','));
    }

    private static double Number(string text) => double.Parse(text, System.Globalization.CultureInfo.InvariantCulture);

    private static void Near(double expected, double actual, double within) => Assert.Equal(expected, actual, within);

    private static WearOptions Held(double psi) => new(false, false, false)
    {
        Held = new WearComponents { ReadingSdMm = 0.010, VisitSdMm = 0.006, PersonSdMm = 0.007, TauMmPer1000h = [0.006], EngineTauMmPer1000h = [psi] },
    };

    private static WearRecord Small()
    {
        var points = new[] { "1E", "2E" }.Select(id => new WearPoint(id, "e1", "exhaust", Book, Clearance.OfMm(0.30))).ToList();
        var visits = new[] { ("v1", 0.0, "A"), ("v2", 1000.0, "B"), ("v3", 2200.0, "A") }.Select(v => new WearVisit(v.Item1, "e1", EngineHours.Of(v.Item2), v.Item3, false)).ToList();
        var readings = new List<WearReading>();
        foreach (var (point, found) in new[] { ("1E", new[] { 0.270, 0.285 }), ("2E", new[] { 0.262, 0.280 }) })
        {
            readings.Add(new WearReading(point, "v1", 1, true, 0.30, null, null, 0.005));
            readings.Add(new WearReading(point, "v2", 1, false, found[0], null, null, 0.005));
            readings.Add(new WearReading(point, "v2", 2, true, 0.30, null, null, 0.005));
            readings.Add(new WearReading(point, "v3", 2, false, found[1], null, null, 0.005));
            readings.Add(new WearReading(point, "v3", 3, true, 0.30, null, null, 0.005));
        }
        return new WearRecord(points, visits, readings);
    }
}
