using ZeroDrift.Core.Hours;

namespace ZeroDrift.Data.Model;

/// <summary>How far a job has come.</summary>
public enum JobState
{
    /// <summary>To be planned and done.</summary>
    Open,

    /// <summary>Its visit is signed.</summary>
    Done,

    /// <summary>Not to be done after all, with why.</summary>
    Dropped,
}

/// <summary>Work on one engine that has to find its day: made from what is due, by hand, or by an order.</summary>
public sealed class JobRow
{
    public Guid Id { get; set; }
    public Guid EngineId { get; set; }
    public EngineRow? Engine { get; set; }
    public required string Title { get; set; }

    /// <summary>What made it due; null where a person did.</summary>
    public DueRule? Rule { get; set; }
    public DateOnly? DueDate { get; set; }

    /// <summary>Not before this day, whatever the parts say.</summary>
    public DateOnly? EarliestDate { get; set; }

    /// <summary>Hours of work, where a person knows better than book and record.</summary>
    public double? Hours { get; set; }
    public int Crew { get; set; } = 1;
    public List<string> Tools { get; set; } = [];
    public List<JobPartRow> Parts { get; set; } = [];

    /// <summary>The job it waits for, and the days between.</summary>
    public Guid? AfterJobId { get; set; }
    public int AfterDays { get; set; }
    public string? Remark { get; set; }
    public DateTime MadeAt { get; set; }
    public JobState State { get; set; }
    public string? Why { get; set; }
    public Guid? VisitId { get; set; }
    public int Version { get; set; } = 1;
}

/// <summary>Something a job needs that is not here.</summary>
public sealed class JobPartRow
{
    public required string Name { get; set; }
    public int LeadDays { get; set; }
    public DateOnly? OrderedOn { get; set; }
    public bool Here { get; set; }
}

/// <summary>Where a job stands in the draft of the plan.</summary>
public sealed class PlacementRow
{
    public Guid JobId { get; set; }
    public Guid PersonId { get; set; }
    public Guid? MateId { get; set; }
    public DateOnly Date { get; set; }
    public DateOnly LastDate { get; set; }
    public bool Pinned { get; set; }
    public string Because { get; set; } = "";
}

/// <summary>A plan as it was published. Kept.</summary>
public sealed class PlanVersionRow
{
    public int Number { get; set; }
    public DateTime PublishedAt { get; set; }
    public string? Who { get; set; }

    /// <summary>Its placements, JSON.</summary>
    public required string Content { get; set; }
}

/// <summary>Days on which a person does not work or a machine cannot be spared.</summary>
public sealed class AwayRow
{
    public Guid Id { get; set; }
    public Guid? PersonId { get; set; }
    public Guid? MachineId { get; set; }
    public DateOnly From { get; set; }
    public DateOnly To { get; set; }
    public required string Why { get; set; }
}

/// <summary>Machines of which only so many may be out at once.</summary>
public sealed class StandbyGroupRow : INamed
{
    public Guid Id { get; set; }
    public required string Name { get; set; }
    public string NameKey { get; set; } = "";
    public int MostOut { get; set; } = 1;
}

/// <summary>A tool there are only so many of.</summary>
public sealed class ToolRow : INamed
{
    public Guid Id { get; set; }
    public required string Name { get; set; }
    public string NameKey { get; set; } = "";
    public int Count { get; set; } = 1;
}

/// <summary>The road between two sites, either way.</summary>
public sealed class RoadRow
{
    public Guid FromId { get; set; }
    public Guid ToId { get; set; }
    public double Hours { get; set; }
}
