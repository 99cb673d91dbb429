using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Visits;

/// <summary>The steps a type begins with, from what sets its valves. Common practice; its book may ask otherwise, and is edited to.</summary>
public static class DefaultSteps
{
    /// <summary>Plugs out: from then on air comes out of the hole, and nothing is felt in the bar.</summary>
    public const string PlugsOut = "plugs-out";

    internal const string PlugsIn = "plugs-in";

    private static readonly IReadOnlyList<VisitPlace> OnEngine = [VisitPlace.InMachine, VisitPlace.OnStand];

    /// <summary>Steps of a point that look at what was fitted, by the names they have had since before that was said of them.</summary>
    public static bool LooksAfterFitting(string key) => key is "puck" or "mark" or "bridge-seated";

    /// <summary>The steps of a type.</summary>
    /// <param name="type">The type.</param>
    /// <param name="spark">A spark engine: its plugs may come out.</param>
    public static IReadOnlyList<TypeStep> Of(EngineType type, bool spark) => [.. Steps(type, spark)];

    private static IEnumerable<TypeStep> Steps(EngineType type, bool spark)
    {
        var shims = type.Points.Where(p => p.Adjuster is Adjuster.Shim).ToList();
        var pucks = Labels(p => p.Adjuster is Adjuster.Shim { Access: ShimAccess.Puck });
        var camOut = shims.Exists(p => p.Adjuster is Adjuster.Shim { Access: ShimAccess.UnderBucket });

        if (spark) yield return new TypeStep(PlugsOut, StepList.Covers, "Plugs out, leads laid aside, the holes covered at once: it bars easier. Left in, the compression is felt in the bar.") { Places = OnEngine };
        yield return new TypeStep("drains", StepList.Covers, "Cover off: drain holes plugged before anything small comes out.");
        if (shims.Count > 0)
        {
            yield return new TypeStep("lobes-dry", StepList.Covers, "Thick oil film wiped off the lobes: a shim head is measured cold and dry.");
            yield return new TypeStep("cam-torqued", StepList.Stop, "Thickness of every shim read, then the cam caps torqued: only then a gap is a gap.") { OnlyJob = JobKind.Build };
            yield return new TypeStep("parts-out", StepList.BeforeCloseUp, "Small parts that came out besides the shims changed here: how many?") { Counts = Counting.Out, Pair = "parts" };
            yield return new TypeStep("parts-in", StepList.BeforeCloseUp, "Those parts fitted or back in their places: how many?") { Counts = Counting.In, Pair = "parts" };
        }
        if (Labels(p => p.Bridge is { OwnScrew: true }) is { Count: > 0 } screws)
            yield return new TypeStep("bridge", StepList.Point, $"Bridge of {TypeStep.PointMark} first: its own screw in until both stems touch, then locked.") { Points = screws };
        if (Labels(p => p.Adjuster is Adjuster.Eccentric) is { Count: > 0 } eccentrics)
            yield return new TypeStep("mark", StepList.Point, $"Index mark of {TypeStep.PointMark} faces outward, away from the plug.") { Points = eccentrics, AfterFitting = true };
        if (pucks.Count > 0)
            yield return new TypeStep("puck", StepList.Point, $"Puck of {TypeStep.PointMark} seen seated, with a mirror.") { Points = pucks, AfterFitting = true };
        if (Labels(p => p.Bridge is not null) is { Count: > 0 } bridges)
            yield return new TypeStep("bridge-seated", StepList.Point, $"Bridge of {TypeStep.PointMark} seen seated on both its stems.") { Points = bridges, AfterFitting = true };
        if (type.Points.Any(p => p.Adjuster is Adjuster.Hydraulic))
            yield return new TypeStep("second-pass", StepList.BeforeCloseUp, "Second pass over every lifter once it has bled down: none has changed.");
        if (camOut) yield return new TypeStep("cam-back", StepList.BeforeCloseUp, "If a camshaft was out: caps torqued, timing right, lock tools out, turned over twice by hand.");
        if (CylinderGear.LobesInSight(type.Points)) yield return new TypeStep("lobes-oiled", StepList.BeforeCloseUp, "Lobes and followers oiled.");
        if (spark) yield return new TypeStep(PlugsIn, StepList.CloseUp, "Plugs in, torqued to the book; leads on.") { Places = OnEngine };

        List<string> Labels(Func<LashPoint, bool> which) => [.. type.Points.Where(which).Select(p => p.Label)];
    }
}
