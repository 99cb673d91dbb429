using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Lengths;

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
    public OutcomeSaid? Said { get; private set; }

    /// <summary>Every reading not given up, in the order it was begun.</summary>
    public IReadOnlyList<ReadingWork> Readings => readings;

    /// <summary>What was measured since it was found and then turned away from, in the order begun: failed locks among them.</summary>
    public IReadOnlyList<ReadingWork> Attempts => [.. readings.Where(r => r.Closed is not null)];

    /// <summary>The adjuster was moved and nothing has been said or left since.</summary>
    public bool IsTurned => turnings > 0;

    /// <summary>Moved, and nothing measured since: how it stands is not known, and no turn is told again.</summary>
    public bool IsTurnedUnmeasured => IsTurned && !readings.Exists(r => r is { Closed: null, Stage: ReadingStage.BeforeLock or ReadingStage.AsLeft });

    /// <summary>How the nut was left when it was last moved; null where nobody said.</summary>
    public NutState? Nut { get; private set; }

    /// <summary>Place in the visit of the last time something was fitted or turned here: a look at it from before does not count.</summary>
    internal int? ChangedAt { get; private set; }

    /// <summary>Shims seen, in order.</summary>
    public IReadOnlyList<ShimRead> Shims => shims;

    /// <summary>The shim that was there: by micrometer before what is printed on it.</summary>
    public ShimRead? ShimFound => Best(shims.Where(s => s.Stage != ReadingStage.AsLeft));

    /// <summary>The shim that is there now.</summary>
    public ShimRead? ShimNow => Best(shims.Skip(fittedAt).Where(s => s.Stage == ReadingStage.AsLeft)) ?? (fittedAt == 0 ? ShimFound : null);

    /// <summary>What is printed on the shim there now, where it was read beside its measurement.</summary>
    public ShimRead? ShimMark => ShimNow is { } now ? shims.FindLast(s => s.How == ShimKnownBy.Printed && s.Stage == now.Stage) : null;

    /// <summary>Its thickness, mm: what was read of it, else what was said to be fitted, else what the visit before this one knew.</summary>
    public double? ShimNowMm => ShimNow is { } now ? Length.Parse(now.Thickness, now.Unit).Millimetres
        : Fitted is { New: { } fitted } said ? Length.Parse(fitted, said.Unit is { } unit ? Length.ParseUnit(unit) : ShimFound?.Unit ?? LengthUnit.Millimetre, "new").Millimetres
        : Planned?.OldMm;

    /// <summary>The last shim said to be fitted.</summary>
    public OutcomeSaid? Fitted { get; private set; }

    /// <summary>
    /// What a shim is worked out from: the gap measured with the shim that is there now, also where that is only there to give a gap to measure. A gap
    /// measured before another shim went in is that one's no more: null until it is measured again.
    /// </summary>
    public ReadingWork? GapWithShim => Fitted is null
        ? Left ?? Found
        : keptInOrder.Skip(keptAtFitting).LastOrDefault(r => r is { Closed: null, Stage: ReadingStage.AsLeft or ReadingStage.BeforeLock });

    /// <summary>The shim that came out and the one that went in; null where none did or a thickness is not known.</summary>
    public Shims.ShimChange? Change => Point.Adjuster is Adjuster.Shim shim && Fitted is not null && ShimNowMm is { } now && OldMm is { } old ? new Shims.ShimChange(old, now, shim.ShimPerClearance) : null;

    private Measuring.Reading? GapFound => Found?.ValueOrNothing() ?? FoundBefore?.Value;

    /// <summary>The gap that the shim there now should give, mm; null where it was found closed up or nothing was fitted.</summary>
    public double? ExpectedWithShimMm => GapFound is { MiddleMm: { } found } ? Change?.After(found) : null;

    /// <summary>What a fitted shim was expected to make of the gap, and what was measured; null where either is not known.</summary>
    internal Shims.FittedPoint? AfterFitting => Change is { } change && ExpectedWithShimMm is { } expected && Left?.ValueOrNothing() is { MiddleMm: { } left } measured
        ? new Shims.FittedPoint(Point.Label, change.NewMm, expected, left, Math.Sqrt(2) * (measured.StandardUncertaintyMm ?? 0), change.ShimPerClearance)
        : null;

    /// <summary>Whether what is read with the new shim is not believed before shim and seat were cleaned and it was measured again.</summary>
    public bool AsksCleanAgain(ReadingWork after) => Change is { } change && GapFound is { } before && change.AsksCleanAgain(before, after.ValueOrNothing());

    /// <summary>The shim that the gap was found with, mm.</summary>
    private double? OldMm => ShimFound is { } read ? Length.Parse(read.Thickness, read.Unit).Millimetres
        : Planned?.OldMm ?? (Fitted is { Old: { } old } said ? Length.Parse(old, said.Unit is { } unit ? Length.ParseUnit(unit) : LengthUnit.Millimetre, "old").Millimetres : null);

    /// <summary>A shim fitted last in the list wins; a printed size gives way to a measured one.</summary>
    private static ShimRead? Best(IEnumerable<ShimRead> read) => read.ToList() is { Count: > 0 } all ? all.FindLast(s => s.How != ShimKnownBy.Printed) ?? all[^1] : null;

    /// <summary>Another visit found it, and this one finishes it.</summary>
    public FigureView? FoundBefore { get; internal set; }

    /// <summary>What was decided for it between that visit and this.</summary>
    public Shims.PlannedShim? Planned { get; internal set; }

    private readonly List<ReadingWork> readings = [];
    private int fittedAt;
    private int keptAtFitting;
    private int begunAtFitting;
    private int turnings;
    private readonly List<ShimRead> shims = [];

    /// <summary>Kept readings of a stage that stand, in the order they were kept.</summary>
    public IEnumerable<ReadingWork> KeptAt(ReadingStage stage) => keptInOrder.Where(r => r.Stage == stage && r.Closed is null);

    /// <summary>As found: the first kept.</summary>
    public ReadingWork? Found => KeptAt(ReadingStage.AsFound).FirstOrDefault();

    /// <summary>As left: the last kept.</summary>
    public ReadingWork? Left => KeptAt(ReadingStage.AsLeft).LastOrDefault();

    /// <summary>A reading of a stage begun and not kept yet.</summary>
    public ReadingWork? Growing(ReadingStage stage) => readings.FindLast(r => r.Stage == stage && r.Kept is null && r.Closed is null);

    /// <summary>
    /// Everything measured here from the found figure on that advice may rest on, oldest first, kept or not: of a shim point only what was measured with
    /// the shim that is there now.
    /// </summary>
    public IReadOnlyList<ReadingWork> Measured => [.. (Fitted is null ? readings : readings.Skip(begunAtFitting)).Where(r => r.Stage != ReadingStage.Claimed)];

    /// <summary>Something was measured here, or its start state seen; what somebody claims of it is neither.</summary>
    public bool IsBegun => readings.Exists(r => r.Stage != ReadingStage.Claimed) || Start is not null;

    private readonly List<ReadingWork> keptInOrder = [];

    internal void Add(ReadingWork reading) => readings.Add(reading);

    internal void Keep(ReadingWork reading) => keptInOrder.Add(reading);

    internal void Drop(ReadingWork reading) => readings.Remove(reading);

    internal void Add(ShimRead shim) => shims.Add(shim);

    internal void Say(OutcomeSaid said, int at, bool closesLeft)
    {
        Said = said;
        if (said.Outcome != PointOutcome.ShimFitted) return;
        // What it was left at with the shim before is an attempt: the one that went in now is still to be measured.
        if (closesLeft && readings.Exists(r => r is { Closed: null, Stage: ReadingStage.AsLeft }))
        {
            turnings++;
            foreach (var reading in readings.Where(r => r is { Closed: null, Stage: ReadingStage.AsLeft })) reading.Closed = turnings;
        }
        // What was read of the shim before is another shim's.
        Fitted = said;
        ChangedAt = at;
        (fittedAt, keptAtFitting, begunAtFitting) = (shims.Count, keptInOrder.Count, readings.Count);
    }

    /// <summary>What was measured since it was found is an attempt now, and what was said of it is said no more.</summary>
    internal void Turn(Turned turned, int at)
    {
        turnings++;
        (Nut, ChangedAt, Said) = (turned.Nut, at, null);
        foreach (var reading in readings.Where(r => r.Closed is null && (r.Stage is ReadingStage.BeforeLock or ReadingStage.AsLeft || (r.Stage == ReadingStage.AsFound && r.Kept is null)))) reading.Closed = turnings;
    }
}
