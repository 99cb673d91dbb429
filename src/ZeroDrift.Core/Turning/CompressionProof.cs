using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Turning;

/// <summary>What proves that a cylinder is on compression and not on overlap.</summary>
public enum ProofKind
{
    /// <summary>The cylinder 360° away rocks.</summary>
    Companion,

    /// <summary>Its own rockers or followers are loose.</summary>
    RockersLoose,

    /// <summary>Its intake has just opened and closed.</summary>
    IntakeJustClosed,

    /// <summary>Its compression was felt in the bar.</summary>
    CompressionInBar,

    /// <summary>Air was pushed out of its plug hole.</summary>
    Air,

    /// <summary>Its lobes are seen to point away.</summary>
    LobesSeen,

    /// <summary>The distributor's rotor points at it.</summary>
    Rotor,

    /// <summary>The notch or mark of the camshaft stands as its book says.</summary>
    CamMark,

    /// <summary>The lock pin goes in.</summary>
    LockPin,
}

/// <summary>A proof that fits, in words to tap.</summary>
public sealed record OfferedProof(ProofKind Kind, string Sentence);

/// <summary>What the case at hand allows.</summary>
/// <param name="IsBuild">Nothing is set yet: a loose rocker proves nothing.</param>
/// <param name="MayBeClosedUp">Cylinders with a valve that may have no gap left: it would never feel loose.</param>
/// <param name="LobesInSight">The lobes can be seen with the covers off, also where there is something to take hold of.</param>
/// <param name="HoleOpen">Plugs are out: air comes out of the hole. Else they, or a diesel's injectors, are in and the compression is felt in the bar.</param>
/// <param name="ByStarter">The starter turns it: nothing is felt in a bar.</param>
/// <param name="Rotor">A distributor's rotor can be seen.</param>
/// <param name="CamMark">The mark of the camshaft as its book names it; null where it names none.</param>
/// <param name="Pin">The lock pin as its book names it; null where it names none.</param>
public sealed record ProofCase(bool IsBuild = false, IReadOnlySet<int>? MayBeClosedUp = null, bool LobesInSight = false, bool HoleOpen = false, bool ByStarter = false, bool Rotor = false, string? CamMark = null, string? Pin = null);

/// <summary>Which proofs of compression fit the type and the case. Common practice.</summary>
public static class CompressionProof
{
    /// <summary>The proofs at a stop, the surest first; none where no cylinder is at TDC on compression there.</summary>
    public static IReadOnlyList<OfferedProof> For(TurningEngine engine, CrankAngle stop, ProofCase facts)
    {
        if (engine.StopOf(stop) is not { } cylinder) return [];
        var proofs = new List<OfferedProof>();
        var fourStroke = engine.Order.Cycle == EngineCycle.FourStroke;
        if (engine.RockingAt(stop.After(-engine.PastTdcDeg)) is { } companion && companion != cylinder) proofs.Add(new(ProofKind.Companion, $"{companion} rocks: its exhaust closes as its intake opens."));
        var lobes = engine.Gear.Gear == ValveGear.Bucket;
        if (!lobes && !facts.IsBuild && facts.MayBeClosedUp?.Contains(cylinder) != true) proofs.Add(new(ProofKind.RockersLoose, engine.Gear.Free(cylinder)));
        if (lobes) proofs.Add(new(ProofKind.LobesSeen, engine.Gear.Free(cylinder)));
        else if (facts.LobesInSight) proofs.Add(new(ProofKind.LobesSeen, $"The lobes of {cylinder} are seen to point away."));
        if (fourStroke) proofs.Add(new(ProofKind.IntakeJustClosed, $"{cylinder} intake opened and closed just before the mark came up."));
        if (facts.HoleOpen) proofs.Add(new(ProofKind.Air, $"Air was pushed out of the plug hole of {cylinder}."));
        else if (!facts.ByStarter) proofs.Add(new(ProofKind.CompressionInBar, $"The compression of {cylinder} was felt in the bar."));
        // A pin that goes in either way holds the crank and tells no lap; the mark of a camshaft does.
        var first = engine.Order.Cylinders[0];
        if (fourStroke && facts.Rotor) proofs.Add(new(ProofKind.Rotor, engine.Order.Count > 1 ? $"The rotor points at {cylinder}." : "The rotor points at its plug."));
        if (fourStroke && cylinder == first && facts.CamMark is { } mark) proofs.Add(new(ProofKind.CamMark, $"{Begun(mark)} stands as the book shows it for {cylinder} on compression."));
        if (cylinder == first && facts.Pin is { } pin) proofs.Add(new(ProofKind.LockPin, $"{Begun(pin)} went in, and is out again."));
        return proofs;
    }

    private static string Begun(string text) => char.ToUpperInvariant(text[0]) + text[1..];
}
