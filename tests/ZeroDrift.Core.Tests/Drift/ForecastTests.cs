using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Tests.Drift;

/// <summary>Forecasts against plain simulation, and the likelihood against plain search.</summary>
public class ForecastTests
{
    private static readonly Window Exhaust = new(Mm(0.35), Mm(0.45));

    [Theory]
    [InlineData(0)]
    [InlineData(1500)]
    [InlineData(4000)]
    public void The_probability_of_being_out_is_that_of_ten_thousand_drawn_valves(double hours)
    {
        const double cov = 0.006 * 4e-6 * 0.5;
        var point = new PointForecast("1E", Mm(0.39), 0.006, new Rate(-10e-6, 4e-6), cov, Exhaust);
        var random = new Random(2);
        var count = 0;
        for (var i = 0; i < 10_000; i++)
        {
            // Correlated errors of last figure and rate, by the triangular square root of their covariance.
            var (a, b) = (Gaussian(random), Gaussian(random));
            var clearance = 0.39 + 0.006 * a;
            var rate = -10e-6 + 4e-6 * (0.5 * a + Math.Sqrt(0.75) * b);
            if (!Exhaust.Holds(clearance + rate * hours)) count++;
        }

        Assert.Equal(count / 10_000.0, point.Out(hours), 0.015);
    }

    [Fact]
    public void The_engines_probability_is_that_some_point_is_out()
    {
        var points = Enumerable.Range(0, 5).Select(i => new PointForecast($"{i}", Mm(0.36 + 0.01 * i), 0.008, new Rate(-5e-6, 2e-6), 0, Exhaust)).ToList();

        var allIn = points.Aggregate(1.0, (p, point) => p * (1 - point.Tight(800) - point.Loose(800)));

        Assert.Equal(1 - allIn, HoursToRisk.SomeOut(points, 800), 12);
    }

    [Fact]
    public void The_hours_found_are_the_first_at_which_the_risk_is_reached()
    {
        var point = new PointForecast("1E", Mm(0.40), 0.006, new Rate(-15e-6, 4e-6), 0, Exhaust);

        var hours = HoursToRisk.Alone(point).Hours!.Value;

        Assert.Equal(0.05, point.Out(hours), 6);
        Assert.True(Enumerable.Range(0, 100).All(i => point.Out(hours * i / 100.0) < 0.05));
    }

    [Fact]
    public void A_probability_that_falls_before_it_rises_is_followed_to_where_it_rises()
    {
        // Left near the tight limit but opening: likely out now only at a risk below today's, then again at the loose limit.
        var point = new PointForecast("2I", Mm(0.362), 0.006, new Rate(20e-6, 1e-6), 0, Exhaust);

        var risk = HoursToRisk.Alone(point, 0.05);

        Assert.True(point.Out(0) < 0.05 && point.Out(1500) < point.Out(0));
        Assert.Equal(LimitSide.Loose, risk.Side);
        Assert.InRange(risk.Hours!.Value.Hours, 3000, 4500);
    }

    [Theory]
    [InlineData(0, "risk")]
    [InlineData(1, "risk")]
    [InlineData(double.NaN, "risk")]
    public void A_risk_must_lie_between_nothing_and_certainty(double risk, string field)
    {
        PointForecast[] points = [new("a", Mm(0.4), 0.006, new Rate(0, 1e-6), 0, Exhaust)];

        Assert.Equal(field, Assert.Throws<BadInputException>(() => HoursToRisk.Of(points, risk)).Field);
    }

    [Fact]
    public void Impossible_points_are_refused_by_name()
    {
        PointForecast good = new("a", Mm(0.4), 0.006, new Rate(0, 1e-6), 0, Exhaust);

        Assert.Equal("points[1].id", Refused(good, good));
        Assert.Equal("points[0].standardUncertaintyMm", Refused(good with { StandardUncertaintyMm = 0 }));
        Assert.Equal("points[0].covarianceMm2Per1000h", Refused(good with { CovarianceMm2PerHour = 1 }));
        Assert.Equal("points", Refused());

        static string Refused(params PointForecast[] points) => Assert.Throws<BadInputException>(() => HoursToRisk.Of(points)).Field;
    }

    [Fact]
    public void The_likelihoods_maximum_is_global_zero_included()
    {
        var random = new Random(4);
        for (var i = 0; i < 60; i++)
        {
            var n = random.Next(2, 14);
            var y = Enumerable.Range(0, n).Select(_ => random.NextDouble() * 10).ToArray();
            var v = Enumerable.Range(0, n).Select(_ => 0.05 + random.NextDouble() * 20).ToArray();

            var fit = RestrictedLikelihood.Fit(y, v);

            var found = RestrictedLikelihood.Likelihood(y, v, fit.TauSquared);
            for (var tau = 0.0; tau < 120; tau += 0.05)
                Assert.True(RestrictedLikelihood.Likelihood(y, v, tau) <= found + 1e-7, $"τ² = {tau} is likelier than {fit.TauSquared}");
        }
    }

    [Fact]
    public void Scoring_from_nearby_finds_the_same_maximum()
    {
        var random = new Random(9);
        var y = Enumerable.Range(0, 300).Select(_ => 3 * Gaussian(random)).ToArray();
        var v = Enumerable.Range(0, 300).Select(_ => 0.5 + random.NextDouble()).ToArray();
        var whole = RestrictedLikelihood.Fit(y, v);

        var near = RestrictedLikelihood.FitNear(y.AsSpan(1), v.AsSpan(1), whole.TauSquared);
        var anew = RestrictedLikelihood.Fit(y.AsSpan(1), v.AsSpan(1));

        Assert.Equal(anew.TauSquared, near.TauSquared, 4);
        Assert.Equal(anew.Mean, near.Mean, 6);
    }

    [Fact]
    public void In_a_large_group_the_screen_misses_no_point_that_trying_them_all_would_find()
    {
        var random = new Random(13);
        Rate?[] own = [.. Enumerable.Range(0, 260).Select(i => (Rate?)new Rate((-12 + 3 * Gaussian(random) + (i is 17 or 90 ? -25 : 0)) * 1e-6, 2e-6))];

        var pool = RatePool.Of(own);

        Assert.True(pool.Points[17].UnlikeSiblings && pool.Points[90].UnlikeSiblings);
        Assert.InRange(pool.Points.Count(p => p.UnlikeSiblings), 2, 6);
    }

    [Fact]
    public void A_group_all_alike_shrinks_to_its_mean_and_one_spread_out_keeps_its_own()
    {
        var alike = RatePool.Of([.. Enumerable.Range(0, 8).Select(i => (Rate?)new Rate(-10e-6 + i * 1e-9, 5e-6))]);
        var spread = RatePool.Of([.. Enumerable.Range(0, 8).Select(i => (Rate?)new Rate(-10e-6 + i * 10e-6, 0.5e-6))]);

        Assert.All(alike.Points, p => Assert.Equal(1, p.Shrinkage, 6));
        Assert.All(spread.Points, p => Assert.True(p.Shrinkage < 0.01));
    }

    private static double Gaussian(Random random) => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
