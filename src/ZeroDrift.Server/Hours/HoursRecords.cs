using ZeroDrift.Core.Hours;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Server.Hours;

/// <summary>What becomes of a figure: taken, known (it stands already), waiting.</summary>
public sealed record HoursOutcome(string Outcome, string Machine, Guid? EngineId, string? Engine, DateOnly? Date, double? Hours, string Written, HoursDoubt? Doubt, double? PerhapsHours, string? Sentence, Guid? WaitingId)
{
    /// <summary>The two figures it could be, where it could be two.</summary>
    public IReadOnlyList<double>? Ways { get; init; }
}

/// <summary>What a file, a feed or a round brought.</summary>
public sealed record HoursReport(string Form, int Taken, int Known, int Waiting, IReadOnlyList<HoursOutcome> Figures);

public sealed record RoundReading(Guid? Id, Guid? EngineId, double? Hours);

/// <summary>One look at many meters.</summary>
public sealed record RoundRequest(DateOnly? Date, string? Who, IReadOnlyList<RoundReading?>? Readings);

/// <summary>A figure that waits for somebody to decide.</summary>
public sealed record WaitingFigure
{
    public required Guid Id { get; init; }
    public required string Source { get; init; }
    public required DateTime ReceivedAt { get; init; }
    public required string Machine { get; init; }
    public Guid? EngineId { get; init; }
    public string? Engine { get; init; }
    public DateOnly? Date { get; init; }
    public double? Hours { get; init; }
    public required string Written { get; init; }
    public required HoursDoubt Doubt { get; init; }
    public double? PerhapsHours { get; init; }

    /// <summary>The two figures it could be, where it could be two: say which.</summary>
    public IReadOnlyList<double>? Ways { get; init; }
    public required string Sentence { get; init; }

    /// <summary>What the meter showed last, to compare.</summary>
    public double? LastHours { get; init; }
    public DateOnly? LastDate { get; init; }
}

/// <summary>
/// What is decided of a figure that waits: `take` it for an engine (the figure, the day and the engine may be put right), `meterReplaced` (the old meter
/// ended at `oldMeterShows`), or `setAside` with why.
/// </summary>
public sealed record DecisionRequest(string? Decision, Guid? EngineId, DateOnly? Date, double? Hours, double? OldMeterShows, bool? Remember, string? Who, string? Why);

public sealed record DecisionResponse(WaitingState State, Guid? EngineId);

public sealed record FeedSettings(string? Address, int? EveryMinutes);

public sealed record FeedResponse(string? Address, int EveryMinutes, DateTime? AskedAt, DateTime? AnsweredAt, string? Said);

/// <summary>A line of the morning's round.</summary>
public sealed record RoundLine(Guid EngineId, string Engine, string Machine, string Site, double? LastHours, DateOnly? LastDate, double HoursPerDay, double? ExpectedHours);
