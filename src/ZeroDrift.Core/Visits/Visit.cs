using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Visits;

/// <summary>What became of an entry that was offered.</summary>
public enum Taking
{
    /// <summary>It is part of the visit.</summary>
    Taken,

    /// <summary>It came in after the signature: stored and shown with the record.</summary>
    Late,

    /// <summary>A rule refused it.</summary>
    Refused,
}

/// <summary>The answer to one entry.</summary>
public sealed record TakingResult(Taking Taking, Refusal? Refusal);

/// <summary>A correction, as the record shows it.</summary>
public sealed record CorrectionView(Guid Entry, string Why, Guid By, DateTimeOffset At);

/// <summary>
/// One opening of one engine, folded from its entries. A function of the context and of the entries in sequence, of nothing else: entries that
/// carry a sequence were judged when they were taken and are applied, others are judged in their order. An entry undone, dropped or refused
/// leaves the visit as if it had never been.
/// </summary>
public sealed class Visit
{
    private readonly VisitContext context;
    private readonly List<Entry> entries = [];
    private VisitFold fold;

    private Visit(VisitContext context)
    {
        this.context = context;
        fold = new VisitFold(context);
    }

    /// <summary>Folds entries.</summary>
    public static Visit From(VisitContext context, IEnumerable<Entry> entries)
    {
        var visit = new Visit(context);
        var rebuild = false;
        foreach (var entry in entries)
        {
            if (entry.Sequence is null)
            {
                if (rebuild) visit.Rebuild();
                rebuild = false;
                visit.Take(entry);
                continue;
            }
            visit.entries.Add(entry);
            // What reaches back is resolved once, at the end.
            rebuild |= entry is Undone or Corrected or Admitted || visit.fold.Signed is not null;
            if (!rebuild) visit.fold.Apply(entry);
        }
        if (rebuild) visit.Rebuild();
        return visit;
    }

    /// <summary>The entries taken, late ones included, in order.</summary>
    public IReadOnlyList<Entry> Entries => entries;

    /// <summary>Open, signed or abandoned.</summary>
    public VisitState State => fold.Abandoned is not null ? VisitState.Abandoned : fold.Signed is not null ? VisitState.Signed : VisitState.Open;

    /// <summary>What it rests on.</summary>
    public VisitContext Context => context;

    /// <summary>Its first entry; null where there is none yet.</summary>
    public Opened? Opened => fold.Opened;

    /// <summary>The signature.</summary>
    public Signed? Signed => fold.Signed;

    /// <summary>The school of positions in force.</summary>
    public TurningMethod Method => fold.Method;

    /// <summary>The ways of working in force: the book's, or as chosen.</summary>
    public Schools Schools => fold.Schools;

    /// <summary>Who or what turns the crank, where somebody said.</summary>
    public string? TurnedBy => fold.TurnedBy;

    /// <summary>The starter turns it.</summary>
    public bool IsByStarter => fold.IsByStarter;

    /// <summary>Stop by stop or point by point: as chosen, else the default of the adjuster.</summary>
    public SettingOrder Setting => fold.Schools.Setting ?? (context.Type.Points.Any(p => p.Adjuster is Adjuster.Shim) ? SettingOrder.StopFirst : SettingOrder.PointByPoint);

    /// <summary>The blades at hand.</summary>
    public Tray? Tray => fold.Tray;

    /// <summary>Everything it was measured with, by name: the blade sets, and what was named beside them.</summary>
    public IReadOnlyList<string> Instruments => [.. Live().SelectMany(NamesOf).Distinct(StringComparer.Ordinal)];

    private static IEnumerable<string> NamesOf(Entry entry) => entry switch
    {
        Opened e => e.Instruments.Concat(Named(e.Tray?.SetId)),
        Chose e => Named(e.Tray?.SetId),
        Tried e => Named(e.BladeSet),
        _ => [],
    };

    private static IEnumerable<string> Named(string? name) => name is null ? [] : [name];

