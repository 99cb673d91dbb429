namespace ZeroDrift.Data.Model;

/// <summary>Machines of which only so many may be out at once.</summary>
public sealed class StandbyGroupRow : INamed
{
    public Guid Id { get; set; }
    public required string Name { get; set; }
    public string NameKey { get; set; } = "";
    public int MostOut { get; set; } = 1;
}
