using System.Globalization;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Setting;

/// <summary>The thread of an adjusting screw.</summary>
/// <param name="PitchMm">Thread pitch; null where nobody knows it.</param>
/// <param name="ClearancePerTravel">Clearance gained per screw travel.</param>
/// <param name="ClockwiseCloses">Which way closes.</param>
/// <param name="HasLocknut">A nut is tightened after it, and drags it along.</param>
internal readonly record struct ScrewThread(double? PitchMm, double ClearancePerTravel, bool ClockwiseCloses, bool HasLocknut);

/// <summary>
/// How far a screw is turned, from where it stands once its nut is slack to where it has to stand before the nut is tightened. Screw geometry; that the
/// nut takes something with it and how it is allowed for is common practice.
/// </summary>
internal static class ScrewAdvice
{
    public static Advice For(ScrewThread thread, Demand.Gap gap, IReadOnlyList<Attempt> attempts, AdviceFacts facts)
    {
        var run = new AttemptRun(attempts);
        if (run.Last is not { } last) return Advice.MeasureFirst;
        var creep = thread.HasLocknut ? facts.Creep ?? LocknutCreep.None : LocknutCreep.None;
        var pull = thread.HasLocknut ? creep.Expected(run.LastPullMm) : 0;
        // With the nut slack it is judged by what it will be once locked.
        var willBe = last.Stage == AttemptStage.BeforeLock ? Closed(last.Reading, pull) : last.Reading;
        var standing = Advice.Standing(willBe, gap.Window);
        if (!facts.ToFigure)
        {
            if (standing == VerdictState.InWindow) return InWindow(thread, last);
            if (standing is not (VerdictState.Tight or VerdictState.Loose)) return Advice.MeasureOn;
        }
        var (from, leave) = Between(last, gap.AimMm, pull, run.OwnPullMm);
        if (last.Stage == AttemptStage.Locked && from is { } stands && !IsRightWay(standing, leave - stands)) (from, leave) = Between(last, gap.AimMm, run.OwnPullMm ?? 0, run.OwnPullMm);
        return from is { } start ? Turned(thread, start, leave, gap.AimMm, facts.Unit) : ByBlade(thread, leave, gap.AimMm, facts.Unit);
    }

    /// <summary>Where the screw stands once its nut is slack, null without a figure; and the gap to leave before it is tightened.</summary>
    private static (double? FromMm, double LeaveMm) Between(Attempt last, double aimMm, double pull, double? ownPull) =>
        (last.Reading.MiddleMm is { } mm ? last.Stage == AttemptStage.BeforeLock ? mm : mm + (ownPull ?? pull) : null, aimMm + pull);

    /// <summary>What locked tight is opened, what locked loose is closed: never the other way on account of other nuts.</summary>
    private static bool IsRightWay(VerdictState? standing, double turnMm) => standing switch
    {
        VerdictState.Tight => turnMm > 1e-9,
        VerdictState.Loose => turnMm < -1e-9,
        _ => true,
    };

    private static Advice InWindow(ScrewThread thread, Attempt last) => last.Stage == AttemptStage.BeforeLock && thread.HasLocknut
        ? new Advice(AdviceAction.Leave, "Leave it there: lock it, and measure again.")
        : Advice.LeaveAlone;

    private static Advice Turned(ScrewThread thread, double fromMm, double leaveMm, double aimMm, LengthUnit unit)
    {
        var (verb, way) = (leaveMm > fromMm ? "Open it" : "Close it", ScrewTurn.Way(fromMm, leaveMm, thread.ClockwiseCloses) == ScrewDirection.Clockwise ? "clockwise" : "anticlockwise");
        if (thread.PitchMm is not { } pitch) return WithoutPitch(thread, (verb, way), fromMm, leaveMm, aimMm, unit);
        var turn = ScrewTurn.Between(Clearance.Near(fromMm), Clearance.Near(leaveMm), pitch, thread.ClearancePerTravel, thread.ClockwiseCloses);
        if (turn.Direction is null) return new Advice(AdviceAction.Leave, "It stands on the figure.") { Turn = turn };
        var degrees = $"{Math.Round(turn.Turns.Degrees).ToString(CultureInfo.InvariantCulture)}°";
        var amount = turn.DegreesFirst ? $"{degrees}, {TurnWords.Say(turn.Turns)}" : $"{TurnWords.Say(turn.Turns)}, {degrees}";
        return new Advice(AdviceAction.Turn, $"{verb} {amount}, {way}.{Leaving(leaveMm, aimMm, unit)}") { Turn = turn, LeaveMm = thread.HasLocknut ? leaveMm : null };
    }

    /// <summary>Which way is known, how far is not: the pitch, or what the gap gains by it, nobody has looked up.</summary>
    private static Advice WithoutPitch(ScrewThread thread, (string Verb, string Way) to, double fromMm, double leaveMm, double aimMm, LengthUnit unit)
    {
        if (Math.Abs(leaveMm - fromMm) < 1e-9) return new Advice(AdviceAction.Leave, "It stands on the figure.");
        var set = Advice.ByBlade(leaveMm, unit, $"{to.Verb}, {to.Way}, until the blade of {{0}} drags; {(thread.HasLocknut ? "lock, " : "")}measure again.");
        return set with { Sentence = $"{set.Sentence}{Leaving(leaveMm, aimMm, unit)} What one turn changes is not known, so no turn is given." };
    }

    private static Advice ByBlade(ScrewThread thread, double leaveMm, double aimMm, LengthUnit unit)
    {
        var set = Advice.ByBlade(leaveMm, unit, thread.HasLocknut ? "No figure to turn from: slacken the locknut and set with the blade of {0}, lock, measure again." : "No figure to turn from: set with the blade of {0}, measure again.");
        return set with { Sentence = set.Sentence + Leaving(leaveMm, aimMm, unit) };
    }

    private static string Leaving(double leaveMm, double aimMm, LengthUnit unit) => Math.Abs(leaveMm - aimMm) < 1e-9 ? "" : $" Leave it at {SaidLength.Gap(leaveMm, unit)}: the nut brings it to {SaidLength.Figure(aimMm, unit)}.";

    private static Reading Closed(Reading reading, double byMm) =>
        new(Less(reading.LowerMm, byMm), Less(reading.UpperMm, byMm), Less(reading.EstimateMm, byMm), reading.StandardUncertaintyMm);

    private static Clearance? Less(Clearance? mm, double byMm) => mm is { } known ? Clearance.Near(known - byMm) : null;
}
