using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Core.Tests.Turning;

/// <summary>A quarter inch past TDC, so that the compression release is off: stroke 60, rod 100, 33.46° (slider-crank relation, any dynamics textbook).</summary>
public class PastTdcTests
{
    private static EngineType Single(double? stroke, double? rod)
    {
        var order = FiringOrder.Parse("1", EngineCycle.FourStroke);
        return new EngineType { Order = order, Points = HeadLayout.Parse(null, "I E", order, AdjusterKind.ScrewAtValve, new AdjusterFigures(0.8)), Method = TurningMethod.PerCylinder, PastTdc = PistonTravel.Past(6.35, stroke, rod) };
    }

    [Fact]
    public void Its_stop_lies_past_TDC_by_the_piston_s_travel()
    {
        var stop = Assert.Single(Single(60, 100).Plan().Stops);
        Assert.Equal(33.46, stop.CrankDeg.Degrees, 2);
        Assert.Null(stop.CompressionCylinder);
        Assert.Contains("33° past its TDC", stop.Sign, StringComparison.Ordinal);
        Assert.All(stop.Set, p => Assert.True(p.MarginDeg > 60));
    }

    [Fact]
    public void Its_compression_is_proved_as_at_the_mark() =>
        Assert.Contains(CompressionProof.For(Single(60, 100).Turning(), Single(60, 100).Plan().Stops[0].CrankDeg, new ProofCase(HoleOpen: true)), p => p.Kind == ProofKind.Air);

    [Fact]
    public void Without_stroke_and_rod_no_angle_is_guessed() => Assert.Equal(0, Single(null, null).Plan().Stops[0].CrankDeg.Degrees);

    [Theory]
    [InlineData(60.0, null, "rodMm")]
    [InlineData(null, 100.0, "strokeMm")]
    [InlineData(60.0, 20.0, "rodMm")]
    public void Half_a_geometry_is_refused_by_name(double? stroke, double? rod, string field) =>
        Assert.Equal(field, Assert.Throws<BadInputException>(() => Single(stroke, rod)).Field);

    [Fact]
    public void An_injector_goes_before_the_valves_of_its_cylinder_at_the_same_stop()
    {
        var order = FiringOrder.Parse("1-3-4-2", EngineCycle.TwoStroke);
        var type = new EngineType { Order = order, Points = HeadLayout.Parse(null, "E J E J E J E J", order, AdjusterKind.BridgeScrew), Method = TurningMethod.FewestStops };
        var both = new StopPlan(type, TurningMethod.FewestStops).Stops.SelectMany(s => s.Points.Where(p => s.Points.Contains(p[0] + "J") && s.Points.Contains(p[0] + "E"))).ToList();
        Assert.NotEmpty(both);
        Assert.All(both.Chunk(2), pair => Assert.Equal((pair[0][0] + "J", pair[0][0] + "E"), (pair[0], pair[1])));
    }
}
