using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;

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
/// <param name="ShimMm">The shim fitted with it; a lapped one as it is after.</param>
/// <param name="CutMm">How much is cut or lapped off; null where nothing is.</param>
/// <param name="PredictedMm">The gap expected then.</param>
/// <param name="Sentence">Said to the mechanic.</param>
public sealed record WayOutOffer(WayOut Way, double ShimMm, double? CutMm, double PredictedMm, string Sentence);

/// <summary>
/// No shim at hand brings a gap into its window: how far short it is, and what can be done about it, as an engine builder does it: hundredths lapped off
/// a shim, just enough off a tip. Common practice, no source; what may be cut or lapped is the maker's to say, and a hardened face must not be ground through.
/// </summary>
/// <param name="ShortMm">How far outside the gap comes out with the best shim at hand: above 0 too tight, below 0 too wide.</param>
/// <param name="Sentence">The same in words.</param>
/// <param name="Ways">What can be done, the least first; the last is to leave it.</param>
public sealed record NothingFits(double ShortMm, string Sentence, IReadOnlyList<WayOutOffer> Ways)
{
    /// <summary>More is never lapped off a shim, mm.</summary>
    public const double MostLappedMm = 0.03;

    /// <summary>More is never lapped off a hardened puck, mm.</summary>
    public const double MostOffPuckMm = 0.01;

    /// <summary>More is never taken off the tip of a stem, or off seat and face for the sake of a gap, mm.</summary>
    public const double MostCutMm = 0.10;

    private const double SlackMm = 1e-9;

    /// <summary>Compares them.</summary>
    /// <param name="shim">The adjuster: how its shim is reached, and its ratio.</param>
    /// <param name="gap">What the book asks.</param>
    /// <param name="gapMm">The gap found; of a bracket its middle.</param>
    /// <param name="fittedMm">The shim it was found with.</param>
    /// <param name="bestMm">The best shim at hand; null to find it.</param>
    /// <param name="atHandMm">Every size at hand or to be bought.</param>
    /// <param name="unit">What the sentences speak.</param>
    public static NothingFits Of(Adjuster.Shim shim, Demand.Gap gap, double gapMm, double fittedMm, double? bestMm, IReadOnlyCollection<double> atHandMm, LengthUnit unit = LengthUnit.Millimetre)
    {
        var with = new GapWithShims(fittedMm, gapMm, gapMm, gap.Window, shim.ShimPerClearance);
        var best = bestMm ?? atHandMm.Where(with.Allows).Append(fittedMm).MinBy(with.OutsideMm);
        var ways = new Offering(with, shim.Access, gap.AimMm, [.. atHandMm.DefaultIfEmpty(fittedMm).Order()], unit);
        return new NothingFits(ways.ShortMm(best), ways.Falls(best), [.. ways.Offers(best)]);
    }

    private sealed class Offering(GapWithShims with, ShimAccess access, double aimMm, IReadOnlyList<double> sizes, LengthUnit unit)
    {
        private readonly Window window = with.Window;
        private readonly IEnumerable<double> lappable = sizes.Append(with.FittedMm).Distinct();

        public double ShortMm(double best)
        {
            var comes = with.Predicted(best);
            return window.Holds(comes) ? 0 : comes < window.MinMm ? window.MinMm - comes : window.MaxMm - comes;
        }

        public string Falls(double best)
        {
            var end = best <= sizes[0] + 1e-6 && ShortMm(best) >= 0 ? "the thinnest there is" : best >= sizes[^1] - 1e-6 && ShortMm(best) < 0 ? "the thickest there is" : "the best there is";
            return ShortMm(best) switch
            {
                0 => $"{Shim(best)} is {end}, and it only may do: measure finer, or fit it and measure.",
                > 0 and var by => $"{Shim(best)} is {end}: {Gap(with.Predicted(best))}, {SaidLength.Gap(by, unit)} short of {SaidLength.Figure(window.MinMm, unit)}.",
                var by => $"{Shim(best)} is {end}: {Gap(with.Predicted(best))}, {SaidLength.Gap(-by, unit)} more than {SaidLength.Figure(window.MaxMm, unit)}.",
            };
        }

