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
    public void A_visit_given_up_has_none()
    {
        var visit = new VisitScript().Ready();
        visit.Abandon();
        Assert.Null(VisitResult.Of(visit.Visit));
    }
}
