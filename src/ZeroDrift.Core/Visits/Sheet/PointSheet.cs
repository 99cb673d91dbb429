using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Setting;

namespace ZeroDrift.Core.Visits.Sheet;

/// <summary>What is asked of a hand at a point.</summary>
public enum MeasuringAsk
{
    /// <summary>As found.</summary>
    AsFound,

    /// <summary>Set, the nut slack.</summary>
    BeforeLock,

    /// <summary>After the nut was tightened.</summary>
    Locked,

    /// <summary>Again, where nothing is locked.</summary>
    Again,

    /// <summary>With a shim that is only there to give a gap.</summary>
    WithTrialShim,
}

/// <summary>
/// One point as whoever works at it needs it: everything that a screen would otherwise decide. The bench, the list and typing in from paper ask the
/// same of it.
/// </summary>
public sealed record PointSheet
{
    /// <summary>The point's work.</summary>
    public required PointWork Work { get; init; }

    /// <summary>How it stands.</summary>
    public required PointView View { get; init; }

    /// <summary>An as-found is owed.</summary>
    public required bool OwesFound { get; init; }

    /// <summary>An as-left is owed, or the school brings it to the figure.</summary>
    public required bool OwesLeft { get; init; }

    /// <summary>Nothing is left to do or to look at.</summary>
    public required bool Done { get; init; }

    /// <summary>It is being set: its found figure is known, or none is owed.</summary>
    public bool IsSetting => !OwesFound && OwesLeft;

    /// <summary>The stage at hand; null where nothing is measured now.</summary>
    public ReadingStage? Stage { get; init; }

    /// <summary>The stage at hand where a finished point is set all the same.</summary>
    public required ReadingStage StageIfSet { get; init; }

    /// <summary>What is asked at that stage.</summary>
    public required MeasuringAsk Ask { get; init; }

    /// <summary>As found.</summary>
    public ReadingSheet? Found { get; init; }

    /// <summary>As left.</summary>
    public ReadingSheet? Left { get; init; }

    /// <summary>Before locking, of the attempt under way.</summary>
    public ReadingSheet? BeforeLock { get; init; }

    /// <summary>What somebody else says it was left at.</summary>
    public ReadingSheet? Claimed { get; init; }

    /// <summary>Growing as found.</summary>
    public ReadingSheet? FoundDraft { get; init; }

    /// <summary>Growing before locking.</summary>
    public ReadingSheet? BeforeLockDraft { get; init; }

    /// <summary>Growing as left.</summary>
    public ReadingSheet? LeftDraft { get; init; }

    /// <summary>What it was turned away from, in the order begun.</summary>
    public required IReadOnlyList<ReadingSheet> Attempts { get; init; }

    /// <summary>The blade to begin with.</summary>
    public WrittenStack? FirstBlade { get; init; }

    /// <summary>Found so near a limit that nobody can tell: it is set, or measured finer.</summary>
    public bool Undecided { get; init; }

    /// <summary>What to do, from the last of what is known; null where nothing is to be done.</summary>
    public Advice? Advice { get; init; }

    /// <summary>The same where a finished point is set all the same.</summary>
    public Advice? AdviceIfSet { get; init; }

    /// <summary>What the nuts of whoever works here take; null where nothing is locked.</summary>
    public LocknutCreep? Creep { get; init; }

    /// <summary>What this nut took at its last lock, mm; null where it was not measured before and after.</summary>
    public double? OwnPullMm { get; init; }

    /// <summary>A figure before locking is worth a tap.</summary>
    public bool AsksBeforeLock { get; init; }

    /// <summary>It can be said that the adjuster was turned.</summary>
    public bool MayTurn { get; init; }

    /// <summary>How it is set.</summary>
    public SettingGuide? Guide { get; init; }

    /// <summary>The blades of a go/no-go pair.</summary>
    public GatePair? Gates { get; init; }

    /// <summary>What it did since it was last left.</summary>
    public Movement? Moved { get; init; }

    /// <summary>What the others of its kind read, where no book judges it.</summary>
    public Siblings? Siblings { get; init; }

    /// <summary>Only a finer figure tells whether it can stay until the next visit.</summary>
    public bool WorthFiner { get; init; }

    /// <summary>Left here, hours to its share of the engine's risk.</summary>
    public double? HoursToRiskFromHere { get; init; }

    /// <summary>Left alone, the chance of being out of its window at the book's next visit, and on which side; null where that is within its share.</summary>
    public (double P, LimitSide Side)? OutByNextVisit { get; init; }

    /// <summary>The figure that lasts longest and the hours it gives the engine; null where it is the book's.</summary>
    public (double Mm, double Hours)? AimOff { get; init; }

