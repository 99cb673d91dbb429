using System.Globalization;

namespace ZeroDrift.Core.Lengths;

/// <summary>
/// A gap between two parts of a valve train, 0 to 25 mm. Not a figure as it was written (<see cref="Length"/>), not a measured one with its
/// doubt (<see cref="Measuring.Reading"/>), and not a predicted one, which may fall below zero.
/// </summary>
public readonly record struct Clearance : IComparable<Clearance>, IFormattable
{
    /// <summary>The largest taken seriously, mm; anything above is a wrong unit.</summary>
    public const double LargestMm = 25;

    private Clearance(double millimetres) => Millimetres = millimetres;

    /// <summary>Millimetres, 0 to 25.</summary>
    public double Millimetres { get; }

    /// <summary>A clearance given in millimetres.</summary>
    /// <exception cref="BadInputException">Field <paramref name="field"/>: no number, negative, or over 25 mm.</exception>
    public static Clearance OfMm(double millimetres, string field = "clearanceMm", string what = "The clearance") =>
        new(Require.InRange(millimetres, 0, LargestMm, field, what, "mm"));

    /// <summary>The same where there may be none.</summary>
    public static Clearance? OfMm(double? millimetres, string field = "clearanceMm", string what = "The clearance") =>
        millimetres is { } mm ? OfMm(mm, field, what) : null;

    /// <summary>A computed clearance: one that would fall outside the range is taken at its end.</summary>
    internal static Clearance Near(double millimetres) => new(Math.Clamp(millimetres, 0, LargestMm));

    /// <summary>The millimetres, for arithmetic and for writing it down.</summary>
    public static implicit operator double(Clearance clearance) => clearance.Millimetres;

    /// <summary>Tighter first.</summary>
    public int CompareTo(Clearance other) => Millimetres.CompareTo(other.Millimetres);

    /// <summary>As it is said: 0.25 mm.</summary>
    public override string ToString() => Millimetres.ToString("0.00##", CultureInfo.InvariantCulture) + " mm";

    /// <summary>The bare number in a format of its own; without one, as it is said.</summary>
    public string ToString(string? format, IFormatProvider? formatProvider) => format is null ? ToString() : Millimetres.ToString(format, formatProvider);
}
