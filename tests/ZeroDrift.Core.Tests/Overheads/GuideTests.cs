using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Overheads;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Core.Tests.Overheads;

public class GuideTests
{
    private static readonly FiringOrder Twin = FiringOrder.Parse("1 2", EngineCycle.FourStroke);
    private static readonly ClearanceSpec Spec = ClearanceSpec.OfWindow(0.35, 0.45, 0.40);

    [Theory]
    [InlineData(MachineKind.Generator, "automatic-start")]
    [InlineData(MachineKind.Ferry, "shaft")]
    [InlineData(MachineKind.Ferry, "automatic-start")]
    [InlineData(MachineKind.Tractor, "pto")]
    [InlineData(MachineKind.Mower, "pto")]
    [InlineData(MachineKind.Lorry, "chocked")]
    public void Each_machine_gets_the_cautions_that_apply_to_it(MachineKind machine, string key) =>
        Assert.Contains(Cautions.MakeSafe(machine), c => c.Key == key);

    [Fact]
    public void Starting_is_isolated_and_hands_are_clear_on_every_machine()
    {
        foreach (var machine in Enum.GetValues<MachineKind>())
        {
            var keys = Cautions.MakeSafe(machine).Select(c => c.Key).ToList();
            Assert.Equal("battery", keys[0]);
            Assert.Contains("hands", keys);
            Assert.Contains("opening", keys);
            Assert.Equal(keys.Count, keys.Distinct().Count());
        }
    }

    [Fact]
    public void A_lorry_is_not_asked_about_propeller_shafts() =>
        Assert.DoesNotContain(Cautions.MakeSafe(MachineKind.Lorry), c => c.Key is "shaft" or "pto" or "automatic-start");

    [Fact]
    public void Closing_up_accounts_for_every_tool() => Assert.Contains(Cautions.CloseUp(), c => c.Text.Contains("Every tool", StringComparison.Ordinal));

    [Theory]
    [InlineData(0.40, null, true)]
    [InlineData(0.30, null, false)]
    [InlineData(0.30, 0.40, true)]
    [InlineData(0.30, 0.33, false)]
    [InlineData(0.352, null, false)]
    public void A_point_is_done_when_it_is_in_its_window_or_set_into_it(double found, double? left, bool done)
    {
        var progress = Progress("1E", found) with { Left = left is { } mm ? Reading.Direct(mm) : null };

        Assert.Equal(done, progress.IsDone);
    }

    [Fact]
    public void A_reason_settles_a_point_that_is_left_out_of_its_window() =>
        Assert.True((Progress("1E", 0.30) with { LeftWhy = "No time before sailing." }).IsDone);

    [Fact]
    public void Points_no_stop_reaches_come_last_at_a_stop_of_their_own()
    {
        var points = HeadLayout.Parse(null, "I E J I E J", Twin, AdjusterKind.ScrewAtValve);
        var plan = TurningPlanner.Plan(TurningEngine.FourStroke(Twin, ValveTiming.Unknown), new TurningRequest(TurningMethod.TwoStop, [LashKind.Intake, LashKind.Exhaust, LashKind.Injector]));
        var progress = points.Select(p => new PointProgress(p, p.Kind == LashKind.Injector ? null : Spec, Reading.Direct(0.40), null, null, false)).ToList();

        var stops = OverheadGuide.PointsByStop(plan, progress);
        var next = OverheadGuide.Next(plan, progress, true, true, new HashSet<int> { 0, 1, 2 }, false);

        Assert.Equal(["1J", "2J"], stops[2].Select(p => p.Point.Label));
        Assert.Equal((2, "1J"), (next.StopIndex, next.Point));
    }

    [Fact]
    public void When_all_is_done_it_is_closed_up_and_then_signed()
    {
        var plan = TurningPlanner.Plan(TurningEngine.FourStroke(Twin, ValveTiming.Unknown), new TurningRequest(TurningMethod.TwoStop));
        PointProgress[] progress = [Progress("1E", 0.40)];

        Assert.Equal(OverheadStep.CloseUp, OverheadGuide.Next(plan, progress, true, true, new HashSet<int> { 0 }, false).Step);
        Assert.Equal(OverheadStep.Sign, OverheadGuide.Next(plan, progress, true, true, new HashSet<int> { 0 }, true).Step);
        Assert.Equal(OverheadStep.Condition, OverheadGuide.Next(plan, progress, true, false, new HashSet<int>(), true).Step);
    }

    [Fact]
    public void Every_refusal_to_sign_is_a_sentence_of_its_own()
    {
        PointProgress[] progress = [Progress("1E", 0.30), Progress("2E", null)];

        var refusals = OverheadGuide.SigningRefusals(progress, true, false, false, false);

        Assert.Equal(5, refusals.Count);
        Assert.Contains(refusals, r => r == "Not measured: 2E.");
        Assert.Contains(refusals, r => r.Contains("not set or explained: 1E", StringComparison.Ordinal));
        Assert.Contains("Nothing has been measured yet.", OverheadGuide.SigningRefusals([Progress("1E", null)], false, true, true, true));
    }

    private static PointProgress Progress(string label, double? found) =>
        new(new LashPoint(label, label[0] - '0', LashKind.Exhaust, null, AdjusterKind.ScrewAtValve, 0, 0), Spec, found is { } mm ? Reading.Direct(mm) : null, null, null, false);
}
