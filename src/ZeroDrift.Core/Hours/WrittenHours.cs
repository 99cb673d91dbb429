using System.Globalization;

namespace ZeroDrift.Core.Hours;

/// <summary>
/// Hours as people write them: 12345, 12 345, 12’345, 12,345.5, 12.345,5. One sign with three digits behind it, such as 3,200 or 1.480, can be
/// thousands or a fraction; it is never guessed.
/// </summary>
public static class WrittenHours
{
    private const string Signs = ".,";

    /// <summary>What a written figure can mean, in hours.</summary>
    /// <param name="text">As it was written.</param>
    /// <param name="decimalSign">The sign before a fraction where the rest of its column tells, '.' or ','; null where nothing does.</param>
    /// <returns>None where it is no figure, one where it is sure, two where it could be both: with a fraction first.</returns>
    public static IReadOnlyList<double> Ways(string text, char? decimalSign = null)
    {
        var plain = Plain(text);
        if (plain.Length == 0 || plain.Any(c => !char.IsAsciiDigit(c) && !Signs.Contains(c, StringComparison.Ordinal))) return [];
        var signs = plain.Where(c => Signs.Contains(c, StringComparison.Ordinal)).ToList();
        if (signs.Count == 0) return [Number(plain)];
        if (signs.Count == 1)
        {
            var (sign, at) = (signs[0], plain.IndexOf(signs[0], StringComparison.Ordinal));
            if (at == plain.Length - 1) return [];
            var fraction = Number(plain.Replace(sign, '.'));
            if (!CouldBeThousands(plain, at)) return [fraction];
            var whole = Number(plain.Remove(at, 1));
            return decimalSign is { } told ? [told == sign ? fraction : whole] : [fraction, whole];
        }
        var last = signs[^1];
        var groups = signs.Distinct().Count() == 1 ? plain : plain[..plain.LastIndexOf(last)];
        if (signs.SkipLast(1).Distinct().Count() > 1 || (groups != plain && signs[0] == last) || !AreGroups(groups)) return [];
        return [Number(new string([.. groups.Where(char.IsAsciiDigit)]) + (groups == plain ? "" : "." + plain[(groups.Length + 1)..]))];
    }

    /// <summary>The sign that stands before a fraction in a column, as any of its cells proves it; null where none does, or they contradict.</summary>
    public static char? DecimalSign(IEnumerable<string> column)
    {
        var told = column.Select(Proves).OfType<char>().Distinct().ToList();
        return told.Count == 1 ? told[0] : null;
    }

    private static char? Proves(string text)
    {
        var plain = Plain(text);
        var signs = plain.Where(c => Signs.Contains(c, StringComparison.Ordinal)).ToList();
        if (signs.Count == 0 || Ways(text).Count != 1) return null;
        // Twice the same sign is thousands, so the other one is before the fraction; of two kinds the last one is.
        return signs.Count > 1 && signs.Distinct().Count() == 1 ? signs[0] == '.' ? ',' : '.' : signs[^1];
    }

    private static bool CouldBeThousands(string plain, int at) => at is >= 1 and <= 3 && plain.Length - at - 1 == 3 && plain[0] != '0';

    private static bool AreGroups(string text)
    {
        var parts = text.Split('.', ',');
        return parts[0].Length is >= 1 and <= 3 && parts.Skip(1).All(p => p.Length == 3);
    }

    private static string Plain(string text) => new([.. text.Trim().Where(c => !char.IsWhiteSpace(c) && c is not ('’' or '\''))]);

    private static double Number(string plain) => double.Parse(plain, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture);
}
