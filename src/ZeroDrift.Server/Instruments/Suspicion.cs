using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Visits;

namespace ZeroDrift.Server.Instruments;

/// <summary>The visits that an instrument taken out of use makes suspect, until somebody says whether its figures hold.</summary>
internal static class Suspicion
{
    /// <summary>Signed visits measured with a withdrawn instrument since it may have been wrong, unanswered.</summary>
    /// <param name="data">The fleet.</param>
    /// <param name="engineId">Of one engine; null for all.</param>
    /// <param name="cancelled">Whoever asked has gone.</param>
    public static async Task<ILookup<InstrumentRow, SuspectVisit>> OfAsync(ZeroDriftContext data, Guid? engineId = null, CancellationToken cancelled = default)
    {
        var withdrawn = await data.Instruments.AsNoTracking().Where(i => i.Withdrawn != null).OrderBy(i => i.Name).ToListAsync(cancelled);
        var names = withdrawn.Select(i => i.NameKey).ToHashSet();
        var used = await data.VisitInstruments.AsNoTracking().Where(i => names.Contains(i.NameKey))
            .Join(data.Visits.Where(v => v.State == VisitState.Signed && !v.OutOfTrend && (engineId == null || v.EngineId == engineId)), i => i.VisitKey, v => v.Key, (i, v) => new { i.NameKey, v.Key, Visit = new SuspectVisit(v.Id, v.EngineId, v.Engine!.Name, v.Date) }).ToListAsync(cancelled);
        var found = (from instrument in withdrawn
                     from visit in used.Where(u => u.NameKey == instrument.NameKey && instrument.Check.MakesSuspect(u.Visit.Date)).OrderByDescending(u => u.Visit.Date)
                     select (Instrument: instrument, visit.Key, visit.Visit)).ToList();
        var keys = found.Select(f => f.Key).ToHashSet();
        // Nobody has said yet whether other blades made the figures.
        var unanswered = (await VisitReader.AllAsync(data, data.Visits.Where(v => keys.Contains(v.Key)))).Where(v => !v.Visit.Answers.ContainsKey(VisitQuestion.OtherBlades)).Select(v => v.Row.Key).ToHashSet();
        return found.Where(f => unanswered.Contains(f.Key)).ToLookup(f => f.Instrument, f => f.Visit);
    }
}
