using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Visits;

/// <summary>A step that a type owns: edited in its book, asked where it belongs.</summary>
/// <param name="Key">Its name within the type; steps at points carry the point behind it.</param>
/// <param name="List">Where it belongs.</param>
/// <param name="Text">What to do; <see cref="PointMark"/> stands for the point.</param>
public sealed record TypeStep(string Key, StepList List, string Text)
{
    /// <summary>Where the point's name goes in the text of a step at points.</summary>
    public const string PointMark = "{point}";

    /// <summary>A step at points: of this kind only; null for every kind.</summary>
    public LashKind? Kind { get; init; }

    /// <summary>A step at points: of these only; null for every point of the kind.</summary>
    public IReadOnlyList<string>? Points { get; init; }

    /// <summary>A step at a stop: the crank angle it belongs to; null for the first.</summary>
    public CrankAngle? CrankDeg { get; init; }

    /// <summary>Parts counted out or in.</summary>
    public Counting? Counts { get; init; }

    /// <summary>What ties an out-step to its in-step.</summary>
    public string? Pair { get; init; }

    /// <summary>A look that the opened cover allows.</summary>
    public string? Asks { get; init; }

    /// <summary>In this kind of job only.</summary>
    public JobKind? OnlyJob { get; init; }

    /// <summary>The places it belongs to; null for everywhere.</summary>
    public IReadOnlyList<VisitPlace>? Places { get; init; }

    /// <summary>A step at points: a look at what was fitted, after the last fitting or turning.</summary>
    public bool AfterFitting { get; init; }

    /// <summary>As a visit asks it: once, or at every point it belongs to.</summary>
    public IEnumerable<VisitStep> Of(EngineType type)
    {
        if (List != StepList.Point)
        {
            yield return new VisitStep(Key, List, Text) { CrankDeg = CrankDeg, Counts = Counts, Pair = Pair, Asks = Asks, OnlyJob = OnlyJob, Places = Places };
            yield break;
        }
        foreach (var point in type.Points.Where(p => (Kind is null || p.Kind == Kind) && (Points is null || Points.Contains(p.Label))))
            yield return new VisitStep($"{Key}:{point.Label}", List, Text.Replace(PointMark, point.Label, StringComparison.Ordinal)) { Point = point.Label, Asks = Asks, OnlyJob = OnlyJob, Places = Places, AfterFitting = AfterFitting };
    }
}
