namespace ZeroDrift.Core.Tests.Visits;

/// <summary>"Timed here" is work: pauses are asked for, and a gap that nobody has accounted for tells nothing.</summary>
public class WorkedTimeTests
{
    [Fact]
    public void A_pause_told_after_it_does_not_count_as_work()
    {
        var visit = new VisitScript().Ready().AllFound();
        var before = visit.Now;
        visit.Pass(60);
        Assert.Null(visit.Pause(before).Refusal);
        Assert.Null(visit.Resume(visit.Now.AddSeconds(-1)).Refusal);
        visit.Sign();

        Assert.Equal((visit.Visit.Signed!.At - visit.Visit.Opened!.At).TotalHours - 1, visit.Visit.WorkedHours!.Value, 0.02);
    }

    [Theory]
    [InlineData(20, true)]
    [InlineData(44, true)]
    [InlineData(50, false)]
    public void A_gap_that_nobody_answered_for_counts_up_to_three_quarters_of_an_hour_and_tells_nothing_beyond(int minutes, bool told)
    {
        var visit = new VisitScript().Ready().AllFound();
        visit.Pass(minutes);
        visit.Sign();

        Assert.Equal(told, visit.Visit.WorkedHours is not null);
    }

    [Fact]
    public void At_work_all_the_while_says_whoever_was_there()
    {
        var visit = new VisitScript().Ready().AllFound();
        visit.Pass(90);
        visit.Resume();
        visit.Sign();

        Assert.Equal((visit.Visit.Signed!.At - visit.Visit.Opened!.At).TotalHours, visit.Visit.WorkedHours!.Value, 0.01);
    }

    [Fact]
    public void Gone_on_with_and_never_resumed_the_pause_ends_at_the_next_entry()
    {
        var visit = new VisitScript().Ready();
        visit.Pause();
        visit.Pass(120);
        visit.AllFound();
        visit.Sign();

        Assert.Equal((visit.Visit.Signed!.At - visit.Visit.Opened!.At).TotalHours - 2, visit.Visit.WorkedHours!.Value, 0.04);
    }

    [Fact]
    public void Twenty_minutes_after_the_last_entry_it_is_asked_and_a_pause_that_is_on_asks_nothing()
    {
        var visit = new VisitScript().Ready();
        var still = visit.Visit.Stillness!;
        Assert.Equal((visit.Now, visit.Now.AddMinutes(20), false), (still.Since, still.AskAt, still.IsPaused));

        visit.Pause();
        Assert.Equal((visit.Now, true), (visit.Visit.Stillness!.Since, visit.Visit.Stillness.IsPaused));
        visit.Resume();
        Assert.False(visit.Visit.Stillness!.IsPaused);

        visit.AllFound().Sign();
        Assert.Null(visit.Visit.Stillness);
    }
}
