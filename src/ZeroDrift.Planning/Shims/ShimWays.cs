using ZeroDrift.Core;

namespace ZeroDrift.Planning.Shims;

/// <summary>The sizes there are, how many of each are at hand, and which of them a point may get.</summary>
internal sealed class ShimWays
{
    private readonly ShimRequest request;
    private readonly int[] own;
    private readonly bool[] fixedToOwn;
    private readonly int[] pinned;

    public ShimWays(ShimRequest request)
    {
        this.request = request;
        List<double> sizes = [];
        foreach (var mm in request.Points.Select(p => p.FittedMm).Concat(request.Stock.Select(s => s.SizeMm)).Concat(request.BuyMm).Order())
            if (sizes.Count == 0 || mm > sizes[^1] + ShimCheck.SameMm) sizes.Add(mm);
        Sizes = sizes;
        Loose = new int[sizes.Count];
        CanBuy = new bool[sizes.Count];
        foreach (var loose in request.Stock) Loose[SizeOf(loose.SizeMm)] += loose.Count;
        foreach (var mm in request.BuyMm) CanBuy[SizeOf(mm)] = true;
        own = [.. request.Points.Select(p => SizeOf(p.FittedMm))];
        pinned = [.. request.Points.Select(p => request.Pins.FirstOrDefault(pin => pin.Point == p.Id) is { } pin ? PinnedSize(pin) : -1)];
        fixedToOwn = [.. request.Points.Select((p, i) => request.Policy == ShimPolicy.LeaveGoodAlone && pinned[i] < 0 && p.Holds(p.FittedMm))];
        AtHand = [.. Loose];
        // Every fitted shim is there once; that of a point which stays is taken by the point itself.
        for (var p = 0; p < own.Length; p++) AtHand[own[p]]++;
    }

    public IReadOnlyList<ShimPoint> Points => request.Points;

    /// <summary>Every thickness there is, thinnest first, mm.</summary>
    public IReadOnlyList<double> Sizes { get; }

    /// <summary>In the drawers.</summary>
    public int[] Loose { get; }

    /// <summary>In the drawers and in the engine.</summary>
    public int[] AtHand { get; }

    public bool[] CanBuy { get; }

    public int OwnSize(int point) => own[point];

    public bool IsOwn(int point, int size) => own[point] == size;

    public bool IsOutside(int point, int size) => !Points[point].Holds(Sizes[size]);

    public double Miss(int point, int size) => Math.Abs(Points[point].Predicted(Sizes[size]) - Points[point].TargetMm);

    /// <summary>The sizes that a point may get.</summary>
    public IEnumerable<int> Open(int point) => pinned[point] >= 0 ? [pinned[point]] : fixedToOwn[point] ? [own[point]] : Enumerable.Range(0, Sizes.Count);

    public ShimPolicy Policy => request.Policy;

    private int SizeOf(double mm)
    {
        var list = (List<double>)Sizes;
        var at = list.BinarySearch(mm);
        if (at >= 0) return at;
        at = ~at;
        return at > 0 && mm - list[at - 1] <= ShimCheck.SameMm ? at - 1 : at;
    }

    private int PinnedSize(ShimPin pin)
    {
        var size = Sizes.Select((mm, i) => (mm, i)).Where(s => Math.Abs(s.mm - pin.ShimMm) <= ShimCheck.SameMm).Select(s => s.i).DefaultIfEmpty(-1).First();
        return size >= 0 ? size : throw new BadInputException($"pins[{request.Pins.ToList().IndexOf(pin)}].shimMm", $"There is no shim of {ShimCheck.Text(pin.ShimMm)} mm: not fitted, not in the drawer, and not among what can be bought.");
    }
}
