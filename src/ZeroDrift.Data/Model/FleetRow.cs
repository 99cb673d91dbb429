namespace ZeroDrift.Data.Model;

/// <summary>What the whole fleet has agreed on. One row.</summary>
public sealed class FleetRow
{
    public int Id { get; set; } = 1;
    public string Name { get; set; } = "My fleet";
    public double Risk { get; set; } = 0.05;

    /// <summary>Added to a book's single figure; wider on the loose side.</summary>
    public double ToleranceTightMm { get; set; } = 0.03;
    public double ToleranceLooseMm { get; set; } = 0.05;
    public string TimeZone { get; set; } = "UTC";
}
