using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Shims;

namespace ZeroDrift.Core.Tests.Shims;

/// <summary>Where no shim brings it in: how far short, and what each way out would take.</summary>
public sealed class NothingFitsTests
{
    private static readonly double[] Series = [2.30, 2.40, 2.50, 2.60, 2.70];
    private static readonly Adjuster.Shim OnTop = new(ShimAccess.OnTop, Series);
    private static readonly Demand.Gap Exhaust = Demand.Gap.OfWindow(Window.Of(0.35, 0.45), Clearance.OfMm(0.40));

    [Fact]
    public void The_thinnest_fitted_and_still_three_thou_short()
    {
        // 2.30 fitted, 0.2738 found: 0.0762 under 0.35 is 3 thou
        var nothing = NothingFits.Of(OnTop, Exhaust, 0.2738, 2.30, 2.30, Series);

        Assert.Equal(0.0762, nothing.ShortMm, 9);
        Assert.Equal("2.30 mm is the thinnest there is: a gap of 0.274, 0.076 mm (3 thou) short of 0.35.", nothing.Sentence);
    }

    [Fact]
    public void The_tip_is_cut_so_far_that_a_middle_size_lands_on_the_figure()
    {
        var cut = Way(NothingFits.Of(OnTop, Exhaust, 0.25, 2.30, 2.30, Series), WayOut.CutStem);

        // With 2.50 there would be 0.05: off comes what is missing to 0.40.
        Assert.Equal((2.50, 0.35), (cut.ShimMm, Math.Round(cut.CutMm!.Value, 9)));
        Assert.Contains("measured again", cut.Sentence, StringComparison.Ordinal);
    }

    [Fact]
    public void What_is_too_wide_with_the_thickest_is_closed_by_seat_or_face_never_by_the_tip()
    {
        var nothing = NothingFits.Of(OnTop, Exhaust, 0.55, 2.70, 2.70, Series);

        Assert.Equal(-0.10, nothing.ShortMm, 9);
        Assert.Contains("the thickest there is", nothing.Sentence, StringComparison.Ordinal);
        // 2.50 would leave 0.75: seat or face closes by 0.35.
        Assert.Equal(0.35, Way(nothing, WayOut.CutSeat).CutMm!.Value, 9);
        Assert.DoesNotContain(nothing.Ways, w => w.Way is WayOut.CutStem or WayOut.LapShim);
    }

    [Theory]
    [InlineData(0.32, 0.08)]
    [InlineData(0.25, null)]
    public void A_shim_is_lapped_by_hundredths_or_not_at_all(double gapMm, double? lapMm)
    {
        var lap = NothingFits.Of(OnTop, Exhaust, gapMm, 2.30, 2.30, Series).Ways.FirstOrDefault(w => w.Way == WayOut.LapShim);

        Assert.Equal(lapMm, lap is null ? null : Math.Round(lap.CutMm!.Value, 9));
    }

    [Fact]
    public void A_window_between_two_sizes_is_reached_by_lapping_the_thicker()
    {
        var narrow = Demand.Gap.OfWindow(Window.Of(0.38, 0.42), Clearance.OfMm(0.40));
        // 2.50 leaves 0.45, 2.60 leaves 0.35: 2.55 would land on it.
        var lap = Way(NothingFits.Of(OnTop, narrow, 0.45, 2.50, 2.50, Series), WayOut.LapShim);

        Assert.Equal(0.05, lap.CutMm!.Value, 9);
        Assert.Contains("a 2.60", lap.Sentence, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(1.0)]
    [InlineData(1.6)]
    [InlineData(0.8)]
    public void Every_way_but_leaving_it_ends_on_the_figure(double ratio)
    {
        var shim = new Adjuster.Shim(ShimAccess.Puck, Series, ratio);
        foreach (var gap in (double[])[0.05, 0.20, 0.34, 0.46, 0.70])
        {
            double best = Series.MinBy(mm => Math.Abs(gap - (mm - 2.50) / ratio - 0.40));
            foreach (var way in NothingFits.Of(shim, Exhaust, gap, 2.50, best, Series).Ways.Where(w => w.Way != WayOut.LeaveSo))
            {
                var cut = way.Way switch { WayOut.CutStem => way.CutMm!.Value, WayOut.CutSeat => -way.CutMm!.Value, _ => 0 };
                Assert.Equal(0.40, gap - (way.ShimMm - 2.50) / ratio + cut, 9);
            }
        }
    }

    [Fact]
    public void Left_so_a_tight_one_is_said_to_close_further()
    {
        var left = NothingFits.Of(OnTop, Exhaust, 0.25, 2.30, 2.30, Series).Ways[^1];

        Assert.Equal((WayOut.LeaveSo, 0.25), (left.Way, Math.Round(left.PredictedMm, 9)));
        Assert.Contains("closes further", left.Sentence, StringComparison.Ordinal);
    }

    private static WayOutOffer Way(NothingFits nothing, WayOut way) => Assert.Single(nothing.Ways, w => w.Way == way);
}
