using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Shims;
using ZeroDrift.Planning.Shims;
using ZeroDrift.Planning.Shims.Bench;

namespace ZeroDrift.Core.Tests.Planning.Shims;

/// <summary>A whole engine on the bench: what can be decided is decided, what cannot says what it lacks.</summary>
public sealed class ShimBenchTests
{
    private static readonly double[] Series = [.. Enumerable.Range(0, 19).Select(i => Math.Round(2.30 + i * 0.05, 2))];
    private static readonly Adjuster.Shim Bucket = new(ShimAccess.UnderBucket, Series);
    private static readonly Demand.Gap Intake = Demand.Gap.OfWindow(Window.Of(0.15, 0.25), Clearance.OfMm(0.20));

    [Fact]
    public void What_is_not_measured_closed_up_or_has_no_known_shim_keeps_its_own_and_says_what_it_lacks()
    {
        var bench = Bench([At("1I", 0.09, 2.81), At("2I", null, 2.70), At("3I", 0.09, null), new("4I", Bucket, Intake, new Reading(null, Clearance.OfMm(0.05), null, null), 2.70), new("5I", Bucket, null, Reading.Direct(Clearance.OfMm(0.2)), 2.70)]);

        Assert.Equal([BenchStanding.Placed, BenchStanding.NotMeasured, BenchStanding.ShimUnknown, BenchStanding.ClosedUp, BenchStanding.NotJudged], bench.Rows.Select(r => r.Point.Standing));
        Assert.Equal(2.70, bench.Rows[0].Shim!.ShimMm);
        Assert.All(bench.Rows.Skip(1), r => Assert.Null(r.Shim));
        Assert.Contains("measure it before it is moved", bench.Rows[2].Why, StringComparison.Ordinal);
    }

    [Fact]
    public void Closed_up_a_thinner_one_is_named_that_leaves_a_gap_to_measure()
    {
        var row = Bench([new("1I", Bucket, Intake, new Reading(null, Clearance.OfMm(0.05), null, null), 2.70)]).Rows[0];

        Assert.Equal(2.50, row.ThinnerMm);
        Assert.Contains("thinner one than 2.70 mm first", row.Why, StringComparison.Ordinal);
    }

    [Fact]
    public void A_bracket_says_which_sizes_may_and_which_surely_do()
    {
        var row = Bench([new("1I", Bucket, Intake, Reading.Between(Clearance.OfMm(0.08), Clearance.OfMm(0.10)), 2.80)]).Rows[0];

        // old + a − max, old + b − min; surely old + b − max, old + a − min
        Assert.Equal([2.63, 2.75, 2.65, 2.73], new[] { row.Wanted!.MayFromMm, row.Wanted.MayToMm, row.Wanted.SurelyFromMm!.Value, row.Wanted.SurelyToMm!.Value }.Select(mm => Math.Round(mm, 9)));
        Assert.True(row.Shim!.InWindow);
    }

    [Fact]
    public void Where_nothing_fits_the_row_compares_the_ways_out()
    {
        var row = ShimBench.Of(ShimPolicy.LeaveGoodAlone, [At("1I", 0.05, 2.30)], [], Series, []).Rows[0];

        Assert.Equal(ShimSource.Own, row.Shim!.From);
        Assert.Equal(0.10, row.Short!.ShortMm, 9);
        Assert.Equal([WayOut.OtherSize, WayOut.CutStem, WayOut.LeaveSo], row.Short.Ways.Select(w => w.Way));
    }

    [Fact]
    public void Every_choice_by_hand_stands_and_the_rest_is_worked_out_around_it()
    {
        List<BenchPoint> points = [At("1I", 0.10, 2.80), At("2I", 0.30, 2.70)];
        var free = Bench(points);
        Assert.Equal(("1I", 2.80), (free.Rows[1].Shim!.FromPoint, free.Rows[1].Shim!.ShimMm));

        var pinned = Bench(points, pins: [new("1I", 2.80)]);

        Assert.Equal((ShimSource.Own, "Chosen by hand: it stays."), (pinned.Rows[0].Shim!.From, pinned.Rows[0].Why));
        Assert.Equal((ShimSource.Buy, 2.80), (pinned.Rows[1].Shim!.From, pinned.Rows[1].Shim!.ShimMm));
    }

