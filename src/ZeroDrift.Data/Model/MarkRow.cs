namespace ZeroDrift.Data.Model;

/// <summary>A mark found or chalked on an engine; a projection of the visit it was found at. The last visit that tells of it is right.</summary>
public sealed class MarkRow
{
    public long VisitKey { get; set; }
    public Guid EngineId { get; set; }
    public required string Name { get; set; }
    public double CrankDeg { get; set; }

    /// <summary>Lies in wait: not the mark it looks like.</summary>
    public bool Trap { get; set; }
}
