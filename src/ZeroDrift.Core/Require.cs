using System.Globalization;

namespace ZeroDrift.Core;

/// <summary>Range checks that every calculation shares, so that the same mistake gets the same sentence everywhere.</summary>
internal static class Require
{
    /// <summary>The thickest blade or shim taken seriously, mm; anything above is a wrong unit.</summary>
    public const double ThickestMm = Lengths.Clearance.LargestMm;

    public static double InRange(double value, double min, double max, string field, string what, string unit = "")
    {
        if (double.IsFinite(value) && value >= min && value <= max) return value;
        var suffix = unit.Length == 0 ? "" : " " + unit;
        throw new BadInputException(field, $"{what} must be from {Text(min)} to {Text(max)}{suffix}; {Text(value)} was given.");
    }

    public static double Above(double value, double limit, double max, string field, string what, string unit = "")
    {
        if (double.IsFinite(value) && value > limit && value <= max) return value;
        var suffix = unit.Length == 0 ? "" : " " + unit;
        throw new BadInputException(field, $"{what} must be more than {Text(limit)} and at most {Text(max)}{suffix}; {Text(value)} was given.");
    }

    public static double Uncertainty(double value, string field) =>
        Above(value, 0, ThickestMm, field, "The standard uncertainty", "mm");

    public static IReadOnlyList<T> Filled<T>(IReadOnlyList<T>? list, int most, string field, string what)
    {
        if (list is null || list.Count == 0)
            throw new BadInputException(field, $"Give {what}; at least one is needed.");
        if (list.Count > most)
            throw new BadInputException(field, $"At most {most} are taken here ({what}); {list.Count} were given.");
        return list;
    }

    public static string Text(double value) => value.ToString("0.######", CultureInfo.InvariantCulture) is var text && text.Length < 16
        ? text
        : value.ToString("0.###e+0", CultureInfo.InvariantCulture);
}
