using CsCheck;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Tests.Turning;

public class CrankGeometryTests
{
    [Fact] // slider-crank relation, any dynamics textbook; a quarter inch past TDC is common practice, no source
    public void A_quarter_inch_past_TDC_on_a_60_mm_stroke_is_33_and_a_half_degrees() =>
        Assert.Equal(33.46, PistonTravel.ToCrankAngle(60, 100, 6.35), 2);

    [Fact]
    public void Travel_and_angle_are_inverses() => Gen.Select(Gen.Double[0.1, 179.9], Gen.Double[1.001, 4]).Sample((angle, ratio) =>
        Math.Abs(PistonTravel.ToCrankAngle(100, 50 * ratio, PistonTravel.AtCrankAngle(100, 50 * ratio, angle)) - angle) < 1e-5);

    [Fact]
    public void The_piston_travels_the_whole_stroke_in_half_a_turn() => Assert.Equal(120, PistonTravel.AtCrankAngle(120, 200, 180), 9);

    [Fact]
    public void A_tape_round_a_200_mm_pulley_measures_a_half_turn_as_314_mm()
    {
        Assert.Equal(314.159, RimDistance.ForAngle(200, 180), 3);
        Assert.Equal(180, RimDistance.ToAngle(200, RimDistance.ForAngle(200, 180)), 9);
    }

    [Fact]
    public void A_barring_tool_of_twelve_to_one_turns_six_times_for_half_a_turn() => Assert.Equal(6, BarringTool.For(180, 12), 9);

    [Theory]
    [InlineData(0, 0.3, "strokeMm")]
    [InlineData(100, 40, "rodMm")]
    public void Impossible_rods_and_strokes_are_refused(double stroke, double rod, string field) =>
        Assert.Equal(field, Assert.Throws<BadInputException>(() => PistonTravel.AtCrankAngle(stroke, rod, 10)).Field);
}
