using ZeroDrift.Core.Shims;

namespace ZeroDrift.Data.Model;

/// <summary>What happens to a shim job.</summary>
public enum ShimJobEventKind
{
    /// <summary>The missing shims are ordered; without any, the rest is laid out.</summary>
    Ordered,

    /// <summary>The engine runs meanwhile.</summary>
    Runs,

    /// <summary>It stands meanwhile.</summary>
    Stands,

    /// <summary>What was ordered is here.</summary>
    PartsIn,

    /// <summary>Given up: the drawer gets its shims back.</summary>
    Dropped,
}

/// <summary>What was decided at the bench for one engine or several: it stands as it was decided, whatever is measured later.</summary>
public sealed class ShimJobRow
{
    public Guid Id { get; set; }
    public Guid SiteId { get; set; }

    /// <summary>Where what is bought comes in, and what is over goes.</summary>
    public Guid? DrawerId { get; set; }
    public required string Policy { get; set; }

    /// <summary>The day the ordered ones are expected; null where nothing is ordered.</summary>
    public DateOnly? ExpectedOn { get; set; }
    public DateTime MadeAt { get; set; }
    public required string Who { get; set; }
    public List<ShimPlaceRow> Places { get; set; } = [];
    public List<ShimJobEventRow> Events { get; set; } = [];
}

/// <summary>One point of a shim job: what comes out and what goes in.</summary>
public sealed class ShimPlaceRow
{
    public Guid JobId { get; set; }

    /// <summary>The visit at which it was measured.</summary>
    public Guid VisitId { get; set; }
    public required string Point { get; set; }

    /// <summary>Its place in the job, from 0.</summary>
    public int Order { get; set; }
    public double OldMm { get; set; }
    public double NewMm { get; set; }
    public double FoundMm { get; set; }
    public double PredictedMm { get; set; }
    public ShimOrigin Origin { get; set; }

    /// <summary>The point that gives it, with its visit; null unless from a point.</summary>
    public string? FromPoint { get; set; }
    public Guid? FromVisitId { get; set; }

    /// <summary>The drawer it was laid out from, with what the ledger calls that; of a bought one once it is in.</summary>
    public Guid? DrawerId { get; set; }
    public Guid? ActId { get; set; }

    /// <summary>The shim that comes out is wanted nowhere in the job; once it lies in a drawer, what the ledger calls that.</summary>
    public bool OldIsOver { get; set; }
    public Guid? OverActId { get; set; }
}

/// <summary>One thing that happened to a shim job. Never changed once written.</summary>
public sealed class ShimJobEventRow
{
    public long Key { get; set; }
    public Guid ActId { get; set; }
    public Guid JobId { get; set; }
    public ShimJobEventKind Kind { get; set; }

    /// <summary>The engine's visit it is about; null where the whole job.</summary>
    public Guid? VisitId { get; set; }
    public DateTime At { get; set; }
    public required string Who { get; set; }
    public string? Why { get; set; }
}
