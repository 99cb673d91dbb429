using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Tests.Wear;

/// <summary>From whatever figure a valve is left at: whether it stays, and when a hundredth is worth another blade.</summary>
public sealed class FreshAheadTests
{
    private const double Share = 0.05 / 12;
    private static readonly Window Book = Window.Of(0.35, 0.45);
    private static readonly FreshAhead Closing = FreshAhead.Plain(-0.02, 0.003);

    [Fact]
    public void Between_a_gap_that_can_stay_and_one_that_cannot_a_finer_figure_decides() =>
        Assert.True(Closing.IsWorthFiner(Book, 0.38, 0.43, 0.0125, 1000, Share));

    [Fact]
    public void Where_both_ends_can_stay_or_neither_can_it_is_not_worth_a_blade()
    {
        Assert.False(Closing.IsWorthFiner(Book, 0.41, 0.42, 0.0125, 500, Share), "both stay");
        Assert.False(Closing.IsWorthFiner(Book, 0.35, 0.38, 0.0125, 1000, Share), "neither stays");
    }

    [Fact]
    public void A_figure_known_already_is_not_made_finer() => Assert.False(Closing.IsWorthFiner(Book, 0.40, 0.40, 0.0125, 1000, Share));

    [Theory]
    [InlineData(0.40, 0)]
    [InlineData(0.37, 800)]
    [InlineData(0.44, 2500)]
    public void A_plain_rate_gives_the_plain_normal(double left, double hours)
    {
        var plain = new Core.Drift.PointForecast("1E", Mm(left), 0.0125, new(-0.02e-3, 0.003e-3), 0, Book);
        var ahead = Closing.LeftAt("1E", Book, Mm(left), 0.0125);
        Assert.Equal(plain.Out(hours), ahead.Out(hours), 10);
        Assert.Equal(plain.Side(hours), ahead.Side(hours));
    }

    [Fact]
    public void What_is_kept_of_a_point_says_what_the_fit_itself_says()
    {
        var engine = WearFit.Of(WearFleet.Of(7, 4, 6, 5).Record).Engines[0];
        foreach (var point in engine.Points)
        {
            var (kept, window) = (engine.FreshFrom(point.Id)!, engine.Fresh.Points.First(p => p.Id == point.Id).Window);
            foreach (var hours in new[] { 0.0, 300, 1500, 4000 })
            {
                var all = engine.LeftAt(new Dictionary<string, Core.Lengths.Clearance> { [point.Id] = Mm(0.27) }, 0.0125).Points.First(p => p.Id == point.Id);
                Assert.Equal(all.Out(hours), kept.LeftAt(point.Id, window, Mm(0.27), 0.0125).Out(hours), 12);
            }
        }
    }

    [Fact]
    public void A_valve_that_may_be_a_fast_one_is_likelier_out_than_its_rate_alone_says()
    {
        var ordinary = FreshAhead.Plain(-0.02, 0.003);
        var doubtful = ordinary with { FastProbability = 0.1, FastShift = -0.04, FastVariance = 0.0002 };
        Assert.True(doubtful.LeftAt("1E", Book, Mm(0.40), 0.0125).Out(1000) > 5 * ordinary.LeftAt("1E", Book, Mm(0.40), 0.0125).Out(1000));
    }
}
