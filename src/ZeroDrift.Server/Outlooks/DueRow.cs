using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Outlook;

namespace ZeroDrift.Server.Outlooks;

public sealed record DueAnswerResponse(DueRule Rule, double? Hours, DateOnly? Date);

public sealed record FindingResponse(string Point, VerdictState State, double? Mm, double? LimitMm);

/// <summary>An operator's report or a follow-up.</summary>
public sealed record CallResponse(Guid Id, DueRule Rule, IReadOnlyList<Symptom> Symptoms, string What, DateOnly? Date, double? AtHours, string? Who, DateTime At);

/// <summary>About what a meter shows today, by its last reading and the use since, with the least and the most believable; and whether that is too unsure to plan by.</summary>
public sealed record HoursTodayResponse(double Hours, double Least, double Most, bool ToBeRead);

/// <summary>What is to be done next about an engine: the open visit, or the job that waits for it with its day and who does it.</summary>
public sealed record DueNext(DueStep Step, Guid? VisitId, Guid? JobId, string? Job, DateOnly? PlannedOn, IReadOnlyList<string> Who);

/// <summary>One line of the yard.</summary>
public sealed record DueRow
{
    public required Guid EngineId { get; init; }
    public required string Name { get; init; }
    public required MachineKind Machine { get; init; }
    public required Guid MachineId { get; init; }
    public required string MachineName { get; init; }
    public required string Site { get; init; }
    public required string TypeCode { get; init; }
    public string? SerialNumber { get; init; }
    /// <summary>What the meter showed when it was read last.</summary>
    public required double ShownHours { get; init; }
    public DateOnly? ReadOn { get; init; }

    /// <summary>About what it shows today; null where it was never read.</summary>
    public HoursTodayResponse? HoursToday { get; init; }
    public required double HoursPerWeek { get; init; }
    public required DueAnswerResponse Decides { get; init; }
    public required IReadOnlyList<DueAnswerResponse> Others { get; init; }
    public double? AheadOfBookHours { get; init; }

    /// <summary>Engine hours from now to the book's date, by hours or by months at the present use, whichever is first; null without a book.</summary>
    public double? BookHoursLeft { get; init; }

    /// <summary>The type's book gives neither hours nor months.</summary>
    public required bool NoInterval { get; init; }
    public double? DriftHours { get; init; }

    /// <summary>The day of that at the present use.</summary>
    public DateOnly? DriftDate { get; init; }

    /// <summary>Engine hours until opening costs least; 0 is now.</summary>
    public double? OpenAfterHours { get; init; }

    /// <summary>The chance that some valve is out of its window when the book calls.</summary>
    public double? RiskAtBook { get; init; }

    /// <summary>What is said of it.</summary>
    public required VoiceResponse Voice { get; init; }

    /// <summary>It is worth an early look: drift decides, and by what its readings say and not for want of them.</summary>
    public bool DriftsBeforeBook { get; init; }
    public double? DriftEarlyHours { get; init; }
    public double? DriftLateHours { get; init; }
    public string? DriftPoint { get; init; }
    public LimitSide? DriftSide { get; init; }
    public double? DriftMmPer1000h { get; init; }
    public required IReadOnlyList<FindingResponse> Findings { get; init; }
    public required bool HasFigures { get; init; }

    /// <summary>The one mark it wears.</summary>
    public required DueMark Mark { get; init; }
    public required DueNext Next { get; init; }

    /// <summary>What in its record cannot be right; nothing is foretold from it.</summary>
    public string? Trouble { get; init; }
    /// <summary>Reports and follow-ups that are open.</summary>
    public required IReadOnlyList<CallResponse> Calls { get; init; }
    public Guid? OpenOverheadId { get; init; }
}
