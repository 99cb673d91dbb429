using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Setting;

/// <summary>When in the setting of a point something was measured.</summary>
public enum AttemptStage
{
    /// <summary>Before anything was touched, the nut tight.</summary>
    AsFound,

    /// <summary>Set, the nut still slack.</summary>
    BeforeLock,

    /// <summary>After the nut was tightened.</summary>
    Locked,
}

/// <summary>One measurement on the way to a setting; nothing of a failed one is lost.</summary>
/// <param name="Stage">When.</param>
/// <param name="Reading">What it says; a bound is something too.</param>
public sealed record Attempt(AttemptStage Stage, Reading Reading)
{
    /// <summary>It says a figure or a bound.</summary>
    public bool IsKnown => Reading is not { EstimateMm: null, LowerMm: null, UpperMm: null };
}

/// <summary>What a run of attempts tells the next one: the last that is known, and what this nut took.</summary>
internal sealed class AttemptRun
{
    private readonly List<Attempt> known;

    public AttemptRun(IReadOnlyList<Attempt> attempts) => known = [.. attempts.Where(a => a.IsKnown)];

    /// <summary>The last that says anything; null where none does.</summary>
    public Attempt? Last => known.Count > 0 ? known[^1] : null;

    /// <summary>What the nut took at the last lock measured before and after, one next to the other; null where there was none.</summary>
    public double? LastPullMm => Enumerable.Range(1, Math.Max(0, known.Count - 1)).Reverse().Select(Pull).FirstOrDefault(p => p is not null);

    /// <summary>What it took at the very last measurement, where that is a lock; null where it is none, or was not measured before.</summary>
    public double? OwnPullMm => known.Count > 1 ? Pull(known.Count - 1) : null;

    private double? Pull(int locked) => known[locked].Stage == AttemptStage.Locked && known[locked - 1].Stage == AttemptStage.BeforeLock
        && known[locked - 1].Reading.MiddleMm is { } before && known[locked].Reading.MiddleMm is { } after ? before - after : null;
}
