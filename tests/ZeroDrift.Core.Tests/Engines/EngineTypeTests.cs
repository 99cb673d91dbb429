using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Overheads;
using ZeroDrift.Core.Setting;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Tests.Engines;

public class EngineTypeTests
{
    private static readonly FiringOrder Six = FiringOrder.Parse("1-5-3-6-2-4", EngineCycle.FourStroke);

    [Fact]
    public void Points_lie_along_the_heads_as_the_layout_says()
    {
        var points = HeadLayout.Parse("1 2 3 4 5 6", "E I I E E I I E E I I E", Six, AdjusterKind.ScrewAtValve);

        Assert.Equal("1E 1I 2I 2E 3E 3I 4I 4E 5E 5I 6I 6E", string.Join(' ', points.Select(p => p.Label)));
    }

    [Fact]
    public void Two_banks_may_share_one_layout_and_injectors_get_their_own_adjuster()
    {
        var eight = FiringOrder.Parse("1-8-4-3-6-5-7-2", EngineCycle.FourStroke);

        var points = HeadLayout.Parse("1 3 5 7 / 2 4 6 8", "E J I E J I I J E I J E", eight, AdjusterKind.BridgeScrew);

        Assert.Equal(24, points.Count);
        Assert.Equal((1, 0, AdjusterKind.InjectorScrew), points.Where(p => p.Label == "2J").Select(p => (p.Bank, p.Along - 1, p.Adjuster)).Single());
    }

    [Fact]
    public void Two_intakes_of_one_cylinder_are_two_points() =>
        Assert.Equal(["1I front", "1I rear", "1E front", "1E rear"], HeadLayout.Parse("1", "I I E E", FiringOrder.Parse("1", EngineCycle.FourStroke), AdjusterKind.ShimOnTop).Select(p => p.Label));

    [Theory]
    [InlineData("", "firing order")]
    [InlineData("1 2 2", "twice")]
    [InlineData("0 1", "cannot be in an order")]
    [InlineData("1 2 3 4 5 6 7 8 9 10 11 12 13 14 15 16 17 18 19 20 21 22 23 24 25", "1 to 24 cylinders")]
    public void A_firing_order_that_cannot_be_is_refused(string order, string sentence) =>
        Assert.Contains(sentence, Assert.Throws<BadInputException>(() => FiringOrder.Parse(order, EngineCycle.FourStroke)).Message, StringComparison.Ordinal);

    [Fact]
    public void The_guide_measures_everything_at_a_stop_before_the_first_is_set_and_then_moves_on()
    {
        var points = HeadLayout.Parse(null, "I E I E", FiringOrder.Parse("1 2", EngineCycle.FourStroke), AdjusterKind.ScrewAtValve);
        var spec = ClearanceSpec.OfWindow(0.35, 0.45);
        var plan = TurningPlanner.Plan(TurningEngine.FourStroke(FiringOrder.Parse("1 2", EngineCycle.FourStroke), ValveTiming.Unknown), new TurningRequest(TurningMethod.TwoStop));
        var progress = points.Select(p => new PointProgress(p, spec, null, null, null, false)).ToList();

        Assert.Equal(OverheadStep.MakeSafe, Next(false, []).Step);
        Assert.Equal(new NextTask(OverheadStep.Stop, 0, null, null), Next(true, []));
        Assert.Equal(new NextTask(OverheadStep.Stop, 0, "1I", PointTask.MeasureFound), Next(true, [0]));
        progress[0] = progress[0] with { Found = Reading.Direct(0.30) };
        Assert.Equal(new NextTask(OverheadStep.Stop, 0, "1E", PointTask.MeasureFound), Next(true, [0]));
        progress[1] = progress[1] with { Found = Reading.Direct(0.40) };
        Assert.Equal(new NextTask(OverheadStep.Stop, 0, "1I", PointTask.SetAndMeasure), Next(true, [0]));
        progress[0] = progress[0] with { Left = Reading.Direct(0.40) };
        Assert.Equal(new NextTask(OverheadStep.Stop, 1, null, null), Next(true, [0]));
        Assert.Contains("2I, 2E", OverheadGuide.SigningRefusals(progress, true, true, true, true)[0], StringComparison.Ordinal);
        Assert.Empty(OverheadGuide.SigningRefusals(progress, false, true, true, true));

        NextTask Next(bool safe, int[] proved) => OverheadGuide.Next(plan, progress, safe, true, proved.ToHashSet(), false);
    }

    [Theory] // common practice, no source: mechanics think in eighths and sixteenths of a turn
    [InlineData(0.0625, "1/16 turn")]
    [InlineData(0.075, "a bit over 1/16 turn")]
    [InlineData(0.11, "a bit under 1/8 turn")]
    [InlineData(0.5, "1/2 turn")]
    [InlineData(1.0, "1 turn")]
    [InlineData(1.25, "1 1/4 turns")]
    [InlineData(0.02, "under 1/32 turn")]
    public void A_turn_is_said_as_mechanics_say_it(double turns, string said) => Assert.Equal(said, TurnWords.Say(turns));

    [Fact]
    public void Advice_says_how_far_and_which_way_and_leaves_room_for_the_locknut()
    {
        var spec = ClearanceSpec.OfWindow(0.35, 0.45, 0.40);

        Assert.Equal("Open it 27°, a bit over 1/16 turn, anticlockwise.", SettingAdvice.For(Reading.Between(0.30, 0.35), spec, new AdjustingScrew(1)).Sentence);
        Assert.Equal(0.41, SettingAdvice.For(Reading.Between(0.30, 0.35), spec, new AdjustingScrew(1), new LocknutCreep(-0.01, 6)).AimMm, 9);
        Assert.Contains("0.40 mm", SettingAdvice.For(new Reading(null, 0.05, null, null), spec, new AdjustingScrew(1)).Sentence, StringComparison.Ordinal);
    }
}
