using CsCheck;
using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Tests.Drift;

/// <summary>The forecast as it is drawn: nine in ten, with everything that widens it.</summary>
public class FanTests
{
    private static readonly Window Exhaust = new(Mm(0.35), Mm(0.45));

    private static PointForecast Of(double u, double se, double covariance = 0, double age = 0) =>
        new("4E", Mm(0.40), u, new Rate(-20e-6, se), covariance, Exhaust) { AgeHours = age };

    [Fact]
    public void It_begins_where_the_point_is_expected_today_and_follows_the_rate()
    {
        var fan = Of(0.006, 1e-6, age: 500).Fan(1000, 4);

        Assert.Equal([0.0, 250, 500, 750, 1000], fan.Select(f => f.Hours));
        Assert.Equal(0.39, fan[0].MeanMm, 9);
        Assert.Equal(0.37, fan[^1].MeanMm, 9);
    }

    [Fact]
    public void One_in_twenty_stand_below_it_and_one_in_twenty_above()
    {
        // Standard normal quantile at 95 %: 1.644854 (NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.6.7.1).
        var step = Of(0.01, 0).Fan(100)[0];

        Assert.Equal(0.01 * 1.644854, step.HighMm - step.MeanMm, 7);
        Assert.Equal(step.MeanMm - step.LowMm, step.HighMm - step.MeanMm, 12);
    }

    [Fact]
    public void The_rates_own_uncertainty_and_the_covariance_widen_it()
    {
        static double Width(PointForecast p) => p.Fan(2000)[^1] is var last ? last.HighMm - last.LowMm : 0;

        Assert.True(Width(Of(0.006, 4e-6)) > Width(Of(0.006, 1e-6)));
        Assert.True(Width(Of(0.006, 4e-6, covariance: 1e-8)) > Width(Of(0.006, 4e-6)));
        Assert.True(Width(Of(0.006, 4e-6, covariance: -1e-8)) < Width(Of(0.006, 4e-6)));
    }

    [Fact]
    public void It_is_the_forecast_that_the_odds_rest_on() => Gen.Select(Gen.Double[0.001, 0.02], Gen.Double[0, 2e-5], Gen.Double[0, 3000]).Sample((u, se, age) =>
    {
        var point = Of(u, se, age: age);
        return point.Fan(4000).All(f => Math.Abs(point.MeanMm(f.Hours) - f.MeanMm) < 1e-12 && Math.Abs(1.6448536 * point.SdMm(f.Hours) - (f.HighMm - f.MeanMm)) < 1e-6);
    });
}
