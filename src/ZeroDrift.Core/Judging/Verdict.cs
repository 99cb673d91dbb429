using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Judging;

/// <summary>How a reading stands to its window. Declared worst first: tight outranks loose in every list.</summary>
public enum VerdictState
{
    /// <summary>Below the window: once hot the valve may not seat.</summary>
    Tight,

    /// <summary>Above the window.</summary>
    Loose,

    /// <summary>The reading cannot say; the deciding blade can.</summary>
    Borderline,

    /// <summary>Leave it alone.</summary>
    InWindow,
}

/// <summary>The judgement of one reading by one window.</summary>
/// <param name="State">The outcome.</param>
/// <param name="PTight">Probability that the gap is below the window; null for a one-sided reading.</param>
/// <param name="PLoose">Probability that it is above; null for a one-sided reading.</param>
/// <param name="DecidingBladeMm">For a borderline: the blade to try, the limit in doubt. Otherwise null.</param>
public sealed record Verdict(VerdictState State, double? PTight, double? PLoose, double? DecidingBladeMm)
{
    /// <summary>An outcome needs at least this probability (JCGM 106:2012, conformity probability; the level is common practice).</summary>
    public const double Confidence = 0.95;

    /// <summary>
    /// Bounds first, as mechanics do: upper ≤ min is tight, lower ≥ max is loose, both within is in the window. Otherwise by
    /// probability, p(tight) = Φ((min − x)/u) and p(loose) = 1 − Φ((max − x)/u); the outcome with at least 95 %, else borderline.
    /// </summary>
    /// <exception cref="BadInputException">Nothing measured, an estimate without uncertainty, or bounds the wrong way round.</exception>
    public static Verdict Judge(Reading reading, Window window)
    {
        var (lower, upper) = (reading.LowerMm, reading.UpperMm);
        if (lower is { } low && upper is { } high && low > high + Tolerance)
            throw new BadInputException("lowerMm", $"The lower bound {Require.Text(low)} is above the upper bound {Require.Text(high)}.");
        var (pTight, pLoose) = Probabilities(reading, window);

        if (ByBounds(reading, window) is { } bounded) return new Verdict(bounded, pTight, pLoose, null);
        if (pTight is not { } tight || pLoose is not { } loose)
            return new Verdict(VerdictState.Borderline, null, null, upper is null ? window.MaxMm : window.MinMm);
        if (tight >= Confidence) return new Verdict(VerdictState.Tight, tight, loose, null);
        if (loose >= Confidence) return new Verdict(VerdictState.Loose, tight, loose, null);
        if (1 - tight - loose >= Confidence) return new Verdict(VerdictState.InWindow, tight, loose, null);
        return new Verdict(VerdictState.Borderline, tight, loose, tight >= loose ? window.MinMm : window.MaxMm);
    }

    /// <summary>What went and what did not, alone; null where that decides nothing.</summary>
    public static VerdictState? ByBounds(Reading reading, Window window)
    {
        if (reading.UpperMm <= window.MinMm + Tolerance) return VerdictState.Tight;
        if (reading.LowerMm >= window.MaxMm - Tolerance) return VerdictState.Loose;
        if (reading.LowerMm >= window.MinMm - Tolerance && reading.UpperMm <= window.MaxMm + Tolerance) return VerdictState.InWindow;
        return null;
    }

    /// <summary>Limits are written to the hundredth; a nanometre keeps 0.1 + 0.2 from missing 0.3.</summary>
    private const double Tolerance = 1e-9;

    private static (double? Tight, double? Loose) Probabilities(Reading reading, Window window)
    {
        var known = reading.EstimateMm is null && reading is { LowerMm: { } low, UpperMm: { } high } ? Reading.Between(low, high) : reading;
        if (known.EstimateMm is not { } x)
        {
            if (known.LowerMm is null && known.UpperMm is null)
                throw new BadInputException("estimateMm", "Give the measured clearance with its uncertainty, or a lower or upper bound.");
            return (null, null);
        }
        if (known.StandardUncertaintyMm is not { } u)
            throw new BadInputException("standardUncertaintyMm", "Say how sure the figure is: its standard uncertainty in mm, such as 0.005.");
        Require.Uncertainty(u, "standardUncertaintyMm");
        return (StandardNormal.Below((window.MinMm - x) / u), StandardNormal.Below((x - window.MaxMm) / u));
    }
}
