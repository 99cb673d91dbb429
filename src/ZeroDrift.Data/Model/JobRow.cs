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

    /// <summary>Other work that opens the engine, such as injectors or an oil service: the cheap moment for an overhead.</summary>
    public bool Opens { get; set; }
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
