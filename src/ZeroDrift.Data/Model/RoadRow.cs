namespace ZeroDrift.Data.Model;

/// <summary>The road between two sites, either way.</summary>
public sealed class RoadRow
{
    public Guid FromId { get; set; }
    public Guid ToId { get; set; }
    public double Hours { get; set; }
}
