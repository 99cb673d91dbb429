namespace ZeroDrift.Core.Wear;

/// <summary>A known gap, a block of stacked blades, as a hand felt it.</summary>
/// <param name="KnownMm">The gap.</param>
/// <param name="FeltMm">What the hand said.</param>
public readonly record struct FeelCheck(double KnownMm, double FeltMm);

/// <summary>How far a hand is off, on average.</summary>
/// <param name="Mm">What it says minus what it should say, or what others said, mm.</param>
/// <param name="ErrorMm">Its standard error.</param>
/// <param name="Count">How many gaps.</param>
public sealed record MeasuredBias(double Mm, double ErrorMm, int Count);

/// <summary>
/// How well one hand repeats and how far it is off: from readings it took twice of the same gap, from gaps that another hand measured too, and from
/// checks on known gaps. With little to go by it stays near what hands are usually like.
/// </summary>
/// <param name="RepeatSdMm">One reading against the next of the same gap, mm.</param>
/// <param name="Repeats">Degrees of freedom behind it, the usual hand's not counted.</param>
/// <param name="OnKnownGaps">Felt minus known; null without checks.</param>
/// <param name="BesideOthers">Its own figures minus another's on the same gap; null where nobody measured beside it.</param>
public sealed record Hand(double RepeatSdMm, int Repeats, MeasuredBias? OnKnownGaps, MeasuredBias? BesideOthers)
{
    /// <summary>How many repeats what hands are usually like is worth (common practice, no source).</summary>
    private const int UsualWeight = 8;

    /// <summary>The hand behind repeats and checks: sums of squares about each gap's own mean, pooled with what is usual (a scaled inverse χ² prior; any textbook on Bayesian data analysis).</summary>
    /// <param name="person">Whose.</param>
    /// <param name="gaps">Gaps measured more than once, by anybody.</param>
    /// <param name="checks">This hand's checks on known gaps.</param>
    /// <param name="usualSdMm">What hands are usually like, mm, above 0.</param>
    public static Hand Of(Guid person, IEnumerable<SameGap> gaps, IReadOnlyList<FeelCheck> checks, double usualSdMm)
    {
        var (squares, degrees) = (0.0, 0);
        var beside = new List<(double Off, double Weight)>();
        foreach (var gap in gaps)
        {
            var own = gap.Readings.Where(r => r.By == person).Select(r => r.Mm).ToList();
            var others = gap.Readings.Where(r => r.By != person).Select(r => r.Mm).ToList();
            if (own.Count > 1) Add(own);
            if (own.Count > 0 && others.Count > 0) beside.Add((own.Average() - others.Average(), 1.0 / own.Count + 1.0 / others.Count));
        }
        var off = checks.Select(c => c.FeltMm - c.KnownMm).ToList();
        if (off.Count > 1) Add(off);
        var sd = Math.Sqrt((UsualWeight * usualSdMm * usualSdMm + squares) / (UsualWeight + degrees));
        return new Hand(
            sd,
            degrees,
            off.Count == 0 ? null : new MeasuredBias(off.Average(), sd / Math.Sqrt(off.Count), off.Count),
            beside.Count == 0 ? null : new MeasuredBias(beside.Average(b => b.Off), sd * Math.Sqrt(beside.Sum(b => b.Weight)) / beside.Count, beside.Count));

        void Add(IReadOnlyList<double> same)
        {
            var mean = same.Average();
            squares += same.Sum(x => (x - mean) * (x - mean));
            degrees += same.Count - 1;
        }
    }
}
