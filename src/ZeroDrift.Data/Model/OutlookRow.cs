namespace ZeroDrift.Data.Model;

/// <summary>
/// Where an engine is heading, kept: the yard reads these and nothing else. A projection of readings, meter, book and group components.
/// </summary>
public sealed class OutlookRow
{
    public Guid EngineId { get; set; }
    public Guid EngineTypeId { get; set; }

    /// <summary>The model it was worked out by.</summary>
    public required string Model { get; set; }

    /// <summary>What it rests on, hashed.</summary>
    public required string Fingerprint { get; set; }

    /// <summary>The day its usage was worked out for.</summary>
    public DateOnly AsOf { get; set; }
    public required string Content { get; set; }

    /// <summary>What this engine said of its group's shared unknowns when it was last worked out.</summary>
    public string? Said { get; set; }
    public long Version { get; set; }
}

/// <summary>What a type's fit taught, so that one engine can be worked out again without the others.</summary>
public sealed class TypeFitRow
{
    public Guid EngineTypeId { get; set; }

    /// <summary>Components, group rates, hands, and what all engines said of them together.</summary>
    public required string Learned { get; set; }
}
