namespace ZeroDrift.Planning.Shims;

/// <summary>Where a shim comes from.</summary>
public enum ShimSource
{
    /// <summary>It stays.</summary>
    Own,

    /// <summary>From another point.</summary>
    Point,

    /// <summary>From a drawer.</summary>
    Stock,

    /// <summary>To be bought.</summary>
    Buy,
}

/// <summary>What a point gets.</summary>
/// <param name="Id">The point.</param>
/// <param name="ShimMm">The shim's thickness.</param>
/// <param name="From">Where it comes from.</param>
/// <param name="FromPoint">The point that gives it; null unless from a point.</param>
/// <param name="PredictedMm">The gap expected after; of a bracket its middle.</param>
/// <param name="InWindow">Whether that surely lies in the window.</param>
public sealed record AllocatedShim(string Id, double ShimMm, ShimSource From, string? FromPoint, double PredictedMm, bool InWindow);

/// <summary>Which shim goes where.</summary>
/// <param name="Points">In the order asked.</param>
/// <param name="Buy">What has to be bought, thinnest first.</param>
/// <param name="Spare">Shims taken out and not used again, thinnest first.</param>
/// <param name="Outside">Points that are left out of their window.</param>
/// <param name="OutsideMm">How far outside, summed over those points: tight counted double.</param>
/// <param name="Bought">Shims to buy.</param>
/// <param name="Moved">Points whose shim changes, bought ones too.</param>
/// <param name="DeviationMm">Σ |expected − figure to set| over every point.</param>
public sealed record ShimAllocation(IReadOnlyList<AllocatedShim> Points, IReadOnlyList<LooseShims> Buy, IReadOnlyList<LooseShims> Spare, int Outside, double OutsideMm, int Bought, int Moved, double DeviationMm);
