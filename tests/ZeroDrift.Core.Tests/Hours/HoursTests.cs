using ZeroDrift.Core.Hours;

namespace ZeroDrift.Core.Tests.Hours;

public class HoursTests
{
    private static readonly DateOnly Start = new(2026, 1, 1);

    [Fact]
    public void A_replaced_meter_carries_the_total_on()
    {
        var history = MeterHistory.Of([new(Start, H(4990)), new(Start.AddDays(10), H(5000), H(0)), new(Start.AddDays(20), H(120))]);

        Assert.Equal([4990, 5000, 5120], history.Totals.Select(t => t.TotalHours.Hours));
        Assert.Equal(H(5130), history.TotalOn(history.Latest!.Value.Date.AddDays(1), H(130)));
    }

    [Fact] // reference library: SciPy stats.theilslopes; figures and script in tests/reference/theil_sen.py
    public void The_slope_is_that_of_the_reference_library()
    {
        (double X, double Y)[] points = [(0, 100), (7, 131), (14, 170), (21, 195), (35, 262), (42, 900), (56, 350), (70, 422)];

        var fit = TheilSen.Fit(points)!;

        Assert.Equal(4.585714285714285, fit.Slope, 9);
        Assert.Equal(4.004761904761905, fit.Low, 9);
        Assert.Equal(23.201428571428576, fit.High, 9);
    }

    [Fact]
    public void Same_day_readings_are_dropped_and_too_few_fall_back_on_the_duty_class()
    {
        Assert.Null(TheilSen.Fit([(1, 2), (1, 5)]));
        var usage = Usage.Of([new(Start, H(100)), new(Start.AddDays(9), H(190))], Start.AddDays(10), 4);

        Assert.Equal((4, false), (usage.HoursPerDay, usage.FromReadings));
    }

    [Fact]
    public void In_season_the_slope_is_divided_by_the_seasons_weight()
    {
        double[] summer = [0, 0, 0, 1, 1, 2, 2, 2, 1, 0, 0, 0];
        var july = new DateOnly(2026, 7, 1);

        var usage = Usage.Of([new(july, H(0)), new(july.AddDays(10), H(80)), new(july.AddDays(20), H(160))], july.AddDays(20), 1, summer);

        Assert.Equal(4, usage.HoursPerDay, 9);
        Assert.Equal(0, usage.HoursBetween(new DateOnly(2026, 11, 1), new DateOnly(2027, 3, 1)));
        Assert.Equal(new DateOnly(2027, 4, 2), usage.DateAfter(new DateOnly(2026, 11, 1), 4));
    }

    [Fact]
    public void The_band_surrounds_the_expected_date()
    {
        var usage = new Usage(8, 4, 10, true, Usage.AllYear);

        Assert.Equal(Start.AddDays(10), usage.DateAfter(Start, 80));
        Assert.Equal((Start.AddDays(8), Start.AddDays(20)), usage.DateBand(Start, 80));
    }

    [Fact]
    public void The_earliest_rule_decides_and_drift_never_pushes_past_the_book()
    {
        var book = new BookClock(H(1000), 12, H(100), H(500), Start, false);
        var usage = new Usage(10, 8, 12, true, Usage.AllYear);

        var byBook = Due.Of(book, H(700), Start.AddDays(30), usage, H(5000), false);
        Assert.Equal((DueRule.BookHours, 800.0), (byBook.Decides.Rule, byBook.Decides.Hours));
        Assert.Equal([DueRule.BookMonths, DueRule.Drift], byBook.Others.Select(o => o.Rule));

        var byDrift = Due.Of(book, H(700), Start.AddDays(30), usage, H(200), false);
        Assert.Equal((DueRule.Drift, 600.0), (byDrift.Decides.Rule, byDrift.AheadOfBookHours));

        Assert.Equal(DueRule.Finding, Due.Of(book, H(700), Start.AddDays(30), usage, H(200), true).Decides.Rule);
        Assert.Equal(DueRule.FirstCheck, Due.Of(book with { LastWasBuild = true }, H(550), Start.AddDays(5), usage, null, false).Decides.Rule);
        Assert.Equal(DueRule.Nothing, Due.Of(null, H(0), Start, usage, null, false).Decides.Rule);
        Assert.Equal(-200, Due.Of(book, H(1700), Start.AddDays(30), usage, null, false).Decides.Hours);
    }

    [Fact]
    public void Built_cold_on_a_type_that_is_set_again_hot_that_is_due_in_its_own_hours_and_once_only()
    {
        var today = new DateOnly(2026, 1, 5);
        var usage = Usage.Of([], today, 4, null);
        BookClock Clock(bool build) => new(H(1000), null, H(200), H(100), new DateOnly(2026, 1, 1), build, H(10));
        var due = Due.Of(Clock(true), H(102), today, usage, null, false);
        Assert.Equal((DueRule.ResetHot, 8.0), (due.Decides.Rule, due.Decides.Hours!.Value));
        Assert.DoesNotContain(DueRule.ResetHot, Due.Of(Clock(false), H(102), today, usage, null, false).Others.Select(o => o.Rule));
    }
}
