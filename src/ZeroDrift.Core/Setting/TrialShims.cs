namespace ZeroDrift.Core.Setting;

/// <summary>
/// What is fitted first at a point that is closed up, so that there is a gap to measure: a size so thin that the figure aimed at is left where there
/// is no gap at all now. How far the valve is held open nobody can measure, so the next thinner ones may be needed. Common practice.
/// </summary>
public static class TrialShims
{
    /// <summary>Those thin enough, the thickest first, each once.</summary>
    /// <param name="fittedMm">Thickness fitted now, mm.</param>
    /// <param name="aimMm">The figure aimed at, mm.</param>
    /// <param name="shimPerClearance">Shim travel per clearance.</param>
    /// <param name="sizesMm">Sizes to choose from, mm.</param>
    public static IEnumerable<double> From(double fittedMm, double aimMm, double shimPerClearance, IEnumerable<double> sizesMm) =>
        sizesMm.Where(mm => mm <= fittedMm - shimPerClearance * aimMm + 1e-9).Distinct().OrderDescending();
}
