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

    /// <summary>The distributor's rotor or the cam's notch points at it.</summary>
    Rotor,
}

/// <summary>A proof that fits, in words to tap.</summary>
public sealed record OfferedProof(ProofKind Kind, string Sentence);

/// <summary>What the case at hand allows.</summary>
/// <param name="IsBuild">Nothing is set yet: a loose rocker proves nothing.</param>
/// <param name="MayBeClosedUp">Cylinders with a valve that may have no gap left: it would never feel loose.</param>
/// <param name="LobesInSight">The lobes can be seen with the covers off, also where there is something to take hold of.</param>
/// <param name="Spark">A spark engine: plugs out, air comes out of the hole; a diesel is barred with everything in place.</param>
/// <param name="ByStarter">The starter turns it: nothing is felt in a bar.</param>
public sealed record ProofCase(bool IsBuild = false, IReadOnlySet<int>? MayBeClosedUp = null, bool LobesInSight = false, bool Spark = false, bool ByStarter = false);

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
        if (facts.Spark) proofs.Add(new(ProofKind.Air, $"Air was pushed out of the plug hole of {cylinder}."));
        else if (!facts.ByStarter) proofs.Add(new(ProofKind.CompressionInBar, $"The compression of {cylinder} was felt in the bar."));
        // A single has no rotor to point at anything.
        if (facts.Spark && fourStroke) proofs.Add(new(ProofKind.Rotor, engine.Order.Count > 1 ? $"The rotor or the cam's notch points at {cylinder}." : "The cam's notch stands as on compression."));
        return proofs;
    }
}
