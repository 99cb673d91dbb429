using ZeroDrift.Core.Hours;

namespace ZeroDrift.Core.Tests.Hours;

/// <summary>Hours and dates over random years, seasons and laid-up times.</summary>
public sealed class UsagePropertyTests
{
    private static readonly DateOnly Today = new(2026, 3, 15);

    [Fact]
    public void The_day_for_some_hours_is_the_first_on_which_they_have_been_run()
    {
        for (var seed = 0; seed < 200; seed++)
        {
            var (use, random) = Random(seed);
            var hours = 1 + 800 * random.NextDouble();
            if (use.DateAfter(Today, hours) is not { } day) continue;
            Assert.True(use.HoursBetween(Today, day) >= hours - 1e-6, $"seed {seed}");
            Assert.True(use.HoursBetween(Today, day.AddDays(-1)) < hours + 1e-6, $"seed {seed}");
        }
    }

    [Fact]
    public void More_hours_are_never_reached_earlier_and_a_later_day_never_has_fewer()
    {
        for (var seed = 0; seed < 100; seed++)
        {
            var (use, random) = Random(seed);
            var (few, far) = (400 * random.NextDouble(), random.Next(1, 700));
            if (use.DateAfter(Today, few + 50) is { } later) Assert.True(use.DateAfter(Today, few) <= later, $"seed {seed}");
            Assert.True(use.HoursBetween(Today, Today.AddDays(far)) <= use.HoursBetween(Today, Today.AddDays(far + 1)), $"seed {seed}");
        }
    }

    [Fact]
    public void The_band_holds_the_day_and_the_hours()
    {
        for (var seed = 0; seed < 100; seed++)
        {
            var (use, random) = Random(seed);
            var hours = 1 + 300 * random.NextDouble();
            var (earliest, latest) = use.DateBand(Today, hours);
            if (use.DateAfter(Today, hours) is { } day) Assert.True(earliest <= day && (latest is null || day <= latest), $"seed {seed}");
            var to = Today.AddDays(random.Next(1, 500));
            var (least, most) = use.HoursBand(Today, to);
            Assert.InRange(use.HoursBetween(Today, to), least - 1e-9, most + 1e-9);
        }
    }

    [Fact]
    public void Weights_learned_are_twelve_of_mean_one_and_none_below_nothing()
    {
        for (var seed = 0; seed < 60; seed++)
        {
            var random = new Random(seed);
            var (total, totals) = (500.0, new List<HoursOnDay>());
            var weights = Enumerable.Range(0, 12).Select(_ => 8 * random.NextDouble()).ToList();
            for (var day = Today.AddDays(-900); day <= Today; day = day.AddDays(1))
            {
                if (random.Next(9) == 0) totals.Add(new HoursOnDay(day, EngineHours.Of(total)));
                total += weights[day.Month - 1] * random.NextDouble();
            }
            if (Season.Learned(totals) is not { } learned) continue;
            Assert.Equal(12, learned.Count);
            Assert.Equal(1, learned.Average(), 2);
            Assert.All(learned, w => Assert.InRange(w, 0, 12));
            // The busiest month by far is the busiest learned.
            if (weights.Max() > 1.5 * weights.Order().ElementAt(10)) Assert.Equal(weights.IndexOf(weights.Max()), learned.ToList().IndexOf(learned.Max()));
        }
    }

    private static (Usage Use, Random Random) Random(int seed)
    {
        var random = new Random(seed);
        List<double>? weights = random.Next(2) == 0 ? null : [.. Enumerable.Range(0, 12).Select(_ => random.Next(4) == 0 ? 0 : 2 * random.NextDouble())];
        if (weights?.All(w => w == 0) == true) weights[random.Next(12)] = 1;
        List<Days> laidUp = [.. Enumerable.Range(0, random.Next(3)).Select(_ => Today.AddDays(random.Next(-30, 300))).Select(from => new Days(from, from.AddDays(random.Next(60))))];
        return (Usage.Of([], Today, 0.5 + 12 * random.NextDouble(), weights, laidUp), random);
    }
}
