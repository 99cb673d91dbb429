using ZeroDrift.Core.Lengths;

namespace ZeroDrift.Core.Judging;

/// <summary>The clearances a point may have and be left alone, millimetres. Not the figure to set (<see cref="Demand.Gap"/>).</summary>
/// <param name="MinMm">Tighter than this is tight.</param>
/// <param name="MaxMm">Looser than this is loose; above <paramref name="MinMm"/>.</param>
public readonly record struct Window(Clearance MinMm, Clearance MaxMm)
{
    /// <summary>A checked window of millimetres, each limit 0 to 25.</summary>
    /// <exception cref="BadInputException">A limit out of range, or a lower limit that is not below the upper.</exception>
    public static Window Of(double minMm, double maxMm, string minField = "minMm", string maxField = "maxMm") =>
        Of(Clearance.OfMm(minMm, minField, "The window's lower limit"), Clearance.OfMm(maxMm, maxField, "The window's upper limit"), maxField);

    /// <summary>A window of two clearances.</summary>
    /// <exception cref="BadInputException">A lower limit that is not below the upper.</exception>
    public static Window Of(Clearance minMm, Clearance maxMm, string maxField = "maxMm")
    {
        if (minMm >= maxMm)
            throw new BadInputException(maxField, $"The window's upper limit must be above its lower; {Require.Text(minMm)} to {Require.Text(maxMm)} was given.");
        return new Window(minMm, maxMm);
    }

    /// <summary>Whether a figure is inside, ends included, within a nanometre.</summary>
    public bool Holds(double mm) => mm >= MinMm - 1e-9 && mm <= MaxMm + 1e-9;
}
