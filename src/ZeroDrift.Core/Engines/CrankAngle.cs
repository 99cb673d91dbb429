namespace ZeroDrift.Core.Engines;

/// <summary>Arithmetic on a circle of one cycle. Crank degrees run forwards, in the running direction; zero is TDC compression of the first cylinder in the firing order.</summary>
public static class CrankAngle
{
    /// <summary>Two crank angles closer than this are the same position, degrees.</summary>
    public const double SamePlaceDeg = 1e-6;

    /// <summary>The angle brought into 0 to below <paramref name="cycle"/>.</summary>
    public static double Normalise(double degrees, double cycle)
    {
        var rest = degrees % cycle;
        if (rest < 0) rest += cycle;
        return rest >= cycle ? 0 : rest;
    }

    /// <summary>Degrees to bar forwards, never backwards, from one angle to another: 0 to below the cycle.</summary>
    public static double Forward(double from, double to, double cycle)
    {
        var turn = Normalise(to - from, cycle);
        return cycle - turn < SamePlaceDeg ? 0 : turn;
    }

    /// <summary>Whether two angles are one position, within <see cref="SamePlaceDeg"/>.</summary>
    public static bool Same(double a, double b, double cycle)
    {
        var apart = Normalise(a - b, cycle);
        return apart < SamePlaceDeg || cycle - apart < SamePlaceDeg;
    }

    /// <summary>Turns of a barring tool for a turn of the crank. <paramref name="toolTurnsPerCrankTurn"/>: 0.01 to 1000; 1 where the crank is barred directly.</summary>
    /// <exception cref="BadInputException">A ratio outside its range.</exception>
    public static double ToolTurns(double crankDegrees, double toolTurnsPerCrankTurn) =>
        crankDegrees / 360 * Require.InRange(toolTurnsPerCrankTurn, 0.01, 1000, "toolTurnsPerCrankTurn", "The barring ratio");
}
