using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Visits;

/// <summary>What has been done at one point so far.</summary>
public sealed class PointWork
{
    internal PointWork(LashPoint point) => Point = point;

    /// <summary>The point.</summary>
    public LashPoint Point { get; }

    /// <summary>How it stood, where it is set by amount.</summary>
    public StartStateSeen? Start { get; internal set; }

    /// <summary>What was last said of it.</summary>
    public OutcomeSaid? Said { get; internal set; }

    /// <summary>Every reading not given up, in the order it was begun.</summary>
    public IReadOnlyList<ReadingWork> Readings => readings;

    /// <summary>Shims seen, in order.</summary>
    public IReadOnlyList<ShimRead> Shims => shims;

    /// <summary>Another visit found it, and this one finishes it.</summary>
    public FigureView? FoundBefore { get; internal set; }

    private readonly List<ReadingWork> readings = [];
    private readonly List<ShimRead> shims = [];

    /// <summary>Kept readings of a stage, in the order they were kept.</summary>
    public IEnumerable<ReadingWork> KeptAt(ReadingStage stage) => keptInOrder.Where(r => r.Stage == stage);

    /// <summary>As found: the first kept.</summary>
    public ReadingWork? Found => KeptAt(ReadingStage.AsFound).FirstOrDefault();

    /// <summary>As left: the last kept.</summary>
    public ReadingWork? Left => KeptAt(ReadingStage.AsLeft).LastOrDefault();

    /// <summary>A reading of a stage begun and not kept yet.</summary>
    public ReadingWork? Growing(ReadingStage stage) => readings.FindLast(r => r.Stage == stage && r.Kept is null);

    /// <summary>Something was measured here, or its start state seen.</summary>
    public bool IsBegun => readings.Count > 0 || Start is not null;

    private readonly List<ReadingWork> keptInOrder = [];

    internal void Add(ReadingWork reading) => readings.Add(reading);

    internal void Keep(ReadingWork reading) => keptInOrder.Add(reading);

    internal void Drop(ReadingWork reading) => readings.Remove(reading);

    internal void Add(ShimRead shim) => shims.Add(shim);
}
