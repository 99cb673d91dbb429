using ZeroDrift.Core.Setting;

namespace ZeroDrift.Core.Tests.Setting;

/// <summary>The lever arithmetic of a pushrod's length; middle of the plunger travel: common practice, no source.</summary>
public sealed class PushrodLengthTests
{
    [Fact]
    public void Play_at_the_valve_is_taken_up_and_half_the_travel_added()
    {
        // 1.5 mm at the valve is 1.0 at the pushrod; half of 1.6 is 0.8
        var length = PushrodLength.ToPlunger(PushrodLength.Pressed(PushrodStart.Play, 1.5, 0, 1.5), 1.6);

        Assert.Equal(1.8, length.ChangeMm, 9);
    }

    [Fact]
    public void A_plunger_pressed_beyond_its_middle_wants_a_shorter_one()
    {
        var length = PushrodLength.ToPlunger(PushrodLength.Pressed(PushrodStart.Pressed, 0, 1.25, 1.5), 1.6);

        Assert.Equal(-0.45, length.ChangeMm, 9);
    }

    [Fact]
    public void From_zero_lash_it_is_half_the_travel_as_the_preload_is()
    {
        var length = PushrodLength.ToPlunger(PushrodLength.Pressed(PushrodStart.ZeroLash, 0, 0, 1.5), 1.6);

        Assert.Equal(LifterPreload.FromTravel(1.6, 1) * 1.0, length.ChangeMm, 9);
    }

    [Theory]
    [InlineData(PushrodStart.ZeroLash, 0, -0.2)]
    [InlineData(PushrodStart.Play, 0.3, 0)]
    [InlineData(PushrodStart.Play, 0.9, 0.4)]
    public void A_solid_follower_ends_at_its_clearance(PushrodStart start, double play, double change) =>
        Assert.Equal(change, PushrodLength.ToClearance(PushrodLength.Pressed(start, play, 0, 1.5), 0.3, 1.5).ChangeMm, 9);

    [Theory]
    [InlineData(-1, 1.5, 1.6, 0.5, "playMm")]
    [InlineData(1, 0, 1.6, 0.5, "rockerRatio")]
    [InlineData(1, double.NaN, 1.6, 0.5, "rockerRatio")]
    [InlineData(1, 1.5, 0, 0.5, "travelMm")]
    [InlineData(1, 1.5, 1.6, 1.5, "fraction")]
    public void A_figure_that_cannot_be_is_named(double play, double ratio, double travel, double fraction, string field) =>
        Assert.Equal(field, Assert.Throws<BadInputException>(() => PushrodLength.ToPlunger(PushrodLength.Pressed(PushrodStart.Play, play, 0, ratio), travel, fraction)).Field);
}
