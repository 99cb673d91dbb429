using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Manuals;

namespace ZeroDrift.Core.Tests.Manuals;

/// <summary>Clearances as books write them (common practice, no source).</summary>
public sealed class BookClearanceTests
{
    [Theory]
    [InlineData("0.25", "0.25")]
    [InlineData("0,25 mm", "0,25")]
    [InlineData("0.20-0.30", "0.20-0.30")]
    [InlineData("0.20 – 0.30 mm", "0.20-0.30")]
    [InlineData("0.20 to 0.30", "0.20-0.30")]
    [InlineData("0.25 ± 0.05 mm", "0.25 ± 0.05")]
    [InlineData("0.25 +/- 0.05", "0.25 ± 0.05")]
    [InlineData("0.25 +0.05/-0.02", "0.25 +0.05/-0.02")]
    [InlineData("8 thou", "8")]
    public void A_clearance_is_read_as_it_is_written(string written, string read) => Assert.Equal(read, BookClearance.Parse(written, "f").ToString());

    [Theory]
    [InlineData(".010 in", "10")]
    [InlineData("0.0098\"", "9.8")]
    [InlineData("0.008-0.010 in", "8-10")]
    public void Inches_become_thou_which_is_the_same_figure_with_its_point_moved(string written, string thou)
    {
        var read = BookClearance.Parse(written, "f");
        Assert.Equal(thou, read.ToString());
        Assert.Equal(LengthUnit.Thou, read.Unit);
    }

    [Fact]
    public void Without_a_unit_it_has_none() => Assert.Null(BookClearance.Parse("0.25", "f").Unit);

    [Fact]
    public void A_tolerance_keeps_its_two_sides()
    {
        var read = BookClearance.Parse("0.25 +0.05/-0.02", "f");
        Assert.Equal(("0.25", "0.02", "0.05"), (read.Single, read.TightSide, read.LooseSide));
    }

    [Theory]
    [InlineData("")]
    [InlineData("about a quarter")]
    [InlineData("0.25 mm and 0.30 mm")]
    [InlineData("0.2.5")]
    [InlineData("-0.25")]
    public void What_is_no_clearance_is_refused_with_how_it_is_written(string written) =>
        Assert.Contains("0.25, 0.20-0.30 or 0.25 ± 0.05", Assert.Throws<BadInputException>(() => BookClearance.Parse(written, "spec.lines[0].written")).Message, StringComparison.Ordinal);
}
