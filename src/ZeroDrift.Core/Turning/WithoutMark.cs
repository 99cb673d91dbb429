using System.Globalization;
using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Turning;

/// <summary>
/// A stop where there is no usable mark: half a crank turn past the closing of the intake that is watched. The base circle is broad, the exact degree hardly
/// matters; what it leaves of the room is said. Common practice, no source.
/// </summary>
/// <param name="PastTdcDeg">How far past TDC on compression the crank then stands.</param>
/// <param name="MarginDeg">The least room of the points that are set there, degrees; above 0.</param>
/// <param name="Sentence">How it is found.</param>
public sealed record WithoutMark(double PastTdcDeg, double MarginDeg, string Sentence)
{
    /// <summary>Of a stop; null where no cylinder is on compression there, or where one of its points would be lifted.</summary>
    public static WithoutMark? Of(TurningEngine engine, TurningStop stop)
    {
        if (engine.Order.Cycle != EngineCycle.FourStroke || (stop.CompressionCylinder ?? engine.StopOf(stop.CrankDeg)) is not { } cylinder || engine.Unguarded(LashKind.Intake) is not { Arcs: [var lift] }) return null;
        var past = Circle.Normalise(lift.From + lift.Length + 180, 720);
        var there = engine.Order.FiresAt(cylinder).After(past);
        var margins = stop.Set.Select(p => engine.Margin(there, p.Point)).OfType<double>().ToList();
        if (margins.Count == 0 || margins.Min() <= 0) return null;
        var margin = margins.Min();
        return new WithoutMark(past, margin, string.Create(CultureInfo.InvariantCulture, $"No mark? Bar until {cylinder} intake has just closed, then half a turn more: about {past:0}° past TDC, with {margin:0}° of room at the nearest valve."));
    }
}