    /// <summary>The stops of the school in force.</summary>
    public StopPlan Plan => fold.Plan;

    /// <summary>Cold or hot, as stated last.</summary>
    public ConditionStated? Condition => fold.Condition;

    /// <summary>The demands judged by.</summary>
    public ContextDemands? Demands => context.For(fold.Condition?.Condition);

    /// <summary>The stop proved now, or nothing.</summary>
    public IReadOnlyList<CrankAngle> Proved => fold.ProvedAt is { } proved ? [proved] : [];

    /// <summary>Points proved by name.</summary>
    public IReadOnlySet<string> ProvedPoints => fold.ProvedPoints;

    /// <summary>Where the crank stands: the last of barred to and proved.</summary>
    public CrankAngle? CrankDeg => fold.Crank;

    /// <summary>Where it stands as far as can be told: by a stop, or by a valve seen to be clear.</summary>
    public CrankAngle? StandsAbout => fold.StandsAbout;

    /// <summary>Steps ticked, in the order of the lists.</summary>
    public IReadOnlyList<string> Ticked => [.. context.Steps.Where(s => fold.IsTicked(s.Key)).Select(s => s.Key)];

    /// <summary>Every point's work.</summary>
    public IReadOnlyList<PointWork> Work => fold.Points;

    /// <summary>Entries that came in after the signature and were not admitted.</summary>
    public IReadOnlyList<Guid> Late { get; private set; } = [];

    /// <summary>Corrections after the signature.</summary>
    public IReadOnlyList<CorrectionView> Corrections => [.. entries.OfType<Corrected>().Select(c => new CorrectionView(c.Target, c.Why, c.By, c.At))];

    /// <summary>Parts changed.</summary>
    public IReadOnlyList<PartChanged> Parts => fold.Parts;

    /// <summary>Marks found at this visit.</summary>
    public IReadOnlyList<Marked> Marks => fold.Marks;

    /// <summary>All marks known of the engine, the last word on each.</summary>
    public IReadOnlyList<EngineMark> KnownMarks =>
        [.. context.Marks.Concat(fold.Marks.Select(m => new EngineMark(m.Name, m.CrankDeg, m.Trap))).GroupBy(m => m.Name, StringComparer.OrdinalIgnoreCase).Select(g => g.Last()).OrderBy(m => m.CrankDeg)];

    /// <summary>Second persons' readings.</summary>
    public IReadOnlyList<Countersigned> Countersignatures => fold.Countersigned;

    /// <summary>Answers given, the last of each question.</summary>
    public IReadOnlyDictionary<VisitQuestion, Answered> Answers => fold.Answers;

    /// <summary>Why a signature would be refused; empty exactly when it would be taken, and for a visit that is closed.</summary>
    public IReadOnlyList<Refusal> Refusals => State == VisitState.Open && fold.Opened is not null ? Owed.Refusals(fold) : [];

    /// <summary>Measured in no condition that a figure holds for, and known to be.</summary>
    public bool IsWarm => fold.Condition is { } c && EntryRules.IsWarm(context, c);

    /// <summary>Kept out of every rate: a bench, an abandoned visit, a warm engine, other blades.</summary>
    public bool IsOutOfTrend => fold.Opened is { Bench: true } || State == VisitState.Abandoned || (IsWarm && fold.Answers.GetValueOrDefault(VisitQuestion.Warm)?.Answer != VisitAnswer.No)
        || fold.Answers.GetValueOrDefault(VisitQuestion.Warm)?.Answer == VisitAnswer.Yes || fold.Answers.GetValueOrDefault(VisitQuestion.OtherBlades)?.Answer == VisitAnswer.Yes;

    /// <summary>Everything read one way, and nobody has said why: asked before the signature, while it can still be measured again.</summary>
    public VisitDoubt? Doubt => IsWarm || fold.Answers.ContainsKey(VisitQuestion.Warm) || fold.Answers.ContainsKey(VisitQuestion.OtherBlades) ? null : VisitDoubt.Of(BesideExpected(), context.SharedSdMm);

