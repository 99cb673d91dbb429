using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Setting;

namespace ZeroDrift.Contract.Calls;

/// <summary>What to do to a point: adjuster, demand and reading.</summary>
public static class AdviceCall
{
    private const int MostAttempts = 100;

    public static AdviceResponse Advise(AdviceRequest request)
    {
        var adjuster = request.Adjuster ?? throw new BadInputException("adjuster", "Say what sets the point: screw, eccentric, shim, hydraulic, injectorScrew or brakeScrew.");
        var demand = request.Demand ?? throw new BadInputException("demand", "Say what the book asks: gap, zero, preload, height or torque.");
        if (request is { Reading: not null, Attempts: not null }) throw new BadInputException("attempts", "Give one reading, or the attempts from the first on; not both.");
        return AdviceResponse.Of(Advice.For(Adjuster(adjuster), Demand(demand, request.Unit), Attempts(request), new AdviceFacts
        {
            FittedShimMm = adjuster.FittedMm is { } fitted ? Given.Above(fitted, 0, 25, "adjuster.fittedMm", "The shim fitted now", "mm") : null,
            Creep = request.Creep is { } creep ? Creep(creep) : null,
            Unit = request.Unit is { } unit ? Length.ParseUnit(unit) : LengthUnit.Millimetre,
        }));
    }

    private static IReadOnlyList<Attempt> Attempts(AdviceRequest request)
    {
        if (request.Attempts is not { } attempts) return Reading(request.Reading, "reading") is { } reading ? [new Attempt(AttemptStage.AsFound, reading)] : [];
        if (attempts.Count > MostAttempts) throw new BadInputException("attempts", $"At most {MostAttempts} attempts are taken; {attempts.Count} were given.");
        var given = new List<Attempt>();
        for (var i = 0; i < attempts.Count; i++)
        {
            var stage = attempts[i]?.Stage ?? throw new BadInputException($"attempts[{i}].stage", "Say when it was measured: asFound, beforeLock or locked.");
            if (Reading(attempts[i]!.Reading, $"attempts[{i}].reading") is { } known) given.Add(new Attempt(stage, known));
        }
        return given;
    }

    private static LocknutCreep Creep(LearnedCreepRequest creep) => new(
        Given.InRange(creep.MeanMm ?? throw new BadInputException("creep.meanMm", "Give the mean of what locking takes of the gap, mm."), -25, 25, "creep.meanMm", "What locking takes of the gap")!.Value,
        Given.InRange(creep.SdMm ?? 0, 0, 25, "creep.sdMm", "The scatter of the locks")!.Value,
        creep.N is >= 0 ? creep.N.Value : throw new BadInputException("creep.n", "Say how many locks it was learned from: a whole number from 0."));

    /// <summary>The adjuster asked about. Who asks for a turn gives a pitch; a type whose pitch nobody knows has none.</summary>
    public static Adjuster Adjuster(AdjusterRequest a, bool pitchMayBeUnknown = false)
    {
        double? Pitch() => a.PitchMm is null && pitchMayBeUnknown ? null : Given.Above(Given.Number(a.PitchMm, "adjuster.pitchMm", "the screw's pitch in mm"), 0, 10, "adjuster.pitchMm", "The thread pitch", "mm");
        double PerTravel() => Given.Above(a.ClearancePerTravel ?? 1, 0, 10, "adjuster.clearancePerTravel", "The clearance per screw travel");
        return a.Kind switch
        {
            AdjusterWord.Screw => new Adjuster.Screw(ScrewPlace.Valve, Pitch(), PerTravel(), a.ClockwiseCloses ?? true, a.SelfLocking ?? false),
            AdjusterWord.Eccentric => new Adjuster.Eccentric(),
            AdjusterWord.Shim => new Adjuster.Shim(a.Access ?? ShimAccess.OnTop, Sizes(a.SizesMm), Given.Above(a.ShimPerClearance ?? 1, 0, 10, "adjuster.shimPerClearance", "The shim travel per clearance")),
            AdjusterWord.Hydraulic => new Adjuster.Hydraulic(a.TravelTurns is { } t ? Turns.Of(Given.Above(t, 0, 100, "adjuster.travelTurns", "The plunger travel", "turns")) : null, a.SelfLocking ?? false),
            AdjusterWord.InjectorScrew => new Adjuster.InjectorScrew(a.PitchMm),
            AdjusterWord.BrakeScrew => new Adjuster.BrakeScrew(Pitch(), PerTravel(), a.ClockwiseCloses ?? true),
            _ => throw new BadInputException("adjuster.kind", "Say what sets the point: screw, eccentric, shim, hydraulic, injectorScrew or brakeScrew."),
        };
    }

    private static IReadOnlyList<double> Sizes(IReadOnlyList<double>? sizes)
    {
        if (sizes is null) return [];
        if (sizes.Count > 1000) throw new BadInputException("adjuster.sizesMm", $"At most 1000 sizes are taken; {sizes.Count} were given.");
        for (var i = 0; i < sizes.Count; i++) Given.Above(sizes[i], 0, 25, $"adjuster.sizesMm[{i}]", "A shim size", "mm");
        return sizes;
    }

    public static Demand Demand(AdviceDemandRequest d, string? unit) => d.Kind switch
    {
        DemandWord.Gap => JudgeCall.Gap(new DemandRequest(d.MinMm, d.MaxMm, d.SetMm, d.FigureMm, d.TightSideMm, d.LooseSideMm, d.GoMm, d.NoGoMm), unit),
        DemandWord.Zero => new Demand.Zero(),
        DemandWord.Preload => Core.Judging.Demand.Preload.Of(Turns.Of(d.Turns, "demand.turns", "The preload"), d.Fraction),
        DemandWord.Height => new Demand.Height(Given.Above(Given.Number(d.Mm, "demand.mm", "the book's height in mm"), 0, 500, "demand.mm", "The height", "mm")),
        DemandWord.Torque => new Demand.Torque(Given.Above(Given.Number(d.Nm, "demand.nm", "the book's torque in Nm"), 0, 1000, "demand.nm", "The torque", "Nm")),
        _ => throw new BadInputException("demand.kind", "Say what the book asks: gap, zero, preload, height or torque."),
    };

    private static Reading? Reading(AdviceReadingRequest? r, string field)
    {
        if (r is null or { EstimateMm: null, LowerMm: null, UpperMm: null }) return null;
        var known = MeasuringCalls.Known(r.LowerMm, r.UpperMm, r.EstimateMm, field + ".");
        return r.LowerMm > r.UpperMm ? throw new BadInputException(field + ".lowerMm", "The lower bound is above the upper bound.") : known;
    }
}
