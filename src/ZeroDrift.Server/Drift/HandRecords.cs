using ZeroDrift.Core.Wear;

namespace ZeroDrift.Server.Drift;

/// <summary>What one hand is like, shown to its owner first.</summary>
public sealed record HandResponse
{
    public required Guid PersonId { get; init; }
    public required string Person { get; init; }

    /// <summary>One reading against the next of the same gap.</summary>
    public required double RepeatSdMm { get; init; }

    /// <summary>What is taken for a hand nobody knows.</summary>
    public required double UsualSdMm { get; init; }

    /// <summary>Degrees of freedom behind the repeatability.</summary>
    public required int Repeats { get; init; }

    /// <summary>Off on known gaps; null without checks.</summary>
    public MeasuredBias? OnKnownGaps { get; init; }

    /// <summary>Off beside whoever measured the same gap, countersigning or repeating; null where nobody did.</summary>
    public MeasuredBias? BesideOthers { get; init; }

    /// <summary>How much looser than the others it reads on engines, over all types; null where it measured none.</summary>
    public double? BiasMm { get; init; }
    public double? BiasErrorMm { get; init; }
}

public sealed record FeelCheckRequest(Guid? Id, double? KnownMm, double? FeltMm);

public sealed record FeelChecksRequest(IReadOnlyList<FeelCheckRequest?>? Checks);
