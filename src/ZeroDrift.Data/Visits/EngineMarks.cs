using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Visits;

namespace ZeroDrift.Data.Visits;

/// <summary>The marks found or chalked on an engine, each as it was told last.</summary>
public static class EngineMarks
{
    /// <summary>By name.</summary>
    public static async Task<IReadOnlyList<MarkRecord>> OfAsync(ZeroDriftContext data, Guid engineId) =>
        [.. (await data.Marks.AsNoTracking().Where(m => m.EngineId == engineId).OrderBy(m => m.VisitKey).ToListAsync())
            .GroupBy(m => m.Name, StringComparer.OrdinalIgnoreCase).Select(g => g.Last()).OrderBy(m => m.Name, StringComparer.Ordinal).Select(m => new MarkRecord(m.Name, m.CrankDeg, m.Trap))];
}
