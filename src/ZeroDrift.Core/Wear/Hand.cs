namespace ZeroDrift.Core.Wear;

/// <summary>A known gap, a block of stacked blades, as a hand felt it.</summary>
/// <param name="KnownMm">The gap.</param>
/// <param name="FeltMm">What the hand said.</param>
public readonly record struct FeelCheck(double KnownMm, double FeltMm);

/// <summary>
/// How well one hand repeats and how far it is off: from readings it took twice of the same gap and from checks on known gaps. With little to go by it
/// stays near what hands are usually like.
/// </summary>
/// <param name="RepeatSdMm">One reading against the next of the same gap, mm.</param>
/// <param name="Repeats">Degrees of freedom behind it, the usual hand's not counted.</param>
/// <param name="CheckBiasMm">Felt minus known, the mean over the checks; null without checks.</param>
/// <param name="CheckBiasErrorMm">Its standard error.</param>
/// <param name="Checks">How many checks.</param>
public sealed record Hand(double RepeatSdMm, int Repeats, double? CheckBiasMm, double? CheckBiasErrorMm, int Checks)
{
    /// <summary>How many repeats what hands are usually like is worth (common practice, no source).</summary>
    private const int UsualWeight = 8;

    /// <summary>The hand behind repeats and checks: sums of squares about each gap's own mean, pooled with what is usual (a scaled inverse χ² prior; any textbook on Bayesian data analysis).</summary>
    /// <param name="repeated">Readings of the same gap by this hand, two or more each, mm.</param>
    /// <param name="checks">Checks on known gaps.</param>
    /// <param name="usualSdMm">What hands are usually like, mm, above 0.</param>
    public static Hand Of(IEnumerable<IReadOnlyList<double>> repeated, IReadOnlyList<FeelCheck> checks, double usualSdMm)
    {
        var (squares, degrees) = (0.0, 0);
        foreach (var gap in repeated.Where(g => g.Count > 1)) Add(gap);
        var off = checks.Select(c => c.FeltMm - c.KnownMm).ToList();
        if (off.Count > 1) Add(off);
        var sd = Math.Sqrt((UsualWeight * usualSdMm * usualSdMm + squares) / (UsualWeight + degrees));
        return off.Count == 0
            ? new Hand(sd, degrees, null, null, 0)
            : new Hand(sd, degrees, off.Average(), sd / Math.Sqrt(off.Count), off.Count);

        void Add(IReadOnlyList<double> gap)
        {
            var mean = gap.Average();
            squares += gap.Sum(x => (x - mean) * (x - mean));
            degrees += gap.Count - 1;
        }
    }
}
