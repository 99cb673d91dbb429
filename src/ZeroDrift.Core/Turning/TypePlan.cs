using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Turning;

/// <summary>The turning plan of an engine type.</summary>
public static class TypePlan
{
    /// <summary>The type as the turning planner sees it.</summary>
    /// <exception cref="BadInputException">Timing that cannot be.</exception>
    public static TurningEngine Turning(this EngineType type) => type.Order.Cycle == EngineCycle.FourStroke
        ? TurningEngine.FourStroke(type.Order, type.Timing, type.RampGuardDeg, pastTdcDeg: type.PastTdc?.Degrees ?? 0, gear: CylinderGear.Of(type.Points))
        : TurningEngine.Uniflow(type.Order, type.Uniflow, type.RampGuardDeg, CylinderGear.Of(type.Points));

    /// <summary>The plan for the type's own points and method, or another method where the mechanic prefers one; lobe away has no stops.</summary>
    /// <param name="type">The type.</param>
    /// <param name="method">The school; null for the type's own.</param>
    /// <param name="crankNow">Where the crank stands: the same stops, beginning with the first at or ahead of it.</param>
    /// <exception cref="BadInputException">A method the cycle does not allow.</exception>
    public static TurningPlan Plan(this EngineType type, TurningMethod? method = null, CrankAngle? crankNow = null) => (method ?? type.Method) == TurningMethod.LobeAway
        ? new TurningPlan([], [])
        : TurningPlanner.Plan(type.Turning(), new TurningRequest(method ?? type.Method, [.. type.Points.Select(p => p.Kind).Distinct()], null, type.BookStops, crankNow));
}
