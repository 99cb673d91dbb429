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
    public static async Task<ILookup<InstrumentRow, SuspectVisit>> OfAsync(ZeroDriftContext data, Guid? engineId = null)
    {
        var found = new List<(InstrumentRow Instrument, SuspectVisit Visit)>();
        foreach (var instrument in await data.Instruments.AsNoTracking().Where(i => i.Withdrawn != null).OrderBy(i => i.Name).ToListAsync())
        {
            var visits = await data.Visits.AsNoTracking()
                .Where(v => v.State == VisitState.Signed && !v.OutOfTrend && v.Instruments.Any(i => i.NameKey == instrument.NameKey) && (engineId == null || v.EngineId == engineId))
                .OrderByDescending(v => v.Date).Select(v => new SuspectVisit(v.Id, v.EngineId, v.Engine!.Name, v.Date)).ToListAsync();
            foreach (var visit in visits.Where(v => instrument.Check.MakesSuspect(v.Date)))
                if (await IsUnansweredAsync(data, visit.VisitId)) found.Add((instrument, visit));
        }
        return found.ToLookup(f => f.Instrument, f => f.Visit);
    }

    /// <summary>Nobody has said yet whether other blades made the figures.</summary>
    private static async Task<bool> IsUnansweredAsync(ZeroDriftContext data, Guid visit) =>
        !(await VisitReader.LoadAsync(data, visit))!.Visit.Answers.ContainsKey(VisitQuestion.OtherBlades);
}
