using ZeroDrift.Core;
using ZeroDrift.Core.Hours;

namespace ZeroDrift.Contract.Input;

/// <summary>What is wrong with a meter figure, worded once for every door it comes in by.</summary>
public static class MeterWords
{
    /// <summary>What is wrong and what would be right.</summary>
    public static string Sentence(this MeterMisfit misfit)
    {
        var shown = Said.Hours(misfit.Reading.ShownHours);
        var day = Said.Day(misfit.Reading.Date);
        var beside = misfit.Beside is { } other ? $"{Said.Hours(misfit.IsAfterBeside ? other.EndsAt : other.ShownHours)} of {Said.Day(other.Date)}" : "";
        return misfit.Fault switch
        {
            MeterFault.StillToCome => $"{day} is still to come; give the day the meter was read.",
            MeterFault.NoSuchDay => $"No hour meter is read on {day}; give the day, in the years 1950 to 2200.",
            MeterFault.BelowEarlier => $"{shown} is below the {beside}. Check the figure and its day, or say that the meter was replaced or reset.",
            MeterFault.AboveLater => $"{shown} on {day} is above the {beside}, which was read later. Check the figure and its day.",
            MeterFault.FasterThanClock => $"{Said.Hours(misfit.RunHours)} in {Days(misfit.Days)} is more than 24 h a day {(misfit.IsAfterBeside ? "since" : "up to")} the {beside}. Check the figure and its day, or say that the meter was replaced.",
            _ => throw new ArgumentOutOfRangeException(nameof(misfit), misfit.Fault, "No such fault."),
        };
    }

    /// <summary>The same as a complaint about a field.</summary>
    /// <param name="misfit">What is wrong.</param>
    /// <param name="field">The field of the figure; that of its day is <c>date</c> beside it.</param>
    public static BadInputException Complaint(this MeterMisfit misfit, string field = "hours") => new(misfit.IsOfDay ? "date" : field, misfit.Sentence());

    private static string Days(int days) => days == 1 ? "1 day" : $"{days} days";
}
