using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Setting;

namespace ZeroDrift.Core.Tests.Shims;

/// <summary>Worked figures of the shop: common practice, no source.</summary>
public sealed class WorkedShimTests
{
    private const double Inch = 25.4;

    [Theory]
    [InlineData(0.20, 0.10, 0.10)]
    [InlineData(0.40, 0.31, 0.09)]
    [InlineData(0.40, 0.26, 0.14)]
    [InlineData(9 * 0.0254, 1.5 * 0.0254, 0.1905)]
    public void Tight_by_so_much_is_a_shim_thinner_by_as_much(double setMm, double gapMm, double thinnerMm) =>
        Assert.Equal(2.70 - thinnerMm, ShimChoice.From(Mm(gapMm), Mm(setMm), Window.Of(setMm - 0.05, setMm + 0.05), 2.70, [2.60]).ExactShimMm, 9);

    [Fact]
    public void In_inches_the_exact_one_is_104_thou_and_the_metric_one_beside_it_leaves_0_22()
    {
        var choice = ShimChoice.From(Mm(0.0045 * Inch), Mm(0.009 * Inch), Window.Of(0.008 * Inch, 0.010 * Inch), 0.1085 * Inch, [2.60, 2.65, 2.70]);

        Assert.Equal(0.104 * Inch, choice.ExactShimMm, 9);
        Assert.Equal((2.65, 0.220), (choice.Choice!.ShimMm, Math.Round(choice.Choice.PredictedMm, 3)));
    }

    private static Clearance Mm(double mm) => Clearance.OfMm(mm);
}
