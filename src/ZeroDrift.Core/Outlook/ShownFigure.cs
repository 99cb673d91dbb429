using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Outlook;

/// <summary>The one figure a picture of the heads has room for at a point.</summary>
/// <param name="Mm">Millimetres; an expected one may fall below zero.</param>
/// <param name="State">How it stands to the window; null where there is none, or where nothing decides.</param>
/// <param name="IsExpected">Worked out for today. What was found out of its window and not set is shown as found, never as expected.</param>
public sealed record ShownFigure(double Mm, VerdictState? State, bool IsExpected);
