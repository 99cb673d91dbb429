using ZeroDrift.Core;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Setting;

namespace ZeroDrift.Server.Calculators;

public sealed record TrialRequest(IReadOnlyList<double>? BladesMm, Feel? Feel);

public sealed record ReadingRequest(IReadOnlyList<TrialRequest?>? Trials, double? FeelSdMm);

public sealed record ReadingResponse(double? LowerMm, double? UpperMm, double? EstimateMm, double? StandardUncertaintyMm);

public sealed record VerdictRequest(double? EstimateMm, double? StandardUncertaintyMm, double? LowerMm, double? UpperMm, double? MinMm, double? MaxMm);

public sealed record VerdictResponse(VerdictState State, double? PTight, double? PLoose, double? DecidingBladeMm);

public sealed record NextBladeRequest(IReadOnlyList<double>? TrayMm, double? LowerMm, double? UpperMm, double? MinMm, double? MaxMm, double? ExpectedMm, double? ExpectedSdMm);

public sealed record NextBladeResponse(double? BladeMm);

public sealed record DialRequest(double? TravelMm, double? Conversion, double? StandardUncertaintyMm);

public sealed record ScrewRequest(double? MeasuredMm, double? TargetMm, double? PitchMm, double? ClearancePerTravel, bool? ClockwiseCloses);

public sealed record ScrewResponse(double Turns, double Degrees, ScrewDirection? Direction, int Sixteenths, bool DegreesFirst);

public sealed record MidLiftRequest(double? ValveLiftMm, double? PitchMm);

public sealed record TurnsResponse(double Turns);

public sealed record CreepPairRequest(double? BeforeMm, double? AfterMm, double? FoundMm, double? OpeningTurns);

public sealed record CreepRequest(IReadOnlyList<CreepPairRequest?>? Pairs, double? TargetMm, double? PitchMm, double? ClearancePerTravel);

public sealed record CreepResponse(double? CreepMm, int Pairs, double? AimBeforeLockMm, string Advice);

public sealed record ShimRequest(double? MeasuredMm, double? TargetMm, double? MinMm, double? MaxMm, double? CurrentShimMm, double? ShimPerClearance, IReadOnlyList<double>? SizesMm);

public sealed record PreloadRequest(double? TravelTurns, double? TravelMm, double? PitchMm, double? ClearancePerTravel, double? Fraction);

public sealed record LengthRequest(string? Figure, string? Unit);

public sealed record LengthResponse(string Written, double Millimetres, double Thou);

internal static class MeasuringCalculator
{
    public static LengthResponse Length(LengthRequest request)
    {
        var length = Core.Lengths.Length.Parse(Given.Text(request.Figure, "figure", "a figure, such as 0.20 or 8", 20), request.Unit is null ? null : Core.Lengths.Length.ParseUnit(request.Unit), "figure");
        return new LengthResponse(length.Written, length.Millimetres, length.Thou);
    }

    public static ReadingResponse Reading(ReadingRequest request)
    {
        var trials = Given.List(request.Trials, "trials", "the blades you tried and how each felt", 100);
        return Of(Core.Measuring.Reading.FromBlades([.. trials.Select((t, i) => new BladeTrial(t.BladesMm ?? [], t.Feel ?? throw new BadInputException($"trials[{i}].feel", "Say how the blade felt: free, drag, heavyDrag or noGo.")))], request.FeelSdMm ?? Core.Measuring.Reading.DefaultFeelSdMm));
    }

    public static VerdictResponse Verdict(VerdictRequest request)
    {
        var verdict = Core.Judging.Verdict.Judge(
            new Reading(request.LowerMm, request.UpperMm, request.EstimateMm, request.StandardUncertaintyMm),
            WindowOf(request.MinMm, request.MaxMm));
        return new VerdictResponse(verdict.State, verdict.PTight, verdict.PLoose, verdict.DecidingBladeMm);
    }

    public static NextBladeResponse NextBlade(NextBladeRequest request) => new(Core.Measuring.NextBlade.Suggest(
        request.TrayMm ?? [],
        new Reading(request.LowerMm, request.UpperMm, null, null),
        WindowOf(request.MinMm, request.MaxMm),
        request.ExpectedMm is { } mm ? (mm, request.ExpectedSdMm ?? 0.02) : null));

