using System.Globalization;
using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Setting;

/// <summary>
/// Choosing a pushrod's length by a squared rocker: at half lift the rocker stands square to the valve stem. The valve stays shut: half the lift is a length
/// by which the rocker's stud nut goes down with no pushrod in, counted in turns of its thread, and never a turn that opens a valve. Common practice, no source.
/// </summary>
/// <param name="Turns">Half the lift in turns of the thread.</param>
/// <param name="LengthMm">Half the lift, mm.</param>
/// <param name="Steps">What is done, in its order.</param>
public sealed record SquaredRocker(Turns Turns, double LengthMm, IReadOnlyList<string> Steps)
{
    /// <summary>Works it out.</summary>
    /// <param name="valveLiftMm">Lift at the valve, above 0 to 100 mm.</param>
    /// <param name="pitchMm">Pitch of the stud's or the screw's thread, above 0 to 10 mm.</param>
    /// <param name="inches">The steps speak inches.</param>
    /// <exception cref="BadInputException">A figure outside its range.</exception>
    public static SquaredRocker Of(double valveLiftMm, double pitchMm, bool inches)
    {
        var half = Require.Above(valveLiftMm, 0, 100, "valveLiftMm", "The valve lift", "mm") / 2;
        var turns = Turns.Of(half / Require.Above(pitchMm, 0, 10, "pitchMm", "The thread pitch", "mm"), "pitchMm");
        var length = inches ? $"{(half / 25.4).ToString("0.000", CultureInfo.InvariantCulture)} in" : $"{half.ToString("0.00", CultureInfo.InvariantCulture)} mm";
        return new SquaredRocker(turns, half,
        [
            "The valve shut, its cylinder on compression, no pushrod in. The maker's manual comes first.",
            "Square the rocker: run the nut until the pad lies on the tip of the stem with the rocker square to it.",
            $"Count: with no pushrod in, run the nut down by half the lift, {length}, which is {turns.ToString("0.00", CultureInfo.InvariantCulture)} turns of this thread. The rocker only tips, the valve stays shut. With a pushrod in the same turns would open the valve far past its lift: never do it so.",
            "Put the adjustable rod in and lengthen it until the play is just gone. The valve has not moved.",
            "Turn the engine over twice by hand. At full lift look for bind: the spring's coils, the rocker's slot, the clearance at the retainer. The track on the tip is narrow and near its middle.",
            "Take the rod out and measure it as its maker says. Order the length of the series nearest to it, with the lash of the book or the lifter's preload allowed for.",
        ]);
    }

    /// <summary>The length of a series nearest to what the adjustable rod measured, mm; the longer of two as near.</summary>
    /// <param name="rodMm">Above 0 to 1000 mm.</param>
    /// <param name="seriesMm">Lengths that are made, 1 to 500.</param>
    /// <exception cref="BadInputException">A length outside its range, or none near: more than 5 mm off.</exception>
    public double Order(double rodMm, IReadOnlyList<double> seriesMm)
    {
        Require.Above(rodMm, 0, 1000, "trialRodMm", "The adjustable rod", "mm");
        Require.Filled(seriesMm, 500, "seriesMm", "the lengths that are made");
        foreach (var mm in seriesMm) Require.Above(mm, 0, 1000, "seriesMm", "A length of the series", "mm");
        var nearest = seriesMm.OrderBy(mm => Math.Abs(mm - rodMm)).ThenByDescending(mm => mm).First();
        return Math.Abs(nearest - rodMm) <= MostOffMm ? nearest : throw new BadInputException("seriesMm", $"No length of the series is within {MostOffMm} mm of the rod; check the units, and whether both are measured the same way.");
    }

    private const double MostOffMm = 5;
}
