using System.Globalization;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Setting;

/// <summary>What to do to a point.</summary>
public enum AdviceAction
{
    /// <summary>In its window: leave it alone.</summary>
    Leave,

    /// <summary>Turn the screw by the amount given.</summary>
    Turn,

    /// <summary>Set it by the blade of the figure.</summary>
    SetByBlade,

    /// <summary>Fit the shim named.</summary>
    FitShim,

    /// <summary>No gap to compute from: a thinner shim first, then measure.</summary>
    FitThinnerFirst,

    /// <summary>By the book's amount.</summary>
    ByAmount,

    /// <summary>Not known well enough to act.</summary>
    MeasureOn,
}

/// <summary>Which shims would do for a reading.</summary>
/// <param name="ExactMm">The thickness that would land on the figure; from the middle of a bracket.</param>
/// <param name="MayFromMm">Sizes from here…</param>
/// <param name="MayToMm">…to here may do.</param>
/// <param name="SurelyFromMm">Sizes from here… null where no size surely does.</param>
/// <param name="SurelyToMm">…to here surely do.</param>
/// <param name="ChoiceMm">The size to fit; null where none does.</param>
/// <param name="AlternativesMm">The other sizes that would do, best first.</param>
public sealed record ShimRange(double ExactMm, double MayFromMm, double MayToMm, double? SurelyFromMm, double? SurelyToMm, double? ChoiceMm, IReadOnlyList<double> AlternativesMm);

/// <summary>An amount instead of a figure; one of the three.</summary>
public sealed record SetAmount(Turns? Turns, double? Mm, double? Nm);

/// <summary>What to do to a point, as one exhaustive answer of adjuster, demand and reading.</summary>
/// <param name="Action">What.</param>
/// <param name="Turn">Screws only.</param>
/// <param name="Shim">Shims only.</param>
/// <param name="Amount">Points set by amount only.</param>
/// <param name="Sentence">Said to the mechanic.</param>
public sealed record Advice(AdviceAction Action, ScrewTurn? Turn, ShimRange? Shim, SetAmount? Amount, string Sentence)
{
    private const string Measure = "Measure on: what is known does not decide.";

    /// <summary>The advice. Common practice; the book's own procedure comes first.</summary>
    /// <param name="adjuster">What is turned or changed.</param>
    /// <param name="demand">What the book asks.</param>
    /// <param name="reading">What was found; null before anything was.</param>
    /// <param name="fittedShimMm">The shim there now, for shims.</param>
    /// <param name="creep">A mechanic's own locknut creep, where it is known.</param>
    /// <param name="unit">What the figures in the sentence are said in.</param>
    /// <param name="toFigure">It is to be brought to the set figure though it may stand in its window: a school that asks for it, or a mechanic's choice.</param>
    /// <exception cref="BadInputException">A demand this adjuster cannot meet, naming both; a shim without its fitted size.</exception>
    public static Advice For(Adjuster adjuster, Demand demand, Reading? reading, double? fittedShimMm = null, LocknutCreep? creep = null, LengthUnit unit = LengthUnit.Millimetre, bool toFigure = false) => demand.Match(
        gap => adjuster.Match(
            screw => Gapped(gap, reading, toFigure, known => Turned(known, gap, screw.PitchMm, screw.ClearancePerTravel, screw.ClockwiseCloses, creep, unit)),
            _ => Gapped(gap, reading, toFigure, _ => ByBlade(gap, unit, "Turn the shaft by the blade of {0}, its index mark facing outward, away from the plug; lock, measure again.")),
            shim => Shimmed(shim, gap, reading, fittedShimMm, toFigure),
            _ => Cannot(adjuster, demand),
            _ => Cannot(adjuster, demand),
            brake => Gapped(gap, reading, toFigure, known => Turned(known, gap, brake.PitchMm, brake.ClearancePerTravel, brake.ClockwiseCloses, creep, unit))),
        _ => adjuster.Match(
            _ => AtZero(),
            _ => Cannot(adjuster, demand),
            _ => Cannot(adjuster, demand),
            _ => Cannot(adjuster, demand),
            _ => Cannot(adjuster, demand),
            _ => AtZero()),
        preload => adjuster.Match(
            _ => Cannot(adjuster, demand),
            _ => Cannot(adjuster, demand),
            _ => Cannot(adjuster, demand),
            lifter => FromZeroLash(preload, lifter),
            _ => FromContact(preload),
            _ => Cannot(adjuster, demand)),
        height => OnlyInjector(adjuster, demand, new SetAmount(null, height.Mm, null), $"Set it to the book's height of {Text(height.Mm)} mm, lock, check the height again."),
        torque => OnlyInjector(adjuster, demand, new SetAmount(null, null, torque.Nm), $"Run it in to {Text(torque.Nm)} Nm as the book says, lock, check that the roller still follows."));

