using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Shims;

/// <summary>One shim out and another in, and what that makes of the gap: a thicker one closes it by what it is thicker, over its travel per clearance.</summary>
/// <param name="OldMm">The shim that came out, mm.</param>
/// <param name="NewMm">The shim that went in, mm.</param>
/// <param name="ShimPerClearance">Shim travel per clearance, above 0.</param>
public sealed record ShimChange(double OldMm, double NewMm, double ShimPerClearance = 1)
{
    /// <summary>A difference from here on is dirt, a shim on its edge or a wrong mark until it was cleaned and measured again: half a thou (common practice, no source), mm.</summary>
    public const double HalfThouMm = 0.0127;

    /// <summary>The gap expected after it, mm.</summary>
    public double After(double gapMm) => gapMm - (NewMm - OldMm) / ShimPerClearance;

    /// <summary>Whether what is measured afterwards lies half a thou or more from all that the gap before allows: shim and seat are cleaned and it is measured again before it is believed.</summary>
    /// <param name="before">The gap the change was worked out from.</param>
    /// <param name="after">The gap measured with the new shim.</param>
    public bool AsksCleanAgain(Reading before, Reading after)
    {
        var (low, high) = Reach(before);
        var (least, most) = Reach(after);
        return Math.Max(After(low) - most, least - After(high)) >= HalfThouMm - 1e-9;
    }

    /// <summary>All that a reading allows: its figure where a blade drags or one was read off, else as far as its bounds go.</summary>
    private static (double Low, double High) Reach(Reading reading) => reading is { IsBracket: false, EstimateMm: { } mm }
        ? (mm, mm)
        : (reading.LowerMm ?? double.NegativeInfinity, reading.UpperMm ?? double.PositiveInfinity);
}
