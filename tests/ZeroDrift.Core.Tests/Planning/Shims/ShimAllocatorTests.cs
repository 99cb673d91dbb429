using ZeroDrift.Core.Judging;
using ZeroDrift.Planning.Shims;

namespace ZeroDrift.Core.Tests.Planning.Shims;

/// <summary>Every shim once, least left outside, least bought, least moved.</summary>
public sealed class ShimAllocatorTests
{
    private static readonly Window Intake = Window.Of(0.15, 0.25);
    private static readonly Window Exhaust = Window.Of(0.35, 0.45);

    [Fact]
    public void Old_plus_gap_less_figure_is_the_new_one()
    {
        // 2.81 + 0.09 − 0.20 = 2.70: common practice, no source
        var plan = ShimAllocator.Allocate(Of(ShimPolicy.LeaveGoodAlone, [I("1E", 2.81, 0.09)], [new(2.70, 1)], 2.65, 2.70, 2.75));

        Assert.Equal(new AllocatedShim("1E", 2.70, ShimSource.Stock, null, plan.Points[0].PredictedMm, true), plan.Points[0]);
        Assert.Equal(0.20, plan.Points[0].PredictedMm, 9);
        Assert.Empty(plan.Buy);
        Assert.Equal([new LooseShims(2.81, 1)], plan.Spare);
        Assert.Equal((0, 0, 1), (plan.Outside, plan.Bought, plan.Moved));
        Assert.Equal(0, plan.DeviationMm, 9);
    }

    [Fact]
    public void What_the_engine_holds_goes_round_before_anything_is_bought()
    {
        // a straight six: seven good ones stay, four go round, one is bought
        List<ShimPoint> six =
        [
            I("1I", 2.700, 0.19), E("1E", 2.750, 0.39), I("2I", 2.725, 0.21), E("2E", 2.750, 0.29), I("3I", 2.700, 0.20), E("3E", 2.700, 0.33),
            I("4I", 2.675, 0.28), E("4E", 2.625, 0.49), I("5I", 2.700, 0.18), E("5E", 2.750, 0.41), I("6I", 2.725, 0.22), E("6E", 2.760, 0.24),
        ];
        var plan = ShimAllocator.Allocate(Of(ShimPolicy.LeaveGoodAlone, six, [new(2.750, 1), new(2.775, 2)], [.. Enumerable.Range(0, 21).Select(i => 2.5 + i * 0.025)]));

        Assert.Equal((0, 1, 5), (plan.Outside, plan.Bought, plan.Moved));
        Assert.Equal(7, plan.Points.Count(p => p.From == ShimSource.Own));
        Assert.Equal([new LooseShims(2.600, 1)], plan.Buy);
    }

    [Fact]
    public void A_good_point_moves_only_where_that_saves_a_purchase()
    {
        // 1I holds a shim that 2I needs, and may itself take the one in the drawer.
        List<ShimPoint> two = [I("1I", 2.70, 0.20), I("2I", 2.80, 0.10)];
        LooseShims[] drawer = [new(2.75, 1)];

        var left = ShimAllocator.Allocate(Of(ShimPolicy.LeaveGoodAlone, two, [new(2.675, 1)], 2.70));
        Assert.Equal((ShimSource.Own, ShimSource.Stock), (left.Points[0].From, left.Points[1].From));
        var bought = ShimAllocator.Allocate(Of(ShimPolicy.LeaveGoodAlone, [two[0], I("2I", 2.86, 0.01)], drawer, 2.70));
        Assert.Equal((0, 1, 1), (bought.Outside, bought.Bought, bought.Moved));
        var saved = ShimAllocator.Allocate(Of(ShimPolicy.FewestBought, [two[0], I("2I", 2.86, 0.01)], drawer, 2.70));
        Assert.Equal((0, 0, 2), (saved.Outside, saved.Bought, saved.Moved));
        Assert.Equal("1I", saved.Points[1].FromPoint);
        var kept = ShimAllocator.Allocate(Of(ShimPolicy.FewestBought, two, [new(2.70, 1)], 2.70));
        Assert.Equal((ShimSource.Own, ShimSource.Stock), (kept.Points[0].From, kept.Points[1].From));
    }

    [Fact]
    public void Blueprint_puts_every_point_as_near_its_figure_as_can_be()
    {
        List<ShimPoint> two = [I("1I", 2.70, 0.24), I("2I", 2.74, 0.16)];
        var alone = ShimAllocator.Allocate(Of(ShimPolicy.LeaveGoodAlone, two, []));
        var blueprint = ShimAllocator.Allocate(Of(ShimPolicy.Blueprint, two, []));

        Assert.Equal((0, 0.08), (alone.Moved, Math.Round(alone.DeviationMm, 9)));
        Assert.Equal((2, 0.0), (blueprint.Moved, Math.Round(blueprint.DeviationMm, 9)));
    }

