using CsCheck;
using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Tests.Drift;

public class DriftTests
{
    [Fact]
    public void Runs_have_their_own_intercept_and_share_one_rate()
    {
        var own = OwnRate.Fit([new(1, H(0), Mm(0.40), 0.01), new(1, H(1000), Mm(0.38), 0.01), new(2, H(1000), Mm(0.41), 0.01), new(2, H(2000), Mm(0.39), 0.01), new(3, H(2000), Mm(0.40), 0.01)])!;

        Assert.Equal(-0.02, own.Rate.MmPer1000h, 9);
        Assert.Equal((1.0, 1), (own.BirgeRatio, own.DegreesOfFreedom));
    }

    [Fact]
    public void Scatter_beyond_the_uncertainty_widens_the_error_by_the_Birge_ratio()
    {
        DriftReading[] wild = [new(1, H(0), Mm(0.40), 0.005), new(1, H(500), Mm(0.50), 0.005), new(1, H(1000), Mm(0.40), 0.005)];

        var own = OwnRate.Fit(wild)!;

        Assert.True(own.BirgeRatio > 5);
        Assert.Equal(own.BareStandardErrorMmPerHour * own.BirgeRatio, own.Rate.StandardErrorMmPerHour, 12);
    }

    [Fact]
    public void Without_two_different_hours_in_a_run_there_is_no_own_rate()
    {
        Assert.Null(OwnRate.Fit([new(1, H(0), Mm(0.4), 0.01), new(2, H(500), Mm(0.4), 0.01)]));
        Assert.Null(OwnRate.Fit([new(1, H(100), Mm(0.4), 0.01), new(1, H(100), Mm(0.38), 0.01)]));
    }

    [Fact]
    public void The_order_of_readings_does_not_matter() => Gen.Select(Gen.Double[0, 5000], Gen.Double[0.1, 0.6]).Array[4, 12].Sample(points =>
    {
        var readings = points.Select((p, i) => new DriftReading(i % 3, H(p.Item1), Mm(p.Item2), 0.01)).ToArray();
        var (a, b) = (OwnRate.Fit(readings), OwnRate.Fit([.. readings.Reverse()]));
        return a is null ? b is null : Math.Abs(a.Rate.MmPerHour - b!.Rate.MmPerHour) < 1e-9 * (1 + Math.Abs(a.Rate.MmPerHour));
    });

    [Fact]
    public void More_readings_of_a_well_behaved_point_never_widen_its_rate() => Gen.Double[1, 500].Array[3, 15].Sample(gaps =>
    {
        var hours = gaps.Aggregate(new List<double> { 0 }, (list, gap) => [.. list, list[^1] + gap]);
        var readings = hours.Select(h => new DriftReading(1, H(h), Mm(0.4 - 0.00001 * h), 0.01)).ToArray();
        return Enumerable.Range(2, readings.Length - 2).All(n => OwnRate.Fit(readings[..(n + 1)])!.Rate.StandardErrorMmPerHour <= OwnRate.Fit(readings[..n])!.Rate.StandardErrorMmPerHour * (1 + 1e-9));
    });

    [Fact]
    public void The_one_fast_valve_leaves_the_pool_and_keeps_its_own_rate()
    {
        Rate?[] own = [.. Enumerable.Range(0, 11).Select(i => (Rate?)new Rate((-10 + i % 3) * 1e-6, 2e-6)), new Rate(-50e-6, 2e-6)];

        var pool = RatePool.Of(own);

        Assert.True(pool.Points[11].UnlikeSiblings);
        Assert.Equal(own[11], pool.Points[11].Rate);
        Assert.DoesNotContain(pool.Points.Take(11), p => p.UnlikeSiblings);
    }

    [Fact]
    public void A_point_with_no_rate_of_its_own_gets_the_groups()
    {
        var pool = RatePool.Of([new Rate(-10e-6, 2e-6), new Rate(-14e-6, 2e-6), null]);

        Assert.Equal(pool.Group!.Value.Mean, pool.Points[2].Rate!.Value.MmPerHour, 15);
        Assert.Equal(Math.Sqrt(pool.Group.Value.TauSquared + pool.Group.Value.VarianceOfMean), pool.Points[2].Rate!.Value.StandardErrorMmPerHour, 15);
    }

