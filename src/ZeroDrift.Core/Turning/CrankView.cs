namespace ZeroDrift.Core.Turning;

/// <summary>The end of the engine from which the crank is barred and seen.</summary>
public enum CrankEnd
{
    /// <summary>The free end: pulley, crank nut.</summary>
    Front,

    /// <summary>The flywheel.</summary>
    Flywheel,
}

/// <summary>How the crank turns to whoever bars it.</summary>
/// <param name="SeenFrom">The end it is barred from.</param>
/// <param name="Anticlockwise">Forwards is anticlockwise seen from there.</param>
/// <param name="Assumed">The book does not say one of the two: clockwise, or the front, stands in for it.</param>
public sealed record CrankView(CrankEnd SeenFrom, bool Anticlockwise, bool Assumed)
{
    private static readonly string[] Ends = ["flywheel", "rear", "drive end", "gearbox"];

    /// <summary>From a book's words: "anticlockwise seen from the flywheel".</summary>
    public static CrankView Of(string? written)
    {
        var words = (written ?? "").ToLowerInvariant();
        var anti = words.Contains("anti", StringComparison.Ordinal) || words.Contains("counter", StringComparison.Ordinal) || words.Contains("left", StringComparison.Ordinal);
        var rear = Array.Exists(Ends, end => words.Contains(end, StringComparison.Ordinal));
        var said = (anti || words.Contains("clockwise", StringComparison.Ordinal) || words.Contains("right", StringComparison.Ordinal))
            && (rear || words.Contains("front", StringComparison.Ordinal) || words.Contains("pulley", StringComparison.Ordinal) || words.Contains("free end", StringComparison.Ordinal));
        return new CrankView(rear ? CrankEnd.Flywheel : CrankEnd.Front, anti, !said);
    }

    /// <summary>In a book's words, as <see cref="Of"/> reads them.</summary>
    public override string ToString() => $"{(Anticlockwise ? "anticlockwise" : "clockwise")} seen from the {(SeenFrom == CrankEnd.Flywheel ? "flywheel" : "front")}";
}
