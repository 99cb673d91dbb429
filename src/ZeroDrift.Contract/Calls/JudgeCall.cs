using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Contract.Calls;

/// <summary>A reading against a demand, as a mechanic judges.</summary>
public static class JudgeCall
{
    public static JudgeResponse Judge(JudgeRequest request)
    {
        var trials = Trials(request.Trials);
        var feel = request.FeelSdMm ?? Reading.DefaultFeelSdMm;
        if ((trials.Count > 0 ? 1 : 0) + (request.FigureMm is null ? 0 : 1) + (request.Dial is null ? 0 : 1) > 1)
            throw new BadInputException(trials.Count > 0 ? "trials" : "dial", "Give blades, a figure or a dial reading; one of the three.");
        var reading = trials.Count > 0 ? Reading.FromBlades(trials, feel)
            : request.FigureMm is { } figure ? Reading.Direct(Clearance.OfMm(figure, "figureMm"), feel)
            : request.Dial is { } dial ? Dial(dial)
            : null;
        var gap = request.Demand is null ? null : Gap(request.Demand, request.Unit);
        var expected = request.Expected is null ? ((double, double)?)null : (
            Given.Number(request.Expected.ClearanceMm, "expected.clearanceMm", "the clearance expected in mm"),
            request.Expected.StandardUncertaintyMm ?? 0.02);
        var known = reading ?? Reading.Nothing;
        var next = NextTry.Of(request.TrayMm ?? [], trials, known, gap, request.Aim, expected, request.School);
        var judged = reading is null ? Judgement.Open(true) : gap is null ? Judgement.Open(next is not null) : Judgement.Of(reading, trials, gap, request.School, next is not null, Given.InRange(request.SameWithinMm, 0, 5, "sameWithinMm", "How near is near enough") ?? Judgement.DefaultSameWithinMm);
        return new JudgeResponse(
            judged.State, judged.OnFigure, judged.Because, judged.Side, MeasuringCalls.Of(known),
            gap is null ? null : new WindowResponse(gap.Window.MinMm, gap.Window.MaxMm, gap.SetMm),
            judged.Action,
            next is null ? null : new StackResponse(next.BladesMm, next.SumMm));
    }

    /// <summary>A window, a single figure with its tolerance, or a go/no-go pair.</summary>
    public static Demand.Gap Gap(DemandRequest demand, string? unit)
    {
        var spoken = unit is null ? LengthUnit.Millimetre : Length.ParseUnit(unit);
        try
        {
            if (demand.FigureMm is { } figure) return Demand.Gap.OfSingleFigure(Clearance.OfMm(figure, "figureMm", "The book's figure"), demand.TightSideMm, demand.LooseSideMm, spoken);
            if (demand.GoMm is not null || demand.NoGoMm is not null)
                return Demand.Gap.OfBlades(Given.Clearance(demand.GoMm, "goMm", "The blade that goes"), Given.Clearance(demand.NoGoMm, "noGoMm", "The blade that does not go"), Clearance.OfMm(demand.SetMm, "setMm", "The figure to set")) with { Unit = spoken };
            return Demand.Gap.OfWindow(
                Window.Of(
                    Given.Number(demand.MinMm, "minMm", "the window's lower limit in mm, or a figureMm, or a goMm and noGoMm"),
                    Given.Number(demand.MaxMm, "maxMm", "the window's upper limit in mm")),
                Clearance.OfMm(demand.SetMm, "setMm", "The figure to set")) with
            { Unit = spoken };
        }
        catch (BadInputException bad)
        {
            throw bad.Inside("demand");
        }
    }

    private static List<BladeTrial> Trials(IReadOnlyList<TrialRequest?>? given)
    {
        if (given is null || given.Count == 0) return [];
        return [.. Given.List(given, "trials", "the blades you tried and how each felt", 100).Select((t, i) => new BladeTrial(t.BladesMm ?? [], t.Feel ?? throw new BadInputException($"trials[{i}].feel", "Say how the blade felt: free, drag, heavyDrag or noGo.")))];
    }

    private static Reading Dial(DialReadingRequest dial)
    {
        try
        {
            return Reading.FromDial(
                Given.Number(dial.TravelMm, "travelMm", "the dial's travel in mm"),
                Given.Number(dial.Conversion, "conversion", "the engine type's conversion from dial travel to clearance"),
                dial.StandardUncertaintyMm ?? Reading.DefaultDialUncertaintyMm);
        }
        catch (BadInputException bad)
        {
            throw bad.Inside("dial");
        }
    }
}