    /// <summary>Two points that read as each other was expected to, and nobody has said whether they were swapped.</summary>
    public SwappedPair? Swapped => fold.Answers.ContainsKey(VisitQuestion.Swapped) ? null : SwappedPair.Of(BesideExpected());

    /// <summary>Two shims that went into each other's places, by what was measured after fitting; null where none did.</summary>
    public Shims.MirroredShims? Mirrored => Shims.MirroredShims.Of([.. fold.Points.Select(p => p.AfterFitting).OfType<Shims.FittedPoint>()]);

    /// <summary>Whether the gaps of the visit that this one goes on with still tell enough; null where they do.</summary>
    public string? FindAgain => fold.Opened is { Continues: not null, ShownHours: { } shown } && context is { AwaitingHours: { } then, Meter: { } meter } ? Shims.ShimJob.FindAgain(shown + meter.OffsetHours - then) : null;

    /// <summary>The gaps measured more than once: as found with its repeats, and what was left with what a second person read when countersigning.</summary>
    public IReadOnlyList<SameGap> SameGaps
    {
        get
        {
            var second = fold.Countersigned.SelectMany(c => c.Readings.Where(r => r.Reading.EstimateMm is not null).Select(r => (r.Point, Gap: new GapReading(c.By, r.Reading.EstimateMm!.Value)))).ToLookup(r => r.Point, r => r.Gap);
            var gaps = new List<SameGap>();
            foreach (var point in Points)
            {
                List<GapReading> found = [.. point.Repeats.Prepend(point.Found).SelectMany(Said)];
                // Where something was set, the second person measured what was left.
                var isSet = point.Left is { } left && left.Reading != point.Found?.Reading;
                gaps.Add(new SameGap(point.Point, isSet ? found : [.. found, .. second[point.Point]]));
                if (isSet) gaps.Add(new SameGap(point.Point, [.. Said(point.Left), .. second[point.Point]]));
            }
            return [.. gaps.Where(g => g.Readings.Count > 1)];

            static IEnumerable<GapReading> Said(FigureView? figure) => figure?.Value.EstimateMm is { } mm ? [new GapReading(figure.By, mm)] : [];
        }
    }

    private List<FoundBesideExpected> BesideExpected()
    {
        var shared = context.SharedSdMm * context.SharedSdMm;
        return
        [
            .. from point in Points
               where point.Found?.Value.EstimateMm is not null && context.Expected.ContainsKey(point.Point)
               let expected = context.Expected[point.Point]
               let own = Math.Max(expected.StandardUncertaintyMm * expected.StandardUncertaintyMm - shared, Measuring.Reading.DefaultFeelSdMm * Measuring.Reading.DefaultFeelSdMm)
               select new FoundBesideExpected(point.Point, point.Found!.Value.EstimateMm!.Value, expected.ClearanceMm, Math.Sqrt(own)),
        ];
    }

    /// <summary>Hours from the opening to the signature without the pauses; null where it is not signed, or was no day's work (typed in afterwards, left open over night).</summary>
    public double? WorkedHours
    {
        get
        {
            const double Least = 0.1, Most = 14;
            if (fold.Opened is not { } opened || fold.Signed is not { } signed) return null;
            var rest = TimeSpan.Zero;
            DateTimeOffset? since = null;
            foreach (var entry in Live())
            {
                if (entry is Paused) since ??= entry.At;
                if (entry is Resumed && since is { } from) (rest, since) = (rest + (entry.At - from), null);
            }
            var worked = (signed.At - opened.At - rest).TotalHours;
            return worked is >= Least and <= Most ? Math.Round(worked, 2) : null;
        }
    }

