using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Judging;

/// <summary>What the next blade is for.</summary>
public enum MeasuringAim
{
    /// <summary>In the window or not, with the fewest tries.</summary>
    Decide,

    /// <summary>A figure for the trend: the bracket narrowed to neighbouring blades.</summary>
    Figure,
}

/// <summary>A blade, or a stack of two different ones, that is in the tray.</summary>
/// <param name="BladesMm">One or two thicknesses, mm.</param>
public sealed record Stack(IReadOnlyList<double> BladesMm)
{
    /// <summary>Thickness, mm.</summary>
    public double SumMm => BladesMm.Sum();
}

/// <summary>
/// The next blade to try: only what is in the tray, strictly inside what is still possible, never one tried already in this reading. A single
/// blade is preferred to a stack that says no more.
/// </summary>
public static class NextTry
{
    /// <summary>The blade or stack; null where nothing in the tray tells more, or where it is decided and only that was asked.</summary>
    /// <param name="trayMm">The blades at hand; 0 to 100, each above 0 to 25 mm.</param>
    /// <param name="trials">Tried so far.</param>
    /// <param name="reading">What they say; all null before the first.</param>
    /// <param name="gap">What the book asks; null where it gives no figure.</param>
    /// <param name="aim">What it is for.</param>
    /// <param name="prior">What is expected; null: anything up to twice the window's upper limit.</param>
    /// <param name="school">The one-figure school begins with the set blade.</param>
    public static Stack? Of(IReadOnlyList<double> trayMm, IReadOnlyList<BladeTrial> trials, Reading reading, Demand.Gap? gap, MeasuringAim aim, (double Mm, double SdMm)? prior = null, JudgingSchool school = JudgingSchool.Window)
    {
        if (trayMm.Count > 100) throw new BadInputException("trayMm", $"At most 100 blades are in a tray; {trayMm.Count} were given.");
        foreach (var blade in trayMm) Require.Above(blade, 0, Require.ThickestMm, "trayMm", "A blade", "mm");
        // A figure that was given, not felt, has no blades to go on with.
        if (trials.Count == 0 && reading.EstimateMm is not null) return null;
        if (aim == MeasuringAim.Figure && Judgement.Drags(trials).Any()) return null;
        var possible = Possible(trayMm, trials, reading);
        if (possible.Count == 0) return null;
        if (gap is null || aim == MeasuringAim.Figure) return Halving(possible, reading, gap, prior);
        if (trials.Count > 0 && Judgement.Of(reading, trials, gap) is { IsDecided: true }) return null;
        if (school == JudgingSchool.OneFigure && gap.SetMm is { } set) return possible.Find(s => Judgement.Same(s.SumMm, set));
        // A stack is more trouble than a blade: it is asked for where no single one tells more.
        return Deciding(possible.FindAll(s => s.BladesMm.Count == 1), reading, gap, prior) ?? Deciding(possible, reading, gap, prior);
    }

    /// <summary>Everything in the tray strictly inside the bounds and not tried, thinnest first; of equal thickness the fewer blades.</summary>
    private static List<Stack> Possible(IReadOnlyList<double> trayMm, IReadOnlyList<BladeTrial> trials, Reading reading)
    {
        var single = trayMm.Distinct().Order().ToArray();
        var all = single.Select(b => new Stack([b])).ToList();
        for (var i = 0; i < single.Length; i++)
            for (var k = i + 1; k < single.Length; k++) all.Add(new Stack([single[k], single[i]]));
        var low = reading.LowerMm?.Millimetres ?? 0;
        var high = Math.Min(reading.UpperMm?.Millimetres ?? double.PositiveInfinity, Require.ThickestMm);
        var tried = trials.Select(t => t.StackMm).ToList();
        var kept = new List<Stack>();
        foreach (var stack in all.Where(s => s.SumMm > low + Judgement.SameMm && s.SumMm < high - Judgement.SameMm && !tried.Exists(t => Judgement.Same(t, s.SumMm))).OrderBy(s => Math.Round(s.SumMm, 6)).ThenBy(s => s.BladesMm.Count))
            if (kept.Count == 0 || !Judgement.Same(kept[^1].SumMm, stack.SumMm)) kept.Add(stack);
        return kept;
    }

    /// <summary>
    /// Only a blade at or just beside a limit, or the set blade, can decide; among those the fewest expected tries are worked out exactly.
    /// </summary>
    private static Stack? Deciding(List<Stack> possible, Reading reading, Demand.Gap gap, (double Mm, double SdMm)? prior)
    {
        var (min, max) = (gap.Window.MinMm, gap.Window.MaxMm);
        var useful = new List<Stack>();
        Take(possible.FindLast(s => s.SumMm <= min + Judgement.SameMm));
        Take(possible.Find(s => s.SumMm >= min - Judgement.SameMm && s.SumMm < max));
        Take(possible.Find(s => Judgement.Same(s.SumMm, gap.AimMm)));
        Take(possible.FindLast(s => s.SumMm <= max + Judgement.SameMm && s.SumMm > min));
        Take(possible.Find(s => s.SumMm >= max - Judgement.SameMm));
        var known = new Reading(reading.LowerMm, reading.UpperMm, null, null);
        var best = useful.Count == 0 ? null : NextBlade.Suggest([.. useful.Select(s => s.SumMm)], known, gap.Window, prior);
        return best is { } mm ? useful.Find(s => Judgement.Same(s.SumMm, mm)) : null;

        void Take(Stack? stack)
        {
            if (stack is not null && !useful.Contains(stack)) useful.Add(stack);
        }
    }

    /// <summary>The thickness that leaves as much believed below it as above; of near equals a single blade.</summary>
    private static Stack Halving(List<Stack> possible, Reading reading, Demand.Gap? gap, (double Mm, double SdMm)? prior)
    {
        var top = reading.UpperMm?.Millimetres ?? Math.Max(2 * (gap?.Window.MaxMm ?? possible[^1].SumMm), (reading.LowerMm?.Millimetres ?? 0) + 0.1);
        var low = reading.LowerMm?.Millimetres ?? 0;
        Func<double, double> below = prior is { } p ? mm => StandardNormal.Below((mm - p.Mm) / Math.Max(p.SdMm, 1e-4)) : mm => Math.Clamp(mm / Math.Max(top, 1e-6), 0, 1);
        var (from, to) = (below(low), reading.UpperMm is { } high ? below(high) : Math.Max(below(top), below(low)));
        var half = to - from > 1e-9 ? (Func<double, double>)(mm => Math.Abs((below(mm) - from) / (to - from) - 0.5)) : mm => Math.Abs((mm - low) / Math.Max(top - low, 1e-9) - 0.5);
        // A stack is more trouble than a blade: it has to halve better by a tenth.
        return possible.MinBy(s => half(s.SumMm) + (s.BladesMm.Count - 1) * 0.1)!;
    }
}
