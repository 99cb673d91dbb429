using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data.Visits;

/// <summary>Which open job a visit is: the one its opening names, else an overhead or a build does the engine's overhead that is due first.</summary>
public static class JobOfVisit
{
    /// <summary>The job; null where it is none.</summary>
    public static Task<Guid?> FindAsync(ZeroDriftContext data, Opened opened) => FindAsync(data, opened.EngineId, opened.Job, opened.JobId);

    /// <summary>The job of a visit that is to be opened.</summary>
    public static async Task<Guid?> FindAsync(ZeroDriftContext data, Guid engineId, JobKind kind, Guid? jobId)
    {
        // Other work that opens the engine is no overhead.
        var open = await data.Jobs.AsNoTracking().Where(j => j.EngineId == engineId && j.State == JobState.Open).Select(j => new { j.Id, j.Opens, j.DueDate, j.MadeAt }).ToListAsync();
        if (jobId is { } named && open.Exists(j => j.Id == named)) return named;
        if (kind is not (JobKind.Overhead or JobKind.Build)) return null;
        return open.Where(j => !j.Opens).OrderBy(j => j.DueDate ?? DateOnly.MaxValue).ThenBy(j => j.MadeAt).FirstOrDefault()?.Id;
    }

    /// <summary>The job that a signed visit was: done, whatever the door it was opened by.</summary>
    public static async Task CloseAsync(ZeroDriftContext data, VisitRow row, Opened opened)
    {
        if (await data.Jobs.AnyAsync(j => j.VisitId == row.Id) || await FindAsync(data, opened) is not { } id) return;
        var job = await data.Jobs.FirstAsync(j => j.Id == id);
        (job.State, job.VisitId) = (JobState.Done, row.Id);
        job.Version++;
    }
}
