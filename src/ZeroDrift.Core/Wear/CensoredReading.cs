namespace ZeroDrift.Core.Wear;

/// <summary>
/// A reading known only to lie between bounds, as it enters a fit: the mean and information of a normal distribution cut off at the bounds
/// (any textbook on censored regression). Never its middle.
/// </summary>
/// <param name="Mm">y: the figure it enters with.</param>
/// <param name="Information">Its weight in units of 1/σ².</param>
/// <param name="Shift">e: the mean within the bounds, in σ from the prediction.</param>
public readonly record struct CensoredReading(double Mm, double Information, double Shift)
{
    private const double LeastInformation = 0.002;
    private const double MostStep = 3;
    private const double Farthest = 8;

    /// <summary>By the present prediction of the reading.</summary>
    /// <param name="lower">Lower bound; null where there is none.</param>
    /// <param name="upper">Upper bound; null where there is none.</param>
    /// <param name="predicted">What the fit expects.</param>
    /// <param name="sd">σ of a reading.</param>
    public static CensoredReading Of(double? lower, double? upper, double predicted, double sd)
    {
        var a = lower is { } l ? Math.Clamp((l - predicted) / sd, -Farthest, Farthest) : -Farthest;
        var b = upper is { } u ? Math.Clamp((u - predicted) / sd, -Farthest, Farthest) : Farthest;
        var inside = a > 0 ? StandardNormal.Below(-a) - StandardNormal.Below(-b) : StandardNormal.Below(b) - StandardNormal.Below(a);
        if (inside < 1e-10)
        {
            var towards = lower is { } low && predicted < low ? 1 : -1;
            return new CensoredReading(predicted + MostStep * sd * towards, 1, MostStep * towards);
        }
        var (atA, atB) = (StandardNormal.Density(a), StandardNormal.Density(b));
        var shift = (atA - atB) / inside;
        var information = Math.Max(1 - (1 + (a * atA - b * atB) / inside - shift * shift), LeastInformation);
        return new CensoredReading(predicted + sd * Math.Clamp(shift / information, -MostStep, MostStep), information, shift);
    }

    /// <summary>Before there is a prediction: between two bounds their middle, with one bound the bound, hardly weighing.</summary>
    public static CensoredReading First(double? lower, double? upper) =>
        lower is { } l && upper is { } u ? new CensoredReading((l + u) / 2, 1, 0) : new CensoredReading((lower ?? upper)!.Value, LeastInformation, 0);
}
