namespace ZeroDrift.Core.Wear;

/// <summary>What a gap measured more than once says of how well readings repeat, the hands' own biases taken off.</summary>
internal static class RepeatedGap
{
    /// <summary>One hand's bias, and its covariance with another's.</summary>
    internal readonly record struct HandKnown(double BiasMm, double Covariance);

    /// <summary>
    /// Expected sum of squares of the readings about their mean: what is left once each hand's bias is off, and how little those are known
    /// (the trace of (I − 1/K) with their covariance; nothing for readings of one hand).
    /// </summary>
    /// <param name="gap">The readings.</param>
    /// <param name="hand">The bias of one hand and its covariance with another.</param>
    public static double Squares(WearGap gap, Func<string?, string?, HandKnown> hand)
    {
        var n = gap.Readings.Count;
        var left = gap.Readings.Select(r => r.Mm - hand(r.Person, r.Person).BiasMm).ToList();
        var mean = left.Average();
        var squares = left.Sum(x => (x - mean) * (x - mean));
        for (var i = 0; i < n; i++)
            for (var k = 0; k < n; k++)
                squares += ((i == k ? 1 : 0) - 1.0 / n) * hand(gap.Readings[i].Person, gap.Readings[k].Person).Covariance;
        return Math.Max(squares, 0);
    }
}
