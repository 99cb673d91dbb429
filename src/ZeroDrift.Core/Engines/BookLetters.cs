namespace ZeroDrift.Core.Engines;

/// <summary>
/// The letters a book calls its valves by. In most books E is the exhaust; on German heads E is the intake (Einlass) and A the exhaust
/// (Auslass). Injectors are J and engine brakes B in both.
/// </summary>
public enum BookLetters
{
    /// <summary>I intake, E exhaust.</summary>
    IntakeExhaust,

    /// <summary>E intake (Einlass), A exhaust (Auslass).</summary>
    EinlassAuslass,
}

/// <summary>From letters to what they stand for, and what to ask where an E could be either.</summary>
public static class BookLetterNames
{
    /// <summary>The letter behind the cylinder number: 4E, 2I.</summary>
    public static char Letter(this BookLetters letters, LashKind kind) => (letters, kind) switch
    {
        (_, LashKind.Injector) => 'J',
        (_, LashKind.EngineBrake) => 'B',
        (BookLetters.EinlassAuslass, LashKind.Intake) => 'E',
        (BookLetters.EinlassAuslass, LashKind.Exhaust) => 'A',
        (_, LashKind.Intake) => 'I',
        _ => 'E',
    };

    /// <summary>What a letter stands for; null where these letters do not have it.</summary>
    public static LashKind? KindOf(this BookLetters letters, char letter) =>
        ((LashKind[])[LashKind.Intake, LashKind.Exhaust, LashKind.Injector, LashKind.EngineBrake]).Where(k => letters.Letter(k) == char.ToUpperInvariant(letter)).Select(k => (LashKind?)k).FirstOrDefault();

    /// <summary>What the letters in use must be: an I or an A tells, an E alone does not. A uniflow two-stroke has no intake valves, so its E is the exhaust.</summary>
    /// <param name="written">The letters as they were written; others are not looked at.</param>
    /// <param name="cycle">The engine's cycle; null where it is not known.</param>
    /// <param name="field">What is at fault where both stand.</param>
    /// <returns>Null where an E could be either.</returns>
    /// <exception cref="BadInputException">Both I and A stand there.</exception>
    public static BookLetters? Told(IEnumerable<char> written, EngineCycle? cycle, string field = "letters")
    {
        var used = written.Select(char.ToUpperInvariant).ToHashSet();
        if (used.Contains('A') && used.Contains('I')) throw new BadInputException(field, "Both I and A stand there: I belongs to I and E (E exhaust), A to E and A (E intake). Write one or the other.");
        if (used.Contains('A')) return BookLetters.EinlassAuslass;
        if (used.Contains('I') || cycle == EngineCycle.TwoStroke || !used.Contains('E')) return BookLetters.IntakeExhaust;
        return null;
    }

    /// <summary>The question where an E could be either.</summary>
    public const string Ask = "E could be the exhaust (I and E) or the intake (Einlass and Auslass, E and A): say which letters this book uses.";

    /// <summary>Both letters spelt out.</summary>
    public static string SpeltOut(this BookLetters letters) => letters == BookLetters.EinlassAuslass ? "E intake (Einlass), A exhaust (Auslass)" : "I intake, E exhaust";
}
