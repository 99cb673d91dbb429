using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Setting;

namespace ZeroDrift.Contract.Calls;

/// <summary>What to do to a point, worked out.</summary>
public static class SettingCalls
{
    public static ScrewResponse Screw(ScrewRequest request)
    {
        var turn = ScrewTurn.Between(
            Given.Clearance(request.MeasuredMm, "measuredMm", "The measured clearance"),
            Given.Clearance(request.TargetMm, "targetMm", "The target clearance"),
            Given.Number(request.PitchMm, "pitchMm", "the screw's pitch in mm"),
            request.ClearancePerTravel ?? 1,
            request.ClockwiseCloses ?? true);
        return new ScrewResponse(turn.Turns, turn.Turns.Degrees, turn.Direction, turn.Sixteenths, turn.DegreesFirst, TurnWords.Say(turn.Turns));
    }

    public static MidLiftResponse MidLift(MidLiftRequest request)
    {
        if (request is { ValveLiftMm: not null, ValveLiftIn: not null }) throw new BadInputException("valveLiftIn", "Give the valve lift in mm or in inches; one of the two.");
        if (request is { PitchMm: not null, ThreadsPerInch: not null }) throw new BadInputException("threadsPerInch", "Give the pitch in mm or the threads to the inch; one of the two.");
        var lift = Mm(request.ValveLiftIn) ?? Given.Number(request.ValveLiftMm, "valveLiftMm", "the valve lift in mm, or valveLiftIn in inches");
        var thread = request.ThreadsPerInch is { } threads ? Inch / Require.Above(threads, 0, 200, "threadsPerInch", "The threads to the inch") : Given.Number(request.PitchMm, "pitchMm", "the stud's pitch in mm, or threadsPerInch");
        var inches = request.ValveLiftIn is not null || request.ThreadsPerInch is not null;
        var squared = SquaredRocker.Of(lift, thread, inches);
        var rod = Mm(request.TrialRodIn) ?? request.TrialRodMm;
        var series = request.SeriesIn?.Select(s => s * Inch).ToList() ?? (IReadOnlyList<double>?)request.SeriesMm;
        var order = rod is { } trial && series is not null ? squared.Order(trial, series) : (double?)null;
        return new MidLiftResponse(squared.Turns, squared.LengthMm, squared.LengthMm / Inch, squared.Steps, order, order / Inch, order - rod);

        static double? Mm(double? inch) => inch * Inch;
    }

    private const double Inch = 25.4;

    public static PushrodLength PushrodLength(PushrodLengthRequest request)
    {
        var start = request.Start ?? throw new BadInputException("start", "Say how the point stands: play, zeroLash or pressed.");
        var goal = request.Goal ?? throw new BadInputException("goal", "Say what it should end at: plunger or clearance.");
        var ratio = start == PushrodStart.Play || goal == PushrodGoal.Clearance ? Given.Number(request.RockerRatio, "rockerRatio", "the rocker ratio") : 1;
        var back = start != PushrodStart.Pressed
            ? 0
            : Turns.Of(Given.Number(request.TurnsBack, "turnsBack", "the turns back to zero lash"), "turnsBack", "The turns back to zero lash")
                * Require.Above(Given.Number(request.PitchMm, "pitchMm", "the screw's pitch in mm"), 0, 10, "pitchMm", "The thread pitch", "mm")
                * Require.Above(request.ScrewRatio ?? 1, 0, 10, "screwRatio", "The movement of the pushrod's end per screw travel");
        var pressed = Core.Setting.PushrodLength.Pressed(start, start == PushrodStart.Play ? Given.Number(request.PlayMm, "playMm", "the play at the valve in mm") : 0, back, ratio);
        return goal == PushrodGoal.Plunger
            ? Core.Setting.PushrodLength.ToPlunger(pressed, Given.Number(request.TravelMm, "travelMm", "the plunger travel in mm"), request.Fraction ?? 0.5)
            : Core.Setting.PushrodLength.ToClearance(pressed, Given.Number(request.ClearanceMm, "clearanceMm", "the clearance wanted in mm"), ratio);
    }

    public static CreepResponse Creep(CreepRequest request)
    {
        var pairs = Given.List(request.Pairs, "pairs", "your own readings before and after locking", 1000);
        var byTurns = pairs.All(p => p.BeforeMm is null);
        var creep = byTurns
            ? LocknutCreep.FromTurns(
                [.. pairs.Select((p, i) => (Gap(p.FoundMm, i, "foundMm"), At(p.OpeningTurns, i, "openingTurns"), Gap(p.AfterMm, i, "afterMm")))],
                Given.Number(request.PitchMm, "pitchMm", "the screw's pitch in mm"),
                request.ClearancePerTravel ?? 1)
            : LocknutCreep.FromPairs([.. pairs.Select((p, i) => (Gap(p.BeforeMm, i, "beforeMm"), Gap(p.AfterMm, i, "afterMm")))]);
        if (!creep.IsTold)
            return new CreepResponse(null, pairs.Count, null, $"Not enough history: {pairs.Count} of {LocknutCreep.FewestPairs} pairs. Set to the figure and measure after locking.");
        double? aim = request.TargetMm is { } target ? creep.AimBeforeLock(Clearance.OfMm(target, "targetMm", "The target clearance")) : null;
        return new CreepResponse(creep.CreepMm, creep.Pairs, aim, aim is null
            ? FormattableString.Invariant($"Your locknut changes the gap by {creep.CreepMm:+0.000;-0.000;0.000} mm.")
            : FormattableString.Invariant($"Leave {aim:0.000} mm before locking to land on {request.TargetMm:0.000}."));
    }

    public static ShimChoice Shim(ShimRequest request) => ShimChoice.From(
        Given.Clearance(request.MeasuredMm, "measuredMm", "The measured clearance"),
        Given.Clearance(request.TargetMm, "targetMm", "The target clearance"),
        MeasuringCalls.WindowOf(request.MinMm, request.MaxMm),
        Given.Number(request.CurrentShimMm, "currentShimMm", "the thickness of the shim fitted now, in mm by micrometer"),
        request.SizesMm,
        request.ShimPerClearance ?? 1);

    public static ShimMark Mark(ShimMarkRequest request) => ShimMark.Read(Given.Text(request.Written, "written", "the thickness as it is marked or called", 40), request.SizesMm ?? [], request.Unit is { } unit ? Core.Lengths.Length.ParseUnit(unit) : Core.Lengths.LengthUnit.Millimetre, request.Marks);

    public static TurnsResponse Preload(PreloadRequest request) => new(request.TravelTurns is { } turns
        ? LifterPreload.FromTurns(Turns.Of(turns, "travelTurns", "The plunger travel"), request.Fraction ?? 0.5)
        : LifterPreload.FromTravel(
            Given.Number(request.TravelMm, "travelTurns", "the plunger travel in turns, or travelMm with pitchMm"),
            Given.Number(request.PitchMm, "pitchMm", "the screw's pitch in mm"),
            request.ClearancePerTravel ?? 1,
            request.Fraction ?? 0.5));

    private static Clearance Gap(double? value, int index, string name) => Clearance.OfMm(At(value, index, name), $"pairs[{index}].{name}");

    private static double At(double? value, int index, string name) =>
        value ?? throw new BadInputException($"pairs[{index}].{name}", $"Pair {index + 1} lacks {name}.");
}
