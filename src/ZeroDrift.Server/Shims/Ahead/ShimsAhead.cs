using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Shims;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Outlooks;
using ZeroDrift.Data.Shims;

namespace ZeroDrift.Server.Shims.Ahead;

/// <summary>What the record knows of one engine's shims, and what drift makes of it.</summary>
internal sealed class ShimsAhead
{
    private const double FiveToNinetyFive = 2 * 1.6449;
    private readonly EngineType core;
    private readonly OutlookContent outlook;
    private readonly IReadOnlyList<ShimVisit> history;

    private ShimsAhead(EngineRow engine, EngineTypeRow type, OutlookContent outlook, IReadOnlyList<ShimVisit> history)
    {
        (Engine, Type, this.outlook, this.history) = (engine, type, outlook, history);
        core = type.ToCore();
        Access = type.Points.Select(p => p.Adjuster.ShimAccess()).First(a => a is not null)!.Value;
    }

    public EngineRow Engine { get; }
    public EngineTypeRow Type { get; }
    public ShimAccess Access { get; }

    /// <summary>Loads one; null where the engine has no shims, or is archived.</summary>
    public static async Task<ShimsAhead?> LoadAsync(ZeroDriftContext data, Guid engineId, DateOnly today, CancellationToken cancelled = default) => (await LoadAsync(data, [engineId], today, cancelled)).GetValueOrDefault(engineId);

    /// <summary>Those of some engines that have shims.</summary>
    public static async Task<IReadOnlyDictionary<Guid, ShimsAhead>> LoadAsync(ZeroDriftContext data, IReadOnlyCollection<Guid> engineIds, DateOnly today, CancellationToken cancelled = default)
    {
        var engines = await data.Engines.AsNoTracking().Where(e => engineIds.Contains(e.Id) && e.ArchivedAt == null).ToListAsync(cancelled);
        var typeIds = engines.Select(e => e.EngineTypeId).ToHashSet();
        var types = (await data.WholeTypes.Where(t => typeIds.Contains(t.Id)).ToListAsync(cancelled)).Where(t => t.Points.Exists(p => p.Adjuster.ShimAccess() is not null)).ToDictionary(t => t.Id);
        var shimmed = engines.Where(e => types.ContainsKey(e.EngineTypeId)).ToList();
        var ids = shimmed.Select(e => e.Id).ToList();
        var outlooks = await data.Outlooks.AsNoTracking().Where(o => ids.Contains(o.EngineId)).ToDictionaryAsync(o => o.EngineId, o => OutlookContent.Of(o.Content).On(today), cancelled);
        var history = await ShimHistory.OfAsync(data, ids);
        return shimmed.ToDictionary(e => e.Id, e => new ShimsAhead(e, types[e.EngineTypeId], outlooks[e.Id], [.. history[e.Id]]));
    }

    private IEnumerable<LashPoint> Shimmed => core.Points.Where(p => p.Adjuster is Adjuster.Shim);

    /// <summary>Every point's shim and what is left of it.</summary>
    public IReadOnlyList<ShimPointAhead> Points => [.. Shimmed.Select(point =>
    {
        var known = history.Last(point.Label);
        var gap = Gap(point.Label);
        var left = Left(point);
        return new ShimPointAhead(point.Label, point.Kind, point.Bank, known?.Shim.ShimMm, known?.Shim.KnownBy, known?.Date, gap, left?.Left.RecessionMm, left?.Since, left?.Left.LeftMm, left?.Left.Towards, left?.Left.Hours);
    })];

    public IReadOnlyList<HeadLeft> Heads => HeadLeft.Of(Shimmed.Select(Left).OfType<PointLeft>());

    /// <summary>Where every point is expected after so many more hours; points without a known shim or a figure are left out.</summary>
    public IReadOnlyList<PointAtNext> After(double hours) => [.. Shimmed.Select(p => After(p, hours)).OfType<PointAtNext>()];

    private PointAtNext? After(LashPoint point, double hours)
    {
        if (history.Last(point.Label)?.Shim.ShimMm is not { } fitted || outlook.Point(point.Label) is not { MinMm: { } min, MaxMm: { } max } ahead) return null;
        // What was found out and not set yet is wanted for certain, whatever the forecast makes of its figure.
        var found = outlook.Findings.FirstOrDefault(f => f.Point == point.Label)?.Mm;
        if ((found is { } stands ? (stands, Core.Measuring.Reading.DefaultFeelSdMm) : Expected(ahead, hours)) is not { } expected) return null;
        var shim = (Adjuster.Shim)point.Adjuster;
        var window = Window.Of(Clearance.OfMm(min), Clearance.OfMm(max));
        return new PointAtNext(point.Label, expected.Mm, Math.Max(expected.Sd, 0.005), fitted, window, ahead.SetMm ?? (min + max) / 2, shim.ShimPerClearance, shim.SizesMm);
    }

    /// <summary>From the forecast as it is drawn; without one, what is expected today.</summary>
    private static (double Mm, double Sd)? Expected(PointContent ahead, double hours)
    {
        if (ahead.Fan is { Count: > 1 } fan)
        {
            var next = fan.FirstOrDefault(f => f.Hours >= hours) ?? fan[^1];
            var before = fan.LastOrDefault(f => f.Hours <= hours) ?? fan[0];
            var part = next.Hours > before.Hours ? (hours - before.Hours) / (next.Hours - before.Hours) : 0;
            double Between(Func<Core.Drift.FanStep, double> of) => of(before) + Math.Clamp(part, 0, 1) * (of(next) - of(before));
            return (Between(f => f.MeanMm), Between(f => f.HighMm - f.LowMm) / FiveToNinetyFive);
        }
        return ahead is { ExpectedMm: { } mm, ExpectedSdMm: { } sd } ? (mm, sd) : ahead.LastMm is { } last ? (last, Core.Measuring.Reading.DefaultFeelSdMm) : null;
    }

    /// <summary>From the build on, or from the first visit after it that tells both shim and gap.</summary>
    private PointLeft? Left(LashPoint point)
    {
        var mine = history.Where(v => !v.OutOfTrend).Select(v => (v.Date, Point: v.Points.FirstOrDefault(p => p.Point == point.Label))).Where(v => v.Point is not null).ToList();
        var anew = mine.FindLastIndex(v => v.Point!.PartChanged);
        var told = mine.Skip(Math.Max(0, anew)).Where(v => v.Point is { ShimMm: not null, GapMm: not null }).ToList();
        if (told.Count == 0) return null;
        var shim = (Adjuster.Shim)point.Adjuster;
        var (first, last) = (told[0], told[^1]);
        var ahead = outlook.Point(point.Label);
        var series = shim.SizesMm.Count > 0 ? (shim.SizesMm.Min(), shim.SizesMm.Max()) : (last.Point!.ShimMm!.Value, last.Point.ShimMm.Value);
        var left = AdjustmentLeft.Of((first.Point!.ShimMm!.Value, Clearance.OfMm(first.Point.GapMm!.Value)), (last.Point!.ShimMm!.Value, Clearance.OfMm(last.Point.GapMm!.Value)), series, ahead.MmPer1000h ?? 0, ahead.StandardErrorMmPer1000h ?? 0, shim.ShimPerClearance);
        return new PointLeft(point.Label, point.Kind, point.Bank, left, first.Date);
    }

    private double? Gap(string label) => history.Reverse().Select(v => v.Points.FirstOrDefault(p => p.Point == label)?.GapMm).FirstOrDefault(mm => mm is not null);
}
