namespace ZeroDrift.Data.Model;

/// <summary>One locking of a signed visit, before and after: a projection of its entries, for what a hand's locknuts do on a type.</summary>
public sealed class LockPairRow
{
    public long VisitKey { get; set; }

    /// <summary>Its place among the locks of the visit: a nut that was locked twice taught twice.</summary>
    public int Lock { get; set; }
    public required string Point { get; set; }
    public Guid By { get; set; }
    public double BeforeMm { get; set; }
    public double AfterMm { get; set; }
}
