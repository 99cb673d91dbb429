using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Setting;

/// <summary>A turn in eighths and sixteenths, as mechanics think of it.</summary>
public static class TurnWords
{
    /// <summary>1/8 turn; a bit over 1/16 turn; 1 1/4 turns; under 1/32 turn.</summary>
    public static string Say(Turns turns)
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
