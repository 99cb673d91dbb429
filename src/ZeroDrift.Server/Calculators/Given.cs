using ZeroDrift.Core;

namespace ZeroDrift.Server.Calculators;

/// <summary>Asks for what a request left out, by name.</summary>
internal static class Given
{
    public static double Number(double? value, string field, string what) =>
        value ?? throw new BadInputException(field, $"Give {what}.");

    /// <summary>A figure that may be left out, but not lie outside its range.</summary>
    public static double? InRange(double? value, double min, double max, string field, string what) => value is null || (value >= min && value <= max)
        ? value
        : throw new BadInputException(field, FormattableString.Invariant($"{what} must be from {min} to {max}; {value} was given."));

    public static string Text(string? value, string field, string what, int longest = 200)
    {
        if (string.IsNullOrWhiteSpace(value)) throw new BadInputException(field, $"Give {what}.");
        if (value.Length > longest) throw new BadInputException(field, $"At most {longest} characters are kept for {what}; {value.Length} were given.");
        return value.Trim();
    }

    public static string? OptionalText(string? value, string field, string what, int longest = 2000) =>
        string.IsNullOrWhiteSpace(value) ? null : Text(value, field, what, longest);

    public static IReadOnlyList<T> List<T>(IReadOnlyList<T?>? list, string field, string what, int most) where T : class
    {
        if (list is null || list.Count == 0) throw new BadInputException(field, $"Give {what}; at least one is needed.");
        if (list.Count > most) throw new BadInputException(field, $"At most {most} are taken at once; {list.Count} were given.");
        for (var i = 0; i < list.Count; i++)
            if (list[i] is null) throw new BadInputException($"{field}[{i}]", $"Entry {i + 1} is empty; give {what}.");
        return list!;
    }
}
