using CsCheck;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Tests.Judging;

/// <summary>Whoever takes the suggested blades, with any true gap, is done soon.</summary>
public class SuggestedBladesTests
{
    private static readonly Gen<(double[] Tray, Demand.Gap Gap, double True)> AnyReading =
        from steps in Gen.Int[4, 60]
        from count in Gen.Int[2, 24]
        from keep in Gen.Bool.Array[count]
        let tray = Enumerable.Range(1, count).Where((_, i) => keep[i] || i == 0 || i == count - 1).Select(i => Math.Round(i * steps / 200.0, 4)).ToArray()
        from min in Gen.Double[0.03, 0.6]
        from width in Gen.Double[0.02, 0.2]
        from gap in Gen.Double[0.01, 1.0]
        select (tray, Asked(min, min + width, min + width / 2), gap);

    [Fact]
    public void It_ends_in_no_more_tries_than_a_bisection_of_the_tray_plus_one_and_never_the_same_blade_twice() => AnyReading.Sample(r => Follow(r.Tray, r.Gap, r.True, MeasuringAim.Decide) is { } tries && tries <= Bisection(r.Tray) + 1);

    [Fact]
    public void For_the_trend_it_ends_too() => AnyReading.Sample(r => Follow(r.Tray, r.Gap, r.True, MeasuringAim.Figure) is { } tries && tries <= Stacks(r.Tray).Count);

    private static int Bisection(double[] tray) => (int)Math.Ceiling(Math.Log2(tray.Length + 1));

    private static List<double> Stacks(double[] tray) =>
        [.. tray.Concat(from a in tray from b in tray where a < b select a + b).Select(mm => Math.Round(mm, 6)).Distinct()];

    /// <summary>How many tries it took; null where a blade came twice, or one that is not in the tray.</summary>
    private static int? Follow(double[] tray, Demand.Gap gap, double truth, MeasuringAim aim)
    {
        var trials = new List<BladeTrial>();
        while (true)
        {
            var reading = trials.Count == 0 ? Reading.Nothing : Reading.FromBlades(trials);
            if (NextTry.Of(tray, trials, reading, gap, aim) is not { } next) return trials.Count;
            if (next.BladesMm.Any(b => !tray.Contains(b)) || trials.Exists(t => Math.Abs(t.StackMm - next.SumMm) < 1e-9) || trials.Count > 200) return null;
            var feel = Math.Abs(next.SumMm - truth) < 0.004 ? Feel.Drag : next.SumMm < truth ? Feel.Free : Feel.NoGo;
            trials.Add(new BladeTrial(next.BladesMm, feel));
        }
    }
}
