using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Visits;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Data.Visits;

/// <summary>Each person's hand, from what they measured twice and from checks on known gaps.</summary>
public static class Hands
{
    /// <summary>Older visits say little of today's hand.</summary>
    private const int VisitsLookedAt = 40;

    /// <summary>The hand of one person.</summary>
    public static async Task<Hand> OfAsync(ZeroDriftContext data, Guid person, double usualSdMm)
    {
        var checks = await data.FeelChecks.AsNoTracking().Where(c => c.PersonId == person).Select(c => new FeelCheck(c.KnownMm, c.FeltMm)).ToListAsync();
        var visits = await data.Visits.AsNoTracking().Where(v => v.OpenedBy == person && v.State == VisitState.Signed && !v.Bench).OrderByDescending(v => v.Key).Take(VisitsLookedAt).Select(v => v.Id).ToListAsync();
        var repeated = new List<IReadOnlyList<double>>();
        foreach (var id in visits)
        {
            var visit = (await VisitReader.LoadAsync(data, id))!.Visit;
            repeated.AddRange(visit.Points.Where(p => p.Repeats.Count > 0 && p.Found is not null).Select(p => Own(p, person)));
        }
        return Hand.Of(repeated, checks, usualSdMm);
    }

    /// <summary>The repeatability of everyone who has been checked: what stands behind their readings in a visit opened now.</summary>
    public static async Task<IReadOnlyDictionary<Guid, double>> CheckedAsync(ZeroDriftContext data, double usualSdMm)
    {
        var checks = (await data.FeelChecks.AsNoTracking().ToListAsync()).ToLookup(c => c.PersonId);
        return checks.ToDictionary(p => p.Key, p => Hand.Of([], [.. p.Select(c => new FeelCheck(c.KnownMm, c.FeltMm))], usualSdMm).RepeatSdMm);
    }

    private static List<double> Own(PointView point, Guid person) =>
        [.. point.Repeats.Prepend(point.Found!).Where(f => f.By == person && f.Value.EstimateMm is not null).Select(f => (double)f.Value.EstimateMm!.Value)];
}
