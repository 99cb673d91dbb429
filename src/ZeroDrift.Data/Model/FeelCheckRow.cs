namespace ZeroDrift.Data.Model;

/// <summary>A known gap as a person felt it; for that person, and for the uncertainty of what they measure.</summary>
public sealed class FeelCheckRow
{
    public Guid Id { get; set; }
    public Guid PersonId { get; set; }
    public DateTime At { get; set; }
    public double KnownMm { get; set; }
    public double FeltMm { get; set; }
}
