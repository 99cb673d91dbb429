using Google.OrTools.Graph;
using ZeroDrift.Core;

namespace ZeroDrift.Planning.Shims;

/// <summary>
/// Which shim goes where, for a whole engine or several at once: an assignment of points to physical shims (their own, each other's, the drawer's,
/// the shop's), each used once. Least, in this order: points left outside, shims bought, shims moved, Σ|expected − figure|; blueprint puts closeness
/// before moves. Exact: one flow of least cost (OR-Tools), the ranks scaled so that a lower one never outweighs a higher.
/// </summary>
public static class ShimAllocator
{
    /// <summary>Two sizes as near the figure as each other within this are a tie, and the thinner, looser one wins, mm.</summary>
    private const double TieMm = 1e-6;

    /// <summary>Allocates.</summary>
    /// <param name="request">Points, drawers, what can be bought, and what was chosen by hand.</param>
    /// <exception cref="BadInputException">A field out of range, a name used twice, or pins that cannot all hold.</exception>
    public static ShimAllocation Allocate(ShimRequest request)
    {
        ShimCheck.Check(request);
        var ways = new ShimWays(request);
        var sizes = Flow(ways);
        for (var p = 0; p < sizes.Length; p++) Loosen(ways, sizes, p);
        return Sources(request, ways, sizes);
    }

    /// <summary>The size that each point gets.</summary>
    private static int[] Flow(ShimWays ways)
    {
        // A finer unit than it can carry is refused by the solver, not answered wrongly: then a coarser one.
        for (var unitMm = 1e-6; unitMm < 1e-2; unitMm *= 10)
        {
            if (CostScale.Of(ways, unitMm) is not { } scale) continue;
            var (flow, arcs) = Network(ways, scale);
            var status = flow.SolveMaxFlowWithMinCost();
            if (status == MinCostFlowBase.Status.BAD_COST_RANGE) continue;
            if (status != MinCostFlowBase.Status.OPTIMAL) throw new InvalidOperationException($"The flow ended {status}.");
            var sizes = Enumerable.Repeat(-1, ways.Points.Count).ToArray();
            foreach (var (arc, point, size) in arcs)
                if (flow.Flow(arc) > 0) sizes[point] = size;
            return Array.TrueForAll(sizes, s => s >= 0)
                ? sizes
                : throw new BadInputException("pins", "There are fewer shims of a size than are pinned; free one of the pins, or add the size to the drawer or to what can be bought.");
        }
        throw new BadInputException("points", "The figures lie too far apart to be compared; check the units.");
    }

    /// <summary>Source → points → sizes → sink; a size holds what is loose or freed of it, and at a purchase each what can be bought.</summary>
    private static (MinCostFlow Flow, List<(int Arc, int Point, int Size)> Arcs) Network(ShimWays ways, CostScale scale)
    {
        var points = ways.Points.Count;
        var flow = new MinCostFlow();
        List<(int, int, int)> arcs = [];
        int source = 0, sink = 1 + points + ways.Sizes.Count;
        for (var p = 0; p < points; p++)
        {
            flow.AddArcWithCapacityAndUnitCost(source, 1 + p, 1, 0);
            foreach (var size in ways.Open(p)) arcs.Add((flow.AddArcWithCapacityAndUnitCost(1 + p, 1 + points + size, 1, scale.Of(ways, p, size)), p, size));
        }
        for (var s = 0; s < ways.Sizes.Count; s++)
        {
            if (ways.AtHand[s] > 0) flow.AddArcWithCapacityAndUnitCost(1 + points + s, sink, ways.AtHand[s], 0);
            if (ways.CanBuy[s]) flow.AddArcWithCapacityAndUnitCost(1 + points + s, sink, points, scale.Bought);
        }
        flow.SetNodeSupply(source, points);
        flow.SetNodeSupply(sink, -points);
        return (flow, arcs);
    }

    /// <summary>Of two sizes as near the figure as each other, the thinner, where one is to be had in the same way.</summary>
    private static void Loosen(ShimWays ways, int[] sizes, int p)
    {
        var mine = sizes[p];
        if (ways.IsOwn(p, mine)) return;
        var miss = ways.Miss(p, mine);
        foreach (var other in ways.Open(p))
        {
            if (ways.Sizes[other] >= ways.Sizes[mine] || ways.Miss(p, other) > miss + TieMm || ways.IsOutside(p, other) != ways.IsOutside(p, mine) || ways.IsOwn(p, other)) continue;
            int used = sizes.Count(s => s == mine), usedOther = sizes.Count(s => s == other);
            var buysNow = used > ways.AtHand[mine];
            var wouldBuy = usedOther >= ways.AtHand[other];
            if (wouldBuy && !(buysNow && ways.CanBuy[other])) continue;
            sizes[p] = other;
            return;
        }
    }

    /// <summary>Which shim of its size a point gets: its own, then one that another gives, then the drawer's, then a bought one.</summary>
    private static ShimAllocation Sources(ShimRequest request, ShimWays ways, int[] sizes)
    {
        var stays = new bool[sizes.Length];
        for (var p = 0; p < sizes.Length; p++) stays[p] = ways.IsOwn(p, sizes[p]);
        var freed = Enumerable.Range(0, sizes.Length).Where(p => !stays[p]).GroupBy(ways.OwnSize).ToDictionary(g => g.Key, g => new Queue<int>(g));
        var loose = ways.Loose.ToArray();
        var got = new AllocatedShim[sizes.Length];
        for (var p = 0; p < sizes.Length; p++)
        {
            var size = sizes[p];
            int? giver = !stays[p] && freed.TryGetValue(size, out var free) && free.TryDequeue(out var other) ? other : null;
            var from = stays[p] ? ShimSource.Own : giver is not null ? ShimSource.Point : loose[size]-- > 0 ? ShimSource.Stock : ShimSource.Buy;
            var mm = from == ShimSource.Own ? ways.Points[p].FittedMm : ways.Sizes[size];
            got[p] = new AllocatedShim(ways.Points[p].Id, mm, from, giver is { } g ? ways.Points[g].Id : null, ways.Points[p].Predicted(mm), ways.Points[p].Holds(mm));
        }
        return new ShimAllocation(
            got,
            BySize(got.Where(g => g.From == ShimSource.Buy).Select(g => g.ShimMm)),
            BySize(freed.Values.SelectMany(q => q).Select(p => ways.Points[p].FittedMm)),
            got.Count(g => !g.InWindow),
            got.Count(g => g.From == ShimSource.Buy),
            got.Count(g => g.From != ShimSource.Own),
            got.Zip(request.Points, (g, p) => Math.Abs(g.PredictedMm - p.TargetMm)).Sum());
    }

    private static List<LooseShims> BySize(IEnumerable<double> mm) => [.. mm.GroupBy(m => m).OrderBy(g => g.Key).Select(g => new LooseShims(g.Key, g.Count()))];
}
