using System.Text.Json;
using ZeroDrift.Contract;
using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Wear;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Outlooks;

/// <summary>What is kept of an engine's outlook: all that the yard, the engine's page and a context need without reading its life.</summary>
public sealed record OutlookContent
{
    /// <summary>Total hours on the day it was worked out; see <see cref="On"/>.</summary>
    public required EngineHours HoursNow { get; init; }

    /// <summary>What was read last, and when; null where nobody ever read it.</summary>
    public EngineHours? ReadHours { get; init; }
    public DateOnly? ReadOn { get; init; }

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

    /// <summary>What new failures it is exposed to until then.</summary>
    public double? ExposureAtBook { get; init; }

    /// <summary>How many valves that chance is the sum of.</summary>
    public int Valves { get; init; }

    /// <summary>The deciding point's own hours to the fleet's risk, and its own chance when the engine reaches it.</summary>
    public double? DecidedByHours { get; init; }
    public double? DecidedByRisk { get; init; }

    /// <summary>What is said of it.</summary>
    public EngineVoice Voice { get; init; } = EngineVoice.Silent;

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

    /// <summary>Its last reading with the use since; null where nobody ever read it, and in rows from before that was kept.</summary>
    public HoursToday? Run() => ReadHours is { } hours && ReadOn is { } on ? new HoursToday(hours, on, Usage) : null;

    /// <summary>The same on a later day: it has run on since it was worked out, and whatever lies ahead is as much nearer.</summary>
    public OutlookContent On(DateOnly day)
    {
        if (Run()?.At(day) is not { } now || now <= HoursNow) return this;
        var run = now - HoursNow;
        return this with
        {
            HoursNow = now,
            DriftHours = Ahead(DriftHours),
            OpenAfterHours = Ahead(OpenAfterHours),
            DueByDriftHours = Ahead(DueByDriftHours),
            EarlyHours = Nearer(EarlyHours),
            LateHours = Nearer(LateHours),
            DecidedByHours = Nearer(DecidedByHours),
            Voice = Voice with { AtHours = Nearer(Voice.AtHours) },
            Points = [.. Points.Select(p => p with { HoursToRisk = Nearer(p.HoursToRisk) })],
        };

        double? Nearer(double? ahead) => ahead is { } hours ? Math.Max(0, hours - run) : null;
        EngineHours? Ahead(EngineHours? ahead) => ahead is { } hours ? EngineHours.Of(Math.Max(0, hours - run)) : null;
    }

    /// <summary>What is kept of a point; of one that nothing is known of, its label.</summary>
    public PointContent Point(string label) => Points.FirstOrDefault(p => p.Label == label) ?? new PointContent { Label = label };

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
