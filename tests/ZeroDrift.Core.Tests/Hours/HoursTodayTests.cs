using ZeroDrift.Core.Hours;

namespace ZeroDrift.Core.Tests.Hours;

/// <summary>What an engine has run since its meter was read, and what that does to its dates.</summary>
public sealed class HoursTodayTests
{
    private static readonly DateOnly Read = new(2026, 11, 12);
    private static readonly Usage Five = new(5, 4, 6, true, Usage.AllYear);

    [Fact]
    public void It_runs_on_by_its_use_with_the_band_of_that()
    {
        var hours = new HoursToday(EngineHours.Of(7000), Read, Five);
        Assert.Equal(7130, hours.At(Read.AddDays(26)), 9);
        Assert.Equal((7104, 7156), ((double)hours.Band(Read.AddDays(26)).Least, (double)hours.Band(Read.AddDays(26)).Most));
        Assert.Equal(7000, hours.At(Read), 9);
    }

    [Fact]
    public void Laid_up_it_runs_nothing_and_out_of_season_less()
    {
        var laidUp = Five with { LaidUp = [new Days(Read, Read.AddDays(19))] };
        Assert.Equal(7030, new HoursToday(EngineHours.Of(7000), Read, laidUp).At(Read.AddDays(26)), 9);
        var verges = Five with { MonthlyWeights = [0, 0, 0, 1, 1, 1, 1, 1, 1, 1, 0, 0] };
        Assert.Equal(7000, new HoursToday(EngineHours.Of(7000), Read, verges).At(Read.AddDays(26)), 9);
    }

    [Fact]
    public void While_nobody_reads_a_date_stands_to_a_day_and_a_reading_moves_it_at_once()
    {
        var book = new BookClock(EngineHours.Of(1000), null, null, EngineHours.Of(6500), new DateOnly(2026, 8, 1), false);
        var unread = new HoursToday(EngineHours.Of(7000), Read, Five);
        DateOnly Due_(HoursToday hours, DateOnly day) => Due.Of(book, hours.At(day), day, Five, null, false).Decides.Date!.Value;
        var first = Due_(unread, Read);
        for (var days = 1; days <= 90; days++) Assert.InRange(Due_(unread, Read.AddDays(days)).DayNumber - first.DayNumber, -1, 1);
        // It ran only half as much: forty days later it is read, and falls due as much later.
        var read = new HoursToday(EngineHours.Of(7100), Read.AddDays(40), Five);
        Assert.Equal(20, Due_(read, Read.AddDays(40)).DayNumber - first.DayNumber);
        // Overdue by what has run since.
        Assert.Equal(-50, Due.Of(book, unread.At(Read.AddDays(110)), Read.AddDays(110), Five, null, false).Decides.Hours!.Value, 9);
    }

    [Theory]
    [InlineData(10, 1000.0, false)]
    [InlineData(40, 1000.0, false)]
    [InlineData(60, 1000.0, true)]
    [InlineData(60, 3000.0, false)]
    [InlineData(60, null, true)]
    [InlineData(40, null, false)]
    public void It_is_to_be_read_once_what_it_may_have_run_is_too_unsure_to_plan_by(int days, double? interval, bool toBeRead) =>
        Assert.Equal(toBeRead, new HoursToday(EngineHours.Of(7000), Read, Five).IsToBeRead(Read.AddDays(days), interval));

    [Fact]
    public void An_engine_that_never_runs_need_not_be_read() =>
        Assert.False(new HoursToday(EngineHours.Of(10), Read, new Usage(0, 0, 0, false, Usage.AllYear)).IsToBeRead(Read.AddDays(900), 1000));
}
