namespace ZeroDrift.Core;

/// <summary>What reading some input gave: a value, or what was wrong with it. The one place where bad input is caught inside the core.</summary>
/// <typeparam name="T">What was to be read.</typeparam>
/// <param name="Value">What it says; the default of its type where it says nothing.</param>
/// <param name="Bad">Field and sentence of what is wrong; null where nothing is.</param>
public readonly record struct Attempted<T>(T? Value, BadInputException? Bad)
{
    /// <summary>Whether there is a value.</summary>
    public bool Holds => Bad is null;
}

/// <summary>Makes one.</summary>
public static class Attempted
{
    /// <summary>Reads, and says what was wrong instead of throwing it.</summary>
    public static Attempted<T> Of<T>(Func<T> read)
    {
        try
        {
            return new Attempted<T>(read(), null);
        }
        catch (BadInputException bad)
        {
            return new Attempted<T>(default, bad);
        }
    }
}
