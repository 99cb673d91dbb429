using ZeroDrift.Core.Hours;

namespace ZeroDrift.Core.Tests.Hours;

/// <summary>What an engine ran as it was read, and how often the book would have had it opened. Worked by hand: five hours a day from 1 January to 1 July 2026.</summary>
public class BookOpeningsTests
{
    private static readonly DateOnly NewYear = new(2026, 1, 1);
    private static readonly DateOnly July = new(2026, 7, 1);
    private static readonly HoursOnDay[] FiveADay = [new(NewYear, EngineHours.Of(1000)), new(July, EngineHours.Of(1905))];

    [Fact]
    public void Between_two_readings_it_runs_evenly_and_nothing_is_claimed_outside_them()
    {
        Assert.Equal(1050, HoursRead.On(FiveADay, NewYear.AddDays(10))!.Value, 6);
        Assert.Null(HoursRead.On(FiveADay, NewYear.AddDays(-1)));
        Assert.Null(HoursRead.On(FiveADay, July.AddDays(1)));
        Assert.Null(HoursRead.On([], NewYear));
    }

    [Fact]
    public void A_stretch_counts_only_the_days_that_readings_cover()
    {
        Assert.Equal(50, HoursRead.Between(FiveADay, NewYear.AddDays(10), NewYear.AddDays(20))!.Value, 6);
        Assert.Equal(905, HoursRead.Between(FiveADay, new DateOnly(2025, 7, 1), new DateOnly(2027, 1, 1))!.Value, 6);
        Assert.Null(HoursRead.Between(FiveADay, July, new DateOnly(2027, 1, 1)));
        Assert.Null(HoursRead.Between([new(NewYear, EngineHours.Of(1000))], NewYear.AddDays(-5), NewYear.AddDays(5)));
    }

    [Fact]
    public void Of_two_readings_of_a_day_the_later_is_what_it_had_run() =>
        Assert.Equal(1200, HoursRead.On([new(NewYear, EngineHours.Of(1000)), new(NewYear, EngineHours.Of(1200)), new(July, EngineHours.Of(1900))], NewYear)!.Value, 6);

    [Fact]
    public void A_total_is_reached_on_the_first_day_that_has_it()
    {
        Assert.Equal(NewYear.AddDays(100), HoursRead.Reached(FiveADay, 1500));
        Assert.Equal(NewYear.AddDays(101), HoursRead.Reached(FiveADay, 1501));
        Assert.Null(HoursRead.Reached(FiveADay, 1906));
    }

    [Fact]
    public void By_hours_it_falls_due_each_time_they_are_up_as_far_as_it_was_read() =>
        Assert.Equal([NewYear.AddDays(50), NewYear.AddDays(100), NewYear.AddDays(150)], BookOpenings.Between(FiveADay, EngineHours.Of(250), null, NewYear, NewYear, new DateOnly(2027, 1, 1)));

    [Fact]
    public void The_earlier_of_hours_and_months_decides()
    {
        Assert.Equal(6, BookOpenings.Between(FiveADay, EngineHours.Of(250), 1, NewYear, NewYear, July).Count);
        Assert.Equal([NewYear.AddDays(50), NewYear.AddDays(100), NewYear.AddDays(150)], BookOpenings.Between(FiveADay, EngineHours.Of(250), 4, NewYear, NewYear, July));
    }

    [Fact]
    public void What_fell_due_before_the_stretch_is_not_counted_in_it() =>
        Assert.Equal([NewYear.AddDays(100), NewYear.AddDays(150)], BookOpenings.Between(FiveADay, EngineHours.Of(250), null, NewYear, NewYear.AddDays(51), July));

    [Fact]
    public void Never_read_it_falls_due_by_months_alone_and_without_a_book_never()
    {
        Assert.Equal([NewYear.AddMonths(3), NewYear.AddMonths(6)], BookOpenings.Between([], EngineHours.Of(250), 3, NewYear, NewYear, July));
        Assert.Empty(BookOpenings.Between(FiveADay, null, null, NewYear, NewYear, July));
    }

    [Fact]
    public void An_interval_of_an_hour_ends_too() => Assert.Equal(181, BookOpenings.Between(FiveADay, EngineHours.Of(1), null, NewYear, NewYear, July).Count);

    [Fact]
    public void The_opening_before_the_first_reading_counts_from_that_reading() =>
        Assert.Equal([NewYear.AddDays(80)], BookOpenings.Between(FiveADay, EngineHours.Of(400), null, NewYear.AddYears(-1), NewYear, NewYear.AddDays(100)));

    [Fact]
    public void Several_engines_add_up_and_what_is_unknown_of_one_is_left_out()
    {
        var one = new YearFigures(1, 0, 0, 12, 2, 3, 900, 4.5, 1, 0, 0, 2, 2, 9);
        var other = new YearFigures(0, 1, 0, 4, 0, 0, null, 0, 0, 1, 2, 1, 0, null);

        Assert.Equal(new YearFigures(1, 1, 0, 16, 2, 3, 900, 4.5, 1, 1, 2, 3, 2, 9), YearFigures.Sum([one, other]));
        Assert.Equal(2, YearFigures.Sum([one, other]).Openings);
        Assert.Null(YearFigures.Sum([other, other]).HoursRun);
    }
}
