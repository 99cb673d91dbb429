namespace ZeroDrift.Core.Shims;

/// <summary>What is done with shims of a drawer.</summary>
public enum ShimMovementKind
{
    /// <summary>Bought, found, or taken out of an engine.</summary>
    In,

    /// <summary>Fitted, or given away.</summary>
    Out,

    /// <summary>Into another drawer.</summary>
    Moved,

    /// <summary>Made thinner.</summary>
    Lapped,

    /// <summary>Worn, bent, or lost.</summary>
    WrittenOff,

    /// <summary>Counted: from now on there are as many as were found.</summary>
    Counted,
}

/// <summary>What somebody does with shims of one size in one drawer.</summary>
/// <param name="Kind">What.</param>
/// <param name="Drawer">Where they lie.</param>
/// <param name="SizeMm">Their thickness, mm.</param>
/// <param name="Count">How many; of a count, how many were found.</param>
/// <param name="ToDrawer">Where they go; only where moved.</param>
/// <param name="ToSizeMm">How thick they are after; only where lapped.</param>
public sealed record ShimAct(ShimMovementKind Kind, Guid Drawer, double SizeMm, int Count, Guid? ToDrawer = null, double? ToSizeMm = null);

/// <summary>One line of the ledger: so many more or fewer of a size in a drawer.</summary>
public sealed record ShimLine(Guid Drawer, double SizeMm, int Change);

/// <summary>More were to be taken than there are: two people at one drawer, or a wrong count.</summary>
/// <param name="sizeMm">The size.</param>
/// <param name="held">How many there are.</param>
/// <param name="asked">How many were to be taken.</param>
public sealed class NotThereException(double sizeMm, int held, int asked) : Exception(held == 0
    ? $"There is no {ShimLedger.Written(sizeMm)} mm left in this drawer. Count it, or take another."
    : $"There {(held == 1 ? "is" : "are")} {held} of {ShimLedger.Written(sizeMm)} mm in this drawer; {asked} cannot be taken.");

/// <summary>Stock is the sum of what was done, never a number that somebody edits.</summary>
public static class ShimLedger
{
    /// <summary>A hardened face must not be ground through: more than this at once is no lapping, mm (common practice, no source).</summary>
    public const double MostLappedMm = 0.1;

    private const int Most = 10_000;

    /// <summary>Thicknesses are told apart to a tenth of a micrometre.</summary>
    /// <param name="mm">As measured or converted.</param>
    /// <param name="field">Named in a complaint.</param>
    /// <exception cref="BadInputException">Not above 0 to 25 mm.</exception>
    public static double Size(double mm, string field = "sizeMm") => Math.Round(Require.Above(mm, 0, Require.ThickestMm, field, "A shim", "mm"), 4);

    /// <summary>A thickness as it is written where nobody stamped one: 2.70, 2.675.</summary>
    public static string Written(double mm) => mm.ToString("0.00##", System.Globalization.CultureInfo.InvariantCulture);

    /// <summary>The lines an act leaves in the ledger.</summary>
    /// <param name="act">What is done.</param>
    /// <param name="held">How many of that size the drawer holds now.</param>
    /// <exception cref="BadInputException">A figure that cannot be.</exception>
    /// <exception cref="NotThereException">More are taken than there are.</exception>
    public static IReadOnlyList<ShimLine> Lines(ShimAct act, int held)
    {
        var size = Size(act.SizeMm);
        var least = act.Kind == ShimMovementKind.Counted ? 0 : 1;
        if (act.Count < least || act.Count > Most) throw new BadInputException("count", $"Say how many: {least} to {Most}; {act.Count} was given.");
        switch (act.Kind)
        {
            case ShimMovementKind.In: return [new(act.Drawer, size, act.Count)];
            case ShimMovementKind.Counted: return [new(act.Drawer, size, act.Count - held)];
            case ShimMovementKind.Out or ShimMovementKind.WrittenOff:
                Take();
                return [new(act.Drawer, size, -act.Count)];
            case ShimMovementKind.Moved:
                var to = act.ToDrawer ?? throw new BadInputException("toDrawer", "Say which drawer they go to.");
                if (to == act.Drawer) throw new BadInputException("toDrawer", "They lie in that drawer already; choose another.");
                Take();
                return [new(act.Drawer, size, -act.Count), new(to, size, act.Count)];
            case ShimMovementKind.Lapped:
                var after = Size(act.ToSizeMm ?? throw new BadInputException("toSizeMm", "Say how thick they are after lapping, in mm."), "toSizeMm");
                if (after >= size || size - after > MostLappedMm + 1e-9)
                    throw new BadInputException("toSizeMm", FormattableString.Invariant($"Lapping takes off hundredths: from {size:0.00##} it can end between {size - MostLappedMm:0.00##} and just under {size:0.00##} mm; {after:0.00##} was given."));
                Take();
                return [new(act.Drawer, size, -act.Count), new(act.Drawer, after, act.Count)];
            default: throw new ArgumentOutOfRangeException(nameof(act), act.Kind, null);
        }

        void Take()
        {
            if (act.Count > held) throw new NotThereException(size, held, act.Count);
        }
    }
}
