using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Visits;

/// <summary>The steps a type begins with, from what sets its valves. Common practice; its book may ask otherwise, and is edited to.</summary>
public static class DefaultSteps
{
    /// <summary>The steps of a type.</summary>
    /// <param name="type">The type.</param>
    /// <param name="spark">A spark engine: its plugs may come out.</param>
    public static IReadOnlyList<TypeStep> Of(EngineType type, bool spark) => [.. Steps(type, spark)];

    private static IEnumerable<TypeStep> Steps(EngineType type, bool spark)
    {
        var shims = type.Points.Where(p => p.Adjuster is Adjuster.Shim).ToList();
        var pucks = Labels(p => p.Adjuster is Adjuster.Shim { Access: ShimAccess.Puck });
        var camOut = shims.Exists(p => p.Adjuster is Adjuster.Shim { Access: ShimAccess.UnderBucket });

        if (spark) yield return new TypeStep("plugs-out", StepList.Covers, "Plugs out, leads laid aside: it bars easier. Left in, the compression is felt in the bar.");
        if (shims.Count > 0)
        {
            yield return new TypeStep("lobes-dry", StepList.Covers, "Thick oil film wiped off the lobes: a shim head is measured cold and dry.");
            yield return new TypeStep("parts-out", StepList.Covers, "Shims and other small parts laid out: how many?") { Counts = Counting.Out, Pair = "parts" };
            yield return new TypeStep("cam-torqued", StepList.Stop, "Thickness of every shim read, then the cam caps torqued: only then a gap is a gap.") { OnlyJob = JobKind.Build };
        }
        if (Labels(p => p.Bridge is { OwnScrew: true }) is { Count: > 0 } screws)
            yield return new TypeStep("bridge", StepList.Point, $"Bridge of {TypeStep.PointMark} first: its own screw in until both stems touch, then locked.") { Points = screws };
        if (Labels(p => p.Adjuster is Adjuster.Eccentric) is { Count: > 0 } eccentrics)
            yield return new TypeStep("mark", StepList.Point, $"Index mark of {TypeStep.PointMark} faces outward, away from the plug.") { Points = eccentrics };
        if (pucks.Count > 0)
            yield return new TypeStep("puck", StepList.Point, $"Puck of {TypeStep.PointMark} seen seated, with a mirror.") { Points = pucks };
        if (Labels(p => p.Bridge is not null).Count > 0) yield return new TypeStep("bridges-seated", StepList.BeforeCloseUp, "Every bridge seated on both its stems.");
        if (type.Points.Any(p => p.Adjuster is Adjuster.Hydraulic))
            yield return new TypeStep("second-pass", StepList.BeforeCloseUp, "Second pass over every lifter once it has bled down: none has changed.");
        if (camOut) yield return new TypeStep("cam-back", StepList.BeforeCloseUp, "If a camshaft was out: caps torqued, timing right, lock tools out, turned over twice by hand.");
        if (CylinderGear.LobesInSight(type.Points)) yield return new TypeStep("lobes-oiled", StepList.BeforeCloseUp, "Lobes and followers oiled.");
        if (shims.Count > 0)
            yield return new TypeStep("parts-in", StepList.BeforeCloseUp, "Shims and small parts fitted or back in their places: how many?") { Counts = Counting.In, Pair = "parts" };
        if (spark) yield return new TypeStep("plugs-in", StepList.CloseUp, "Plugs in, torqued to the book; leads on.");

        List<string> Labels(Func<LashPoint, bool> which) => [.. type.Points.Where(which).Select(p => p.Label)];
    }
}