    [Fact]
    public void Fewer_than_two_own_rates_are_not_pooled()
    {
        var pool = RatePool.Of([new Rate(-10e-6, 2e-6), null]);

        Assert.Null(pool.Group);
        Assert.Equal(new Rate(-10e-6, 2e-6), pool.Points[0].Rate);
        Assert.Null(pool.Points[1].Rate);
    }

    [Fact]
    public void Risk_grows_where_a_point_drifts_towards_a_limit() => Gen.Select(Gen.Double[0.36, 0.44], Gen.Double[-50e-6, -5e-6]).Sample((mm, rate) =>
    {
        var point = new PointForecast("1E", Mm(mm), 0.006, new Rate(rate, 0), 0, new Window(Mm(0.35), Mm(0.45)));
        return Enumerable.Range(0, 20).All(i => point.Tight(i * 200) <= point.Tight((i + 1) * 200) + 1e-12);
    });

    [Fact]
    public void Risk_already_reached_is_zero_hours_and_never_reached_is_none()
    {
        var window = new Window(Mm(0.35), Mm(0.45));

        Assert.Equal(H(0), HoursToRisk.Alone(new PointForecast("a", Mm(0.352), 0.01, new Rate(0, 1e-9), 0, window)).Hours);
        Assert.Null(HoursToRisk.Alone(new PointForecast("b", Mm(0.40), 0.005, new Rate(0, 1e-10), 0, window)).Hours);
    }

    [Fact]
    public void The_engines_risk_comes_before_that_of_its_worst_point_and_names_it()
    {
        var points = Enumerable.Range(1, 6).Select(i => new PointForecast($"{i}E", Mm(0.40), 0.006, new Rate((i == 4 ? -25 : -20) * 1e-6, 3e-6), 0, new Window(Mm(0.35), Mm(0.45)))).ToList();

        var engine = HoursToRisk.Of(points);

        Assert.Equal(("4E", LimitSide.Tight), (engine.DecidedBy, engine.Side));
        Assert.True(engine.Hours < engine.Points.Min(p => p.Hours));
    }

    [Fact]
    public void Aiming_off_the_figure_buys_hours_for_a_point_that_closes()
    {
        var closing = new PointForecast("4E", Mm(0.40), 0.006, new Rate(-30e-6, 3e-6), 0, new Window(Mm(0.35), Mm(0.45)));

        var aim = AimOff.Best(closing, Mm(0.40), AimOff.LeastUncertaintyMm, 0.05 / 12);

        Assert.True(aim.AimMm > 0.40);
        Assert.True(aim.Gain() > 100);
        Assert.Equal(0.40, AimOff.Best(closing with { Rate = new Rate(0, 1e-12) }, Mm(0.40), AimOff.LeastUncertaintyMm, 0.05 / 12).AimMm, 9);
    }

    [Fact]
    public void Twelve_valves_left_at_their_aim_keep_the_engine_under_its_risk_for_the_hours_promised()
    {
        var closing = new PointForecast("1E", Mm(0.40), 0.0125, new Rate(-20e-6, 4e-6), 0, new Window(Mm(0.35), Mm(0.45)));
        var aim = AimOff.Best(closing, Mm(0.40), 0.005, 0.05 / 12);
        var all = Enumerable.Range(1, 12).Select(i => closing.LeftAt(aim.AimMm, AimOff.LeastUncertaintyMm) with { Id = $"{i}E" }).ToList();

        Assert.True(1 - all.Aggregate(1.0, (keeps, p) => keeps * (1 - p.Out(0))) < 0.05);
        Assert.InRange(HoursToRisk.Of(all).Hours!.Value, aim.HoursAtAim!.Value * 0.98, aim.HoursAtAim.Value * 1.1);
    }

    [Fact]
    public void A_figure_that_is_at_its_risk_at_once_is_never_an_aim()
    {
        var narrow = new PointForecast("1E", Mm(0.40), 0.0125, new Rate(-20e-6, 4e-6), 0, new Window(Mm(0.35), Mm(0.45)));

        Assert.True(AimOff.Best(narrow, Mm(0.40), 0.0125, 0.05 / 12).HoursAtAim > 0);
    }
}
