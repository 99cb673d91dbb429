namespace ZeroDrift.Core.Drift;

/// <summary>
/// Whether a finer figure is worth its blades: where the gap may be such that the valve can stay, or such that it should be set, and only a closer
/// reading tells which.
/// </summary>
public static class FinerFigure
{
    /// <summary>Whether the ends of what a gap may be lead to different answers on leaving it until the next visit.</summary>
    /// <param name="ahead">Its window and rate.</param>
    /// <param name="lowerMm">The least it may be, mm.</param>
    /// <param name="upperMm">The most.</param>
    /// <param name="uncertaintyMm">How surely a finer figure would be known, mm, above 0.</param>
    /// <param name="hours">Hours to the next planned visit.</param>
    /// <param name="share">The point's share of the engine's risk.</param>
    public static bool Decides(PointForecast ahead, double lowerMm, double upperMm, double uncertaintyMm, double hours, double share)
    {
        if (upperMm <= lowerMm) return false;
        return Stays(lowerMm) != Stays(upperMm);

        bool Stays(double mm) => ahead.LeftAt(Lengths.Clearance.Near(mm), uncertaintyMm).Out(hours) <= share;
    }
}
