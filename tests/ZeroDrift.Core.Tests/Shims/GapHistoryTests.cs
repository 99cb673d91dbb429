using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Shims;

namespace ZeroDrift.Core.Tests.Shims;

/// <summary>How far a seat has come up where nobody reads the adjuster itself: the sum of what every run took off the gap.</summary>
public sealed class GapHistoryTests
{
    private static readonly DateOnly Day = new(2024, 1, 1);

    [Fact]
    public void Every_run_counts_from_what_was_left_to_what_was_found()
    {
        // left 0.40, found 0.36, set to 0.40, found 0.35: 0.04 + 0.05
        var told = GapHistory.Recession([At(0, null, 0.40), At(1, 0.36, 0.40), At(2, 0.35, 0.35)]);

        Assert.Equal(0.09, told!.Value.RecessionMm, 9);
        Assert.Equal(Day, told.Value.Since);
    }

    [Fact]
    public void A_new_head_begins_anew() => Assert.Equal(0.02, GapHistory.Recession([At(0, null, 0.40), At(1, 0.30, 0.40), At(2, 0.20, 0.40, anew: true), At(3, 0.38, 0.38)])!.Value.RecessionMm, 9);

    [Fact]
    public void A_visit_that_tells_nothing_joins_the_runs_on_either_side() => Assert.Equal(0.05, GapHistory.Recession([At(0, null, 0.40), At(1, null, null), At(2, 0.35, 0.35)])!.Value.RecessionMm, 9);

    [Fact]
    public void One_visit_alone_tells_of_no_run() => Assert.Null(GapHistory.Recession([At(0, 0.36, 0.40)]));

    [Fact]
    public void A_gap_that_opens_counts_the_other_way() => Assert.Equal(-0.03, GapHistory.Recession([At(0, null, 0.20), At(1, 0.23, 0.23)])!.Value.RecessionMm, 9);

    [Fact]
    public void A_screw_comes_out_by_as_much_as_the_seat_has_come_up_over_the_rocker_ratio()
    {
        // 3.5 mm free, 0.30 receded at 1.5 a travel: 0.20 of thread used, 3.30 left; at 0.03 mm a 1000 h that is 165 000 h
        var left = AdjustmentLeft.OfScrew(0.30, 3.5, -0.03, 0, 1.5);

        Assert.Equal(3.30, left.LeftMm!.Value, 9);
        Assert.Equal(165_000, left.Hours.Middle!.Value, 3);
        Assert.Equal(left.Hours.Middle, left.Hours.Early);
    }

    [Fact]
    public void A_screw_whose_gap_opens_or_whose_thread_nobody_measured_has_no_hours()
    {
        Assert.Null(AdjustmentLeft.OfScrew(0.10, 3.5, 0.02, 0.001, 1).Hours.Middle);
        Assert.Null(AdjustmentLeft.OfScrew(0.10, null, -0.02, 0.001, 1).LeftMm);
    }

    [Fact]
    public void A_thread_that_is_used_up_is_zero_never_less() => Assert.Equal((0.0, 0.0), (AdjustmentLeft.OfScrew(4, 3.5, -0.02, 0, 1).LeftMm!.Value, AdjustmentLeft.OfScrew(4, 3.5, -0.02, 0, 1).Hours.Middle!.Value));

    [Fact]
    public void Each_head_is_as_far_as_its_worst_seat_and_lasts_as_long_as_the_first_that_runs_out()
    {
        PointLeft Point(string label, int bank, double recession, double rate) => new(label, LashKind.Exhaust, bank, AdjustmentLeft.OfScrew(recession, 3, rate, 0, 1), Day);
        var heads = HeadLeft.Of([Point("1E", 0, 0.30, -0.01), Point("2E", 0, 0.10, -0.05), Point("3E", 1, 0.05, 0)]);

        Assert.Equal(("1E", "2E"), (heads[0].MostRecededPoint, heads[0].FirstOutPoint));
        Assert.Equal(58_000, heads[0].Hours!.Middle!.Value, 3);
        Assert.Equal((1, null, null), (heads[1].Bank, heads[1].FirstOutPoint, heads[1].Hours));
    }

    private static GapAtVisit At(int year, double? found, double? left, bool anew = false) => new(Day.AddYears(year), found, left, anew);
}
