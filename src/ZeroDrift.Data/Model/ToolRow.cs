namespace ZeroDrift.Data.Model;

/// <summary>A tool there are only so many of.</summary>
public sealed class ToolRow : INamed
{
    public Guid Id { get; set; }
    public required string Name { get; set; }
    public string NameKey { get; set; } = "";
    public int Count { get; set; } = 1;
}
