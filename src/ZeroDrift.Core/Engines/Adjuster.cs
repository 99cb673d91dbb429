namespace ZeroDrift.Core.Engines;

/// <summary>Where an adjusting screw sits.</summary>
public enum ScrewPlace
{
    /// <summary>At the valve end of the rocker.</summary>
    Valve,

    /// <summary>At the pushrod end; screw travel acts through the rocker ratio.</summary>
    Pushrod,

    /// <summary>In a finger or follower under an overhead cam.</summary>
    Follower,
}

/// <summary>How a shim is reached.</summary>
public enum ShimAccess
{
    /// <summary>On top of the bucket, changed with a depressor and the cam in place.</summary>
    OnTop,

    /// <summary>Under the bucket: the camshaft must come out, so all are measured before any is ordered.</summary>
    UnderBucket,

    /// <summary>A puck on the valve tip under a finger follower; easily dropped or left out.</summary>
    Puck,
}

/// <summary>
/// What is turned or changed to set a lash point. Closed: whoever answers for adjusters answers for all of them, because
/// <see cref="Match{T}"/> takes one answer a kind and a new kind does not compile until each has its own.
/// What the book asks of it is another thing (<see cref="Judging.Demand"/>).
/// </summary>
public abstract record Adjuster
{
    private Adjuster()
    {
    }

    /// <summary>One answer a kind.</summary>
    public abstract T Match<T>(Func<Screw, T> screw, Func<Eccentric, T> eccentric, Func<Shim, T> shim, Func<Hydraulic, T> hydraulic, Func<InjectorScrew, T> injectorScrew, Func<BrakeScrew, T> brakeScrew);

    /// <summary>The word in a sentence.</summary>
    public string Word => Match(_ => "screw", _ => "eccentric shaft", _ => "shim", _ => "hydraulic lifter", _ => "injector screw", _ => "engine-brake screw");

    /// <summary>Something is locked after setting, and may drag the setting round.</summary>
    public bool HasLocknut => Match(screw => !screw.SelfLocking, _ => true, _ => false, lifter => !lifter.SelfLocking, _ => true, _ => true);

    /// <summary>A screw, with a locknut unless it locks itself.</summary>
    /// <param name="Place">Where it sits.</param>
    /// <param name="PitchMm">Thread pitch, above 0 to 10 mm; null where nobody knows it, and no turn is given.</param>
    /// <param name="ClearancePerTravel">Clearance gained per screw travel, above 0 to 10; 1 at the valve end.</param>
    /// <param name="ClockwiseCloses">True on an ordinary rocker (common practice, no source).</param>
    /// <param name="SelfLocking">No locknut: its own drag holds it.</param>
    public sealed record Screw(ScrewPlace Place, double? PitchMm, double ClearancePerTravel = 1, bool ClockwiseCloses = true, bool SelfLocking = false) : Adjuster
    {
        /// <inheritdoc/>
        public override T Match<T>(Func<Screw, T> screw, Func<Eccentric, T> eccentric, Func<Shim, T> shim, Func<Hydraulic, T> hydraulic, Func<InjectorScrew, T> injectorScrew, Func<BrakeScrew, T> brakeScrew) => screw(this);
    }

    /// <summary>Eccentric rocker shaft: two positions give one gap, and only the one with its index mark facing outward is right.</summary>
    public sealed record Eccentric : Adjuster
    {
        /// <inheritdoc/>
        public override T Match<T>(Func<Screw, T> screw, Func<Eccentric, T> eccentric, Func<Shim, T> shim, Func<Hydraulic, T> hydraulic, Func<InjectorScrew, T> injectorScrew, Func<BrakeScrew, T> brakeScrew) => eccentric(this);
    }

    /// <summary>A shim or puck of a size series.</summary>
    /// <param name="Access">How it is reached.</param>
    /// <param name="SizesMm">Sizes to be had, mm; empty where the book names none.</param>
    /// <param name="ShimPerClearance">Shim travel per clearance, above 0 to 10; 1 unless the follower has a ratio.</param>
    public sealed record Shim(ShimAccess Access, IReadOnlyList<double> SizesMm, double ShimPerClearance = 1) : Adjuster
    {
        /// <inheritdoc/>
        public override T Match<T>(Func<Screw, T> screw, Func<Eccentric, T> eccentric, Func<Shim, T> shim, Func<Hydraulic, T> hydraulic, Func<InjectorScrew, T> injectorScrew, Func<BrakeScrew, T> brakeScrew) => shim(this);
    }

    /// <summary>Hydraulic lifter under an adjustable rocker: zero lash, then preload.</summary>
    /// <param name="TravelTurns">Plunger travel in turns of the adjuster, above 0 to 100; null where only the book's own amount is known.</param>
    /// <param name="SelfLocking">No locknut: its own drag holds it.</param>
    public sealed record Hydraulic(Turns? TravelTurns, bool SelfLocking) : Adjuster
    {
        /// <inheritdoc/>
        public override T Match<T>(Func<Screw, T> screw, Func<Eccentric, T> eccentric, Func<Shim, T> shim, Func<Hydraulic, T> hydraulic, Func<InjectorScrew, T> injectorScrew, Func<BrakeScrew, T> brakeScrew) => hydraulic(this);
    }

    /// <summary>Unit injector: run in to first contact, then on by the book's amount. Never a gap.</summary>
    /// <param name="PitchMm">Thread pitch, mm; null where not known.</param>
    public sealed record InjectorScrew(double? PitchMm) : Adjuster
    {
        /// <inheritdoc/>
        public override T Match<T>(Func<Screw, T> screw, Func<Eccentric, T> eccentric, Func<Shim, T> shim, Func<Hydraulic, T> hydraulic, Func<InjectorScrew, T> injectorScrew, Func<BrakeScrew, T> brakeScrew) => injectorScrew(this);
    }

    /// <summary>Engine-brake slave piston: a gap, always from the book and larger than valve lash.</summary>
    /// <param name="PitchMm">As for a screw.</param>
    /// <param name="ClearancePerTravel">As for a screw.</param>
    /// <param name="ClockwiseCloses">As for a screw.</param>
    public sealed record BrakeScrew(double? PitchMm, double ClearancePerTravel = 1, bool ClockwiseCloses = true) : Adjuster
    {
        /// <inheritdoc/>
        public override T Match<T>(Func<Screw, T> screw, Func<Eccentric, T> eccentric, Func<Shim, T> shim, Func<Hydraulic, T> hydraulic, Func<InjectorScrew, T> injectorScrew, Func<BrakeScrew, T> brakeScrew) => brakeScrew(this);
    }
}

/// <summary>The bridge (crosshead) between one rocker and two valves; it belongs to the point beside its adjuster.</summary>
/// <param name="OwnScrew">It has a screw of its own, set first so that both stems touch.</param>
public sealed record Bridge(bool OwnScrew);