    private static Advice Cannot(Adjuster adjuster, Demand demand) =>
        throw new BadInputException("demand", $"A {demand.Word} cannot be set with a {adjuster.Word}: check the adjuster and the demand.");

    /// <summary>Leaves what is in its window, measures on where nothing decides, else does <paramref name="set"/> with the reading.</summary>
    private static Advice Gapped(Demand.Gap gap, Reading? reading, bool toFigure, Func<Reading, Advice> set)
    {
        if (reading is null or { EstimateMm: null, LowerMm: null, UpperMm: null }) return new Advice(AdviceAction.MeasureOn, null, null, null, "Measure it first.");
        return Standing(reading, gap.Window) switch
        {
            _ when toFigure => set(reading),
            VerdictState.InWindow => new Advice(AdviceAction.Leave, null, null, null, "In its window: leave it alone."),
            VerdictState.Tight or VerdictState.Loose => set(reading),
            _ => new Advice(AdviceAction.MeasureOn, null, null, null, Measure),
        };
    }

    /// <summary>Bounds, then the figure; a bracket across a limit with its middle inside decides nothing.</summary>
    private static VerdictState? Standing(Reading reading, Window window)
    {
        if (Verdict.ByBounds(reading, window) is { } bounded) return bounded;
        if (reading.MiddleMm is not { } mm) return null;
        if (mm < window.MinMm - 1e-9) return VerdictState.Tight;
        if (mm > window.MaxMm + 1e-9) return VerdictState.Loose;
        return reading.IsBracket ? null : VerdictState.InWindow;
    }

    private static Advice Turned(Reading reading, Demand.Gap gap, double pitchMm, double clearancePerTravel, bool clockwiseCloses, LocknutCreep? creep, LengthUnit unit)
    {
        var aim = creep?.AimBeforeLock(gap.AimMm) ?? gap.AimMm;
        if (reading.MiddleMm is not { } now) return ByBlade(gap, unit, "No figure to turn from: slacken the locknut and set with the blade of {0}, lock, measure again.");
        var turn = ScrewTurn.Between(now, aim, pitchMm, clearancePerTravel, clockwiseCloses);
        if (turn.Direction is not { } direction) return new Advice(AdviceAction.Leave, turn, null, null, "It stands on the figure.");
        var verb = aim > now ? "Open it" : "Close it";
        var way = direction == ScrewDirection.Clockwise ? "clockwise" : "anticlockwise";
        var degrees = $"{Math.Round(turn.Turns.Degrees).ToString(CultureInfo.InvariantCulture)}°";
        var amount = turn.DegreesFirst ? $"{degrees}, {TurnWords.Say(turn.Turns)}" : $"{TurnWords.Say(turn.Turns)}, {degrees}";
        var locks = creep is null || aim == gap.AimMm ? "" : $" Leave it at {Said(aim, unit)}, {TurnWords.Say(Turns.Of(Math.Abs(creep.CreepMm) / (pitchMm * clearancePerTravel)))} {(creep.CreepMm < 0 ? "wide" : "close")}: it will lock to {Said(gap.AimMm, unit)}.";
        return new Advice(AdviceAction.Turn, turn, null, null, $"{verb} {amount}, {way}.{locks}");
    }

    private static Advice ByBlade(Demand.Gap gap, LengthUnit unit, string sentence) =>
        new(AdviceAction.SetByBlade, null, null, null, string.Format(CultureInfo.InvariantCulture, sentence, Said(gap.AimMm, unit)));

    private static string Said(Clearance mm, LengthUnit unit) => unit == LengthUnit.Thou
        ? $"{Math.Round(mm / (double)Length.MillimetresPerThou, 1).ToString("0.#", CultureInfo.InvariantCulture)} thou"
        : $"{mm}";

