using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Wear;

/// <summary>One lash point.</summary>
/// <param name="Id">Its name, unique among all engines.</param>
/// <param name="Engine">Its engine.</param>
/// <param name="Group">What it wears like: its kind.</param>
/// <param name="Window">Its limits; null where the book gives no gap: it has a rate and no risk.</param>
/// <param name="SetMm">The figure it is set to; null: the middle of the window.</param>
public sealed record WearPoint(string Id, string Engine, string Group, Window? Window, Clearance? SetMm)
{
    /// <summary>The run it is in now, where that holds no reading: nothing gives a level then. Null: its last run with a reading.</summary>
    public int? PresentRun { get; init; }

    /// <summary>The figure it is set to, else the middle of its window; null without a window.</summary>
    internal Clearance? FigureToSet => SetMm ?? (Window is { } window ? Clearance.Near((window.MinMm + window.MaxMm) / 2) : null);
}

/// <summary>One opening of one engine.</summary>
/// <param name="Id">Its name.</param>
/// <param name="Engine">The engine.</param>
/// <param name="Hours">Total engine hours.</param>
/// <param name="Person">Who measured; null where nobody is named.</param>
/// <param name="Warm">Answered as warm: what was found is left out, what was left counts as coarse.</param>
public sealed record WearVisit(string Id, string Engine, EngineHours Hours, string? Person, bool Warm);

/// <summary>One reading: a figure, or bounds of which one may be missing.</summary>
/// <param name="Point">The point.</param>
/// <param name="Visit">The visit.</param>
/// <param name="Run">The run of its point; an as-left starts one.</param>
/// <param name="AsLeft">Left after setting.</param>
/// <param name="Mm">The figure; null where only bounds are known.</param>
/// <param name="LowerMm">Not tighter than this.</param>
/// <param name="UpperMm">Not looser than this.</param>
/// <param name="StandardUncertaintyMm">u, above 0.</param>
public readonly record struct WearReading(string Point, string Visit, int Run, bool AsLeft, double? Mm, double? LowerMm, double? UpperMm, double StandardUncertaintyMm)
{
    /// <summary>Who measured this one, where not who measured the visit.</summary>
    public string? Person { get; init; }

    /// <summary>A second look or a second hand agreed: it is never taken for far off.</summary>
    public bool Confirmed { get; init; }
}

/// <summary>All that is known of a group of engines that wear alike.</summary>
/// <param name="Points">Their points.</param>
/// <param name="Visits">Their visits, each engine's in the order of its life.</param>
/// <param name="Readings">Their readings.</param>
public sealed record WearRecord(IReadOnlyList<WearPoint> Points, IReadOnlyList<WearVisit> Visits, IReadOnlyList<WearReading> Readings)
{
    /// <summary>Total hours today, by engine; the last visit's where missing.</summary>
    public IReadOnlyDictionary<string, double> NowHours { get; init; } = new Dictionary<string, double>();

    /// <summary>Gaps measured more than once with nothing done between, repeats and countersigned ones: they say how well readings repeat.</summary>
    public IReadOnlyList<WearGap> SameGaps { get; init; } = [];
}

/// <summary>One gap measured more than once: two readings or more.</summary>
public sealed record WearGap(IReadOnlyList<(string? Person, double Mm)> Readings);
