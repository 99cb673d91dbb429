namespace ZeroDrift.Core.Setting;

/// <summary>How the point stands before a length is chosen, its valve on the base circle.</summary>
public enum PushrodStart
{
    /// <summary>There is play at the valve.</summary>
    Play,

    /// <summary>No play, and nothing pressed.</summary>
    ZeroLash,

    /// <summary>The plunger is pressed in, or the valve held open: the screw has to be slackened to zero lash.</summary>
    Pressed,
}

/// <summary>What the pushrod should end at.</summary>
public enum PushrodGoal
{
    /// <summary>The plunger of a hydraulic lifter at a part of its travel.</summary>
    Plunger,

    /// <summary>A clearance at the valve, over a solid follower.</summary>
    Clearance,
}

/// <summary>How much longer or shorter a pushrod has to be for the adjuster to stay where it is.</summary>
/// <param name="ChangeMm">Longer above 0, shorter below.</param>
/// <param name="PressedMm">How far the plunger, or the valve's side seen at the pushrod, is pressed in now; below 0 where there is play.</param>
/// <param name="GoalMm">The same as it should be.</param>
public sealed record PushrodLength(double ChangeMm, double PressedMm, double GoalMm)
{
    /// <summary>How far the plunger is pressed in where it stands, mm at the pushrod.</summary>
    /// <param name="start">How it stands.</param>
    /// <param name="playMm">The play at the valve, 0 to 25 mm; only with <see cref="PushrodStart.Play"/>.</param>
    /// <param name="screwBackMm">How far the screw moved the pushrod's end of the rocker while it was slackened to zero lash, above 0 to 50 mm; only with <see cref="PushrodStart.Pressed"/>.</param>
    /// <param name="rockerRatio">Movement at the valve for a movement at the pushrod, 0.2 to 5.</param>
    /// <exception cref="BadInputException">A figure outside its range.</exception>
    public static double Pressed(PushrodStart start, double playMm, double screwBackMm, double rockerRatio) => start switch
    {
        PushrodStart.Play => -Require.Above(playMm, 0, 25, "playMm", "The play at the valve", "mm") / Ratio(rockerRatio),
        PushrodStart.Pressed => Require.Above(screwBackMm, 0, 50, "turnsBack", "The way the screw was slackened", "mm"),
        _ => 0,
    };

    /// <summary>A lifter's plunger at a part of its travel; the middle is common practice, no source.</summary>
    /// <param name="pressedMm">From <see cref="Pressed"/>.</param>
    /// <param name="travelMm">Above 0 to 50 mm.</param>
    /// <param name="fraction">0 to 1.</param>
    /// <exception cref="BadInputException">A figure outside its range.</exception>
    public static PushrodLength ToPlunger(double pressedMm, double travelMm, double fraction = 0.5) => To(
        pressedMm,
        Require.Above(travelMm, 0, 50, "travelMm", "The plunger travel", "mm") * Require.InRange(fraction, 0, 1, "fraction", "The fraction of the travel"));

    /// <summary>A clearance over a solid follower; by the lever: the play at the valve is the rocker ratio times the play at the pushrod.</summary>
    /// <param name="pressedMm">From <see cref="Pressed"/>.</param>
    /// <param name="clearanceMm">0 to 25 mm at the valve.</param>
    /// <param name="rockerRatio">0.2 to 5.</param>
    /// <exception cref="BadInputException">A figure outside its range.</exception>
    public static PushrodLength ToClearance(double pressedMm, double clearanceMm, double rockerRatio) => To(
        pressedMm,
        -Require.InRange(clearanceMm, 0, 25, "clearanceMm", "The clearance wanted", "mm") / Ratio(rockerRatio));

    private static PushrodLength To(double pressedMm, double goalMm) => new(goalMm - pressedMm, pressedMm, goalMm);

    private static double Ratio(double ratio) => Require.InRange(ratio, 0.2, 5, "rockerRatio", "The rocker ratio");
}
