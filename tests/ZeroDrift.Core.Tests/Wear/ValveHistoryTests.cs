using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Tests.Wear;

/// <summary>A valve's own history: an outlier, a valve fast for life, one that has begun to fail. Worked cases, each computed independently twice.</summary>
public sealed class ValveHistoryTests
{
    private static readonly HistoryPrior Group = new(-0.02, 0.006, true);

    [Fact]
    public void Once_far_off_at_the_end_may_be_an_outlier_or_a_beginning()
    {
        var history = ValveHistory.Of(Found(confirmed: false), Group, true, 3);

        Near(0.000441, history.Fast.Share, 1e-6);
        Near(0.615646, history.Changed.Share, 1e-6);
        Assert.Equal(2, history.ChangedAfter);
        Near(0.383913, history.Ordinary.Share, 1e-6);
        Near(-0.000210, history.Ordinary.Slope, 1e-6);
        Near(2.806585e-5, history.Ordinary.SlopeVariance, 1e-10);
        Near(-0.069330, history.Changed.Slope, 1e-6);
        Near(2.063806e-4, history.Changed.SlopeVariance, 1e-9);
        Assert.Equal([0.000485, 0.000953, 0.376636], history.Far.Where((_, i) => i % 2 == 1).Select(f => Math.Round(f, 6)));
    }

    [Fact]
    public void A_second_look_that_agrees_decides()
    {
        var history = ValveHistory.Of(Found(confirmed: true), Group, true, 3);
        Near(0.000530, history.Fast.Share, 1e-6);
        Near(0.983667, history.Changed.Share, 1e-6);
        Near(-0.069417, history.Changed.Slope, 1e-6);
        Near(1.915046e-4, history.Changed.SlopeVariance, 1e-9);
        var plain = ValveHistory.Plain(Found(confirmed: true), 0, 0.006 * 0.006, 3);
        Near(-0.008182, plain.Slope, 1e-6);
        Near(2.337662e-5, plain.SlopeVariance, 1e-10);
    }

    /// <summary>One line a case: what p0 was found at, what is known of it after, when the engine reaches 5 %, T*, and what is said.</summary>
    [Theory]
    [InlineData("0.39 0.38 0.39 0.32 0.31", false, 0.4011, 0.0088, -0.0836, 0.0105, 1.0000, 3000.0, 5.23, 0.0540, 0.7108, 500, 500.0, 390, "named out", 0.010714)]
    [InlineData("0.38 0.38 0.38 0.38 0.39 0.38 0.39 0.38 0.39 0.38 0.30 0.30 0.30", false, 0.4004, 0.0075, -0.0990, 0.0091, 1.0000, 10000.0, 6.06, 0.1739, 0.8305, 420, 420.0, 330, "named out", 0.007353)]
    [InlineData("0.38 0.39 0.38 0.38 0.28", false, 0.4009, 0.0089, -0.0753, 0.0497, 0.5782, null, 8.47, 0.2050, 0.5106, 370, 370.0, 280, "look out", 0.003571)]
    [InlineData("0.38 0.39 0.38 0.38 0.28", true, 0.4009, 0.0089, -0.1169, 0.0126, 1.0000, 4000.0, 8.49, 0.3563, 0.8850, 350, 350.0, 270, "named out", 0.010714)]
    [InlineData("0.38 0.39 0.38 0.38 0.345", false, 0.4027, 0.0093, -0.0225, 0.0102, 0.0335, null, 2.62, 0.0000, 0.0037, 2120, 2290.0, 1730, "look", 0.003571)]
    [InlineData("0.38 0.28 0.38 0.38 0.38", false, 0.4008, 0.0086, -0.0191, 0.0086, 0.0022, null, -0.09, 0.0000, 0.0000, 2290, 2620.0, 1870, "ordinary", 0.003571)]
    public void Set_every_thousand_hours(string found, bool confirmed, double level, double levelError, double rate, double rateError, double changed, double? since, double z, double at500, double at1000, double reaches, double? own, double open, string said, double hazard) =>
        Holds(SetEachTime([.. found.Split(' ').Select(Number)], confirmed), level, levelError, rate, rateError, changed, since, z, at500, at1000, reaches, own, open, said, hazard);

    [Theory]
    [InlineData(1, 0.3361, 0.0093, -0.0251, 0.0050, 0.0037, 1.66, 0.3754, 0.7547, 30, 30.0, 0)]
    [InlineData(3, 0.3303, 0.0077, -0.0279, 0.0042, 0.0034, 1.48, 0.6552, 0.9496, 0, 0.0, 0)]
    public void Left_alone_since_it_was_set(int times, double level, double levelError, double rate, double rateError, double changed, double z, double at500, double at1000, double reaches, double? own, double open) =>
        Holds(LeftAlone(times), level, levelError, rate, rateError, changed, null, z, at500, at1000, reaches, own, open, "raised", 0.004032);

