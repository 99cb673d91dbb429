using System.Globalization;

namespace ZeroDrift.Core.Engines;

/// <summary>How far a screw, a lifter's plunger or a barring tool is turned: 0 to 1,000,000 turns, without a direction. Not a position of the crank (<see cref="CrankAngle"/>).</summary>
public readonly record struct Turns : IComparable<Turns>, IFormattable
{
    /// <summary>Nothing is turned further; more is a wrong pitch or ratio.</summary>
    public const double Most = 1_000_000;

    private Turns(double number) => Number = number;

    /// <summary>Whole turns and parts of them.</summary>
    public double Number { get; }

    /// <summary>The same in degrees.</summary>
    public double Degrees => Number * 360;

    /// <summary>Turns given as a number.</summary>
    /// <exception cref="BadInputException">Field <paramref name="field"/>: no number, negative, or over a million.</exception>
    public static Turns Of(double number, string field = "turns", string what = "The turn") => new(Require.InRange(number, 0, Most, field, what, "turns"));

    /// <summary>The same where there may be none.</summary>
    public static Turns? Of(double? number, string field = "turns", string what = "The turn") => number is { } turns ? Of(turns, field, what) : null;

    /// <summary>The number, for arithmetic and for writing it down.</summary>
    public static implicit operator double(Turns turns) => turns.Number;

    /// <summary>Fewer first.</summary>
    public int CompareTo(Turns other) => Number.CompareTo(other.Number);

    /// <summary>As a number: 0.25. In the words of the trade: <c>Setting.TurnWords</c>.</summary>
    public override string ToString() => Number.ToString("0.####", CultureInfo.InvariantCulture);

    /// <summary>The bare number in a format of its own; without one, as it is said.</summary>
    public string ToString(string? format, IFormatProvider? formatProvider) => format is null ? ToString() : Number.ToString(format, formatProvider);
}
