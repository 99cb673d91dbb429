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
    /// <summary>What a valve out of its limits costs in overheads, unless the fleet says otherwise (common practice, no source).</summary>
    public const double DefaultBreachCost = 20;

    /// <summary>Works it out from an engine's two curves.</summary>
    /// <param name="now">R(D) as it stands.</param>
    /// <param name="fresh">R(D) with every point freshly set.</param>
    /// <param name="risk">The fleet's risk, above 0, below 1.</param>
    /// <param name="breachCost">c, above 0.</param>
    /// <param name="horizonHours">How far to look.</param>
    public static OpeningPlan Of(RiskCurve now, RiskCurve fresh, double risk, double breachCost = DefaultBreachCost, double horizonHours = Drift.HoursToRisk.DefaultHorizonHours)
    {
        var gamma = new RiskWalk(fresh, horizonHours).LeastCostPerHour(breachCost);
        var walk = new RiskWalk(now, horizonHours);
        var open = walk.OpenAfter(breachCost, gamma);
        if (walk.FirstAt(risk) is not { } hours) return new OpeningPlan(null, null, null, open, gamma);
        var decides = now.Points.MaxBy(p => p.Out(hours));
        return new OpeningPlan(hours, decides?.Id, decides?.Side(hours), open, gamma);
    }
}
