using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Shims;

namespace ZeroDrift.Core.Setting;

/// <summary>Which shims would do for a reading.</summary>
/// <param name="ExactMm">The thickness that would land on the figure; from the middle of a bracket.</param>
/// <param name="MayFromMm">Sizes from here…</param>
/// <param name="MayToMm">…to here may do.</param>
/// <param name="SurelyFromMm">Sizes from here… null where no size surely does.</param>
/// <param name="SurelyToMm">…to here surely do.</param>
/// <param name="ChoiceMm">The size to fit; null where none does, or the one that is in is as near as any.</param>
/// <param name="AlternativesMm">The other sizes that would do, best first.</param>
public sealed record ShimRange(double ExactMm, double MayFromMm, double MayToMm, double? SurelyFromMm, double? SurelyToMm, double? ChoiceMm, IReadOnlyList<double> AlternativesMm);

/// <summary>Which shim is fitted for the one that is in: old + measured − figure. The size that is in is never advised. Common practice.</summary>
internal static class ShimAdvice
{
    public static Advice For(Adjuster.Shim shim, Demand.Gap gap, IReadOnlyList<Attempt> attempts, AdviceFacts facts)
    {
        if (new AttemptRun(attempts).Last?.Reading is not { } reading) return Advice.MeasureFirst;
        if (reading.MiddleMm is null)
            return reading.UpperMm is { } upper && upper <= gap.Window.MinMm + 1e-9
                ? new Advice(AdviceAction.FitThinnerFirst, "Closed up: fit a thinner shim first, so that there is a gap to measure, then work it out.")
                : Advice.MeasureOn;
        if (!facts.ToFigure && Advice.Standing(reading, gap.Window) == VerdictState.InWindow) return Advice.LeaveAlone;
        if (facts.FittedShimMm is not { } fitted) throw new BadInputException("adjuster.fittedMm", "Give the thickness of the shim fitted now, in mm by micrometer.");
        var range = Range(shim, gap, reading, fitted);
        if (range.ChoiceMm is not { } choice) return NoneFits(shim, gap, reading, fitted, range, facts.Unit);
        if (IsInAlready(choice)) return new Advice(AdviceAction.Leave, "Nothing nearer than the one that is in: leave it, or lap a trace off it.") { Shim = range with { ChoiceMm = null }, Reason = Advice.NothingNearer };
        var surely = range.SurelyFromMm is not null && choice >= range.SurelyFromMm - 1e-9 && choice <= range.SurelyToMm + 1e-9;
        return new Advice(AdviceAction.FitShim, surely
            ? $"Fit {SaidLength.Shim(choice, facts.Unit)} in place of {SaidLength.Shim(fitted, facts.Unit)}, then measure again."
            : $"{SaidLength.Shim(choice, facts.Unit)} may do in place of {SaidLength.Shim(fitted, facts.Unit)}: fit it and measure, or measure finer first.")
        { Shim = range };

        bool IsInAlready(double mm) => Math.Abs(mm - fitted) <= GapWithShims.SameShimMm;
    }

    private static Advice NoneFits(Adjuster.Shim shim, Demand.Gap gap, Reading reading, double fitted, ShimRange range, LengthUnit unit)
    {
        var exact = SaidLength.Shim(range.ExactMm, unit);
        if (shim.SizesMm.Count == 0) return new Advice(AdviceAction.MeasureOn, $"{exact} would land on the figure; say which sizes there are.") { Shim = range };
        return new Advice(AdviceAction.MeasureOn, $"No size brings it into the window; {exact} would. Measure again, clean, before you believe it.")
        {
            Shim = range,
            Nothing = reading.IsBracket ? null : NothingFits.Of(shim, gap, reading.MiddleMm!.Value, fitted, null, shim.SizesMm, unit),
        };
    }

    private static ShimRange Range(Adjuster.Shim shim, Demand.Gap gap, Reading reading, double fitted)
    {
        var k = shim.ShimPerClearance;
        var middle = reading.MiddleMm!.Value;
        var (low, high) = reading.IsBracket ? (reading.LowerMm!.Value, reading.UpperMm!.Value) : (middle, middle);
        var (mayFrom, mayTo) = (fitted + k * (low - gap.Window.MaxMm), fitted + k * (high - gap.Window.MinMm));
        var (surelyFrom, surelyTo) = (fitted + k * (high - gap.Window.MaxMm), fitted + k * (low - gap.Window.MinMm));
        var certain = surelyFrom <= surelyTo + 1e-9;
        var exact = fitted + k * (middle - gap.AimMm);
        var ranked = shim.SizesMm.Count == 0 ? [] : Ranked();
        return new ShimRange(exact, mayFrom, mayTo, certain ? surelyFrom : null, certain ? surelyTo : null, ranked.Count > 0 ? ranked[0] : null, [.. ranked.Skip(1).Where(mm => Math.Abs(mm - fitted) > GapWithShims.SameShimMm)]);

        List<double> Ranked()
        {
            var all = ShimChoice.From(middle, gap.AimMm, gap.Window, fitted, shim.SizesMm, k);
            var nearestFirst = (all.Choice is { } best ? all.Alternatives.Prepend(best) : all.Alternatives).Select(s => s.ShimMm).ToList();
            var surely = nearestFirst.Where(mm => certain && mm >= surelyFrom - 1e-9 && mm <= surelyTo + 1e-9).ToList();
            var may = nearestFirst.Where(mm => mm >= mayFrom - 1e-9 && mm <= mayTo + 1e-9 && !surely.Contains(mm));
            return [.. surely, .. may];
        }
    }
}
