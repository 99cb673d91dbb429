using ZeroDrift.Core.Judging;

namespace ZeroDrift.Contract.Calls;

public sealed record JudgeResponse(VerdictState? State, bool OnFigure, Because? Because, VerdictState? Side, ReadingResponse Reading, WindowResponse? Window, JudgedAction Action, StackResponse? NextBlade);
