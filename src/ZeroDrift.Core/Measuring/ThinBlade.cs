namespace ZeroDrift.Core.Measuring;

/// <summary>
/// Thin blades buckle when pushed, also at a right drag: buckling alone is no feel. If it moves when pulled it drags, if not it is a no-go, so whoever
/// measures is asked (common practice, no source).
/// </summary>
public static class ThinBlade
{
    /// <summary>Up to here a blade is thin, mm: 3 thou with room for the metric 0.08.</summary>
    public const double MostMm = 0.08;

    /// <summary>Whether a blade is that thin.</summary>
    public static bool Is(double mm) => mm <= MostMm + 1e-9;
}