    /// <summary>A signed overhead or build with nothing awaiting starts the book's clock anew.</summary>
    public bool StartsClock => State == VisitState.Signed && fold.Opened is { Bench: false, Job: JobKind.Overhead or JobKind.Build } && fold.Points.All(p => p.Said?.Outcome != PointOutcome.Awaiting || p.Left is not null);

    /// <summary>Whether a step is ticked.</summary>
    public bool IsTicked(string step) => fold.IsTicked(step);

    /// <summary>What was said at a step: what was seen, or how many parts.</summary>
    public string? SaidAt(string step) => fold.SaidAt(step);

    /// <summary>Notes and photographs.</summary>
    public IReadOnlyList<Noted> Notes => fold.Notes;

    /// <summary>Whether this job asks a step.</summary>
    public bool Asks(VisitStep step) => step.IsAskedIn(fold.Opened!.Job);

    /// <summary>Cylinders at which nothing was measured, set or seen: the record says that they were not looked at.</summary>
    public IReadOnlyList<int> NotLookedAt => fold.Opened is null or { Continues: not null } ? []
        : [.. fold.Points.GroupBy(p => p.Point.Cylinder).Where(g => g.All(p => !p.IsBegun && p.Left is null && p.Said?.Outcome is null or PointOutcome.NotReached)).Select(g => g.Key).Order()];

    /// <summary>When the engine was stopped, where it is measured hot: the minutes since belong to each figure.</summary>
    public DateTimeOffset? StoppedAt => fold.Condition is { Condition: SpecCondition.Hot } c ? c.At - TimeSpan.FromHours(c.HoursStanding ?? 0) : null;

    /// <summary>What the book asks of a point in the condition stated.</summary>
    public Demand? DemandOf(PointWork point) => Owed.DemandOf(fold, point);

    /// <summary>Whether a point is set by an amount or a sign.</summary>
    public bool IsByAmount(PointWork point) => Owed.IsByAmount(fold, point);

    /// <summary>Whether a point still owes a found figure.</summary>
    public bool OwesFound(PointWork point) => Owed.OwesFound(fold, point);

    /// <summary>Whether a point still owes an as-left.</summary>
    public bool OwesLeft(PointWork point) => Owed.OwesLeft(fold, point);

    /// <summary>The judgement of a reading by the school in force; null where there is nothing to judge by or nothing said.</summary>
    public Judgement? Judge(ReadingWork? reading, PointWork point) => reading?.Judge(Owed.GapOf(fold, point), Schools.Judging, Schools.SameWithinMm);

    /// <summary>Why a figure would be asked again before it is kept; null where it surprises nobody, or contradicts itself.</summary>
    public Refusal? DoubtOf(ReadingWork reading) => reading.ValueOrNothing() == Measuring.Reading.Nothing ? null : EntryRules.Doubt(fold, reading);

    /// <summary>In its window, but the school in force brings it to the set figure; nobody has said that it stays.</summary>
    public bool WantsSetting(PointWork point) =>
        State == VisitState.Open && point is { Found: { } found, Left: null, Said: null } && !OwesLeft(point) && Judge(found, point)?.Action == JudgedAction.Set;

    /// <summary>Whether anything is left to do at a point: to measure, to set, or to say.</summary>
    public bool HasWorkAt(PointWork point) =>
        (fold.Opened!.Continues is null || point.FoundBefore is not null) && (OwesFound(point) || OwesLeft(point) || WantsSetting(point));

    /// <summary>Whether the position is proved for a point.</summary>
    public bool IsProved(PointWork point) => fold.IsProved(point.Point.Label);

    /// <summary>The points as they stand, in the order of the type.</summary>
    public IReadOnlyList<PointView> Points => fold.Opened is null ? [] : [.. fold.Points.Select(View)];

    /// <summary>What is asked next; null once it is closed.</summary>
    public NextTask? Next => State == VisitState.Open && fold.Opened is not null ? Guide.Next(this) : null;

