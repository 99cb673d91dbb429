using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Outlook;

/// <summary>What a fleet has agreed on about risk.</summary>
/// <param name="Risk">The chance that some valve of an engine stands out of its window, at which drift is spoken of.</param>
/// <param name="BreachCost">What a valve out of its limits costs, in overheads.</param>
/// <param name="PlainRisk">Drift decides by the risk alone instead of by what opening and waiting cost.</param>
public sealed record FleetRisk(double Risk = HoursToRisk.DefaultRisk, double BreachCost = OpeningPlan.DefaultBreachCost, bool PlainRisk = false);

/// <summary>Where one lash point is heading.</summary>
/// <param name="Label">Its label.</param>
/// <param name="Wear">Level, rate, and whether it is a fast valve; null where nothing could be fitted.</param>
/// <param name="Ahead">Its forecast; null without a level or a window.</param>
/// <param name="Standing">Verdict on the last accepted reading; null without one.</param>
/// <param name="HoursToRisk">By its own probability at the fleet's risk; null where not within the horizon.</param>
/// <param name="Side">The limit it reaches.</param>
public sealed record PointOutlook(string Label, PointWear? Wear, PointAhead? Ahead, VerdictState? Standing, EngineHours? HoursToRisk, LimitSide? Side)
{
    /// <summary>It wears unlike its siblings: fast all its life, or since some visit.</summary>
    public bool UnlikeSiblings => Wear?.IsNamed ?? false;

    /// <summary>What a picture of the heads shows for it; null before the first reading.</summary>
    public ShownFigure? Shown { get; init; }

    /// <summary>Its forecast from whatever figure it will be left at; null until readings have said how fast its kind wears.</summary>
    public FreshAhead? FromHere { get; init; }

    /// <summary>The figure that lasts longest, and the hours it gains the engine; null where the book's is as good.</summary>
    public AimAhead? Aim { get; init; }
}

/// <summary>Where one engine is heading and when it is due.</summary>
/// <param name="Id">The engine.</param>
/// <param name="Due">The deciding rule with the others.</param>
/// <param name="RiskHours">Engine hours to the fleet's risk; null where not within the horizon.</param>
/// <param name="OpenAfterHours">When opening costs least; null only at the horizon's end.</param>
/// <param name="EarlyHours">Hours at which the risk is a fifth of the fleet's: the near end of the runway's band.</param>
/// <param name="LateHours">Hours at which being out is as likely as not: its far end.</param>
/// <param name="DecidedBy">The point that decides the drift, if any.</param>
/// <param name="Side">At which limit.</param>
/// <param name="Findings">Points that stand out of their window on record, worst first.</param>
/// <param name="Points">Every point.</param>
/// <param name="Visits">Every visit's common shift.</param>
public sealed record EngineOutlook(
    string Id, Due Due, EngineHours? RiskHours, EngineHours? OpenAfterHours, EngineHours? EarlyHours, EngineHours? LateHours, string? DecidedBy, LimitSide? Side,
    IReadOnlyList<PointOutlook> Findings, IReadOnlyList<PointOutlook> Points, IReadOnlyList<VisitShift> Visits)
{
    /// <summary>What in its own record cannot be right, so that nothing is foretold from it; null where all can.</summary>
    public string? Trouble { get; init; }

    /// <summary>The chance that some valve stands out of its window when the book calls; null without a book or a forecast.</summary>
    public double? RiskAtBook { get; init; }

    /// <summary>The deciding point's own hours to the fleet's risk; null where it never reaches it alone.</summary>
    public EngineHours? DecidedByHours { get; init; }

    /// <summary>Its own chance when the engine reaches the fleet's risk.</summary>
    public double? DecidedByRisk { get; init; }

    /// <summary>What new failures it is exposed to until the book calls (<see cref="FleetHazard.Exposure"/>); null without a book or a forecast.</summary>
    public double? ExposureAtBook { get; init; }

    /// <summary>How many valves its risk is the sum of.</summary>
    public int Valves { get; init; }

    /// <summary>What is said of it.</summary>
    public EngineVoice Voice { get; init; } = EngineVoice.Silent;

    /// <summary>Variance of a reading to come beside what its point stands at, mm²: its own, a visit's and a hand's.</summary>
    public double ReadingVarianceMm2 { get; init; }

    /// <summary>What all points' forecasts for today have in common, with a visit's and a hand's own: the standard deviation of a common shift, mm.</summary>
    public double SharedSdMm { get; init; }
}
