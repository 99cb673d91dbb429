using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Wear;

namespace ZeroDrift.Data.Visits;

/// <summary>Each person's hand, from gaps measured more than once and from checks on known gaps.</summary>
public static class Hands
{
    /// <summary>Older readings say little of today's hand.</summary>
    private const int ReadingsLookedAt = 4000;

    /// <summary>The hand of one person.</summary>
    public static async Task<Hand> OfAsync(ZeroDriftContext data, Guid person, double usualSdMm)
    {
        var checks = await data.FeelChecks.AsNoTracking().Where(c => c.PersonId == person).Select(c => new FeelCheck(c.KnownMm, c.FeltMm)).ToListAsync();
        return Hand.Of(person, await GapsAsync(data), checks, usualSdMm);
    }

    /// <summary>The repeatability of everyone of whom anything is known: what stands behind their readings in a visit opened now.</summary>
    public static async Task<IReadOnlyDictionary<Guid, double>> KnownAsync(ZeroDriftContext data, double usualSdMm)
    {
        var checks = (await data.FeelChecks.AsNoTracking().ToListAsync()).ToLookup(c => c.PersonId, c => new FeelCheck(c.KnownMm, c.FeltMm));
        var gaps = await GapsAsync(data);
        return checks.Select(c => c.Key).Union(gaps.SelectMany(g => g.Readings.Select(r => r.By)))
            .Select(person => (Person: person, Hand: Hand.Of(person, gaps, [.. checks[person]], usualSdMm))).Where(h => h.Hand.Repeats > 0).ToDictionary(h => h.Person, h => h.Hand.RepeatSdMm);
    }

    private static async Task<IReadOnlyList<SameGap>> GapsAsync(ZeroDriftContext data) =>
        [.. (await data.SameGaps.AsNoTracking().OrderByDescending(r => r.VisitKey).Take(ReadingsLookedAt).ToListAsync())
            .GroupBy(r => (r.VisitKey, r.Gap)).Select(g => new SameGap(g.First().Point, [.. g.OrderBy(r => r.Reading).Select(r => new GapReading(r.By, r.Mm))]))];
}