    /// <summary>Offers an entry: judged, and taken unless a rule refuses it.</summary>
    /// <param name="entry">Without a sequence.</param>
    /// <param name="knowsPerson">People known besides the context's; null where there are none.</param>
    public TakingResult Take(Entry entry, Func<Guid, bool>? knowsPerson = null)
    {
        if (fold.Abandoned is not null) return Refused(new Refusal(RefusalCode.Abandoned));
        if (!context.People.Contains(entry.By) && knowsPerson?.Invoke(entry.By) != true) return Refused(new Refusal(RefusalCode.PersonUnknown) { Field = "by" });
        if (fold.Signed is not null && entry is not Visits.Signed and not Visits.Opened && !entry.AddsToSigned)
        {
            entries.Add(entry);
            Late = [.. Late, entry.Id];
            return new TakingResult(Taking.Late, null);
        }
        if (Judge(entry) is { } refusal) return Refused(refusal);
        entries.Add(entry);
        if (entry is Undone or Corrected or Admitted) Rebuild();
        else fold.Apply(entry);
        return new TakingResult(Taking.Taken, null);
    }

    private static TakingResult Refused(Refusal refusal) => new(Taking.Refused, refusal);

    private Refusal? Judge(Entry entry)
    {
        if (fold.Opened is null && entry is not Visits.Opened) return new Refusal(RefusalCode.NotOpened);
        return entry switch
        {
            Undone e => JudgeUndo(e),
            Corrected e => JudgeCorrection(e),
            Admitted e => e.Targets.All(Late.Contains) ? null : new Refusal(RefusalCode.EntryUnknown),
            _ => EntryRules.Judge(fold, entry),
        };
    }

    private Refusal? JudgeUndo(Undone undo)
    {
        var live = Live().ToList();
        if (live.Find(e => e.Id == undo.Target) is not { } target)
            return entries.Exists(e => e.Id == undo.Target && e is Undone) ? new Refusal(RefusalCode.RestsOn) : new Refusal(RefusalCode.EntryUnknown);
        if (target is Visits.Opened) return new Refusal(RefusalCode.RestsOn);
        if (target is FigureEntry figure && fold.Readings.TryGetValue(figure.Reading, out var reading) && reading.Kept is not null) return new Refusal(RefusalCode.RestsOn) { Points = [figure.Point] };
        // Nothing rests on it when everything after it would still be taken.
        var without = new VisitFold(context);
        foreach (var entry in live.Where(e => e.Id != target.Id))
        {
            if (EntryRules.Judge(without, entry) is { } refused && EntryRulesKnew(refused)) return new Refusal(RefusalCode.RestsOn) { Points = refused.Points, Steps = refused.Steps };
            without.Apply(entry);
        }
        return null;

        // Whoever signed it off as sure, or a figure that was refused as doubtful and taken since, does not rest on what is undone.
        static bool EntryRulesKnew(Refusal refusal) => refusal.Code != RefusalCode.FigureDoubtful;
    }

    private Refusal? JudgeCorrection(Corrected correction)
    {
        if (fold.Signed is null) return new Refusal(RefusalCode.NotSigned);
        if (Live().FirstOrDefault(e => e.Id == correction.Target) is not { } target) return new Refusal(RefusalCode.EntryUnknown);
        try
        {
            if (correction.Fields.Onto(Now(target)) is not { } replaced)
                return EntryRules.Malformed("fields", $"An entry of kind {target.Kind} has none of these fields to correct.");
            if (replaced is Opened opened && EntryRules.Open(context, opened) is { } refused) return refused;
            if (replaced is Tried { CorrectedFigure: null } tried) Measuring.Reading.FromBlades([tried.Trial]);
            if (replaced is Tried { CorrectedFigure: { } written } t) Measuring.WrittenFigure.Parse(written, t.Unit, "fields.figure");
            if (replaced is FigureRead figure) ReadingWork.OfFigure(figure, context.DialConversion);
            if (replaced is FigureEntry measured) return Contradiction(measured, correction);
            return null;
        }
        catch (BadInputException bad)
        {
            return EntryRules.Malformed(bad.Field.StartsWith("fields", StringComparison.Ordinal) ? bad.Field : "fields." + bad.Field, bad.Message);
        }
    }

