namespace ZeroDrift.Planning;

/// <summary>Someone who can do jobs.</summary>
/// <param name="Id">Unique.</param>
/// <param name="Skills">Engines or trades known.</param>
/// <param name="HoursByDay">Working hours from day 0, 0 to 24 each; repeats when shorter than the plan.</param>
public sealed record Technician(string Id, IReadOnlyList<string> Skills, IReadOnlyList<double> HoursByDay)
{
    /// <summary>Working hours on a day; 0 is a day off.</summary>
    public double HoursOn(int day) => HoursByDay[day % HoursByDay.Count];
}

/// <summary>A job to place.</summary>
/// <param name="Id">Unique.</param>
/// <param name="Site">Where it is done; null where travelling does not matter.</param>
/// <param name="Skill">What its technician must know; null for anyone.</param>
/// <param name="Hours">Length, above 0 to 1000 h.</param>
public sealed record ScheduleJob(string Id, string? Site, string? Skill, double Hours)
{
    /// <summary>Not before this day: parts arrived, engine back, stood to go cold.</summary>
    public int EarliestDay { get; init; }

    /// <summary>Due; may lie before the plan (overdue) or after it. Null where no day matters.</summary>
    public int? DueDay { get; init; }

    /// <summary>Cost of each day its last day lies after the due day.</summary>
    public double LatePerDay { get; init; }

    /// <summary>Cost of each day its first day lies before the due day: hours thrown away.</summary>
    public double EarlyPerDay { get; init; }

    /// <summary>Days on which it cannot be worked: harvest, voyage, standby duty.</summary>
    public IReadOnlyList<int> BlockedDays { get; init; } = [];

    /// <summary>Of this group only so many may be out at once.</summary>
    public string? Group { get; init; }

    /// <summary>How many it takes: 1, or 2 where one turns and one watches. The second is there the same hours and need not know the skill.</summary>
    public int Crew { get; init; } = 1;

    /// <summary>Tools it keeps from its first day to its last.</summary>
    public IReadOnlyList<string> Tools { get; init; } = [];

    /// <summary>The job it comes after; null where it waits for none.</summary>
    public After? After { get; init; }
}

/// <summary>Waits for another job: parts measured for, a gap between two visits.</summary>
/// <param name="Job">The job before.</param>
/// <param name="MinDays">Its first day lies at least so many days after the other's last, 0 to 366.</param>
public sealed record After(string Job, int MinDays);

/// <summary>The road between two sites, either way.</summary>
/// <param name="From">One.</param>
/// <param name="To">The other.</param>
/// <param name="Hours">Of a technician's day, 0 to 24.</param>
public sealed record Road(string From, string To, double Hours);

/// <summary>A placement the planner insists on; a null technician or day is left open.</summary>
public sealed record Pin(string Job, string? Technician, int? Day);

/// <summary>Where a job stands: its technician and its first day.</summary>
/// <param name="Job">The job.</param>
/// <param name="Technician">Who leads it.</param>
/// <param name="Day">Its first day.</param>
/// <param name="MovePerDay">Cost of each day it is moved; null for the request's.</param>
public sealed record Placement(string Job, string Technician, int Day, double? MovePerDay = null);

/// <summary>What is to be planned.</summary>
public sealed record ScheduleRequest(int DayCount, IReadOnlyList<Technician> Technicians, IReadOnlyList<ScheduleJob> Jobs)
{
    /// <summary>How many of a group may be out on one day.</summary>
    public IReadOnlyDictionary<string, int> GroupLimits { get; init; } = new Dictionary<string, int>();

    /// <summary>Cost of each further site a technician visits on a day.</summary>
    public double SiteChangeCost { get; init; }

    /// <summary>Cost of leaving a job out; should outweigh lateness.</summary>
    public double UnplacedCost { get; init; } = 1000;

    /// <summary>Pins that must hold.</summary>
    public IReadOnlyList<Pin> Pins { get; init; } = [];

    /// <summary>The plan in force: among plans of equal cost the one that moves the fewest jobs is taken.</summary>
    public IReadOnlyList<Placement> Previous { get; init; } = [];

    /// <summary>Cost of each day a job is moved from where the plan in force has it.</summary>
    public double MovePerDay { get; init; }

    /// <summary>How many there are of each tool; one of any that is not named.</summary>
    public IReadOnlyDictionary<string, int> ToolCounts { get; init; } = new Dictionary<string, int>();

    /// <summary>Roads between sites: what they take comes out of the working hours of whoever visits both on one day, by the shortest way through that day's sites.</summary>
    public IReadOnlyList<Road> TravelHours { get; init; } = [];

    /// <summary>How a day is said in a sentence.</summary>
    public Func<int, string> SayDay { get; init; } = day => $"day {day}";

    /// <summary>How a job, a technician or a group is called in a sentence, by its identifier.</summary>
    public Func<string, string> SayName { get; init; } = id => id;

    /// <summary>How long to look, seconds, 0.1 to 120; counted deterministically, so that the same input gives the same plan.</summary>
    public double TimeLimitSeconds { get; init; } = 10;
}

/// <summary>How good a schedule is known to be.</summary>
public enum ScheduleStatus
{
    /// <summary>No plan costs less.</summary>
    Optimal,

    /// <summary>A plan that holds every constraint; the bound says how much better one could be.</summary>
    Feasible,

    /// <summary>The pins cannot all hold.</summary>
    Infeasible,
}

/// <summary>A placed job and one sentence why it stands there.</summary>
/// <param name="Job">The job.</param>
/// <param name="Technician">Who leads it.</param>
/// <param name="Day">Its first day.</param>
/// <param name="LastDay">Its last.</param>
/// <param name="Because">Why it stands there.</param>
/// <param name="Mate">The second where it takes two.</param>
public sealed record Assignment(string Job, string Technician, int Day, int LastDay, string Because, string? Mate = null);

/// <summary>A job left out and the constraint that keeps it out.</summary>
public sealed record Unplaced(string Job, string Reason);

/// <summary>A plan.</summary>
/// <param name="Status">How good it is known to be.</param>
/// <param name="Cost">Its cost.</param>
/// <param name="Bound">No plan can cost less than this.</param>
/// <param name="Assignments">By day, technician, job.</param>
/// <param name="Unplaced">What does not fit.</param>
/// <param name="Moved">Jobs that stand elsewhere than in the plan before.</param>
public sealed record Schedule(ScheduleStatus Status, double Cost, double Bound, IReadOnlyList<Assignment> Assignments, IReadOnlyList<Unplaced> Unplaced, int Moved);
