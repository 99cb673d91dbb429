using Google.OrTools.Sat;

namespace ZeroDrift.Planning;

/// <summary>Which sites each technician visits on each day, what each further one costs, and the hours on the road between them.</summary>
internal sealed class SiteVisits
{
    /// <summary>Sets of more sites than this are too many to name.</summary>
    private const int MostInSets = 5;

    private readonly ScheduleRequest request;
    private readonly CpModel model;
    private readonly Roads roads;
    private readonly ILookup<(int Technician, int Day), string> begun;
    private readonly Dictionary<(int Technician, int Day), List<(string Site, BoolVar Visited)>> days = [];

    public SiteVisits(ScheduleRequest request, CpModel model, IEnumerable<Part> parts, IEnumerable<Option> start)
    {
        (this.request, this.model, roads) = (request, model, new Roads(request.TravelHours));
        begun = start.Where(o => request.Jobs[o.Job].Site is not null).SelectMany(o => o.Crew.SelectMany(who => o.Work.Select(w => (Key: (who, w.Day), Site: request.Jobs[o.Job].Site!)))).ToLookup(v => v.Key, v => v.Site);
        if (request.SiteChangeCost <= 0 && !roads.Any) return;
        var work = parts.Where(p => request.Jobs[p.Option.Job].Site is not null)
            .SelectMany(p => p.Option.Work.Select(w => (Key: (p.Technician, w.Day), Site: request.Jobs[p.Option.Job].Site!, p.Chosen))).GroupBy(w => w.Key);
        foreach (var day in work)
        {
            var sites = day.GroupBy(w => w.Site).ToList();
            if (sites.Count < 2) continue;
            var visited = new List<(string, BoolVar)>();
            foreach (var site in sites)
            {
                var visit = model.NewBoolVar("");
                foreach (var here in site) model.AddImplication(here.Chosen, visit);
                model.AddHint(visit, begun[day.Key].Contains(site.Key));
                visited.Add((site.Key, visit));
            }
            days[day.Key] = visited;
        }
    }

    /// <summary>What further sites cost. "At least one fewer than visited" keeps the relaxation tight, where a bonus for the first would not.</summary>
    public void Cost(LinearExprBuilder objective, Func<double, long> scaled)
    {
        if (request.SiteChangeCost <= 0) return;
        foreach (var (day, visited) in days)
        {
            var further = model.NewIntVar(0, visited.Count - 1, "");
            model.Add(further >= LinearExpr.Sum(visited.Select(v => v.Visited)) - 1);
            model.AddHint(further, Math.Max(0, Begun(day, visited).Count - 1));
            objective.AddTerm(further, scaled(request.SiteChangeCost));
        }
    }

    /// <summary>Adds a day's hours on the road: the shortest open way through the sites visited.</summary>
    public void AddRoads(LinearExprBuilder sum, int technician, int day, Func<double, long> scaled)
    {
        if (!roads.Any || !days.TryGetValue((technician, day), out var sites)) return;
        if (Sets(sites) is not { } sets)
        {
            AddCircuit(sum, sites, scaled);
            return;
        }
        if (sets.Count == 0) return;
        var hours = model.NewIntVar(0, sets.Max(s => scaled(s.Hours)), "");
        // All of a set visited takes at least its own way; whichever set is the whole day gives the day's.
        foreach (var (set, way) in sets) model.Add(hours >= scaled(way) * (LinearExpr.Sum(set.Select(s => s.Visited)) - (set.Count - 1)));
        model.AddHint(hours, scaled(roads.Through(Begun((technician, day), sites))));
        sum.AddTerm(hours, 1);
    }

    /// <summary>The sites a day of the plan that the search begins from visits.</summary>
    private List<string> Begun((int Technician, int Day) day, List<(string Site, BoolVar Visited)> sites) => [.. begun[day].Distinct().Where(site => sites.Exists(s => s.Site == site))];

    /// <summary>Every set of two sites or more with the way through it; null where a further site would make a way shorter, or there are too many.</summary>
    private List<(List<(string Site, BoolVar Visited)> Set, double Hours)>? Sets(List<(string Site, BoolVar Visited)> sites)
    {
        if (sites.Count > MostInSets) return null;
        var ways = new double[1 << sites.Count];
        var sets = new List<(List<(string Site, BoolVar Visited)>, double)>();
        for (var mask = 1; mask < ways.Length; mask++)
        {
            var set = sites.Where((_, i) => (mask >> i & 1) == 1).ToList();
            ways[mask] = roads.Through([.. set.Select(s => s.Site)]);
            for (var i = 0; i < sites.Count; i++) if ((mask >> i & 1) == 1 && ways[mask & ~(1 << i)] > ways[mask] + 1e-9) return null;
            if (set.Count > 1 && ways[mask] > 0) sets.Add((set, ways[mask]));
        }
        return sets;
    }

    /// <summary>The same as a circuit through one node that costs nothing: for any roads, and slower to search.</summary>
    private void AddCircuit(LinearExprBuilder sum, List<(string Site, BoolVar Visited)> sites, Func<double, long> scaled)
    {
        var circuit = model.AddCircuit();
        var idle = model.NewBoolVar("");
        circuit.AddArc(0, 0, idle);
        for (var i = 0; i < sites.Count; i++)
        {
            circuit.AddArc(i + 1, i + 1, sites[i].Visited.Not());
            circuit.AddArc(0, i + 1, model.NewBoolVar(""));
            circuit.AddArc(i + 1, 0, model.NewBoolVar(""));
            // Nobody leaves for a day without sites, and a site visited is on the way.
            model.AddImplication(idle, sites[i].Visited.Not());
            for (var k = 0; k < sites.Count; k++)
            {
                if (k == i) continue;
                var arc = model.NewBoolVar("");
                circuit.AddArc(i + 1, k + 1, arc);
                sum.AddTerm(arc, scaled(roads.Between(sites[i].Site, sites[k].Site)));
            }
        }
    }
}
