using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Turning;

namespace ZeroDrift.Contract.Calls;

public static class TurningCalls
{
    public static TurningPlanResponse Plan(TurningPlanRequest request)
    {
        var engine = request.ToEngine();
        return TurningPlanResponse.Of(engine, TurningPlanner.Plan(engine, request.ToPlanRequest()));
    }

    public static PositionResponse Position(PositionRequest request)
    {
        var seen = (request.Observations ?? []).Select((o, i) => o is null
            ? throw new BadInputException($"observations[{i}]", "Name the cylinder, the kind and what is seen.")
            : new ValveObservation(new PointRequest(o.Cylinder, o.Kind).ToRef($"observations[{i}]"), o.State ?? throw new BadInputException($"observations[{i}].state", "Say how the valve is: loose, open or moving."))).ToList();
        var position = CrankPosition.From(request.ToEngine(), seen, request.OnTdcMark ?? false);
        return new PositionResponse([.. position.Candidates.Select(c => new PositionCandidateResponse(c.FromDeg, c.ToDeg, c.CompressionCylinder, c.RockingCylinder))], position.Contradiction);
    }

    public static LobeAwayResponse LobeAway(LobeAwayRequest request)
    {
        var kinds = request.Kinds ?? (request.Cycle == EngineCycle.TwoStroke ? [LashKind.Exhaust] : [LashKind.Intake, LashKind.Exhaust]);
        var engine = request.ToEngine();
        CrankAngle? stands = request.CrankDeg is { } deg ? engine.At(deg) : null;
        var arcs = MeasuringArc.For(engine, kinds, stands)
            .Select(a => new MeasuringArcResponse(a.Point.Cylinder, a.Point.Kind, a.FromDeg, a.ToDeg, a.MarginDeg, a.MarginDeg is null ? null : a.MarginDeg > 0)).ToList();
        if (request.LeastMarginDeg is { } least && !(least >= 0)) throw new BadInputException("leastMarginDeg", "The least margin must be 0 or more.");
        if (stands is not { } crank) return new LobeAwayResponse(arcs, [], null);
        var left = request.Left is null
            ? [.. from cylinder in engine.Order.Cylinders.Order() from kind in kinds.Distinct().Order() select new LashRef(cylinder, kind)]
            : request.Left.Select((p, i) => p?.ToRef($"left[{i}]") ?? throw new BadInputException($"left[{i}]", "Name the point's cylinder and kind.")).ToList();
        if (left.Count > 500) throw new BadInputException("left", "At most 500 points are taken.");
        var away = Core.Turning.LobeAway.From(engine, crank, left, request.LeastMarginDeg ?? Core.Turning.LobeAway.DefaultLeastMarginDeg);
        return new LobeAwayResponse(arcs, Clear(away.Here), away.Next is null ? null : new NextClearResponse(away.Next.CrankDeg, away.Next.TurnDeg, Clear(away.Next.Points)));

        static IReadOnlyList<ClearPointResponse> Clear(IReadOnlyList<ClearPoint> points) => [.. points.Select(p => new ClearPointResponse(p.Point.Cylinder, p.Point.Kind, p.MarginDeg))];
    }

    public static PistonTravelResponse Travel(PistonTravelRequest request)
    {
        var stroke = Given.Number(request.StrokeMm, "strokeMm", "the stroke in mm");
        var rod = Given.Number(request.RodMm, "rodMm", "the connecting rod's length in mm, centre to centre");
        if (request.TravelMm is { } travel) return new PistonTravelResponse(travel, PistonTravel.ToCrankAngle(stroke, rod, travel));
        var angle = Given.Number(request.CrankDeg, "travelMm", "the piston travel past TDC in mm, or crankDeg");
        return new PistonTravelResponse(PistonTravel.AtCrankAngle(stroke, rod, angle), angle);
    }

    public static RimResponse Rim(RimRequest request)
    {
        var diameter = Given.Number(request.DiameterMm, "diameterMm", "the pulley's diameter in mm");
        if (request.DistanceMm is { } distance) return new RimResponse(RimDistance.ToAngle(diameter, distance), distance);
        var degrees = Given.Number(request.Degrees, "degrees", "the angle in degrees, or distanceMm");
        return new RimResponse(degrees, RimDistance.ForAngle(diameter, degrees));
    }
}
