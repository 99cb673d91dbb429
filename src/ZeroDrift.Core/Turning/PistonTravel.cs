using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Turning;

/// <summary>
/// Piston travel past TDC against crank angle, by the slider-crank relation without offset (any dynamics textbook):
/// x = r + l − (r cos a + √(l² − r² sin² a)).
/// </summary>
public static class PistonTravel
{
    /// <summary>Travel below TDC, mm, at a crank angle of 0 to 180°. Stroke 1 to 5000 mm; rod at least half the stroke, at most 20,000 mm.</summary>
    /// <exception cref="BadInputException">A figure outside its range.</exception>
    public static double AtCrankAngle(double strokeMm, double rodMm, double crankDeg)
    {
        var r = Radius(strokeMm, rodMm);
        var a = Require.InRange(crankDeg, 0, 180, "crankDeg", "The crank angle past TDC", "degrees") * Math.PI / 180;
        return r + rodMm - (r * Math.Cos(a) + Math.Sqrt(rodMm * rodMm - r * r * Math.Sin(a) * Math.Sin(a)));
    }

    /// <summary>Crank degrees past TDC, 0 to 180, at a piston travel of 0 to the stroke: cos a = (r² + s² − l²)/(2 r s), s = r + l − x.</summary>
    /// <exception cref="BadInputException">A figure outside its range.</exception>
    public static double ToCrankAngle(double strokeMm, double rodMm, double travelMm)
    {
        var r = Radius(strokeMm, rodMm);
        Require.InRange(travelMm, 0, strokeMm, "travelMm", "The piston travel", "mm");
        var s = r + rodMm - travelMm;
        // A rod of exactly half the stroke lets s reach 0 at BDC, where every angle fits the relation; BDC is meant.
        if (s < 1e-12) return 180;
        return Math.Acos(Math.Clamp((r * r + s * s - rodMm * rodMm) / (2 * r * s), -1, 1)) * 180 / Math.PI;
    }

    /// <summary>A stop past TDC, with its crank angle where stroke and rod are known.</summary>
    /// <exception cref="BadInputException">A figure outside its range, or only one of stroke and rod.</exception>
    public static PastTdc Past(double travelMm, double? strokeMm, double? rodMm)
    {
        Require.Above(travelMm, 0, strokeMm ?? 5000, "pastTdcMm", "The piston travel past TDC", "mm");
        if (strokeMm is null != rodMm is null) throw new BadInputException(strokeMm is null ? "strokeMm" : "rodMm", "Give stroke and rod both, so that the crank angle can be worked out, or neither.");
        return new PastTdc(travelMm, strokeMm, rodMm, strokeMm is { } stroke && rodMm is { } rod ? ToCrankAngle(stroke, rod, travelMm) : 0);
    }

    private static double Radius(double strokeMm, double rodMm)
    {
        Require.InRange(strokeMm, 1, 5000, "strokeMm", "The stroke", "mm");
        Require.InRange(rodMm, strokeMm / 2, 20_000, "rodMm", "The rod length, at least half the stroke,", "mm");
        return strokeMm / 2;
    }
}
