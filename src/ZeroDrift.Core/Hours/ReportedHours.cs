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
    /// <summary>No engine here was read before.</summary>
    private const int EarliestYear = 1950;

    private static readonly double[] OtherUnits = [60, 3600];

    /// <summary>Judges a figure that came in from outside. Nothing that cannot be right is believed, and nothing is thrown away.</summary>
    /// <param name="history">The meter's readings.</param>
    /// <param name="date">The day it is of.</param>
    /// <param name="shownHours">What the meter is said to show.</param>
    /// <param name="today">Today.</param>
    public static ReportedHours Of(MeterHistory history, DateOnly date, double shownHours, DateOnly today)
    {
        if (date > today.AddDays(1)) return new(HoursDoubt.StillToCome, null);
        if (!double.IsFinite(shownHours) || shownHours < 0 || date.Year < EarliestYear) return new(HoursDoubt.Unreadable, null);
        var fit = shownHours > EngineHours.Most ? MeterFit.TooFast : history.Fit(date, EngineHours.Of(shownHours));
        if (fit == MeterFit.Fits) return default;
        // A count of minutes or seconds runs far ahead; where it fits as such, that is what it was.
        foreach (var unit in OtherUnits)
            if (history.Latest is not null && shownHours / unit <= EngineHours.Most && history.Fit(date, EngineHours.Of(shownHours / unit)) == MeterFit.Fits) return new(HoursDoubt.WrongUnit, Math.Round(shownHours / unit, 1));
        return new(fit == MeterFit.Backwards ? HoursDoubt.Backwards : HoursDoubt.FasterThanClock, null);
    }
}
