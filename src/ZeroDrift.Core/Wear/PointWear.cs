namespace ZeroDrift.Core.Wear;

/// <summary>One point as the fit sees it.</summary>
/// <param name="Id">The point.</param>
/// <param name="LevelMm">Its clearance now; null where nothing gives a level.</param>
/// <param name="LevelStandardErrorMm">Its error.</param>
/// <param name="MmPer1000h">Its rate; negative closes.</param>
/// <param name="StandardErrorMmPer1000h">Its error.</param>
/// <param name="FastProbability">The chance that it is fast for life.</param>
public sealed record PointWear(string Id, double? LevelMm, double? LevelStandardErrorMm, double MmPer1000h, double StandardErrorMmPer1000h, double FastProbability)
{
    /// <summary>The chance that it has begun to wear another way.</summary>
    public double ChangeProbability { get; init; }

    /// <summary>The last visit before it began to, where that is likely enough to be named; null else.</summary>
    public WearChange? Changed { get; init; }

    /// <summary>What was found last against all before it, in standard deviations, positive in the direction of wear; null where nothing expects.</summary>
    public double? LastFoundZ { get; init; }

    /// <summary>What was found last, and what was expected of it then, mm; null where nothing expected it.</summary>
    public (double FoundMm, double ExpectedMm)? LastFound { get; init; }

    /// <summary>The chance that what was found last is far off.</summary>
    public double FarOffProbability { get; init; }

    /// <summary>Enough was found to date it: a figure or a narrow pair of its own, or its group is known.</summary>
    public bool IsDated { get; init; }

    /// <summary>What was found last lies out of its window; whatever was set since.</summary>
    public bool WasFoundOut { get; init; }

    /// <summary>From this chance on a valve is named as wearing another way.</summary>
    public const double NamedFrom = 0.8;

    /// <summary>It is named: it has begun to wear another way, or has been fast all its life.</summary>
    public bool IsNamed => ChangeProbability >= NamedFrom || FastProbability > 0.5;

    /// <summary>So far not told apart from an outlier: a question, never a finding.</summary>
    public bool AsksToLookAgain => !IsNamed && (ChangeProbability >= 0.1 || LastFoundZ >= 2.5);
}

/// <summary>Since when a valve wears another way.</summary>
/// <param name="Visit">The last visit before it began.</param>
/// <param name="Hours">Total engine hours then.</param>
public sealed record WearChange(string Visit, double Hours);
