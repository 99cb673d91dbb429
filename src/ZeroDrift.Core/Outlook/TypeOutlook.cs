using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Outlook;

/// <summary>All engines of a type worked out together.</summary>
/// <param name="Engines">In the order given.</param>
/// <param name="Learned">What the group taught; null where there was nothing to learn from.</param>
public sealed record TypeFit(IReadOnlyList<EngineOutlook> Engines, TypeLearned? Learned);

/// <summary>What is kept of a type's fit.</summary>
/// <param name="Components">How far things stray.</param>
/// <param name="Shared">What all engines said of the group's rates and of the hands.</param>
/// <param name="Said">What each engine said of them, by engine.</param>
/// <param name="Groups">Rates by kind.</param>
/// <param name="People">The hands.</param>
/// <param name="Hazard">How often its valves begin to fail.</param>
public sealed record TypeLearned(WearComponents Components, SharedInformation Shared, IReadOnlyDictionary<string, SharedInformation> Said, IReadOnlyList<GroupWear> Groups, IReadOnlyList<HandBias> People, FleetHazard Hazard);

/// <summary>
/// Looks ahead for the engines of one type by one fit of all their readings: hours to the fleet's risk, when opening costs least, and the rule that
/// decides. One engine's impossible data is that engine's trouble and moves no other.
/// </summary>
public static class TypeOutlook
{
    /// <summary>A fifth of the fleet's risk: the near end of a runway's band.</summary>
    private const double EarlyShare = 0.2;

    /// <summary>All engines together: the group is fitted anew.</summary>
    /// <param name="engines">All engines of one type.</param>
    /// <param name="today">Today.</param>
    /// <param name="fleet">What the fleet has agreed on.</param>
    public static TypeFit Of(IReadOnlyList<EngineRecord> engines, DateOnly today, FleetRisk? fleet = null)
    {
        fleet ??= new FleetRisk();
        var trouble = new Dictionary<string, string>(StringComparer.Ordinal);
        var fit = Fit(engines, trouble);
        var wear = fit?.Engines.ToDictionary(e => e.Id, StringComparer.Ordinal) ?? [];
        var outlooks = new EngineOutlook[engines.Count];
        Parallel.For(0, engines.Count, i => outlooks[i] = Engine(engines[i], wear.GetValueOrDefault(engines[i].Id), today, fleet, trouble.GetValueOrDefault(engines[i].Id)));
        return new TypeFit(outlooks, fit is null ? null : new TypeLearned(fit.Components, fit.Shared, wear.Keys.ToDictionary(id => id, fit.Said, StringComparer.Ordinal), fit.Groups, fit.People, FleetHazard.Of(fit.Engines)));
    }

    /// <summary>One engine again with what its group taught: after a signature or a meter reading.</summary>
    /// <param name="engine">The engine.</param>
    /// <param name="components">How far things stray in its group.</param>
    /// <param name="others">What the others said of the shared unknowns.</param>
    /// <param name="today">Today.</param>
    /// <param name="fleet">What the fleet has agreed on.</param>
    /// <returns>Its outlook, and what it says of the shared unknowns now.</returns>
    public static (EngineOutlook Outlook, SharedInformation? Said) One(EngineRecord engine, WearComponents components, SharedInformation others, DateOnly today, FleetRisk fleet)
    {
        var record = WearOfRecords.Of([engine]);
        if (record.Readings.Count == 0) return (Engine(engine, null, today, fleet, null), null);
        try
        {
            var fit = WearFit.One(record, others, components);
            return (Engine(engine, fit.Engines[0], today, fleet, null), fit.Said(engine.Id));
        }
        catch (BadInputException bad)
        {
            return (Engine(engine, null, today, fleet, bad.Message), null);
        }
    }

    private static WearFit? Fit(IReadOnlyList<EngineRecord> engines, Dictionary<string, string> trouble)
    {
        var record = WearOfRecords.Of(engines);
        if (record.Readings.Count == 0) return null;
        try
        {
            return WearFit.Of(record);
        }
        catch (BadInputException) when (engines.Count > 1)
        {
            // Whose it is shows when each is tried alone.
            foreach (var engine in engines)
            {
                var own = new Dictionary<string, string>();
                Fit([engine], own);
                foreach (var (id, why) in own) trouble[id] = why;
            }
            return trouble.Count == 0 ? throw new InvalidOperationException("Each engine can be fitted, all together cannot.") : Fit([.. engines.Where(e => !trouble.ContainsKey(e.Id))], trouble);
        }
        catch (BadInputException bad)
        {
            trouble[engines[0].Id] = bad.Message;
            return null;
        }
    }