    private static void Holds(WearRecord record, double level, double levelError, double rate, double rateError, double changed, double? since, double z, double at500, double at1000, double reaches, double? own, double open, string said, double hazard)
    {
        var engine = WearFit.Of(record).Engines[0];
        var point = engine.Points[0];
        Near(level, point.LevelMm!.Value, 1e-4);
        Near(levelError, point.LevelStandardErrorMm!.Value, 1e-4);
        Near(rate, point.MmPer1000h, 1e-4);
        Near(rateError, point.StandardErrorMmPer1000h, 1e-4);
        Near(changed, point.ChangeProbability, 1e-4);
        Assert.Equal(since, point.Changed?.Hours);
        Near(z, point.LastFoundZ!.Value, 0.0051);
        var walk = new RiskWalk(engine.Now, 20000);
        Near(at500, walk.MostUpTo(500), 1e-4);
        Near(at1000, walk.MostUpTo(1000), 1e-4);
        var plan = OpeningPlan.Of(walk, engine, 0.05, 20, 20000);
        Assert.Equal(reaches, plan.HoursToRisk!.Value, 20.0);
        Assert.Equal("p0", plan.DecidedBy);
        Assert.Equal(own!.Value, plan.DecidedByHours!.Value, 20.0);
        Assert.Equal(open, plan.OpenAfterHours!.Value, 20.0);
        var voice = EngineVoice.Of(engine, walk, 1500);
        Assert.Equal(
            said.Split(' '),
            new[] { (voice.Named.Contains("p0"), "named"), (voice.LookAgain.Contains("p0"), "look"), (voice.FoundOut.Contains("p0"), "out"), (voice.IsOrdinary, "ordinary"), (voice is { IsRaised: true, Named: [], LookAgain: [], FoundOut: [] }, "raised") }.Where(v => v.Item1).Select(v => v.Item2));
        Near(hazard, FleetHazard.Of([engine]).Per1000h, 1e-6);
    }

    /// <summary>Seven ordinary valves beside it, set each time; one a line, by visit, beginning anew after seven.</summary>
    private static readonly double[][] Others =
    [
        [.38, .39, .38, .38, .37, .38, .39],
        [.38, .38, .37, .38, .39, .38, .38],
        [.37, .38, .38, .39, .38, .37, .38],
        [.38, .37, .39, .38, .38, .38, .37],
        [.39, .38, .38, .37, .38, .39, .38],
        [.38, .38, .39, .38, .37, .38, .38],
        [.37, .39, .38, .38, .38, .38, .39],
    ];

    private static WearRecord SetEachTime(double[] found, bool confirmed)
    {
        var readings = new List<WearReading>();
        for (var v = 0; v <= found.Length; v++)
        {
            for (var p = 0; p < 8; p++)
            {
                if (v > 0) readings.Add(new WearReading($"p{p}", $"v{v}", v, false, p == 0 ? found[v - 1] : Others[p - 1][(v - 1) % 7], null, null, 0.005) { Confirmed = confirmed && p == 0 && v == found.Length });
                readings.Add(new WearReading($"p{p}", $"v{v}", v + 1, true, 0.40, null, null, 0.005));
            }
        }
        return Record(found.Length, readings);
    }

    private static WearRecord LeftAlone(int times)
    {
        double[] found = [0.388, 0.376, 0.325];
        var readings = new List<WearReading>();
        for (var v = 0; v <= 3; v++)
        {
            for (var p = 0; p < 8; p++)
            {
                if (v > 0)
                    for (var i = 0; i < (p == 0 && v == 3 ? times : 1); i++)
                        readings.Add(new WearReading($"p{p}", $"v{v}", p == 0 ? 1 : v, false, p == 0 ? found[v - 1] : Others[p - 1][v - 1], null, null, 0.005));
                if (v == 0 || p > 0) readings.Add(new WearReading($"p{p}", $"v{v}", v + 1, true, 0.40, null, null, 0.005));
            }
        }
        return Record(3, readings);
    }

    private static WearRecord Record(int last, List<WearReading> readings) => new(
        [.. Enumerable.Range(0, 8).Select(p => new WearPoint($"p{p}", "e", "exhaust", Window.Of(0.32, 0.48), Clearance.OfMm(0.40)))],
        [.. Enumerable.Range(0, last + 1).Select(v => new WearVisit($"v{v}", "e", EngineHours.Of(1000.0 * v), v % 2 == 0 ? "A" : "B", false))],
        readings);

    /// <summary>Set to 0.40 at 0, 1000, 2000 and 3000 h, found 0.38, 0.38, 0.31: as-left and as-found in turn.</summary>
    private static List<HistoryReading> Found(bool confirmed) =>
    [
        Left(0, 0), Seen(1, 0.38, 0),
        Left(1, 1), Seen(2, 0.38, 1),
        Left(2, 2), Seen(3, 0.31, 2) with { MayBeFar = !confirmed },
        Left(3, 3),
    ];

    // The group's rate is taken off.
    private static HistoryReading Left(double t, int run) => new(t, 0.40 + 0.02 * t, 1e-4, run, false);

    private static HistoryReading Seen(double t, double mm, int run) => new(t, mm + 0.02 * t, 1e-4, run, true);

    private static double Number(string text) => double.Parse(text, System.Globalization.CultureInfo.InvariantCulture);

    private static void Near(double expected, double actual, double within) => Assert.Equal(expected, actual, within);
}
