using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Planning.Shims.Bench;

/// <summary>How far a point is from having its shim decided.</summary>
public enum BenchStanding
{
    /// <summary>Gap and shim are known: it has its shim.</summary>
    Placed,

    /// <summary>Not measured yet, or cut since it was.</summary>
    NotMeasured,

    /// <summary>The book gives no gap for it.</summary>
    NotJudged,

    /// <summary>No gap at all: a thinner shim first, so that there is one to measure.</summary>
    ClosedUp,

    /// <summary>Only one end of the gap is known.</summary>
    MeasureOn,

    /// <summary>Nobody knows how thick the shim is: measured before it may be moved.</summary>
    ShimUnknown,
}

/// <summary>What a bench knows of one point.</summary>
/// <param name="Id">Its label; of several engines with the engine's name before it.</param>
/// <param name="Adjuster">Its shim's series, access and ratio.</param>
/// <param name="Demand">What the book asks; null where it asks no gap.</param>
/// <param name="Gap">What was measured with the shim that is there; null before.</param>
/// <param name="FittedMm">How thick that is; null where nobody knows.</param>
/// <param name="AimMm">Where to leave it instead of the book's figure, inside the window; null for the book's.</param>
public sealed record BenchPoint(string Id, Adjuster.Shim Adjuster, Demand.Gap? Demand, Reading? Gap, double? FittedMm, double? AimMm = null)
{
    /// <summary>How far it is.</summary>
    public BenchStanding Standing => (Demand, Gap) switch
    {
        (null, _) => BenchStanding.NotJudged,
        (_, null or { EstimateMm: null, LowerMm: null, UpperMm: null }) => BenchStanding.NotMeasured,
        ({ } demand, { MiddleMm: null, UpperMm: { } upper }) when upper <= demand.Window.MinMm + 1e-9 => BenchStanding.ClosedUp,
        (_, { MiddleMm: null }) => BenchStanding.MeasureOn,
        _ => FittedMm is null ? BenchStanding.ShimUnknown : BenchStanding.Placed,
    };

    /// <summary>The ends of the gap: the same figure twice where it is one. Only of a point that has a middle.</summary>
    public (double FromMm, double ToMm) Ends => Gap!.IsBracket ? (Gap.LowerMm!.Value, Gap.UpperMm!.Value) : (Gap.MiddleMm!.Value, Gap.MiddleMm.Value);

    /// <summary>The figure aimed at.</summary>
    public double TargetMm => AimMm ?? Demand!.AimMm;

    /// <summary>For the allocation; only of a placed point.</summary>
    internal ShimPoint ToAllocate() => new(Id, FittedMm!.Value, Ends.FromMm, Ends.ToMm, Demand!.Window, TargetMm, Adjuster.ShimPerClearance);
}

/// <summary>What a point gets at the bench, and why.</summary>
/// <param name="Point">The point.</param>
/// <param name="Shim">Its shim; null unless placed.</param>
/// <param name="Wanted">The sizes that may and that surely do; null where no shim is known to compute from.</param>
/// <param name="ThinnerMm">Closed up: the one to fit first, so that there is a gap to measure; null where none at hand is thin enough.</param>
/// <param name="Why">In one sentence.</param>
/// <param name="Short">Where nothing fits: how far short, and what can be done.</param>
/// <param name="Options">Every size it could get, the nearest to its figure first; empty unless placed.</param>
public sealed record BenchRow(BenchPoint Point, AllocatedShim? Shim, Core.Setting.ShimRange? Wanted, double? ThinnerMm, string Why, Core.Shims.NothingFits? Short, IReadOnlyList<BenchOption> Options);

/// <summary>A size that a point could get.</summary>
/// <param name="ShimMm">Its thickness.</param>
/// <param name="PredictedMm">The gap expected with it.</param>
/// <param name="InWindow">Whether that surely lies in the window.</param>
/// <param name="Own">It is the one that sits there.</param>
/// <param name="Points">Other points that have one.</param>
/// <param name="Loose">How many lie in the drawers.</param>
/// <param name="CanBuy">It can be bought.</param>
public sealed record BenchOption(double ShimMm, double PredictedMm, bool InWindow, bool Own, IReadOnlyList<string> Points, int Loose, bool CanBuy);
