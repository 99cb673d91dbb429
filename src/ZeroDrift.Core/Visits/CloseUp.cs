using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Visits;

/// <summary>
/// Closing up, in the order it is done: shaken, nothing touched since, parts counted, the type's own steps, plugs and covers, lock-outs off, run. Common
/// practice. The torque of a locknut belongs to the setting of its point: tightened at the end it would move what was measured.
/// </summary>
public static class CloseUp
{
    private static readonly IReadOnlyList<VisitPlace> InMachine = [VisitPlace.InMachine];
    private static readonly IReadOnlyList<VisitPlace> OnEngine = [VisitPlace.InMachine, VisitPlace.OnStand];

    /// <summary>The list. A head without rockers or locknuts is not asked about them.</summary>
    /// <param name="type">The type.</param>
    /// <param name="fasteners">Its fasteners with their torques.</param>
    /// <param name="own">The steps that the type itself asks while closing up.</param>
    public static IEnumerable<VisitStep> Of(EngineType type, IReadOnlyList<Fastener> fasteners, IReadOnlyList<VisitStep> own)
    {
        if (Shaken(type) is { } shaken) yield return Step("rockers", shaken);
        if (type.Points.Any(p => p.Adjuster.HasLocknut)) yield return Step("untouched", "No locknut touched since its point was measured.");
        yield return Step("tools", "Every tool, rag, blade and small part accounted for; drain holes open again.");
        foreach (var step in own.Where(s => s.Key != DefaultSteps.PlugsIn)) yield return step;
        foreach (var step in own.Where(s => s.Key == DefaultSteps.PlugsIn)) yield return step;
        yield return Step("gaskets", $"Gaskets and covers on; seals that turn oiled, those that sit still wiped dry; torqued to the book, no more{Torques(fasteners.Where(f => !f.IsLocknut))}.", OnEngine);
        yield return Step("lock-outs", "Everybody clear; lock-outs and tags off, battery and starting back on.", InMachine);
        yield return Step("run", "Engine run, listened to, looked round for leaks.", InMachine);
    }

    /// <summary>With solid lash a right valve may rattle a little; that none rattles is for lifters.</summary>
    private static string? Shaken(EngineType type)
    {
        var points = type.Points.Where(p => p.Adjuster is not Adjuster.Shim).ToList();
        if (points.Count == 0) return null;
        var gear = points.Exists(p => p.Kind is LashKind.Intake or LashKind.Exhaust && CylinderGear.Of(p.Adjuster) == ValveGear.Follower) ? "follower" : "rocker";
        var (lifters, solid) = (points.Exists(p => p.Adjuster is Adjuster.Hydraulic), points.Exists(p => p.Adjuster is not (Adjuster.Hydraulic or Adjuster.InjectorScrew)));
        return $"Every {gear} shaken: {(lifters ? "none rattles on its lifter" : "")}{(lifters && solid ? "; " : "")}{(solid || !lifters ? "each has its play, and none rocks with the blade in" : "")}.";
    }

    private static VisitStep Step(string key, string text, IReadOnlyList<VisitPlace>? places = null) => new(key, StepList.CloseUp, text) { Places = places };

    private static string Torques(IEnumerable<Fastener> fasteners) => fasteners.Where(f => f.TorqueNm is not null).Select(f => f.Said).ToList() is { Count: > 0 } torques ? ": " + string.Join(", ", torques) : "";
}
