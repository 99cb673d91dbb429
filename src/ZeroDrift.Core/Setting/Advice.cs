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

/// <summary>An amount instead of a figure; one of the three.</summary>
public sealed record SetAmount(Turns? Turns, double? Mm, double? Nm);

/// <summary>What an advice rests on besides adjuster, demand and what was measured.</summary>
public sealed record AdviceFacts
{
    /// <summary>The shim there now, for shims.</summary>
    public double? FittedShimMm { get; init; }

    /// <summary>What this hand's locknuts take; null where nobody knows.</summary>
    public LocknutCreep? Creep { get; init; }

    /// <summary>What the figures in the sentence are said in.</summary>
    public LengthUnit Unit { get; init; }

    /// <summary>It is to be brought to the set figure though it may stand in its window: a school that asks for it, or a mechanic's choice.</summary>
    public bool ToFigure { get; init; }
}

/// <summary>
/// What to do to a point, from the last of what is known of it. One exhaustive switch of adjuster and demand: a new kind of either does not compile
/// until it is answered.
/// </summary>
/// <param name="Action">What.</param>
/// <param name="Sentence">Said to the mechanic.</param>
public sealed record Advice(AdviceAction Action, string Sentence)
{
    /// <summary>The screw's turn; screws only.</summary>
    public ScrewTurn? Turn { get; init; }

    /// <summary>Which sizes would do; shims only.</summary>
    public ShimRange? Shim { get; init; }

    /// <summary>Points set by amount only.</summary>
    public SetAmount? Amount { get; init; }

    /// <summary>The gap to leave before the nut is tightened, mm: what it takes is in it. Only of a turn of a screw with a locknut.</summary>
    public double? LeaveMm { get; init; }

    /// <summary>Why nothing is done where something might be expected: <see cref="NothingNearer"/>. Null elsewhere.</summary>
    public string? Reason { get; init; }

    /// <summary>What can be done where no size brings a figure into its window; null elsewhere.</summary>
    public Shims.NothingFits? Nothing { get; init; }

    /// <summary>The shim that is in is as near as any there is.</summary>
    public const string NothingNearer = "nothing nearer";

    /// <summary>The advice on a point of which one reading is known. Common practice; the book's own procedure comes first.</summary>
    /// <exception cref="BadInputException">A demand this adjuster cannot meet, naming both; a shim without its fitted size.</exception>
    public static Advice For(Adjuster adjuster, Demand demand, Reading? reading, AdviceFacts? facts = null) =>
        For(adjuster, demand, reading is null ? [] : [new Attempt(AttemptStage.AsFound, reading)], facts);

    /// <summary>The advice on a point that was measured, set and measured again: it follows the last attempt that is known.</summary>
    /// <param name="adjuster">What is turned or changed.</param>
    /// <param name="demand">What the book asks.</param>
    /// <param name="attempts">Oldest first; those that say nothing are passed over.</param>
    /// <param name="facts">What else is known.</param>
    /// <exception cref="BadInputException">A demand this adjuster cannot meet, naming both; a shim without its fitted size.</exception>
    public static Advice For(Adjuster adjuster, Demand demand, IReadOnlyList<Attempt> attempts, AdviceFacts? facts = null)
    {
        facts ??= new AdviceFacts();
        return demand.Match(
            gap => adjuster.Match(
                screw => ScrewAdvice.For(new ScrewThread(screw.PitchMm, screw.ClearancePerTravel, screw.ClockwiseCloses, !screw.SelfLocking), gap, attempts, facts),
                _ => EccentricAdvice.For(gap, attempts, facts),
                shim => ShimAdvice.For(shim, gap, attempts, facts),
                _ => Cannot(adjuster, demand),
                _ => Cannot(adjuster, demand),
                brake => ScrewAdvice.For(new ScrewThread(brake.PitchMm, brake.ClearancePerTravel, brake.ClockwiseCloses, true), gap, attempts, facts)),
            _ => adjuster.Match(
                screw => AmountAdvice.AtZero(!screw.SelfLocking),
                _ => Cannot(adjuster, demand),
                _ => Cannot(adjuster, demand),
                _ => Cannot(adjuster, demand),
                _ => Cannot(adjuster, demand),
                _ => AmountAdvice.AtZero(true)),
            preload => adjuster.Match(
                _ => Cannot(adjuster, demand),
                _ => Cannot(adjuster, demand),
                _ => Cannot(adjuster, demand),
                lifter => AmountAdvice.FromZeroLash(preload, lifter),
                _ => AmountAdvice.FromContact(preload),
                _ => Cannot(adjuster, demand)),
            height => OnlyInjector(adjuster, demand, () => AmountAdvice.ToHeight(height)),
            torque => OnlyInjector(adjuster, demand, () => AmountAdvice.ToTorque(torque)));
    }

    internal static Advice MeasureFirst { get; } = new(AdviceAction.MeasureOn, "Measure it first.");

    internal static Advice MeasureOn { get; } = new(AdviceAction.MeasureOn, "Measure on: what is known does not decide.");

    internal static Advice LeaveAlone { get; } = new(AdviceAction.Leave, "In its window: leave it alone.");

    /// <summary>Set by a blade; <c>{0}</c> in the sentence is its figure.</summary>
    internal static Advice ByBlade(double mm, LengthUnit unit, string sentence) => new(AdviceAction.SetByBlade, string.Format(CultureInfo.InvariantCulture, sentence, SaidLength.Gap(mm, unit)));

    /// <summary>Bounds, then the figure; a bracket across a limit with its middle inside decides nothing.</summary>
    internal static VerdictState? Standing(Reading reading, Window window)
    {
        if (Verdict.ByBounds(reading, window) is { } bounded) return bounded;
        if (reading.MiddleMm is not { } mm) return null;
        if (mm < window.MinMm - 1e-9) return VerdictState.Tight;
        if (mm > window.MaxMm + 1e-9) return VerdictState.Loose;
        return reading.IsBracket ? null : VerdictState.InWindow;
    }

    private static Advice Cannot(Adjuster adjuster, Demand demand) =>
        throw new BadInputException("demand", $"A {demand.Word} cannot be set with a {adjuster.Word}: check the adjuster and the demand.");

    private static Advice OnlyInjector(Adjuster adjuster, Demand demand, Func<Advice> advice) => adjuster.Match(
        _ => Cannot(adjuster, demand), _ => Cannot(adjuster, demand), _ => Cannot(adjuster, demand), _ => Cannot(adjuster, demand),
        _ => advice(),
        _ => Cannot(adjuster, demand));
}