    [Fact]
    public void Nothing_is_chosen_for_a_point_whose_shim_nobody_knows()
    {
        var bad = Assert.Throws<BadInputException>(() => Bench([At("1I", 0.10, 2.80), At("2I", 0.10, null)], pins: [new("2I", 2.70)]));

        Assert.Equal("pins[0].point", bad.Field);
    }

    [Fact]
    public void A_little_loose_aims_above_the_figure_and_stays_in_the_window()
    {
        var plain = Bench([At("1I", 0.09, 2.81)]).Rows[0].Shim!;
        var loose = Bench([At("1I", 0.09, 2.81) with { AimMm = 0.24 }]).Rows[0].Shim!;

        Assert.Equal((2.70, 2.65), (plain.ShimMm, loose.ShimMm));
        Assert.True(loose.InWindow);
    }

    [Fact]
    public void Every_size_a_point_could_get_is_offered_with_what_it_would_make_of_the_gap()
    {
        var row = ShimBench.Of(ShimPolicy.LeaveGoodAlone, [At("1I", 0.09, 2.81), At("2I", 0.20, 2.70)], [new(2.65, 2)], [2.75], []).Rows[0];

        Assert.Equal([2.70, 2.65, 2.75, 2.81], row.Options.Select(o => o.ShimMm));
        Assert.Equal(["2I"], row.Options[0].Points);
        Assert.Equal(2, row.Options[1].Loose);
        Assert.True(row.Options[2].CanBuy);
        Assert.True(row.Options[3].Own);
    }

    [Fact]
    public void Whatever_is_found_no_good_point_moves_under_leave_good_alone_and_each_shim_is_used_once()
    {
        var random = new Random(7);
        for (var round = 0; round < 60; round++)
        {
            var points = Enumerable.Range(0, random.Next(1, 16)).Select(i => At($"{i + 1}I", random.Next(10) == 0 ? null : Math.Round(random.NextDouble() * 0.4, 2), random.Next(8) == 0 ? null : Series[random.Next(Series.Length)])).ToList();
            var stock = Series.Where(_ => random.Next(3) == 0).Select(mm => new LooseShims(mm, random.Next(1, 3))).ToList();
            var bench = ShimBench.Of(ShimPolicy.LeaveGoodAlone, points, stock, [], []);
            foreach (var row in bench.Rows.Where(r => r.Point.Standing == BenchStanding.Placed && r.Point.Demand!.Window.Holds(r.Point.Gap!.MiddleMm!.Value))) Assert.Equal(ShimSource.Own, row.Shim!.From);
            var givers = bench.Rows.Where(r => r.Shim?.From == ShimSource.Point).Select(r => r.Shim!.FromPoint!).ToList();
            Assert.Equal(givers.Count, givers.Distinct().Count());
            Assert.All(givers, g => Assert.NotEqual(ShimSource.Own, bench.Rows.Single(r => r.Point.Id == g).Shim!.From));
            foreach (var size in bench.Rows.Where(r => r.Shim?.From == ShimSource.Stock).GroupBy(r => r.Shim!.ShimMm)) Assert.True(size.Count() <= stock.Single(s => s.SizeMm == size.Key).Count);
        }
    }

    private static ShimBench Bench(IReadOnlyList<BenchPoint> points, IReadOnlyList<ShimPin>? pins = null) => ShimBench.Of(ShimPolicy.LeaveGoodAlone, points, [], Series, pins ?? []);

    private static BenchPoint At(string id, double? gap, double? fitted) => new(id, Bucket, Intake, gap is { } mm ? Reading.Direct(Clearance.OfMm(mm)) : null, fitted);
}
