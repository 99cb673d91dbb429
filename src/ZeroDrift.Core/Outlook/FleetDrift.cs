using ZeroDrift.Core.Drift;

namespace ZeroDrift.Core.Outlook;

/// <summary>The one thing to say of an engine when a fleet is counted.</summary>
public enum EngineState
{
    /// <summary>A point was found out of its window and not set.</summary>
    Found,

    /// <summary>Wear takes it out before the book calls.</summary>
    Drifting,

    /// <summary>The book has called already.</summary>
    Overdue,

    /// <summary>Nothing to say.</summary>
    Quiet,

    /// <summary>Never measured on record.</summary>
    Unknown,
}

/// <summary>An engine's rate for one kind of valve: the mean of its valves, with the mean of their variances, for valves of one engine share most of their error.</summary>
/// <param name="MmPer1000h">Mean rate; negative closes.</param>
/// <param name="Variance">Of it.</param>
public readonly record struct EngineRate(double MmPer1000h, double Variance)
{
    /// <summary>From its valves' rates and standard errors; at least one.</summary>
    public static EngineRate Of(IReadOnlyCollection<(double MmPer1000h, double StandardError)> valves) =>
        new(valves.Average(v => v.MmPer1000h), valves.Average(v => v.StandardError * v.StandardError));
}

/// <summary>What the engines of a fleet say together.</summary>
public static class FleetDrift
{
    /// <summary>Nine in ten lie beyond this many standard errors on one side.</summary>
    private const double NineInTen = 1.2816;

    /// <summary>Which state an engine counts under; the gravest first.</summary>
    /// <param name="hasFindings">Something was found out and not set.</param>
    /// <param name="driftsBeforeBook">Drift decides, by what its readings say.</param>
    /// <param name="bookHoursLeft">Engine hours to the book's call; null without one.</param>
    /// <param name="hasFigures">It was measured on record.</param>
    public static EngineState State(bool hasFindings, bool driftsBeforeBook, double? bookHoursLeft, bool hasFigures) =>
        hasFindings ? EngineState.Found
        : driftsBeforeBook ? EngineState.Drifting
        : !hasFigures ? EngineState.Unknown
        : bookHoursLeft <= 0 ? EngineState.Overdue
        : EngineState.Quiet;

    /// <summary>How fast a point surely moves, mm per 1000 h: nine in ten that it is more. Zero or less says nothing; an unsure rate must not lead a list.</summary>
    public static double Surely(double mmPer1000h, double standardError) => Math.Abs(mmPer1000h) - NineInTen * standardError;

    /// <summary>The rate of one use: a random-effects mean of its engines' own; null for fewer than two, which compare nothing.</summary>
    public static RandomEffects? Use(IReadOnlyList<EngineRate> engines) =>
        engines.Count < 2 ? null : RestrictedLikelihood.Fit([.. engines.Select(e => e.MmPer1000h)], [.. engines.Select(e => e.Variance)]);
}
