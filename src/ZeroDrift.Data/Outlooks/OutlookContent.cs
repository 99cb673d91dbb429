using System.Text.Json;
using ZeroDrift.Contract;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Outlook;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Outlooks;

/// <summary>What is kept of an engine's outlook: all that the yard, the engine's page and a context need without reading its life.</summary>
public sealed record OutlookContent
{
    public required EngineHours HoursNow { get; init; }

    /// <summary>What to take off the total for what the meter shows.</summary>
    public required double MeterOffset { get; init; }
    public required Usage Usage { get; init; }
    public BookClock? Book { get; init; }

    /// <summary>Engine hours to the fleet's risk.</summary>
    public EngineHours? DriftHours { get; init; }

    /// <summary>When opening costs least.</summary>
    public EngineHours? OpenAfterHours { get; init; }

    /// <summary>What of the two decides a date, as the fleet has chosen.</summary>
    public EngineHours? DueByDriftHours { get; init; }

    /// <summary>The chance that some valve is out when the book calls.</summary>
    public double? RiskAtBook { get; init; }

    /// <summary>Some point is expected to have worn through half of its room by then.</summary>
    public bool WornAtBook { get; init; }

    /// <summary>A shift that all readings of a visit today would have in common, mm.</summary>
    public double SharedSdMm { get; init; }

    /// <summary>Every visit's common shift.</summary>
    public IReadOnlyList<VisitShiftContent> Visits { get; init; } = [];
    public double? EarlyHours { get; init; }
    public double? LateHours { get; init; }
    public string? DecidedBy { get; init; }
    public LimitSide? Side { get; init; }
    public double? DeciderMmPer1000h { get; init; }
    public required IReadOnlyList<FindingContent> Findings { get; init; }
    public required bool HasFigures { get; init; }
    public string? Trouble { get; init; }
    public required IReadOnlyList<PointContent> Points { get; init; }

    public static OutlookContent Of(OutlookRow row) => Of(row.Content);

    public static OutlookContent Of(string content) => JsonSerializer.Deserialize<OutlookContent>(content, Json)!;

    public string ToJson() => JsonSerializer.Serialize(this, Json);

    private static JsonSerializerOptions Json { get; } = ContractJson.Apply(new JsonSerializerOptions(JsonSerializerDefaults.Web)
    {
        DefaultIgnoreCondition = System.Text.Json.Serialization.JsonIgnoreCondition.WhenWritingNull,
        Converters = { new HoursAsNumber() },
    });
}

/// <summary>A point that stands out of its window: found, and not set.</summary>
public sealed record FindingContent(string Point, VerdictState State, double? Mm, double? LimitMm);

/// <summary>What an engine's outlook said at its last visit, before what that visit told.</summary>
public sealed record OutlookBefore(double HoursNow, double? RiskHours, string? DecidedBy);

/// <summary>A visit's common shift: how much looser everything read.</summary>
public sealed record VisitShiftContent(Guid Visit, double ShiftMm, double StandardErrorMm, bool Odd);

/// <summary>One point of the outlook.</summary>
public sealed record PointContent
{
    public required string Label { get; init; }
    public double? MinMm { get; init; }
    public double? MaxMm { get; init; }
    public double? SetMm { get; init; }
    public double? LastMm { get; init; }
    public double? ExpectedMm { get; init; }
    public double? ExpectedSdMm { get; init; }
    public VerdictState? Standing { get; init; }
    public double? MmPer1000h { get; init; }
    public double? StandardErrorMmPer1000h { get; init; }
    public bool UnlikeSiblings { get; init; }

    /// <summary>The chance that it is a fast valve.</summary>
    public double FastProbability { get; init; }

    /// <summary>The figure that lasts longest, and the hours it gives the engine over the book's.</summary>
    public double? AimMm { get; init; }
    public double? AimGainHours { get; init; }
    public double? HoursToRisk { get; init; }
    public LimitSide? Side { get; init; }
    public ExpectedRecord? Expected { get; init; }
    public ShownFigure? Shown { get; init; }

    /// <summary>The forecast as it is drawn.</summary>
    public IReadOnlyList<FanStep>? Fan { get; init; }
}
