using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Shims;

namespace ZeroDrift.Core.Tests.Shims;

/// <summary>A job goes its way from measured to closed, and says what running meanwhile may do.</summary>
public sealed class ShimJobTests
{
    private static readonly Window Window = Window.Of(0.28, 0.36);

    [Fact]
    public void It_goes_from_measured_to_closed_one_state_after_the_other()
    {
        ShimFitting Fitting(bool open, int fitted, int measured, bool closed = false) => new(open, 3, fitted, measured, closed);
        Assert.Equal(
            [ShimJobState.Measured, ShimJobState.Ordered, ShimJobState.PartsIn, ShimJobState.Reopened, ShimJobState.Reopened, ShimJobState.Fitted, ShimJobState.MeasuredAgain, ShimJobState.Closed],
            [
                ShimJob.State(false, false, false, Fitting(true, 0, 0)),
                ShimJob.State(true, true, false, Fitting(false, 0, 0)),
                ShimJob.State(true, false, false, Fitting(false, 0, 0)),
                ShimJob.State(true, false, false, Fitting(true, 0, 0)),
                ShimJob.State(true, false, false, Fitting(true, 2, 1)),
                ShimJob.State(true, false, false, Fitting(true, 3, 1)),
                ShimJob.State(true, false, false, Fitting(true, 3, 3)),
                ShimJob.State(true, false, false, Fitting(false, 3, 3, true)),
            ]);
    }

    [Fact]
    public void Given_up_it_is_nothing_else_any_more() => Assert.Equal(ShimJobState.Dropped, ShimJob.State(true, true, true, new ShimFitting(false, 3, 0, 0, false)));

    [Fact]
    public void A_tight_exhaust_is_named_before_a_tighter_intake_and_said_to_burn()
    {
        var said = ShimJob.Meanwhile([("1I", LashKind.Intake, 0.10, Window), ("2E", LashKind.Exhaust, 0.24, Window), ("3E", LashKind.Exhaust, 0.30, Window)], false);

        Assert.StartsWith("2E is tight: 0.24 of at least 0.28. So is 1I.", said, StringComparison.Ordinal);
        Assert.Contains("burns", said, StringComparison.Ordinal);
    }

    [Fact]
    public void A_tight_intake_alone_leaks_and_does_not_burn()
    {
        var said = ShimJob.Meanwhile([("1I", LashKind.Intake, 0.10, Window)], true);

        Assert.Contains("spits back", said, StringComparison.Ordinal);
        Assert.DoesNotContain("burns", said, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(0.28)]
    [InlineData(0.50)]
    public void At_its_limit_or_wide_it_may_run(double gap) => Assert.Null(ShimJob.Meanwhile([("1E", LashKind.Exhaust, gap, Window)], false));

    [Theory]
    [InlineData(0, false)]
    [InlineData(9.9, false)]
    [InlineData(40, true)]
    public void Where_it_has_run_since_a_new_figure_is_wiser(double hours, bool wiser) => Assert.Equal(wiser, ShimJob.FindAgain(hours) is not null);
}
