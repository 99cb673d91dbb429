using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Visits;

/// <summary>Which open job a visit is: the one its opening names, else an overhead or a build does the engine's overhead that is due first.</summary>
public static class JobOfVisit
{
    /// <summary>The job; null where it is none.</summary>
    public static async Task<Guid?> FindAsync(ZeroDriftContext data, Opened opened)
    {
        // Other work that opens the engine is no overhead.
        var open = await data.Jobs.AsNoTracking().Where(j => j.EngineId == opened.EngineId && j.State == JobState.Open).Select(j => new { j.Id, j.Opens, j.DueDate, j.MadeAt }).ToListAsync();
        if (opened.JobId is { } named && open.Exists(j => j.Id == named)) return named;
        if (opened.Job is not (JobKind.Overhead or JobKind.Build)) return null;
        return open.Where(j => !j.Opens).OrderBy(j => j.DueDate ?? DateOnly.MaxValue).ThenBy(j => j.MadeAt).FirstOrDefault()?.Id;
    }
}
