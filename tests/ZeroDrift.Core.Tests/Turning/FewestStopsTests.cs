using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Tests.Turning;

public class FewestStopsTests
{
    [Theory]
    [InlineData(new[] { 1 }, 1)]
    [InlineData(new[] { 1, 3, 4, 2 }, 2)]
    [InlineData(new[] { 1, 5, 3, 6, 2, 4 }, 2)]
    [InlineData(new[] { 1, 2, 3 }, 2)]
    public void Common_engines_need_no_more_stops_than_mechanics_make(int[] order, int stops)
    {
        var plan = Engines.FourStroke(order).Plan(TurningMethod.FewestStops);

        Assert.Equal(stops, plan.Stops.Count);
        Assert.Empty(plan.CannotSet);
    }

    /// <summary>The published definition, tried out over every subset of marks.</summary>
    [Theory]
    [InlineData(new[] { 1, 3, 4, 2 }, new[] { 0.0, 180, 360, 540 }, 15, 45, 50, 15, 15)]
    [InlineData(new[] { 1, 2, 3 }, new[] { 0.0, 240, 480 }, 15, 45, 50, 15, 15)]
    [InlineData(new[] { 1, 2, 3, 4, 5 }, new[] { 0.0, 144, 288, 432, 576 }, 30, 80, 80, 30, 35)]
    [InlineData(new[] { 1, 2, 3, 4 }, new[] { 0.0, 90, 360, 450 }, 20, 70, 70, 20, 15)]
    [InlineData(new[] { 1, 6, 5, 4, 3, 2 }, new[] { 0.0, 150, 240, 390, 480, 630 }, 40, 100, 100, 40, 35)]
    [InlineData(new[] { 1, 2 }, new[] { 0.0, 315 }, 15, 45, 50, 15, 15)]
    public void No_other_choice_of_marks_is_better(int[] order, double[] angles, double ivo, double ivc, double evo, double evc, double guard)
    {
        var engine = TurningEngine.FourStroke(FiringOrder.Of(order, EngineCycle.FourStroke, angles), new ValveTiming(ivo, ivc, evo, evc), guard);

        var plan = engine.Plan(TurningMethod.FewestStops);

        var best = BruteForce(engine);
        var margin = plan.Stops.SelectMany(s => s.Set).Min(p => p.MarginDeg!.Value);
        Assert.Equal(best.Count, plan.Stops.Count);
        Assert.Equal(best.Margin, margin, 6);
        Assert.Equal(best.Turn, plan.Stops.Sum(s => s.TurnFromPreviousDeg), 6);
    }

    [Fact]
    public void A_point_that_no_mark_reaches_is_named_with_its_best_margin()
    {
        var engine = TurningEngine.FourStroke(FiringOrder.Of([1, 2], EngineCycle.FourStroke, [0, 200]), new ValveTiming(150, 170, 150, 150), 20);

        var plan = engine.Plan(TurningMethod.FewestStops);

        Assert.Equal(4, plan.CannotSet.Count + plan.Stops.Sum(s => s.Set.Count));
        Assert.NotEmpty(plan.CannotSet);
        Assert.All(plan.CannotSet, p => Assert.True(p.MarginDeg < 15));
    }

    [Fact]
    public void A_two_stroke_finds_its_injectors_where_their_lobes_are_away()
    {
        var plan = Engines.Uniflow(1, 5, 3, 6, 2, 4).Plan(TurningMethod.FewestStops, null, [LashKind.Exhaust, LashKind.Injector]);

        Assert.Equal(12, plan.Stops.Sum(s => s.Set.Count));
        Assert.All(plan.Stops.SelectMany(s => s.Set), p => Assert.True(p.MarginDeg >= 15));
    }

    private static (int Count, double Margin, double Turn) BruteForce(TurningEngine engine)
    {
        var marks = engine.TdcMarks;
        var points = (from c in engine.Order.Cylinders from k in (LashKind[])[LashKind.Intake, LashKind.Exhaust] select new LashRef(c, k)).ToList();
        var best = (Count: int.MaxValue, Margin: 0.0, Turn: 0.0);
        for (var subset = 1; subset < 1 << marks.Count; subset++)
        {
            var chosen = Enumerable.Range(0, marks.Count).Where(i => (subset >> i & 1) == 1).Select(i => marks[i]).ToList();
            var margin = points.Min(p => chosen.Max(m => engine.Margin(m, p)!.Value));
            if (margin < 15 - 1e-9) continue;
            var largestGap = Enumerable.Range(0, chosen.Count).Max(i => chosen.Count == 1 ? 720 : chosen[i].ForwardTo(chosen[(i + 1) % chosen.Count]));
            var here = (chosen.Count, Margin: Math.Round(margin, 6), Turn: Math.Round(720 - largestGap, 6));
            if (here.Count < best.Count || (here.Count == best.Count && (here.Margin > best.Margin || (here.Margin == best.Margin && here.Turn < best.Turn)))) best = here;
        }
        return best;
    }
}
