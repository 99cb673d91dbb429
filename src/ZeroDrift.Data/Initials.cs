namespace ZeroDrift.Data;

/// <summary>The initials of a name where none are given.</summary>
public static class Initials
{
    public static string Of(string name)
    {
        var words = name.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var letters = words.Length switch { 0 => "?", 1 => words[0][..Math.Min(2, words[0].Length)], _ => string.Concat(words.Take(3).Select(w => w[..1])) };
        return letters.ToUpperInvariant();
    }
}