    [Fact]
    public void Two_sizes_as_near_as_each_other_leave_it_the_looser()
    {
        var plan = ShimAllocator.Allocate(Of(ShimPolicy.LeaveGoodAlone, [I("1I", 2.80, 0.125)], [new(2.70, 1), new(2.75, 1)]));

        Assert.Equal(2.70, plan.Points[0].ShimMm);
    }

    [Fact]
    public void Of_a_bracket_only_what_surely_fits_counts_as_inside()
    {
        // 0.05 to 0.10 with 2.80 fitted: 2.70 gives 0.15 to 0.20, surely; 2.75 gives 0.10 to 0.15, perhaps
        var point = new ShimPoint("1I", 2.80, 0.05, 0.10, Intake, 0.20);
        Assert.Equal((2.70, true), Got(ShimAllocator.Allocate(Of(ShimPolicy.LeaveGoodAlone, [point], [new(2.70, 1), new(2.75, 1)]))));
        var perhaps = ShimAllocator.Allocate(Of(ShimPolicy.LeaveGoodAlone, [point], [new(2.75, 1)]));
        Assert.Equal(1, perhaps.Outside);

        static (double, bool) Got(ShimAllocation plan) => (plan.Points[0].ShimMm, plan.Points[0].InWindow);
    }

    [Fact]
    public void What_was_chosen_by_hand_stands_and_the_rest_goes_round_it()
    {
        List<ShimPoint> two = [I("1I", 2.80, 0.10), I("2I", 2.80, 0.10)];
        var request = Of(ShimPolicy.LeaveGoodAlone, two, [new(2.70, 1)], 2.65, 2.75);

        var plan = ShimAllocator.Allocate(request with { Pins = [new("2I", 2.70)] });
        Assert.Equal((2.70, ShimSource.Stock), (plan.Points[1].ShimMm, plan.Points[1].From));
        Assert.Equal(ShimSource.Buy, plan.Points[0].From);

        Assert.Equal("pins", Assert.Throws<BadInputException>(() => ShimAllocator.Allocate(request with { Pins = [new("1I", 2.70), new("2I", 2.70)] })).Field);
        Assert.Equal("pins[0].shimMm", Assert.Throws<BadInputException>(() => ShimAllocator.Allocate(request with { Pins = [new("1I", 2.30)] })).Field);
        Assert.Equal("pins[0].point", Assert.Throws<BadInputException>(() => ShimAllocator.Allocate(request with { Pins = [new("9I", 2.70)] })).Field);
    }

    [Fact]
    public void A_pin_may_take_a_good_points_shim_only_with_that_point_pinned_away()
    {
        List<ShimPoint> two = [I("1I", 2.70, 0.20), I("2I", 2.80, 0.10)];
        var request = Of(ShimPolicy.LeaveGoodAlone, two, [new(2.75, 1)]);

        Assert.Equal("pins", Assert.Throws<BadInputException>(() => ShimAllocator.Allocate(request with { Pins = [new("2I", 2.70)] })).Field);
        var plan = ShimAllocator.Allocate(request with { Pins = [new("2I", 2.70), new("1I", 2.75)] });
        Assert.Equal("1I", plan.Points[1].FromPoint);
    }

    [Fact]
    public void Where_nothing_fits_it_gets_what_is_nearer_or_stays_and_is_said_to_be_outside()
    {
        var plan = ShimAllocator.Allocate(Of(ShimPolicy.LeaveGoodAlone, [I("1I", 2.35, 0.01)], [], 2.30, 2.25));

        // 2.25 leaves 0.11 of 0.15: nearer to its window than the 0.01 it has, and so bought.
        Assert.Equal((1, 1, 1), (plan.Outside, plan.Bought, plan.Moved));
        Assert.Equal((ShimSource.Buy, 2.25, false), (plan.Points[0].From, plan.Points[0].ShimMm, plan.Points[0].InWindow));
        Assert.Equal(0.08, plan.OutsideMm, 9);
        // Nothing nearer is to be had: it stays.
        var stays = ShimAllocator.Allocate(Of(ShimPolicy.LeaveGoodAlone, [I("1I", 2.35, 0.01)], [], 2.40));
        Assert.Equal((1, 0, 0, ShimSource.Own), (stays.Outside, stays.Bought, stays.Moved, stays.Points[0].From));
    }

