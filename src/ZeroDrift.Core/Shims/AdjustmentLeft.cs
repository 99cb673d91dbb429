using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Shims;

/// <summary>Which end of the series the adjustment runs towards.</summary>
public enum ShimEnd
{
    /// <summary>The gap closes: thinner and thinner shims.</summary>
    Thinnest,

    /// <summary>The gap opens: thicker and thicker ones.</summary>
    Thickest,
}

/// <summary>Hours until the adjustment is used up, with the 10 to 90 % band of the rate; an end is null where its rate does not use it up.</summary>
public sealed record HoursLeft(double? Early, double? Middle, double? Late);

/// <summary>How far a seat has come up since build, and how much adjustment is left.</summary>
/// <param name="RecessionMm">(built shim − shim)/k + built gap − gap: above 0 where the valve has gone up into its seat.</param>
/// <param name="LeftMm">Shim thickness left to the end; null where nothing moves. Never below 0.</param>
/// <param name="Towards">The end it runs towards; null at rate 0.</param>
/// <param name="Hours">Hours until then.</param>
public sealed record AdjustmentLeft(double RecessionMm, double? LeftMm, ShimEnd? Towards, HoursLeft Hours)
{
    /// <summary>The normal quantile of 0.9 (Abramowitz and Stegun, table 26.5), to the four places that the band is said in.</summary>
    private const double TenToNinety = 1.2816;

    /// <summary>Works it out.</summary>
    /// <param name="built">Shim and gap at build, mm.</param>
    /// <param name="now">Shim and gap now, mm.</param>
    /// <param name="series">The thinnest and thickest that are made, mm.</param>
    /// <param name="mmPer1000h">Rate of the gap, mm a 1000 h; below 0 closing. −10 to 10.</param>
    /// <param name="standardErrorMmPer1000h">Its standard error, 0 to 10.</param>
    /// <param name="shimPerClearance">k, above 0 to 10.</param>
    /// <exception cref="BadInputException">A figure outside its range.</exception>
    public static AdjustmentLeft Of((double ShimMm, Clearance GapMm) built, (double ShimMm, Clearance GapMm) now, (double ThinnestMm, double ThickestMm) series, double mmPer1000h, double standardErrorMmPer1000h, double shimPerClearance = 1)
    {
        Shim(built.ShimMm, "builtShimMm", "The shim at build");
        Shim(now.ShimMm, "shimMm", "The present shim");
        Shim(series.ThinnestMm, "thinnestMm", "The thinnest shim made");
        Shim(series.ThickestMm, "thickestMm", "The thickest shim made");
        if (series.ThickestMm < series.ThinnestMm) throw new BadInputException("thickestMm", "The thickest shim made must not be thinner than the thinnest.");
        Require.Above(shimPerClearance, 0, 10, "k", "The shim travel per clearance");
        Require.InRange(mmPer1000h, -10, 10, "mmPer1000h", "The rate", "mm a 1000 h");
        Require.InRange(standardErrorMmPer1000h, 0, 10, "standardErrorMmPer1000h", "The rate's standard error", "mm a 1000 h");

        var recession = (built.ShimMm - now.ShimMm) / shimPerClearance + (built.GapMm - now.GapMm);
        if (mmPer1000h == 0) return new AdjustmentLeft(recession, null, null, new HoursLeft(null, null, null));
        var towards = mmPer1000h < 0 ? ShimEnd.Thinnest : ShimEnd.Thickest;
        var left = Math.Max(0, towards == ShimEnd.Thinnest ? now.ShimMm - series.ThinnestMm : series.ThickestMm - now.ShimMm);
        var (rate, band) = (Math.Abs(mmPer1000h), TenToNinety * standardErrorMmPer1000h);
        return new AdjustmentLeft(recession, left, towards, new HoursLeft(Until(rate + band), Until(rate), Until(rate - band)));

        double? Until(double r) => r > 0 ? left / (shimPerClearance * r) * 1000 : null;
    }

    /// <summary>The same of a screw: as its seat comes up the screw comes out, until its thread is used up.</summary>
    /// <param name="recessionMm">How far the seat has come up since build, as a gap; below 0 where it has worn the other way.</param>
    /// <param name="freeMm">Thread left to come out by at build, mm of travel; null where nobody knows.</param>
    /// <param name="mmPer1000h">Rate of the gap, mm a 1000 h; below 0 closing.</param>
    /// <param name="standardErrorMmPer1000h">Its standard error.</param>
    /// <param name="clearancePerTravel">Gap gained per screw travel, above 0 to 10.</param>
    public static AdjustmentLeft OfScrew(double recessionMm, double? freeMm, double mmPer1000h, double standardErrorMmPer1000h, double clearancePerTravel)
    {
        Require.Above(clearancePerTravel, 0, 10, "clearancePerTravel", "The clearance per screw travel");
        // Run the other way the screw goes in, where it has all the thread there is.
        if (freeMm is not { } free || mmPer1000h >= 0) return new AdjustmentLeft(recessionMm, freeMm is { } all ? Math.Max(0, all - recessionMm / clearancePerTravel) : null, null, new HoursLeft(null, null, null));
        var left = Math.Max(0, free - recessionMm / clearancePerTravel);
        var (rate, band) = (-mmPer1000h, TenToNinety * standardErrorMmPer1000h);
        return new AdjustmentLeft(recessionMm, left, ShimEnd.Thinnest, new HoursLeft(Until(rate + band), Until(rate), Until(rate - band)));

        double? Until(double r) => r > 0 ? left * clearancePerTravel / r * 1000 : null;
    }

    private static void Shim(double mm, string field, string what) => Require.Above(mm, 0, Require.ThickestMm, field, what, "mm");
}
