namespace ZeroDrift.Core.Engines;

/// <summary>What moves a valve, as far as a hand or an eye can tell that it is free.</summary>
public enum ValveGear
{
    /// <summary>Rockers: taken hold of and shaken.</summary>
    Rocker,

    /// <summary>Fingers or followers under the cam: shaken too, and the lobes are in sight.</summary>
    Follower,

    /// <summary>Buckets: nothing to take hold of; the lobes are looked at.</summary>
    Bucket,
}

/// <summary>How a cylinder shows that its valves are free: by the kind of gear and how many there are of it. Common practice.</summary>
/// <param name="Gear">What moves the valves.</param>
/// <param name="Each">How many a cylinder has; 1 to 6.</param>
public sealed record CylinderGear(ValveGear Gear, int Each)
{
    /// <summary>An engine nobody has described: two rockers a cylinder.</summary>
    public static readonly CylinderGear Usual = new(ValveGear.Rocker, 2);

    /// <summary>The gear of a type. Where one kind of valve has buckets and another not, the lobes tell for both.</summary>
    public static CylinderGear Of(IReadOnlyList<LashPoint> points)
    {
        var valves = points.Where(p => p.Kind is LashKind.Intake or LashKind.Exhaust).ToList();
        var gears = valves.Select(p => Of(p.Adjuster)).DefaultIfEmpty(ValveGear.Rocker).ToList();
        var each = valves.GroupBy(p => p.Cylinder).Select(g => g.Count()).DefaultIfEmpty(1).Max();
        return new CylinderGear(gears.Contains(ValveGear.Bucket) ? ValveGear.Bucket : gears.Contains(ValveGear.Follower) ? ValveGear.Follower : ValveGear.Rocker, each);
    }

    /// <summary>What an adjuster of a valve sits in or on.</summary>
    public static ValveGear Of(Adjuster adjuster) => adjuster switch
    {
        Adjuster.Shim { Access: ShimAccess.OnTop or ShimAccess.UnderBucket } => ValveGear.Bucket,
        Adjuster.Shim { Access: ShimAccess.Puck } or Adjuster.Screw { Place: ScrewPlace.Follower } => ValveGear.Follower,
        _ => ValveGear.Rocker,
    };

    /// <summary>Whether the lobes can be seen with the covers off: wherever a point is set under the cam.</summary>
    public static bool LobesInSight(IReadOnlyList<LashPoint> points) => points.Any(p => p.Adjuster is Adjuster.Shim or Adjuster.Eccentric or Adjuster.Screw { Place: ScrewPlace.Follower });

    /// <summary>What there is of it in one cylinder: the rocker, both rockers, all followers, the lobes.</summary>
    public string Named() => Gear == ValveGear.Bucket ? Each == 1 ? "the lobe" : "the lobes" : (Each == 1 ? "the " : Each == 2 ? "both " : "all ") + Word(Each > 1);

    /// <summary>The state that proves a cylinder free: Both rockers of 4 are loose.</summary>
    public string Free(int cylinder) => Gear == ValveGear.Bucket
        ? $"The {(Each == 1 ? "lobe" : "lobes")} of {cylinder} {(Each == 1 ? "points" : "point")} away from {(Each == 1 ? "its bucket" : "their buckets")}."
        : $"{char.ToUpperInvariant(Named()[0])}{Named()[1..]} of {cylinder} {(Each == 1 ? "is" : "are")} loose.";

    /// <summary>The same of a cylinder just named: both its rockers are loose.</summary>
    public string FreeHere() => Gear == ValveGear.Bucket
        ? Each == 1 ? "its lobe points away" : "its lobes point away"
        : $"{(Each == 1 ? "" : Each == 2 ? "both " : "all ")}its {Word(Each > 1)} {(Each == 1 ? "is" : "are")} loose";

    private string Word(bool many) => (Gear == ValveGear.Follower ? "follower" : "rocker") + (many ? "s" : "");
}
