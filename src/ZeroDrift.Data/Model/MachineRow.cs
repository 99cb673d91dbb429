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

    /// <summary>What it has that somebody can be hurt by; null for what its kind usually has.</summary>
    public List<MachineProperty>? Properties { get; set; }

    /// <summary>The same, its kind's preset where nobody changed it.</summary>
    public IReadOnlyList<MachineProperty> Has => Properties ?? Kind.Usual();

    /// <summary>Plate, call sign, fleet number.</summary>
    public string? Registration { get; set; }
    public DateTime? ArchivedAt { get; set; }
    public int Version { get; set; } = 1;
}
