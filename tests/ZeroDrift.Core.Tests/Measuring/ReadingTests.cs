using CsCheck;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Tests.Measuring;

public class ReadingTests
{
    [Fact] // JCGM 100:2008, 4.3.7: rectangular distribution, u² = width²/12
    public void A_bracket_gives_its_middle_and_the_width_over_root_twelve()
    {
        var reading = Reading.FromBlades([Tried(0.20, Feel.Free), Tried(0.25, Feel.NoGo)]);

        Assert.Equal((Mm(0.20), Mm(0.25)), (reading.LowerMm, reading.UpperMm));
        Assert.Equal(0.225, reading.EstimateMm!.Value, 9);
        Assert.Equal(0.01528, reading.StandardUncertaintyMm!.Value, 5);
    }

    [Fact]
    public void Slight_drag_on_one_blade_is_the_figure()
    {
        var reading = Reading.FromBlades([Tried(0.20, Feel.Drag)]);

        Assert.Equal((null, null, Mm(0.20), 0.005), (reading.LowerMm, reading.UpperMm, reading.EstimateMm, reading.StandardUncertaintyMm));
    }

    [Fact]
    public void Two_neighbours_that_both_drag_put_the_gap_between_them()
    {
        var reading = Reading.FromBlades([Tried(0.20, Feel.Drag), Tried(0.25, Feel.Drag)]);

        Assert.Equal(0.225, reading.EstimateMm!.Value, 9);
        Assert.Equal(Math.Sqrt(0.05 * 0.05 / 12 + 0.005 * 0.005), reading.StandardUncertaintyMm!.Value, 9);
    }

    [Fact]
    public void Blades_stack()
    {
        var reading = Reading.FromBlades([new BladeTrial([0.08, 0.04], Feel.Free), Tried(0.12, Feel.Drag)]);

        Assert.Equal(0.12, reading.EstimateMm!.Value, 9);
        Assert.Equal(0.12, reading.LowerMm!.Value, 9);
    }

    [Fact]
    public void A_forced_blade_bounds_the_gap_like_one_that_does_not_go() =>
        Assert.Equal(Mm(0.30), Reading.FromBlades([Tried(0.25, Feel.Free), Tried(0.30, Feel.HeavyDrag), Tried(0.35, Feel.NoGo)]).UpperMm);

    [Fact]
    public void No_blade_goes_at_all_is_a_bound_and_not_a_zero()
    {
        var reading = Reading.FromBlades([Tried(0.05, Feel.NoGo)]);

        Assert.Equal((null, Mm(0.05), null), (reading.LowerMm, reading.UpperMm, reading.EstimateMm));
    }

    [Theory]
    [InlineData(0.25, Feel.Free, 0.20, Feel.NoGo)]
    [InlineData(0.25, Feel.Free, 0.20, Feel.Drag)]
    [InlineData(0.25, Feel.Drag, 0.20, Feel.HeavyDrag)]
    public void A_contradiction_names_both_blades(double thick, Feel easier, double thin, Feel harder)
    {
        var complaint = Assert.Throws<BadInputException>(() => Reading.FromBlades([Tried(thick, easier), Tried(thin, harder)]));

        Assert.Equal("trials[1]", complaint.Field);
        Assert.Contains("0.25", complaint.Message, StringComparison.Ordinal);
        Assert.Contains("0.2 ", complaint.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void The_same_blade_may_drag_and_then_go_or_stop() =>
        Assert.Equal(0.20, Reading.FromBlades([Tried(0.20, Feel.Free), Tried(0.20, Feel.Drag), Tried(0.20, Feel.NoGo)]).EstimateMm!.Value, 9);

    [Fact]
    public void Readings_never_contradict_the_gap_they_came_from() => Gen.Select(Gen.Double[0.02, 1], Gen.Double[0.01, 1.2].Array[1, 12]).Sample((gap, blades) =>
    {
        var reading = Reading.FromBlades([.. blades.Select(b => Tried(b, Math.Abs(b - gap) < 0.004 ? Feel.Drag : b < gap ? Feel.Free : Feel.NoGo))]);
        return (reading.LowerMm?.Millimetres ?? 0) <= gap + 1e-9 && (reading.UpperMm?.Millimetres ?? 9) >= gap - 1e-9;
    });

    [Fact] // common practice, no source
    public void A_dial_reading_is_converted_with_its_uncertainty()
    {
        var reading = Reading.FromDial(0.48, 1 / 2.4, 0.01);

        Assert.Equal(0.20, reading.EstimateMm!.Value, 9);
        Assert.Equal(0.01 / 2.4, reading.StandardUncertaintyMm!.Value, 9);
    }

    [Fact]
    public void The_first_blade_to_try_splits_what_is_expected()
    {
        double[] tray = [0.10, 0.15, 0.20, 0.25, 0.30, 0.35, 0.40, 0.45, 0.50];
        var window = new Window(Mm(0.35), Mm(0.45));

        Assert.Contains(NextBlade.Suggest(tray, new Reading(null, null, null, null), window, (0.40, 0.02))!.Value, new[] { 0.35, 0.45 });
        Assert.Equal(0.45, NextBlade.Suggest(tray, new Reading(Mm(0.35), null, null, null), window, (0.40, 0.02)));
        Assert.Equal(0.35, NextBlade.Suggest(tray, new Reading(null, null, null, null), window, (0.32, 0.02)));
        Assert.Null(NextBlade.Suggest(tray, new Reading(Mm(0.35), Mm(0.45), Mm(0.40), 0.03), window));
    }

    private static BladeTrial Tried(double mm, Feel feel) => new([mm], feel);
}
