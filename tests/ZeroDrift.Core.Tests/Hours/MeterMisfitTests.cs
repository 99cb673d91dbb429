using ZeroDrift.Contract.Input;
using ZeroDrift.Core.Hours;

namespace ZeroDrift.Core.Tests.Hours;

/// <summary>What an hour meter can have shown on which day, and what is said of a figure that it cannot.</summary>
public class MeterMisfitTests
{
    private static readonly DateOnly Start = new(2026, 1, 1);

    [Theory]
    [InlineData(10, 90, MeterFault.BelowEarlier, "90 h is below the 100 h of 1 Jan 2026.")]
    [InlineData(1, 200, MeterFault.FasterThanClock, "100 h in 1 day is more than 24 h a day since the 100 h of 1 Jan 2026.")]
    [InlineData(-1, 120, MeterFault.AboveLater, "120 h on 31 Dec 2025 is above the 100 h of 1 Jan 2026, which was read later.")]
    [InlineData(-1, 10, MeterFault.FasterThanClock, "90 h in 1 day is more than 24 h a day up to the 100 h of 1 Jan 2026.")]
    [InlineData(40, 150, MeterFault.StillToCome, "10 Feb 2026 is still to come")]
    [InlineData(-40_000, 50, MeterFault.NoSuchDay, "No hour meter is read on")]
    public void A_reading_that_cannot_be_is_told_with_what_it_contradicts(int day, double shown, MeterFault fault, string said)
    {
        var misfit = MeterHistory.Of([new(Start, H(100))]).Misfit(new MeterReading(Start.AddDays(day), H(shown)), Start.AddDays(30))!;

        Assert.Equal(fault, misfit.Fault);
        Assert.StartsWith(said, misfit.Sentence(), StringComparison.Ordinal);
        Assert.Equal(misfit.IsOfDay ? "date" : "hours", misfit.Complaint().Field);
    }

    [Fact]
    public void Somebody_may_read_in_a_zone_that_is_ahead_but_not_the_day_after() =>
        Assert.Equal((null, MeterFault.StillToCome), (Fault(1), Fault(2)));

    private static MeterFault? Fault(int day) => MeterHistory.Of([new(Start, H(100))]).Misfit(new MeterReading(Start.AddDays(day), H(101)), Start)?.Fault;

    [Fact]
    public void A_figure_told_late_goes_between_its_neighbours()
    {
        var meter = MeterHistory.Of([new(Start, H(100)), new(Start.AddDays(20), H(300))]);

        Assert.Null(meter.Misfit(new MeterReading(Start.AddDays(10), H(200))));
        Assert.Equal(MeterFault.AboveLater, meter.Misfit(new MeterReading(Start.AddDays(10), H(301)))!.Fault);
    }

    [Fact]
    public void A_misread_old_meter_is_put_right_after_the_new_one_was_read()
    {
        var wrong = new MeterReading(Start.AddDays(10), H(500), H(0));
        var right = new MeterReading(Start.AddDays(10), H(5100), H(0));
        var meter = MeterHistory.Of([new(Start, H(400)), wrong, new(Start.AddDays(10), H(2)), new(Start.AddDays(20), H(90))]);

        Assert.Equal(MeterFault.FasterThanClock, meter.MisfitInstead(wrong, right)!.Fault);
        Assert.Null(meter.MisfitInstead(wrong, right with { ShownHours = H(510) }));
        Assert.Equal([400, 510, 512, 600], MeterHistory.Of([new(Start, H(400)), right with { ShownHours = H(510) }, new(Start.AddDays(10), H(2)), new(Start.AddDays(20), H(90))]).Totals.Select(t => t.TotalHours.Hours));
    }

    [Fact]
    public void A_change_is_not_taken_back_from_under_the_new_meter()
    {
        var change = new MeterReading(Start.AddDays(10), H(500), H(0));
        var meter = MeterHistory.Of([new(Start, H(400)), change, new(Start.AddDays(20), H(90))]);

        Assert.Equal(MeterFault.BelowEarlier, meter.MisfitWithout(change)!.Fault);
        Assert.Null(meter.MisfitWithout(new MeterReading(Start, H(400))));
        Assert.Null(meter.MisfitWithout(new MeterReading(Start.AddDays(20), H(90))));
    }

    [Fact]
    public void Replaced_twice_in_a_day_the_total_goes_on()
    {
        var day = Start.AddDays(1);
        var meter = MeterHistory.Of([new(Start, H(4990)), new(day, H(5000), H(0)), new(day, H(3), H(0)), new(day, H(1))]);

        Assert.Equal([4990, 5000, 5003, 5004], meter.Totals.Select(t => t.TotalHours.Hours));
    }

    [Fact]
    public void Opened_in_the_morning_before_the_meter_was_replaced_a_visit_keeps_the_old_meters_hours()
    {
        var day = Start.AddDays(1);
        var meter = MeterHistory.Of([new(Start, H(4980)), new(day, H(5000), H(0))]);

        Assert.Equal((4990, 5002), (meter.TotalOn(day, H(4990)).Hours, meter.TotalOn(day, H(2)).Hours));
    }

    [Theory]
    [InlineData("12345", 12345)]
    [InlineData("12 345", 12345)]
    [InlineData("12’345", 12345)]
    [InlineData("12,345.5", 12345.5)]
    [InlineData("12.345,5", 12345.5)]
    [InlineData("1.234.567", 1234567)]
    [InlineData("9400,25", 9400.25)]
    [InlineData("0.480", 0.48)]
    [InlineData("1480.000", 1480)]
    public void Plain_hours_are_read_as_people_write_them(string written, double hours) => Assert.Equal([hours], WrittenHours.Ways(written));

    [Theory]
    [InlineData("3,200", 3.2, 3200)]
    [InlineData("1.480", 1.48, 1480)]
    public void What_could_be_two_figures_is_both_until_its_column_tells(string written, double fraction, double whole)
    {
        var sign = written[1];
        var other = sign == '.' ? ',' : '.';

        Assert.Equal([fraction, whole], WrittenHours.Ways(written));
        Assert.Equal([fraction], WrittenHours.Ways(written, sign));
        Assert.Equal([whole], WrittenHours.Ways(written, other));
        Assert.Null(WrittenHours.DecimalSign([written, "900"]));
        Assert.Equal(sign, WrittenHours.DecimalSign([written, $"9400{sign}5"]));
        Assert.Equal(other, WrittenHours.DecimalSign([written, $"1{sign}234{other}5"]));
    }

    [Theory]
    [InlineData("")]
    [InlineData("12.34,5")]
    [InlineData("1,23,456")]
    [InlineData("about 900")]
    [InlineData("-5")]
    [InlineData("1.234.56")]
    public void What_is_no_figure_is_none(string written) => Assert.Empty(WrittenHours.Ways(written));
}
