using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Core.Tests.Visits;

public class GuideTests
{
    [Theory]
    [InlineData(MachineKind.Generator, "automatic-start")]
    [InlineData(MachineKind.Ferry, "shaft")]
    [InlineData(MachineKind.Ferry, "automatic-start")]
    [InlineData(MachineKind.Tractor, "pto")]
    [InlineData(MachineKind.Mower, "blades")]
    [InlineData(MachineKind.Ship, "air-start")]
    [InlineData(MachineKind.Boat, "shaft")]
    [InlineData(MachineKind.Motorcycle, "chocked")]
    [InlineData(MachineKind.Pump, "automatic-start")]
    [InlineData(MachineKind.Lorry, "chocked")]
    public void Each_machine_gets_the_cautions_that_apply_to_it(MachineKind machine, string key) =>
        Assert.Contains(Cautions.MakeSafe(new MachineFacts(machine.Usual())), c => c.Key == key);

    [Fact]
    public void Starting_is_isolated_and_hands_are_clear_on_every_machine()
    {
        foreach (var machine in Enum.GetValues<MachineKind>())
        {
            var keys = Cautions.Steps(machine.Usual(), VisitScript.Twin().Type, [], new KitFacts()).Where(s => s.List != StepList.Kit).Select(c => c.Key).ToList();
            Assert.Equal("battery", keys[0]);
            Assert.Contains("hands", keys);
            Assert.Contains("opening", keys);
            Assert.Equal(keys.Count, keys.Distinct().Count());
        }
    }

    [Fact]
    public void A_lorry_is_not_asked_about_propeller_shafts() =>
        Assert.DoesNotContain(Cautions.MakeSafe(new MachineFacts(MachineKind.Lorry.Usual())), c => c.Key is "shaft" or "pto" or "automatic-start");

    [Fact]
    public void The_guide_leads_point_by_point_through_safe_cold_and_the_stops()
    {
        var visit = new VisitScript();
        visit.Open();
        Assert.Equal("battery", visit.Visit.Next!.Step);
        visit.Tick("battery");
        visit.Tick("hands");
        Assert.Equal(NextDo.Condition, visit.Visit.Next!.Do);
        visit.State();
        Assert.Equal(new NextTask(NextDo.Bar, "1I", Deg(0)), visit.Visit.Next);
        visit.Bar(0);
        Assert.Equal(new NextTask(NextDo.Prove, "1I", Deg(0)), visit.Visit.Next);
        visit.Prove(0);
        Assert.Equal(new NextTask(NextDo.Measure, "1I", Deg(0)), visit.Visit.Next);
        visit.Measured("1I", "0.10");
        Assert.Equal(new NextTask(NextDo.Set, "1I", Deg(0)), visit.Visit.Next);
        visit.Say("1I", PointOutcome.Set);
        Assert.Equal(new NextTask(NextDo.MeasureAgain, "1I", Deg(0)), visit.Visit.Next);
        visit.Measured("1I", "0.20", ReadingStage.AsLeft);
        Assert.Equal(new NextTask(NextDo.Measure, "1E", Deg(0)), visit.Visit.Next);
        visit.Measured("1E", "0.40");
        Assert.Equal((NextDo.Bar, "2I"), (visit.Visit.Next!.Do, visit.Visit.Next.Point));
        visit.Measured("2I", "0.20");
        visit.Measured("2E", "0.40");
        Assert.Equal("tools", visit.Visit.Next!.Step);
        visit.Tick("tools");
        Assert.Equal(NextDo.Sign, visit.Visit.Next!.Do);
        visit.Sign();
        Assert.Null(visit.Visit.Next);
    }

    [Fact]
    public void On_a_shim_engine_a_whole_stop_is_measured_before_the_first_point_is_set()
    {
        var visit = new VisitScript(VisitScript.Twin(adjuster: AdjusterKind.ShimUnderBucket)).Ready();
        visit.Prove(0);
        visit.Measured("1I", "0.10");
        Assert.Equal(new NextTask(NextDo.Measure, "1E", Deg(0)), visit.Visit.Next);
    }

    [Fact]
    public void An_odd_engine_of_one_cylinder_is_led_through_too()
    {
        var order = FiringOrder.Parse("1", EngineCycle.FourStroke);
        var context = VisitScript.Twin() with { Type = new EngineType { Order = order, Points = HeadLayout.Parse(null, "I E", order, AdjusterKind.ScrewAtValve), Method = TurningMethod.PerCylinder } };
        var visit = new VisitScript(context).Ready();
        visit.Prove(0);
        visit.AllFound();
        Assert.Null(visit.Sign().Refusal);
    }
}
