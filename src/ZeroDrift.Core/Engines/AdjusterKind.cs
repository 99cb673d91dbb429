namespace ZeroDrift.Core.Engines;

/// <summary>What is turned or changed to set a lash point.</summary>
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

/// <summary>What an adjuster means for the work.</summary>
public static class AdjusterKinds
{
    /// <summary>True where a gap is set by turning a screw, so that a turn can be computed.</summary>
    public static bool IsScrew(this AdjusterKind kind) => kind is AdjusterKind.ScrewAtValve or AdjusterKind.ScrewAtPushrod
        or AdjusterKind.BridgeScrew or AdjusterKind.FollowerScrew or AdjusterKind.BrakeScrew;
}
