using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Contract.Calls;

/// <summary>A group of engines fitted at once, and what it says of each.</summary>
public static class OutlookCall
{
    private const int MostReadings = 5000;

    /// <summary>An engine's visits are solved together: their number counts by its cube.</summary>
    private const int MostVisits = 500;

    public static OutlookResponse Outlook(OutlookRequest request)
    {
        var points = Given.List(request.Points, "points", "the points", MostReadings).Select(Point).ToList();
        var visits = Given.List(request.Visits, "visits", "the visits", MostReadings).Select(Visit).ToList();
        var readings = Given.List(request.Readings, "readings", "the readings", MostReadings).Select(Reading).ToList();
        if (visits.GroupBy(v => v.Engine).FirstOrDefault(g => g.Count() > MostVisits) is { } many)
            throw new BadInputException("visits", $"At most {MostVisits} visits of one engine are taken at once; {many.Key} has {many.Count()}.");
        foreach (var (engine, now) in request.Now ?? new Dictionary<string, double>())
        {
            if (!points.Exists(p => p.Engine == engine) && !visits.Exists(v => v.Engine == engine)) throw new BadInputException($"now.{engine}", $"There is no engine called {engine} among the points.");
            EngineHours.Of(now, $"now.{engine}");
        }
        var risk = Given.InRange(request.Risk, 1e-6, 0.999999, "risk", "The risk") ?? HoursToRisk.DefaultRisk;
        var cost = request.BreachCost is { } c ? Given.Above(c, 0, 1e6, "breachCost", "What a valve out of its limits costs", "overheads") : OpeningPlan.DefaultBreachCost;
        var horizon = request.HorizonHours is { } h ? Given.Above(h, 0, 200_000, "horizonHours", "The horizon", "h") : HoursToRisk.DefaultHorizonHours;
        var asked = request.RiskAtHours ?? [];
        if (asked.Count > 200) throw new BadInputException("riskAtHours", $"At most 200 hours are taken at once; {asked.Count} were given.");
        for (var i = 0; i < asked.Count; i++) EngineHours.Of(asked[i], $"riskAtHours[{i}]");
        foreach (var (engine, hours) in request.BookHours ?? new Dictionary<string, double?>())
        {
            if (!points.Exists(p => p.Engine == engine)) throw new BadInputException($"bookHours.{engine}", $"There is no engine called {engine} among the points.");
            if (hours is { } left) EngineHours.Of(left, $"bookHours.{engine}");
        }
        var fit = WearFit.Of(new WearRecord(points, visits, readings) { NowHours = request.Now ?? new Dictionary<string, double>() }, Options(request.Fixed, points.Select(p => p.Group).Distinct().Count()));
        var engines = fit.Engines;
        var shifts = engines.SelectMany(e => e.Visits).ToDictionary(v => v.Visit, StringComparer.Ordinal);
        var wear = engines.SelectMany(e => e.Points).ToDictionary(p => p.Id, StringComparer.Ordinal);
        var ahead = engines.SelectMany(e => e.Now.Points).ToDictionary(p => p.Id, StringComparer.Ordinal);
        var hazard = FleetHazard.Of(engines);
        return new OutlookResponse(
            [.. fit.Groups.Select(g => new OutlookGroupResponse(g.Group, g.MmPer1000h, g.StandardErrorMmPer1000h, g.TauMmPer1000h, g.EngineTauMmPer1000h, g.BeddingMm))],
            new OutlookComponentsResponse(fit.Components.ReadingSdMm, fit.Components.VisitSdMm, fit.Components.PersonSdMm),
            [.. fit.People.Select(p => new OutlookPersonResponse(p.Person, p.BiasMm, p.StandardErrorMm))],
            [.. visits.Where(v => shifts.ContainsKey(v.Id)).Select(v => shifts[v.Id]).Select(v => new OutlookVisitResponse(v.Visit, v.ShiftMm, v.StandardErrorMm, v.Odd))],
            [.. points.Select(p => wear[p.Id]).Select(p => Wear(p, ahead.GetValueOrDefault(p.Id)?.HoursTo(risk, horizon)))],
            [.. engines.Select(e => Engine(e, risk, cost, horizon, asked, hazard, request.BookHours?.GetValueOrDefault(e.Id)))]);
    }

    private static OutlookPointResponse Wear(PointWear p, double? hoursToRisk) => new(
        p.Id, p.LevelMm, p.LevelStandardErrorMm, p.MmPer1000h, p.StandardErrorMmPer1000h, p.FastProbability, p.ChangeProbability,
        p.Changed is { } since ? new OutlookChangeResponse(since.Visit, since.Hours, p.LastFoundZ) : null, p.LastFoundZ, p.FarOffProbability, p.IsDated, hoursToRisk);

