using ZeroDrift.Core.Hours;

namespace ZeroDrift.Core.Tests.Hours;

/// <summary>A figure from outside is judged before it is believed.</summary>
public sealed class ReportedHoursTests
{
    private static readonly DateOnly Today = new(2026, 11, 25);
    private static readonly MeterHistory Meter = MeterHistory.Of([new(Today.AddDays(-30), EngineHours.Of(4000)), new(Today.AddDays(-10), EngineHours.Of(4100))]);

    [Theory]
    [InlineData(0, 4150, null, null)]
    [InlineData(-20, 4050, null, null)]
    [InlineData(0, 4099, HoursDoubt.Backwards, null)]
    [InlineData(-20, 4150, HoursDoubt.Backwards, null)]
    [InlineData(0, 4400, HoursDoubt.FasterThanClock, null)]
    [InlineData(0, 249000, HoursDoubt.WrongUnit, 4150.0)]
    [InlineData(0, 14940000, HoursDoubt.WrongUnit, 4150.0)]
    [InlineData(2, 4150, HoursDoubt.StillToCome, null)]
    [InlineData(0, -1, HoursDoubt.Unreadable, null)]
    public void It_fits_or_it_waits_with_what_speaks_against_it(int day, double shown, HoursDoubt? doubt, double? perhaps)
    {
        var judged = ReportedHours.Of(Meter, Today.AddDays(day), shown, Today);

        Assert.Equal((doubt, perhaps), (judged.Doubt, judged.PerhapsHours));
    }

    [Fact]
    public void A_day_before_there_were_such_engines_is_no_day() =>
        Assert.Equal(HoursDoubt.Unreadable, ReportedHours.Of(Meter, new DateOnly(1, 1, 1), 5, Today).Doubt);

    [Fact]
    public void The_first_figure_of_an_engine_is_believed() => Assert.Null(ReportedHours.Of(MeterHistory.Of([]), Today, 12_345, Today).Doubt);
}
