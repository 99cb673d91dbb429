namespace ZeroDrift.Core.Turning;

/// <summary>Distance along the rim of a pulley or flywheel for a crank angle: a tape laid round it finds a position that has no mark. π·d·a/360.</summary>
public static class RimDistance
{
    /// <summary>Millimetres along the rim. Diameter 1 to 10,000 mm; degrees 0 to 720.</summary>
    /// <exception cref="BadInputException">A figure outside its range.</exception>
    public static double ForAngle(double diameterMm, double degrees) =>
        Math.PI * Diameter(diameterMm) * Require.InRange(degrees, 0, 720, "degrees", "The angle", "degrees") / 360;

    /// <summary>Degrees for a distance along the rim; the inverse of <see cref="ForAngle"/>.</summary>
    /// <exception cref="BadInputException">A figure outside its range.</exception>
    public static double ToAngle(double diameterMm, double distanceMm) =>
        Require.InRange(distanceMm, 0, 2 * Math.PI * Diameter(diameterMm), "distanceMm", "The distance along the rim", "mm") * 360 / (Math.PI * diameterMm);

    private static double Diameter(double mm) => Require.InRange(mm, 1, 10_000, "diameterMm", "The pulley diameter", "mm");
}
