using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Visits;
using ZeroDrift.Core.Visits.Sheet;

namespace ZeroDrift.Core.Tests.Visits;

/// <summary>
/// Every adjuster in every manner of setting, in its machine, on a stand and on a bench, led by the guide alone to the signature: one valve found out and
/// set, its first lock out and turned again, the others left alone; nobody ticks what this visit does not ask.
/// </summary>
public sealed class WholeVisitTests
{
    private static readonly AdjusterKind[] Turned = [AdjusterKind.ScrewAtValve, AdjusterKind.ScrewAtPushrod, AdjusterKind.BridgeScrew, AdjusterKind.FollowerScrew, AdjusterKind.EccentricShaft];
    private static readonly AdjusterKind[] Shims = [AdjusterKind.ShimOnTop, AdjusterKind.ShimUnderBucket, AdjusterKind.Puck];

    public static TheoryData<AdjusterKind, SettingManner, VisitPlace> TurnedAnywhere => Anywhere(Turned, Enum.GetValues<SettingManner>());

    public static TheoryData<AdjusterKind, JobKind, VisitPlace> ShimsAnywhere => Anywhere(Shims, [JobKind.Overhead, JobKind.Build]);

    [Theory]
    [MemberData(nameof(TurnedAnywhere))]
    public void A_valve_found_loose_is_set_locked_out_turned_again_and_signed(AdjusterKind kind, SettingManner manner, VisitPlace place)
    {
        var visit = Opened(kind, JobKind.Overhead, place, manner);
        var locks = 0;
        Lead(visit, (point, next) =>
        {
            if (next == NextDo.Measure) visit.Measured(point, Found(point, "0.30", "0.50"));
            else if (locks++ == 0)
            {
                var sheet = Sheet(visit, point);
                Assert.NotEmpty(sheet.Advice!.Sentence);
                Assert.Equal(manner, sheet.Guide!.Manner);
                // The first lock pulled it tight: it is turned away from and stays in the list.
                visit.Measured(point, point.EndsWith('I') ? "0.10" : "0.30", ReadingStage.AsLeft);
                Assert.Null(visit.Turn(point, nut: NutState.Tight).Refusal);
            }
            else
            {
                visit.Measured(point, Figure(point), ReadingStage.AsLeft);
                Assert.Null(visit.Say(point, PointOutcome.Set).Refusal);
            }
        });

        Assert.Single(Sheet(visit, "1I").Attempts);
        Assert.Equal((VerdictState.InWindow, PointOutcome.Set), (Sheet(visit, "1I").Left!.Judged!.State, visit.Point("1I").Outcome));
        Assert.Equal(PointOutcome.LeftAlone, visit.Point("2E").Outcome);
    }

    [Theory]
    [MemberData(nameof(ShimsAnywhere))]
    public void A_tight_valve_gets_the_shim_worked_out_from_its_gap_and_is_measured_again(AdjusterKind kind, JobKind job, VisitPlace place)
    {
        var visit = Opened(kind, job, place, SettingManner.BladeOut);
        var fitted = false;
        Lead(visit, (point, next) =>
        {
            var work = visit.Visit.Work.Single(w => w.Point.Label == point);
            if (work.ShimNow is null) Assert.Null(visit.Shim(point, "2.80").Refusal);
            var measured = work.Fitted is not null || visit.Point(point) is { Found: not null } or { Left: not null };
            if (!measured) visit.Measured(point, Found(point, "0.10", "0.30"), job == JobKind.Build ? ReadingStage.AsLeft : ReadingStage.AsFound);
            else if (work.Fitted is null && visit.Point(point).Verdict == VerdictState.Tight)
            {
                var advice = visit.Point(point).Advice!;
                // 2.80 + 0.10 − 0.20
                Assert.Equal(2.70, advice.Shim!.ChoiceMm!.Value, 9);
                visit.Fit(point, "2.80", "2.70");
                visit.Shim(point, "2.70", ReadingStage.AsLeft);
                fitted = true;
            }
            else visit.Measured(point, Figure(point), ReadingStage.AsLeft);
        });

        Assert.True(fitted);
        Assert.Equal((VerdictState.InWindow, PointOutcome.ShimFitted), (Sheet(visit, "1I").Left!.Judged!.State, visit.Point("1I").Outcome));
    }

    [Theory]
    [InlineData(VisitPlace.InMachine)]
    [InlineData(VisitPlace.OnStand)]
    public void A_lifter_is_set_from_zero_lash_with_its_start_and_its_sign_said(VisitPlace place)
    {
        var visit = Opened(AdjusterKind.HydraulicPreload, JobKind.Overhead, place, SettingManner.BladeOut);
        Lead(visit, (point, next) =>
        {
            if (next == NextDo.Measure) Assert.Null(visit.Start(point, StartState.Rattles).Refusal);
            else Assert.Null(visit.Say(point, PointOutcome.ByTheBook).Refusal);
        });
        Assert.All(visit.Visit.Points, p => Assert.Equal(PointOutcome.ByTheBook, p.Outcome));
    }

