using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Judging;

namespace ZeroDrift.Core.Shims;

/// <summary>How far a shim job is.</summary>
public enum ShimJobState
{
    /// <summary>Measured; nothing decided.</summary>
    Measured,

    /// <summary>Decided, and something is on order.</summary>
    Ordered,

    /// <summary>Everything lies on its tray.</summary>
    PartsIn,

    /// <summary>The engine is open again.</summary>
    Reopened,

    /// <summary>Every shim is in its place.</summary>
    Fitted,

    /// <summary>Every gap was measured again.</summary>
    MeasuredAgain,

    /// <summary>Signed: the book's clock starts anew.</summary>
    Closed,

    /// <summary>Given up; nothing was fitted by it.</summary>
    Dropped,
}

/// <summary>What happened at the fitting so far.</summary>
/// <param name="Open">The engine is open for it.</param>
/// <param name="ToFit">Shims to be changed.</param>
/// <param name="Fitted">Of those, in their places.</param>
/// <param name="Measured">Of those, measured again.</param>
/// <param name="Closed">Signed, with nothing waiting.</param>
public sealed record ShimFitting(bool Open, int ToFit, int Fitted, int Measured, bool Closed);

/// <summary>A job over two visits: measure, decide, order, come back, fit, measure again, close.</summary>
public static class ShimJob
{
    /// <summary>Shims that stand so far apart in time from their gaps that the engine has worn: a found figure anew is wiser after this, hours run.</summary>
    public const double WiserAfterHours = 10;

    /// <summary>How far it is.</summary>
    public static ShimJobState State(bool decided, bool waits, bool dropped, ShimFitting fitting) => (decided, dropped) switch
    {
        (_, true) => ShimJobState.Dropped,
        (false, _) => ShimJobState.Measured,
        _ when fitting.Closed => ShimJobState.Closed,
        _ when fitting is { Open: true, ToFit: > 0 } && fitting.Measured >= fitting.ToFit => ShimJobState.MeasuredAgain,
        _ when fitting is { Open: true, ToFit: > 0 } && fitting.Fitted >= fitting.ToFit => ShimJobState.Fitted,
        _ when fitting.Open => ShimJobState.Reopened,
        _ => waits ? ShimJobState.Ordered : ShimJobState.PartsIn,
    };

    /// <summary>What to know before an engine runs while its shims are on order (common practice, no source); null where nothing is tight.</summary>
    /// <param name="points">Label, kind, the gap (the most it can be), the window.</param>
    /// <param name="spark">A spark engine.</param>
    public static string? Meanwhile(IReadOnlyList<(string Label, LashKind Kind, double GapMm, Window Window)> points, bool spark)
    {
        var tight = points.Where(p => p.GapMm < p.Window.MinMm - 1e-9).OrderBy(p => p.Kind != LashKind.Exhaust).ThenBy(p => p.GapMm - p.Window.MinMm).ToList();
        if (tight.Count == 0) return null;
        var worst = tight[0];
        var others = tight.Count == 1 ? "" : $" So {(tight.Count == 2 ? "is" : "are")} {string.Join(", ", tight.Skip(1).Select(p => p.Label))}.";
        var found = FormattableString.Invariant($"{worst.Label} is tight: {worst.GapMm:0.00#} of at least {worst.Window.MinMm:0.00#}.{others}");
        return worst.Kind == LashKind.Exhaust
            ? $"{found} A tight exhaust valve does not seat, and burns; hot it closes further."
            : $"{found} A tight intake valve leaks: {(spark ? "it spits back and starts badly" : "it starts badly and smokes")}; hot it closes further.";
    }

    /// <summary>Whether the gaps found at the first visit still tell enough after so many hours run; null where they do.</summary>
    /// <param name="hoursRun">Since they were measured.</param>
    public static string? FindAgain(double hoursRun) => hoursRun < WiserAfterHours ? null
        : FormattableString.Invariant($"It has run {hoursRun:0} h since it was measured: a new found figure at each point is wiser before its shim goes in.");
}
