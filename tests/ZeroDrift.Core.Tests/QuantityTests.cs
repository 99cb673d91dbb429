using System.Globalization;
using CsCheck;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Tests;

/// <summary>What may stand as a clearance, as engine hours, as turns and as a position of the crank.</summary>
public class QuantityTests
{
    [Theory]
    [InlineData(-0.01)]
    [InlineData(25.001)]
    [InlineData(double.NaN)]
    [InlineData(double.PositiveInfinity)]
    public void What_is_no_clearance_is_refused_by_the_name_of_its_field(double mm)
    {
        var refused = Assert.Throws<BadInputException>(() => Clearance.OfMm(mm, "measuredMm", "The measured clearance"));

        Assert.Equal("measuredMm", refused.Field);
        Assert.StartsWith("The measured clearance must be from 0 to 25 mm", refused.Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(-1)]
    [InlineData(1_000_001)]
    [InlineData(double.NaN)]
    public void What_no_meter_shows_is_refused(double hours) => Assert.Equal("meterHours", Assert.Throws<BadInputException>(() => EngineHours.Of(hours, "meterHours")).Field);

    [Theory]
    [InlineData(-0.1)]
    [InlineData(2e6)]
    public void A_turn_has_no_sign_and_an_end(double turns) => Assert.Equal("turns", Assert.Throws<BadInputException>(() => Turns.Of(turns)).Field);

    [Theory]
    [InlineData(7201)]
    [InlineData(-7201)]
    [InlineData(double.NaN)]
    public void A_crank_angle_of_more_than_ten_cycles_is_a_wrong_figure(double degrees) =>
        Assert.Equal("crankNowDeg", Assert.Throws<BadInputException>(() => CrankAngle.Of(degrees, EngineCycle.FourStroke, "crankNowDeg")).Field);

    [Fact]
    public void The_ends_of_every_range_are_in_it()
    {
        Assert.Equal((0, 25), (Clearance.OfMm(0).Millimetres, Clearance.OfMm(25).Millimetres));
        Assert.Equal((0, 1_000_000), (EngineHours.Of(0).Hours, EngineHours.Of(1_000_000).Hours));
        Assert.Equal((0, 1_000_000), (Turns.Of(0).Number, Turns.Of(1_000_000).Number));
    }

    [Theory]
    [InlineData(720, EngineCycle.FourStroke, 0)]
    [InlineData(-90, EngineCycle.FourStroke, 630)]
    [InlineData(400, EngineCycle.TwoStroke, 40)]
    [InlineData(-7200, EngineCycle.FourStroke, 0)]
    public void A_position_comes_round_with_its_cycle(double given, EngineCycle cycle, double degrees) => Assert.Equal(degrees, CrankAngle.Of(given, cycle).Degrees);

    [Fact]
    public void Barring_forwards_leads_there_and_never_a_cycle_round() => Gen.Select(Gen.Double[-7200, 7200], Gen.Double[-7200, 7200], Gen.OneOfConst(EngineCycle.FourStroke, EngineCycle.TwoStroke)).Sample((from, to, cycle) =>
    {
        var (here, there) = (CrankAngle.Of(from, cycle), CrankAngle.Of(to, cycle));
        var turn = here.ForwardTo(there);
        return turn >= 0 && turn < cycle.Degrees() && here.After(turn).IsAt(there);
    });

    [Fact]
    public void A_position_just_short_of_the_cycle_is_its_beginning()
    {
        Assert.True(Deg(719.9999999).IsAt(Deg(0)));
        Assert.Equal(0, Deg(0).ForwardTo(Deg(-1e-7)));
        Assert.False(Deg(719.9).IsAt(Deg(0)));
    }

    [Fact]
    public void They_stand_in_order_and_are_said_with_their_unit()
    {
        Assert.Equal([Mm(0.05), Mm(0.2), Mm(0.25)], new[] { Mm(0.25), Mm(0.05), Mm(0.2) }.Order());
        Assert.Equal([H(5), H(50)], new[] { H(50), H(5) }.Order());
        Assert.Equal("0.20 mm, 12400.5 h, 0.125, 120°", string.Create(CultureInfo.InvariantCulture, $"{Mm(0.2)}, {H(12400.5)}, {T(0.125)}, {Deg(120)}"));
        Assert.Equal("0.2, 12401, 45.0", string.Create(CultureInfo.InvariantCulture, $"{Mm(0.2):0.0}, {H(12400.6):0}, {T(0.125).Degrees:0.0}"));
    }
}
