namespace ZeroDrift.Core.Drift;

/// <summary>
/// Where inside the window to leave a drifting point so that its hours to risk last longest. Offered, never imposed: it is off the book's figure.
/// </summary>
/// <param name="AimMm">The figure to leave it at, mm.</param>
/// <param name="HoursAtAim">Hours to risk from there; null where not within the horizon.</param>
/// <param name="HoursAtBook">Hours to risk from the book's figure.</param>
public sealed record AimOff(double AimMm, double? HoursAtAim, double? HoursAtBook)
{
    /// <summary>Hours gained over the book's figure; 0 where neither reaches the risk within the horizon.</summary>
    public double Gain(double horizonHours = HoursToRisk.DefaultHorizonHours) => (HoursAtAim ?? horizonHours) - (HoursAtBook ?? horizonHours);

    /// <summary>
    /// The best figure on hundredths of a millimetre, as blades can land on them; among equals the nearest to the book's figure.
    /// Null for a point without a rate.
    /// </summary>
    /// <param name="point">Its window and rate.</param>
    /// <param name="bookMm">The book's figure to set, inside the window.</param>
    /// <param name="settingUncertaintyMm">How surely a figure is landed on, above 0.</param>
    /// <param name="risk">Above 0, below 1.</param>
    /// <param name="horizonHours">How far to look.</param>
    public static AimOff Best(PointForecast point, double bookMm, double settingUncertaintyMm = 0.01, double risk = HoursToRisk.DefaultRisk, double horizonHours = HoursToRisk.DefaultHorizonHours)
    {
        var atBook = Hours(bookMm);
        var best = new AimOff(bookMm, atBook, atBook);
        var steps = (int)Math.Floor((point.Window.MaxMm - point.Window.MinMm) / 0.01 + 1e-9);
        for (var i = 0; i <= steps; i++)
        {
            var aim = Math.Round(Math.Ceiling(point.Window.MinMm * 100 - 1e-9) / 100 + i * 0.01, 2);
            if (!point.Window.Holds(aim)) continue;
            var here = new AimOff(aim, Hours(aim), atBook);
            var gained = here.Gain(horizonHours) - best.Gain(horizonHours);
            if (gained > 1 || (gained > -1e-6 && Math.Abs(aim - bookMm) < Math.Abs(best.AimMm - bookMm))) best = here;
        }
        return best;

        double? Hours(double leftAt) => HoursToRisk.Alone(point.LeftAt(leftAt, settingUncertaintyMm), risk, horizonHours).Hours;
    }
}
