namespace ZeroDrift.Data.Model;

/// <summary>Someone who measures, sets or signs. Chosen, not typed anew.</summary>
public sealed class PersonRow : INamed
{
    public Guid Id { get; set; }
    public required string Name { get; set; }
    public string NameKey { get; set; } = "";
    public required string Initials { get; set; }
    /// <summary>Kinds of machine this person works on, by name.</summary>
    public List<string> Skills { get; set; } = [];

    /// <summary>Working hours, Monday first; empty for somebody who is not planned.</summary>
    public List<double> WeekHours { get; set; } = [];
    public DateTime? ArchivedAt { get; set; }
}
