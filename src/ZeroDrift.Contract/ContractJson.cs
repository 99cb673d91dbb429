using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using ZeroDrift.Contract.Calls;
using ZeroDrift.Contract.Input;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Drift;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Setting;
using ZeroDrift.Core.Shims;
using ZeroDrift.Core.Turning;
using ZeroDrift.Core.Visits;
using ZeroDrift.Core.Visits.Sheet;

namespace ZeroDrift.Contract;

/// <summary>
/// The JSON of the calls and of visits, source-generated: the same bytes from a server and from a tablet. Metadata alone: with converters of our own
/// the generated writers would only be carried along.
/// </summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata)]
[JsonSerializable(typeof(TurningPlanRequest))]
[JsonSerializable(typeof(TurningPlanResponse))]
[JsonSerializable(typeof(PositionRequest))]
[JsonSerializable(typeof(PositionResponse))]
[JsonSerializable(typeof(LobeAwayRequest))]
[JsonSerializable(typeof(LobeAwayResponse))]
[JsonSerializable(typeof(PistonTravelRequest))]
[JsonSerializable(typeof(PistonTravelResponse))]
[JsonSerializable(typeof(RimRequest))]
[JsonSerializable(typeof(RimResponse))]
[JsonSerializable(typeof(LengthRequest))]
[JsonSerializable(typeof(LengthResponse))]
[JsonSerializable(typeof(ReadingRequest))]
[JsonSerializable(typeof(ReadingResponse))]
[JsonSerializable(typeof(NextBladeRequest))]
[JsonSerializable(typeof(NextBladeResponse))]
[JsonSerializable(typeof(DialRequest))]
[JsonSerializable(typeof(VerdictRequest))]
[JsonSerializable(typeof(VerdictResponse))]
[JsonSerializable(typeof(JudgeRequest))]
[JsonSerializable(typeof(JudgeResponse))]
[JsonSerializable(typeof(AdviceRequest))]
[JsonSerializable(typeof(AdviceResponse))]
[JsonSerializable(typeof(ScrewRequest))]
[JsonSerializable(typeof(ScrewResponse))]
[JsonSerializable(typeof(CreepRequest))]
[JsonSerializable(typeof(CreepResponse))]
[JsonSerializable(typeof(MidLiftRequest))]
[JsonSerializable(typeof(MidLiftResponse))]
[JsonSerializable(typeof(TurnsResponse))]
[JsonSerializable(typeof(PushrodLengthRequest))]
[JsonSerializable(typeof(PushrodLength))]
[JsonSerializable(typeof(AdjustmentLeftRequest))]
[JsonSerializable(typeof(AdjustmentLeft))]
[JsonSerializable(typeof(ShimRequest))]
[JsonSerializable(typeof(ShimChoice))]
[JsonSerializable(typeof(ShimMarkRequest))]
[JsonSerializable(typeof(ShimMark))]
[JsonSerializable(typeof(PreloadRequest))]
[JsonSerializable(typeof(DriftRequest))]
[JsonSerializable(typeof(DriftResponse))]
[JsonSerializable(typeof(ForecastRequest))]
[JsonSerializable(typeof(ForecastResponse))]
[JsonSerializable(typeof(OutlookRequest))]
[JsonSerializable(typeof(OutlookResponse))]
[JsonSerializable(typeof(HoursRequest))]
[JsonSerializable(typeof(HoursResponse))]
[JsonSerializable(typeof(Problem))]
[JsonSerializable(typeof(VisitRecord))]
[JsonSerializable(typeof(ContextRecord))]
[JsonSerializable(typeof(FoldRequest))]
[JsonSerializable(typeof(FoldResponse))]
[JsonSerializable(typeof(JsonObject))]
public sealed partial class ContractJson : JsonSerializerContext
{
    /// <summary>The one set of options: camelCase, words for enumerations, strict numbers, ten digits.</summary>
    public static JsonSerializerOptions Rules { get; } = Apply(new JsonSerializerOptions(JsonSerializerDefaults.Web) { TypeInfoResolver = new ContractJson() });

    /// <summary>Puts the contract's converters and rules onto other options.</summary>
    public static JsonSerializerOptions Apply(JsonSerializerOptions options)
    {
        options.NumberHandling = JsonNumberHandling.Strict;
        options.MaxDepth = 32;
        // Names of engines and people stay readable; what is served is never put into a page as markup.
        options.Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping;
        options.Converters.Add(new TenDigits());
        foreach (var converter in Enumerations) options.Converters.Add(converter);
        return options;
    }

    private static IEnumerable<JsonConverter> Enumerations =>
    [
        Word<EngineCycle>(), Word<LashKind>(), Word<TurningMethod>(), Word<ValveState>(), Word<Feel>(), Word<VerdictState>(), Word<Because>(), Word<JudgedAction>(),
        Word<JudgingSchool>(), Word<MeasuringAim>(), Word<AdjusterWord>(), Word<AdjusterKind>(), Word<DemandWord>(), Word<ShimAccess>(), Word<Core.Shims.ShimOrigin>(), Word<AdviceAction>(), Word<AttemptStage>(), Word<WayOut>(), Word<ScrewDirection>(), Word<LimitSide>(), Word<OutlookStage>(),
        Word<JobKind>(), Word<CoursePart>(), Word<MeasuringAsk>(), Word<VisitPlace>(), Word<NutState>(), Word<MachineProperty>(), Word<VisitState>(), Word<NextDo>(), Word<PointOutcome>(), Word<SpecCondition>(), Word<StepList>(), Word<Counting>(), Word<MachineKind>(), Word<ReadingStage>(),
        Word<SettingOrder>(), Word<PointOrder>(), Word<SettingManner>(), Word<MeasuringMeans>(), Word<FigureSource>(), Word<CrankEnd>(), Word<ProofKind>(), Word<StartState>(), Word<PushrodStart>(), Word<ShimEnd>(), Word<PushrodGoal>(), Word<ShimKnownBy>(), Word<BookLetters>(), Word<KitSort>(), Word<ValveGear>(),
    ];

    private static JsonStringEnumConverter<T> Word<T>() where T : struct, Enum => new(JsonNamingPolicy.CamelCase, allowIntegerValues: false);

    internal static JsonTypeInfo<T> TypeInfo<T>() => (JsonTypeInfo<T>)Rules.GetTypeInfo(typeof(T));
}
