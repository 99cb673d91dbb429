using System.Text.Json.Serialization;
using ZeroDrift.Core.Setting;
using ZeroDrift.Core.Shims;

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

/// <summary>What can be done where no size brings a gap into its window.</summary>
public sealed record WayOutResponse(WayOut Way, double ShimMm, double? CutMm, double PredictedMm, string Sentence)
{
    public static IReadOnlyList<WayOutResponse>? Of(NothingFits? nothing) => nothing is null ? null : [.. nothing.Ways.Select(w => new WayOutResponse(w.Way, w.ShimMm, w.CutMm, w.PredictedMm, w.Sentence))];
}

/// <summary>
/// What to do. leaveMm: the gap to leave before the nut is tightened, only of a turn of a screw with a locknut. reason: "nothing nearer" where the shim that is in is as near as any, else
/// null. ways: only where a figure's choice is null for want of a size; leaving it so comes last.
/// </summary>
public sealed record AdviceResponse(AdviceAction Action, TurnResponse? Turn, ShimRangeResponse? Shim, AmountResponse? Amount, double? LeaveMm, string? Reason, IReadOnlyList<WayOutResponse>? Ways, string Sentence)
{
    public static AdviceResponse Of(Advice a) => new(a.Action, TurnResponse.Of(a.Turn), ShimRangeResponse.Of(a.Shim), AmountResponse.Of(a.Amount), a.LeaveMm, a.Reason, WayOutResponse.Of(a.Nothing), a.Sentence);
}
