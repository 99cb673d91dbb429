using ZeroDrift.Contract.Calls;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Outlooks;
using ZeroDrift.Server.Book;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Engines;

/// <summary>The yard. Risk: the fleet's, at which drift decides.</summary>
/// <summary>The engines of the whole fleet that are worth an early look, and how many of them are expected out by their book's date: the sum of their chances.</summary>
public sealed record EarlyLooks(int Engines, double ExpectedOut)
{
    internal static EarlyLooks Of(IReadOnlyList<DueRow> rows)
    {
        var early = rows.Where(r => r.DriftsBeforeBook).ToList();
        return new EarlyLooks(early.Count, early.Sum(r => r.Voice.Risk ?? 0));
    }
}

/// <summary>The fleet by urgency; soonUntil: the last day of what is called due, eight weeks ahead.</summary>
public sealed record DueListResponse(string Fleet, double Risk, DateOnly Today, DateOnly SoonUntil, IReadOnlyList<DueRow> Engines, int Total, EarlyLooks Early);

public sealed record SeriesVisit(Guid OverheadId, double Hours, DateOnly Date, double? FoundMm, double? LeftMm, double? FoundLowerMm, double? FoundUpperMm, bool Excluded, bool PartChanged);

/// <summary>A point on its engine's page: where it sits, where it is heading, and what was found and left.</summary>
public sealed record EnginePointResponse : PointContent
{
    public EnginePointResponse(PointContent known)
        : base(known)
    {
    }

    public required Guid Id { get; init; }
    public required int Cylinder { get; init; }
    public required LashKind Kind { get; init; }
    public string? Place { get; init; }
    public required int Bank { get; init; }
    public required int Along { get; init; }
    public RateResponse? Rate => MmPer1000h is { } rate && StandardErrorMmPer1000h is { } error ? new RateResponse(rate, error) : null;
    public double? ShownMm => Shown?.Mm ?? LastMm;
    public VerdictState? ShownState => Shown is { } shown ? shown.State : Standing;
    public bool ShownIsExpected => Shown?.IsExpected ?? false;
    public required IReadOnlyList<SeriesVisit> Series { get; init; }
}

/// <summary>One line of the ledger. Tightest names the point found worst out of its window, tight or loose; null where all were fine.</summary>
public sealed record LedgerRow(Guid OverheadId, double? ShownHours, double? TotalHours, DateOnly Date, JobKind Job, VisitState State, string Who, int OutAsFound, int Measured, string? Tightest, double? TightestMm, VerdictState? TightestState, int SetCount, string? SpecRevision, string Answer, string? Remark, int Corrections);

public sealed record MeterReadingResponse(Guid Id, DateOnly Date, double ShownHours, double? NewMeterShows, string? Who, string? Remark, bool Withdrawn, Guid? ReplacesId, string? Why, Guid? VisitId);

/// <summary>A job that waits for the engine.</summary>
/// <param name="Id">Its identifier.</param>
/// <param name="Title">What it is.</param>
/// <param name="PlannedOn">The day it stands on in the plan; null where it has none.</param>
/// <param name="ClosedByOverhead">Signing an overhead closes it, if the opening names no other.</param>
public sealed record EngineJob(Guid Id, string Title, DateOnly? PlannedOn, bool ClosedByOverhead);

public sealed record EngineResponse
{
    public required DueRow Row { get; init; }
    public required EngineTypeResponse Type { get; init; }
    public required IReadOnlyList<EnginePointResponse> Points { get; init; }
    public required IReadOnlyList<LedgerRow> Ledger { get; init; }
    public required IReadOnlyList<MeterReadingResponse> Meter { get; init; }
    /// <summary>Figures of its own over its type's.</summary>
    public required IReadOnlyList<OwnFigureResponse> OwnFigures { get; init; }
    public required double TotalHours { get; init; }
    public string? Remark { get; init; }
    public string? Rating { get; init; }
    public string? Registration { get; init; }

    /// <summary>The visits that left points waiting for a part, the newest first; another can go on with them.</summary>
    public required IReadOnlyList<AwaitingPoints> Waiting { get; init; }

    /// <summary>Its open jobs; one of them is closed by the signature of an overhead or a build, whatever the door it is opened by.</summary>
    public required IReadOnlyList<EngineJob> Jobs { get; init; }

    /// <summary>Marks found or chalked at its visits.</summary>
    public required IReadOnlyList<MarkRecord> Marks { get; init; }
    public required double DutyHoursPerDay { get; init; }
    public IReadOnlyList<double>? MonthlyWeights { get; init; }
    public required bool Archived { get; init; }
    public required int Version { get; init; }
}
