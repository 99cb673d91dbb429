using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Setting;

/// <summary>Which way a screw goes, seen from its head.</summary>
public enum ScrewDirection
{
    /// <summary>Right-handed.</summary>
    Clockwise,

    /// <summary>Left-handed.</summary>
    Anticlockwise,
}

/// <summary>What to turn an adjusting screw to bring a clearance to its target.</summary>
/// <param name="Turns">How far.</param>
/// <param name="Direction">Null where nothing changes.</param>
/// <param name="Sixteenths">The nearest sixteenth of a turn, halves away from zero.</param>
/// <param name="DegreesFirst">True where the sixteenth would miss by more than a tenth of the change, so that the degrees should be said first.</param>
public sealed record ScrewTurn(Turns Turns, ScrewDirection? Direction, int Sixteenths, bool DegreesFirst)
{
    /// <summary>
    /// turns = |target − measured| ÷ (pitch × clearance per travel). Thread geometry; an M8 screw has ISO 261 coarse pitch 1.25
    /// or fine 1 mm. Clockwise closes the gap on an ordinary rocker (common practice, no source).
    /// </summary>
    /// <param name="measuredMm">Clearance now.</param>
    /// <param name="targetMm">Clearance wanted.</param>
    /// <param name="pitchMm">Thread pitch, above 0 to 10 mm.</param>
    /// <param name="clearancePerTravel">Clearance gained per screw travel, above 0 to 10; 1 for a screw at the valve end.</param>
    /// <param name="clockwiseCloses">False for the rare screw that opens clockwise.</param>
    /// <exception cref="BadInputException">A figure outside its range.</exception>
    public static ScrewTurn Between(Clearance measuredMm, Clearance targetMm, double pitchMm, double clearancePerTravel = 1, bool clockwiseCloses = true)
    {
        Require.Above(pitchMm, 0, 10, "pitchMm", "The thread pitch", "mm");
        Require.Above(clearancePerTravel, 0, 10, "clearancePerTravel", "The clearance per screw travel");
        var turns = Math.Abs(targetMm - measuredMm) / (pitchMm * clearancePerTravel);
        if (!(turns <= Turns.Most)) throw new BadInputException("pitchMm", $"With a pitch of {Require.Text(pitchMm)} mm that would be more than {Turns.Most} turns; check the pitch.");
        if (turns < 1e-9) return new ScrewTurn(default, null, 0, false);
        var sixteenths = Math.Round(turns * 16, MidpointRounding.AwayFromZero);
        // Figures in mm carry a last-bit error of their own; a half sixteenth is a half.
        if (Math.Abs(turns * 16 - Math.Floor(turns * 16) - 0.5) < 1e-9) sixteenths = Math.Floor(turns * 16) + 1;
        return new ScrewTurn(
            Turns.Of(turns),
            Way(measuredMm, targetMm, clockwiseCloses),
            (int)Math.Min(sixteenths, int.MaxValue),
            Math.Abs(sixteenths / 16 - turns) > 0.1 * turns + 1e-12);
    }

    /// <summary>Which way leads from one clearance to another; it is known also where the pitch is not.</summary>
    internal static ScrewDirection Way(double fromMm, double toMm, bool clockwiseCloses) => toMm > fromMm == clockwiseCloses ? ScrewDirection.Anticlockwise : ScrewDirection.Clockwise;
}
