using System.Globalization;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Shims;

/// <summary>What can be done where no shim at hand brings a gap into its window.</summary>
public enum WayOut
{
    /// <summary>A size that nobody has here.</summary>
    OtherSize,

    /// <summary>Off the tip of the stem: the gap opens by as much.</summary>
    CutStem,

    /// <summary>Off the seat or the valve's face: the gap closes by as much.</summary>
    CutSeat,

    /// <summary>The shim made thinner by hundredths.</summary>
    LapShim,

    /// <summary>Left as it comes out.</summary>
    LeaveSo,
}

/// <summary>One of them, to be compared.</summary>
/// <param name="Way">What is done.</param>
/// <param name="ShimMm">The shim fitted with it.</param>
/// <param name="CutMm">How much is cut or lapped off; null where nothing is.</param>
/// <param name="PredictedMm">The gap expected then.</param>
/// <param name="Sentence">Said to the mechanic.</param>
public sealed record WayOutOffer(WayOut Way, double ShimMm, double? CutMm, double PredictedMm, string Sentence);

/// <summary>
/// No shim at hand brings a gap into its window: how far short it is, and what can be done about it. Common practice, no source; what may be cut
/// or lapped is the maker's to say, and a hardened face must not be ground through.
/// </summary>
/// <param name="ShortMm">How far outside the gap comes out with the best shim at hand: above 0 too tight, below 0 too wide.</param>
/// <param name="Sentence">The same in words.</param>
/// <param name="Ways">What can be done, the least first; the last is to leave it.</param>
public sealed record NothingFits(double ShortMm, string Sentence, IReadOnlyList<WayOutOffer> Ways)
{
    private const double MmPerThou = (double)Lengths.Length.MillimetresPerThou;

    /// <summary>Compares them.</summary>
    /// <param name="shim">The adjuster; its series gives the middle size.</param>
    /// <param name="gap">What the book asks.</param>
    /// <param name="gapMm">The gap found; of a bracket its middle.</param>
    /// <param name="fittedMm">The shim it was found with.</param>
    /// <param name="bestMm">The best shim at hand.</param>
    /// <param name="atHandMm">Every size at hand or to be bought.</param>
    public static NothingFits Of(Adjuster.Shim shim, Demand.Gap gap, double gapMm, double fittedMm, double bestMm, IReadOnlyCollection<double> atHandMm)
    {
        var (window, aim, k) = (gap.Window, (double)gap.AimMm, shim.ShimPerClearance);
        double With(double mm) => gapMm - (mm - fittedMm) / k;
        var comes = With(bestMm);
        var tight = comes < window.MinMm;
        var shortMm = tight ? window.MinMm - comes : window.MaxMm - comes;
        var end = tight ? atHandMm.All(mm => mm >= bestMm - 1e-6) ? "the thinnest there is" : "the best there is" : atHandMm.All(mm => mm <= bestMm + 1e-6) ? "the thickest there is" : "the best there is";
        var inside = window.Holds(comes);
        var sentence = inside
            ? $"{Mm(bestMm)} mm is {end}, and it only may do: measure finer, or fit it and measure."
            : tight
                ? $"{Mm(bestMm)} mm is {end}: {Gap(comes)}, {Mm(shortMm)} mm ({Thou(shortMm)} thou) short of {Mm(window.MinMm)}."
                : $"{Mm(bestMm)} mm is {end}: {Gap(comes)}, {Mm(-shortMm)} mm ({Thou(-shortMm)} thou) more than {Mm(window.MaxMm)}.";
        return new NothingFits(inside ? 0 : shortMm, sentence, [.. Ways()]);

        IEnumerable<WayOutOffer> Ways()
        {
            var exact = fittedMm + k * (gapMm - aim);
            var lap = bestMm - exact;
            // Only what is too thick can be lapped, and the next thicker one is the one to lap where the window lies between two sizes.
            var thicker = atHandMm.Where(mm => mm > exact + 1e-6).DefaultIfEmpty(bestMm).Min();
            var (lapped, off) = lap > 1e-6 ? (bestMm, lap) : (thicker, thicker - exact);
            if (off is > 1e-6 and <= ShimLedger.MostLappedMm + 1e-9)
                yield return new WayOutOffer(WayOut.LapShim, exact, off, aim, $"Lap {Mm(off)} mm off a {Mm(lapped)}: hundredths only, the face is hardened; measured again it goes by its own figure.");
            if (exact > 0)
                yield return new WayOutOffer(WayOut.OtherSize, exact, null, aim, $"A shim of {Mm(exact)} mm would land on {Mm(aim)}; {Mm(fittedMm + k * (gapMm - window.MaxMm))} to {Mm(fittedMm + k * (gapMm - window.MinMm))} would do.");
            var middle = Middle(shim.SizesMm);
            var cut = aim - With(middle ?? bestMm);
            if (!inside && tight && cut > 0)
                yield return new WayOutOffer(WayOut.CutStem, middle ?? bestMm, cut, aim, $"{Mm(cut)} mm off the tip of the stem, where the maker allows it, opens it by as much{Back(middle)}. The gap is measured again before a shim is chosen.");
            if (!inside && !tight && cut < 0)
                yield return new WayOutOffer(WayOut.CutSeat, middle ?? bestMm, -cut, aim, $"Seat or face cut by {Mm(-cut)} mm, where it has to be cut anyway, closes it by as much{Back(middle)}. The gap is measured again before a shim is chosen.");
            yield return new WayOutOffer(WayOut.LeaveSo, bestMm, null, comes, tight && !inside ? $"Left at {Gap(comes)}: tight, and it closes further." : $"Left at {Gap(comes)}.");
        }
    }

    private static string Back(double? middle) => middle is { } mm ? $": back to {Mm(mm)}, the middle of the series" : "";

    private static double? Middle(IReadOnlyList<double> sizes) => sizes.Count == 0 ? null : sizes.Order().ElementAt(sizes.Count / 2);

    private static string Gap(double mm) => mm < 0 ? "no gap at all" : $"a gap of {Mm(mm)}";

    private static string Mm(double mm) => Math.Round(mm, 3).ToString("0.00#", CultureInfo.InvariantCulture);

    private static string Thou(double mm) => (mm / MmPerThou).ToString("0.#", CultureInfo.InvariantCulture);
}
