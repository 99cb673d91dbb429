using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Tests.Wear;

/// <summary>Everything read one way: asked while it can still be measured again.</summary>
public sealed class VisitDoubtTests
{
    [Fact]
    public void Twelve_points_a_good_hundredth_beyond_what_visits_stray_are_asked_about()
    {
        var doubt = VisitDoubt.Of(Found(12, -0.045), 0.011);
        Assert.NotNull(doubt);
        Assert.Equal(-0.045, doubt.ShiftMm, 9);
        Assert.True(doubt.StandardDeviations > 3);
    }

    [Fact]
    public void Usual_straying_scatter_either_way_and_too_few_points_are_not()
    {
        Assert.Null(VisitDoubt.Of(Found(12, -0.02), 0.011));
        Assert.Null(VisitDoubt.Of(Found(3, -0.06), 0.011));
        Assert.Null(VisitDoubt.Of([.. Enumerable.Range(0, 12).Select(i => new FoundBesideExpected($"{i}", 0.30 + (i % 2 == 0 ? 0.06 : -0.05), 0.30, 0.01))], 0.011));
    }

    [Fact]
    public void One_valve_in_trouble_is_no_warm_engine()
    {
        Assert.Null(VisitDoubt.Of([.. Found(11, 0), new FoundBesideExpected("4E", 0.10, 0.30, 0.01)], 0.011));
    }

    private static FoundBesideExpected[] Found(int points, double shift) =>
        [.. Enumerable.Range(0, points).Select(i => new FoundBesideExpected($"{i}", 0.30 + shift, 0.30, 0.012))];
}