    private static OutlookEngineResponse Engine(EngineWear engine, double risk, double cost, double horizon, IReadOnlyList<double> asked, FleetHazard hazard, double? bookHours)
    {
        var walk = new RiskWalk(engine.Now, horizon);
        var said = EngineVoice.Of(engine, walk, bookHours);
        var voice = new OutlookVoiceResponse(said.AtHours, said.Risk, said.IsRaised, [.. said.Points.Select(p => new OutlookVoicePointResponse(p.Point, p.P))], said.Named, said.FoundOut, said.LookAgain, said.IsOrdinary);
        // Of nothing that can be dated nothing is.
        if (engine.Now.Points.Count == 0) return new OutlookEngineResponse(engine.Id, engine.NowHours, [], null, null, null, null, null, null, null, null, voice);
        var plan = OpeningPlan.Of(walk, engine, risk, cost, horizon);
        var risks = asked.Select(h => new OutlookRiskResponse(h, walk.MostUpTo(h))).ToList();
        return new OutlookEngineResponse(
            engine.Id, engine.NowHours, risks, plan.HoursToRisk, plan.DecidedBy, plan.DecidedByHours, plan.DecidedByRisk, plan.Side, plan.OpenAfterHours, plan.CostPerHour * 1000,
            new OutlookHazardResponse(hazard.Per1000h, [.. risks.Select(r => r with { P = hazard.Risk(r.P, FleetHazard.Exposure(engine, r.Hours)) })]), voice);
    }

    private static WearPoint Point(OutlookPointRequest p, int i)
    {
        var field = $"points[{i}]";
        var window = p.MinMm is null && p.MaxMm is null
            ? (Window?)null
            : Window.Of(Given.Number(p.MinMm, field + ".minMm", "the window's lower limit in mm"), Given.Number(p.MaxMm, field + ".maxMm", "the window's upper limit in mm"), field + ".minMm", field + ".maxMm");
        var set = Clearance.OfMm(p.SetMm, field + ".setMm", "The figure to set");
        return new WearPoint(Given.Text(p.Id, field + ".id", "a name for the point"), Given.Text(p.Engine, field + ".engine", "its engine"), p.Group ?? "", window, set);
    }

    private static WearVisit Visit(OutlookVisitRequest v, int i) => new(
        Given.Text(v.Id, $"visits[{i}].id", "a name for the visit"),
        Given.Text(v.Engine, $"visits[{i}].engine", "its engine"),
        EngineHours.Of(Given.Number(v.Hours, $"visits[{i}].hours", "the engine hours"), $"visits[{i}].hours"),
        v.Person is null ? null : Given.Text(v.Person, $"visits[{i}].person", "who measured"),
        v.Warm ?? false);

    private static WearReading Reading(OutlookReadingRequest r, int i)
    {
        var field = $"readings[{i}]";
        return new WearReading(
            Given.Text(r.Point, field + ".point", "the point"),
            Given.Text(r.Visit, field + ".visit", "the visit"),
            r.Run ?? throw new BadInputException(field + ".run", "Number the run: it counts up at each setting of the point."),
            (r.Stage ?? throw new BadInputException(field + ".stage", "Say asFound or asLeft.")) == OutlookStage.AsLeft,
            Clearance.OfMm(r.ClearanceMm, field + ".clearanceMm"),
            Clearance.OfMm(r.LowerMm, field + ".lowerMm", "The lower bound"),
            Clearance.OfMm(r.UpperMm, field + ".upperMm", "The upper bound"),
            Given.Number(r.StandardUncertaintyMm, field + ".standardUncertaintyMm", "the standard uncertainty in mm"))
        {
            Person = r.Person is null ? null : Given.Text(r.Person, field + ".person", "who measured"),
            Confirmed = r.Confirmed ?? false,
        };
    }

    private static WearOptions Options(OutlookFixedRequest? held, int groups)
    {
        if (held is null) return new WearOptions();
        var start = WearComponents.Start(groups, false);
        return new WearOptions(held.Bedding ?? true, held.Mixture ?? true, held.HeavyTails ?? true)
        {
            Held = new WearComponents
            {
                ReadingSdMm = Sd(held.ReadingSdMm, "readingSdMm", 1e-6) ?? start.ReadingSdMm,
                VisitSdMm = Sd(held.VisitSdMm, "visitSdMm", 0) ?? start.VisitSdMm,
                PersonSdMm = Sd(held.PersonSdMm, "personSdMm", 0) ?? start.PersonSdMm,
                TauMmPer1000h = [.. Enumerable.Repeat(Sd(held.TauMm, "tauMm", 0) ?? start.TauMmPer1000h[0], groups)],
                EngineTauMmPer1000h = [.. Enumerable.Repeat(Sd(held.EngineTauMm, "engineTauMm", 0) ?? 0, groups)],
            },
        };
    }

    private static double? Sd(double? value, string field, double least) => Given.InRange(value, least, 10, "fixed." + field, "A standard deviation to hold");
}
