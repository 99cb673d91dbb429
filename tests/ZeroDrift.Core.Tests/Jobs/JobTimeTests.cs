using ZeroDrift.Core.Jobs;

namespace ZeroDrift.Core.Tests.Jobs;

/// <summary>How long a job takes, surer with every visit that was timed.</summary>
public sealed class JobTimeTests
{
    [Fact]
    public void Before_anything_was_timed_it_is_the_books_with_a_wide_band()
    {
        var time = JobTime.Of(6, 12, 2, []);
        Assert.Equal((6, 0), (Math.Round(time.Middle, 9), time.Timed));
        Assert.InRange(time.High / time.Low, 2, 3);
    }

    [Fact]
    public void Visits_of_one_length_draw_it_there_and_narrow_the_band()
    {
        var few = JobTime.Of(6, 12, 2, [.. Enumerable.Repeat(3.0, 2)]);
        var many = JobTime.Of(6, 12, 2, [.. Enumerable.Repeat(3.0, 40)]);
        Assert.True(few.Middle > 3 && few.Middle < 6 && many.Middle > 3 && many.Middle < few.Middle, $"{few} {many}");
        Assert.True(many.High / many.Low < few.High / few.Low);
    }

    [Fact]
    public void Many_points_forecast_out_take_longer_and_few_do_not_take_less()
    {
        Assert.Equal(JobTime.Of(6, 12, 0, []), JobTime.Of(6, 12, 6, []));
        Assert.Equal(1.3, JobTime.Of(6, 12, 12, []).Middle / 6, 9);
    }

    [Fact]
    public void A_visit_without_a_length_is_not_counted() => Assert.Equal(0, JobTime.Of(6, 12, 0, [0, double.NaN, -1]).Timed);
}
