using ZeroDrift.Core.Hours;

namespace ZeroDrift.Core.Drift;

/// <summary>When one point's own risk is reached.</summary>
/// <param name="Id">The point.</param>
/// <param name="Hours">Engine hours from now; 0 if it is there already; null where not within the horizon.</param>
/// <param name="Side">The limit it is reached at; null with <paramref name="Hours"/>.</param>
public sealed record PointRisk(string Id, EngineHours? Hours, LimitSide? Side);

/// <summary>When an engine's risk of standing with some valve outside its window is reached.</summary>
/// <param name="Hours">Engine hours from now; null where not within the horizon.</param>
/// <param name="DecidedBy">The point most likely to be out then.</param>
/// <param name="Side">At which limit.</param>
/// <param name="Points">Each point by its own probability.</param>
public sealed record HoursToRisk(EngineHours? Hours, string? DecidedBy, LimitSide? Side, IReadOnlyList<PointRisk> Points)
{
    /// <summary>How far ahead is looked unless said otherwise, engine hours.</summary>
    public const double DefaultHorizonHours = 50_000;

    /// <summary>The fleet's risk unless said otherwise.</summary>
    public const double DefaultRisk = 0.05;

    private const int ScanSteps = 400;

    /// <summary>
    /// The first hours at which 1 − Π(1 − p) reaches <paramref name="risk"/>: p may fall before it rises, so the horizon is scanned
    /// and the first step that crosses is halved down. Points share μ, which the product ignores: a little early, on the safe side.
    /// </summary>
    /// <param name="points">1 to 500.</param>
    /// <param name="risk">Above 0, below 1.</param>
    /// <param name="horizonHours">Above 0 to 1,000,000.</param>
    /// <exception cref="BadInputException">A figure outside its range, or two points of one name.</exception>
    public static HoursToRisk Of(IReadOnlyList<PointForecast>? points, double risk = DefaultRisk, double horizonHours = DefaultHorizonHours)
    {
        Require.Filled(points, 500, "points", "the points to look ahead for");
        if (!(risk > 0 && risk < 1)) throw new BadInputException("risk", $"The risk must be between 0 and 1, such as 0.05; {Require.Text(risk)} was given.");
        Require.Above(horizonHours, 0, EngineHours.Most, "horizonHours", "The horizon", "h");
        var names = new HashSet<string>();
        for (var i = 0; i < points!.Count; i++)
        {
            points[i].Check($"points[{i}]");
            if (!names.Add(points[i].Id)) throw new BadInputException($"points[{i}].id", $"Two points are called {points[i].Id}; give each its own name.");
        }
        var each = points.Select(point => Alone(point, risk, horizonHours)).ToList();
        var hours = FirstCrossing(h => SomeOut(points, h), risk, horizonHours);
        if (hours is not { } at) return new HoursToRisk(null, null, null, each);
        var decides = points.MaxBy(point => point.Out(at))!;
        return new HoursToRisk(EngineHours.Near(at), decides.Id, decides.Side(at), each);
    }

    /// <summary>One point by its own probability.</summary>
    public static PointRisk Alone(PointForecast point, double risk = DefaultRisk, double horizonHours = DefaultHorizonHours) =>
        FirstCrossing(point.Out, risk, horizonHours) is { } hours ? new PointRisk(point.Id, EngineHours.Near(hours), point.Side(hours)) : new PointRisk(point.Id, null, null);

    /// <summary>Probability that at least one point stands outside its window after <paramref name="hours"/> more.</summary>
    public static double SomeOut(IReadOnlyList<PointForecast> points, double hours)
    {
        var allIn = 1.0;
        foreach (var point in points) allIn *= 1 - point.Out(hours);
        return 1 - allIn;
    }

    private static double? FirstCrossing(Func<double, double> probability, double risk, double horizon)
    {
        if (probability(0) >= risk) return 0;
        var before = 0.0;
        for (var i = 1; i <= ScanSteps; i++)
        {
            // Quadratic steps look closer at the near future, where a wrong answer hurts.
            var share = (double)i / ScanSteps;
            var here = horizon * share * share;
            if (probability(here) >= risk) return Halve(probability, risk, before, here);
            before = here;
        }
        return null;
    }

    private static double Halve(Func<double, double> probability, double risk, double below, double reached)
    {
        while (reached - below > 1e-4)
        {
            var middle = (below + reached) / 2;
            if (probability(middle) >= risk) reached = middle;
            else below = middle;
        }
        return reached;
    }
}
