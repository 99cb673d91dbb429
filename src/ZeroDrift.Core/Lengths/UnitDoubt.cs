namespace ZeroDrift.Core.Lengths;

/// <summary>Catches a figure typed in the wrong unit: 0.20 mm as 20 thou, 8 thou as 8 mm.</summary>
public static class UnitDoubt
{
    /// <summary>
    /// The other unit, where <paramref name="figure"/> is at least ten times the largest clearance the spec knows, or a tenth
    /// of the smallest or less, and the same figure in the other unit would be a believable one (a third of the window's
    /// lower to three times its upper limit). Null where there is nothing to ask, or the other unit is no better.
    /// Common practice, no source.
    /// </summary>
    public static LengthUnit? Offer(Length figure, Clearance minMm, Clearance maxMm)
    {
        var millimetres = figure.Millimetres;
        if (millimetres < 10 * maxMm && millimetres > minMm / 10) return null;
        var other = figure.Unit == LengthUnit.Thou ? LengthUnit.Millimetre : LengthUnit.Thou;
        var otherMm = (double)(other == LengthUnit.Thou ? figure.Figure * Length.MillimetresPerThou : figure.Figure);
        return otherMm >= minMm / 3 && otherMm <= 3 * maxMm ? other : null;
    }

    /// <summary>Whether the figure is ten times the window's upper limit or more, in whichever unit.</summary>
    public static bool IsFarOut(double millimetres, Clearance maxMm) => millimetres >= 10 * maxMm;
}
