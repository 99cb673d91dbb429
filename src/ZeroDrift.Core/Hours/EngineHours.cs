using System.Globalization;

namespace ZeroDrift.Core.Hours;

/// <summary>
/// Hours an engine has run, in all or from one thing to another: 0 to 1,000,000, more than a century of running. Not hours left, which are
/// below zero once overrun, and not hours of the clock.
/// </summary>
public readonly record struct EngineHours : IComparable<EngineHours>, IFormattable
{
    /// <summary>The most a meter may carry, h.</summary>
    public const double Most = 1_000_000;

    private EngineHours(double hours) => Hours = hours;

    /// <summary>Hours, 0 to 1,000,000.</summary>
    public double Hours { get; }

    /// <summary>Hours given as a number.</summary>
    /// <exception cref="BadInputException">Field <paramref name="field"/>: no number, negative, or over a million.</exception>
    public static EngineHours Of(double hours, string field = "hours", string what = "Engine hours") => new(Require.InRange(hours, 0, Most, field, what, "h"));

    /// <summary>The same where there may be none.</summary>
    public static EngineHours? Of(double? hours, string field = "hours", string what = "Engine hours") => hours is { } given ? Of(given, field, what) : null;

    /// <summary>A computed figure: one that would fall outside the range is taken at its end.</summary>
    internal static EngineHours Near(double hours) => new(Math.Clamp(hours, 0, Most));

    /// <summary>The hours, for arithmetic and for writing them down.</summary>
    public static implicit operator double(EngineHours hours) => hours.Hours;

    /// <summary>Fewer first.</summary>
    public int CompareTo(EngineHours other) => Hours.CompareTo(other.Hours);

    /// <summary>As they are said: 12400 h.</summary>
    public override string ToString() => Hours.ToString("0.#", CultureInfo.InvariantCulture) + " h";

    /// <summary>The bare number in a format of its own; without one, as it is said.</summary>
    public string ToString(string? format, IFormatProvider? formatProvider) => format is null ? ToString() : Hours.ToString(format, formatProvider);
}
