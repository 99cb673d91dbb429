using ZeroDrift.Core;

namespace ZeroDrift.Planning.Shims;

/// <summary>
/// Which shim goes where, for a whole engine or several at once: an assignment of points to physical shims (their own, each other's, the drawer's,
/// the shop's), each used once. Nothing is made worse (<see cref="Core.Shims.GapWithShims.Allows"/>); among what is left the least, in this order: points
/// left outside, how far outside (tight double), bought, moved, Σ|expected − figure|; blueprint puts closeness before moves. Exact.
/// </summary>
public static class ShimAllocator
{
    /// <summary>Allocates.</summary>
    /// <param name="request">Points, drawers, what can be bought, and what was chosen by hand.</param>
    /// <exception cref="BadInputException">A field out of range, a name used twice, a pin that leaves no gap, or pins that cannot all hold.</exception>
    public static ShimAllocation Allocate(ShimRequest request)
    {
        ShimCheck.Check(request);
        var ways = new ShimWays(request);
        var cost = new RankedCost(request.Policy, request.Points.Count, ways.Most(p => p.Point.Gap.WeighedOutsideMm(p.Mm)), ways.Most(p => Math.Abs(p.Point.Predicted(p.Mm) - p.Point.TargetMm)));
        var places = ways.Places;
        var costs = new Int128?[request.Points.Count, places.Count];
        for (var p = 0; p < request.Points.Count; p++)
            for (var c = 0; c < places.Count; c++)
                if (ways.ShimOf(p, places[c], cost) is { } shim) costs[p, c] = cost.Of(request.Points[p], shim.Mm, shim.From);
        var columns = CheapestAssignment.Of(costs)
            ?? throw new BadInputException("pins", $"There are fewer shims than are pinned: whoever has to give one keeps it where nothing else there is would not make it worse. Free one of the pins ({string.Join(", ", request.Pins.Select(p => p.Point))}), or add the size to the drawer or to what can be bought.");
        return Answer(request, [.. columns.Select((c, p) => (places[c], ways.ShimOf(p, places[c], cost)!.Value))]);
    }

    private static ShimAllocation Answer(ShimRequest request, IReadOnlyList<(ShimPlace Place, PlacedShim Shim)> chosen)
    {
        var got = new List<AllocatedShim>();
        foreach (var (point, (place, shim)) in request.Points.Zip(chosen))
            got.Add(new AllocatedShim(point.Id, shim.Mm, shim.From, shim.From == ShimSource.Point ? request.Points[place.Owner!.Value].Id : null, point.Predicted(shim.Mm), point.Holds(shim.Mm)));
        var used = chosen.Select(c => c.Place.Owner).OfType<int>().ToHashSet();
        return new ShimAllocation(
            got,
            BySize(got.Where(g => g.From == ShimSource.Buy).Select(g => g.ShimMm)),
            BySize(request.Points.Where((_, p) => !used.Contains(p)).Select(p => p.FittedMm)),
            got.Count(g => !g.InWindow),
            request.Points.Zip(got).Where(p => !p.Second.InWindow).Sum(p => p.First.Gap.WeighedOutsideMm(p.Second.ShimMm)),
            got.Count(g => g.From == ShimSource.Buy),
            got.Count(g => g.From != ShimSource.Own),
            got.Zip(request.Points, (g, p) => Math.Abs(g.PredictedMm - p.TargetMm)).Sum());
    }

    private static List<LooseShims> BySize(IEnumerable<double> mm) => [.. mm.GroupBy(m => m).OrderBy(g => g.Key).Select(g => new LooseShims(g.Key, g.Count()))];
}
