namespace ZeroDrift.Core.Engines;

/// <summary>
/// When the valves of a four-stroke cylinder leave and reach their seats, crank degrees at the seat.
/// Where a source quotes timing at 1 mm or 0.050 in lift use a ramp guard of 35° (from memory).
/// </summary>
/// <param name="IvoBtdc">Intake opens, degrees before TDC overlap; negative when after.</param>
/// <param name="IvcAbdc">Intake closes, degrees after BDC.</param>
/// <param name="EvoBbdc">Exhaust opens, degrees before BDC.</param>
/// <param name="EvcAtdc">Exhaust closes, degrees after TDC overlap; negative when before.</param>
public sealed record ValveTiming(double IvoBtdc = 15, double IvcAbdc = 45, double EvoBbdc = 50, double EvcAtdc = 15)
{
    /// <summary>Ramp guard where none is given, degrees on both sides of a lift.</summary>
    public const double DefaultRampGuardDeg = 15;

    /// <summary>A wide timing that is safe for most diesels whose own is not known (common practice).</summary>
    public static ValveTiming Unknown { get; } = new();
}

/// <summary>
/// Events of a two-stroke uniflow cylinder, crank degrees after TDC. Defaults from memory.
/// </summary>
/// <param name="EvoAtdc">Exhaust opens.</param>
/// <param name="EvcAtdc">Exhaust closes.</param>
/// <param name="InjectorFrom">The injector's lobe begins to load it (negative: before TDC).</param>
/// <param name="InjectorTo">The injector's lobe lets go.</param>
public sealed record UniflowTiming(double EvoAtdc = 95, double EvcAtdc = 235, double InjectorFrom = -60, double InjectorTo = 60)
{
    /// <summary>The defaults.</summary>
    public static UniflowTiming Unknown { get; } = new();
}
