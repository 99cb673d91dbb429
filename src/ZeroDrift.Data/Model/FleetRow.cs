namespace ZeroDrift.Data.Model;

/// <summary>What the whole fleet has agreed on. One row.</summary>
public sealed class FleetRow
{
    public int Id { get; set; } = 1;
    public string Name { get; set; } = "My fleet";
    public double Risk { get; set; } = 0.05;

    /// <summary>Added to a book's single figure; null: 0.025 mm or 1 thou, by what the book speaks.</summary>
    public double? ToleranceTightMm { get; set; }
    public double? ToleranceLooseMm { get; set; }

    /// <summary>Repeatability of feel where a person's own is not known, mm.</summary>
    public double FeelSdMm { get; set; } = Core.Measuring.Reading.DefaultFeelSdMm;

    /// <summary>What a valve out of its limits costs, in overheads.</summary>
    public double BreachCost { get; set; } = Core.Wear.OpeningPlan.DefaultBreachCost;

    /// <summary>Drift decides by the risk alone.</summary>
    public bool PlainRisk { get; set; }
    public string TimeZone { get; set; } = "UTC";
}
