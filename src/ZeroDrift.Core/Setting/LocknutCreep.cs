using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Setting;

/// <summary>How much a locknut changes the clearance as it is tightened, learned from one mechanic's own readings on one engine type.</summary>
/// <param name="CreepMm">Median of after-lock minus before-lock, mm; negative where it closes.</param>
/// <param name="Pairs">How many pairs it was learned from.</param>
public sealed record LocknutCreep(double CreepMm, int Pairs)
{
    /// <summary>Fewer pairs than this advise nothing.</summary>
    public const int FewestPairs = 5;

    /// <summary>From before-lock and after-lock clearances, mm. Null with fewer than five pairs: not enough history.</summary>
    public static LocknutCreep? FromPairs(IReadOnlyList<(Clearance Before, Clearance After)> pairs) => Of([.. pairs.Select(pair => pair.After - pair.Before)]);

    /// <summary>
    /// Where no before-lock figure is taken: the turn given should have brought the gap to found ± turns × pitch × ratio; what it missed
    /// by is the locknut's. Positive turns open.
    /// </summary>
    /// <exception cref="BadInputException">A pitch or ratio outside its range.</exception>
    public static LocknutCreep? FromTurns(IReadOnlyList<(Clearance Found, double OpeningTurns, Clearance After)> settings, double pitchMm, double clearancePerTravel = 1)
    {
        Require.Above(pitchMm, 0, 10, "pitchMm", "The thread pitch", "mm");
        Require.Above(clearancePerTravel, 0, 10, "clearancePerTravel", "The clearance per screw travel");
        return Of([.. settings.Select(s => s.After - (s.Found + s.OpeningTurns * pitchMm * clearancePerTravel))]);
    }

    /// <summary>
    /// Whether a figure before locking is worth a tap: while there is not enough history, or where the creep takes up a quarter of the window or
    /// more, so that a change of hand or nut would carry it out.
    /// </summary>
    public static bool IsWorthAsking(int pairs, double? creepMm, double windowMm) => pairs < FewestPairs || Math.Abs(creepMm ?? 0) >= windowMm / 4;

    /// <summary>The before-lock figure that lands on the target.</summary>
    public Clearance AimBeforeLock(Clearance targetMm) => Clearance.Near(targetMm - CreepMm);

    private static LocknutCreep? Of(double[] creeps) =>
        creeps.Length < FewestPairs ? null : new LocknutCreep(Quantile.Of([.. creeps.Order()], 0.5), creeps.Length);
}
