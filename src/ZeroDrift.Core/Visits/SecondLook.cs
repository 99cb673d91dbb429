using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Visits;

/// <summary>What a figure that surprises is looked at again with: the blades of the tray on both sides of what was expected.</summary>
/// <param name="ExpectedMm">What the record expected, mm.</param>
/// <param name="ReadsTight">It reads tighter than expected; else looser.</param>
/// <param name="Blades">The blades to try, thinner first, as written on them; none without a tray.</param>
/// <param name="Unit">Their unit.</param>
public sealed record SecondLook(double ExpectedMm, bool ReadsTight, IReadOnlyList<string> Blades, LengthUnit Unit)
{
    /// <summary>The look that a reading asks for.</summary>
    /// <param name="expectedMm">What the record expected, mm.</param>
    /// <param name="readMm">What was read, or the bound that surprises, mm.</param>
    /// <param name="tray">The blades at hand; null where none were named.</param>
    public static SecondLook Of(double expectedMm, double readMm, Tray? tray)
    {
        var blades = (tray?.Blades ?? []).Zip(tray?.BladesMm ?? [], (written, mm) => (written, mm)).OrderBy(b => b.mm).ToList();
        var under = blades.LastOrDefault(b => b.mm <= expectedMm);
        var over = blades.FirstOrDefault(b => b.mm > expectedMm);
        return new SecondLook(expectedMm, readMm < expectedMm, [.. new[] { under.written, over.written }.OfType<string>()], tray?.Unit ?? LengthUnit.Millimetre);
    }
}