    private static Advice Shimmed(Adjuster.Shim shim, Demand.Gap gap, Reading? reading, double? fittedMm, bool toFigure)
    {
        if (reading is null or { EstimateMm: null, LowerMm: null, UpperMm: null }) return new Advice(AdviceAction.MeasureOn, null, null, null, "Measure it first.");
        if (!reading.IsBracket && reading.MiddleMm is null)
        {
            if (reading.UpperMm is { } upper && upper <= gap.Window.MinMm + 1e-9)
                return new Advice(AdviceAction.FitThinnerFirst, null, null, null, "Closed up: fit a thinner shim first, so that there is a gap to measure, then work it out.");
            return new Advice(AdviceAction.MeasureOn, null, null, null, Measure);
        }
        if (!toFigure && Standing(reading, gap.Window) == VerdictState.InWindow) return new Advice(AdviceAction.Leave, null, null, null, "In its window: leave it alone.");
        if (fittedMm is not { } fitted) throw new BadInputException("adjuster.fittedMm", "Give the thickness of the shim fitted now, in mm by micrometer.");
        var range = ShimsFor(shim, gap, reading, fitted);
        if (range.ChoiceMm is not { } choice)
            return new Advice(AdviceAction.MeasureOn, null, range, null, shim.SizesMm.Count == 0
                ? $"{Text(range.ExactMm)} mm would land on the figure; say which sizes there are."
                : $"No size brings it into the window; {Text(range.ExactMm)} mm would. Measure again, clean, before you believe it.");
        var surely = range.SurelyFromMm is not null && choice >= range.SurelyFromMm - 1e-9 && choice <= range.SurelyToMm + 1e-9;
        return new Advice(AdviceAction.FitShim, null, range, null, surely
            ? $"Fit {Text(choice)} mm in place of {Text(fitted)}, then measure again."
            : $"{Text(choice)} mm may do in place of {Text(fitted)}: fit it and measure, or measure finer first.");
    }

    private static ShimRange ShimsFor(Adjuster.Shim shim, Demand.Gap gap, Reading reading, double fitted)
    {
        var k = shim.ShimPerClearance;
        var middle = reading.MiddleMm!.Value;
        var (low, high) = reading.IsBracket ? (reading.LowerMm!.Value, reading.UpperMm!.Value) : (middle, middle);
        var (mayFrom, mayTo) = (fitted + k * (low - gap.Window.MaxMm), fitted + k * (high - gap.Window.MinMm));
        var (surelyFrom, surelyTo) = (fitted + k * (high - gap.Window.MaxMm), fitted + k * (low - gap.Window.MinMm));
        var certain = surelyFrom <= surelyTo + 1e-9;
        var exact = fitted + k * (middle - gap.AimMm);
        var ranked = shim.SizesMm.Count == 0 ? [] : Ranked();
        return new ShimRange(exact, mayFrom, mayTo, certain ? surelyFrom : null, certain ? surelyTo : null, ranked.Count > 0 ? ranked[0] : null, [.. ranked.Skip(1)]);

        List<double> Ranked()
        {
            var all = ShimChoice.From(middle, gap.AimMm, gap.Window, fitted, shim.SizesMm, k);
            var nearestFirst = (all.Choice is { } best ? all.Alternatives.Prepend(best) : all.Alternatives).Select(s => s.ShimMm).ToList();
            var surely = nearestFirst.Where(mm => certain && mm >= surelyFrom - 1e-9 && mm <= surelyTo + 1e-9).ToList();
            var may = nearestFirst.Where(mm => mm >= mayFrom - 1e-9 && mm <= mayTo + 1e-9 && !surely.Contains(mm));
            return [.. surely, .. may];
        }
    }

    private static Advice AtZero() => new(AdviceAction.ByAmount, null, null, new SetAmount(default(Turns), null, null), "Take out the play until the pushrod just turns between the fingers, no further; lock, feel again.");

    private static Advice FromZeroLash(Demand.Preload preload, Adjuster.Hydraulic lifter)
    {
        var turns = preload.Turns ?? LifterPreload.FromTurns(
            lifter.TravelTurns ?? throw new BadInputException("adjuster.travelTurns", "Give the plunger's travel in turns, so that a fraction of it can be worked out."),
            preload.Fraction!.Value);
        var locking = lifter.SelfLocking ? "feel that it holds" : "lock";
        return new Advice(AdviceAction.ByAmount, null, null, new SetAmount(turns, null, null), $"From zero lash turn on {TurnWords.Say(turns)}, {locking}; a second pass after the plunger has bled down.");
    }

    private static Advice FromContact(Demand.Preload preload)
    {
        var turns = preload.Turns ?? throw new BadInputException("demand.turns", "Give the injector's preload in turns past first contact.");
        return new Advice(AdviceAction.ByAmount, null, null, new SetAmount(turns, null, null), $"Slacken it right off, run it in to first contact, then on {TurnWords.Say(turns)}; lock.");
    }

    private static Advice OnlyInjector(Adjuster adjuster, Demand demand, SetAmount amount, string sentence) => adjuster.Match(
        _ => Cannot(adjuster, demand), _ => Cannot(adjuster, demand), _ => Cannot(adjuster, demand), _ => Cannot(adjuster, demand),
        _ => new Advice(AdviceAction.ByAmount, null, null, amount, sentence),
        _ => Cannot(adjuster, demand));

    private static string Text(double value) => Math.Round(value, 4).ToString("0.00##", CultureInfo.InvariantCulture);
}
