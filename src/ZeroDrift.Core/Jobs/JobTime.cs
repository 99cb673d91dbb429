namespace ZeroDrift.Core.Jobs;

/// <summary>
/// How long a job will take: begun with what the book or the valvetrain says, and surer with every visit this depot has timed. Times spread in
/// proportion, so their logarithms are pooled: what is believed beforehand counts as four visits with a spread of a third (common practice, no source).
/// </summary>
/// <param name="Low">One job in ten is done sooner, hours.</param>
/// <param name="Middle">As many take longer as take less.</param>
/// <param name="High">One in ten takes longer.</param>
/// <param name="Timed">Visits behind it.</param>
public sealed record JobTime(double Low, double Middle, double High, int Timed)
{
    private const double Believed = 4;
    private const double Spread = 0.33;
    private const double Tenth = 1.2815515655446004;

    /// <summary>Setting a point that is out takes this much of a point's share besides measuring it.</summary>
    private const double SettingShare = 0.6;

    /// <summary>The time of a job to come.</summary>
    /// <param name="bookHours">What the book says of the whole, above 0.</param>
    /// <param name="points">Points of the engine, at least 1.</param>
    /// <param name="outAhead">How many of them are expected out of their windows.</param>
    /// <param name="timed">Hours of work of earlier visits of this kind, each above 0, paused time not counted.</param>
    public static JobTime Of(double bookHours, int points, double outAhead, IReadOnlyList<double> timed)
    {
        Require.Above(bookHours, 0, 1000, "bookHours", "The job's hours", "h");
        Require.InRange(points, 1, 1000, "points", "The points");
        var before = Math.Log(bookHours);
        var logs = timed.Where(h => h > 0 && double.IsFinite(h)).Select(h => Math.Log(h)).ToList();
        var mean = (Believed * before + logs.Sum()) / (Believed + logs.Count);
        var squares = Believed * (Spread * Spread + (before - mean) * (before - mean)) + logs.Sum(l => (l - mean) * (l - mean));
        var sd = Math.Sqrt(squares / (Believed + logs.Count) * (1 + 1 / (Believed + logs.Count)));
        // The book and the visits before had a usual share of points to set; more of them than half take longer.
        var more = 1 + SettingShare * Math.Max(0, outAhead / points - 0.5);
        return new JobTime(more * Math.Exp(mean - Tenth * sd), more * Math.Exp(mean), more * Math.Exp(mean + Tenth * sd), logs.Count);
    }
}
