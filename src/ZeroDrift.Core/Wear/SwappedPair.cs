namespace ZeroDrift.Core.Wear;

/// <summary>Two points whose figures fit each other's expectation and not their own: written down the wrong way round, most likely.</summary>
/// <param name="First">One of them.</param>
/// <param name="Second">The other.</param>
public sealed record SwappedPair(string First, string Second)
{
    /// <summary>Each must be this far from its own expectation, in standard deviations.</summary>
    private const double Limit = 3;

    /// <summary>Exchanged, the squares of the two must fall by this much (common practice, no source).</summary>
    private const double LeastGain = 20;

    /// <summary>The pair that gains most by being exchanged, if any gains enough.</summary>
    /// <param name="points">One a point found.</param>
    public static SwappedPair? Of(IReadOnlyList<FoundBesideExpected> points)
    {
        var far = points.Where(p => Off(p.FoundMm, p) > Limit * Limit).ToList();
        var (best, most) = ((SwappedPair?)null, LeastGain);
        for (var i = 0; i < far.Count; i++)
        {
            for (var j = i + 1; j < far.Count; j++)
            {
                var exchanged = Off(far[j].FoundMm, far[i]) + Off(far[i].FoundMm, far[j]);
                var gain = Off(far[i].FoundMm, far[i]) + Off(far[j].FoundMm, far[j]) - exchanged;
                // Exchanged they must also be where they were expected.
                if (exchanged <= 2 * Limit * Limit && gain > most) (best, most) = (new SwappedPair(far[i].Point, far[j].Point), gain);
            }
        }
        return best;
    }

    private static double Off(double found, FoundBesideExpected at)
    {
        var off = (found - at.ExpectedMm) / Math.Max(at.OwnSdMm, 1e-4);
        return off * off;
    }
}
