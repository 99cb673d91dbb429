using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Data.Model;

/// <summary>Found or left.</summary>
public enum StandingStage
{
    /// <summary>As found.</summary>
    Found,

    /// <summary>As left, measured after setting.</summary>
    Left,
}

/// <summary>One standing figure of one point at one visit: a projection of the visit's entries.</summary>
public sealed class ReadingRow
{
    public long VisitKey { get; set; }
    public Guid EngineId { get; set; }
    public required string Point { get; set; }
    public StandingStage Stage { get; set; }
    public Guid ReadingId { get; set; }
    public double? LowerMm { get; set; }
    public double? UpperMm { get; set; }
    public double? EstimateMm { get; set; }
    public double? UncertaintyMm { get; set; }

    /// <summary>A blade dragged: the estimate is the gap itself.</summary>
    public bool Dragged { get; set; }
    public Guid By { get; set; }
    public long At { get; set; }

    /// <summary>Left as found though out, or waiting for a part: why.</summary>
    public string? LeftWhy { get; set; }

    /// <summary>A part of it was changed at this visit: its history ends here.</summary>
    public bool PartChanged { get; set; }

    public Reading ToReading() => new(Clearance.OfMm(LowerMm), Clearance.OfMm(UpperMm), Clearance.OfMm(EstimateMm), UncertaintyMm);
}
