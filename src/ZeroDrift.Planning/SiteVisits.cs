using Google.OrTools.Sat;

namespace ZeroDrift.Planning;

/// <summary>Which sites each technician visits on each day, what each further one costs, and the hours on the road between them.</summary>
internal sealed class SiteVisits
{
    private readonly ScheduleRequest request;
    private readonly CpModel model;
    private readonly Roads roads;
    private readonly Dictionary<(int Technician, int Day), List<(string Site, BoolVar Visited)>> days = [];

    public SiteVisits(ScheduleRequest request, CpModel model, IEnumerable<(Option Option, BoolVar Variable)> variables)
    {
        (this.request, this.model, roads) = (request, model, new Roads(request.TravelHours));
        if (request.SiteChangeCost <= 0 && !roads.Any) return;
        var work = variables.Where(v => request.Jobs[v.Option.Job].Site is not null)
            .SelectMany(v => v.Option.Crew.SelectMany(who => v.Option.Work.Select(w => (Key: (who, w.Day), Site: request.Jobs[v.Option.Job].Site!, v.Variable)))).GroupBy(w => w.Key);
        foreach (var day in work)
        {
            var sites = day.GroupBy(w => w.Site).ToList();
            if (sites.Count < 2) continue;
            var visited = new List<(string, BoolVar)>();
            foreach (var site in sites)
            {
                var visit = model.NewBoolVar("");
                foreach (var here in site) model.AddImplication(here.Variable, visit);
                visited.Add((site.Key, visit));
            }
            days[day.Key] = visited;
        }
    }

    /// <summary>What further sites cost. "At least one fewer than visited" keeps the relaxation tight, where a bonus for the first would not.</summary>
    public void Cost(LinearExprBuilder objective, Func<double, long> scaled)
    {
        if (request.SiteChangeCost <= 0) return;
        foreach (var visited in days.Values)
        {
            var further = model.NewIntVar(0, visited.Count - 1, "");
            model.Add(further >= LinearExpr.Sum(visited.Select(v => v.Visited)) - 1);
            objective.AddTerm(further, scaled(request.SiteChangeCost));
        }
    }

    /// <summary>Adds a day's hours on the road: an open way through the sites visited, as a circuit through one node that costs nothing.</summary>
    public void AddRoads(LinearExprBuilder sum, int technician, int day, Func<double, long> scaled)
    {
        if (!roads.Any || !days.TryGetValue((technician, day), out var sites)) return;
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
