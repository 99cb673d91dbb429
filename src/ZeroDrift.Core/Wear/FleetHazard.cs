namespace ZeroDrift.Core.Wear;

/// <summary>
/// How often valves of a fleet begin to fail, learnt from those that were named: for what is said, never for a date (with half a valve in 100,000 h before
/// anything is seen, common practice, no source).
/// </summary>
/// <param name="Named">Valves named as wearing another way since some visit.</param>
/// <param name="ValveHours">Hours valves were watched for, thousands.</param>
public readonly record struct FleetHazard(double Named, double ValveHours)
{
    private const double NamedBefore = 0.5;
    private const double HoursBefore = 100;

    /// <summary>Slower than this no valve is taken to wear here, mm per 1000 h.</summary>
    private const double SlowestRate = 0.0025;

    /// <summary>One that begins to fail goes about four times as fast as it did.</summary>
    private const double Faster = 4;

    /// <summary>λ: new failures of one valve in 1000 h.</summary>
    public double Per1000h => (NamedBefore + Named) / (HoursBefore + ValveHours);

    /// <summary>What some engines' fits have shown.</summary>
    public static FleetHazard Of(IReadOnlyCollection<EngineWear> engines) =>
        new(engines.Sum(e => e.Points.Count(p => p.ChangeProbability >= PointWear.NamedFrom)), engines.Sum(e => e.ValveHours));

    /// <summary>With another group's.</summary>
    public FleetHazard Plus(FleetHazard other) => new(Named + other.Named, ValveHours + other.ValveHours);

    /// <summary>R′: the chance that some valve is out after some hours, were valves to begin to fail as they do in this fleet.</summary>
    /// <param name="risk">R̄: the same with nothing new beginning to fail.</param>
    /// <param name="exposure">See <see cref="Exposure"/>.</param>
    public double Risk(double risk, double exposure) => 1 - (1 - risk) * Math.Exp(-Per1000h * exposure);

    /// <summary>Thousands of valve hours from now in which a valve that begins to fail still reaches its limit within some hours.</summary>
    /// <param name="engine">The engine.</param>
    /// <param name="hours">From now.</param>
    public static double Exposure(EngineWear engine, double hours)
    {
        var exposed = 0.0;
        foreach (var point in engine.Now.Points)
        {
            var rate = Math.Max(Math.Abs(engine.Points.First(p => p.Id == point.Id).MmPer1000h), SlowestRate);
            exposed += Math.Max(0, hours / 1000 - (engine.RoomMm(point.Id) ?? 0) / (Faster * rate));
        }
        return exposed;
    }
}
