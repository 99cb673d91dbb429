using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Setting;
using ZeroDrift.Core.Visits;
using ZeroDrift.Core.Visits.Sheet;

namespace ZeroDrift.Contract.Visits;

/// <summary>The sentences of the sheet, worded once, in the unit of the job.</summary>
internal static class SheetWords
{
    /// <summary>After a turn nothing is known of the gap until it is measured.</summary>
    public const string TurnedUnmeasured = "Turned. How it stands now is not known: measure it before it is turned again.";

    /// <summary>What a gap did since it was last left.</summary>
    public static string? Said(this Movement? moved, LengthUnit unit)
    {
        if (moved is null) return null;
        if (moved.IsNone) return "As it was left last time.";
        var expected = moved.ExpectedMm switch
        {
            null => "",
            { } mm when Math.Abs(mm) < 0.005 => "; hardly any change was expected",
            { } mm => $"; {Rough(mm)} was expected",
        };
        return $"{(moved.ByMm < 0 ? "Closed up" : "Opened")} {Rough(moved.ByMm)} since last time{expected}.";

        // A change is told to the hundredth: finer is not measured.
        string Rough(double mm) => SaidLength.Gap(Math.Round(Math.Abs(mm), 2), unit);
    }

    /// <summary>How a point is set, in the order it is done.</summary>
    public static IReadOnlyList<string> Lines(this SettingGuide guide, PointSheet point, string? torque, LengthUnit unit)
    {
        var figure = guide.SetBlade ?? (point.View.Demand is Core.Judging.Demand.Gap gap ? SaidLength.Figure(gap.AimMm, unit) : "");
        var nut = point.Work.Point.Adjuster.HasLocknut;
        var lines = new List<string>();
        if (point.Undecided) lines.Add("Too near its limit to tell: set it, or take what was found back and measure it finer.");
        switch (guide.Manner)
        {
            case SettingManner.BladeIn when nut:
                lines.Add($"Leave the {figure} blade in while you tighten the nut. What it does then is the as-left.");
                break;
            case SettingManner.OneSizeUp when guide.SizeUp is { } up:
                lines.Add($"Aid: set it snug on {up}; then {figure} slides with a trace of drag. {up} is never the as-left.");
                break;
            case SettingManner.LimitAndBackOff:
                lines.Add($"The {figure} blade in, the adjuster in until it nips, then back off until the drag is right.");
                break;
            default: break;
        }
        if (!nut) lines.Add("It has no locknut: feel that it holds by its own drag, and measure again.");
        else if (guide.Manner != SettingManner.BladeIn) lines.Add($"Then lock{(torque is null ? "" : $" ({torque})")}, and measure again.");
        else if (torque is not null) lines.Add($"Lock: {torque}.");
        return lines;
    }

    /// <summary>What this nut took, and what the others of the hand took.</summary>
    public static string? NutSaid(this PointSheet point, LengthUnit unit)
    {
        if (point.Creep is not { } creep) return null;
        var own = point.OwnPullMm is { } pull ? $"This nut {Took(pull, unit)}" : null;
        var hand = creep.Pairs == 0 ? null : creep.Pairs == 1 ? $"your last on this type {Took(creep.PullMm, unit)}" : $"your last {creep.Pairs} on this type {Took(creep.PullMm, unit)} in the mean";
        return (own, hand) switch
        {
            (null, null) => null,
            ({ } said, null) => said + ".",
            (null, { } said) => char.ToUpperInvariant(said[0]) + said[1..] + (creep.IsTold ? "." : $": {LocknutCreep.FewestPairs - creep.Pairs} more and the first lock is set by it."),
            ({ } mine, { } others) => $"{mine}, {others}.",
        };
    }

    private static string Took(double pull, LengthUnit unit) => Math.Abs(pull) < 5e-4 ? "took nothing" : pull > 0 ? $"closed it by {SaidLength.Gap(pull, unit)}" : $"opened it by {SaidLength.Gap(-pull, unit)}";
}
