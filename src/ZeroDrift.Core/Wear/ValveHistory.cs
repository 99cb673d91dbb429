namespace ZeroDrift.Core.Wear;

/// <summary>
/// A valve's own history, all that is shared taken as known: whether a reading is far off, or the valve wears another way, is weighed by exact sums over
/// every pair of a kind of valve (ordinary, fast for life, changed after one of its visits) and of a reading that is far off (none, or one of them).
/// The algebra is that of normal linear models (any textbook on Bayesian regression); the shares are common practice, no source.
/// </summary>
internal sealed class ValveHistory
{
    private const double FastShare = 0.02;
    private const double ChangePer1000h = 0.005;
    private const double LeastOrdinary = 0.1;
    private const double FarShare = 0.01;

    /// <summary>A reading that is far off lies anywhere in half a millimetre: density 2 a mm.</summary>
    private static readonly double FarLog = Math.Log(2) + Math.Log(2 * Math.PI) / 2;

    /// <summary>What a reading far off still weighs.</summary>
    internal const double Nothing = 1e-6;

    private readonly IReadOnlyList<HistoryReading> readings;
    private readonly HistoryPrior prior;
    private readonly bool tails;
    private readonly double atT;
    private readonly double first;
    private readonly double origin;
    private readonly double[] hours;
    private readonly RunSums[] runs;
    private readonly double[] far;
    private readonly HistoryMoments[] kinds = [new(), new(), new()];
    private double most = double.NegativeInfinity;

    private ValveHistory(IReadOnlyList<HistoryReading> readings, HistoryPrior prior, bool tails, double atT)
    {
        (this.readings, this.prior, this.tails) = (readings, prior, tails);
        first = readings.Min(r => r.T);
        origin = readings[^1].Z;
        this.atT = atT - first;
        hours = [.. readings.Select(r => r.T - first).Distinct().Order()];
        runs = new RunSums[readings.Max(r => r.Run) + 1];
        far = new double[readings.Count];
        foreach (var reading in readings) runs[reading.Run].Add(1 / reading.Variance, reading.T - first, reading.Z - origin);
        Weigh();
    }

    /// <summary>How likely each reading is far off.</summary>
    public IReadOnlyList<double> Far => far;

    /// <summary>Ordinary, fast for life, changed; each merged to its moments at the hour asked.</summary>
    public HistoryKind Ordinary => Kind(0);

    /// <summary>Fast for life.</summary>
    public HistoryKind Fast => Kind(1);

    /// <summary>Changed after one of its visits.</summary>
    public HistoryKind Changed => Kind(2);

    /// <summary>More likely than not it has begun to wear another way.</summary>
    public bool IsChanged => Changed.Share > 0.5;

    /// <summary>The hour, in thousands, after which a change is likeliest; null where none can be.</summary>
    public double? ChangedAfter { get; private set; }

    /// <summary>Weighs a history of at least one reading.</summary>
    /// <param name="readings">By run; the last run is the one it is in.</param>
    /// <param name="prior">Its group.</param>
    /// <param name="tails">A reading may be far off.</param>
    /// <param name="atT">The hour level and slope are given at, thousands, not before its last reading.</param>
    public static ValveHistory Of(IReadOnlyList<HistoryReading> readings, HistoryPrior prior, bool tails, double atT) => new(readings, prior, tails, atT);

    /// <summary>The same history without a choice of kinds: one normal, with the weights and the prior given.</summary>
    /// <param name="readings">By run; the last run is the one it is in.</param>
    /// <param name="mean">m.</param>
    /// <param name="variance">v.</param>
    /// <param name="atT">The hour level and slope are given at.</param>
    public static HistoryKind Plain(IReadOnlyList<HistoryReading> readings, double mean, double variance, double atT)
    {
        var runs = new RunSums[readings.Max(r => r.Run) + 1];
        foreach (var r in readings) runs[r.Run].Add(1 / r.Variance, r.T, r.Z);
        var sums = new HistorySums(variance, mean, 1, 0);
        foreach (var run in runs) sums.Add(run, 1);
        var (level, last) = (new HistoryMoments(), runs[^1]);
        level.Take(1, sums, last, atT, double.NaN);
        return level.Merged(1, 0);
    }

