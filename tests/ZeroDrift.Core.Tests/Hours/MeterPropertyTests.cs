using CsCheck;
using ZeroDrift.Core.Hours;

namespace ZeroDrift.Core.Tests.Hours;

public class MeterPropertyTests
{
    private static readonly DateOnly Start = new(2025, 1, 1);

    [Fact]
    public void Total_hours_never_fall_through_any_number_of_meter_changes() => Gen.Select(Gen.Int[0, 200], Gen.Bool).Array[1, 40].Sample(steps =>
    {
        var readings = new List<MeterReading>();
        var (shown, day) = (500.0, Start);
        foreach (var (run, replaced) in steps)
        {
            shown += run;
            day = day.AddDays(10);
            readings.Add(new MeterReading(day, H(shown), replaced ? H(0) : null));
            if (replaced) shown = 0;
        }
        var totals = MeterHistory.Of(readings).Totals.Select(t => t.TotalHours).ToList();
        return totals.Zip(totals.Skip(1)).All(pair => pair.Second >= pair.First)
            && Math.Abs(totals[^1] - 500 - steps.Sum(s => s.Item1)) < 1e-9;
    });

    [Fact]
    public void A_new_meter_carries_the_total_on() => Gen.Select(Gen.Double[0, 9000], Gen.Double[0, 500], Gen.Double[0, 20_000]).Sample((old, fresh, run) =>
    {
        var history = MeterHistory.Of([new MeterReading(Start, H(old), H(fresh))]);
        return Math.Abs(history.TotalOn(Start.AddDays(1), H(fresh + run)) - (old + run)) < 1e-6;
    });

    [Fact]
    public void One_wild_reading_in_eight_does_not_move_the_use_far()
    {
        var honest = Enumerable.Range(0, 8).Select(i => ((double)i * 14, i * 14 * 6.0)).ToArray();
        var wild = honest.ToArray();
        wild[4] = (wild[4].Item1, 9_000);

        Assert.Equal(6, TheilSen.Fit(honest)!.Slope, 9);
        Assert.Equal(6, TheilSen.Fit(wild)!.Slope, 0.7);
    }

    [Fact]
    public void Readings_older_than_the_window_do_not_speak()
    {
        var today = Start.AddDays(400);
        HoursOnDay[] totals =
        [
            new(Start, H(0)),
            new(Start.AddDays(100), H(2000)),
            new(Start.AddDays(340), H(2500)),
            new(Start.AddDays(370), H(2590)),
            new(Start.AddDays(400), H(2680)),
        ];

        Assert.Equal(3, Usage.Of(totals, today, 9).HoursPerDay, 9);
    }

    [Theory]
    [InlineData(-1)]
    [InlineData(25)]
    [InlineData(double.NaN)]
    public void A_duty_class_of_impossible_hours_is_refused(double hours) =>
        Assert.Equal("dutyHoursPerDay", Assert.Throws<BadInputException>(() => Usage.Of([], Start, hours)).Field);

    [Fact]
    public void Seasons_need_twelve_weights_and_one_month_of_running()
    {
        Assert.Equal("monthlyWeights", Assert.Throws<BadInputException>(() => Usage.Of([], Start, 4, [1, 1])).Field);
        Assert.Equal("monthlyWeights", Assert.Throws<BadInputException>(() => Usage.Of([], Start, 4, new double[12])).Field);
        Assert.Equal("monthlyWeights[2]", Assert.Throws<BadInputException>(() => Usage.Of([], Start, 4, [1, 1, -1, 1, 1, 1, 1, 1, 1, 1, 1, 1])).Field);
    }

    [Fact]
    public void A_date_too_far_to_say_is_not_said() => Assert.Null(new Usage(0.001, 0, 0.002, true, Usage.AllYear).DateAfter(Start, 5000));
}
