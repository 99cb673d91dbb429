using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Contract.Calls;


public sealed record TimingRequest
{
    public double? IvoBtdc { get; init; }
    public double? IvcAbdc { get; init; }
    public double? EvoBbdc { get; init; }
    public double? EvcAtdc { get; init; }
    public double? EvoAtdc { get; init; }
    public double? InjectorFromAtdc { get; init; }
    public double? InjectorToAtdc { get; init; }
}

/// <summary>What the turning calculators need to know of an engine.</summary>
public record EngineRequest
{
    public EngineCycle Cycle { get; init; }
    public IReadOnlyList<int>? FiringOrder { get; init; }
    public IReadOnlyList<double>? FiringAnglesDeg { get; init; }
    public TimingRequest? ValveTiming { get; init; }
    public double? RampGuardDeg { get; init; }
    public IReadOnlyList<LashKind>? Kinds { get; init; }

    internal TurningEngine ToEngine()
    {
        var order = Core.Engines.FiringOrder.Of(FiringOrder, Cycle, FiringAnglesDeg);
        var guard = RampGuardDeg ?? Core.Engines.ValveTiming.DefaultRampGuardDeg;
        var t = ValveTiming ?? new TimingRequest();
        if (Cycle == EngineCycle.TwoStroke)
        {
            var d = UniflowTiming.Unknown;
            return TurningEngine.Uniflow(order, new UniflowTiming(t.EvoAtdc ?? d.EvoAtdc, t.EvcAtdc ?? d.EvcAtdc, t.InjectorFromAtdc ?? d.InjectorFrom, t.InjectorToAtdc ?? d.InjectorTo), guard);
        }
        var u = Core.Engines.ValveTiming.Unknown;
        return TurningEngine.FourStroke(order, new ValveTiming(t.IvoBtdc ?? u.IvoBtdc, t.IvcAbdc ?? u.IvcAbdc, t.EvoBbdc ?? u.EvoBbdc, t.EvcAtdc ?? u.EvcAtdc), guard);
    }
}

public sealed record PointRequest(int Cylinder, LashKind? Kind)
{
    public LashRef ToRef(string field) =>
        new(Cylinder, Kind ?? throw new BadInputException(field + ".kind", "Say which kind of point: intake, exhaust, injector or engineBrake."));
}

public sealed record BookStopRequest(double CrankDeg, IReadOnlyList<PointRequest>? Set);

public sealed record TurningPlanRequest : EngineRequest
{
    public TurningMethod Method { get; init; }
    public int? StartCylinder { get; init; }
    public double? CrankNowDeg { get; init; }
    public IReadOnlyList<BookStopRequest?>? BookStops { get; init; }

    internal TurningRequest ToPlanRequest() => new(Method, Kinds, StartCylinder, BookStops?.Select(Stop).ToList(), CrankNowDeg is { } now ? CrankAngle.Of(now, Cycle, "crankNowDeg") : null);

    private BookStop Stop(BookStopRequest? stop, int index) => stop is null
        ? throw new BadInputException($"bookStops[{index}]", "Give the stop's crank angle and its points.")
        : new BookStop(CrankAngle.Of(stop.CrankDeg, Cycle, $"bookStops[{index}].crankDeg", "A crank angle"), [.. (stop.Set ?? []).Select((p, k) => p?.ToRef($"bookStops[{index}].set[{k}]") ?? throw new BadInputException($"bookStops[{index}].set[{k}]", "Name the point's cylinder and kind."))]);
}

public sealed record PlacedPointResponse(int Cylinder, LashKind Kind, double? MarginDeg, double? RoomBackDeg, double? RoomForwardDeg);

public sealed record StopResponse(double CrankDeg, double TurnFromPreviousDeg, int? CompressionCylinder, int? RockingCylinder, string Sign, IReadOnlyList<PlacedPointResponse> Set);

public sealed record UnplacedPointResponse(int Cylinder, LashKind Kind, double? MarginDeg, string Reason);

public sealed record OpenArcResponse(int Cylinder, LashKind Kind, double FromDeg, double ToDeg);

public sealed record TurningPlanResponse(IReadOnlyList<StopResponse> Stops, IReadOnlyList<UnplacedPointResponse> CannotSet, IReadOnlyList<OpenArcResponse> OpenArcs, double CycleDeg)
{
    public static TurningPlanResponse Of(TurningEngine engine, TurningPlan plan) => new(
        [.. plan.Stops.Select(Stop)],
        [.. plan.CannotSet.Select(p => new UnplacedPointResponse(p.Point.Cylinder, p.Point.Kind, p.MarginDeg, p.Reason))],
        [.. from cylinder in engine.Order.Cylinders.Order()
            from kind in Enum.GetValues<LashKind>()
            where engine.Places(kind)
            from arc in engine.Guarded(kind)!.Arcs
            let start = engine.Order.FiresAt(cylinder).After(arc.From)
            select new OpenArcResponse(cylinder, kind, start, start + arc.Length)],
        engine.Cycle);

    private static StopResponse Stop(TurningStop s) => new(s.CrankDeg, s.TurnFromPreviousDeg, s.CompressionCylinder, s.RockingCylinder, s.Sign,
        [.. s.Set.Select(p => new PlacedPointResponse(p.Point.Cylinder, p.Point.Kind, p.MarginDeg, p.RoomBackDeg, p.RoomForwardDeg))]);
}

public sealed record ObservationRequest(int Cylinder, LashKind? Kind, ValveState? State);

public sealed record PositionRequest : EngineRequest
{
    public IReadOnlyList<ObservationRequest?>? Observations { get; init; }
    public bool? OnTdcMark { get; init; }
}

public sealed record PositionCandidateResponse(double FromDeg, double ToDeg, int? CompressionCylinder, int? RockingCylinder);

public sealed record PositionResponse(IReadOnlyList<PositionCandidateResponse> Candidates, string? Contradiction);

public sealed record LobeAwayRequest : EngineRequest
{
    public double? CrankDeg { get; init; }
    public double? LeastMarginDeg { get; init; }
    public IReadOnlyList<PointRequest?>? Left { get; init; }
}

public sealed record MeasuringArcResponse(int Cylinder, LashKind Kind, double FromDeg, double ToDeg, double? MarginDeg, bool? MeasurableNow);

public sealed record ClearPointResponse(int Cylinder, LashKind Kind, double MarginDeg);

public sealed record NextClearResponse(double CrankDeg, double TurnDeg, IReadOnlyList<ClearPointResponse> Points);

public sealed record LobeAwayResponse(IReadOnlyList<MeasuringArcResponse> Arcs, IReadOnlyList<ClearPointResponse> Here, NextClearResponse? Next);

public sealed record PistonTravelRequest(double? StrokeMm, double? RodMm, double? TravelMm, double? CrankDeg);

public sealed record PistonTravelResponse(double TravelMm, double CrankDeg);

public sealed record RimRequest(double? DiameterMm, double? Degrees, double? DistanceMm);

public sealed record RimResponse(double Degrees, double DistanceMm);