    private static EngineOutlook Engine(EngineRecord engine, EngineWear? wear, DateOnly today, FleetRisk fleet, string? trouble)
    {
        var books = engine.Points.Where(p => p.Spec is not null).ToDictionary(p => WearOfRecords.PointId(engine, p), p => p.Spec!.AimMm, StringComparer.Ordinal);
        var aims = wear is { KnowsRates: true } ? AimAhead.Of(wear, books, fleet.Risk) : new Dictionary<string, AimAhead>();
        var points = engine.Points.Select(point => Point(engine, point, wear, fleet, aims)).ToList();
        var findings = points.Where(p => p.Standing is VerdictState.Tight or VerdictState.Loose).OrderBy(p => p.Standing).ToList();
        if (wear is null || wear.Now.Points.Count == 0 || !wear.KnowsRates)
        {
            var plain = Due.Of(engine.Book, engine.HoursNow, today, engine.Usage, null, findings.Count > 0);
            return new EngineOutlook(engine.Id, plain, null, null, null, null, null, null, findings, points, wear?.Visits ?? []) { Trouble = trouble, ReadingVarianceMm2 = wear?.ReadingVarianceMm2 ?? 0, SharedSdMm = wear?.SharedSdMm ?? 0, Voice = wear is null ? EngineVoice.Silent : Voice(EngineVoice.Of(wear, new RiskWalk(wear.Now, HoursToRisk.DefaultHorizonHours), null)) };
        }
        var walk = new RiskWalk(wear.Now, HoursToRisk.DefaultHorizonHours);
        var plan = OpeningPlan.Of(walk, wear, fleet.Risk, fleet.BreachCost, HoursToRisk.DefaultHorizonHours);
        var due = Due.Of(engine.Book, engine.HoursNow, today, engine.Usage, Hours(fleet.PlainRisk ? plan.HoursToRisk : plan.OpenAfterHours), findings.Count > 0);
        var bookHours = due.BookHoursLeft(today, engine.Usage) is { } left ? Math.Clamp(left, 0, HoursToRisk.DefaultHorizonHours) : (double?)null;
        var asked = plan.HoursToRisk ?? plan.OpenAfterHours;
        var decides = asked is { } then ? wear.Now.Points.MaxBy(p => p.Out(then)) : null;
        return new EngineOutlook(
            engine.Id,
            due,
            Hours(plan.HoursToRisk),
            Hours(plan.OpenAfterHours),
            Hours(walk.FirstAt(fleet.Risk * EarlyShare)),
            Hours(walk.FirstAt(0.5)),
            Label(decides?.Id),
            decides?.Side(asked!.Value),
            findings,
            points,
            wear.Visits)
        {
            Trouble = trouble,
            RiskAtBook = bookHours is { } book ? walk.MostUpTo(book) : null,
            DecidedByHours = Hours(plan.DecidedByHours),
            DecidedByRisk = plan.DecidedByRisk,
            ExposureAtBook = bookHours is { } exposed ? FleetHazard.Exposure(wear, exposed) : null,
            Valves = wear.Now.Points.Count,
            Voice = Voice(EngineVoice.Of(wear, walk, bookHours)),
            ReadingVarianceMm2 = wear.ReadingVarianceMm2,
            SharedSdMm = wear.SharedSdMm,
        };

        EngineVoice Voice(EngineVoice said) => said with { Points = [.. said.Points.Select(p => p with { Point = Label(p.Point)! })], Named = Labels(said.Named), FoundOut = Labels(said.FoundOut), LookAgain = Labels(said.LookAgain) };
        IReadOnlyList<string> Labels(IReadOnlyList<string> ids) => [.. ids.Select(id => Label(id)!)];
        string? Label(string? id) => id?[(engine.Id.Length + 1)..];
        static EngineHours? Hours(double? hours) => hours is { } h ? EngineHours.Near(h) : null;
    }

    private static PointOutlook Point(EngineRecord engine, PointRecord point, EngineWear? wear, FleetRisk fleet, IReadOnlyDictionary<string, AimAhead> aims)
    {
        var id = WearOfRecords.PointId(engine, point);
        var ahead = wear?.Ahead(id);
        // One visit shows no rate.
        var known = wear?.KnowsRates ?? false;
        var own = !known ? null : ahead?.HoursTo(fleet.Risk, HoursToRisk.DefaultHorizonHours);
        var standing = Standing(point);
        return new PointOutlook(point.Label, known ? wear!.Points.FirstOrDefault(p => p.Id == id) : null, ahead, standing, own is { } hours ? EngineHours.Near(hours) : null, own is { } at ? ahead!.Side(at) : null)
        {
            Shown = Shown(point, standing, ahead),
            Aim = aims.GetValueOrDefault(id),
            FromHere = known ? wear!.FreshFrom(id) : null,
        };
    }

    private static ShownFigure? Shown(PointRecord point, VerdictState? standing, PointAhead? ahead)
    {
        if (standing is VerdictState.Tight or VerdictState.Loose || ahead is null)
            return (point.Standing?.EstimateMm ?? point.Standing?.UpperMm ?? point.Standing?.LowerMm) is { } mm ? new ShownFigure(mm, standing, false) : null;
        var expected = ahead.MeanMm(0);
        VerdictState? state = expected < ahead.Window.MinMm ? VerdictState.Tight : expected > ahead.Window.MaxMm ? VerdictState.Loose : null;
        return new ShownFigure(expected, state, true);
    }

    private static VerdictState? Standing(PointRecord point)
    {
        if (point is not { Standing: { } reading, Spec: { } spec }) return null;
        IReadOnlyList<BladeTrial> touch = point.StandingDragged && reading.EstimateMm is { } mm ? [new BladeTrial([mm], Feel.Drag)] : [];
        return Judgement.Of(reading, touch, spec).State;
    }
}