    private Refusal? Contradiction(FigureEntry measured, Corrected correction)
    {
        var after = Folded([.. entries, correction]);
        if (!after.Readings.TryGetValue(measured.Reading, out var reading)) return null;
        try
        {
            reading.Value();
            return null;
        }
        catch (BadInputException bad)
        {
            return new Refusal(RefusalCode.BladesContradict) { Points = [measured.Point], Detail = bad.Message };
        }
    }

    private Entry Now(Entry entry)
    {
        foreach (var correction in entries.OfType<Corrected>().Where(c => c.Target == entry.Id)) entry = correction.Fields.Onto(entry) ?? entry;
        return entry;
    }

    private void Rebuild() => fold = Folded(entries, late => Late = late);

    private VisitFold Folded(IReadOnlyList<Entry> all, Action<IReadOnlyList<Guid>>? tellLate = null)
    {
        var corrections = all.OfType<Corrected>().ToLookup(c => c.Target);
        var built = new VisitFold(context);
        foreach (var entry in Live(all, tellLate))
        {
            var now = entry;
            foreach (var correction in corrections[entry.Id]) now = correction.Fields.Onto(now) ?? now;
            built.Apply(now);
        }
        return built;
    }

    private IEnumerable<Entry> Live() => Live(entries, null);

    /// <summary>What counts: not undone, and after the signature only what adds to it or was admitted. An admitted entry counts at its own place.</summary>
    private static IEnumerable<Entry> Live(IReadOnlyList<Entry> all, Action<IReadOnlyList<Guid>>? tellLate)
    {
        var signedAt = all.Count;
        for (var i = 0; i < all.Count && signedAt == all.Count; i++)
            if (all[i] is Visits.Signed) signedAt = i;
        var admitted = all.OfType<Admitted>().SelectMany(a => a.Targets).ToHashSet();
        var counting = all.Where((e, i) => i <= signedAt || e.AddsToSigned || admitted.Contains(e.Id)).ToList();
        tellLate?.Invoke([.. all.Where((e, i) => i > signedAt && !e.AddsToSigned && !admitted.Contains(e.Id)).Select(e => e.Id)]);
        var undone = counting.OfType<Undone>().Select(u => u.Target).ToHashSet();
        return counting.Where(e => e is not Undone && !undone.Contains(e.Id));
    }

    private PointView View(PointWork point)
    {
        var job = fold.Opened!.Job;
        var found = point.Found;
        var left = point.Left;
        var demand = Owed.DemandOf(fold, point);
        var judged = job == JobKind.Build && found is null ? left : found;
        var verdict = judged?.Judge(demand as Demand.Gap)?.State;
        var outcome = point.Said?.Outcome ?? (verdict == VerdictState.InWindow ? job == JobKind.Build ? PointOutcome.Set : PointOutcome.LeftAlone : (PointOutcome?)null);
        var alone = left is null && found is not null && outcome == PointOutcome.LeftAlone && (demand is null || verdict == VerdictState.InWindow);
        return new PointView(
            point.Point.Label,
            demand,
            found?.View() ?? point.FoundBefore,
            left?.View() ?? (alone ? found!.View() : null),
            [.. point.KeptAt(ReadingStage.AsFound).Skip(1).Select(r => r.View())],
            verdict ?? FoundBeforeState(point, demand),
            outcome);
    }

    private static VerdictState? FoundBeforeState(PointWork point, Demand? demand) =>
        point is { Found: null, FoundBefore: { Value: { } value } } && demand is Demand.Gap gap && value is not { EstimateMm: null, LowerMm: null, UpperMm: null } ? Judgement.Of(value, [], gap).State : null;
}
