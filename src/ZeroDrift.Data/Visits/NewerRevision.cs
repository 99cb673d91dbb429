using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Data.Mapping;

namespace ZeroDrift.Data.Visits;

/// <summary>A revision that came to the book after the one a visit is judged by: said beside the record, which stays as it is.</summary>
public static class NewerRevision
{
    /// <summary>The newest in force of the same condition; null where it is the one judged by.</summary>
    public static async Task<NewerRevisionRecord?> OfAsync(ZeroDriftContext data, StoredVisit stored, DateOnly today)
    {
        if (stored.Visit.Demands is not { } judged) return null;
        var typeId = stored.Context.Record.Type.Id;
        var revisions = await data.SpecRevisions.AsNoTracking().Where(r => r.EngineTypeId == typeId && r.Condition == judged.Condition).ToListAsync();
        if (TypeMapping.InForce(revisions, today) is not { } now) return null;
        var then = stored.Context.Record.Demands.FirstOrDefault(d => d.Revision == judged.Revision && d.Condition == judged.Condition);
        return then is null || then.RevisionId == now.Id || now.Date < then.Date ? null : new NewerRevisionRecord(now.Revision, now.Source, now.Date);
    }
}
