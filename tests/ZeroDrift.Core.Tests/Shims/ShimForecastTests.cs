using MathNet.Numerics.Distributions;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Shims;

namespace ZeroDrift.Core.Tests.Shims;

/// <summary>What the next opening is likely to want. Against MathNet.Numerics' normal and Poisson-binomial by enumeration, and against plain drawing of lots.</summary>
public sealed class ShimForecastTests
{
    private static readonly double[] Series = [.. Enumerable.Range(0, 19).Select(i => Math.Round(2.30 + i * 0.05, 2))];

    [Fact]
    public void A_point_sure_to_stay_in_its_window_wants_nothing() => Assert.Empty(ShimForecast.Of([Point("1I", 0.20, 0.008)]));

    [Fact]
    public void A_point_sure_to_be_tight_wants_the_size_that_brings_it_to_its_figure()
    {
        // 2.70 with a gap of 0.09 for 0.20: 2.59, so 2.60
        var wanted = Assert.Single(ShimForecast.Of([Point("1I", 0.09, 0.004)]));

        Assert.Equal(2.60, wanted.SizeMm);
        Assert.Equal(1, wanted.Odds, 3);
        Assert.Equal(["1I"], wanted.Points);
    }

    [Fact]
    public void The_odds_of_all_sizes_are_those_of_being_out_less_what_its_own_shim_would_do_again()
    {
        var point = Point("1E", 0.16, 0.02);
        var below = Normal.CDF(0.16, 0.02, 0.15);
        var above = 1 - Normal.CDF(0.16, 0.02, 0.25);

        Assert.Equal(below + above, point.Wants().Sum(w => w.Odds), 9);
    }

    [Fact]
    public void The_odds_of_a_size_agree_with_ten_thousand_drawn_gaps()
    {
        var point = Point("1E", 0.13, 0.03);
        var random = new Random(41);
        var drawn = new Dictionary<double, int>();
        const int Draws = 20_000;
        for (var i = 0; i < Draws; i++)
        {
            var gap = Normal.Sample(random, 0.13, 0.03);
            if (gap is >= 0.15 and <= 0.25) continue;
            var best = Series.MinBy(mm => Math.Abs(gap - (mm - 2.70) - 0.20));
            drawn[best] = drawn.GetValueOrDefault(best) + 1;
        }
        foreach (var (size, odds) in point.Wants()) Assert.Equal(odds, drawn.GetValueOrDefault(size) / (double)Draws, 0.012);
    }

    [Fact]
    public void Two_points_that_may_want_the_same_size_want_it_likelier_than_either()
    {
        var one = Assert.Single(ShimForecast.Of([Point("1E", 0.149, 0.004)]));
        var both = Assert.Single(ShimForecast.Of([Point("1E", 0.149, 0.004), Point("2E", 0.149, 0.004)]));

        Assert.Equal(1 - Math.Pow(1 - one.Odds, 2), both.Odds, 9);
        Assert.Equal(2 * one.Odds, both.Expected, 9);
    }

    [Fact] // Boole's inequality against draws of our own: from memory
    public void With_what_is_held_nine_times_in_ten_nothing_at_all_is_short()
    {
        var points = Enumerable.Range(1, 6).SelectMany(i => new[] { Point($"{i}E", 0.149, 0.02), Point($"{i}I", 0.24, 0.015) }).ToList();
        var hold = ShimForecast.Hold([.. points.Select(p => ("here", p))]).ToDictionary(h => h.SizeMm, h => h.Hold);
        var random = new Random(5);
        var wants = points.Select(p => p.Wants().Select(w => (Size: Math.Round(w.SizeMm, 4), w.Odds)).ToList()).ToList();
        var served = Enumerable.Range(0, 20_000).Count(_ => wants.Select(w => Drawn(w, random.NextDouble())).OfType<double>().GroupBy(s => s).All(g => g.Count() <= hold.GetValueOrDefault(g.Key)));

        Assert.True(hold.Count > 2);
        Assert.InRange(served / 20_000.0, 0.9, 0.97);
    }

    [Fact]
    public void Nothing_is_held_for_what_is_wanted_less_than_once_in_ten() => Assert.Empty(ShimForecast.Hold([("here", Point("1E", 0.16, 0.004))]));

    private static double? Drawn(List<(double Size, double Odds)> wants, double at)
    {
        foreach (var (size, odds) in wants)
            if ((at -= odds) < 0) return size;
        return null;
    }

    private static PointAtNext Point(string label, double gap, double sd) => new(label, gap, sd, 2.70, Window.Of(0.15, 0.25), 0.20, 1, Series);
}
