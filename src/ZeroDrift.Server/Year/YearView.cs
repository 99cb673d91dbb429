using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Outlooks;
using ZeroDrift.Data.Visits;

namespace ZeroDrift.Server.Year;

/// <summary>What a stretch of days came to, engine by engine: from the rows of signed visits, the meters and what is known of each engine today.</summary>
internal static class YearView
{
    public static async Task<YearResponse> OfAsync(ZeroDriftContext data, DateOnly from, DateOnly until, CancellationToken cancelled)
    {
        var fleet = await data.SettingsAsync();
        var visits = (await data.Visits.AsNoTracking().Where(v => v.State == VisitState.Signed && v.Date >= from && v.Date <= until).OrderBy(v => v.Date).ThenBy(v => v.Key).ToListAsync(cancelled)).ToLookup(v => v.EngineId);
        var opened = visits.Select(v => v.Key).ToHashSet();
        var engines = (await data.Engines.AsNoTracking().Include(e => e.Machine!.Site).Include(e => e.EngineType).OrderBy(e => e.Name).ToListAsync(cancelled)).Where(e => e.ArchivedAt is null || opened.Contains(e.Id)).ToList();
        var people = await data.People.AsNoTracking().ToDictionaryAsync(p => p.Id, p => p.Name, cancelled);
        var meters = await data.MetersAsync([.. engines.Select(e => e.Id)], cancelled);
        var began = await data.Visits.AsNoTracking().Where(v => v.State == VisitState.Signed && v.StartsClock && v.Date < from).GroupBy(v => v.EngineId).Select(g => new { g.Key, Date = g.Max(v => v.Date) }).ToDictionaryAsync(g => g.Key, g => g.Date, cancelled);
        var took = await data.Visits.AsNoTracking().Where(v => v.State == VisitState.Signed && v.Job == JobKind.Overhead && v.WorkedHours != null).GroupBy(v => v.Engine!.EngineTypeId).Select(g => new { g.Key, Hours = g.Average(v => v.WorkedHours!.Value) }).ToDictionaryAsync(g => g.Key, g => g.Hours, cancelled);
        var outlooks = (await data.Outlooks.AsNoTracking().Select(o => new { o.EngineId, o.Content }).ToListAsync(cancelled)).ToDictionary(o => o.EngineId, o => OutlookContent.Of(o.Content));
        var changed = await ChangedAsync(data, visits, cancelled);
        var changedAfter = outlooks.Values.SelectMany(o => o.Voice.Named.Select(point => o.Point(point).ChangedAfterVisit)).OfType<Guid>().ToList();
        var dates = await data.Visits.AsNoTracking().Where(v => changedAfter.Contains(v.Id) && v.State == VisitState.Signed).Select(v => new { v.Id, v.Date }).ToDictionaryAsync(v => v.Id, v => v.Date, cancelled);
        var rows = engines.Select(Row).ToList();
        return new YearResponse(
            fleet.Name,
            from,
            until,
            Sum(rows),
            rows,
            [.. rows.GroupBy(r => r.Machine).OrderBy(g => g.Key).Select(g => new YearKind(g.Key, g.Count(), Sum(g)))],
            [.. rows.GroupBy(r => r.Site).OrderBy(g => g.Key, StringComparer.Ordinal).Select(g => new YearPlace(g.Key, g.Count(), Sum(g)))]);

        static YearFigures Sum(IEnumerable<YearEngine> rows) => YearFigures.Sum(rows.Select(r => r.Figures));

        YearEngine Row(EngineRow engine)
        {
            var mine = visits[engine.Id].ToList();
            var totals = meters[engine.Id].ToHistory().Totals;
            var book = engine.EngineType!.Facts;
            var first = began.TryGetValue(engine.Id, out var on) ? on : totals.Count > 0 ? totals[0].Date : (DateOnly?)null;
            var called = first is { } since ? BookOpenings.Between(totals, EngineHours.Of(book.BookHours), book.BookMonths, since, from, until).Count : 0;
            var cost = took.TryGetValue(engine.EngineTypeId, out var hours) ? hours : (double?)null;
            var parts = mine.SelectMany(v => changed.GetValueOrDefault(v.Id)?.Parts ?? []).GroupBy(p => p, StringComparer.OrdinalIgnoreCase).Select(g => new YearParts(g.First(), g.Count())).OrderBy(p => p.Part, StringComparer.Ordinal).ToList();
            return new YearEngine
            {
                EngineId = engine.Id,
                Name = engine.Name,
                Machine = engine.Machine!.Kind,
                Site = engine.Machine.Site!.Name,
                TypeCode = engine.EngineType.Code,
                Archived = engine.ArchivedAt is not null,
                Figures = new YearFigures(
                    mine.Count(v => v.Job == JobKind.Overhead),
                    mine.Count(v => v.Job is JobKind.SpotCheck or JobKind.ReceivingCheck),
                    mine.Count(v => v.Job == JobKind.Build),
                    mine.Where(v => v.Job != JobKind.Build).Sum(v => v.Measured),
                    mine.Sum(v => v.OutAsFound),
                    mine.Sum(v => v.SetCount),
                    HoursRead.Between(totals, from, until),
                    mine.Sum(v => v.WorkedHours ?? 0),
                    mine.Count(v => v.WorkedHours is not null),
                    parts.Sum(p => p.Count),
                    mine.Sum(v => changed.GetValueOrDefault(v.Id)?.Shims ?? 0),
                    called,
                    cost is null ? 0 : called,
                    cost is null || called == 0 ? null : called * cost),
                Openings = [.. mine.Select(v => new YearOpening(v.Id, v.Date, v.Job, v.OpenedBy is { } by ? people.GetValueOrDefault(by, "") : "", v.Measured, v.OutAsFound, v.Worst, v.WorstMm, v.WorstState, v.SetCount, v.WorkedHours))],
                Failing = outlooks.TryGetValue(engine.Id, out var content) ? Failing(content) : [],
                Parts = parts,
            };
        }

        IReadOnlyList<YearFailing> Failing(OutlookContent outlook) =>
            [.. outlook.Voice.Named.Select(point => new YearFailing(point, outlook.Point(point).ChangedAfterVisit is { } visit && dates.TryGetValue(visit, out var date) ? date : null))];
    }

    private sealed record Changed(IReadOnlyList<string> Parts, int Shims);

    /// <summary>What was changed at the visits that changed something: only these are folded.</summary>
    private static async Task<Dictionary<Guid, Changed>> ChangedAsync(ZeroDriftContext data, ILookup<Guid, VisitRow> visits, CancellationToken cancelled)
    {
        var all = visits.SelectMany(v => v).ToDictionary(v => v.Key, v => v.Id);
        var found = new Dictionary<Guid, Changed>();
        foreach (var keys in all.Keys.Chunk(500))
        {
            var which = await data.Entries.AsNoTracking().Where(e => keys.Contains(e.VisitKey) && (e.Content.Contains("\"partChanged\"") || e.Content.Contains("\"shimFitted\""))).Select(e => e.VisitKey).Distinct().ToListAsync(cancelled);
            foreach (var key in which)
            {
                var visit = (await VisitReader.LoadAsync(data, all[key], cancelled: cancelled))!.Visit;
                found[all[key]] = new Changed([.. visit.Parts.Select(p => p.Part)], visit.Work.Count(w => w.Change is not null));
            }
        }
        return found;
    }
}
