using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Data.Model;

/// <summary>A blade set, micrometer or dial, known by what is written on it. Withdrawn, never deleted.</summary>
public sealed class InstrumentRow : INamed
{
    public Guid Id { get; set; }
    public required string Name { get; set; }
    public string NameKey { get; set; } = "";
    public InstrumentKind Kind { get; set; }

    /// <summary>Unit of a set's blades: mm, thou.</summary>
    public string? Unit { get; set; }

    /// <summary>A set's blades as written on them.</summary>
    public List<string> Blades { get; set; } = [];
    public DateOnly? LastCheck { get; set; }
    public int CheckEveryMonths { get; set; } = InstrumentCheck.UsualMonths;
    public DateOnly? Withdrawn { get; set; }
    public DateOnly? SuspectFrom { get; set; }
    public string? Why { get; set; }
    public int Version { get; set; } = 1;

    /// <summary>Whether it can be believed.</summary>
    public InstrumentCheck Check => new(LastCheck, CheckEveryMonths, Withdrawn, SuspectFrom);
}

/// <summary>What a visit was measured with, by name: a projection of its entries.</summary>
public sealed class VisitInstrumentRow
{
    public long VisitKey { get; set; }
    public required string NameKey { get; set; }
}
