namespace ZeroDrift.Core.Wear;

/// <summary>
/// The first of 10 h steps at which a chance reaches a level. A chance may fall before it rises, so the years are looked through in hundreds of hours
/// and the hundred that holds the answer in tens.
/// </summary>
internal static class FirstReached
{
    private const double Coarse = 100;
    private const double Fine = 10;

    /// <summary>Hours to it; 0 where it is there already, null at or beyond the horizon.</summary>
    public static double? Hours(Func<double, double> chance, double level, double horizonHours)
    {
        if (chance(0) >= level) return 0;
        for (var end = Coarse; end < horizonHours + Coarse; end += Coarse)
        {
            if (chance(end) < level) continue;
            var at = end - Coarse + Fine;
            while (at < end && chance(at) < level) at += Fine;
            return at < horizonHours ? at : null;
        }
        return null;
    }
}
