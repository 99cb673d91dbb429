namespace ZeroDrift.Data.Model;

/// <summary>What was changed of an engine, a machine, a site, a type, a person or a meter reading, by whom and when; the old values stay here.</summary>
public sealed class ChangeRow
{
    public long Id { get; set; }
    public required string Subject { get; set; }
    public Guid SubjectId { get; set; }
    public DateTime At { get; set; }
    public string? Who { get; set; }
    public string? Why { get; set; }

    /// <summary>Field, before, after.</summary>
    public required string What { get; set; }
}
