using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Wear;

/// <summary>
/// Where one lash point heads from whatever figure it is left at: what a fit knows of it in seventeen numbers, so that the question can be asked far
/// from the record. t in 1000 h, ε = exp(−D/150).
/// </summary>
/// <param name="MeanC">Expected change at once, mm.</param>
/// <param name="MeanT">Per t.</param>
/// <param name="MeanE">Per ε.</param>
/// <param name="C">Variance beside the figure's own, mm².</param>
/// <param name="T">Per t.</param>
/// <param name="E">Per ε.</param>
/// <param name="TT">Per t².</param>
/// <param name="TE">Per tε.</param>
/// <param name="EE">Per ε².</param>
/// <param name="FastProbability">The chance that it is a fast valve; </param>
/// <param name="OrdinaryShift">What its rate differs by if it is an ordinary valve, mm per 1000 h.</param>
/// <param name="OrdinaryVariance">What that adds to the rate's variance; may be negative.</param>
/// <param name="FastShift">The same if it is a fast one.</param>
/// <param name="FastVariance">The same.</param>
/// <param name="ChangeProbability">The chance that it has begun to wear another way; nothing in contexts from before this was asked.</param>
/// <param name="ChangedShift">What its rate differs by then, what it will go on faster by in it.</param>
/// <param name="ChangedVariance">What that adds to the rate's variance.</param>
public sealed record FreshAhead(
    double MeanC, double MeanT, double MeanE, double C, double T, double E, double TT, double TE, double EE,
    double FastProbability = 0, double OrdinaryShift = 0, double OrdinaryVariance = 0, double FastShift = 0, double FastVariance = 0,
    double ChangeProbability = 0, double ChangedShift = 0, double ChangedVariance = 0)
{
    /// <summary>A rate and its error, mm per 1000 h, and nothing else.</summary>
    public static FreshAhead Plain(double mmPer1000h, double standardError) => new(0, mmPer1000h, 0, 0, 0, 0, standardError * standardError, 0, 0);

    /// <summary>Its forecast from a figure, known with uncertainty u.</summary>
    public PointAhead LeftAt(string id, Window window, Clearance mm, double uncertaintyMm) => new(
        id,
        window,
        (mm + MeanC, MeanT, MeanE),
        new AheadQuadratic(C + uncertaintyMm * uncertaintyMm, T, E, TT, TE, EE),
        [
            new AheadKind(1 - FastProbability - ChangeProbability, Slope: OrdinaryShift, SlopeVariance: OrdinaryVariance),
            new AheadKind(FastProbability, Slope: FastShift, SlopeVariance: FastVariance),
            new AheadKind(ChangeProbability, Slope: ChangedShift, SlopeVariance: ChangedVariance),
        ]);

    /// <summary>Whether the ends of what a gap may be lead to different answers on leaving it until the next visit: a finer figure is worth its blades.</summary>
    /// <param name="window">Its limits.</param>
    /// <param name="lowerMm">The least it may be, mm.</param>
    /// <param name="upperMm">The most.</param>
    /// <param name="uncertaintyMm">How surely a finer figure would be known, mm, above 0.</param>
    /// <param name="hours">Hours to the next planned visit.</param>
    /// <param name="share">The point's share of the engine's risk.</param>
    public bool IsWorthFiner(Window window, double lowerMm, double upperMm, double uncertaintyMm, double hours, double share)
    {
        var (lower, upper) = (Math.Max(lowerMm, window.MinMm), Math.Min(upperMm, window.MaxMm));
        return upper > lower && Stays(lower) != Stays(upper);

        bool Stays(double mm) => LeftAt("", window, Clearance.Near(mm), uncertaintyMm).Out(hours) <= share;
    }
}