    /// <summary>Draws it up.</summary>
    public static PointSheet Of(Visit visit, PointWork work, PointView view)
    {
        var gap = view.Demand as Demand.Gap;
        var readings = new Readings(visit);
        var (owesFound, owesLeft) = (visit.OwesFound(work), visit.OwesLeft(work) || visit.WantsSetting(work));
        var prospects = Prospects.Of(visit, work, view, owesFound, owesLeft);
        var aim = prospects.WorthFiner ? MeasuringAim.Figure : MeasuringAim.Decide;
        var isOpen = visit.State == VisitState.Open;
        var mayBeSet = owesLeft || (isOpen && work is { Found: not null, Left: null });
        var byAmount = visit.IsByAmount(work);
        var creep = gap is not null && work.Point.Adjuster is Adjuster.Screw or Adjuster.BrakeScrew && work.Point.Adjuster.HasLocknut ? visit.CreepAt(work) : null;
        var undecided = owesLeft && work.Said is null && work is { Found: not null, Measured: [.., { Stage: ReadingStage.AsFound } last] } && visit.Judge(last, work)?.State == VerdictState.Borderline;
        var asksBefore = creep?.IsWorthAsking(gap!.Window.MaxMm - gap.Window.MinMm) ?? false;
        var setting = StageOfSetting(visit, work, asksBefore);
        var stage = byAmount ? (ReadingStage?)null : owesFound ? ReadingStage.AsFound : owesLeft ? setting : null;
        return new PointSheet
        {
            Work = work,
            View = view,
            OwesFound = owesFound,
            OwesLeft = owesLeft,
            Done = !owesFound && !owesLeft && visit.StepAt(work) is not { AfterFitting: true },
            Stage = stage,
            StageIfSet = setting,
            Ask = AskOf(work, stage ?? setting),
            Found = readings.Of(work, work.Found),
            Left = readings.Of(work, work.Left),
            BeforeLock = readings.Of(work, work.KeptAt(ReadingStage.BeforeLock).LastOrDefault()),
            Claimed = readings.Of(work, work.Readings.LastOrDefault(r => r.Stage == ReadingStage.Claimed)),
            FoundDraft = readings.Of(work, work.Growing(ReadingStage.AsFound), aim),
            BeforeLockDraft = readings.Of(work, work.Growing(ReadingStage.BeforeLock)),
            LeftDraft = readings.Of(work, work.Growing(ReadingStage.AsLeft)),
            Attempts = [.. work.Attempts.Where(a => a.SaysSomething).Select(a => readings.Of(work, a)!)],
            FirstBlade = owesFound && !byAmount ? readings.First(work, aim) : null,
            Undecided = undecided,
            Advice = mayBeSet && (!owesFound || byAmount) ? visit.AdviceOn(work, undecided || (owesLeft && !visit.OwesLeft(work))) : null,
            AdviceIfSet = isOpen && gap is not null && !owesFound && !owesLeft ? visit.AdviceOn(work, true) : null,
            Creep = creep,
            OwnPullMm = LockPair.Of(work) is { Count: > 0 } locks ? locks[^1].PullMm : null,
            AsksBeforeLock = asksBefore,
            MayTurn = isOpen && !owesFound && gap is not null && work.Point.Adjuster is not Adjuster.Shim,
            Guide = SettingGuide.Of(visit, work),
            Gates = GatePair.Of(visit.Tray, gap),
            Moved = Movement.Of(work, prospects.Prospect, visit.Context.Expected.GetValueOrDefault(view.Point)),
            Siblings = gap is null && !byAmount ? Siblings.Of(visit, work) : null,
            WorthFiner = prospects.WorthFiner,
            HoursToRiskFromHere = prospects.HoursToRisk,
            OutByNextVisit = prospects.OutByNextVisit,
            AimOff = prospects.AimOff,
        };
    }

    /// <summary>One reading of a point by itself.</summary>
    public static ReadingSheet Reading(Visit visit, PointWork work, ReadingWork reading) => new Readings(visit).Of(work, reading)!;

    /// <summary>Before locking while a figure there is worth a tap, unless the nut was said to be tight, or slack.</summary>
    private static ReadingStage StageOfSetting(Visit visit, PointWork work, bool asksBeforeLock)
    {
        if (work.Point.Adjuster is Adjuster.Shim) return IsTrialShim(work) ? ReadingStage.BeforeLock : ReadingStage.AsLeft;
        if (!work.Point.Adjuster.HasLocknut || work.Nut is NutState.Tight or NutState.None) return ReadingStage.AsLeft;
        if (work.KeptAt(ReadingStage.BeforeLock).Any() || work.Growing(ReadingStage.AsLeft) is not null) return ReadingStage.AsLeft;
        var asked = work.Nut == NutState.Loose || asksBeforeLock;
        return asked && visit.Schools is { Manner: not SettingManner.BladeIn, Measuring: not MeasuringMeans.Dial } ? ReadingStage.BeforeLock : ReadingStage.AsLeft;
    }

    /// <summary>A shim that is only there to give a gap: what is read is worked from, and not how it is left.</summary>
    public static bool IsTrialShim(PointWork work) => work is { Fitted: not null, Left: null } && work.Found?.ValueOrNothing() is { EstimateMm: null, LowerMm: null } && !work.KeptAt(ReadingStage.BeforeLock).Any();

    private static MeasuringAsk AskOf(PointWork work, ReadingStage stage) => stage switch
    {
        ReadingStage.AsFound or ReadingStage.Claimed => MeasuringAsk.AsFound,
        ReadingStage.BeforeLock => work.Point.Adjuster is Adjuster.Shim ? MeasuringAsk.WithTrialShim : MeasuringAsk.BeforeLock,
        _ => work.Point.Adjuster.HasLocknut ? MeasuringAsk.Locked : MeasuringAsk.Again,
    };
}
