using ZeroDrift.Core.Overheads;

namespace ZeroDrift.Data.Model;

/// <summary>One engine of the fleet.</summary>
public sealed class EngineRow
{
    public Guid Id { get; set; }
    public required string Name { get; set; }
    public MachineKind Machine { get; set; }
    public required string Site { get; set; }
    public Guid EngineTypeId { get; set; }
    public EngineTypeRow? EngineType { get; set; }

    /// <summary>Duty class default, used until the meter has been read often enough.</summary>
    public double DutyHoursPerDay { get; set; }

    /// <summary>Twelve weights, January first; null for use all year.</summary>
    public List<double>? MonthlyWeights { get; set; }
    public string? Remark { get; set; }
    public int Version { get; set; } = 1;

    public List<MeterReadingRow> MeterReadings { get; set; } = [];
    public List<OverheadRow> Overheads { get; set; } = [];
}

/// <summary>One look at the hour meter. Never changed; a wrong one is followed by a meter change.</summary>
public sealed class MeterReadingRow
{
    public Guid Id { get; set; }
    public Guid EngineId { get; set; }
    public DateOnly Date { get; set; }
    public double ShownHours { get; set; }
    public double? NewMeterShows { get; set; }
    public string? Who { get; set; }
    public string? Remark { get; set; }
}
