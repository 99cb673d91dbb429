using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Visits;

/// <summary>A correction, as the record shows it.</summary>
public sealed record CorrectionView(Guid Entry, string Why, Guid By, DateTimeOffset At);

/// <summary>
/// One opening of one engine, folded from its entries: a function of the context and of the entries in sequence, of nothing else. What is asked of
/// it stands here; the list itself is <see cref="VisitLog"/>, the state it leads to <see cref="VisitFold"/>.
/// </summary>
public sealed partial class Visit
{
    private readonly VisitLog log;

    private Visit(VisitContext context) => (Context, log) = (context, new VisitLog(context));

    private VisitFold Fold => log.Fold;

    /// <summary>Folds entries.</summary>
    public static Visit From(VisitContext context, IEnumerable<Entry> entries)
    {
        var visit = new Visit(context);
        visit.log.TakeAll(entries);
        return visit;
    }

    /// <summary>Offers an entry: judged, and taken unless a rule refuses it.</summary>
    /// <param name="entry">Without a sequence.</param>
    /// <param name="knowsPerson">People known besides the context's; null where there are none.</param>
    public TakingResult Take(Entry entry, Func<Guid, bool>? knowsPerson = null) => log.Take(entry, knowsPerson);

    /// <summary>What it rests on.</summary>
    public VisitContext Context { get; }

    /// <summary>The entries taken, late ones included, in order.</summary>
    public IReadOnlyList<Entry> Entries => log.Entries;

    /// <summary>Entries that came in after the signature and were not admitted.</summary>
    public IReadOnlyList<Guid> Late => log.Late;

    /// <summary>Open, signed or abandoned.</summary>
    public VisitState State => Fold.Abandoned is not null ? VisitState.Abandoned : Fold.Signed is not null ? VisitState.Signed : VisitState.Open;

    /// <summary>Its first entry; null where there is none yet.</summary>
    public Opened? Opened => Fold.Opened;

    /// <summary>Where the engine is.</summary>
    public VisitPlace Place => Fold.Place;

    /// <summary>The signature.</summary>
    public Signed? Signed => Fold.Signed;

    /// <summary>The school of positions in force.</summary>
    public TurningMethod Method => Fold.Method;

    /// <summary>The ways of working in force: the book's, or as chosen.</summary>
    public Schools Schools => Fold.Schools;

    /// <summary>Who or what turns the crank, where somebody said.</summary>
    public string? TurnedBy => Fold.TurnedBy;

    /// <summary>The starter turns it.</summary>
    public bool IsByStarter => Fold.IsByStarter;

    /// <summary>Stop by stop or point by point: as chosen, else the default of the adjuster.</summary>
    public SettingOrder Setting => Fold.Schools.Setting ?? (Context.Type.Points.Any(p => p.Adjuster is Adjuster.Shim) ? SettingOrder.StopFirst : SettingOrder.PointByPoint);

    /// <summary>The blades at hand.</summary>
    public Tray? Tray => Fold.Tray;

    /// <summary>The unit of the job: what its blades speak.</summary>
    public Lengths.LengthUnit Unit => Fold.Unit;

    /// <summary>Everything it was measured with, by name: the blade sets, and what was named beside them.</summary>
    public IReadOnlyList<string> Instruments => InstrumentNames.Of(log.Live());

    /// <summary>The stops of the school in force.</summary>
    public StopPlan Plan => Fold.Plan;

    /// <summary>Cold or hot, as stated last.</summary>
    public ConditionStated? Condition => Fold.Condition;

    /// <summary>The demands judged by.</summary>
    public ContextDemands? Demands => Context.For(Fold.Condition?.Condition);

    /// <summary>The stop proved now, or nothing.</summary>
    public IReadOnlyList<CrankAngle> Proved => Fold.ProvedAt is { } proved ? [proved] : [];

    /// <summary>Points proved by name.</summary>
    public IReadOnlySet<string> ProvedPoints => Fold.ProvedPoints;

    /// <summary>Where the crank stands: the last of barred to and proved.</summary>
    public CrankAngle? CrankDeg => Fold.Crank;

    /// <summary>Where it stands as far as can be told: by a stop, or by a valve seen to be clear.</summary>
    public CrankAngle? StandsAbout => Fold.StandsAbout;

    /// <summary>Steps ticked, in the order of the lists.</summary>
    public IReadOnlyList<string> Ticked => [.. Context.Steps.Where(s => Fold.IsTicked(s.Key)).Select(s => s.Key)];

    /// <summary>Steps answered with "not here", in the order of the lists.</summary>
    public IReadOnlyList<Ticked> NotHere => [.. Context.Steps.Select(s => Fold.TickOf(s.Key)).OfType<Ticked>().Where(t => t.NotHere)];

    /// <summary>Every point's work.</summary>
    public IReadOnlyList<PointWork> Work => Fold.Points;

    /// <summary>The points as they stand, in the order of the type.</summary>
    public IReadOnlyList<PointView> Points => Fold.Opened is null ? [] : [.. Fold.Points.Select(p => PointViews.Of(Fold, p, State))];

    /// <summary>Corrections after the signature.</summary>
    public IReadOnlyList<CorrectionView> Corrections => [.. Entries.OfType<Corrected>().Select(c => new CorrectionView(c.Target, c.Why, c.By, c.At))];

    /// <summary>Parts changed.</summary>
    public IReadOnlyList<PartChanged> Parts => Fold.Parts;

    /// <summary>Marks found at this visit.</summary>
    public IReadOnlyList<Marked> Marks => Fold.Marks;

