namespace ZeroDrift.Core.Judging;

/// <summary>
/// What a book revision asks of one kind of point: a window with a figure to set, or a single figure to which the fleet adds its
/// own tolerance, wider on the loose side and shown as the fleet's and not the book's.
/// </summary>
/// <param name="Window">Where to leave alone, mm.</param>
/// <param name="SetMm">The figure to set, mm, inside the window.</param>
/// <param name="FleetTolerance">True where the book gives one figure and the window is the fleet's own.</param>
public sealed record ClearanceSpec(Window Window, double SetMm, bool FleetTolerance)
{
    /// <summary>A book window; without a set figure its middle is set.</summary>
    /// <exception cref="BadInputException">A limit out of range, or a set figure outside the window.</exception>
    public static ClearanceSpec OfWindow(double minMm, double maxMm, double? setMm = null)
    {
        var window = Window.Of(minMm, maxMm);
        var set = setMm ?? (minMm + maxMm) / 2;
        if (!window.Holds(set))
            throw new BadInputException("setMm", $"The figure to set, {Require.Text(set)}, must lie in the window {Require.Text(minMm)} to {Require.Text(maxMm)} mm.");
        return new ClearanceSpec(window, set, false);
    }

    /// <summary>One book figure with the fleet's tolerance: tight by at most <paramref name="tightSideMm"/>, loose by at most <paramref name="looseSideMm"/>.</summary>
    /// <exception cref="BadInputException">A figure out of range, or a tolerance that would reach below zero.</exception>
    public static ClearanceSpec OfSingleFigure(double figureMm, double tightSideMm, double looseSideMm)
    {
        Require.Above(figureMm, 0, Require.LargestClearanceMm, "singleMm", "The book's figure", "mm");
        Require.Above(tightSideMm, 0, figureMm, "fleet.toleranceTightMm", "The fleet's tolerance on the tight side", "mm");
        Require.Above(looseSideMm, 0, Require.LargestClearanceMm, "fleet.toleranceLooseMm", "The fleet's tolerance on the loose side", "mm");
        return new ClearanceSpec(Window.Of(figureMm - tightSideMm, figureMm + looseSideMm), figureMm, true);
    }
}
