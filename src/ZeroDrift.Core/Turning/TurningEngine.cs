using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Turning;

/// <summary>
/// What a turning plan needs to know of an engine: who fires when, and in which stretch of the cycle each kind of lash point
/// is off its base circle. Points of one cylinder and kind move together.
/// </summary>
public sealed class TurningEngine
{
    private readonly Dictionary<LashKind, OpenArcs> guarded = [];
    private readonly Dictionary<LashKind, OpenArcs> unguarded = [];
    private List<CrankAngle>? tdcMarks;

    private TurningEngine(FiringOrder order, Func<double, IEnumerable<(LashKind, double From, double To)>> lifts, double guard)
    {
        Order = order;
        Cycle = order.Cycle.Degrees();
        foreach (var kind in lifts(0).GroupBy(l => l.Item1)) unguarded[kind.Key] = new OpenArcs(Cycle, kind.Select(l => (l.From, l.To)));
        foreach (var kind in lifts(guard).GroupBy(l => l.Item1)) guarded[kind.Key] = new OpenArcs(Cycle, kind.Select(l => (l.From, l.To)));
    }

    /// <summary>The firing order with its angles.</summary>
    public FiringOrder Order { get; }

    /// <summary>Each cylinder's own stop lies this far past its TDC, degrees; 0 unless a compression release asks for it.</summary>
    public double PastTdcDeg { get; init; }

    /// <summary>How a cylinder shows that its valves are free.</summary>
    public CylinderGear Gear { get; private init; } = CylinderGear.Usual;

    /// <summary>720 or 360 degrees.</summary>
    public double Cycle { get; }

    /// <summary>A four-stroke. Injectors and engine-brake points have no computed position; <paramref name="furtherLifts"/> adds lobes such as a compression release, local degrees.</summary>
    /// <param name="order">Firing order and angles; four-stroke.</param>
    /// <param name="timing">Valve timing at the seat, each figure −180 to 360°.</param>
    /// <param name="rampGuardDeg">0 to 180°.</param>
    /// <param name="furtherLifts">More lift intervals, by kind, local degrees.</param>
    /// <param name="pastTdcDeg">Each cylinder's own stop lies this far past its TDC.</param>
    /// <param name="gear">How a cylinder shows that its valves are free; null for the usual two rockers.</param>
    /// <exception cref="BadInputException">Timing or guard outside their range, or a valve open for the whole cycle.</exception>
    public static TurningEngine FourStroke(FiringOrder order, ValveTiming timing, double rampGuardDeg = ValveTiming.DefaultRampGuardDeg, IReadOnlyList<(LashKind Kind, double From, double To)>? furtherLifts = null, double pastTdcDeg = 0, CylinderGear? gear = null)
    {
        Guard(rampGuardDeg);
        Event(timing.IvoBtdc, "ivoBtdc");
        Event(timing.IvcAbdc, "ivcAbdc");
        Event(timing.EvoBbdc, "evoBbdc");
        Event(timing.EvcAtdc, "evcAtdc");
        return new TurningEngine(order, Lifts, rampGuardDeg) { PastTdcDeg = pastTdcDeg, Gear = gear ?? CylinderGear.Usual };

        IEnumerable<(LashKind, double, double)> Lifts(double guard)
        {
            yield return (LashKind.Exhaust, 180 - timing.EvoBbdc - guard, 360 + timing.EvcAtdc + guard);
            yield return (LashKind.Intake, 360 - timing.IvoBtdc - guard, 540 + timing.IvcAbdc + guard);
            foreach (var lift in furtherLifts ?? []) yield return (lift.Kind, lift.From - guard, lift.To + guard);
        }
    }

