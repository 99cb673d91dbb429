namespace ZeroDrift.Planning;

/// <summary>The hours on the road of one day: the shortest way through the sites visited, begun at any of them.</summary>
internal sealed class Roads
{
    /// <summary>Ways through more sites in one day than this are not all tried; the nearest next is taken.</summary>
    private const int MostTried = 7;

    private readonly Dictionary<(string, string), double> hours = [];

    public Roads(IEnumerable<Road> roads)
    {
        foreach (var road in roads) hours[(road.From, road.To)] = hours[(road.To, road.From)] = road.Hours;
    }

    /// <summary>Whether any road takes time.</summary>
    public bool Any => hours.Values.Any(h => h > 0);

    /// <summary>From one site to another; a road nobody named takes none.</summary>
    public double Between(string from, string to) => from == to ? 0 : hours.GetValueOrDefault((from, to));

    /// <summary>The shortest way through all of them.</summary>
    public double Through(IReadOnlyList<string> sites)
    {
        if (sites.Count < 2 || !Any) return 0;
        if (sites.Count == 2) return Between(sites[0], sites[1]);
        return sites.Min(first => From(first, [.. sites.Where(s => s != first)], sites.Count <= MostTried));
    }

    private double From(string here, IReadOnlyList<string> left, bool all)
    {
        if (left.Count == 0) return 0;
        var next = all ? left : [left.MinBy(s => Between(here, s))!];
        return next.Min(s => Between(here, s) + From(s, [.. left.Where(o => o != s)], all));
    }
}
