namespace ZeroDrift.Server.Plan;

public sealed record PlacementResponse(Guid JobId, Guid PersonId, Guid? MateId, DateOnly Date, DateOnly LastDate, bool Pinned, string Because);

public sealed record UnplacedJob(Guid JobId, string Reason);

/// <summary>A job that no day is planned for, and why. Later: it falls due after this plan, and is not missed in it.</summary>
public sealed record JobWithoutDay(Guid JobId, string Reason, bool Later);

/// <summary>A job that stands otherwise than in the plan that was published, in words.</summary>
public sealed record PlanMove(Guid JobId, string Sentence);

/// <summary>Something that, given way, lets a job in: the smallest first.</summary>
public sealed record ReleaseResponse(string What, Guid PersonId, DateOnly Date);

/// <summary>Other work opens an engine whose overhead is due not long after: it could be taken along.</summary>
public sealed record CheapMomentResponse(Guid EngineId, string Engine, Guid OpeningJobId, string Opening, DateOnly Date, DateOnly DueDate, Guid? OverheadJobId);

/// <summary>A row of the plan: who, what they know, and the hours of each day from the first.</summary>
public sealed record PlanPerson(Guid Id, string Name, IReadOnlyList<string> Skills, IReadOnlyList<double> WeekHours, IReadOnlyList<double> Hours);

public sealed record AwayResponse(Guid Id, Guid? PersonId, Guid? MachineId, string Who, DateOnly From, DateOnly To, string Why, bool LaidUp);

public sealed record GroupResponse(Guid Id, string Name, int MostOut, IReadOnlyList<Guid> EngineIds);

public sealed record ToolResponse(Guid Id, string Name, int Count);

public sealed record RoadResponse(Guid FromId, Guid ToId, string From, string To, double Hours);

public sealed record VersionResponse(int Number, DateTime PublishedAt, string? Who, int Jobs);

/// <summary>How a planning run stands. Bound: no plan can cost less.</summary>
public sealed record RunResponse(bool Running, double? Cost, double? Bound, string? Said, IReadOnlyList<string> Moved);

public sealed record PlanResponse
{
    public required DateOnly From { get; init; }
    public required int Days { get; init; }
    public required DateOnly Today { get; init; }
    public required IReadOnlyList<PlanPerson> People { get; init; }
    public required IReadOnlyList<JobResponse> Jobs { get; init; }
    public required IReadOnlyList<PlacementResponse> Placements { get; init; }
    public required IReadOnlyList<UnplacedJob> Unplaced { get; init; }

    /// <summary>Every job that has no day, whoever planned last.</summary>
    public required IReadOnlyList<JobWithoutDay> WithoutDay { get; init; }

    /// <summary>What stands where it can stand no more, and why: somebody fell ill, a machine is needed, a part is late.</summary>
    public required IReadOnlyList<UnplacedJob> Broken { get; init; }
    public required IReadOnlyList<CheapMomentResponse> CheapMoments { get; init; }
    public required IReadOnlyList<AwayResponse> Away { get; init; }
    public required IReadOnlyList<GroupResponse> Groups { get; init; }
    public required IReadOnlyList<ToolResponse> Tools { get; init; }
    public required IReadOnlyList<RoadResponse> Roads { get; init; }
    public required RunResponse Run { get; init; }
    public VersionResponse? Published { get; init; }

    /// <summary>The draft stands otherwise than what was published.</summary>
    public required bool Changed { get; init; }

    /// <summary>What stands otherwise: day, person or second. Empty where nothing was published yet.</summary>
    public required IReadOnlyList<PlanMove> MovedSincePublished { get; init; }
}

/// <summary>What a day would mean for a job: what stands in the way, or how late and early it would be.</summary>
public sealed record CheckResponse(bool Fits, string Sentence, DateOnly LastDate, Guid? MateId, int LateDays, int EarlyDays);