    public static ReadingResponse Dial(DialRequest request) => Of(Core.Measuring.Reading.FromDial(
        Given.Number(request.TravelMm, "travelMm", "the dial's travel in mm"),
        Given.Number(request.Conversion, "conversion", "the engine type's conversion from dial travel to clearance"),
        request.StandardUncertaintyMm ?? 0.005));

    public static ScrewResponse Screw(ScrewRequest request)
    {
        var turn = ScrewTurn.Between(
            Given.Number(request.MeasuredMm, "measuredMm", "the measured clearance in mm"),
            Given.Number(request.TargetMm, "targetMm", "the clearance to set in mm"),
            Given.Number(request.PitchMm, "pitchMm", "the screw's pitch in mm"),
            request.ClearancePerTravel ?? 1,
            request.ClockwiseCloses ?? true);
        return new ScrewResponse(turn.Turns, turn.Degrees, turn.Direction, turn.Sixteenths, turn.DegreesFirst);
    }

    public static TurnsResponse MidLift(MidLiftRequest request) => new(ScrewTurn.ToMidLift(
        Given.Number(request.ValveLiftMm, "valveLiftMm", "the valve lift in mm"),
        Given.Number(request.PitchMm, "pitchMm", "the screw's pitch in mm")));

    public static CreepResponse Creep(CreepRequest request)
    {
        var pairs = Given.List(request.Pairs, "pairs", "your own readings before and after locking", 1000);
        var byTurns = pairs.All(p => p.BeforeMm is null);
        var creep = byTurns
            ? LocknutCreep.FromTurns(
                [.. pairs.Select((p, i) => (At(p.FoundMm, i, "foundMm"), At(p.OpeningTurns, i, "openingTurns"), At(p.AfterMm, i, "afterMm")))],
                Given.Number(request.PitchMm, "pitchMm", "the screw's pitch in mm"),
                request.ClearancePerTravel ?? 1)
            : LocknutCreep.FromPairs([.. pairs.Select((p, i) => (At(p.BeforeMm, i, "beforeMm"), At(p.AfterMm, i, "afterMm")))]);
        if (creep is null)
            return new CreepResponse(null, pairs.Count, null, $"Not enough history: {pairs.Count} of {LocknutCreep.FewestPairs} pairs. Set to the figure and measure after locking.");
        var aim = request.TargetMm is { } target ? creep.AimBeforeLock(target) : (double?)null;
        return new CreepResponse(creep.CreepMm, creep.Pairs, aim, aim is null
            ? FormattableString.Invariant($"Your locknut changes the gap by {creep.CreepMm:+0.000;-0.000;0.000} mm.")
            : FormattableString.Invariant($"Leave {aim:0.000} mm before locking to land on {request.TargetMm:0.000}."));
    }

    public static ShimChoice Shim(ShimRequest request) => ShimChoice.From(
        Given.Number(request.MeasuredMm, "measuredMm", "the measured clearance in mm"),
        Given.Number(request.TargetMm, "targetMm", "the clearance to set in mm"),
        WindowOf(request.MinMm, request.MaxMm),
        Given.Number(request.CurrentShimMm, "currentShimMm", "the thickness of the shim fitted now, in mm by micrometer"),
        request.SizesMm,
        request.ShimPerClearance ?? 1);

    public static TurnsResponse Preload(PreloadRequest request) => new(request.TravelTurns is { } turns
        ? LifterPreload.FromTurns(turns, request.Fraction ?? 0.5)
        : LifterPreload.FromTravel(
            Given.Number(request.TravelMm, "travelTurns", "the plunger travel in turns, or travelMm with pitchMm"),
            Given.Number(request.PitchMm, "pitchMm", "the screw's pitch in mm"),
            request.ClearancePerTravel ?? 1,
            request.Fraction ?? 0.5));

    internal static ReadingResponse Of(Reading reading) => new(reading.LowerMm, reading.UpperMm, reading.EstimateMm, reading.StandardUncertaintyMm);

    internal static Window WindowOf(double? min, double? max) => Window.Of(
        Given.Number(min, "minMm", "the window's lower limit in mm"),
        Given.Number(max, "maxMm", "the window's upper limit in mm"));

    private static double At(double? value, int index, string name) =>
        value ?? throw new BadInputException($"pairs[{index}].{name}", $"Pair {index + 1} lacks {name}.");
}
