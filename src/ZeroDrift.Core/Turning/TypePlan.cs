using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Turning;

/// <summary>The turning plan of an engine type.</summary>
public static class TypePlan
{
    /// <summary>The type as the turning planner sees it.</summary>
    /// <exception cref="BadInputException">Timing that cannot be.</exception>
    public static TurningEngine Turning(this EngineType type) => type.Order.Cycle == EngineCycle.FourStroke
        ? TurningEngine.FourStroke(type.Order, type.Timing, type.RampGuardDeg)
        : TurningEngine.Uniflow(type.Order, type.Uniflow, type.RampGuardDeg);

    /// <summary>The plan for the type's own points and method, or another method where the mechanic prefers one.</summary>
    /// <exception cref="BadInputException">A method the cycle does not allow.</exception>
    public static TurningPlan Plan(this EngineType type, TurningMethod? method = null) => TurningPlanner.Plan(type.Turning(), new TurningRequest(
        method ?? type.Method,
        [.. type.Points.Select(p => p.Kind).Distinct()],
        null,
        type.BookStops));
}
