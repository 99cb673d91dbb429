namespace ZeroDrift.Data.Model;

/// <summary>One entry of a visit, as it came. Inserted, never changed and never deleted: triggers hold that.</summary>
public sealed class EntryRow
{
    public long VisitKey { get; set; }

    /// <summary>1, 2, 3… within the visit.</summary>
    public int Sequence { get; set; }
    public Guid Id { get; set; }

    /// <summary>The entry's JSON, without its id.</summary>
    public required string Content { get; set; }
    public DateTime ReceivedAt { get; set; }
}

/// <summary>An entry that a rule refused: in no list, shown with its visit.</summary>
public sealed class RefusedEntryRow
{
    public Guid VisitId { get; set; }
    public Guid Id { get; set; }
    public required string Code { get; set; }
    public required string Sentence { get; set; }
    public required string Content { get; set; }
    public DateTime ReceivedAt { get; set; }
}

/// <summary>A context that was given out; kept, so that its visits always fold by it.</summary>
public sealed class ContextRow
{
    /// <summary>SHA-256 of its bytes.</summary>
    public required string Id { get; set; }
    public Guid EngineId { get; set; }

    /// <summary>The JSON, Brotli.</summary>
    public required byte[] Content { get; set; }
    public DateTime GivenAt { get; set; }
}

/// <summary>A photograph, by the hash of its bytes.</summary>
public sealed class BlobRow
{
    public required string Hash { get; set; }
    public required byte[] Content { get; set; }
    public required string ContentType { get; set; }
    public DateTime ReceivedAt { get; set; }
}
