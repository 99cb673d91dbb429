using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Shims;

/// <summary>What a shim can be fitted to: where it sits, and its diameter. A shim of one sort is none for another.</summary>
/// <param name="Access">On top of the bucket, under it, or a puck on the stem.</param>
/// <param name="DiameterMm">Across, mm; null where a place has one diameter only.</param>
public readonly record struct ShimSort(ShimAccess Access, double? DiameterMm)
{
    private const double SameDiameterMm = 0.005;

    /// <summary>Whether shims of another sort go in: the same place, and the same diameter where both are known.</summary>
    public bool Fits(ShimSort other) => Access == other.Access && (DiameterMm is not { } mine || other.DiameterMm is not { } theirs || Math.Abs(mine - theirs) <= SameDiameterMm);

    /// <summary>A checked sort; the diameter 1 to 60 mm.</summary>
    /// <exception cref="BadInputException">A diameter out of range.</exception>
    public static ShimSort Of(ShimAccess access, double? diameterMm) =>
        new(access, diameterMm is { } mm ? Math.Round(Require.InRange(mm, 1, 60, "diameterMm", "The shim's diameter", "mm"), 2) : null);
}