    [Fact] // common practice, no source: a valve is never closed up to save a purchase
    public void No_valve_is_closed_up_to_nothing_to_save_a_purchase()
    {
        var plan = ShimAllocator.Allocate(Of(ShimPolicy.LeaveGoodAlone, [E("1E", 2.50, 0.10), E("2E", 2.60, 0.30)], [], 2.50));

        Assert.Equal([(2.50, ShimSource.Own), (2.50, ShimSource.Buy)], plan.Points.Select(p => (p.ShimMm, p.From)));
        Assert.Equal((1, 1, 1), (plan.Outside, plan.Bought, plan.Moved));
        Assert.Equal((0.50, 0.30), (Math.Round(plan.OutsideMm, 9), Math.Round(plan.DeviationMm, 9)));
        Assert.Equal([new LooseShims(2.60, 1)], plan.Spare);
    }

    [Theory]
    [InlineData(ShimPolicy.LeaveGoodAlone)]
    [InlineData(ShimPolicy.FewestBought)]
    [InlineData(ShimPolicy.Blueprint)]
    public void No_point_comes_out_worse_than_it_was_whatever_is_aimed_at(ShimPolicy policy)
    {
        for (var seed = 0; seed < 200; seed++)
        {
            var request = Some(new Random(1000 + seed), policy, points: 1 + seed % 12, step: 0.025);
            foreach (var (point, got) in request.Points.Zip(ShimAllocator.Allocate(request).Points))
            {
                if (got.From == ShimSource.Own) continue;
                var change = (got.ShimMm - point.FittedMm) / point.ShimPerClearance;
                Assert.True(point.GapFromMm - change > 0, $"seed {seed}: {point.Id} is held open.");
                if (got.InWindow) continue;
                Assert.True(Outside(point, got.ShimMm) < Outside(point, point.FittedMm), $"seed {seed}: {point.Id} lies further outside.");
                if (point.GapFromMm - change < point.Window.MinMm - 1e-9) Assert.True(change < 0, $"seed {seed}: {point.Id} is closed further.");
            }
        }

        static double Outside(ShimPoint p, double mm) => Math.Max(p.Window.MinMm - (p.GapFromMm - (mm - p.FittedMm) / p.ShimPerClearance), p.GapToMm - (mm - p.FittedMm) / p.ShimPerClearance - p.Window.MaxMm);
    }

