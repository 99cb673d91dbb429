using ZeroDrift.Contract.Calls;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Setting;
using ZeroDrift.Core.Shims;

namespace ZeroDrift.Contract;

/// <summary>Every stateless call, by name.</summary>
public static class AllCalls
{
    /// <summary>In the order of the job.</summary>
    public static IReadOnlyList<Call> List { get; } =
    [
        Call.Of<TurningPlanRequest, TurningPlanResponse>("turning-plan", TurningCalls.Plan),
        Call.Of<PositionRequest, PositionResponse>("position", TurningCalls.Position),
        Call.Of<LobeAwayRequest, LobeAwayResponse>("lobe-away", TurningCalls.LobeAway),
        Call.Of<PistonTravelRequest, PistonTravelResponse>("piston-travel", TurningCalls.Travel),
        Call.Of<RimRequest, RimResponse>("rim", TurningCalls.Rim),
        Call.Of<LengthRequest, LengthResponse>("length", MeasuringCalls.Length),
        Call.Of<ReadingRequest, ReadingResponse>("reading", MeasuringCalls.Reading),
        Call.Of<NextBladeRequest, NextBladeResponse>("next-blade", MeasuringCalls.NextBlade),
        Call.Of<DialRequest, ReadingResponse>("dial", MeasuringCalls.Dial),
        Call.Of<VerdictRequest, VerdictResponse>("verdict", MeasuringCalls.Verdict),
        Call.Of<JudgeRequest, JudgeResponse>("judge", JudgeCall.Judge),
        Call.Of<AdviceRequest, AdviceResponse>("advice", AdviceCall.Advise),
        Call.Of<ScrewRequest, ScrewResponse>("screw", SettingCalls.Screw),
        Call.Of<CreepRequest, CreepResponse>("creep", SettingCalls.Creep),
        Call.Of<MidLiftRequest, MidLiftResponse>("mid-lift", SettingCalls.MidLift),
        Call.Of<PushrodLengthRequest, PushrodLength>("pushrod-length", SettingCalls.PushrodLength),
        Call.Of<ShimRequest, ShimChoice>("shim", SettingCalls.Shim),
        Call.Of<ShimMarkRequest, ShimMark>("shim-mark", SettingCalls.Mark),
        Call.Of<AdjustmentLeftRequest, AdjustmentLeft>("adjustment-left", ShimCalls.Left),
        Call.Of<PreloadRequest, TurnsResponse>("preload", SettingCalls.Preload),
        Call.Of<DriftRequest, DriftResponse>("drift", DriftCalls.Drift),
        Call.Of<ForecastRequest, ForecastResponse>("forecast", DriftCalls.Forecast),
        Call.Of<OutlookRequest, OutlookResponse>("outlook", OutlookCall.Outlook),
        Call.Of<HoursRequest, HoursResponse>("hours", HoursCalls.Hours),
        Call.Of<FoldRequest, FoldResponse>("fold", FoldCall.Fold),
    ];

    /// <summary>The call of a name; null where there is none.</summary>
    public static Call? Find(string name) => List.FirstOrDefault(c => c.Name == name);
}
