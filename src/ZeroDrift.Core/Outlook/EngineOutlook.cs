using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Outlook;

/// <summary>Where one lash point is heading.</summary>
/// <param name="Label">Its label.</param>
/// <param name="OwnRate">From its own readings; null where they give none.</param>
/// <param name="Rate">After pooling with its group; null where there is none.</param>
/// <param name="UnlikeSiblings">It left the pool: a finding.</param>
/// <param name="Forecast">From the last accepted figure; null without a figure, a rate or a window.</param>
/// <param name="Standing">Verdict on the last accepted reading; null without one.</param>
/// <param name="HoursToRisk">By its own probability; null where not within the horizon.</param>
/// <param name="Side">The limit it reaches.</param>
public sealed record PointOutlook(string Label, OwnRate? OwnRate, Rate? Rate, bool UnlikeSiblings, PointForecast? Forecast, VerdictState? Standing, EngineHours? HoursToRisk, LimitSide? Side)
{
    /// <summary>What a picture of the heads shows for it; null before the first reading.</summary>
    public ShownFigure? Shown { get; init; }
}

/// <summary>Where one engine is heading and when it is due.</summary>
/// <param name="Id">The engine.</param>
/// <param name="Due">The deciding rule with the others.</param>
/// <param name="DriftHours">Engine hours to the fleet's risk; null where not within the horizon.</param>
/// <param name="EarlyHours">Hours at which the risk is a fifth of the fleet's: the near end of the runway's band.</param>
/// <param name="LateHours">Hours at which being out is as likely as not: its far end.</param>
/// <param name="DecidedBy">The point that decides the drift, if any.</param>
/// <param name="Side">At which limit.</param>
/// <param name="Findings">Points that stand out of their window on record, worst first.</param>
/// <param name="Points">Every point.</param>
public sealed record EngineOutlook(string Id, Due Due, EngineHours? DriftHours, EngineHours? EarlyHours, EngineHours? LateHours, string? DecidedBy, LimitSide? Side, IReadOnlyList<PointOutlook> Findings, IReadOnlyList<PointOutlook> Points)
{
    /// <summary>What in its own record cannot be right, so that nothing is foretold from it; null where all can.</summary>
    public string? Trouble { get; init; }
}
