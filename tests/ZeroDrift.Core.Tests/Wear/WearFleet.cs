using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Core.Tests.Wear;

/// <summary>A small fleet that wears as the model says, from a seed.</summary>
internal static class WearFleet
{
    public static readonly Window Book = Window.Of(0.22, 0.38);

    public sealed record Truth(WearRecord Record, IReadOnlyDictionary<string, double> Rates, IReadOnlyDictionary<string, double> Shifts);

    public static Truth Of(int seed, int engines, int points, int visits, double meanRate = -0.02, double tau = 0.004, double engineTau = 0.002, double visitSd = 0.005, double readingSd = 0.008, string? fast = null, string? warm = null, double leaveFrom = 0.26)
    {
        var random = new Random(seed);
        double Normal() => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
        var (allPoints, allVisits, readings) = (new List<WearPoint>(), new List<WearVisit>(), new List<WearReading>());
        var (rates, shifts) = (new Dictionary<string, double>(), new Dictionary<string, double>());
        for (var e = 0; e < engines; e++)
        {
            double[] slope = [engineTau * Normal(), engineTau * Normal()];
            for (var v = 0; v < visits; v++)
            {
                var id = $"e{e}/v{v}";
                shifts[id] = id == warm ? -0.05 : visitSd * Normal();
                allVisits.Add(new WearVisit(id, $"e{e}", EngineHours.Of(v * 1000 + 100 * random.NextDouble()), v % 2 == 0 ? "A" : "B", false));
            }
            for (var p = 0; p < points; p++)
            {
                var id = $"e{e}/{p}";
                var group = p % 2 == 0 ? "exhaust" : "intake";
                rates[id] = id == fast ? 4 * meanRate : (group == "exhaust" ? meanRate : meanRate / 4) + slope[p % 2] + tau * Normal();
                allPoints.Add(new WearPoint(id, $"e{e}", group, Book, Clearance.OfMm(0.30)));
                var (run, gap) = (0, 0.30);
                for (var v = 0; v < visits; v++)
                {
                    var visit = allVisits[e * visits + v];
                    if (v > 0)
                    {
                        gap += rates[id] * (visit.Hours - allVisits[e * visits + v - 1].Hours) / 1000;
                        readings.Add(new WearReading(id, visit.Id, run, false, gap + shifts[visit.Id] + readingSd * Normal(), null, null, 0.005));
                    }
                    if (v > 0 && gap > leaveFrom && gap < 0.60 - leaveFrom) continue;
                    (run, gap) = (run + 1, 0.30);
                    readings.Add(new WearReading(id, visit.Id, run, true, gap + shifts[visit.Id] + readingSd * Normal(), null, null, 0.005));
                }
            }
        }
        return new Truth(new WearRecord(allPoints, allVisits, readings), rates, shifts);
    }
}
