using CsCheck;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Tests.Lengths;

public class LengthTests
{
    [Fact] // NIST SP 811: 1 in = 25.4 mm exactly (international inch, 1959)
    public void Eight_thou_is_0_2032_mm() => Assert.Equal(0.2032, Length.Parse("8", LengthUnit.Thou).Millimetres, 12);

    [Theory]
    [InlineData("0,20", "0,20", 0.20)]
    [InlineData("0.250 mm", "0.250", 0.25)]
    [InlineData(" 8.5 ", "8.5", 8.5)]
    public void The_figure_is_kept_as_it_was_written(string text, string written, double figure)
    {
        var length = Length.Parse(text, LengthUnit.Millimetre);

        Assert.Equal((written, (decimal)figure), (length.Written, length.Figure));
    }

    [Fact]
    public void There_and_back_changes_nothing() => Gen.Int[0, 100_000].Sample(n =>
    {
        var thou = Length.Parse((n / 100m).ToString(System.Globalization.CultureInfo.InvariantCulture), LengthUnit.Thou);
        return Math.Abs(thou.Thou - (double)thou.Figure) < 1e-9 && Math.Abs(Length.OfMillimetres(thou.Millimetres).Thou - thou.Thou) < 0.003;
    });

    [Theory]
    [InlineData("", "is not a figure")]
    [InlineData("tight", "is not a figure")]
    [InlineData("2 feet", "is not a unit used here")]
    [InlineData("-0.2", "is not a figure")]
    [InlineData("1e3", "is not a figure")]
    [InlineData("5 mil", "thou to some and millimetre to others")]
    [InlineData("8 thou", "says thou, but mm was expected")]
    [InlineData("99999", "far too large")]
    public void What_is_no_length_is_refused(string text, string sentence) =>
        Assert.Contains(sentence, Assert.Throws<BadInputException>(() => Length.Parse(text, LengthUnit.Millimetre)).Message, StringComparison.Ordinal);

    [Theory]
    [InlineData("20", LengthUnit.Millimetre, LengthUnit.Thou)]
    [InlineData("0.40", LengthUnit.Thou, LengthUnit.Millimetre)]
    [InlineData("0.30", LengthUnit.Millimetre, null)]
    [InlineData("9", LengthUnit.Millimetre, LengthUnit.Thou)]
    [InlineData("600", LengthUnit.Millimetre, null)]
    public void A_figure_in_the_wrong_unit_is_offered_in_the_other(string figure, LengthUnit unit, LengthUnit? offered) =>
        Assert.Equal(offered, UnitDoubt.Offer(Length.Parse(figure, unit), Mm(0.35), Mm(0.45)));
}
