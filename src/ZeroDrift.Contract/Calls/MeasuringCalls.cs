using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;

namespace ZeroDrift.Contract.Calls;

public static class MeasuringCalls
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
            Known(request.LowerMm, request.UpperMm, request.EstimateMm) with { StandardUncertaintyMm = request.StandardUncertaintyMm },
            WindowOf(request.MinMm, request.MaxMm));
        return new VerdictResponse(verdict.State, verdict.PTight, verdict.PLoose, verdict.DecidingBladeMm);
    }

    public static NextBladeResponse NextBlade(NextBladeRequest request) => new(Core.Judging.NextBlade.Suggest(
        request.TrayMm ?? [],
        Known(request.LowerMm, request.UpperMm, null),
        WindowOf(request.MinMm, request.MaxMm),
        request.ExpectedMm is { } mm ? (mm, request.ExpectedSdMm ?? 0.02) : null));

    public static ReadingResponse Dial(DialRequest request) => Of(Core.Measuring.Reading.FromDial(
        Given.Number(request.TravelMm, "travelMm", "the dial's travel in mm"),
        Given.Number(request.Conversion, "conversion", "the engine type's conversion from dial travel to clearance"),
        request.StandardUncertaintyMm ?? Core.Measuring.Reading.DefaultDialUncertaintyMm));

    public static ReadingResponse Of(Reading reading) => new(reading.LowerMm, reading.UpperMm, reading.EstimateMm, reading.StandardUncertaintyMm);

    /// <summary>What is known of a gap: its bounds and its figure, each a clearance.</summary>
    public static Reading Known(double? lowerMm, double? upperMm, double? estimateMm, string inside = "") => new(
        Clearance.OfMm(lowerMm, inside + "lowerMm", "The lower bound"),
        Clearance.OfMm(upperMm, inside + "upperMm", "The upper bound"),
        Clearance.OfMm(estimateMm, inside + "estimateMm", "The measured clearance"),
        null);

    public static Window WindowOf(double? min, double? max) => Window.Of(
        Given.Number(min, "minMm", "the window's lower limit in mm"),
        Given.Number(max, "maxMm", "the window's upper limit in mm"));
}
