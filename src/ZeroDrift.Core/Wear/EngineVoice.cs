namespace ZeroDrift.Core.Wear;

/// <summary>A point with its own chance of standing out of its window.</summary>
public sealed record PointChance(string Point, double P);

/// <summary>What is said of an engine, beside the dates that its risk moves.</summary>
/// <param name="AtHours">Hours to the book's date; null where the book has none.</param>
/// <param name="Risk">The chance that one of its valves is out of its limits by then, if nothing new begins to fail; null without one.</param>
/// <param name="Points">Points whose own chance by then is worth naming, the largest first.</param>
/// <param name="Named">Points that wear another way, or were fast all their life.</param>
/// <param name="FoundOut">Points last found out of their window, whatever was set since.</param>
/// <param name="LookAgain">Points whose last figure is so far not told apart from an outlier.</param>
public sealed record EngineVoice(double? AtHours, double? Risk, IReadOnlyList<PointChance> Points, IReadOnlyList<string> Named, IReadOnlyList<string> FoundOut, IReadOnlyList<string> LookAgain)
{
    /// <summary>Nothing is known of it.</summary>
    public static EngineVoice Silent { get; } = new(null, null, [], [], [], []);

    /// <summary>From this chance on an engine is spoken of, and a point by its own (common practice, no source).</summary>
    public const double SpokenFrom = 0.15;

    /// <summary>The engine is worth an early look.</summary>
    public bool IsRaised => Risk >= SpokenFrom || Named.Count > 0;

    /// <summary>Nothing is out of the ordinary.</summary>
    public bool IsOrdinary => !IsRaised && FoundOut.Count == 0 && LookAgain.Count == 0;

    /// <summary>What is to be said.</summary>
    /// <param name="engine">Its fit.</param>
    /// <param name="walk">Along its risk as it stands.</param>
    /// <param name="bookHours">Hours to the book's date, at least 0; null where the book has none.</param>
    public static EngineVoice Of(EngineWear engine, RiskWalk walk, double? bookHours)
    {
        var at = engine.Now.Points.Count == 0 ? null : bookHours;
        var points = at is not { } hours ? [] : engine.Now.Points.Select(p => new PointChance(p.Id, p.Out(hours))).Where(p => p.P >= SpokenFrom).OrderByDescending(p => p.P).ToList();
        return new EngineVoice(at, at is { } book ? walk.MostUpTo(book) : null, points, Ids(p => p.IsNamed), Ids(p => p.WasFoundOut), Ids(p => p.AsksToLookAgain));

        IReadOnlyList<string> Ids(Func<PointWear, bool> which) => [.. engine.Points.Where(which).Select(p => p.Id)];
    }
}
