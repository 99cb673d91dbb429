using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Setting;

namespace ZeroDrift.Core.Tests.Setting;

/// <summary>What a shim's mark or a called-out size means. Common practice, no source.</summary>
public class ShimMarkTests
{
    private static readonly double[] Series = [2.30, 2.35, 2.40, 2.45, 2.50, 2.55, 2.60, 2.65, 2.70, 2.75, 2.80, 2.85, 2.90, 2.95, 3.00, 3.05, 3.10, 3.15, 3.20];

    [Theory]
    [InlineData("2.70", 2.70)]
    [InlineData("2,70", 2.70)]
    [InlineData("270", 2.70)]
    [InlineData("2.683", 2.683)]
    public void A_whole_thickness_or_one_stamped_in_hundredths_is_taken(string written, double mm) =>
        Assert.Equal(mm, ShimMark.Read(written, Series).Mm!.Value, 9);

    [Theory]
    [InlineData("70", 2.70)]
    [InlineData("27", 2.70)]
    [InlineData("05", 3.05)]
    [InlineData("81", 2.81)]
    [InlineData("683", 2.683)]
    public void Last_digits_and_a_lost_point_are_asked_for_whole(string written, double offered)
    {
        var read = ShimMark.Read(written, Series);
        Assert.Null(read.Mm);
        Assert.Contains(read.OffersMm, mm => Math.Abs(mm - offered) < 1e-9);
    }

    [Fact]
    public void An_inch_micrometer_is_read_in_thou()
    {
        // 0.1065 in = 106.5 thou = 2.7051 mm: 1 in = 25.4 mm (NIST SP 811).
        Assert.Equal(2.7051, ShimMark.Read("106.5", Series, LengthUnit.Thou).Mm!.Value, 9);
        Assert.Equal([2.7051], ShimMark.Read(".1065", Series, LengthUnit.Thou).OffersMm.Select(mm => Math.Round(mm, 6)));
        var inMillimetres = ShimMark.Read("2.70", Series, LengthUnit.Thou);
        Assert.Equal((null, 0), (inMillimetres.Mm, inMillimetres.OffersMm.Count));
    }

    [Fact]
    public void What_the_series_cannot_hold_is_nothing() => Assert.Equal((null, 0), (ShimMark.Read("9.99", Series).Mm, ShimMark.Read("9.99", Series).OffersMm.Count));

    [Theory]
    [InlineData("two seventy")]
    [InlineData("-2.7")]
    [InlineData("")]
    public void A_word_is_no_thickness(string written) => Assert.Throws<BadInputException>(() => ShimMark.Read(written, Series));
}
