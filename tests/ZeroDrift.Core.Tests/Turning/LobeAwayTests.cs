using CsCheck;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Tests.Turning;

public class LobeAwayTests
{
    private static readonly TurningEngine Four = TurningEngine.FourStroke(FiringOrder.Parse("1-3-4-2", EngineCycle.FourStroke), ValveTiming.Unknown);

    private static List<LashRef> Everything => [.. from c in Enumerable.Range(1, 4) from k in (LashKind[])[LashKind.Intake, LashKind.Exhaust] select new LashRef(c, k)];

    [Fact]
    public void Every_point_gets_its_turn_and_nothing_is_measured_on_its_lobe()
    {
        var (crank, left, turned) = (0.0, Everything, 0.0);
        while (true)
        {
            var away = LobeAway.From(Four, Deg(crank), left);
            Assert.All(away.Here, p => Assert.True(Four.Margin(Deg(crank), p.Point) >= 10 - 1e-6));
            left.RemoveAll(p => away.Here.Any(h => h.Point == p));
            if (LobeAway.From(Four, Deg(crank), left).Next is not { } next) break;
            Assert.True(next.TurnDeg > 0);
            (crank, turned) = (next.CrankDeg, turned + next.TurnDeg);
        }

        Assert.Empty(left);
        Assert.True(turned <= 720);
    }

    [Fact]
    public void The_next_turn_is_the_least_that_brings_another_point_clear() => Gen.Double[0, 719.9].Sample(crank =>
    {
        var away = LobeAway.From(Four, Deg(crank), Everything);
        if (away.Next is not { } next) return true;
        var others = Everything.Where(p => away.Here.All(h => h.Point != p)).ToList();
        for (var turn = 0.5; turn < next.TurnDeg - 0.5; turn += 0.5)
            if (others.Exists(p => Four.Margin(Deg(crank + turn), p) >= 10)) return false;
        return others.Exists(p => next.Points.Any(n => n.Point == p)) && next.Points.All(p => p.MarginDeg >= 10 - 1e-6);
    });

    [Fact]
    public void Nothing_is_next_where_nothing_is_left_but_what_is_here()
    {
        var away = LobeAway.From(Four, Deg(0), [new LashRef(1, LashKind.Intake)]);

        Assert.Single(away.Here);
        Assert.Null(away.Next);
    }

    [Theory]
    [InlineData(TurningMethod.TwoStop)]
    [InlineData(TurningMethod.PerCylinder)]
    [InlineData(TurningMethod.Rocking)]
    [InlineData(TurningMethod.FewestStops)]
    [InlineData(TurningMethod.ExhaustOpeningIntakeClosing)]
    public void From_where_the_crank_stands_every_point_keeps_its_stop_and_the_first_is_the_next_ahead(TurningMethod method)
    {
        var plain = TurningPlanner.Plan(Four, new TurningRequest(method));

        Gen.Double[0, 719.9].Sample(now =>
        {
            var plan = TurningPlanner.Plan(Four, new TurningRequest(method, CrankNowDeg: Deg(now)));
            var first = plan.Stops[0];
            Assert.Equal(Deg(now).ForwardTo(first.CrankDeg), first.TurnFromPreviousDeg, 6);
            Assert.All(plain.Stops, s => Assert.True(Deg(now).ForwardTo(s.CrankDeg) >= first.TurnFromPreviousDeg - 1e-6));
            Assert.Equal(Stops(plain), Stops(plan));
        });

        static IEnumerable<string> Stops(TurningPlan plan) => plan.Stops.SelectMany(s => s.Set.Select(p => $"{p.Point}@{s.CrankDeg:0.###}")).Order();
    }

    [Fact]
    public void A_book_list_keeps_its_order_and_only_its_first_turn_changes()
    {
        BookStop[] book = [new(Deg(360), [new LashRef(4, LashKind.Intake)]), new(Deg(0), [new LashRef(1, LashKind.Intake)])];

        var plan = TurningPlanner.Plan(Four, new TurningRequest(TurningMethod.Book, BookStops: book, CrankNowDeg: Deg(350)));

        Assert.Equal([360.0, 0.0], plan.Stops.Select(s => s.CrankDeg.Degrees));
        Assert.Equal([10.0, 360.0], plan.Stops.Select(s => s.TurnFromPreviousDeg));
    }
}
