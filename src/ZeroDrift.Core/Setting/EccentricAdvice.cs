using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Setting;

/// <summary>An eccentric shaft: no turn is computed; by the blade, and of its two positions the one with the index mark outward. Common practice.</summary>
internal static class EccentricAdvice
{
    public static Advice For(Demand.Gap gap, IReadOnlyList<Attempt> attempts, AdviceFacts facts)
    {
        if (new AttemptRun(attempts).Last?.Reading is not { } reading) return Advice.MeasureFirst;
        var standing = Advice.Standing(reading, gap.Window);
        if (!facts.ToFigure && standing == VerdictState.InWindow) return Advice.LeaveAlone;
        return facts.ToFigure || standing is not null
            ? Advice.ByBlade(gap.AimMm, facts.Unit, "Turn the shaft by the blade of {0}, its index mark facing outward, away from the plug; lock, measure again.")
            : Advice.MeasureOn;
    }
}
