namespace ZeroDrift.Core.Tests;

/// <summary>Days and hours in a sentence.</summary>
public class SaidTests
{
    [Theory]
    [InlineData(10_890, "10\u202f890 h")]
    [InlineData(999, "999 h")]
    [InlineData(1234.5, "1\u202f234.5 h")]
    [InlineData(0, "0 h")]
    [InlineData(-1500, "−1\u202f500 h")]
    public void Hours_have_a_thin_gap_between_thousands(double hours, string said) => Assert.Equal(said, Said.Hours(hours));

    [Fact]
    public void A_day_has_its_month_in_words_and_its_year() => Assert.Equal("5 Nov 2026", Said.Day(new DateOnly(2026, 11, 5)));
}
