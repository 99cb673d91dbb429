using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Shims;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Shims.Jobs;

/// <summary>The second visit in the plan: a job to fit shims that waits for what is on order.</summary>
internal static class FitJobs
{
    public const string Title = "Fit shims";

    /// <summary>The fitting of each engine waits until the ordered shims are expected; where the plan has none, it gets one.</summary>
    public static async Task WaitForShimsAsync(ZeroDriftContext data, IEnumerable<Guid> engines, ShimJobRow job, FleetDay day)
    {
        var bought = job.Places.Where(p => p.Origin == ShimOrigin.Buy).GroupBy(p => p.NewMm).OrderBy(g => g.Key).ToList();
        var lead = job.ExpectedOn is { } expected ? Math.Max(0, expected.DayNumber - day.Today.DayNumber) : 0;
        foreach (var engine in engines)
        {
            var fit = await data.Jobs.Where(j => j.EngineId == engine && j.State == JobState.Open && j.Title == Title).OrderBy(j => j.MadeAt).FirstOrDefaultAsync();
            if (fit is null) data.Jobs.Add(fit = new JobRow { Id = Guid.CreateVersion7(), EngineId = engine, Title = Title, DueDate = day.Today.AddDays(lead + 7), MadeAt = day.Now });
            fit.Parts = [.. bought.Select(b => new JobPartRow { Name = FormattableString.Invariant($"shim {b.Key:0.00#} mm, {b.Count()}"), LeadDays = lead, OrderedOn = day.Today })];
            if (fit.DueDate < day.Today.AddDays(lead)) fit.DueDate = day.Today.AddDays(lead + 1);
            fit.Version++;
        }
    }

    /// <summary>What was ordered is here.</summary>
    public static async Task PartsInAsync(ZeroDriftContext data, IReadOnlyList<Guid> visits)
    {
        foreach (var fit in await Open(data, visits).ToListAsync())
        {
            fit.Parts = [.. fit.Parts.Select(p => new JobPartRow { Name = p.Name, LeadDays = p.LeadDays, OrderedOn = p.OrderedOn, Here = true })];
            fit.Version++;
        }
    }

    /// <summary>Nothing is fitted by it after all.</summary>
    public static async Task DropAsync(ZeroDriftContext data, IReadOnlyList<Guid> visits)
    {
        foreach (var fit in await Open(data, visits).ToListAsync())
        {
            fit.Parts = [];
            fit.Version++;
        }
    }

    private static IQueryable<JobRow> Open(ZeroDriftContext data, IReadOnlyList<Guid> visits) =>
        data.Jobs.Where(j => j.State == JobState.Open && j.Title == Title && data.Visits.Any(v => visits.Contains(v.Id) && v.EngineId == j.EngineId));
}
