using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Overheads;
using ZeroDrift.Data.Model;
using ZeroDrift.Server.Book;
using ZeroDrift.Server.Calculators;

namespace ZeroDrift.Server.Engines;

public sealed record EngineCreateRequest(Guid? Id, string? Name, MachineKind? Machine, string? Site, Guid? EngineTypeId, double? DutyHoursPerDay, IReadOnlyList<double>? MonthlyWeights, string? Remark, double? MeterHours);

public sealed record MeterRequest(Guid? Id, DateOnly? Date, double? Hours, double? NewMeterShows, string? Who, string? Remark);

public sealed record DueAnswerResponse(DueRule Rule, double? Hours, DateOnly? Date);

public sealed record FindingResponse(string Point, VerdictState State, double? Mm, double? LimitMm);

/// <summary>One line of the yard.</summary>
public sealed record DueRow
{
    public required Guid EngineId { get; init; }
    public required string Name { get; init; }
    public required MachineKind Machine { get; init; }
    public required string Site { get; init; }
    public required string TypeCode { get; init; }
    public required double ShownHours { get; init; }
    public required double HoursPerWeek { get; init; }
    public required DueAnswerResponse Decides { get; init; }
    public required IReadOnlyList<DueAnswerResponse> Others { get; init; }
    public double? AheadOfBookHours { get; init; }

    /// <summary>Engine hours from now to the book's date, by hours or by months at the present use, whichever is first; null without a book.</summary>
    public double? BookHoursLeft { get; init; }
    public double? DriftHours { get; init; }
    public double? DriftEarlyHours { get; init; }
    public double? DriftLateHours { get; init; }
    public string? DriftPoint { get; init; }
    public LimitSide? DriftSide { get; init; }
    public double? DriftMmPer1000h { get; init; }
    public required IReadOnlyList<FindingResponse> Findings { get; init; }
    public required bool HasFigures { get; init; }
    public Guid? OpenOverheadId { get; init; }
}

public sealed record DueListResponse(string Fleet, DateOnly Today, IReadOnlyList<DueRow> Engines);

public sealed record SeriesVisit(Guid OverheadId, double Hours, DateOnly Date, double? FoundMm, double? LeftMm, double? FoundLowerMm, double? FoundUpperMm, bool Excluded, bool PartChanged);

public sealed record EnginePointResponse
{
    public required Guid Id { get; init; }
    public required string Label { get; init; }
    public required int Cylinder { get; init; }
    public required LashKind Kind { get; init; }
    public string? Place { get; init; }
    public required int Bank { get; init; }
    public required int Along { get; init; }
    public double? MinMm { get; init; }
    public double? MaxMm { get; init; }
    public double? SetMm { get; init; }
    public double? LastMm { get; init; }
    public double? ExpectedMm { get; init; }
    public double? ExpectedSdMm { get; init; }
    public VerdictState? Standing { get; init; }
    public RateResponse? Rate { get; init; }
    public required bool UnlikeSiblings { get; init; }
    public double? HoursToRisk { get; init; }
    public LimitSide? Side { get; init; }
    public required IReadOnlyList<SeriesVisit> Series { get; init; }
}

public sealed record LedgerRow(Guid OverheadId, double ShownHours, double TotalHours, DateOnly Date, JobKind Job, string Who, int OutAsFound, int Measured, string? Tightest, double? TightestMm, bool TightestIsOut, int SetCount, string? SpecRevision, VisitAnswer Answer, string? Remark, int Corrections);

public sealed record EngineResponse
{
    public required DueRow Row { get; init; }
    public required EngineTypeResponse Type { get; init; }
    public required IReadOnlyList<EnginePointResponse> Points { get; init; }
    public required IReadOnlyList<LedgerRow> Ledger { get; init; }
    public required IReadOnlyList<MeterReadingResponse> Meter { get; init; }
    public required double TotalHours { get; init; }
    public string? Remark { get; init; }
}

public sealed record MeterReadingResponse(DateOnly Date, double ShownHours, double? NewMeterShows, string? Who, string? Remark);
