using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Data.Model;

/// <summary>
/// One opening of one engine. Everything but its keys is a projection of its entries, kept in the transaction that appends them and rebuilt from
/// them by one command.
/// </summary>
public sealed class VisitRow
{
    /// <summary>Short key, so that entries and readings stay small.</summary>
    public long Key { get; set; }
    public Guid Id { get; set; }
    public Guid EngineId { get; set; }
    public EngineRow? Engine { get; set; }

    /// <summary>What it is folded by.</summary>
    public required string ContextId { get; set; }

    /// <summary>What the device named instead, where the server does not know it.</summary>
    public string? ContextAsked { get; set; }

    /// <summary>Identity of the imported day, so that a file read twice adds nothing twice.</summary>
    public string? ImportKey { get; set; }

    public int Head { get; set; }
    public VisitState State { get; set; }
    public JobKind Job { get; set; }
    public DateOnly Date { get; set; }
    public double? ShownHours { get; set; }

    /// <summary>Through meter changes.</summary>
    public double? TotalHours { get; set; }
    public bool Bench { get; set; }
    /// <summary>Hours worked from the opening to the signature, pauses not counted; null while open, and where it took no working day.</summary>
    public double? WorkedHours { get; set; }
    public Guid? OpenedBy { get; set; }
    public DateTime OpenedAt { get; set; }
    public Guid? SignedBy { get; set; }
    public DateTime? SignedAt { get; set; }
    public string? Remark { get; set; }
    public SpecCondition Condition { get; set; }
    public string? Revision { get; set; }
    public bool StartsClock { get; set; }
    public bool OutOfTrend { get; set; }
    public string? OutOfTrendBecause { get; set; }

    /// <summary>Points measured as found (or left, in a build).</summary>
    public int Measured { get; set; }
    public int PointCount { get; set; }
    public int OutAsFound { get; set; }
    public int SetCount { get; set; }

    /// <summary>The point found worst for its window, and by how much; null where all were fine.</summary>
    public string? Worst { get; set; }
    public double? WorstMm { get; set; }
    public Core.Judging.VerdictState? WorstState { get; set; }
    public int Corrections { get; set; }

    /// <summary>Points it left waiting for a part; <see cref="WaitingUnknown"/> for a visit from before they were counted.</summary>
    public int Waiting { get; set; } = WaitingUnknown;

    /// <summary>Not counted yet: whoever asks looks at the visit.</summary>
    public const int WaitingUnknown = -1;

    public List<ReadingRow> Readings { get; set; } = [];
    public List<VisitInstrumentRow> Instruments { get; set; } = [];
}
