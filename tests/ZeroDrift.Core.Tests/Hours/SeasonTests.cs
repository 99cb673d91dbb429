using ZeroDrift.Core.Hours;

namespace ZeroDrift.Core.Tests.Hours;

/// <summary>A year's rhythm learned from the meter, and times when a machine stands still by order.</summary>
public sealed class SeasonTests
{
    private static readonly DateOnly Start = new(2024, 1, 1);

    [Fact]
    public void A_mower_is_seen_to_work_in_summer()
    {
        var weights = Season.Learned(Read(800, day => day.Month is >= 5 and <= 9 ? 6 : 0.2))!;

        Assert.Equal(1, weights.Average(), 2);
        Assert.All(Enumerable.Range(1, 12), month => Assert.Equal(month is >= 5 and <= 9, weights[month - 1] > 1));
        Assert.InRange(weights[6] / weights[0], 3, 30);
    }

    [Fact]
    public void An_even_year_has_no_season() => Assert.Null(Season.Learned(Read(800, _ => 5)));

    [Fact]
    public void A_month_nobody_has_seen_leaves_it_open() => Assert.Null(Season.Learned(Read(300, day => day.Month < 6 ? 1 : 8)));

    [Fact]
    public void Readings_a_season_apart_say_nothing_of_single_months() =>
        Assert.Null(Season.Learned([.. Read(800, day => day.Month < 6 ? 1 : 8).Where((_, i) => i % 13 == 0)]));

    [Fact]
    public void Laid_up_by_order_is_no_season()
    {
        var laid = new Days(new DateOnly(2025, 2, 1), new DateOnly(2025, 3, 31));
        var totals = Read(1100, day => laid.Hold(day) ? 0 : 5);
        Assert.NotNull(Season.Learned([.. totals.Where(t => t.Date > new DateOnly(2024, 12, 1))]));
        Assert.Null(Season.Learned(totals, [laid]));
    }

    [Fact]
    public void A_day_laid_up_pushes_the_date_by_a_day_and_its_hours_are_not_run()
    {
        var today = new DateOnly(2026, 1, 10);
        var laid = new Days(today.AddDays(5), today.AddDays(14));
        var (plain, stands) = (Usage.Of([], today, 4), Usage.Of([], today, 4, laidUp: [laid]));

        Assert.Equal(plain.DateAfter(today, 100)!.Value.AddDays(10), stands.DateAfter(today, 100));
        Assert.Equal(plain.DateAfter(today, 20), stands.DateAfter(today, 20));
        Assert.Equal(plain.HoursBetween(today, today.AddDays(30)) - 40, stands.HoursBetween(today, today.AddDays(30)), 9);
        var (least, most) = stands.HoursBand(today, today.AddDays(30));
        Assert.True(least < stands.HoursBetween(today, today.AddDays(30)) && most > stands.HoursBetween(today, today.AddDays(30)));
    }

    [Fact]
    public void The_days_it_stood_do_not_slow_the_use_it_is_put_to()
    {
        var laid = new Days(new DateOnly(2026, 1, 1), new DateOnly(2026, 2, 15));
        var totals = Read(850, day => laid.Hold(day) ? 0 : 6);
        var today = totals[^1].Date;
        var window = totals.Where(t => t.Date >= today.AddDays(-Usage.WindowDays)).ToList();
        Assert.True(Usage.Of(window, today, 1).HoursPerDay < 6);
        Assert.InRange(Usage.Of(window, today, 1, laidUp: [laid]).HoursPerDay, 4.5, 7.5);
    }

    /// <summary>A meter read every week.</summary>
    private static List<HoursOnDay> Read(int days, Func<DateOnly, double> aDay)
    {
        var (total, read) = (1000.0, new List<HoursOnDay>());
        for (var i = 0; i < days; i++)
        {
            if (i % 7 == 0) read.Add(new HoursOnDay(Start.AddDays(i), EngineHours.Of(total)));
            total += aDay(Start.AddDays(i));
        }
        return read;
    }
}
