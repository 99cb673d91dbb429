using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Mapping;

namespace ZeroDrift.Data.Visits;

/// <summary>What was measured with no figure at hand, judged by the revision that the book has now. The record itself stays as it was signed.</summary>
public static class LaterJudgement
{
    /// <summary>The judgement; null where every point was judged then, or the book still has no figure.</summary>
    public static async Task<JudgedLaterRecord?> OfAsync(ZeroDriftContext data, StoredVisit stored, DateOnly today)
    {
        var visit = stored.Visit;
        var open = visit.Points.Zip(visit.Work).Where(p => p.First is { Demand: null, Found: not null } && !visit.IsByAmount(p.Second)).Select(p => p.First.Point).ToHashSet();
        if (visit.State != VisitState.Signed || open.Count == 0) return null;
        var record = stored.Context.Record;
        var type = await data.WholeTypes.FirstOrDefaultAsync(t => t.Id == record.Type.Id);
        var condition = visit.Condition?.Condition;
        if (type?.InForceByCondition(today).FirstOrDefault(r => condition is null || r.Condition == condition) is not { } revision) return null;
        var own = await data.EngineFigures.AsNoTracking().Where(f => f.EngineId == record.Engine.Id && f.WithdrawnAt == null).ToListAsync();
        var demands = ContextBuilder.Demands(revision, type, await data.SettingsAsync(), own);
        var judged = Visit.From((record with { Demands = [demands] }).ToCore(), visit.Entries);
        List<JudgedPointRecord> points = [.. from point in judged.Points
                                             let verdict = point.Verdict
                                             where open.Contains(point.Point) && verdict is not null
                                             select new JudgedPointRecord(point.Point, verdict.GetValueOrDefault(), demands.Points.First(d => d.Point == point.Point).Written)];
        return points.Count == 0 ? null : new JudgedLaterRecord(revision.Revision, revision.Source, revision.Date, points);
    }
}
