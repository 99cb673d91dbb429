using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Core.Tests.Visits;

/// <summary>What a record says first.</summary>
public sealed class VisitResultTests
{
    [Fact]
    public void Nothing_while_the_visit_is_open() => Assert.Null(VisitResult.Of(new VisitScript().Ready().AllFound().Visit));

    [Fact]
    public void All_in_their_windows_and_nothing_set()
    {
        var visit = new VisitScript().Ready().AllFound();
        Assert.Null(visit.Sign().Refusal);
        Assert.Equal("4 points, found: 4 within limits. Nothing was set. All are left within limits.", VisitResult.Of(visit.Visit));
    }

    [Fact]
    public void What_was_set_and_what_stays_out_with_its_reason()
    {
        var visit = new VisitScript().Ready();
        visit.Measured("1I", "0.30");
        visit.Measured("1I", "0.20", ReadingStage.AsLeft);
        visit.Say("1I", PointOutcome.Set);
        visit.Measured("1E", "0.40");
        visit.Measured("2I", "0.10");
        visit.Say("2I", PointOutcome.LeftSo);
        visit.Say("2E", PointOutcome.NotReached);
        visit.Tick("tools");
        Assert.Null(visit.Sign().Refusal);
        Assert.Equal("4 points, found: 1 tight, 1 loose, 1 within limits. 1 set. Not as it should be: 2I left tight, 2E not reached.", VisitResult.Of(visit.Visit));
    }

    [Fact]
    public void Of_a_spot_check_nothing_is_claimed_that_was_not_measured()
    {
        var visit = new VisitScript().Ready(JobKind.SpotCheck);
        visit.Measured("1I", "0.20");
        visit.Tick("tools");
        Assert.Null(visit.Sign().Refusal);
        Assert.Equal("4 points, found: 1 within limits. Nothing was set. What was measured and judged is left within limits.", VisitResult.Of(visit.Visit));
    }

    [Fact]
    public void What_is_set_by_an_amount_and_never_measured_is_not_called_within_limits()
    {
        var visit = new VisitScript(VisitScript.Twin(adjuster: AdjusterKind.HydraulicPreload, demand: _ => Demand.Preload.Of(T(0.5), null))).Ready();
        foreach (var point in visit.Visit.Context.Type.Points)
        {
            visit.Start(point.Label);
            Assert.Null(visit.Say(point.Label, PointOutcome.ByTheBook).Refusal);
        }
        visit.Tick("tools");
        Assert.Null(visit.Sign().Refusal);
        Assert.Equal("4 points. 4 set by the manual's amount.", VisitResult.Of(visit.Visit));
    }

    [Fact]
    public void A_visit_given_up_has_none()
    {
        var visit = new VisitScript().Ready();
        visit.Abandon();
        Assert.Null(VisitResult.Of(visit.Visit));
    }
}
