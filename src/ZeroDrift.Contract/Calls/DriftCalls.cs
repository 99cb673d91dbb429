using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Contract.Calls;

public static class DriftCalls
{
    private const int MostPoints = 5000;
    private const int MostReadings = 200_000;

    public static DriftResponse Drift(DriftRequest request)
    {
        var points = Given.List(request.Points, "points", "the points with their readings", MostPoints);
        var own = new List<OwnRate?>();
        var names = new HashSet<string>();
        var total = 0;
        for (var i = 0; i < points.Count; i++)
        {
            var id = Given.Text(points[i].Id, $"points[{i}].id", "a name for the point");
            if (!names.Add(id)) throw new BadInputException($"points[{i}].id", $"Two points are called {id}; give each its own name.");
            var readings = Given.List(points[i].Readings, $"points[{i}].readings", "the point's readings", MostReadings);
            if ((total += readings.Count) > MostReadings) throw new BadInputException("points", $"At most {MostReadings} readings are taken at once.");
            own.Add(Own(readings, i));
        }
        var pooled = new PooledRate[points.Count];
        var groups = new List<DriftGroupResponse>();
        foreach (var group in Enumerable.Range(0, points.Count).GroupBy(i => points[i].Group ?? ""))
        {
            var members = group.ToList();
            var pool = RatePool.Of([.. members.Select(i => own[i]?.Rate)]);
            for (var k = 0; k < members.Count; k++) pooled[members[k]] = pool.Points[k];
            groups.Add(new DriftGroupResponse(group.Key, pool.Group?.Mean * 1000, Root(pool.Group?.VarianceOfMean) * 1000, Root(pool.Group?.TauSquared) * 1000));
        }
        return new DriftResponse(
            [.. points.Select((p, i) => new DriftPointResponse(p.Id!.Trim(), p.Group ?? "", RateResponse.Of(own[i]?.Rate), own[i]?.BirgeRatio ?? 1, RateResponse.Of(pooled[i].Rate), pooled[i].UnlikeSiblings))],
            groups);
    }

    public static ForecastResponse Forecast(ForecastRequest request)
    {
        var points = Given.List(request.Points, "points", "the points to look ahead for", 500);
        var forecasts = points.Select(Point).ToList();
        var risk = request.Risk ?? HoursToRisk.DefaultRisk;
        var horizon = request.HorizonHours ?? HoursToRisk.DefaultHorizonHours;
        var result = HoursToRisk.Of(forecasts, risk, horizon);
        return new ForecastResponse(result.Hours, result.DecidedBy, result.Side,
            [.. result.Points.Select((p, i) => new ForecastPointResponse(p.Id, p.Hours, p.Side, Aim(points[i].SetMm, forecasts[i], i, risk / points.Count, horizon)))]);
    }

    private static AimOffResponse? Aim(double? setMm, PointForecast point, int index, double risk, double horizon)
    {
        if (setMm is not { } set) return null;
        if (!point.Window.Holds(set)) throw new BadInputException($"points[{index}].setMm", "The figure to set must lie in the window.");
        var aim = AimOff.Best(point, Clearance.OfMm(set, $"points[{index}].setMm"), AimOff.LeastUncertaintyMm, risk, horizon);
        return new AimOffResponse(aim.AimMm, aim.HoursAtAim, aim.HoursAtBook, aim.Gain(horizon));
    }

    private static OwnRate? Own(IReadOnlyList<DriftReadingRequest> readings, int point)
    {
        try
        {
            return OwnRate.Fit([.. readings.Select((r, i) => new DriftReading(
                r.Run ?? throw new BadInputException($"readings[{i}].run", "Number the run: it counts up at each setting of the point."),
                EngineHours.Of(Given.Number(r.Hours, $"readings[{i}].hours", "the engine hours"), $"readings[{i}].hours"),
                Given.Clearance(r.ClearanceMm, $"readings[{i}].clearanceMm", "The clearance"),
                Given.Number(r.StandardUncertaintyMm, $"readings[{i}].standardUncertaintyMm", "the standard uncertainty in mm")))]);
        }
        catch (BadInputException bad)
        {
            throw bad.Inside($"points[{point}]");
        }
    }

    private static PointForecast Point(ForecastPointRequest p, int i)
    {
        var field = $"points[{i}]";
        var rate = new Rate(
            Given.Number(p.MmPer1000h, field + ".mmPer1000h", "the rate in mm per 1000 h") / 1000,
            Given.Number(p.StandardErrorMmPer1000h, field + ".standardErrorMmPer1000h", "the rate's standard error in mm per 1000 h") / 1000);
        return new PointForecast(
            Given.Text(p.Id, field + ".id", "a name for the point"),
            Given.Clearance(p.ClearanceMm, field + ".clearanceMm", "The clearance"),
            Given.Number(p.StandardUncertaintyMm, field + ".standardUncertaintyMm", "its standard uncertainty in mm"),
            rate,
            (p.CovarianceMm2Per1000h ?? 0) / 1000,
            Window.Of(
                Given.Number(p.MinMm, field + ".minMm", "the window's lower limit in mm"),
                Given.Number(p.MaxMm, field + ".maxMm", "the window's upper limit in mm"),
                field + ".minMm",
                field + ".maxMm"));
    }

    private static double? Root(double? variance) => variance is { } v ? Math.Sqrt(v) : null;
}
