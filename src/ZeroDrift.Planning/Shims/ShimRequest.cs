using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Shims;

namespace ZeroDrift.Planning.Shims;

/// <summary>What may move.</summary>
public enum ShimPolicy
{
    /// <summary>A point in its window never moves and never gives its shim.</summary>
    LeaveGoodAlone,

    /// <summary>A good one may move, never out of its window, where that saves a point left outside, how far one is, or a purchase.</summary>
    FewestBought,

    /// <summary>Every point as near its figure as can be.</summary>
    Blueprint,
}

/// <summary>A point to be shimmed.</summary>
/// <param name="Id">Its label; of one engine or several.</param>
/// <param name="FittedMm">The shim fitted, by micrometer.</param>
/// <param name="GapFromMm">The gap found, or the lower end of its bracket.</param>
/// <param name="GapToMm">The same figure, or the upper end.</param>
/// <param name="Window">Where it may land.</param>
/// <param name="TargetMm">The figure to set.</param>
/// <param name="ShimPerClearance">Shim travel per clearance, above 0 to 10.</param>
public sealed record ShimPoint(string Id, double FittedMm, double GapFromMm, double GapToMm, Window Window, double TargetMm, double ShimPerClearance = 1)
{
    /// <summary>The same for whoever asks what another shim would make of it.</summary>
    public GapWithShims Gap { get; } = new(FittedMm, GapFromMm, GapToMm, Window, ShimPerClearance);

    /// <summary>The gap expected with another shim, mm; of a bracket its middle.</summary>
    /// <param name="shimMm">Its thickness.</param>
    public double Predicted(double shimMm) => Gap.Predicted(shimMm);

    /// <summary>Whether it surely lands in the window with another shim: both ends of a bracket do.</summary>
    /// <param name="shimMm">Its thickness.</param>
    public bool Holds(double shimMm) => Gap.Holds(shimMm);
}

/// <summary>Loose shims of one size.</summary>
/// <param name="SizeMm">Measured thickness.</param>
/// <param name="Count">How many.</param>
public sealed record LooseShims(double SizeMm, int Count);

/// <summary>A choice made by hand: this point gets a shim of this thickness.</summary>
public sealed record ShimPin(string Point, double ShimMm);

/// <summary>What is to be allocated.</summary>
/// <param name="Policy">What may move.</param>
/// <param name="Points">1 to 64.</param>
/// <param name="Stock">What lies in the drawers.</param>
/// <param name="BuyMm">Sizes that can be bought, any number of each.</param>
/// <param name="Pins">Choices that stand.</param>
public sealed record ShimRequest(ShimPolicy Policy, IReadOnlyList<ShimPoint> Points, IReadOnlyList<LooseShims> Stock, IReadOnlyList<double> BuyMm, IReadOnlyList<ShimPin> Pins);
