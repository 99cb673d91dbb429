using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Setting;

namespace ZeroDrift.Data.Visits;

/// <summary>What each person's locknuts did on one engine type.</summary>
public static class Locknuts
{
    /// <summary>Older pairs say little of today's hand.</summary>
    private const int PairsLookedAt = 400;

    /// <summary>Everyone with a pair on a type: how many, and the creep once they are enough.</summary>
    public static async Task<IReadOnlyList<CreepRecord>> OfTypeAsync(ZeroDriftContext data, Guid typeId)
    {
        var pairs = await data.LockPairs.AsNoTracking().Where(p => data.Visits.Any(v => v.Key == p.VisitKey && v.Engine!.EngineTypeId == typeId))
            .OrderByDescending(p => p.VisitKey).Take(PairsLookedAt).ToListAsync();
        return [.. pairs.GroupBy(p => p.By).OrderBy(g => g.Key).Select(g => Learned(g.Key, LocknutCreep.Of([.. g.Select(p => p.BeforeMm - p.AfterMm)])))];
    }

    private static CreepRecord Learned(Guid person, LocknutCreep creep) => new(person, creep.Pairs, creep.IsTold ? creep.CreepMm : null) { MeanMm = creep.PullMm, SdMm = creep.SdMm };
}
