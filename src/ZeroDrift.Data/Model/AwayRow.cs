namespace ZeroDrift.Data.Model;

/// <summary>Days on which a person does not work or a machine cannot be spared.</summary>
public sealed class AwayRow
{
    public Guid Id { get; set; }
    public Guid? PersonId { get; set; }
    public Guid? MachineId { get; set; }
    public DateOnly From { get; set; }
    public DateOnly To { get; set; }
    public required string Why { get; set; }

    /// <summary>The machine stands still: it can be worked on, and no hours are run.</summary>
    public bool LaidUp { get; set; }
}
