using ZeroDrift.Core;

namespace ZeroDrift.Planning.Shims;

/// <summary>The sizes there are, how many of each are at hand, and which of them a point may get.</summary>
internal sealed class ShimWays
{
    private readonly ShimRequest request;
    private readonly List<double> sizes = [];
    private readonly int[] own;
    private readonly bool[] fixedToOwn;
    private readonly int[] pinned;

    public ShimWays(ShimRequest request)
    {
        this.request = request;
        foreach (var mm in request.Points.Select(p => p.FittedMm).Concat(request.Stock.Select(s => s.SizeMm)).Concat(request.BuyMm).Order())
            if (sizes.Count == 0 || mm - sizes[^1] > ShimCheck.SameMm) sizes.Add(mm);
        Loose = new int[sizes.Count];
        CanBuy = new bool[sizes.Count];
        foreach (var loose in request.Stock) Loose[SizeOf(loose.SizeMm)] += loose.Count;
        foreach (var mm in request.BuyMm) CanBuy[SizeOf(mm)] = true;
        own = [.. request.Points.Select(p => SizeOf(p.FittedMm))];
        pinned = [.. Enumerable.Repeat(-1, request.Points.Count)];
        var ids = request.Points.Select(p => p.Id).ToList();
        for (var i = 0; i < request.Pins.Count; i++) pinned[ids.IndexOf(request.Pins[i].Point)] = PinnedSize(i);
        fixedToOwn = [.. request.Points.Select((p, i) => request.Policy == ShimPolicy.LeaveGoodAlone && pinned[i] < 0 && p.Holds(p.FittedMm))];
        AtHand = [.. Loose];
        // Every fitted shim is there once; that of a point which stays is taken by the point itself.
        for (var p = 0; p < own.Length; p++) AtHand[own[p]]++;
    }

    public IReadOnlyList<ShimPoint> Points => request.Points;

    /// <summary>Every thickness there is, thinnest first, mm.</summary>
    public IReadOnlyList<double> Sizes => sizes;

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

    /// <summary>Which size this thickness is; -1 where there is none.</summary>
    private int SizeOf(double mm)
    {
        var at = sizes.BinarySearch(mm);
        if (at >= 0) return at;
        var next = ~at;
        if (next > 0 && mm - sizes[next - 1] <= ShimCheck.SameMm) return next - 1;
        return next < sizes.Count && sizes[next] - mm <= ShimCheck.SameMm ? next : -1;
    }

    private int PinnedSize(int pin) => SizeOf(request.Pins[pin].ShimMm) is >= 0 and var size
        ? size
        : throw new BadInputException($"pins[{pin}].shimMm", $"There is no shim of {ShimCheck.Text(request.Pins[pin].ShimMm)} mm: not fitted, not in the drawer, and not among what can be bought.");
}
