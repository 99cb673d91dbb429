using ZeroDrift.Core.Engines;

namespace ZeroDrift.Data.Model;

/// <summary>
/// Where an engine is heading, kept: the yard reads these and nothing else. A projection of readings, meter, book and group components.
/// </summary>
public sealed class OutlookRow
{
    public Guid EngineId { get; set; }
    public Guid EngineTypeId { get; set; }

    /// <summary>6a, later 6b.</summary>
    public required string Model { get; set; }

    /// <summary>What it rests on, hashed.</summary>
    public required string Fingerprint { get; set; }

    /// <summary>The day its usage was worked out for.</summary>
    public DateOnly AsOf { get; set; }
    public required string Content { get; set; }
    public long Version { get; set; }
}

/// <summary>The components of a group, so that one engine can be worked out again without the others.</summary>
public sealed class GroupRow
{
    public Guid EngineTypeId { get; set; }
    public LashKind Kind { get; set; }
    public double Mean { get; set; }
    public double VarianceOfMean { get; set; }
    public double TauSquared { get; set; }
    public double VarianceOfTauSquared { get; set; }
}
