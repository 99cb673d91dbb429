using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Shims;

/// <summary>Where a decided shim comes from.</summary>
public enum ShimOrigin
{
    /// <summary>From another point of the job.</summary>
    Point,

    /// <summary>From a drawer.</summary>
    Drawer,

    /// <summary>Bought.</summary>
    Buy,
}

/// <summary>What an earlier visit decided for a point: the second visit goes by it.</summary>
/// <param name="OldMm">The shim there.</param>
/// <param name="NewMm">The shim that goes in.</param>
/// <param name="Origin">Where it comes from.</param>
/// <param name="FromPoint">The point that gives it; null unless from a point.</param>
public sealed record PlannedShim(double OldMm, double NewMm, ShimOrigin Origin, string? FromPoint)
{
    /// <summary>Said where it is to be fitted, in the unit of the job.</summary>
    public string Sentence(LengthUnit unit)
    {
        var from = Origin switch { ShimOrigin.Point => $"from {FromPoint}", ShimOrigin.Drawer => "from the drawer", _ => "ordered" };
        return $"Decided: {SaidLength.Shim(NewMm, unit)}, {from}, in place of {SaidLength.Shim(OldMm, unit)}. Fit it, then measure.";
    }
}