    [Theory]
    [InlineData(PointOrder.ExhaustsFirst, LashKind.Exhaust)]
    [InlineData(PointOrder.IntakesFirst, LashKind.Intake)]
    public void At_a_stop_one_kind_comes_first_where_the_school_says_so(PointOrder order, LashKind first)
    {
        var twin = VisitScript.Twin() with { Type = VisitScript.Twin().Type with { Method = TurningMethod.TwoStop }, Schools = new Schools { Order = order } };
        var visit = new VisitScript(twin).Ready();
        foreach (var stop in visit.Visit.Plan.Stops)
        {
            var kinds = stop.Points.Select(l => visit.Visit.Work.Single(w => w.Point.Label == l).Point.Kind).ToList();
            Assert.Equal(kinds.OrderBy(k => k != first), kinds);
        }
    }

    [Theory]
    [InlineData(JobKind.Overhead, true)]
    [InlineData(JobKind.SpotCheck, false)]
    public void An_overhead_that_goes_on_with_a_spot_check_looked_at_one_valve_and_starts_no_clock(JobKind before, bool starts)
    {
        var earlier = Guid.CreateVersion7();
        var found = new FigureView(Guid.CreateVersion7(), new Core.Measuring.Reading(null, null, Core.Lengths.Clearance.OfMm(0.50), 0.005), VisitScript.Marit, default);
        var visit = new VisitScript(VisitScript.Twin() with { Waiting = [new WaitingVisit(earlier, 90, [new AwaitingPoint("1E", found)]) { Job = before }] });
        Assert.Null(visit.Open(continues: earlier).Refusal);
        visit.Tick("battery");
        visit.Tick("hands");
        visit.State();
        visit.Measured("1E", "0.40", ReadingStage.AsLeft);
        visit.Say("1E", PointOutcome.Set);
        visit.Tick("tools");
        Assert.Null(visit.Sign().Refusal);
        Assert.Equal(starts, visit.Visit.StartsClock);
    }

    private static TheoryData<AdjusterKind, T, VisitPlace> Anywhere<T>(AdjusterKind[] kinds, T[] ways)
    {
        var data = new TheoryData<AdjusterKind, T, VisitPlace>();
        foreach (var kind in kinds)
            foreach (var way in ways)
                foreach (var place in Enum.GetValues<VisitPlace>()) data.Add(kind, way, place);
        return data;
    }

    private static string Found(string point, string intake, string exhaust) => point.StartsWith('1') ? point.EndsWith('I') ? intake : exhaust : Figure(point);

    private static string Figure(string point) => point.EndsWith('I') ? "0.20" : "0.40";

    private static PointSheet Sheet(VisitScript visit, string point)
    {
        var work = visit.Visit.Work.Single(w => w.Point.Label == point);
        return PointSheet.Of(visit.Visit, work, visit.Point(point));
    }

    private static VisitScript Opened(AdjusterKind kind, JobKind job, VisitPlace place, SettingManner manner)
    {
        var order = FiringOrder.Parse("1 2", EngineCycle.FourStroke);
        var figures = Shims.Contains(kind) ? new AdjusterFigures(null, ShimSizesMm: [2.60, 2.65, 2.70, 2.75, 2.80]) : new AdjusterFigures(1.0, ClearancePerTravel: 1.0, TravelTurns: Turns.Of(1.6, "travelTurns"));
        var type = new EngineType { Order = order, Points = HeadLayout.Parse(null, "I E I E", order, kind, figures), Method = TurningMethod.PerCylinder };
        var demands = kind == AdjusterKind.HydraulicPreload ? (Func<LashPoint, Demand?>)(_ => new Demand.Preload(null, 0.5)) : null;
        var twin = VisitScript.Twin(adjuster: kind, demand: demands) with { Type = type, Schools = new Schools { Manner = manner } };
        var visit = new VisitScript(twin with { Rules = 1, Steps = Cautions.Steps(MachineKind.Ferry.Usual(), type, DefaultSteps.Of(type, false), new KitFacts()) });
        Assert.Null(visit.Open(job, hours: place == VisitPlace.InMachine ? 100 : null, place: place).Refusal);
        return visit;
    }

    /// <summary>Does what the guide asks until it asks for the name; what is done at a point is the job's own.</summary>
    private static void Lead(VisitScript visit, Action<string, NextDo> atPoint)
    {
        for (var i = 0; i < 300 && visit.Visit.Next is { Do: not NextDo.Sign } next; i++)
        {
            switch (next.Do)
            {
                case NextDo.Step: Assert.Null(visit.Tick(next.Step!, said: visit.Visit.Context.StepOf(next.Step!)!.Counts is null ? null : "0").Refusal); break;
                case NextDo.Condition: Assert.Null(visit.State().Refusal); break;
                case NextDo.Bar: Assert.Null(visit.Bar(next.CrankDeg!.Value.Degrees).Refusal); break;
                case NextDo.Prove: Assert.Null((next.CrankDeg is { } deg ? visit.Prove(deg.Degrees) : visit.ProvePoints(next.Point!)).Refusal); break;
                default: atPoint(next.Point!, next.Do); break;
            }
        }

        Assert.Empty(visit.Visit.Refusals);
        Assert.All(visit.Visit.Ticked, key => Assert.True(visit.Visit.Asks(visit.Visit.Context.StepOf(key)!), $"'{key}' was ticked and never asked"));
        Assert.Null(visit.Sign().Refusal);
    }
}