    /// <summary>A two-stroke uniflow: exhaust and injector points only.</summary>
    /// <exception cref="BadInputException">Timing or guard outside their range, or a valve open for the whole cycle.</exception>
    public static TurningEngine Uniflow(FiringOrder order, UniflowTiming timing, double rampGuardDeg = ValveTiming.DefaultRampGuardDeg, CylinderGear? gear = null)
    {
        Guard(rampGuardDeg);
        Event(timing.EvoAtdc, "evoAtdc");
        Event(timing.EvcAtdc, "evcAtdc");
        Event(timing.InjectorFrom, "injectorFromAtdc");
        Event(timing.InjectorTo, "injectorToAtdc");
        return new TurningEngine(order, Lifts, rampGuardDeg) { Gear = gear ?? CylinderGear.Usual };

        IEnumerable<(LashKind, double, double)> Lifts(double guard)
        {
            yield return (LashKind.Exhaust, timing.EvoAtdc - guard, timing.EvcAtdc + guard);
            yield return (LashKind.Injector, timing.InjectorFrom - guard, timing.InjectorTo + guard);
        }
    }

    /// <summary>Whether this kind has a computed position, or only the book can place it.</summary>
    public bool Places(LashKind kind) => guarded.ContainsKey(kind);

    /// <summary>The stretches in which this kind is open, ramp guard included, local degrees. Null where only the book places it.</summary>
    public OpenArcs? Guarded(LashKind kind) => guarded.GetValueOrDefault(kind);

    /// <summary>The same without the guard: outside it a point is loose for certain.</summary>
    public OpenArcs? Unguarded(LashKind kind) => unguarded.GetValueOrDefault(kind);

    /// <summary>A position of the crank on this engine, given in degrees of −7200 to 7200.</summary>
    /// <exception cref="BadInputException">Field <paramref name="field"/>: outside the range.</exception>
    public CrankAngle At(double degrees, string field = "crankDeg") => CrankAngle.Of(degrees, Order.Cycle, field);

    /// <summary>The position as one cylinder sees it: 0 at its own TDC compression.</summary>
    public CrankAngle Local(CrankAngle crank, int cylinder) => crank.After(-Order.FiresAt(cylinder).Degrees);

    /// <summary>Degrees to the nearest edge of the point's guarded lift: positive clear, negative open. Null where only the book places it.</summary>
    public double? Margin(CrankAngle crank, LashRef point) => Guarded(point.Kind)?.Margin(Local(crank, point.Cylinder));

    /// <summary>The cylinder exactly at TDC compression here, or null.</summary>
    public int? CompressionAt(CrankAngle crank) => CylinderAt(crank);

    /// <summary>The cylinder whose own stop this is: at TDC compression, or the set way past it; null where it is nobody's.</summary>
    public int? StopOf(CrankAngle crank) => CylinderAt(crank.After(-PastTdcDeg));

    /// <summary>The cylinder whose valves are on overlap here: 360° from its own compression, within 1e-6°. Null where none is, and on a two-stroke, which has no overlap.</summary>
    public int? RockingAt(CrankAngle crank) => Order.Cycle == EngineCycle.TwoStroke ? null : CylinderAt(crank.After(360));

    /// <summary>Every TDC mark that comes up in one cycle: each cylinder's firing angle and 360° from it; ascending, each once.</summary>
    public IReadOnlyList<CrankAngle> TdcMarks => tdcMarks ??= FindTdcMarks();

    private List<CrankAngle> FindTdcMarks()
    {
        var marks = new List<CrankAngle>();
        foreach (var cylinder in Order.Cylinders)
        {
            foreach (var mark in (CrankAngle[])[Order.FiresAt(cylinder), Order.FiresAt(cylinder).After(360)])
                if (!marks.Exists(known => known.IsAt(mark))) marks.Add(mark);
        }
        return [.. marks.OrderBy(m => m.Degrees)];
    }

    private int? CylinderAt(CrankAngle crank)
    {
        foreach (var cylinder in Order.Cylinders)
            if (crank.IsAt(Order.FiresAt(cylinder))) return cylinder;
        return null;
    }

    private static void Guard(double guard) => Require.InRange(guard, 0, 180, "rampGuardDeg", "The ramp guard", "degrees");

    private static void Event(double degrees, string field) =>
        Require.InRange(degrees, -180, 360, "valveTiming." + field, "A valve event", "degrees");
}
