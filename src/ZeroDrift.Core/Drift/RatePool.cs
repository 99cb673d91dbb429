namespace ZeroDrift.Core.Drift;

/// <summary>One point's rate after pooling.</summary>
/// <param name="Rate">Posterior rate, or the own rate where not pooled; null where there is none.</param>
/// <param name="UnlikeSiblings">The point left the pool because it drifts unlike its siblings: a finding.</param>
/// <param name="Shrinkage">B = s²/(τ² + s²): how much of the rate is the group's; 0 where the own rate stands, 1 where only the group's does.</param>
public sealed record PooledRate(Rate? Rate, bool UnlikeSiblings, double Shrinkage);

/// <summary>
/// Pools the rates of one group (engine type × kind): few readings per valve, many valves. Empirical Bayes on restricted maximum
/// likelihood; variance with the last term for not knowing τ² (Prasad and Rao 1990). A point unlike its siblings leaves the pool and
/// keeps its own rate: pooling must never hide the one fast valve.
/// </summary>
/// <param name="Points">In the order given.</param>
/// <param name="Group">The group's figures, per hour; null where fewer than two own rates are left to pool.</param>
public sealed record RatePool(IReadOnlyList<PooledRate> Points, RandomEffects? Group)
{
    /// <summary>Beyond this many standard errors a point is unlike its siblings.</summary>
    public const double UnlikeLimit = 3;

    /// <summary>At least so many own rates are needed to call one unlike the others.</summary>
    public const int FewestForUnlike = 4;

    /// <summary>Groups up to this size try leaving out every point; in larger ones a single point hardly moves τ², so only the farther ones are tried.</summary>
    private const int TryAllUpTo = 200;

    /// <summary>Pools own rates; null for a point that has none.</summary>
    public static RatePool Of(IReadOnlyList<Rate?> own)
    {
        var inPool = Enumerable.Range(0, own.Count).Where(i => own[i] is not null).ToList();
        var unlike = new HashSet<int>();
        while (inPool.Count >= FewestForUnlike && MostUnlike(own, inPool) is { } worst)
        {
            inPool.Remove(worst);
            unlike.Add(worst);
        }
        if (inPool.Count < 2)
            return new RatePool([.. own.Select((rate, i) => new PooledRate(rate, unlike.Contains(i), 0))], null);

        var group = RestrictedLikelihood.Fit([.. inPool.Select(i => own[i]!.Value.MmPerHour)], [.. inPool.Select(i => Square(own[i]!.Value.StandardErrorMmPerHour))]);
        return new RatePool([.. own.Select((rate, i) => Pooled(rate, unlike.Contains(i), group))], group);
    }

    /// <summary>
    /// One rate with a group that is already known, for an engine that is worked out again without the others. Beyond the limit for unlike
    /// siblings it keeps its own rate.
    /// </summary>
    public static PooledRate With(Rate? own, RandomEffects group)
    {
        var unlike = own is { } rate && Errors(rate.MmPerHour, Square(rate.StandardErrorMmPerHour), group) > UnlikeLimit;
        return Pooled(own, unlike, group);
    }

    private static PooledRate Pooled(Rate? own, bool unlike, RandomEffects group)
    {
        if (unlike) return new PooledRate(own, true, 0);
        if (own is not { } rate)
            return new PooledRate(new Rate(group.Mean, Math.Sqrt(group.TauSquared + group.VarianceOfMean)), false, 1);
        var s2 = Square(rate.StandardErrorMmPerHour);
        var total = group.TauSquared + s2;
        var b = s2 / total;
        var mean = (rate.MmPerHour * group.TauSquared + group.Mean * s2) / total;
        var variance = group.TauSquared * b + b * b * group.VarianceOfMean + 2 * b * b / total * group.VarianceOfTauSquared;
        return new PooledRate(new Rate(mean, Math.Sqrt(variance)), false, b);
    }

    private static int? MostUnlike(IReadOnlyList<Rate?> own, List<int> inPool)
    {
        var values = inPool.Select(i => own[i]!.Value.MmPerHour).ToArray();
        var variances = inPool.Select(i => Square(own[i]!.Value.StandardErrorMmPerHour)).ToArray();
        var all = RestrictedLikelihood.Fit(values, variances);
        // One point's pull on τ² falls as 1/n, so the larger the group the nearer the limit the screen may stand.
        var screen = UnlikeLimit - Math.Min(1, (double)TryAllUpTo / values.Length);
        var (worst, most) = (-1, UnlikeLimit);
        for (var k = 0; k < values.Length; k++)
        {
            if (values.Length > TryAllUpTo && Errors(values[k], variances[k], Without(all, values[k], variances[k])) < screen) continue;
            // Leave-one-out by swapping the last value into the gap keeps it free of copies.
            (values[k], values[^1]) = (values[^1], values[k]);
            (variances[k], variances[^1]) = (variances[^1], variances[k]);
            var others = values.Length > TryAllUpTo
                ? RestrictedLikelihood.FitNear(values.AsSpan(..^1), variances.AsSpan(..^1), all.TauSquared)
                : RestrictedLikelihood.Fit(values.AsSpan(..^1), variances.AsSpan(..^1));
            var errors = Errors(values[^1], variances[^1], others);
            (values[k], values[^1]) = (values[^1], values[k]);
            (variances[k], variances[^1]) = (variances[^1], variances[k]);
            if (errors > most) (worst, most) = (inPool[k], errors);
        }
        return worst < 0 ? null : worst;
    }

    private static double Errors(double value, double variance, RandomEffects others) =>
        Math.Abs(value - others.Mean) / Math.Sqrt(variance + others.TauSquared + others.VarianceOfMean);

    /// <summary>The group without one point, τ² held: closed form.</summary>
    private static RandomEffects Without(RandomEffects all, double value, double variance)
    {
        var w = 1 / (variance + all.TauSquared);
        var sum = 1 / all.VarianceOfMean;
        return all with { Mean = (all.Mean * sum - value * w) / (sum - w), VarianceOfMean = 1 / (sum - w) };
    }

    private static double Square(double x) => x * x;
}