    /// <summary>All marks known of the engine, the last word on each.</summary>
    public IReadOnlyList<EngineMark> KnownMarks =>
        [.. Context.Marks.Concat(Fold.Marks.Select(m => new EngineMark(m.Name, m.CrankDeg, m.Trap))).GroupBy(m => m.Name, StringComparer.OrdinalIgnoreCase).Select(g => g.Last()).OrderBy(m => m.CrankDeg)];

    /// <summary>Second persons' readings.</summary>
    public IReadOnlyList<Countersigned> Countersignatures => Fold.Countersigned;

    /// <summary>Answers given, the last of each question.</summary>
    public IReadOnlyDictionary<VisitQuestion, Answered> Answers => Fold.Answers;

    /// <summary>Notes and photographs.</summary>
    public IReadOnlyList<Noted> Notes => Fold.Notes;

    /// <summary>What is asked next; null once it is closed.</summary>
    public NextTask? Next => State == VisitState.Open && Fold.Opened is not null ? Guide.Next(this) : null;

    /// <summary>Why a signature would be refused; empty exactly when it would be taken, and for a visit that is closed.</summary>
    public IReadOnlyList<Refusal> Refusals => State == VisitState.Open && Fold.Opened is not null ? Owed.Refusals(Fold) : [];

    /// <summary>Measured in no condition that a figure holds for, and known to be.</summary>
    public bool IsWarm => Fold.Condition is { } c && EntryRules.IsWarm(Context, c);

    /// <summary>Measured cold where only hot figures are known: kept, judged by nothing.</summary>
    public bool IsNotJudged => Context.Demands.Count > 0 && Demands is null;

    /// <summary>Kept out of every rate: no hours, an abandoned visit, a warm engine, cold figures of a hot type, other blades.</summary>
    public bool IsOutOfTrend => Fold.Opened is { Bench: true } or { ShownHours: null } || State == VisitState.Abandoned || IsNotJudged || (IsWarm && Answer(VisitQuestion.Warm) != VisitAnswer.No)
        || Answer(VisitQuestion.Warm) == VisitAnswer.Yes || Answer(VisitQuestion.OtherBlades) == VisitAnswer.Yes;

    /// <summary>Why, in a word; null where it is in the trend.</summary>
    public string? OutOfTrendBecause => !IsOutOfTrend ? null
        : Answer(VisitQuestion.OtherBlades) == VisitAnswer.Yes ? "otherBlades"
        : Fold.Opened!.Bench ? "bench"
        : State == VisitState.Abandoned ? "abandoned"
        : Fold.Opened.ShownHours is null ? "noHours"
        : IsNotJudged ? "notJudged"
        : "warm";

    /// <summary>Everything read one way, and nobody has said why: asked before the signature, while it can still be measured again.</summary>
    public VisitDoubt? Doubt => IsWarm || Answers.ContainsKey(VisitQuestion.Warm) || Answers.ContainsKey(VisitQuestion.OtherBlades) ? null : VisitDoubt.Of(BesideExpected.Of(this), Context.SharedSdMm);

    /// <summary>Two points that read as each other was expected to, and nobody has said whether they were swapped.</summary>
    public SwappedPair? Swapped => Answers.ContainsKey(VisitQuestion.Swapped) ? null : SwappedPair.Of(BesideExpected.Of(this));

    /// <summary>Two shims that went into each other's places, by what was measured after fitting; null where none did.</summary>
    public Shims.MirroredShims? Mirrored => Shims.MirroredShims.Of([.. Fold.Points.Select(p => p.AfterFitting).OfType<Shims.FittedPoint>()]);

    /// <summary>Whether the gaps of the visit that this one goes on with still tell enough; null where they do.</summary>
    public string? FindAgain => Fold.Opened is { Continues: { } before, ShownHours: { } shown } && Context.WaitingOf(before)?.TotalHours is { } then && Context.Meter is { } meter ? Shims.ShimJob.FindAgain(shown + meter.OffsetHours - then) : null;

    /// <summary>The gaps measured more than once.</summary>
    public IReadOnlyList<SameGap> SameGaps => RepeatedGaps.Of(this);

    /// <summary>Since when nothing was written down, and when that is asked; null where it is not open.</summary>
    public Stillness? Stillness => Stillness.Of(State, log.Live());

    /// <summary>Hours from the opening to the signature without the pauses; null where it is not signed, or was no day's work.</summary>
    public double? WorkedHours => WorkedTime.Of(log.Live(), Fold.Opened, Fold.Signed);

    /// <summary>A signed overhead or build with nothing awaiting starts the book's clock anew, from the hours it was read at.</summary>
    public bool StartsClock => State == VisitState.Signed && Fold.Opened is { Bench: false, ShownHours: not null, Job: JobKind.Overhead or JobKind.Build } opened && Context.WaitingOf(opened.Continues)?.Job is null or JobKind.Overhead or JobKind.Build && Fold.Points.All(p => p.Said?.Outcome != PointOutcome.Awaiting || p.Left is not null);

    /// <summary>Cylinders at which nothing was measured, set or seen: the record says that they were not looked at.</summary>
    public IReadOnlyList<int> NotLookedAt => Fold.Opened is null or { Continues: not null } ? []
        : [.. Fold.Points.GroupBy(p => p.Point.Cylinder).Where(g => g.All(p => !p.IsBegun && p.Left is null && p.Said?.Outcome is null or PointOutcome.NotReached)).Select(g => g.Key).Order()];

    /// <summary>When the engine was stopped, where it is measured hot: the minutes since belong to each figure.</summary>
    public DateTimeOffset? StoppedAt => Fold.Condition is { Condition: SpecCondition.Hot } c ? c.At - TimeSpan.FromHours(c.HoursStanding ?? 0) : null;

    private VisitAnswer? Answer(VisitQuestion question) => Answers.GetValueOrDefault(question)?.Answer;
}
