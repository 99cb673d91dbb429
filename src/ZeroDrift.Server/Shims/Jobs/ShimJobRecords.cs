using ZeroDrift.Core.Shims;
using ZeroDrift.Data.Model;
using ZeroDrift.Server.Shims.Bench;

namespace ZeroDrift.Server.Shims.Jobs;

/// <summary>What somebody saw at the bench and decides: `seen` is every point that changes, so that nothing else is laid out than what was looked at.</summary>
public sealed record ShimJobRequest
{
    public Guid? Id { get; init; }
    public BenchRequest? Bench { get; init; }
    public IReadOnlyList<ShimSeenRequest?>? Seen { get; init; }
    public string? Who { get; init; }

    /// <summary>Where bought ones come in and what is over goes.</summary>
    public Guid? DrawerId { get; init; }

    /// <summary>When the ordered ones are expected; needed where any are.</summary>
    public DateOnly? ExpectedOn { get; init; }
}

public sealed record ShimSeenRequest(string? Point, double? ShimMm);

/// <summary>Something that happens to a job. `visitId` with runs and stands: which of its engines.</summary>
public sealed record ShimJobEventRequest(Guid? Id, ShimJobEventKind? Kind, Guid? VisitId, string? Who, string? Why);

public sealed record ShimJobEventResponse(ShimJobEventKind Kind, Guid? VisitId, DateTime At, string Who, string? Why);

public sealed record MirroredResponse(string First, string Second);

/// <summary>One engine of a job.</summary>
public sealed record ShimJobEngine
{
    public required Guid VisitId { get; init; }
    public required Guid EngineId { get; init; }
    public required string Engine { get; init; }
    public required DateOnly MeasuredOn { get; init; }

    /// <summary>The visit was signed with its points waiting: another can go on with it.</summary>
    public required bool Awaits { get; init; }
    public required ShimJobState State { get; init; }

    /// <summary>What running meanwhile may do.</summary>
    public string? Meanwhile { get; init; }

    /// <summary>Runs or stands: who decided last, and why.</summary>
    public ShimJobEventResponse? Decision { get; init; }

    /// <summary>The visit at which they are fitted.</summary>
    public Guid? FittingVisitId { get; init; }

    /// <summary>Hours run since it was measured, as far as the meter tells.</summary>
    public double? HoursRun { get; init; }
    public string? FindAgain { get; init; }
    public required int ToFit { get; init; }
    public required int Fitted { get; init; }
    public required int Measured { get; init; }

    /// <summary>Two shims that went into each other's places, by their gaps.</summary>
    public MirroredResponse? Mirrored { get; init; }
}

/// <summary>One place of the tray.</summary>
public sealed record ShimJobPlace(
    Guid VisitId, string Engine, string Point, double OldMm, double NewMm, ShimOrigin Origin, string? FromPoint, string? FromDrawer, double FoundMm, double PredictedMm,
    bool OldIsOver, bool Fitted, double? LeftMm);

public sealed record ShimJobResponse
{
    public required Guid Id { get; init; }
    public required DateTime MadeAt { get; init; }
    public required string Who { get; init; }
    public required string Site { get; init; }
    public required string Policy { get; init; }
    public DateOnly? ExpectedOn { get; init; }
    public Guid? DrawerId { get; init; }
    public string? Drawer { get; init; }
    public required ShimJobState State { get; init; }
    public required IReadOnlyList<ShimJobEngine> Engines { get; init; }
    public required IReadOnlyList<ShimJobPlace> Places { get; init; }
    public required IReadOnlyList<BenchBuy> Buy { get; init; }
    public required IReadOnlyList<ShimJobEventResponse> Events { get; init; }
}
