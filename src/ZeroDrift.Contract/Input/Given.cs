using System.Globalization;
using System.Text;
using ZeroDrift.Core;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Contract.Input;

/// <summary>Asks for what a request left out, by name.</summary>
public static class Given
{
    public static double Number(double? value, string field, string what) =>
        value ?? throw new BadInputException(field, $"Give {what}.");

    /// <summary>A clearance in millimetres. <paramref name="what"/> begins a sentence: The measured clearance.</summary>
    public static Clearance Clearance(double? value, string field, string what) =>
        Core.Lengths.Clearance.OfMm(Number(value, field, char.ToLowerInvariant(what[0]) + what[1..] + " in mm"), field, what);

    /// <summary>A figure that may be left out, but not lie outside its range.</summary>
    public static double? InRange(double? value, double min, double max, string field, string what) => value is null || (value >= min && value <= max)
        ? value
        : throw new BadInputException(field, FormattableString.Invariant($"{what} must be from {min} to {max}; {value} was given."));

    /// <summary>A figure above a limit, and not above the most.</summary>
    public static double Above(double value, double limit, double most, string field, string what, string unit = "") => value > limit && value <= most
        ? value
        : throw new BadInputException(field, FormattableString.Invariant($"{what} must be more than {limit} and at most {most}{(unit.Length == 0 ? "" : " " + unit)}; {value} was given."));

    public static string Text(string? value, string field, string what, int longest = 200)
    {
        if (string.IsNullOrWhiteSpace(value)) throw new BadInputException(field, $"Give {what}.");
        if (value.Length > longest) throw new BadInputException(field, $"At most {longest} characters are kept for {what}; {value.Length} were given.");
        foreach (var c in value)
            if ((char.IsControl(c) && c is not ('\n' or '\r' or '\t')) || char.IsSurrogate(c) && !IsPaired(value)) throw new BadInputException(field, $"The {field} holds characters that do not print; type it again.");
        return value.Trim();
    }

    /// <summary>A name, kept with single spaces and without what does not print.</summary>
    public static string Name(string? value, string field, string what, int longest)
    {
        var text = Text(value, field, what, longest * 4);
        foreach (var rune in text.EnumerateRunes())
            if (Rune.IsControl(rune)) throw new BadInputException(field, $"The {field} holds characters that do not print; type it again.");
        var clean = string.Join(' ', new string([.. text.Where(c => char.GetUnicodeCategory(c) != UnicodeCategory.Format)]).Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries)).Normalize();
        if (clean.Length == 0) throw new BadInputException(field, $"Give {what}.");
        return clean.Length <= longest ? clean : throw new BadInputException(field, $"At most {longest} characters are kept for {what}; {clean.Length} were given.");
    }

    /// <summary>The identifier given, or a new one; never the empty one.</summary>
    public static Guid NewId(Guid? id) => id == Guid.Empty
        ? throw new BadInputException("id", "The empty identifier belongs to nothing; make a UUID, or leave it out.")
        : id ?? Guid.CreateVersion7();

    public static string? OptionalText(string? value, string field, string what, int longest = 2000) =>
        string.IsNullOrWhiteSpace(value) ? null : Text(value, field, what, longest);

    private static bool IsPaired(string text)
    {
        for (var i = 0; i < text.Length; i++)
        {
            if (!char.IsSurrogate(text[i])) continue;
            if (i + 1 >= text.Length || !char.IsSurrogatePair(text[i], text[i + 1])) return false;
            i++;
        }
        return true;
    }

    public static IReadOnlyList<T> List<T>(IReadOnlyList<T?>? list, string field, string what, int most) where T : class
    {
        if (list is null || list.Count == 0) throw new BadInputException(field, $"Give {what}; at least one is needed.");
        if (list.Count > most) throw new BadInputException(field, $"At most {most} are taken at once; {list.Count} were given.");
        for (var i = 0; i < list.Count; i++)
            if (list[i] is null) throw new BadInputException($"{field}[{i}]", $"Entry {i + 1} is empty; give {what}.");
        return list!;
    }
}
