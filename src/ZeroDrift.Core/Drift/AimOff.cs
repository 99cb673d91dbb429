using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Drift;

/// <summary>
/// Where inside the window to leave a drifting point so that its hours to risk last longest. Offered, never imposed: it is off the book's figure.
/// </summary>
/// <param name="AimMm">The figure to leave it at, mm.</param>
/// <param name="HoursAtAim">Hours to risk from there; null where not within the horizon.</param>
/// <param name="HoursAtBook">Hours to risk from the book's figure.</param>
public sealed record AimOff(Clearance AimMm, EngineHours? HoursAtAim, EngineHours? HoursAtBook)
{
    /// <summary>Nobody lands on a figure more surely than this before it is measured, mm: blades, feel and the locknut together (common practice, no source).</summary>
    public const double LeastUncertaintyMm = 0.0125;

    /// <summary>Hours gained over the book's figure; 0 where neither reaches the risk within the horizon.</summary>
    public double Gain(double horizonHours = HoursToRisk.DefaultHorizonHours) => (HoursAtAim ?? horizonHours) - (HoursAtBook ?? horizonHours);

    /// <summary>
    /// The best figure on hundredths of a millimetre, as blades can land on them; among equals the nearest to the book's figure. Never one that
    /// has reached the risk at once.
    /// </summary>
    /// <param name="point">Its window and rate.</param>
    /// <param name="bookMm">The book's figure to set, inside the window.</param>
    /// <param name="settingUncertaintyMm">How surely a figure is landed on; never taken as less than 0.0125 mm.</param>
    /// <param name="risk">This point's share: the engine's risk over its points, so that all of them left so keep the engine's. Above 0, below 1.</param>
    /// <param name="horizonHours">How far to look.</param>
    public static AimOff Best(PointForecast point, Clearance bookMm, double settingUncertaintyMm, double risk, double horizonHours = HoursToRisk.DefaultHorizonHours)
    {
        var u = Math.Max(settingUncertaintyMm, LeastUncertaintyMm);
        var atBook = Hours(bookMm);
        var best = new AimOff(bookMm, atBook, atBook);
        var steps = (int)Math.Floor((point.Window.MaxMm - point.Window.MinMm) / 0.01 + 1e-9);
        for (var i = 0; i <= steps; i++)
        {
            var aim = Clearance.Near(Math.Round(Math.Ceiling(point.Window.MinMm * 100 - 1e-9) / 100 + i * 0.01, 2));
            if (!point.Window.Holds(aim)) continue;
            var here = new AimOff(aim, Hours(aim), atBook);
            if (here.HoursAtAim <= 0) continue;
            var gained = here.Gain(horizonHours) - best.Gain(horizonHours);
            if (gained > 1 || (gained > -1e-6 && Math.Abs(aim - bookMm) < Math.Abs(best.AimMm - bookMm))) best = here;
        }
        return best;

        EngineHours? Hours(Clearance leftAt) => HoursToRisk.Alone(point.LeftAt(leftAt, u), risk, horizonHours).Hours;
    }
}
