using ZeroDrift.Core.Hours;

namespace ZeroDrift.Data.Model;

/// <summary>What became of a figure that waits.</summary>
public enum WaitingState
{
    /// <summary>Somebody has to decide.</summary>
    Waiting,

    /// <summary>Taken into a meter, as it came or put right.</summary>
    Taken,

    /// <summary>Set aside, with why.</summary>
    SetAside,
}

/// <summary>A figure of hours that came in and cannot be right as it stands: kept as it was written until somebody decides.</summary>
public sealed class HoursReportRow
{
    public Guid Id { get; set; }

    /// <summary>round, csv, telematics, can.</summary>
    public required string Source { get; set; }
    public DateTime ReceivedAt { get; set; }

    /// <summary>The machine as the source calls it.</summary>
    public required string Machine { get; set; }
    public Guid? EngineId { get; set; }
    public DateOnly? Date { get; set; }
    public double? Hours { get; set; }

    /// <summary>As it was written.</summary>
    public required string Written { get; set; }
    public HoursDoubt Doubt { get; set; }
    public double? PerhapsHours { get; set; }

    /// <summary>The two figures it could be, with a fraction first; null where it is one.</summary>
    public IReadOnlyList<double>? Ways => Doubt == HoursDoubt.TwoWays && Hours is { } fraction && PerhapsHours is { } whole ? [fraction, whole] : null;
    public string? Who { get; set; }
    public WaitingState State { get; set; }
    public DateTime? DecidedAt { get; set; }
    public string? DecidedBy { get; set; }
    public string? Why { get; set; }
}

/// <summary>What a source calls an engine, learned when somebody said which one was meant.</summary>
public sealed class MachineAliasRow
{
    public required string NameKey { get; set; }
    public Guid EngineId { get; set; }
}

/// <summary>The address hours are asked from. One row.</summary>
public sealed class HoursFeedRow
{
    public int Id { get; set; } = 1;
    public string? Address { get; set; }
    public int EveryMinutes { get; set; } = 60;
    public DateTime? AskedAt { get; set; }
    public DateTime? AnsweredAt { get; set; }

    /// <summary>What came of the last asking, in a sentence.</summary>
    public string? Said { get; set; }
}
