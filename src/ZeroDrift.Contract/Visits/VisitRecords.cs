using ZeroDrift.Contract.Calls;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Contract.Visits;

public sealed record FigureRecord(Guid Reading, double? EstimateMm, double? LowerMm, double? UpperMm, double? StandardUncertaintyMm, Guid By, DateTimeOffset At)
{
    public static FigureRecord? Of(FigureView? f) => f is null ? null : new(f.Reading, f.Value.EstimateMm, f.Value.LowerMm, f.Value.UpperMm, f.Value.StandardUncertaintyMm, f.By, f.At);
}

/// <summary>A measurement that the adjuster was turned away from.</summary>
public sealed record AttemptRecord(ReadingStage Stage, double? EstimateMm, double? LowerMm, double? UpperMm, VerdictState? State, Guid Reading, Guid By);

/// <summary>
/// One point as it stands. attempts: what was measured since it was found and turned away from, in the order begun. advice: what to do now, from the last of what is known; null where the
/// book asks nothing, or the visit is closed.
/// </summary>
public sealed record VisitPointRecord(string Point, FigureRecord? Found, FigureRecord? Left, IReadOnlyList<FigureRecord> Repeats, VerdictState? Verdict, PointOutcome? Outcome, IReadOnlyList<AttemptRecord> Attempts, AdviceResponse? Advice)
{
    public static VisitPointRecord Of(PointView p) => new(
        p.Point, FigureRecord.Of(p.Found), FigureRecord.Of(p.Left), [.. p.Repeats.Select(r => FigureRecord.Of(r)!)], p.Verdict, p.Outcome,
        [.. p.Attempts.Select(a => new AttemptRecord(a.Stage, a.Value.EstimateMm, a.Value.LowerMm, a.Value.UpperMm, a.State, a.Reading, a.By))],
        p.Advice is { } advice ? AdviceResponse.Of(advice) : null);
}

/// <summary>A step answered with "not here".</summary>
public sealed record NotHereRecord(string Step, string? Why);

public sealed record NextRecord
{
    public required NextDo Do { get; init; }
    public string? Point { get; init; }
    public double? CrankDeg { get; init; }
    public string? Step { get; init; }
}

public sealed record RefusalRecord(string Code, IReadOnlyList<string>? Points, IReadOnlyList<string>? Steps, string Sentence);

public sealed record RefusedRecord(Guid Id, string? Kind, Guid? By, DateTimeOffset? At, string Code, string Sentence);

public sealed record CorrectionRecord(Guid Entry, string Why, Guid By, DateTimeOffset At);

public sealed record SignedRecord(Guid By, DateTimeOffset At, string? Remark);

/// <summary>Everything read one way, and nobody has said why.</summary>
public sealed record VisitDoubtRecord(double ShiftMm, double StandardDeviations, int Points);

/// <summary>Two points that read as each other was expected to.</summary>
public sealed record SwappedRecord(string First, string Second);

/// <summary>A second person's reading of one point.</summary>
public sealed record SecondReadingRecord(string Point, double? EstimateMm, double? LowerMm, double? UpperMm);

/// <summary>Measured again and signed beside the first.</summary>
public sealed record CountersignatureRecord(Guid By, DateTimeOffset At, IReadOnlyList<SecondReadingRecord> Readings)
{
    public static CountersignatureRecord Of(Countersigned entry) =>
        new(entry.By, entry.At, [.. entry.Readings.Select(r => (r.Point, r.Reading)).Select(r => new SecondReadingRecord(r.Point, r.Reading.EstimateMm, r.Reading.LowerMm, r.Reading.UpperMm))]);
}

/// <summary>Points measured without a figure at hand, judged by a revision that came to the book later.</summary>
/// <param name="Revision">Its name.</param>
/// <param name="Source">Where it comes from.</param>
/// <param name="Date">Its date; the visit has its own.</param>
/// <param name="Points">How each stands by it.</param>
public sealed record JudgedLaterRecord(string Revision, string Source, DateOnly Date, IReadOnlyList<JudgedPointRecord> Points);

public sealed record JudgedPointRecord(string Point, VerdictState State, string Written);

/// <summary>A part changed or machined.</summary>
public sealed record PartRecord(Guid Entry, IReadOnlyList<string> Points, int? Cylinder, bool Whole, string Part, string Why, double? CutMm, Guid By, DateTimeOffset At);

/// <summary>A note, with a picture by its hash; with a customer it is the customer's remark, and the picture a signature.</summary>
public sealed record NoteRecord(Guid Entry, string? Point, string Text, string? Photo, string? Customer, Guid By, DateTimeOffset At);

/// <summary>What was said at a step: what was seen, or how many parts.</summary>
public sealed record SaidStepRecord(string Step, string Said);

/// <summary>The book has a newer revision than the one judged by.</summary>
public sealed record NewerRevisionRecord(string Revision, string Source, DateOnly Date);

