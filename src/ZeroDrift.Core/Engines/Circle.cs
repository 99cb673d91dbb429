namespace ZeroDrift.Core.Engines;

/// <summary>Arithmetic on a circle of one cycle, in bare degrees of any size; beside positions of the crank (<see cref="CrankAngle"/>) it serves the arcs of a lift, which are seen from their own cylinder.</summary>
internal static class Circle
{
    /// <summary>Two places closer than this are the same, degrees.</summary>
    public const double SamePlaceDeg = 1e-6;

    /// <summary>The angle brought into 0 to below <paramref name="cycle"/>.</summary>
    public static double Normalise(double degrees, double cycle)
    {
        var rest = degrees % cycle;
        if (rest < 0) rest += cycle;
        return rest >= cycle ? 0 : rest;
    }

    /// <summary>Degrees forwards, never backwards, from one place to another: 0 to below the cycle.</summary>
    public static double Forward(double from, double to, double cycle)
    {
        var turn = Normalise(to - from, cycle);
        return cycle - turn < SamePlaceDeg ? 0 : turn;
    }

    /// <summary>Whether two angles are one place, within <see cref="SamePlaceDeg"/>.</summary>
    public static bool Same(double a, double b, double cycle)
    {
        var apart = Normalise(a - b, cycle);
        return apart < SamePlaceDeg || cycle - apart < SamePlaceDeg;
    }
}
