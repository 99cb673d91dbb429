using ZeroDrift.Core.Engines;

namespace ZeroDrift.Server.Engines;

public sealed record EngineCreateRequest
{
    public Guid? Id { get; init; }
    public string? Name { get; init; }

    /// <summary>What kind of machine it drives.</summary>
    public MachineKind? Machine { get; init; }

    /// <summary>Which machine; left out, one of the engine's name is made.</summary>
    public Guid? MachineId { get; init; }
    public string? Site { get; init; }
    public Guid? EngineTypeId { get; init; }
    public double? DutyHoursPerDay { get; init; }
    public IReadOnlyList<double>? MonthlyWeights { get; init; }
    public string? Remark { get; init; }
    public double? MeterHours { get; init; }
    public string? SerialNumber { get; init; }
    public string? Rating { get; init; }
}

public sealed record EngineChangeRequest
{
    public string? Name { get; init; }

    /// <summary>Moved to another machine; its history goes with it.</summary>
    public Guid? MachineId { get; init; }

    /// <summary>A wrongly chosen type put right.</summary>
    public Guid? EngineTypeId { get; init; }
    public double? DutyHoursPerDay { get; init; }
    public IReadOnlyList<double>? MonthlyWeights { get; init; }
    public string? Remark { get; init; }
    public string? SerialNumber { get; init; }
    public string? Rating { get; init; }
    public bool? Archived { get; init; }
    public string? Who { get; init; }
    public string? Why { get; init; }
    public int? Version { get; init; }
}

public sealed record MeterRequest(Guid? Id, DateOnly? Date, double? Hours, double? NewMeterShows, string? Who, string? Remark);

/// <summary>A meter reading put right: the figures that replace it, or nothing where it was never read; always with why.</summary>
public sealed record MeterCorrectionRequest(Guid? Id, DateOnly? Date, double? Hours, double? NewMeterShows, string? Who, string? Why);

public sealed record ChangeResponse(DateTime At, string Subject, string? Who, string? Why, System.Text.Json.Nodes.JsonObject What);
