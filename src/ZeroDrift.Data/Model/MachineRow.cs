using ZeroDrift.Core.Engines;

namespace ZeroDrift.Data.Model;

/// <summary>A machine with one engine or several.</summary>
public sealed class MachineRow : INamed
{
    public Guid Id { get; set; }
    public required string Name { get; set; }
    public string NameKey { get; set; } = "";
    public MachineKind Kind { get; set; }
    public Guid SiteId { get; set; }
    public SiteRow? Site { get; set; }

    /// <summary>Plate, call sign, fleet number.</summary>
    public string? Registration { get; set; }
    public DateTime? ArchivedAt { get; set; }
    public int Version { get; set; } = 1;
}
