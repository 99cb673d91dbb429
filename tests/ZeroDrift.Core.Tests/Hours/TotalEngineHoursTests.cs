using ZeroDrift.Core.Hours;

namespace ZeroDrift.Core.Tests.Hours;

/// <summary>SPN 247 of SAE J1939-71, from memory, against bytes worked by hand.</summary>
public sealed class TotalEngineHoursTests
{
    [Theory]
    [InlineData("00000000", 0.0)]
    [InlineData("01000000", 0.05)]
    [InlineData("14000000", 1.0)] // 20 bits
    [InlineData("40E20100", 6172.8)] // 0x0001E240 = 123 456 bits
    [InlineData("80380100FFFFFFFF", 4000.0)] // 0x00013880 = 80 000 bits; the bytes after are revolutions
    [InlineData("FFFFFFFA", 210554060.75)] // 0xFAFFFFFF, the last figure
    public void The_first_four_bytes_are_twentieths_of_an_hour(string bytes, double hours) => Assert.Equal(hours, TotalEngineHours.Of(Convert.FromHexString(bytes))!.Value, 6);

    [Theory]
    [InlineData("FFFFFFFF")] // not available
    [InlineData("000000FE")] // error
    [InlineData("000000FB")] // reserved
    [InlineData("801301")] // cut off
    [InlineData("")]
    public void What_is_no_figure_is_not_taken_for_one(string bytes) => Assert.Null(TotalEngineHours.Of(Convert.FromHexString(bytes)));

    [Fact]
    public void The_identifier_names_the_message_and_its_sender()
    {
        Assert.Equal((TotalEngineHours.Pgn, 0x00), TotalEngineHours.Read(0x18FEE500));
        Assert.Equal((TotalEngineHours.Pgn, 0x01), TotalEngineHours.Read(0x1CFEE501));
        // A request to address 0x00 for something else: its number does not hold the address.
        Assert.Equal((0xEA00, 0xF9), TotalEngineHours.Read(0x18EA00F9));
    }
}
