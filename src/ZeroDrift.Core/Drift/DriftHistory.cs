using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Drift;

/// <summary>What happened to one lash point at one visit, in the order of the engine's life.</summary>
/// <param name="Hours">Total engine hours.</param>
/// <param name="Found">Estimate and u before anything was touched; null where not measured or one-sided.</param>
/// <param name="Left">Estimate and u after setting; null where the point was left untouched.</param>
public sealed record PointVisit(EngineHours Hours, (Clearance Mm, double U)? Found, (Clearance Mm, double U)? Left)
{
    /// <summary>The adjuster was touched, whether or not the as-left is known: a new run begins.</summary>
    public bool Adjusted { get; init; }

    /// <summary>Kept out of every rate: an odd visit nobody has answered for, or one answered as warm or as other blades.</summary>
    public bool Excluded { get; init; }

    /// <summary>Measured in another condition (hot against cold) than the spec's: a run of its own.</summary>
    public bool OtherCondition { get; init; }

    /// <summary>Within the engine's break-in hours or flagged: bedding in is not wear.</summary>
    public bool BreakIn { get; init; }

    /// <summary>A valve, seat, cam, follower or head was changed or machined here: the history before it is another part's.</summary>
    public bool PartChanged { get; init; }
}

/// <summary>The readings of one lash point cut into runs, and where it stood last.</summary>
/// <param name="Readings">For the rate.</param>
/// <param name="Last">Last accepted figure; null where there is none.</param>
/// <param name="LastIsFresh">The last figure is an as-left: nothing since ties it to the rate.</param>
public sealed record DriftHistory(IReadOnlyList<DriftReading> Readings, DriftReading? Last, bool LastIsFresh)
{
    /// <summary>A visit's shared feel, added in quadrature to each reading that comes from the record, mm (common practice, no source).</summary>
    public const double SharedFeelMm = 0.005;

    /// <summary>
    /// Cuts visits into runs. A run starts with an as-left or a build figure and holds every later reading taken before the next
    /// adjustment; an untouched point continues its run, its one reading serving as found and as left. Readings in another condition are
    /// a run of their own. A changed part ends the history; break-in readings carry no rate.
    /// </summary>
    public static DriftHistory Of(IEnumerable<PointVisit> visits)
    {
        var readings = new List<DriftReading>();
        DriftReading? last = null;
        var fresh = false;
        var run = 0;
        foreach (var visit in visits.OrderBy(v => v.Hours))
        {
            if (visit.PartChanged)
            {
                // What was found belongs to the old part.
                readings.Clear();
                last = null;
                run++;
            }
            else if (visit.Found is { } found && !visit.Excluded)
            {
                Keep(visit, found, run, false);
            }
            if (visit.Left is not null || visit.Adjusted || visit.PartChanged)
            {
                run++;
                if (visit.Left is { } left && !visit.Excluded) Keep(visit, left, run, true);
            }
        }
        return new DriftHistory(LongEnough(readings), last, fresh);

        void Keep(PointVisit visit, (Clearance Mm, double U) figure, int inRun, bool isFresh)
        {
            var u = Math.Sqrt(figure.U * figure.U + SharedFeelMm * SharedFeelMm);
            var reading = new DriftReading(visit.OtherCondition ? -1 - inRun : inRun, visit.Hours, figure.Mm, u);
            if (!visit.OtherCondition) (last, fresh) = (reading, isFresh);
            if (!visit.BreakIn) readings.Add(reading);
        }
    }

    /// <summary>A run shorter than this says nothing of wear: feel and the locknut settling outweigh it, engine hours (common practice, no source).</summary>
    public const double ShortestRunHours = 50;

    private static List<DriftReading> LongEnough(List<DriftReading> readings)
    {
        var runs = readings.GroupBy(r => r.Run).Where(run => run.Count() == 1 || run.Max(r => r.Hours) - run.Min(r => r.Hours) >= ShortestRunHours).Select(run => run.Key).ToHashSet();
        return [.. readings.Where(r => runs.Contains(r.Run))];
    }

    /// <summary>
    /// Covariance between last figure and rate, mm² per hour: (1 − B)·(h0 − h̄)·se₀² on a run that goes on, with h̄ the weighted mean hours
    /// of the current run and se₀ before the Birge ratio; 0 after a fresh setting.
    /// </summary>
    public double Covariance(OwnRate? own, double shrinkage)
    {
        if (own is null || Last is not { } last || LastIsFresh) return 0;
        var run = Readings.Where(r => r.Run == last.Run).ToList();
        if (run.Count == 0) return 0;
        var mean = OwnRate.MeanHours(run);
        var se = own.BareStandardErrorMmPerHour;
        return (1 - shrinkage) * (last.Hours - mean) * se * se;
    }
}
