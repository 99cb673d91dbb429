using ZeroDrift.Core.Drift;

namespace ZeroDrift.Core.Tests.Drift;

/// <summary>
/// Fleets with known rates: the intervals promise nine in ten and must keep it, and visits where nothing is wrong must stay quiet.
/// The figures stand in docs/method.md.
/// </summary>
public class CoverageSimulationTests
{
    private const int Fleets = 60;
    private const int PerEngine = 6;
    private const double OwnU = 0.006;

    [Theory]
    [InlineData(2, 5)]
    [InlineData(4, 5)]
    [InlineData(4, 8)]
    [InlineData(10, 5)]
    [InlineData(10, 8)]
    public void Ninety_per_cent_intervals_cover_between_85_and_95_per_cent(int engines, int visits)
    {
        var random = new Random(20_270_104);
        var (inside, all) = (0, 0);
        for (var fleet = 0; fleet < Fleets; fleet++)
        {
            var (truth, histories, _) = Fleet(random, engines, visits);
            var pool = RatePool.Of([.. histories.Select(h => OwnRate.Fit(h.Readings)?.Rate)]);
            for (var i = 0; i < truth.Length; i++)
            {
                all++;
                var rate = pool.Points[i].Rate!.Value;
                if (Math.Abs(rate.MmPerHour - truth[i]) <= 1.645 * rate.StandardErrorMmPerHour) inside++;
            }
        }

        Assert.InRange((double)inside / all, 0.85, 0.95);
    }

    [Fact]
    public void Untroubled_visits_raise_findings_in_under_two_per_cent()
    {
        var random = new Random(7);
        var (raised, visits) = (0, 0);
        for (var fleet = 0; fleet < Fleets; fleet++)
        {
            var (truth, histories, gaps) = Fleet(random, 4, 6);
            var own = histories.Select(h => OwnRate.Fit(h.Readings)).ToList();
            var pool = RatePool.Of([.. own.Select(o => o?.Rate)]);
            for (var engine = 0; engine < 4; engine++)
            {
                var shift = DriftHistory.SharedFeelMm * Gaussian(random);
                var residuals = Enumerable.Range(engine * PerEngine, PerEngine).Select(i =>
                {
                    const double ahead = 900;
                    var (last, rate) = (histories[i].Last!.Value, pool.Points[i].Rate!.Value);
                    var forecast = new PointForecast($"{i}", last.ClearanceMm, last.StandardUncertaintyMm, rate, histories[i].Covariance(own[i], pool.Points[i].Shrinkage), new Core.Judging.Window(Mm(0.3), Mm(0.5)));
                    var found = gaps[i] + truth[i] * ahead + shift + OwnU * Gaussian(random);
                    var u = Math.Sqrt(OwnU * OwnU + DriftHistory.SharedFeelMm * DriftHistory.SharedFeelMm);
                    return new VisitResidual($"{i}", "exhaust", forecast.MeanMm(ahead), Math.Pow(forecast.SdMm(ahead), 2), Mm(found), u, pool.Points[i].Shrinkage, ahead, pool.Group?.VarianceOfMean ?? 0);
                }).ToList();
                visits++;
                var judged = OddVisit.Judge(residuals, DriftHistory.SharedFeelMm);
                if (judged.IsShifted || judged.Points.Count > 0) raised++;
            }
        }

        Assert.True(raised < 0.02 * visits, $"{raised} of {visits} untroubled visits were called odd");
    }

    /// <summary>
    /// Engines of six points each, opened together: every visit has its hand's shared shift, every reading its own scatter, and a point is set
    /// anew at every third visit or so. The core sees it as the record gives it.
    /// </summary>
    private static (double[] Truth, DriftHistory[] Histories, double[] Gaps) Fleet(Random random, int engines, int visits)
    {
        var truth = new double[engines * PerEngine];
        var histories = new DriftHistory[truth.Length];
        var gaps = new double[truth.Length];
        for (var engine = 0; engine < engines; engine++)
        {
            var hours = Enumerable.Range(0, visits).Select(v => v * 1000.0 + random.Next(400)).ToArray();
            var shift = hours.Select(_ => DriftHistory.SharedFeelMm * Gaussian(random)).ToArray();
            for (var i = engine * PerEngine; i < (engine + 1) * PerEngine; i++)
            {
                truth[i] = (-12 + 4 * Gaussian(random)) * 1e-6;
                var (gap, log) = (0.40, new List<PointVisit>());
                for (var v = 0; v < visits; v++)
                {
                    if (v > 0) gap += truth[i] * (hours[v] - hours[v - 1]);
                    var found = (Mm(gap + shift[v] + OwnU * Gaussian(random)), OwnU);
                    var isSet = v > 0 && random.Next(3) == 0;
                    if (isSet) gap = 0.40 + 0.01 * Gaussian(random);
                    log.Add(new PointVisit(H(hours[v]), found, isSet ? (Mm(gap + shift[v] + OwnU * Gaussian(random)), OwnU) : null) { Adjusted = isSet });
                }
                histories[i] = DriftHistory.Of(log);
                gaps[i] = gap;
            }
        }
        return (truth, histories, gaps);
    }

    private static double Gaussian(Random random) => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
