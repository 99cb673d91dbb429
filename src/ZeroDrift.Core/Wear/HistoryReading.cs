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
