using System.Globalization;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Core.Setting;

/// <summary>What to do to a point that has to be set, in a sentence and in figures.</summary>
/// <param name="AimMm">The figure to leave before locking.</param>
/// <param name="Turn">The screw turn; null where no figure was measured or nothing is turned.</param>
/// <param name="Sentence">Said to the mechanic.</param>
public sealed record SettingAdvice(double AimMm, ScrewTurn? Turn, string Sentence)
{
    /// <summary>Advice for a found reading. A one-sided reading has no figure to compute a turn from: the blade of the figure leads.</summary>
    public static SettingAdvice For(Reading found, ClearanceSpec spec, AdjustingScrew? screw, LocknutCreep? creep = null)
    {
        var aim = creep?.AimBeforeLock(spec.SetMm) ?? spec.SetMm;
        if (screw is null) return new SettingAdvice(aim, null, "Set it to the figure, then measure again.");
        if (found.EstimateMm is not { } now)
            return new SettingAdvice(aim, null, $"No figure to turn from: slacken the locknut and set with the blade of {aim.ToString("0.00", CultureInfo.InvariantCulture)} mm, lock, measure again.");
        var turn = ScrewTurn.Between(now, aim, screw.PitchMm, screw.ClearancePerTravel, screw.ClockwiseCloses);
        if (turn.Direction is not { } direction) return new SettingAdvice(aim, turn, "It stands on the figure.");
        var verb = aim > now ? "Open it" : "Close it";
        var way = direction == ScrewDirection.Clockwise ? "clockwise" : "anticlockwise";
        var degrees = $"{Math.Round(turn.Degrees).ToString(CultureInfo.InvariantCulture)}°";
        var amount = turn.DegreesFirst ? $"{degrees}, {TurnWords.Say(turn.Turns)}" : $"{TurnWords.Say(turn.Turns)}, {degrees}";
        return new SettingAdvice(aim, turn, $"{verb} {amount}, {way}.");
    }
}

/// <summary>A turn in eighths and sixteenths, as mechanics think of it.</summary>
public static class TurnWords
{
    /// <summary>1/8 turn; a bit over 1/16 turn; 1 1/4 turns; under 1/32 turn. Turns 0 or more.</summary>
    public static string Say(double turns)
    {
        var sixteenths = (int)Math.Round(turns * 16, MidpointRounding.AwayFromZero);
        if (sixteenths == 0) return "under 1/32 turn";
        var miss = turns - sixteenths / 16.0;
        // A mechanic's hand cannot tell less than a fiftieth of a turn.
        var about = Math.Abs(miss) <= Math.Min(0.02, 0.1 * turns) ? "" : miss > 0 ? "a bit over " : "a bit under ";
        var whole = sixteenths / 16;
        var (top, bottom) = (sixteenths % 16, 16);
        while (top > 0 && top % 2 == 0) (top, bottom) = (top / 2, bottom / 2);
        var part = top == 0 ? "" : $"{top}/{bottom}";
        var figure = whole == 0 ? part : part.Length == 0 ? $"{whole}" : $"{whole} {part}";
        return $"{about}{figure} {(whole > 1 || (whole == 1 && top > 0) ? "turns" : "turn")}";
    }
}
