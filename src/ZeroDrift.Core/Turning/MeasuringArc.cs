using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Turning;

/// <summary>Where one point's lobe is away from its valve: from <paramref name="FromDeg"/> (0 to below the cycle) forwards to <paramref name="ToDeg"/> (may pass the cycle).</summary>
/// <param name="Point">Cylinder and kind.</param>
/// <param name="FromDeg">Crank degrees at which measuring may begin.</param>
/// <param name="ToDeg">Crank degrees at which it must end.</param>
/// <param name="MarginDeg">Degrees to the nearest edge at the present crank angle; null where that is not known.</param>
public sealed record MeasuringArc(LashRef Point, CrankAngle FromDeg, double ToDeg, double? MarginDeg)
{
    /// <summary>
    /// The lobe-away school: no stops, but for every point the arc in which it may be measured, in any order, and how far the
    /// present crank angle is inside it. Points only the book places are left out. Common practice.
    /// </summary>
    public static IReadOnlyList<MeasuringArc> For(TurningEngine engine, IReadOnlyList<LashKind> kinds, CrankAngle? crank)
    {
        return [.. from cylinder in engine.Order.Cylinders.Order()
                   from kind in kinds.Distinct().Order()
                   where engine.Places(kind)
                   let clear = engine.Guarded(kind)!.LongestClear()
                   let start = engine.Order.FiresAt(cylinder).After(clear.From)
                   let point = new LashRef(cylinder, kind)
                   select new MeasuringArc(point, start, start + clear.Length, crank is { } here ? engine.Margin(here, point) : null)];
    }
}
