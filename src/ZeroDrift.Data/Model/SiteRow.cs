namespace ZeroDrift.Data.Model;

/// <summary>Where machines are kept.</summary>
public sealed class SiteRow : INamed
{
    public Guid Id { get; set; }
    public required string Name { get; set; }
    public string NameKey { get; set; } = "";

    /// <summary>Null: the fleet's.</summary>
    public string? TimeZone { get; set; }
    public DateTime? ArchivedAt { get; set; }
    public int Version { get; set; } = 1;
}

/// <summary>Something called by a name that no other of its kind may have, spelling aside.</summary>
public interface INamed
{
    Guid Id { get; }

    string Name { get; }

    string NameKey { get; set; }
}
