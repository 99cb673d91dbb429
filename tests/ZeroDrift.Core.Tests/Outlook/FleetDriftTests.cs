using ZeroDrift.Core.Outlook;

namespace ZeroDrift.Core.Tests.Outlook;

/// <summary>What the engines of a fleet say together.</summary>
public sealed class FleetDriftTests
{
    [Theory]
    [InlineData(true, true, -10.0, true, EngineState.Found)]
    [InlineData(false, true, -10.0, true, EngineState.Drifting)]
    [InlineData(false, false, -10.0, true, EngineState.Overdue)]
    [InlineData(false, false, 10.0, true, EngineState.Quiet)]
    [InlineData(false, false, null, true, EngineState.Quiet)]
    [InlineData(false, false, -10.0, false, EngineState.Unknown)]
    public void An_engine_counts_once_by_the_gravest_that_is_to_say_of_it(bool found, bool drifts, double? left, bool measured, EngineState state) =>
        Assert.Equal(state, FleetDrift.State(found, drifts, left, measured));

    [Fact]
    public void A_fast_rate_known_badly_does_not_lead_a_slow_one_known_well() => Assert.True(FleetDrift.Surely(-0.02, 0.002) > FleetDrift.Surely(-0.05, 0.03));

    [Fact]
    public void One_engine_compares_nothing() => Assert.Null(FleetDrift.Use([new EngineRate(-0.02, 1e-5)]));

    [Fact]
    public void Six_valves_of_one_engine_are_no_six_witnesses()
    {
        var one = EngineRate.Of([.. Enumerable.Repeat((-0.02, 0.004), 6)]);
        Assert.Equal(0.004 * 0.004, one.Variance, 12);
        var use = FleetDrift.Use([one, new EngineRate(-0.03, 1.6e-5)])!.Value;
        Assert.Equal(-0.025, use.Mean, 9);
    }
}
