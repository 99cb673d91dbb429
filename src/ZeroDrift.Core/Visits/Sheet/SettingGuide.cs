using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Visits.Sheet;

/// <summary>
/// How a point is set in the manner of whoever sets it: the blades it takes, and what to do with them. The same for every adjuster that a nut holds: screws,
/// bolts in a follower, eccentrics, engine brakes. Common practice.
/// </summary>
/// <param name="Manner">The manner in force.</param>
/// <param name="SetBlade">The blade that stands for the figure, as written; null where the tray has none.</param>
/// <param name="SizeUp">The next thicker one; null where there is none, or the manner has no use for it.</param>
public sealed record SettingGuide(SettingManner Manner, string? SetBlade, string? SizeUp)
{
    /// <summary>Of a point with a gap; null for shims and for what is set by an amount.</summary>
    public static SettingGuide? Of(Visit visit, PointWork point)
    {
        if (visit.DemandOf(point) is not Demand.Gap gap || point.Point.Adjuster is Adjuster.Shim) return null;
        var set = Blade(visit.Tray, gap);
        return new SettingGuide(visit.Schools.Manner, set, visit.Schools.Manner == SettingManner.OneSizeUp && visit.Tray is { } tray ? Thicker(tray, set, gap.AimMm) : null);
    }

    /// <summary>The blade of a tray that stands for the figure to set.</summary>
    public static string? Blade(Tray? tray, Demand.Gap gap) => tray is null ? null : BladeOfFigure.In(tray.BladesMm, tray.Unit, gap.AimMm, gap.Unit) is { } i ? tray.Blades[i] : null;

    private static string? Thicker(Tray tray, string? set, double aimMm)
    {
        var mm = set is null ? aimMm : tray.BladesMm[tray.Blades.ToList().IndexOf(set)];
        return tray.Blades.Zip(tray.BladesMm).Where(b => b.Second > mm + 1e-6).OrderBy(b => b.Second).Select(b => b.First).FirstOrDefault();
    }
}

/// <summary>The two blades of a go/no-go pair, as the tray has them: when both are as they should be, one tap says it.</summary>
/// <param name="Go">The blade that goes.</param>
/// <param name="NoGo">The blade that does not.</param>
public sealed record GatePair(string Go, string NoGo)
{
    /// <summary>Of a pair whose blades are both in the tray; null else.</summary>
    public static GatePair? Of(Tray? tray, Demand.Gap? gap) => tray is not null && gap is { IsPair: true }
        && BladeOfFigure.In(tray.BladesMm, tray.Unit, gap.Window.MinMm, gap.Unit) is { } go && BladeOfFigure.In(tray.BladesMm, tray.Unit, gap.Window.MaxMm, gap.Unit) is { } noGo && go != noGo
            ? new GatePair(tray.Blades[go], tray.Blades[noGo]) : null;
}
