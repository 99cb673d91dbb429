using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Outlook;

/// <summary>
/// The figure inside the window at which a drifting point lasts longest to its share of the engine's risk. Offered, never imposed: it is off the book's.
/// </summary>
/// <param name="AimMm">The figure, on hundredths of a millimetre.</param>
/// <param name="HoursAtAim">Hours to the point's share of the risk from there; null beyond the horizon.</param>
/// <param name="HoursAtBook">The same from the book's figure.</param>
public sealed record AimAhead(Clearance AimMm, EngineHours? HoursAtAim, EngineHours? HoursAtBook)
{
    /// <summary>Best figure for one point of an engine.</summary>
    /// <param name="engine">The engine's fit.</param>
    /// <param name="point">The point's name in the fit.</param>
    /// <param name="bookMm">The book's figure to set.</param>
    /// <param name="share">The engine's risk over its points.</param>
    /// <param name="horizonHours">How far to look.</param>
    public static AimAhead? Best(EngineWear engine, string point, Clearance bookMm, double share, double horizonHours = Drift.HoursToRisk.DefaultHorizonHours)
    {
        if (engine.LeftAt(point, bookMm, AimOff.LeastUncertaintyMm) is not { } book) return null;
        var atBook = Hours(book);
        var best = new AimAhead(bookMm, atBook, atBook);
        var from = (int)Math.Ceiling(book.Window.MinMm * 100 - 1e-9);
        for (var hundredths = from; hundredths / 100.0 <= book.Window.MaxMm + 1e-9; hundredths++)
        {
            var aim = Clearance.Near(hundredths / 100.0);
            var hours = Hours(engine.LeftAt(point, aim, AimOff.LeastUncertaintyMm)!);
            if (hours is { Hours: <= 0 }) continue;
            var gained = (hours ?? horizonHours) - (best.HoursAtAim ?? horizonHours);
            if (gained > 1 || (gained > -1e-6 && Math.Abs(aim - bookMm) < Math.Abs(best.AimMm - bookMm))) best = new AimAhead(aim, hours, atBook);
        }
        return best;

        EngineHours? Hours(PointAhead ahead) => ahead.HoursTo(share, horizonHours) is { } hours ? EngineHours.Near(hours) : null;
    }
}
