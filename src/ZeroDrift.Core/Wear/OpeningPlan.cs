using ZeroDrift.Core.Drift;

namespace ZeroDrift.Core.Wear;

/// <summary>When an engine reaches a risk, and when opening it costs least.</summary>
/// <param name="HoursToRisk">Engine hours from now on a 10 h grid; null at or beyond the horizon.</param>
/// <param name="DecidedBy">The point likeliest to be out then.</param>
/// <param name="Side">At which limit.</param>
/// <param name="OpenAfterHours">T*: when to open by cost; 0 is now; null only at the horizon's end.</param>
/// <param name="CostPerHour">γ: what a well-kept life costs an hour, in overheads.</param>
public sealed record OpeningPlan(double? HoursToRisk, string? DecidedBy, LimitSide? Side, double? OpenAfterHours, double CostPerHour)
{
    /// <summary>That point's own hours to the same risk, null where it never reaches it: an engine's risk is the sum of many, and never put on one valve's name.</summary>
    public double? DecidedByHours { get; init; }

    /// <summary>That point's own chance when the engine reaches its risk; null where it does not.</summary>
    public double? DecidedByRisk { get; init; }

    /// <summary>What a valve out of its limits costs in overheads, unless the fleet says otherwise (common practice, no source).</summary>
    public const double DefaultBreachCost = 20;

    /// <summary>Works it out from an engine's two curves.</summary>
    /// <param name="walk">Along R(D) as it stands.</param>
    /// <param name="engine">The engine, for its points and its curve freshly set.</param>
    /// <param name="risk">The fleet's risk, above 0, below 1.</param>
    /// <param name="breachCost">c, above 0.</param>
    /// <param name="horizonHours">How far to look.</param>
    public static OpeningPlan Of(RiskWalk walk, EngineWear engine, double risk, double breachCost, double horizonHours) =>
        Of(walk, engine.Now, engine.Fresh, risk, breachCost, horizonHours);

    /// <summary>The same from the curves alone.</summary>
    public static OpeningPlan Of(RiskCurve now, RiskCurve fresh, double risk, double breachCost = DefaultBreachCost, double horizonHours = Drift.HoursToRisk.DefaultHorizonHours) =>
        Of(new RiskWalk(now, horizonHours), now, fresh, risk, breachCost, horizonHours);

    private static OpeningPlan Of(RiskWalk walk, RiskCurve now, RiskCurve fresh, double risk, double breachCost, double horizonHours)
    {
        var gamma = new RiskWalk(fresh, horizonHours).LeastCostPerHour(breachCost);
        var open = walk.OpenAfter(breachCost, gamma);
        var hours = walk.FirstAt(risk);
        if (hours is not { } at) return new OpeningPlan(null, null, null, open, gamma);
        var decides = now.Points.MaxBy(p => p.Out(at));
        return new OpeningPlan(hours, decides?.Id, decides?.Side(at), open, gamma) { DecidedByHours = decides?.HoursTo(risk, horizonHours), DecidedByRisk = decides?.Out(at) };
    }
}
