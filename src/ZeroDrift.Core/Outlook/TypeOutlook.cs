using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Outlook;

/// <summary>
/// Looks ahead for all engines of one type together, because their rates are pooled by kind: own rate per point, pool, forecast from the last
/// accepted figure, hours to the fleet's risk, and the rule that decides.
/// </summary>
public static class TypeOutlook
{
    /// <summary>The outlook of each engine, in the order given.</summary>
    /// <param name="engines">All engines of one type.</param>
    /// <param name="today">Today.</param>
    /// <param name="risk">The fleet's risk, above 0, below 1.</param>
    public static IReadOnlyList<EngineOutlook> Of(IReadOnlyList<EngineRecord> engines, DateOnly today, double risk = HoursToRisk.DefaultRisk)
    {
        var entries = engines.SelectMany(engine => engine.Points.Select(point => Entry.Of(engine, point))).ToList();
        foreach (var group in entries.GroupBy(e => e.Point.Group))
        {
            var members = group.ToList();
            var pool = RatePool.Of([.. members.Select(e => e.Own?.Rate)]);
            for (var i = 0; i < members.Count; i++) members[i].Pooled = pool.Points[i];
        }
        var byEngine = entries.ToLookup(e => e.Engine);
        return [.. engines.Select(engine => Engine(engine, [.. byEngine[engine].Select(e => e.Look(risk))], today, risk))];
    }

    private static EngineOutlook Engine(EngineRecord engine, IReadOnlyList<PointOutlook> points, DateOnly today, double risk)
    {
        var forecasts = points.Where(p => p.Forecast is not null).Select(p => p.Forecast!).ToList();
        var drift = forecasts.Count > 0 ? HoursToRisk.Of(forecasts, risk) : null;
        var findings = points.Where(p => p.Standing is VerdictState.Tight or VerdictState.Loose).OrderBy(p => p.Standing).ToList();
        var due = Due.Of(engine.Book, engine.HoursNow, today, engine.Usage, drift?.Hours, findings.Count > 0);
        return new EngineOutlook(
            engine.Id,
            due,
            drift?.Hours,
            forecasts.Count > 0 ? HoursToRisk.Of(forecasts, risk / 5).Hours : null,
            forecasts.Count > 0 ? HoursToRisk.Of(forecasts, 0.5).Hours : null,
            drift?.DecidedBy,
            drift?.Side,
            findings,
            points);
    }

    private sealed class Entry(EngineRecord engine, PointRecord point, DriftHistory history)
    {
        public EngineRecord Engine => engine;

        public PointRecord Point => point;

        public OwnRate? Own { get; } = OwnRate.Fit(history.Readings);

        public PooledRate? Pooled { get; set; }

        public static Entry Of(EngineRecord engine, PointRecord point) => new(engine, point, DriftHistory.Of(point.Visits));

        public PointOutlook Look(double risk)
        {
            var standing = point is { Standing: { } reading, Spec: { } spec } ? Verdict.Judge(reading, spec.Window).State : (VerdictState?)null;
            var forecast = Forecast();
            var own = forecast is null ? null : HoursToRisk.Alone(forecast, risk);
            return new PointOutlook(point.Label, Own, Pooled!.Rate, Pooled.UnlikeSiblings, forecast, standing, own?.Hours, own?.Side);
        }

        private PointForecast? Forecast()
        {
            if (history.Last is not { } last || point.Spec is null || Pooled?.Rate is not { } rate) return null;
            return new PointForecast(point.Label, last.ClearanceMm, last.StandardUncertaintyMm, rate, history.Covariance(Own, Pooled.Shrinkage), point.Spec.Window)
            {
                AgeHours = Math.Max(0, engine.HoursNow - last.Hours),
            };
        }
    }
}
