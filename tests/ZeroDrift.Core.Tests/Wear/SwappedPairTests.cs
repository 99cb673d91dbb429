using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Tests.Wear;

/// <summary>Two figures written down the wrong way round.</summary>
public sealed class SwappedPairTests
{
    [Fact]
    public void An_intake_and_an_exhaust_that_read_as_each_other_are_named()
    {
        Assert.Equal(new SwappedPair("1I", "1E"), SwappedPair.Of([At("1I", 0.39, 0.20), At("1E", 0.21, 0.40), At("2I", 0.20, 0.20), At("2E", 0.39, 0.40)]));
    }

    [Fact]
    public void Two_valves_that_are_merely_out_are_not()
    {
        Assert.Null(SwappedPair.Of([At("1E", 0.30, 0.40), At("2E", 0.29, 0.40)]));
        Assert.Null(SwappedPair.Of([At("1I", 0.30, 0.20), At("1E", 0.55, 0.40)]));
        Assert.Null(SwappedPair.Of([At("1I", 0.21, 0.20), At("1E", 0.39, 0.40)]));
    }

    private static FoundBesideExpected At(string point, double found, double expected) => new(point, found, expected, 0.012);
}
