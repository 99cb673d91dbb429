using ZeroDrift.Core.Wear;
using ZeroDrift.Data.Outlooks;

namespace ZeroDrift.Server.Outlooks;

/// <summary>A valve that wears another way: fast all its life, or since a visit.</summary>
public sealed record NamedPoint(string Point, double? SinceHours, double MmPer1000h, double? OwnHoursToRisk);

/// <summary>A figure that is so far not told apart from an outlier: a question.</summary>
public sealed record AskedPoint(string Point, double? FoundMm, double? ExpectedMm);

/// <summary>What is said of an engine by its readings, the same on every page.</summary>
public sealed record VoiceResponse
{
    /// <summary>How many valves a chance is the sum of; 0: nothing can be dated yet, the book decides.</summary>
    public required int Valves { get; init; }

    /// <summary>The chance that one of them is out of its limits when the book calls, if nothing new begins to fail; null without either.</summary>
    public double? Risk { get; init; }

    /// <summary>The same if valves begin to fail as they do in this fleet.</summary>
    public double? RiskIfNew { get; init; }

    /// <summary>It is worth an early look.</summary>
    public required bool Raised { get; init; }

    /// <summary>Points whose own chance by then is worth naming, the largest first.</summary>
    public required IReadOnlyList<PointChance> Points { get; init; }
    public required IReadOnlyList<NamedPoint> Named { get; init; }

    /// <summary>Last found out of their window, whatever was set since.</summary>
    public required IReadOnlyList<string> FoundOut { get; init; }
    public required IReadOnlyList<AskedPoint> LookAgain { get; init; }

    /// <summary>Nothing is out of the ordinary.</summary>
    public required bool Ordinary { get; init; }

    /// <summary>From what is kept of an engine, and the fleet's own rate of new failures.</summary>
    public static VoiceResponse Of(OutlookContent outlook, FleetHazard hazard)
    {
        var voice = outlook.Voice;
        return new VoiceResponse
        {
            Valves = outlook.Valves,
            Risk = voice.Risk,
            RiskIfNew = voice.Risk is { } risk && outlook.ExposureAtBook is { } exposure ? hazard.Risk(risk, exposure) : null,
            Raised = voice.IsRaised,
            Points = voice.Points,
            Named = [.. from label in voice.Named let p = outlook.Points.First(p => p.Label == label) select new NamedPoint(label, p.ChangedAfterHours, p.MmPer1000h ?? 0, p.HoursToRisk)],
            FoundOut = voice.FoundOut,
            LookAgain = [.. from label in voice.LookAgain let p = outlook.Points.First(p => p.Label == label) select new AskedPoint(label, p.LastFoundMm, p.LastExpectedMm)],
            Ordinary = voice.IsOrdinary,
        };
    }
}
