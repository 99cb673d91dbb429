using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Setting;

/// <summary>Turns past zero lash that put a hydraulic lifter's plunger where it should sit; half its travel unless the book says otherwise (common practice, no source).</summary>
public static class LifterPreload
{
    /// <summary>Of a travel of more than 0 to 100 turns. <paramref name="fraction"/>: 0 to 1.</summary>
    /// <exception cref="BadInputException">A figure outside its range.</exception>
    public static Turns FromTurns(Turns travelTurns, double fraction = 0.5) =>
        Turns.Of(Require.Above(travelTurns, 0, 100, "travelTurns", "The plunger travel", "turns") * Fraction(fraction));

    /// <summary>Of a travel in mm, above 0 to 50: travel ÷ (pitch × clearance per travel) × fraction.</summary>
    /// <exception cref="BadInputException">A figure outside its range.</exception>
    public static Turns FromTravel(double travelMm, double pitchMm, double clearancePerTravel = 1, double fraction = 0.5) =>
        Turns.Of(Require.Above(travelMm, 0, 50, "travelMm", "The plunger travel", "mm")
        / (Require.Above(pitchMm, 0, 10, "pitchMm", "The thread pitch", "mm") * Require.Above(clearancePerTravel, 0, 10, "clearancePerTravel", "The clearance per screw travel"))
        * Fraction(fraction), "pitchMm");

    private static double Fraction(double fraction) => Require.InRange(fraction, 0, 1, "fraction", "The fraction of the travel");
}
