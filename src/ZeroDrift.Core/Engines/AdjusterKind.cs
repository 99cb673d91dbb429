namespace ZeroDrift.Core.Engines;

/// <summary>The adjusters as a book names them; with the type's figures each becomes an <see cref="Adjuster"/>.</summary>
public enum AdjusterKind
{
    /// <summary>Screw and locknut at the valve end of the rocker.</summary>
    ScrewAtValve,

    /// <summary>Screw and locknut at the pushrod end; screw travel acts through the rocker ratio.</summary>
    ScrewAtPushrod,

    /// <summary>Rocker with a screw over a bridge that drives two valves.</summary>
    BridgeScrew,

    /// <summary>Overhead cam, finger or follower with a screw.</summary>
    FollowerScrew,

    /// <summary>Eccentric rocker shaft; only the position with the index mark facing outward is right.</summary>
    EccentricShaft,

    /// <summary>Bucket, shim on top, changed with the cam in place.</summary>
    ShimOnTop,

    /// <summary>Bucket, shim underneath; the camshaft must come out.</summary>
    ShimUnderBucket,

    /// <summary>Finger follower over a puck on the valve tip.</summary>
    Puck,

    /// <summary>Hydraulic lifter on an adjustable rocker: zero lash, then preload.</summary>
    HydraulicPreload,

    /// <summary>Unit injector: first contact, then the book's further amount.</summary>
    InjectorScrew,

    /// <summary>Engine-brake slave piston screw.</summary>
    BrakeScrew,
}

/// <summary>The type's figures that an adjuster is made of; each kind takes what it needs.</summary>
/// <param name="PitchMm">Thread pitch; null where it is not known.</param>
/// <param name="ClearancePerTravel">Clearance per screw travel.</param>
/// <param name="ClockwiseCloses">Which way closes.</param>
/// <param name="ShimSizesMm">The size series.</param>
/// <param name="ShimPerClearance">Shim travel per clearance.</param>
/// <param name="TravelTurns">A lifter's plunger travel in turns.</param>
/// <param name="SelfLocking">A screw or a lifter's adjuster without a locknut.</param>
public sealed record AdjusterFigures(double? PitchMm, double ClearancePerTravel = 1, bool ClockwiseCloses = true, IReadOnlyList<double>? ShimSizesMm = null, double ShimPerClearance = 1, Turns? TravelTurns = null, bool SelfLocking = false);

/// <summary>From a book's word to an adjuster.</summary>
public static class AdjusterKinds
{
    /// <summary>True where a pitch lets a turn be worked out.</summary>
    public static bool TurnsByPitch(this AdjusterKind kind) => kind is AdjusterKind.ScrewAtValve or AdjusterKind.ScrewAtPushrod
        or AdjusterKind.BridgeScrew or AdjusterKind.FollowerScrew;

    /// <summary>True where a lever stands between screw and gap: without its ratio a turn would be a wrong one.</summary>
    public static bool ActsThroughRatio(this AdjusterKind kind) => kind is AdjusterKind.ScrewAtPushrod or AdjusterKind.FollowerScrew;

    /// <summary>How its shim is reached; null where it has none.</summary>
    public static ShimAccess? ShimAccess(this AdjusterKind kind) => kind switch
    {
        AdjusterKind.ShimOnTop => Engines.ShimAccess.OnTop,
        AdjusterKind.ShimUnderBucket => Engines.ShimAccess.UnderBucket,
        AdjusterKind.Puck => Engines.ShimAccess.Puck,
        _ => null,
    };

    /// <summary>The adjuster of a kind.</summary>
    public static Adjuster With(this AdjusterKind kind, AdjusterFigures figures)
    {
        IReadOnlyList<double> sizes = figures.ShimSizesMm ?? [];
        return kind switch
        {
            AdjusterKind.ScrewAtValve or AdjusterKind.BridgeScrew => new Adjuster.Screw(ScrewPlace.Valve, figures.PitchMm, figures.ClearancePerTravel, figures.ClockwiseCloses, figures.SelfLocking),
            AdjusterKind.ScrewAtPushrod => new Adjuster.Screw(ScrewPlace.Pushrod, figures.PitchMm, figures.ClearancePerTravel, figures.ClockwiseCloses, figures.SelfLocking),
            AdjusterKind.FollowerScrew => new Adjuster.Screw(ScrewPlace.Follower, figures.PitchMm, figures.ClearancePerTravel, figures.ClockwiseCloses, figures.SelfLocking),
            AdjusterKind.EccentricShaft => new Adjuster.Eccentric(),
            AdjusterKind.ShimOnTop => new Adjuster.Shim(Engines.ShimAccess.OnTop, sizes, figures.ShimPerClearance),
            AdjusterKind.ShimUnderBucket => new Adjuster.Shim(Engines.ShimAccess.UnderBucket, sizes, figures.ShimPerClearance),
            AdjusterKind.Puck => new Adjuster.Shim(Engines.ShimAccess.Puck, sizes, figures.ShimPerClearance),
            AdjusterKind.HydraulicPreload => new Adjuster.Hydraulic(figures.TravelTurns, figures.SelfLocking),
            AdjusterKind.InjectorScrew => new Adjuster.InjectorScrew(figures.PitchMm),
            AdjusterKind.BrakeScrew => new Adjuster.BrakeScrew(figures.PitchMm, figures.ClearancePerTravel, figures.ClockwiseCloses),
            _ => throw new BadInputException("adjuster", "This adjuster is not known."),
        };
    }
}
