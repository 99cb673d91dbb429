using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Tests.Drift;

public class PublishedDriftTests
{
    [Fact] // Rubin 1981, eight schools: tau² = 0, mean 7.686, standard error 4.072
    public void Eight_schools_have_no_spread_beyond_their_errors()
    {
        double[] y = [28, 8, -3, 7, -1, 1, 18, 12];
        double[] s = [15, 10, 16, 11, 9, 11, 10, 18];

        var fit = RestrictedLikelihood.Fit(y, [.. s.Select(x => x * x)]);

        Assert.Equal(0, fit.TauSquared);
        Assert.Equal(7.686, fit.Mean, 3);
        Assert.Equal(4.072, Math.Sqrt(fit.VarianceOfMean), 3);
    }

    [Fact] // Colditz et al. 1994, BCG vaccine, log relative risk of 13 trials: tau² = 0.3132, mean −0.7145, standard error 0.1798
    public void Thirteen_vaccine_trials_spread_as_published()
    {
        double[][] tables = // vaccinated with and without disease, then not vaccinated
        [
            [4, 119, 11, 128], [6, 300, 29, 274], [3, 228, 11, 209], [62, 13536, 248, 12619], [33, 5036, 47, 5761], [180, 1361, 372, 1079], [8, 2537, 10, 619],
            [505, 87886, 499, 87892], [29, 7470, 45, 7232], [17, 1699, 65, 1600], [186, 50448, 141, 27197], [5, 2493, 3, 2338], [27, 16886, 29, 17825],
        ];
        var y = tables.Select(t => Math.Log(t[0] / (t[0] + t[1]) / (t[2] / (t[2] + t[3])))).ToArray();
        var v = tables.Select(t => 1 / t[0] - 1 / (t[0] + t[1]) + 1 / t[2] - 1 / (t[2] + t[3])).ToArray();

        var fit = RestrictedLikelihood.Fit(y, v);

        Assert.Equal(0.3132, fit.TauSquared, 4);
        Assert.Equal(-0.7145, fit.Mean, 4);
        Assert.Equal(0.1798, Math.Sqrt(fit.VarianceOfMean), 4);
    }

    [Fact]
    public void The_hours_to_five_in_a_hundred_are_found_by_both_limits()
    {
        var point = new PointForecast("1E", Mm(0.40), 0.005, new Rate(-0.02 / 1000, 0.005 / 1000), 0, new Window(Mm(0.30), Mm(0.50)));

        var risk = HoursToRisk.Of([point], 0.05, 20_000);

        Assert.Equal(3502.3, risk.Hours!.Value, 1);
        Assert.Equal(("1E", LimitSide.Tight), (risk.DecidedBy, risk.Side));
    }
}