    private void Weigh()
    {
        var tau = Math.Max(prior.Tau * prior.Tau, 1e-18);
        var span = hours[^1];
        Try(0, prior.MayWearOtherwise ? Math.Max(1 - FastShare - ChangePer1000h * span, LeastOrdinary) : 1, double.NaN, new HistorySums(tau, 0, 1, 0));
        if (prior.MayWearOtherwise)
        {
            Try(1, FastShare, double.NaN, new HistorySums(prior.Rate * prior.Rate, 3 * prior.Rate, 1, 0));
            var likeliest = double.NegativeInfinity;
            for (var n = 0; n + 1 < hours.Length; n++)
            {
                var here = Try(2, ChangePer1000h * (hours[n + 1] - hours[n]), hours[n], new HistorySums(tau, 0, prior.Jump * prior.Jump, prior.Jump));
                if (here <= likeliest) continue;
                (likeliest, ChangedAfter) = (here, hours[n] + first);
            }
        }
        var all = kinds.Sum(k => k.Weight);
        for (var i = 0; i < far.Length; i++) far[i] /= all;
    }

    /// <summary>One kind with no reading far off and with each that may be; the log of what it weighs in all.</summary>
    private double Try(int kind, double share, double after, HistorySums prior0)
    {
        if (share <= 0) return double.NegativeInfinity;
        for (var r = 0; r < runs.Length; r++) runs[r].NoChange();
        if (!double.IsNaN(after))
            foreach (var reading in readings) runs[reading.Run].Change(1 / reading.Variance, reading.T - first, reading.Z - origin, Math.Max(reading.T - first - after, 0));
        var whole = prior0;
        var logs = 0.0;
        foreach (var run in runs) whole.Add(run, 1);
        foreach (var reading in readings) logs += Math.Log(reading.Variance);
        var may = tails ? readings.Count(r => r.MayBeFar) : 0;
        var sum = double.NegativeInfinity;
        Put(Math.Log(share) + may * Math.Log(1 - FarShare) - logs / 2, whole, runs[^1], -1);
        if (may == 0) return sum;
        var one = Math.Log(share) + Math.Log(FarShare) + (may - 1) * Math.Log(1 - FarShare) + FarLog;
        for (var j = 0; j < readings.Count; j++)
        {
            var reading = readings[j];
            if (!reading.MayBeFar) continue;
            var (without, sums) = (runs[reading.Run], whole);
            without.Remove((1 - Nothing) / reading.Variance, reading.T - first, reading.Z - origin, double.IsNaN(after) ? 0 : Math.Max(reading.T - first - after, 0));
            sums.Add(runs[reading.Run], -1);
            sums.Add(without, 1);
            Put(one - (logs - Math.Log(reading.Variance)) / 2, sums, reading.Run == runs.Length - 1 ? without : runs[^1], j);
        }
        return sum;

        void Put(double log, HistorySums s, RunSums last, int j)
        {
            // A change against the wear is none.
            if (!double.IsNaN(after) && prior.Direction * s.Delta <= 0) return;
            log += s.Log;
            sum = double.IsNegativeInfinity(sum) ? log : Math.Max(sum, log) + Math.Log(1 + Math.Exp(-Math.Abs(sum - log)));
            if (log > most)
            {
                var shrink = double.IsNegativeInfinity(most) ? 0 : Math.Exp(most - log);
                foreach (var k in kinds) k.Shrink(shrink);
                for (var i = 0; i < far.Length; i++) far[i] *= shrink;
                most = log;
            }
            var weight = Math.Exp(log - most);
            kinds[kind].Take(weight, s, last, atT, after);
            if (j >= 0) far[j] += weight;
        }
    }

    private HistoryKind Kind(int k) => kinds[k].Merged(kinds.Sum(x => x.Weight), origin);
}
