using System.Globalization;

namespace ZeroDrift.Core.Engines;

/// <summary>
/// A position of the crank: degrees forwards, in the running direction, from TDC compression of the first cylinder in the firing order; 0 to
/// below the cycle. Not a turn of the crank, which is a number of degrees between two positions, nor an angle seen from another cylinder.
/// </summary>
public readonly record struct CrankAngle : IFormattable
{
    /// <summary>The furthest a position may be given from zero before it is brought into the cycle, degrees; more is a wrong figure.</summary>
    public const double FurthestDeg = 7200;

    private CrankAngle(double degrees, EngineCycle cycle)
    {
        Degrees = degrees;
        Cycle = cycle;
    }

    /// <summary>0 to below the cycle.</summary>
    public double Degrees { get; }

    /// <summary>The cycle it lies in: 720° of a four-stroke, 360° of a two-stroke.</summary>
    public EngineCycle Cycle { get; }

    /// <summary>A position given in degrees of −7200 to 7200, brought into the cycle.</summary>
    /// <exception cref="BadInputException">Field <paramref name="field"/>: no number, or outside the range.</exception>
    public static CrankAngle Of(double degrees, EngineCycle cycle, string field = "crankDeg", string what = "The crank angle") =>
        At(Require.InRange(degrees, -FurthestDeg, FurthestDeg, field, what, "degrees"), cycle);

    internal static CrankAngle At(double degrees, EngineCycle cycle) => new(Circle.Normalise(degrees, cycle.Degrees()), cycle);

    /// <summary>Where a turn from here leads; forwards where positive.</summary>
    public CrankAngle After(double turnDeg) => At(Degrees + turnDeg, Cycle);

    /// <summary>Degrees to bar forwards, never backwards, to another position: 0 to below the cycle.</summary>
    public double ForwardTo(CrankAngle there) => Circle.Forward(Degrees, there.Degrees, Cycle.Degrees());

    /// <summary>Whether both are one position, within a millionth of a degree.</summary>
    public bool IsAt(CrankAngle other) => Circle.Same(Degrees, other.Degrees, Cycle.Degrees());

    /// <summary>The degrees, for arithmetic and for writing it down.</summary>
    public static implicit operator double(CrankAngle angle) => angle.Degrees;

    /// <summary>As it is said: 120°.</summary>
    public override string ToString() => Degrees.ToString("0.#", CultureInfo.InvariantCulture) + "°";

    /// <summary>The bare number in a format of its own; without one, as it is said.</summary>
    public string ToString(string? format, IFormatProvider? formatProvider) => format is null ? ToString() : Degrees.ToString(format, formatProvider);
}
