namespace ZeroDrift.Core.Hours;

/// <summary>What speaks against believing a figure that came in.</summary>
public enum HoursDoubt
{
    /// <summary>No engine goes by that name.</summary>
    UnknownMachine,

    /// <summary>Below what the meter showed before, or above what it showed after.</summary>
    Backwards,

    /// <summary>More than 24 hours a day.</summary>
    FasterThanClock,

    /// <summary>No hours, but right if taken as minutes or seconds.</summary>
    WrongUnit,

    /// <summary>A day that is still to come.</summary>
    StillToCome,

    /// <summary>Written so that it could be two figures.</summary>
    TwoWays,

    /// <summary>No figure or no day at all.</summary>
    Unreadable,

    /// <summary>The document ends in the middle.</summary>
    CutOff,
}

/// <summary>Whether a figure fits between those around it, and if not, what it may have been meant to be.</summary>
/// <param name="Doubt">What speaks against it; null where nothing does.</param>
/// <param name="PerhapsHours">The hours it would be in the unit it seems to be in.</param>
public readonly record struct ReportedHours(HoursDoubt? Doubt, double? PerhapsHours)
{
    /// <summary>The figures it could be, where it could be two.</summary>
    public IReadOnlyList<double> Ways { get => field ?? []; init; }

    /// <summary>What the figure does not fit beside, where that is what speaks against it.</summary>
    public MeterMisfit? Misfit { get; init; }

    private static readonly double[] OtherUnits = [60, 3600];

    /// <summary>Judges a figure that came in from outside. Nothing that cannot be right is believed, and nothing is thrown away.</summary>
    /// <param name="history">The meter's readings.</param>
    /// <param name="date">The day it is of.</param>
    /// <param name="shownHours">What the meter is said to show.</param>
    /// <param name="today">Today.</param>
    public static ReportedHours Of(MeterHistory history, DateOnly date, double shownHours, DateOnly today)
    {
        if (!double.IsFinite(shownHours) || shownHours < 0) return new(HoursDoubt.Unreadable, null);
        var misfit = shownHours <= EngineHours.Most ? history.Misfit(new MeterReading(date, EngineHours.Of(shownHours)), today) : null;
        if (misfit is null && shownHours <= EngineHours.Most) return default;
        if (misfit is { IsOfDay: true }) return new(misfit.Fault == MeterFault.StillToCome ? HoursDoubt.StillToCome : HoursDoubt.Unreadable, null) { Misfit = misfit };
        // A count of minutes or seconds runs far ahead; where it fits as such, that is what it was.
        foreach (var unit in OtherUnits)
            if (history.Latest is not null && shownHours / unit <= EngineHours.Most && history.Misfit(new MeterReading(date, EngineHours.Of(shownHours / unit)), today) is null) return new(HoursDoubt.WrongUnit, Math.Round(shownHours / unit, 1));
        return new(misfit?.Fault is MeterFault.BelowEarlier or MeterFault.AboveLater ? HoursDoubt.Backwards : HoursDoubt.FasterThanClock, null) { Misfit = misfit };
    }
}
