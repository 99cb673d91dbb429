using System.Text.Json.Serialization;
using ZeroDrift.Core.Setting;

namespace ZeroDrift.Contract.Calls;

public sealed record TurnResponse(double Turns, double Degrees, ScrewDirection? Direction, int Sixteenths)
{
    public static TurnResponse? Of(ScrewTurn? turn) => turn is null ? null : new(turn.Turns, turn.Turns.Degrees, turn.Direction, turn.Sixteenths);
}

public sealed record ShimRangeResponse(double ExactMm, double MayFrom, double MayTo, double? SurelyFrom, double? SurelyTo, double? ChoiceMm, IReadOnlyList<double> AlternativesMm)
{
    public static ShimRangeResponse? Of(ShimRange? s) => s is null ? null : new(s.ExactMm, s.MayFromMm, s.MayToMm, s.SurelyFromMm, s.SurelyToMm, s.ChoiceMm, s.AlternativesMm);
}

/// <summary>Turns, mm or Nm, as the demand has it; the others are left out.</summary>
public sealed record AmountResponse
{
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? Turns { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? Mm { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? Nm { get; init; }

    public static AmountResponse? Of(SetAmount? a) => a is null ? null : new() { Turns = a.Turns, Mm = a.Mm, Nm = a.Nm };
}

public sealed record AdviceResponse(AdviceAction Action, TurnResponse? Turn, ShimRangeResponse? Shim, AmountResponse? Amount, string Sentence)
{
    public static AdviceResponse Of(Advice a) => new(a.Action, TurnResponse.Of(a.Turn), ShimRangeResponse.Of(a.Shim), AmountResponse.Of(a.Amount), a.Sentence);
}
