using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Shims;

namespace ZeroDrift.Core.Tests.Shims;

/// <summary>Where no shim brings it in: how far short, and what each way out would take, as a builder works. Common practice, no source.</summary>
public sealed class NothingFitsTests
{
    private static readonly double[] Series = [2.30, 2.40, 2.50, 2.60, 2.70];
    private static readonly Adjuster.Shim OnTop = new(ShimAccess.OnTop, Series);
    private static readonly Demand.Gap Exhaust = Demand.Gap.OfWindow(Window.Of(0.35, 0.45), Clearance.OfMm(0.40));

    [Theory]
    [InlineData(LengthUnit.Millimetre, "2.30 mm is the thinnest there is: a gap of 0.274, 0.076 mm short of 0.35.")]
    [InlineData(LengthUnit.Thou, "90.6 thou (2.30 mm) is the thinnest there is: a gap of 10.8, 3 thou short of 13.8.")]
    public void The_thinnest_fitted_and_still_three_thou_short_is_said_in_the_unit_of_the_job(LengthUnit unit, string says)
    {
        // 2.30 fitted, 0.2738 found: 0.0762 under 0.35 is 3 thou
        var nothing = NothingFits.Of(OnTop, Exhaust, 0.2738, 2.30, 2.30, Series, unit);

        Assert.Equal(0.0762, nothing.ShortMm, 9);
        Assert.Equal(says, nothing.Sentence);
    }

    [Fact]
    public void Just_enough_comes_off_the_tip_for_the_thinnest_size_to_reach_the_nearest_limit()
    {
        var cut = Way(NothingFits.Of(OnTop, Exhaust, 0.27, 2.30, 2.30, Series), WayOut.CutStem);

        Assert.Equal((2.30, 0.08, 0.35), (cut.ShimMm, Math.Round(cut.CutMm!.Value, 9), cut.PredictedMm));
        Assert.Contains("measured again", cut.Sentence, StringComparison.Ordinal);
        Assert.DoesNotContain(NothingFits.Of(OnTop, Exhaust, 0.24, 2.30, 2.30, Series).Ways, w => w.Way == WayOut.CutStem);
    }

    [Fact]
    public void What_is_too_wide_with_the_thickest_is_closed_by_seat_or_face_never_by_the_tip()
    {
        var nothing = NothingFits.Of(OnTop, Exhaust, 0.53, 2.70, 2.70, Series);

        Assert.Equal(-0.08, nothing.ShortMm, 9);
        Assert.Contains("the thickest there is", nothing.Sentence, StringComparison.Ordinal);
        Assert.Equal((0.08, 0.45), (Math.Round(Way(nothing, WayOut.CutSeat).CutMm!.Value, 9), Way(nothing, WayOut.CutSeat).PredictedMm));
        Assert.DoesNotContain(nothing.Ways, w => w.Way is WayOut.CutStem or WayOut.LapShim);
    }

    [Theory]
    [InlineData(ShimAccess.OnTop, 0.33, 0.03)]
    [InlineData(ShimAccess.OnTop, 0.32, 0.03)]
    [InlineData(ShimAccess.OnTop, 0.31, null)]
    [InlineData(ShimAccess.Puck, 0.34, 0.01)]
    [InlineData(ShimAccess.Puck, 0.33, null)]
    public void A_shim_is_lapped_by_hundredths_a_hardened_puck_by_one_or_not_at_all(ShimAccess access, double gapMm, double? lapMm)
    {
        var lap = NothingFits.Of(new Adjuster.Shim(access, Series), Exhaust, gapMm, 2.30, 2.30, Series).Ways.FirstOrDefault(w => w.Way == WayOut.LapShim);

        Assert.Equal(lapMm, lap is null ? null : Math.Round(lap.CutMm!.Value, 9));
        if (lap is not null) Assert.True(Exhaust.Window.Holds(lap.PredictedMm));
    }

    [Fact]
    public void A_window_between_two_sizes_is_reached_by_lapping_the_thicker()
    {
        var narrow = Demand.Gap.OfWindow(Window.Of(0.38, 0.42), Clearance.OfMm(0.40));
        // 2.50 leaves 0.45, 2.60 leaves 0.35; 2.57 just reaches 0.38.
        var lap = Way(NothingFits.Of(OnTop, narrow, 0.45, 2.50, 2.50, Series), WayOut.LapShim);

        Assert.Equal((0.03, 2.57, 0.38), (Math.Round(lap.CutMm!.Value, 9), Math.Round(lap.ShimMm, 9), Math.Round(lap.PredictedMm, 9)));
        Assert.Contains("a 2.60", lap.Sentence, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(1.0)]
    [InlineData(1.6)]
    [InlineData(0.8)]
    public void Every_way_but_leaving_it_ends_in_the_window_and_where_it_says(double ratio)
    {
        var shim = new Adjuster.Shim(ShimAccess.OnTop, Series, ratio);
        foreach (var gap in (double[])[0.05, 0.20, 0.34, 0.46, 0.70])
        {
            foreach (var way in NothingFits.Of(shim, Exhaust, gap, 2.50, null, Series).Ways.Where(w => w.Way != WayOut.LeaveSo))
            {
                var cut = way.Way switch { WayOut.CutStem => way.CutMm!.Value, WayOut.CutSeat => -way.CutMm!.Value, _ => 0 };
                Assert.Equal(way.PredictedMm, gap - (way.ShimMm - 2.50) / ratio + cut, 9);
                Assert.True(Exhaust.Window.Holds(way.PredictedMm));
                Assert.True(way.CutMm is null or <= 0.1 + 1e-9);
            }
        }
    }

    [Fact]
    public void Left_so_a_tight_one_is_said_to_close_further_and_never_gets_a_shim_that_makes_it_worse()
    {
        var left = NothingFits.Of(OnTop, Exhaust, 0.25, 2.30, null, [2.40, 2.50]).Ways[^1];

        Assert.Equal((WayOut.LeaveSo, 2.30, 0.25), (left.Way, left.ShimMm, Math.Round(left.PredictedMm, 9)));
        Assert.Contains("closes further", left.Sentence, StringComparison.Ordinal);
    }

    private static WayOutOffer Way(NothingFits nothing, WayOut way) => Assert.Single(nothing.Ways, w => w.Way == way);
}