/// <summary>A visit folded: what a screen shows.</summary>
public sealed record VisitRecord
{
    public required Guid VisitId { get; init; }
    public required Guid EngineId { get; init; }
    public required JobKind Job { get; init; }
    public required DateOnly Date { get; init; }
    public required VisitState State { get; init; }
    public required int Head { get; init; }
    public required IReadOnlyList<VisitPointRecord> Points { get; init; }
    public NextRecord? Next { get; init; }
    public required IReadOnlyList<RefusalRecord> Refusals { get; init; }
    public required IReadOnlyList<double> Proved { get; init; }
    public required IReadOnlyList<string> ProvedPoints { get; init; }
    public double? CrankDeg { get; init; }
    public required IReadOnlyList<string> Ticked { get; init; }
    public required IReadOnlyList<Guid> Late { get; init; }
    public required IReadOnlyList<RefusedRecord> Refused { get; init; }
    public required IReadOnlyList<CorrectionRecord> Corrections { get; init; }
    public required IReadOnlyList<CountersignatureRecord> Countersignatures { get; init; }
    public VisitDoubtRecord? Doubt { get; init; }
    public SwappedRecord? Swapped { get; init; }

    /// <summary>Two fitted shims whose gaps mirror each other: they may sit in each other's places.</summary>
    public SwappedRecord? Mirrored { get; init; }
    public SignedRecord? Signed { get; init; }
    public JudgedLaterRecord? JudgedLater { get; init; }
    public NewerRevisionRecord? NewerRevision { get; init; }
    public required IReadOnlyList<PartRecord> Parts { get; init; }
    public required IReadOnlyList<NoteRecord> Notes { get; init; }
    public required IReadOnlyList<SaidStepRecord> SaidSteps { get; init; }

    /// <summary>Opened on a bench: no hours, no stops.</summary>
    public required bool Bench { get; init; }

    /// <summary>Where the engine is.</summary>
    public required VisitPlace Place { get; init; }

    /// <summary>Steps answered with "not here".</summary>
    public required IReadOnlyList<NotHereRecord> NotHere { get; init; }

    /// <summary>The open job that the signature of this visit closes, where its opening names none; a server knows it.</summary>
    public Guid? ClosesJob { get; init; }
    public string? ContextId { get; init; }
    public string? ContextAsked { get; init; }
    public ContextRecord? Context { get; init; }
    public SheetRecord? Sheet { get; init; }

    /// <summary>The view of a visit that has been opened.</summary>
    public static VisitRecord Of(Guid visitId, Visit visit, int head) => new()
    {
        VisitId = visitId,
        EngineId = visit.Opened!.EngineId,
        Job = visit.Opened.Job,
        Date = visit.Opened.Date,
        State = visit.State,
        Head = head,
        Points = [.. visit.Points.Select(VisitPointRecord.Of)],
        Next = visit.Next is { } next ? new NextRecord { Do = next.Do, Point = next.Point, CrankDeg = next.CrankDeg, Step = next.Step } : null,
        Refusals = [.. visit.Refusals.Select(r => new RefusalRecord(r.Code, r.Points, r.Steps, r.Sentence()))],
        Proved = [.. visit.Proved.Select(p => p.Degrees)],
        ProvedPoints = [.. visit.ProvedPoints.Order(StringComparer.Ordinal)],
        CrankDeg = visit.CrankDeg,
        Ticked = visit.Ticked,
        Late = visit.Late,
        Refused = [],
        Corrections = [.. visit.Corrections.Select(c => new CorrectionRecord(c.Entry, c.Why, c.By, c.At))],
        Countersignatures = [.. visit.Countersignatures.Select(CountersignatureRecord.Of)],
        Doubt = visit is { State: VisitState.Open, Doubt: { } doubt } ? new VisitDoubtRecord(doubt.ShiftMm, doubt.StandardDeviations, doubt.Points) : null,
        Mirrored = visit.Mirrored is { } mirrored ? new SwappedRecord(mirrored.First, mirrored.Second) : null,
        Swapped = visit is { State: VisitState.Open, Swapped: { } pair } ? new SwappedRecord(pair.First, pair.Second) : null,
        Signed = visit.Signed is { } s ? new SignedRecord(s.By, s.At, s.Remark) : null,
        Bench = visit.Opened.Bench,
        Place = visit.Place,
        NotHere = [.. visit.NotHere.Select(t => new NotHereRecord(t.Step, t.Why))],
        Parts = [.. visit.Parts.Select(p => new PartRecord(p.Id, p.Points, p.Cylinder, p.Whole, p.Part, p.Why, p.CutMm, p.By, p.At))],
        Notes = [.. visit.Notes.Select(n => new NoteRecord(n.Id, n.Point, n.Text, n.Photo, n.Customer, n.By, n.At))],
        SaidSteps = [.. visit.Context.Steps.Select(s => (s.Key, Said: visit.SaidAt(s.Key))).Where(s => s.Said is not null).Select(s => new SaidStepRecord(s.Key, s.Said!))],
        ContextAsked = null,
    };
}
