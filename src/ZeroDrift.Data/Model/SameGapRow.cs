namespace ZeroDrift.Data.Model;

/// <summary>One reading of a gap that was measured more than once at a visit: a projection of its entries, for what it teaches of the hands.</summary>
public sealed class SameGapRow
{
    public long VisitKey { get; set; }

    /// <summary>Which gap of the visit, then which reading of it, from 0.</summary>
    public int Gap { get; set; }
    public int Reading { get; set; }
    public required string Point { get; set; }
    public Guid By { get; set; }
    public double Mm { get; set; }
}
