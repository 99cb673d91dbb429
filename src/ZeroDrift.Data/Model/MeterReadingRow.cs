namespace ZeroDrift.Data.Model;

/// <summary>
/// One look at the hour meter. Readings of one day stand in the order the server took them, by <see cref="Sequence"/>. A wrong one is corrected
/// by another that replaces it; the old one stays.
/// </summary>
public sealed class MeterReadingRow
{
    public long Sequence { get; set; }
    public Guid Id { get; set; }
    public Guid EngineId { get; set; }
    public DateOnly Date { get; set; }
    public double ShownHours { get; set; }
    public double? NewMeterShows { get; set; }
    public Guid? PersonId { get; set; }
    public string? Who { get; set; }
    public string? Remark { get; set; }

    /// <summary>The visit it was read at; such a reading follows its visit.</summary>
    public Guid? VisitId { get; set; }

    /// <summary>The reading this one replaces.</summary>
    public Guid? ReplacesId { get; set; }
    public string? Why { get; set; }

    /// <summary>Replaced or taken back: it counts no more.</summary>
    public bool Withdrawn { get; set; }
}
