namespace ZeroDrift.Core.Wear;

/// <summary>One reading of a valve's own history, all that is shared taken off.</summary>
/// <param name="T">Thousands of hours.</param>
/// <param name="Z">What is left of it, mm.</param>
/// <param name="Variance">Its own and its visit's, mm².</param>
/// <param name="Run">The place of its run, 0 first.</param>
/// <param name="MayBeFar">An as-found figure that nobody confirmed, beside another of its run.</param>
internal readonly record struct HistoryReading(double T, double Z, double Variance, int Run, bool MayBeFar);

/// <summary>What one kind of valve says of level and slope at an hour: means, variances, and its share.</summary>
/// <param name="Share">How likely the valve is of this kind.</param>
/// <param name="Level">mm, beside what is shared.</param>
/// <param name="Slope">mm per 1000 h, beside the group's and the engine's.</param>
/// <param name="LevelVariance">mm².</param>
/// <param name="Covariance">Between level and slope.</param>
/// <param name="SlopeVariance">Of the slope.</param>
internal readonly record struct HistoryKind(double Share, double Level, double Slope, double LevelVariance, double Covariance, double SlopeVariance);

/// <summary>What a valve is measured against: its group's rate and how far one valve strays from it, and what may be thought of it.</summary>
/// <param name="GroupMean">μ, mm per 1000 h; negative closes.</param>
/// <param name="Tau">τ, mm per 1000 h.</param>
/// <param name="MayWearOtherwise">It may be a fast valve, or one that has changed.</param>
internal readonly record struct HistoryPrior(double GroupMean, double Tau, bool MayWearOtherwise)
{
    /// <summary>A group's rate is never taken as slower than this here, mm per 1000 h.</summary>
    public const double SlowestMean = 0.003;

    /// <summary>f: the way the group wears.</summary>
    public double Direction => GroupMean < 0 ? -1 : 1;

    /// <summary>μ*.</summary>
    public double Rate => Direction * Math.Max(Math.Abs(GroupMean), SlowestMean);

    /// <summary>J: how much faster a valve goes that has begun to fail, at least 0.05 mm per 1000 h (common practice, no source).</summary>
    public double Jump => Direction * Math.Max(3 * Math.Abs(GroupMean), 0.05);
}

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
    private readonly Run[] runs;
    private readonly double[] far;
    private readonly Moments[] kinds = [new(), new(), new()];
    private double most = double.NegativeInfinity;

    private ValveHistory(IReadOnlyList<HistoryReading> readings, HistoryPrior prior, bool tails, double atT)
    {
        (this.readings, this.prior, this.tails) = (readings, prior, tails);
        first = readings.Min(r => r.T);
        origin = readings[^1].Z;
        this.atT = atT - first;
        hours = [.. readings.Select(r => r.T - first).Distinct().Order()];
        runs = new Run[readings.Max(r => r.Run) + 1];
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
        var runs = new Run[readings.Max(r => r.Run) + 1];
        foreach (var r in readings) runs[r.Run].Add(1 / r.Variance, r.T, r.Z);
        var sums = new Sums(variance, mean, 1, 0);
        foreach (var run in runs) sums.Add(run, 1);
        var (level, last) = (new Moments(), runs[^1]);
        level.Take(1, sums, last, atT, double.NaN);
        return level.Merged(1, 0);
    }

    private void Weigh()
    {
        var tau = Math.Max(prior.Tau * prior.Tau, 1e-18);
        var span = hours[^1];
        Try(0, prior.MayWearOtherwise ? Math.Max(1 - FastShare - ChangePer1000h * span, LeastOrdinary) : 1, double.NaN, new Sums(tau, 0, 1, 0));
        if (prior.MayWearOtherwise)
        {
            Try(1, FastShare, double.NaN, new Sums(prior.Rate * prior.Rate, 3 * prior.Rate, 1, 0));
            var likeliest = double.NegativeInfinity;
            for (var n = 0; n + 1 < hours.Length; n++)
            {
                var here = Try(2, ChangePer1000h * (hours[n + 1] - hours[n]), hours[n], new Sums(tau, 0, prior.Jump * prior.Jump, prior.Jump));
                if (here <= likeliest) continue;
                (likeliest, ChangedAfter) = (here, hours[n] + first);
            }
        }
        var all = kinds.Sum(k => k.Weight);
        for (var i = 0; i < far.Length; i++) far[i] /= all;
    }

    /// <summary>One kind with no reading far off and with each that may be; the log of what it weighs in all.</summary>
    private double Try(int kind, double share, double after, Sums prior0)
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

        void Put(double log, Sums s, Run last, int j)
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

    /// <summary>Weighted sums of one run.</summary>
    private struct Run
    {
        public double W;
        public double T;
        public double Z;
        public double X;
        public double TT;
        public double TZ;
        public double ZZ;
        public double XX;
        public double TX;
        public double XZ;

        public void Add(double w, double t, double z)
        {
            (W, T, Z) = (W + w, T + w * t, Z + w * z);
            (TT, TZ, ZZ) = (TT + w * t * t, TZ + w * t * z, ZZ + w * z * z);
        }

        public void NoChange() => (X, XX, TX, XZ) = (0, 0, 0, 0);

        public void Change(double w, double t, double z, double x) => (X, XX, TX, XZ) = (X + w * x, XX + w * x * x, TX + w * t * x, XZ + w * x * z);

        public void Remove(double w, double t, double z, double x)
        {
            Add(-w, t, z);
            Change(-w, t, z, x);
        }
    }

    /// <summary>The normal equations of b and δ, the flat levels of the runs eliminated.</summary>
    private struct Sums
    {
        private double a;
        private double b;
        private double c;
        private double r1;
        private double r2;
        private double squares;
        private double levels;
        private readonly double priors;

        public Sums(double vb, double mb, double vd, double md)
        {
            (a, b, c) = (1 / vb, 0, 1 / vd);
            (r1, r2) = (mb / vb, md / vd);
            squares = mb * mb / vb + md * md / vd;
            priors = Math.Log(vb) + Math.Log(vd);
        }

        public void Add(in Run r, double sign)
        {
            if (r.W <= 0) return;
            a += sign * (r.TT - r.T * r.T / r.W);
            b += sign * (r.TX - r.T * r.X / r.W);
            c += sign * (r.XX - r.X * r.X / r.W);
            r1 += sign * (r.TZ - r.T * r.Z / r.W);
            r2 += sign * (r.XZ - r.X * r.Z / r.W);
            squares += sign * (r.ZZ - r.Z * r.Z / r.W);
            levels += sign * Math.Log(r.W);
        }

        private readonly double Det => a * c - b * b;

        public readonly double Slope => (c * r1 - b * r2) / Det;

        public readonly double Delta => (a * r2 - b * r1) / Det;

        public readonly double Log => -levels / 2 - (Math.Log(Det) + priors) / 2 - (squares - r1 * Slope - r2 * Delta) / 2;

        /// <summary>gVhᵀ.</summary>
        public readonly double Product(double g1, double g2, double h1, double h2) => (g1 * (c * h1 - b * h2) + g2 * (a * h2 - b * h1)) / Det;
    }

    /// <summary>What the pairs of one kind add up to.</summary>
    private sealed class Moments
    {
        private double level;
        private double slope;
        private double levelSquare;
        private double product;
        private double slopeSquare;

        public double Weight { get; private set; }

        public void Shrink(double by) => (Weight, level, slope, levelSquare, product, slopeSquare) = (Weight * by, level * by, slope * by, levelSquare * by, product * by, slopeSquare * by);

        public void Take(double weight, Sums s, Run last, double at, double after)
        {
            var changed = !double.IsNaN(after);
            var (g1, g2) = (at - last.T / last.W, changed ? at - after - last.X / last.W : 0);
            var (b, d) = (s.Slope, changed ? s.Delta : 0);
            var here = last.Z / last.W + g1 * b + g2 * d;
            var second = changed ? 1 : 0;
            Weight += weight;
            level += weight * here;
            slope += weight * (b + d);
            levelSquare += weight * (here * here + 1 / last.W + s.Product(g1, g2, g1, g2));
            product += weight * (here * (b + d) + s.Product(g1, g2, 1, second));
            slopeSquare += weight * ((b + d) * (b + d) + s.Product(1, second, 1, second));
        }

        public HistoryKind Merged(double all, double origin)
        {
            if (Weight <= 0) return default;
            var (l, s) = (level / Weight, slope / Weight);
            return new HistoryKind(Weight / all, l + origin, s, levelSquare / Weight - l * l, product / Weight - l * s, slopeSquare / Weight - s * s);
        }
    }
}
