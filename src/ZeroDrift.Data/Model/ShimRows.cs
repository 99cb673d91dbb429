using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Shims;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Data.Model;

/// <summary>What a drawer is.</summary>
public enum ShimDrawerKind
{
    /// <summary>A bought kit.</summary>
    Kit,

    /// <summary>A place in the stores.</summary>
    Place,

    /// <summary>A head that gives its shims.</summary>
    OldHead,

    /// <summary>Somebody's own box.</summary>
    Person,
}

/// <summary>Where loose shims lie. Closed, never deleted.</summary>
public sealed class ShimDrawerRow : INamed
{
    public Guid Id { get; set; }
    public required string Name { get; set; }
    public string NameKey { get; set; } = "";
    public ShimDrawerKind Kind { get; set; }
    public Guid SiteId { get; set; }
    public SiteRow? Site { get; set; }
    public DateTime? ClosedAt { get; set; }
}

/// <summary>One line of the ledger: so many more or fewer of a size in a drawer. Never changed once written.</summary>
public sealed class ShimMovementRow
{
    public long Key { get; set; }

    /// <summary>What was done; two lines where shims were moved or lapped.</summary>
    public Guid ActId { get; set; }
    public Guid DrawerId { get; set; }
    public ShimMovementKind Kind { get; set; }
    public ShimAccess Access { get; set; }
    public double? DiameterMm { get; set; }
    public double SizeMm { get; set; }
    public int Change { get; set; }

    /// <summary>How many were found; only of a count.</summary>
    public int? Counted { get; set; }
    public ShimKnownBy KnownBy { get; set; }

    /// <summary>As it was typed, with its unit.</summary>
    public required string Written { get; set; }
    public required string Unit { get; set; }
    public DateTime At { get; set; }
    public required string Who { get; set; }
    public string? Why { get; set; }
}
