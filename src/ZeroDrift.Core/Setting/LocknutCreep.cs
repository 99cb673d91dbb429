using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Setting;

/// <summary>What a locknut takes of the clearance as it is tightened, learned from one mechanic's own locks on one engine type.</summary>
/// <param name="PullMm">Mean of before-lock minus after-lock, mm; positive where locking closes the gap.</param>
/// <param name="SdMm">Standard deviation of a lock about it, mm; 0 for a single one.</param>
/// <param name="Pairs">How many locks it was learned from.</param>
public sealed record LocknutCreep(double PullMm, double SdMm, int Pairs)
{
    /// <summary>With fewer it is told to nobody, and a first lock is not set wide by it.</summary>
    public const int FewestPairs = 5;

    /// <summary>A lock this far from the hand's others is a slip, mm (common practice, no source).</summary>
    private const double SlipMm = 0.1;

    /// <summary>No lock known.</summary>
    public static LocknutCreep None { get; } = new(0, 0, 0);

    /// <summary>Change of the gap, mm: negative where locking closes it.</summary>
    public double CreepMm => -PullMm;

    /// <summary>Enough of them to be told, and to set the first lock of a point by.</summary>
    public bool IsTold => Pairs >= FewestPairs;

    /// <summary>
    /// What the next lock is expected to take: the hand's mean weighed against this nut's own last lock, as if the mean were at most five locks. Without
    /// one of its own the mean once it is told, else nothing.
    /// </summary>
    /// <param name="ownMm">What this nut took at its last lock; null where it was not measured before and after.</param>
    public double Expected(double? ownMm)
    {
        var weight = Math.Min(Pairs, FewestPairs);
        return ownMm is { } own ? (weight * PullMm + own) / (weight + 1) : IsTold ? PullMm : 0;
    }

    /// <summary>From before-lock and after-lock clearances; <see cref="None"/> without any.</summary>
    public static LocknutCreep FromPairs(IReadOnlyList<(Clearance Before, Clearance After)> pairs) => Of([.. pairs.Select(pair => pair.Before - pair.After)]);

    /// <summary>From pulls, mm. One that lies far from the rest was a slip of the spanner, and teaches nothing.</summary>
    public static LocknutCreep Of(IReadOnlyList<double> pulls)
    {
        if (pulls.Count == 0) return None;
        var middle = Quantile.Of([.. pulls.Order()], 0.5);
        List<double> locks = [.. pulls.Where(p => Math.Abs(p - middle) <= SlipMm)];
        if (locks.Count == 0) return None;
        var mean = locks.Average();
        return new LocknutCreep(mean, locks.Count < 2 ? 0 : Math.Sqrt(locks.Sum(p => (p - mean) * (p - mean)) / (locks.Count - 1)), locks.Count);
    }

    /// <summary>
    /// Where no before-lock figure is taken: the turn given should have brought the gap to found ± turns × pitch × ratio; what it missed
    /// by is the locknut's. Positive turns open.
    /// </summary>
    /// <exception cref="BadInputException">A pitch or ratio outside its range.</exception>
    public static LocknutCreep FromTurns(IReadOnlyList<(Clearance Found, double OpeningTurns, Clearance After)> settings, double pitchMm, double clearancePerTravel = 1)
    {
        Require.Above(pitchMm, 0, 10, "pitchMm", "The thread pitch", "mm");
        Require.Above(clearancePerTravel, 0, 10, "clearancePerTravel", "The clearance per screw travel");
        return Of([.. settings.Select(s => s.Found + s.OpeningTurns * pitchMm * clearancePerTravel - s.After)]);
    }

    /// <summary>This and more of the same hand's locks.</summary>
    public LocknutCreep With(IReadOnlyList<double> pulls)
    {
        if (pulls.Count == 0) return this;
        if (Pairs == 0) return Of(pulls);
        var total = Pairs + pulls.Count;
        var mean = (Pairs * PullMm + pulls.Sum()) / total;
        var squares = (Pairs - 1) * SdMm * SdMm + Pairs * (PullMm - mean) * (PullMm - mean) + pulls.Sum(p => (p - mean) * (p - mean));
        return new LocknutCreep(mean, Math.Sqrt(squares / (total - 1)), total);
    }

    /// <summary>
    /// Whether a figure before locking is worth a tap: while there is not enough history, or where the creep takes up a quarter of the window or
    /// more, so that a change of hand or nut would carry it out.
    /// </summary>
    public bool IsWorthAsking(double windowMm) => !IsTold || Math.Abs(PullMm) >= windowMm / 4;

    /// <summary>The before-lock figure that lands on the target.</summary>
    public Clearance AimBeforeLock(Clearance targetMm) => Clearance.Near(targetMm + PullMm);
}