        public IEnumerable<WayOutOffer> Offers(double best)
        {
            if (Lapped() is { } lap) yield return lap;
            var exact = with.FittedMm + with.ShimPerClearance * (with.Predicted(with.FittedMm) - aimMm);
            if (exact is > 0 and <= Require.ThickestMm)
                yield return new WayOutOffer(WayOut.OtherSize, exact, null, aimMm, $"A shim of {Shim(exact)} would land on {SaidLength.Figure(aimMm, unit)}; {Shim(ThicknessFor(window.MaxMm))} to {Shim(ThicknessFor(window.MinMm))} would do. It has to be found.");
            if (Cut(window.MinMm - with.Predicted(sizes[0])) is { } stem)
                yield return new WayOutOffer(WayOut.CutStem, sizes[0], stem, window.MinMm, $"{SaidLength.Gap(stem, unit)} off the tip of the stem, where the maker allows it, and {Shim(sizes[0])} just reaches {SaidLength.Figure(window.MinMm, unit)}. The valve has to come out for it; the gap is measured again before a shim is chosen.");
            if (Cut(with.Predicted(sizes[^1]) - window.MaxMm) is { } seat)
                yield return new WayOutOffer(WayOut.CutSeat, sizes[^1], seat, window.MaxMm, $"Seat or face cut by {SaidLength.Gap(seat, unit)}, where it has to be cut anyway, and {Shim(sizes[^1])} just comes down to {SaidLength.Figure(window.MaxMm, unit)}. The head has to come off for it; the gap is measured again before a shim is chosen.");
            var comes = with.Predicted(best);
            yield return new WayOutOffer(WayOut.LeaveSo, best, null, comes, $"Left at {Gap(comes)}{(ShortMm(best) > 0 ? ": tight, and it closes further" : "")}.");
        }

        private static double? Cut(double byMm) => byMm > SlackMm && byMm <= MostCutMm + SlackMm ? byMm : null;

        /// <summary>A size too thick by hundredths, made thinner: the one that then lands nearest the figure. Whole hundredths where they do.</summary>
        private WayOutOffer? Lapped()
        {
            var most = access == ShimAccess.Puck ? MostOffPuckMm : MostLappedMm;
            var (exact, thin, thick) = (ThicknessFor(aimMm), ThicknessFor(window.MaxMm), ThicknessFor(window.MinMm));
            WayOutOffer? nearest = null;
            foreach (var size in lappable)
            {
                var (least, utmost) = (Math.Max(size - most, thin), Math.Min(size, thick));
                if (least > utmost + SlackMm || least <= 0) continue;
                var wanted = size - Math.Clamp(exact, least, Math.Max(least, utmost));
                var whole = Math.Clamp(Math.Round(wanted, 2), 0.01, most);
                var off = size - whole >= thin - SlackMm && size - whole <= thick + SlackMm ? whole : wanted;
                if (off <= 1e-6) continue;
                var left = size - off;
                if (nearest is null || Math.Abs(with.Predicted(left) - aimMm) < Math.Abs(nearest.PredictedMm - aimMm) - 1e-6)
                    nearest = new WayOutOffer(WayOut.LapShim, left, off, with.Predicted(left), $"Lap {SaidLength.Gap(off, unit)} off a {Shim(size)}: hundredths only, the face is hardened; slow work by hand. Measured again it goes by its own figure.");
            }
            return nearest;
        }

        private double ThicknessFor(double gapMm) => with.FittedMm + with.ShimPerClearance * (with.Predicted(with.FittedMm) - gapMm);

        private string Shim(double mm) => SaidLength.Shim(mm, unit);

        private string Gap(double mm) => mm < 0 ? "no gap at all" : $"a gap of {SaidLength.Figure(mm, unit)}";
    }
}
