using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Turning;

/// <summary>A tool that turns the crank through gearing: how often it goes round for a turn of the crank.</summary>
public static class BarringTool
{
    /// <summary>Turns of the tool for a turn of the crank, degrees forwards. <paramref name="toolTurnsPerCrankTurn"/>: 0.01 to 1000; 1 where the crank is barred directly.</summary>
    /// <exception cref="BadInputException">A ratio outside its range.</exception>
    public static Turns For(double turnDeg, double toolTurnsPerCrankTurn) =>
        Turns.Of(turnDeg / 360 * Require.InRange(toolTurnsPerCrankTurn, 0.01, 1000, "toolTurnsPerCrankTurn", "The barring ratio"));
}
