using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Tests.Drift;

/// <summary>When a hundredth is worth another blade: where it decides whether a valve stays until the next visit.</summary>
public sealed class FinerFigureTests
{
    private const double Share = 0.05 / 12;
    private static readonly PointForecast Closing = new("1E", Mm(0.40), 0.0125, new Rate(-0.02e-3, 0.003e-3), 0, Window.Of(0.35, 0.45));

    [Fact]
    public void Between_a_gap_that_can_stay_and_one_that_cannot_a_finer_figure_decides() =>
        Assert.True(FinerFigure.Decides(Closing, 0.38, 0.43, 0.0125, 1000, Share));

    [Fact]
    public void Where_both_ends_can_stay_or_neither_can_it_is_not_worth_a_blade()
    {
        Assert.False(FinerFigure.Decides(Closing, 0.41, 0.42, 0.0125, 500, Share), "both stay");
        Assert.False(FinerFigure.Decides(Closing, 0.35, 0.38, 0.0125, 1000, Share), "neither stays");
    }

    [Fact]
    public void A_figure_known_already_is_not_made_finer() => Assert.False(FinerFigure.Decides(Closing, 0.40, 0.40, 0.0125, 1000, Share));
}
