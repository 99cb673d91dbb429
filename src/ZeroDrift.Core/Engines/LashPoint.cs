namespace ZeroDrift.Core.Engines;

/// <summary>
/// One place with one adjustable clearance or preload. Its identity is its label within the engine type: cylinder and kind alone do not
/// name it where a cylinder has two intakes without a bridge.
/// </summary>
/// <param name="Label">Unique in the engine type: 4E, or 4E front.</param>
/// <param name="Cylinder">Cylinder number.</param>
/// <param name="Kind">What it drives.</param>
/// <param name="Place">Tells it from its twin: front, rear, inner, outer; null where it has none.</param>
/// <param name="Adjuster">What is turned or changed.</param>
/// <param name="Bank">Which head, 0 first.</param>
/// <param name="Along">Place along that head, 0 nearest the front.</param>
/// <param name="Bridge">The bridge beside its adjuster, if it drives two valves.</param>
public sealed record LashPoint(string Label, int Cylinder, LashKind Kind, string? Place, Adjuster Adjuster, int Bank, int Along, Bridge? Bridge = null)
{
    /// <summary>Cylinder and kind, for the turning plan.</summary>
    public LashRef Ref => new(Cylinder, Kind);
}
