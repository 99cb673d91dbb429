using ZeroDrift.Core.Engines;

namespace ZeroDrift.Core.Turning;

/// <summary>
/// The stretches of one cycle in which a lash point is off its base circle, local crank degrees. The rest is clear: there
/// it may be measured. Overlapping stretches are one.
/// </summary>
public sealed class OpenArcs
{
    private readonly double cycle;
    private readonly (double From, double Length)[] arcs;

    /// <summary>Joins the given stretches; each runs forwards from <c>From</c> to <c>To</c>, in degrees of any size.</summary>
    /// <exception cref="BadInputException">Field <c>valveTiming</c>: a stretch of no length, or nothing of the cycle left clear.</exception>
    public OpenArcs(double cycle, IEnumerable<(double From, double To)> stretches)
    {
        this.cycle = cycle;
        var sorted = new List<(double From, double To)>();
        foreach (var (from, to) in stretches)
        {
            if (to - from <= 0)
                throw new BadInputException("valveTiming", "A valve that closes before it opens cannot be: check the valve timing.");
            if (to - from >= cycle - Circle.SamePlaceDeg)
                throw new BadInputException("valveTiming", $"With this timing and ramp guard a valve is open for the whole {cycle}° cycle, so nothing could be set: check both.");
            var start = Circle.Normalise(from, cycle);
            sorted.Add((start, start + to - from));
        }
        arcs = Join(sorted, cycle);
        if (arcs.Sum(arc => arc.Length) >= cycle - Circle.SamePlaceDeg)
            throw new BadInputException("valveTiming", $"The lift intervals together cover the whole {cycle}° cycle, so nothing could be set: check the valve timing.");
    }

    /// <summary>Where the clear room ends at this local angle: how far the crank may drift back and forward before the point lifts. Both negative-free outside; inside an arc both are 0.</summary>
    public (double Back, double Forward) Room(double local)
    {
        var back = cycle;
        var forward = cycle;
        foreach (var (from, length) in arcs)
        {
            var into = Circle.Normalise(local - from, cycle);
            if (into > 0 && into < length) return (0, 0);
            back = Math.Min(back, into == 0 ? cycle - length : into - length);
            forward = Math.Min(forward, Circle.Normalise(from - local, cycle));
        }
        return (back, forward);
    }

    /// <summary>Degrees to the nearest edge: positive where clear, negative where open, 0 on an edge.</summary>
    public double Margin(double local)
    {
        foreach (var (from, length) in arcs)
        {
            var into = Circle.Normalise(local - from, cycle);
            if (into > 0 && into < length) return -Math.Min(into, length - into);
        }
        var (back, forward) = Room(local);
        return Math.Min(back, forward);
    }

    /// <summary>The longest clear stretch, as start and length in degrees.</summary>
    public (double From, double Length) LongestClear()
    {
        var best = (From: 0.0, Length: 0.0);
        for (var i = 0; i < arcs.Length; i++)
        {
            var end = arcs[i].From + arcs[i].Length;
            var next = arcs[(i + 1) % arcs.Length].From + (i + 1 == arcs.Length ? cycle : 0);
            if (next - end > best.Length) best = (Circle.Normalise(end, cycle), next - end);
        }
        return best;
    }

    /// <summary>The open stretches, each as start within the cycle and length.</summary>
    public IReadOnlyList<(double From, double Length)> Arcs => arcs;

    private static (double, double)[] Join(List<(double From, double To)> stretches, double cycle)
    {
        stretches.Sort();
        var joined = new List<(double From, double To)>();
        foreach (var stretch in stretches)
        {
            if (joined.Count > 0 && stretch.From <= joined[^1].To)
                joined[^1] = (joined[^1].From, Math.Max(joined[^1].To, stretch.To));
            else
                joined.Add(stretch);
        }
        // The last stretch may run past the end of the cycle into the first.
        while (joined.Count > 1 && joined[^1].To - cycle >= joined[0].From)
        {
            joined[^1] = (joined[^1].From, Math.Max(joined[^1].To, joined[0].To + cycle));
            joined.RemoveAt(0);
        }
        return [.. joined.Select(stretch => (stretch.From, Math.Min(stretch.To - stretch.From, cycle)))];
    }
}
