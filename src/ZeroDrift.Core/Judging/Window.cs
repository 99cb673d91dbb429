namespace ZeroDrift.Core.Judging;

/// <summary>The clearances a point may have and be left alone, millimetres. Not the figure to set (<see cref="Demand.Gap"/>).</summary>
/// <param name="MinMm">Tighter than this is tight; 0 or more.</param>
/// <param name="MaxMm">Looser than this is loose; above <paramref name="MinMm"/>, at most 25 mm.</param>
public readonly record struct Window(double MinMm, double MaxMm)
{
    /// <summary>A checked window.</summary>
    /// <exception cref="BadInputException">A limit out of range, or a lower limit that is not below the upper.</exception>
    public static Window Of(double minMm, double maxMm, string minField = "minMm", string maxField = "maxMm")
    {
        Require.Clearance(minMm, minField, "The window's lower limit");
        Require.Clearance(maxMm, maxField, "The window's upper limit");
        if (minMm >= maxMm)
            throw new BadInputException(maxField, $"The window's upper limit must be above its lower; {Require.Text(minMm)} to {Require.Text(maxMm)} was given.");
        return new Window(minMm, maxMm);
    }

    /// <summary>Whether a figure is inside, ends included, within a nanometre.</summary>
    public bool Holds(double mm) => mm >= MinMm - 1e-9 && mm <= MaxMm + 1e-9;
}
