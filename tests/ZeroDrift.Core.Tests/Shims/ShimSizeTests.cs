using ZeroDrift.Core.Shims;

namespace ZeroDrift.Core.Tests.Shims;

/// <summary>Thicknesses as they are stamped. 0.106 in is 2.6924 mm: 1 in = 25.4 mm exactly (ISO 31-1, from memory).</summary>
public sealed class ShimSizeTests
{
    [Theory]
    [InlineData("2.70", "mm", 2.70)]
    [InlineData("2,70", "mm", 2.70)]
    [InlineData("270", "mm", 2.70)]
    [InlineData("106", "thou", 2.6924)]
    [InlineData("0.106", "in", 2.6924)]
    [InlineData(".1085", "in", 2.7559)]
    public void A_stamp_is_read_in_its_unit(string written, string unit, double mm) => Assert.Equal(mm, ShimSize.Of(written, unit));

    [Theory]
    [InlineData("27", "mm", "size")]
    [InlineData("0.27", "mm", "size")]
    [InlineData("70", "mm", "size")]
    [InlineData("2.70", "in", "size")]
    [InlineData("2.70", "thou", "size")]
    [InlineData("two", "mm", "size")]
    [InlineData("", "mm", "size")]
    [InlineData("-2.7", "mm", "size")]
    [InlineData("2.70", "furlong", "unit")]
    public void What_no_shim_can_be_is_asked_whole(string written, string unit, string field) =>
        Assert.Equal(field, Assert.Throws<BadInputException>(() => ShimSize.Of(written, unit)).Field);
}
