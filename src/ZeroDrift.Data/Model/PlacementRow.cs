namespace ZeroDrift.Data.Model;

/// <summary>Where a job stands in the draft of the plan.</summary>
public sealed class PlacementRow
{
    public Guid JobId { get; set; }
    public Guid PersonId { get; set; }
    public Guid? MateId { get; set; }
    public DateOnly Date { get; set; }
    public DateOnly LastDate { get; set; }
    public bool Pinned { get; set; }
    public string Because { get; set; } = "";
}

/// <summary>A plan as it was published. Kept.</summary>
public sealed class PlanVersionRow
{
    public int Number { get; set; }
    public DateTime PublishedAt { get; set; }
    public string? Who { get; set; }

    /// <summary>Its placements, JSON.</summary>
    public required string Content { get; set; }
}
