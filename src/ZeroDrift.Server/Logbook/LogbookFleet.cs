using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Server.Logbook;

/// <summary>What the fleet knows of the engines a logbook names, read with a handful of queries whatever the number of names.</summary>
internal sealed class LogbookFleet
{
    private Dictionary<string, EngineRow> engines = [];
    private Dictionary<Guid, EngineTypeRow> types = [];
    private ILookup<Guid, VisitRow> visits = Array.Empty<VisitRow>().ToLookup(v => v.EngineId);
    private ILookup<Guid, EngineFigureRow> figures = Array.Empty<EngineFigureRow>().ToLookup(f => f.EngineId);
    private readonly Dictionary<(Guid Revision, Guid? Engine, int Own), IReadOnlyDictionary<Core.Engines.LashKind, Demand>> demands = [];

    public FleetRow Fleet { get; private set; } = new();

    public async Task LoadAsync(ZeroDriftContext data, IEnumerable<string> names, CancellationToken cancelled = default)
    {
        Fleet = await data.SettingsAsync();
        var wanted = names.Select(NameKeys.Of).ToHashSet();
        // One question for all names; a fleet's engines are few beside a file's rows.
        var all = await data.Engines.AsNoTracking().Where(e => e.ArchivedAt == null).Select(e => new { e.Id, e.NameKey }).ToListAsync(cancelled);
        var ids = all.Where(e => wanted.Contains(e.NameKey)).Select(e => e.Id).ToList();
        var found = new List<EngineRow>();
        var own = new List<VisitRow>();
        var odd = new List<EngineFigureRow>();
        foreach (var chunk in ids.Chunk(500))
        {
            found.AddRange(await data.Engines.AsNoTracking().Include(e => e.MeterReadings).Include(e => e.Machine!.Site).AsSplitQuery().Where(e => chunk.Contains(e.Id)).ToListAsync(cancelled));
            own.AddRange(await data.Visits.AsNoTracking().Include(v => v.Readings).AsSplitQuery().Where(v => chunk.Contains(v.EngineId) && v.State == VisitState.Signed && !v.Bench).ToListAsync(cancelled));
            odd.AddRange(await data.EngineFigures.AsNoTracking().Where(f => chunk.Contains(f.EngineId) && f.WithdrawnAt == null).ToListAsync(cancelled));
        }
        figures = odd.ToLookup(f => f.EngineId);
        engines = found.ToDictionary(e => e.NameKey);
        visits = own.ToLookup(v => v.EngineId);
        var typeIds = found.Select(e => e.EngineTypeId).Distinct().ToList();
        types = await data.WholeTypes.Where(t => typeIds.Contains(t.Id)).ToDictionaryAsync(t => t.Id, cancelled);
    }

    public EngineRow? EngineOf(string name) => engines.GetValueOrDefault(NameKeys.Of(name));

    public EngineTypeRow TypeOf(EngineRow engine) => types[engine.EngineTypeId];

    public VisitRow? VisitOf(LogbookRow row)
    {
        var own = visits[row.EngineRow!.Id].Where(v => v.Date == row.Date).ToList();
        return own.Find(v => v.Job != JobKind.Build) ?? own.FirstOrDefault();
    }

    public SpecRevisionRow? RevisionFor(LogbookRow row) => TypeOf(row.EngineRow!).InForce(row.Date);

    /// <summary>The engine's own figures that held on that day already.</summary>
    public IReadOnlyList<EngineFigureRow> OwnFor(LogbookRow row) => [.. figures[row.EngineRow!.Id].Where(f => f.Date <= row.Date)];

    public Demand.Gap? GapFor(LogbookRow row)
    {
        if (RevisionFor(row) is not { } revision) return null;
        var own = OwnFor(row);
        // Worked out once a revision, and once more for each set of figures that an engine has carried: those of a later day only add to it.
        var key = (revision.Id, own.Count == 0 ? (Guid?)null : row.EngineRow!.Id, own.Count);
        if (!demands.TryGetValue(key, out var known)) demands[key] = known = DemandMapping.Demands(OwnFigures.Over(revision, own).Select(l => l.Line), Fleet);
        return known.GetValueOrDefault(row.Kind) as Demand.Gap;
    }

    public List<(DateOnly Date, double TotalHours)> KnownHours(EngineRow engine) =>
        [.. visits[engine.Id].Where(v => v.TotalHours is not null).Select(v => (v.Date, v.TotalHours!.Value)), .. engine.MeterReadings.ToHistory().Totals.Select(t => (t.Date, t.TotalHours))];
}
