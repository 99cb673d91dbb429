using CsCheck;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Tests.Judging;

public class NextBladeTests
{
    private static readonly double[] Tray = [.. Enumerable.Range(1, 20).Select(i => i * 0.05)];
    private static readonly Window Exhaust = new(Mm(0.35), Mm(0.45));

    [Fact]
    public void Following_the_suggestions_always_ends_in_a_decision() => Gen.Double[0.06, 0.99].Sample(gap =>
    {
        var trials = new List<BladeTrial>();
        for (var i = 0; i <= Tray.Length; i++)
        {
            var soFar = trials.Count == 0 ? new Reading(null, null, null, null) : Reading.FromBlades(trials);
            if (NextBlade.Suggest(Tray, soFar, Exhaust, (0.38, 0.03)) is not { } blade)
                return Verdict.Judge(soFar, Exhaust).State != VerdictState.Borderline;
            trials.Add(new BladeTrial([blade], blade <= gap ? Feel.Free : Feel.NoGo));
        }
        return false;
    });

    [Fact]
    public void No_other_first_blade_needs_fewer_trials_on_average()
    {
        // Tried out over many gaps drawn from what is expected.
        var random = new Random(11);
        var gaps = Enumerable.Range(0, 400).Select(_ => 0.37 + 0.03 * Gaussian(random)).ToList();
        var suggested = NextBlade.Suggest(Tray, new Reading(null, null, null, null), Exhaust, (0.37, 0.03))!.Value;

        var best = Average(suggested, gaps);

        Assert.All(Tray.Where(b => b is > 0.2 and < 0.6), other => Assert.True(best <= Average(other, gaps) + 0.05, $"{other} needs {Average(other, gaps)}, {suggested} needs {best}"));
    }

    [Fact]
    public void A_blade_that_cannot_narrow_the_gap_is_never_suggested()
    {
        var suggestion = NextBlade.Suggest(Tray, new Reading(Mm(0.40), null, null, null), Exhaust, (0.30, 0.02));

        Assert.True(suggestion > 0.40);
        Assert.Null(NextBlade.Suggest([0.30], new Reading(Mm(0.40), null, null, null), Exhaust));
    }

    [Fact]
    public void An_empty_tray_or_an_impossible_blade_is_refused()
    {
        Assert.Equal("trayMm", Assert.Throws<BadInputException>(() => NextBlade.Suggest([], new Reading(null, null, null, null), Exhaust)).Field);
        Assert.Equal("trayMm", Assert.Throws<BadInputException>(() => NextBlade.Suggest([0.2, double.NaN], new Reading(null, null, null, null), Exhaust)).Field);
    }

    [Theory]
    [InlineData(-1, "feelSdMm")]
    [InlineData(2, "feelSdMm")]
    public void An_impossible_feel_is_refused(double feel, string field) =>
        Assert.Equal(field, Assert.Throws<BadInputException>(() => Reading.FromBlades([new BladeTrial([0.2], Feel.Drag)], feel)).Field);

    [Fact]
    public void Too_many_blades_in_a_stack_or_none_are_refused()
    {
        Assert.Equal("trials[0].bladesMm", Assert.Throws<BadInputException>(() => Reading.FromBlades([new BladeTrial([], Feel.Free)])).Field);
        Assert.Equal("trials[1].bladesMm", Assert.Throws<BadInputException>(() => Reading.FromBlades([new BladeTrial([0.1], Feel.Free), new BladeTrial([.. Enumerable.Repeat(0.1, 11)], Feel.Free)])).Field);
    }

    private static double Average(double first, List<double> gaps) => gaps.Average(gap =>
    {
        var trials = new List<BladeTrial> { new([first], first <= gap ? Feel.Free : Feel.NoGo) };
        while (NextBlade.Suggest(Tray, Reading.FromBlades(trials), Exhaust, (0.37, 0.03)) is { } blade)
            trials.Add(new BladeTrial([blade], blade <= gap ? Feel.Free : Feel.NoGo));
        return trials.Count;
    });

    private static double Gaussian(Random random) => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
