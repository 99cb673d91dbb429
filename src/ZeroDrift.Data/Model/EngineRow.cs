namespace ZeroDrift.Data.Model;

/// <summary>One engine. Its history follows it, by its serial number, from machine to machine.</summary>
public sealed class EngineRow : INamed
{
    public Guid Id { get; set; }
    public required string Name { get; set; }
    public string NameKey { get; set; } = "";
    public Guid MachineId { get; set; }
    public MachineRow? Machine { get; set; }
    public Guid EngineTypeId { get; set; }
    public EngineTypeRow? EngineType { get; set; }
    public string? SerialNumber { get; set; }
    public string? Rating { get; set; }

    /// <summary>Duty class default, used until the meter has been read often enough.</summary>
    public double DutyHoursPerDay { get; set; }

    /// <summary>Twelve weights, January first; null for use all year.</summary>
    public List<double>? MonthlyWeights { get; set; }
    /// <summary>Of this group only so many may be out at once.</summary>
    public Guid? StandbyGroupId { get; set; }
    public string? Remark { get; set; }
    public DateTime? ArchivedAt { get; set; }
    public int Version { get; set; } = 1;

    public List<MeterReadingRow> MeterReadings { get; set; } = [];
}