    [Fact]
    public void A_pin_may_make_it_worse_but_not_hold_the_valve_open()
    {
        var request = Of(ShimPolicy.LeaveGoodAlone, [E("1E", 2.50, 0.30)], [new(2.60, 1), new(2.80, 1)]);

        Assert.Equal(2.60, ShimAllocator.Allocate(request with { Pins = [new("1E", 2.60)] }).Points[0].ShimMm);
        var refused = Assert.Throws<BadInputException>(() => ShimAllocator.Allocate(request with { Pins = [new("1E", 2.80)] }));
        Assert.Equal("pins[0].shimMm", refused.Field);
        Assert.Contains("1E", refused.Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(0, "points[0].fittedMm")]
    [InlineData(27, "points[0].fittedMm")]
    [InlineData(double.NaN, "points[0].fittedMm")]
    public void A_size_that_cannot_be_is_named(double mm, string field) =>
        Assert.Equal(field, Assert.Throws<BadInputException>(() => ShimAllocator.Allocate(Of(ShimPolicy.LeaveGoodAlone, [I("1I", mm, 0.2)], []))).Field);

    [Fact]
    public void A_stock_below_nothing_and_a_point_said_twice_are_named()
    {
        Assert.Equal("stock[0].count", Assert.Throws<BadInputException>(() => ShimAllocator.Allocate(Of(ShimPolicy.LeaveGoodAlone, [I("1I", 2.7, 0.2)], [new(2.7, -1)]))).Field);
        Assert.Equal("points[1].id", Assert.Throws<BadInputException>(() => ShimAllocator.Allocate(Of(ShimPolicy.LeaveGoodAlone, [I("1I", 2.7, 0.2), I("1I", 2.7, 0.2)], []))).Field);
        Assert.Equal("buyMm[1]", Assert.Throws<BadInputException>(() => ShimAllocator.Allocate(Of(ShimPolicy.LeaveGoodAlone, [I("1I", 2.7, 0.2)], [], 2.7, 30))).Field);
    }

    [Theory]
    [InlineData(ShimPolicy.LeaveGoodAlone)]
    [InlineData(ShimPolicy.FewestBought)]
    [InlineData(ShimPolicy.Blueprint)]
    public void It_is_as_good_as_the_best_of_every_way(ShimPolicy policy)
    {
        for (var seed = 0; seed < 250; seed++)
        {
            var request = Some(new Random(seed), policy, points: 1 + seed % 5, step: seed % 2 == 0 ? 0.05 : 0.025);
            var plan = ShimAllocator.Allocate(request);
            var best = EveryWay.Best(request);
            double[] cost = policy == ShimPolicy.Blueprint ? [plan.Outside, plan.OutsideMm, plan.Bought, plan.DeviationMm, plan.Moved] : [plan.Outside, plan.OutsideMm, plan.Bought, plan.Moved, plan.DeviationMm];

            for (var i = 0; i < 5; i++) Assert.True(Math.Abs(cost[i] - best[i]) < 1e-5, $"seed {seed}: {string.Join(", ", cost)} against {string.Join(", ", best)}");
            Holds(request, plan);
        }
    }

    [Theory]
    [InlineData(ShimPolicy.LeaveGoodAlone)]
    [InlineData(ShimPolicy.FewestBought)]
    [InlineData(ShimPolicy.Blueprint)]
    public void Sixty_four_points_of_many_engines_are_handed_out_each_shim_once(ShimPolicy policy)
    {
        for (var seed = 0; seed < 5; seed++)
        {
            var request = Some(new Random(100 + seed), policy, points: 64, step: 0.025);
            Holds(request, ShimAllocator.Allocate(request));
        }
    }

    [Fact]
    public void Figures_of_another_unit_are_compared_or_refused_but_never_overflow()
    {
        var wild = Enumerable.Range(0, 64).Select(i => new ShimPoint($"{i}", 25, 25, 25, Intake, 0.2, 1e-9)).ToList();
        var request = Of(ShimPolicy.LeaveGoodAlone, wild, [new(0.1, 3)], 20);
        Assert.Equal(64, ShimAllocator.Allocate(request).Outside);
        Assert.Equal("points", Assert.Throws<BadInputException>(() => ShimAllocator.Allocate(request with { Pins = [new("3", 0.1)] })).Field);
    }

    /// <summary>Every physical shim is used once, a good one stays where it shall, and the counts are what the points say.</summary>
    private static void Holds(ShimRequest request, ShimAllocation plan)
    {
        Assert.Equal(request.Points.Select(p => p.Id), plan.Points.Select(p => p.Id));
        var givers = plan.Points.Where(p => p.From == ShimSource.Point).Select(p => p.FromPoint!).ToList();
        Assert.Equal(givers.Count, givers.Distinct().Count());
        foreach (var giver in givers) Assert.NotEqual(ShimSource.Own, plan.Points.Single(p => p.Id == giver).From);
        foreach (var point in plan.Points.Where(p => p.From == ShimSource.Point)) Assert.Equal(request.Points.Single(p => p.Id == point.FromPoint).FittedMm, point.ShimMm, 6);
        foreach (var taken in plan.Points.Where(p => p.From == ShimSource.Stock).GroupBy(p => p.ShimMm))
            Assert.True(taken.Count() <= request.Stock.Where(s => Math.Abs(s.SizeMm - taken.Key) < 1e-6).Sum(s => s.Count));
        foreach (var point in plan.Points.Where(p => p.From == ShimSource.Buy)) Assert.Contains(point.ShimMm, request.BuyMm);
        if (request.Policy == ShimPolicy.LeaveGoodAlone)
            Assert.All(request.Points.Zip(plan.Points).Where(p => p.First.Holds(p.First.FittedMm)), p => Assert.Equal(ShimSource.Own, p.Second.From));
        Assert.Equal(plan.Points.Count(p => p.From != ShimSource.Own), plan.Moved);
        Assert.Equal(plan.Buy.Sum(b => b.Count), plan.Bought);
        Assert.Equal(plan.Moved, givers.Count + plan.Spare.Sum(s => s.Count));
    }

    private static ShimRequest Some(Random random, ShimPolicy policy, int points, double step)
    {
        double Size() => Math.Round(2.5 + random.Next((int)(0.3 / step)) * step, 3);
        var list = Enumerable.Range(0, points).Select(i =>
        {
            var (window, target) = random.Next(2) == 0 ? (Intake, 0.2) : (Exhaust, 0.4);
            var gap = Math.Round(Math.Max(0, target - 0.15 + random.Next(31) * 0.01), 3);
            return new ShimPoint($"P{i}", Size() + (random.Next(4) == 0 ? 0.01 : 0), gap, random.Next(4) == 0 ? gap + 0.05 : gap, window, target, random.Next(5) == 0 ? 0.9 : 1);
        }).ToList();
        return Of(policy, list, [.. Enumerable.Range(0, random.Next(4)).Select(_ => new LooseShims(Size(), 1 + random.Next(points > 10 ? 6 : 1)))], [.. Enumerable.Range(0, random.Next(3)).Select(_ => Size())]);
    }

    private static ShimPoint I(string id, double fitted, double gap) => new(id, fitted, gap, gap, Intake, 0.2);

    private static ShimPoint E(string id, double fitted, double gap) => new(id, fitted, gap, gap, Exhaust, 0.4);

    private static ShimRequest Of(ShimPolicy policy, IReadOnlyList<ShimPoint> points, IReadOnlyList<LooseShims> stock, params double[] buy) => new(policy, points, stock, buy, []);
}
