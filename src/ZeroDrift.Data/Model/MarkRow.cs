namespace ZeroDrift.Data.Model;

/// <summary>A mark found or chalked on an engine; a projection of the visits it was found at.</summary>
public sealed class MarkRow
{
    public Guid EngineId { get; set; }
    public required string Name { get; set; }
    public double CrankDeg { get; set; }

    /// <summary>Lies in wait: not the mark it looks like.</summary>
    public bool Trap { get; set; }
    public long VisitKey { get; set; }
}
