using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Outlook;

/// <summary>All engines of a type worked out together.</summary>
/// <param name="Engines">In the order given.</param>
/// <param name="Groups">The components of each group that was pooled, by its name.</param>
public sealed record TypeFit(IReadOnlyList<EngineOutlook> Engines, IReadOnlyDictionary<string, RandomEffects> Groups);

/// <summary>
/// Looks ahead for the engines of one type, whose rates are pooled by kind: own rate per point, pool, forecast from the last accepted figure,
/// hours to the fleet's risk, and the rule that decides. One engine's impossible data is that engine's trouble and moves no other.
/// </summary>
public static class TypeOutlook
{
    /// <summary>All engines together: the groups are fitted anew.</summary>
    /// <param name="engines">All engines of one type.</param>
    /// <param name="today">Today.</param>
    /// <param name="risk">The fleet's risk, above 0, below 1.</param>
    public static TypeFit Of(IReadOnlyList<EngineRecord> engines, DateOnly today, double risk = HoursToRisk.DefaultRisk)
    {
        var entries = engines.SelectMany(engine => engine.Points.Select(point => Entry.Of(engine, point))).ToList();
        var troubled = entries.Where(e => e.Trouble is not null).Select(e => e.Engine).ToHashSet();
        var groups = new Dictionary<string, RandomEffects>(StringComparer.Ordinal);
        foreach (var group in entries.Where(e => !troubled.Contains(e.Engine)).GroupBy(e => e.Point.Group))
        {
            var members = group.ToList();
            var pool = RatePool.Of([.. members.Select(e => e.Own?.Rate)]);
            for (var i = 0; i < members.Count; i++) members[i].Pooled = pool.Points[i];
            if (pool.Group is { } fitted) groups[group.Key] = fitted;
        }
        var byEngine = entries.ToLookup(e => e.Engine);
        return new TypeFit([.. engines.Select(engine => Engine(engine, [.. byEngine[engine]], today, risk))], groups);
    }

    /// <summary>One engine again with the components its groups have: after a signature or a meter reading.</summary>
    public static EngineOutlook One(EngineRecord engine, IReadOnlyDictionary<string, RandomEffects> groups, DateOnly today, double risk = HoursToRisk.DefaultRisk)
    {
        var entries = engine.Points.Select(point => Entry.Of(engine, point)).ToList();
        foreach (var entry in entries)
            entry.Pooled = groups.TryGetValue(entry.Point.Group, out var group) ? RatePool.With(entry.Own?.Rate, group) : new PooledRate(entry.Own?.Rate, false, 0);
        return Engine(engine, entries, today, risk);
    }

    private static EngineOutlook Engine(EngineRecord engine, IReadOnlyList<Entry> entries, DateOnly today, double risk)
    {
        var trouble = entries.Select(e => e.Trouble).FirstOrDefault(t => t is not null);
        if (trouble is null)
        {
            try
            {
                return Engine(engine, [.. entries.Select(e => e.Look(risk))], today, risk, null);
            }
            catch (BadInputException bad)
            {
                trouble = bad.Message;
            }
        }
        return Engine(engine, [.. entries.Select(e => e.WithoutRate())], today, risk, trouble);
    }

    private static EngineOutlook Engine(EngineRecord engine, IReadOnlyList<PointOutlook> points, DateOnly today, double risk, string? trouble)
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
            points)
        { Trouble = trouble };
    }

    private sealed class Entry(EngineRecord engine, PointRecord point, DriftHistory history)
    {
        public EngineRecord Engine => engine;

        public PointRecord Point => point;

        public OwnRate? Own { get; private set; }

        public string? Trouble { get; private set; }

        public PooledRate? Pooled { get; set; }

        public static Entry Of(EngineRecord engine, PointRecord point)
        {
            var entry = new Entry(engine, point, DriftHistory.Of(point.Visits));
            try
            {
                entry.Own = OwnRate.Fit(entry.history.Readings);
            }
            catch (BadInputException bad)
            {
                entry.Trouble = $"{point.Label}: {bad.Message}";
            }
            return entry;
        }

        private readonly DriftHistory history = history;

        public PointOutlook Look(double risk)
        {
            var forecast = Forecast();
            var own = forecast is null ? null : HoursToRisk.Alone(forecast, risk);
            return new PointOutlook(point.Label, Own, Pooled!.Rate, Pooled.UnlikeSiblings, forecast, Standing(), own?.Hours, own?.Side) { Shown = Shown(forecast) };
        }

        public PointOutlook WithoutRate() => new(point.Label, null, null, false, null, Standing(), null, null) { Shown = Shown(null) };

        private ShownFigure? Shown(PointForecast? forecast)
        {
            var standing = Standing();
            if (standing is VerdictState.Tight or VerdictState.Loose || forecast is null)
                return (point.Standing?.EstimateMm ?? point.Standing?.UpperMm ?? point.Standing?.LowerMm) is { } mm ? new ShownFigure(mm, standing, false) : null;
            var expected = forecast.MeanMm(0);
            VerdictState? state = expected < forecast.Window.MinMm ? VerdictState.Tight : expected > forecast.Window.MaxMm ? VerdictState.Loose : null;
            return new ShownFigure(expected, state, true);
        }

        private VerdictState? Standing()
        {
            if (point is not { Standing: { } reading, Spec: { } spec }) return null;
            IReadOnlyList<BladeTrial> touch = point.StandingDragged && reading.EstimateMm is { } mm ? [new BladeTrial([mm], Feel.Drag)] : [];
            return Judgement.Of(reading, touch, spec).State;
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
