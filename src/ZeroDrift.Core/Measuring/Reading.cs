using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Measuring;

/// <summary>
/// What blades, a dial or a direct figure say of a clearance: bounds, an estimate where both sides are known, and its standard
/// uncertainty, all millimetres. Not a judgement (<see cref="Judging.Verdict"/>).
/// </summary>
/// <param name="LowerMm">The gap is at least this; null where nothing slid free.</param>
/// <param name="UpperMm">The gap is at most this; null where everything went in.</param>
/// <param name="EstimateMm">The figure, or null for a one-sided reading: "closed up, under 0.05" is a finding and not a zero.</param>
/// <param name="StandardUncertaintyMm">Standard uncertainty of the estimate; null with it.</param>
public sealed record Reading(Clearance? LowerMm, Clearance? UpperMm, Clearance? EstimateMm, double? StandardUncertaintyMm)
{
    /// <summary>Nothing measured yet.</summary>
    public static Reading Nothing { get; } = new(null, null, null, null);

    /// <summary>The figure, or the middle of its bounds; null where only one side is known.</summary>
    public Clearance? MiddleMm => EstimateMm ?? (this is { LowerMm: { } low, UpperMm: { } high } ? Clearance.Near((low + high) / 2) : null);

    /// <summary>Known only between two blades; a blade that drags between its neighbours is a figure.</summary>
    public bool IsBracket => this is { LowerMm: { } low, UpperMm: { } high } && high - low > 1e-9 && (EstimateMm is not { } mm || Math.Abs((low + high) / 2 - mm) < 1e-9);

    /// <summary>Repeatability of feel where a person's own is not known, mm (common practice, no source).</summary>
    public const double DefaultFeelSdMm = 0.005;

    /// <summary>Standard uncertainty of a dial reading where none is given, mm of travel (common practice, no source).</summary>
    public const double DefaultDialUncertaintyMm = 0.01;

    /// <summary>Blades that differ by less are one thickness: 0.08 + 0.04 is 0.12, mm.</summary>
    private const double SameThicknessMm = 1e-9;

    /// <summary>
    /// Blades to a figure. A bracket gives its middle with u² = width²/12 + s²; blades that drag give the middle of the thinnest
    /// and thickest of them, u² = (their distance)²/12 + s² (rectangular distribution: JCGM 100:2008, 4.3.7).
    /// </summary>
    /// <param name="trials">1 to 100 trials, in any order.</param>
    /// <param name="feelSdMm">Repeatability of feel s, 0 to 1 mm.</param>
    /// <exception cref="BadInputException">
    /// No trials, an impossible blade, or a contradiction: something thicker slid more easily. The contradiction names both blades.
    /// </exception>
    public static Reading FromBlades(IReadOnlyList<BladeTrial>? trials, double feelSdMm = DefaultFeelSdMm)
    {
        Require.Filled(trials, 100, "trials", "the blades you tried and how each felt");
        Require.InRange(feelSdMm, 0, 1, "feelSdMm", "The repeatability of feel", "mm");
        for (var i = 0; i < trials!.Count; i++) CheckBlades(trials[i], i);

        var stacks = trials.Select((trial, index) => (Mm: Clearance.Near(trial.StackMm), trial.Feel, Index: index)).ToList();
        var free = stacks.Where(t => t.Feel == Feel.Free).ToList();
        var drag = stacks.Where(t => t.Feel == Feel.Drag).ToList();
        var stopped = stacks.Where(t => t.Feel is Feel.HeavyDrag or Feel.NoGo).ToList();
        RefuseContradiction(free, drag);
        RefuseContradiction(free, stopped);
        RefuseContradiction(drag, stopped);

        Clearance? lower = free.Count > 0 ? free.Max(t => t.Mm) : null;
        Clearance? upper = stopped.Count > 0 ? stopped.Min(t => t.Mm) : null;
        if (drag.Count > 0) return Between(drag.Min(t => t.Mm), drag.Max(t => t.Mm), feelSdMm) with { LowerMm = lower, UpperMm = upper };
        if (lower is { } low && upper is { } high) return Between(low, high, feelSdMm);
        return new Reading(lower, upper, null, null);
    }

    /// <summary>The middle of two limits, as a bracket gives it: u² = width²/12 + s².</summary>
    public static Reading Between(Clearance lowerMm, Clearance upperMm, double feelSdMm = DefaultFeelSdMm)
    {
        var width = Math.Max(0, upperMm - lowerMm);
        return new Reading(lowerMm, upperMm, Clearance.Near((lowerMm + upperMm) / 2), Math.Sqrt(width * width / 12 + feelSdMm * feelSdMm));
    }

    /// <summary>A figure read directly, with the instrument's own uncertainty.</summary>
    /// <exception cref="BadInputException">An uncertainty outside its range.</exception>
    public static Reading Direct(Clearance clearanceMm, double instrumentUncertaintyMm = DefaultFeelSdMm) =>
        new(null, null, clearanceMm, Require.Uncertainty(instrumentUncertaintyMm, "standardUncertaintyMm"));

    /// <summary>
    /// A dial on the rocker: clearance = travel × the engine type's conversion, uncertainty likewise. Its point of contact has its own
    /// ratio; a factor near 2.4 between dial and lobe is known on one bolt-and-locknut four (common practice, no source).
    /// </summary>
    /// <param name="travelMm">Travel read, 0 to 25 mm.</param>
    /// <param name="conversion">Clearance per dial travel, above 0 to 10.</param>
    /// <param name="dialUncertaintyMm">Standard uncertainty of the dial reading, mm.</param>
    /// <exception cref="BadInputException">A figure outside its range.</exception>
    public static Reading FromDial(double travelMm, double conversion, double dialUncertaintyMm = DefaultDialUncertaintyMm)
    {
        Require.InRange(travelMm, 0, Clearance.LargestMm, "travelMm", "The dial travel", "mm");
        Require.Above(conversion, 0, 10, "conversion", "The dial's conversion");
        return new Reading(null, null, Clearance.OfMm(travelMm * conversion, "travelMm", "The clearance from the dial"), Require.Uncertainty(dialUncertaintyMm, "standardUncertaintyMm") * conversion);
    }

    private static void CheckBlades(BladeTrial trial, int index)
    {
        var field = $"trials[{index}].bladesMm";
        Require.Filled(trial.BladesMm, 10, field, "the blade or the stack of blades");
        foreach (var blade in trial.BladesMm) Require.Above(blade, 0, Require.ThickestMm, field, "A blade", "mm");
        Clearance.OfMm(trial.StackMm, field, "A stack of blades");
    }

    private static void RefuseContradiction(List<(Clearance Mm, Feel Feel, int Index)> easier, List<(Clearance Mm, Feel Feel, int Index)> harder)
    {
        if (easier.Count == 0 || harder.Count == 0) return;
        var thick = easier.MaxBy(t => t.Mm);
        var thin = harder.MinBy(t => t.Mm);
        if (thick.Mm <= thin.Mm + SameThicknessMm) return;
        throw new BadInputException(
            $"trials[{Math.Max(thick.Index, thin.Index)}]",
            $"{Require.Text(thick.Mm)} mm {Word(thick.Feel)}, but the thinner {Require.Text(thin.Mm)} mm {Word(thin.Feel)}: both cannot be. Try both blades again and take one back.");
    }

    private static string Word(Feel feel) => feel switch
    {
        Feel.Free => "slid free",
        Feel.Drag => "dragged",
        Feel.HeavyDrag => "had to be forced",
        _ => "did not go",
    };
}
