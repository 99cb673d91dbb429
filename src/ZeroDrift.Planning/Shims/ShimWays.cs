using ZeroDrift.Core;
using ZeroDrift.Core.Shims;

namespace ZeroDrift.Planning.Shims;

/// <summary>Where a point can get a shim from: one that sits in a point, one out of a drawer, or the shop for one point.</summary>
/// <param name="SizeMm">Its thickness; of the shop none is fixed.</param>
/// <param name="Owner">The point it sits in.</param>
/// <param name="Buyer">The point that would buy.</param>
internal sealed record ShimPlace(double? SizeMm, int? Owner, int? Buyer);

/// <summary>A shim as a point gets it.</summary>
internal readonly record struct PlacedShim(double Mm, ShimSource From);

/// <summary>All the places shims can come from, and which of them a point may use.</summary>
internal sealed class ShimWays
{
    private readonly ShimRequest request;
    private readonly double?[] pinned;
    private readonly bool[] stays;

    public ShimWays(ShimRequest request)
    {
        this.request = request;
        var ids = request.Points.Select(p => p.Id).ToList();
        pinned = new double?[ids.Count];
        foreach (var pin in request.Pins) pinned[ids.IndexOf(pin.Point)] = pin.ShimMm;
        stays = [.. request.Points.Select((p, i) => request.Policy == ShimPolicy.LeaveGoodAlone && pinned[i] is null && p.Holds(p.FittedMm))];
        Places =
        [
            .. request.Points.Select((p, i) => new ShimPlace(p.FittedMm, i, null)),
            // More of a size than there are points are never wanted.
            .. request.Stock.SelectMany(s => Enumerable.Repeat(new ShimPlace(s.SizeMm, null, null), Math.Min(s.Count, ids.Count))),
            .. ids.Select((_, i) => new ShimPlace(null, null, i)),
        ];
        for (var i = 0; i < request.Pins.Count; i++)
            if (!Places.Any(p => Same(p.SizeMm, request.Pins[i].ShimMm)) && !request.BuyMm.Any(b => Same(b, request.Pins[i].ShimMm)))
                throw new BadInputException($"pins[{i}].shimMm", $"There is no shim of {ShimCheck.Text(request.Pins[i].ShimMm)} mm: not fitted, not in the drawer, and not among what can be bought.");
    }

    /// <summary>Every physical shim there is, then the shop once for each point.</summary>
    public IReadOnlyList<ShimPlace> Places { get; }

    /// <summary>The most that something can come to over all points, each with the worst of the shims it may get.</summary>
    public double Most(Func<(ShimPoint Point, double Mm), double> of)
    {
        List<double> sizes = [.. Places.Select(p => p.SizeMm).OfType<double>().Concat(request.BuyMm).Distinct()];
        return request.Points.Select((point, i) => sizes.Where(mm => mm == point.FittedMm || (!stays[i] && May(i, mm))).Max(mm => of((point, mm)))).Sum();
    }

    /// <summary>The shim a point would get there; null where it may not, or there is none for it.</summary>
    public PlacedShim? ShimOf(int point, ShimPlace place, RankedCost cost)
    {
        if (place.Buyer is { } buyer) return buyer == point && !stays[point] ? Bought(point, cost) : null;
        if (place.Owner == point) return pinned[point] is { } own && !Same(own, place.SizeMm) ? null : new PlacedShim(place.SizeMm!.Value, ShimSource.Own);
        return !stays[point] && May(point, place.SizeMm!.Value) ? new PlacedShim(place.SizeMm!.Value, place.Owner is null ? ShimSource.Stock : ShimSource.Point) : null;
    }

    /// <summary>Of all there are to be bought the one that serves the point best.</summary>
    private PlacedShim? Bought(int point, RankedCost cost)
    {
        List<PlacedShim> open = [.. request.BuyMm.Where(mm => May(point, mm)).Select(mm => new PlacedShim(mm, ShimSource.Buy))];
        return open.Count == 0 ? null : open.MinBy(s => cost.Of(request.Points[point], s.Mm, s.From));
    }

    private bool May(int point, double mm) => pinned[point] is { } chosen ? Same(chosen, mm) : request.Points[point].Gap.Allows(mm);

    private static bool Same(double? one, double? other) => one is { } a && other is { } b && Math.Abs(a - b) <= GapWithShims.SameShimMm;
}
