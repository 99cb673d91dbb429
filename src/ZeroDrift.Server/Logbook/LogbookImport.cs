using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Server.Book;
using ZeroDrift.Server.Outlooks;
using ZeroDrift.Server.Overheads;

namespace ZeroDrift.Server.Logbook;

/// <summary>
/// Matches a logbook with the fleet and brings in what is new. A reading is the same when engine, day, point and stage are; so a file read twice
/// adds nothing twice, and a different figure for the same reading is refused, never silently replaced.
/// </summary>
internal sealed class LogbookImport(ZeroDriftContext context, OutlookCache outlooks, LogbookFile file)
{
    private readonly List<BadRow> bad = [.. file.Bad];
    private readonly List<LogbookRow> fresh = [];
    private readonly Dictionary<Guid, EngineTypeRow> types = [];
    private readonly Dictionary<string, EngineRow> engines = new(StringComparer.OrdinalIgnoreCase);
    private int alreadyThere;

    /// <summary>Understands the file; with <paramref name="save"/> the good rows are brought in.</summary>
    public async Task<LogbookReport> RunAsync(bool save, bool goodOnly)
    {
        await LoadFleetAsync();
        Match();
        if (save && bad.Count > 0 && !goodOnly)
            throw new BadInputException("file", $"{bad.Count} of {file.Count} rows cannot be taken, the first in line {bad.Min(b => b.Line)}. Nothing was saved. Mend them, or import the good rows only.");
        var visits = fresh.GroupBy(r => (r.EngineRow!.Id, r.Date)).ToList();
        var newVisits = visits.Count(v => VisitOf(v.First()) is null);
        if (save && fresh.Count > 0) await SaveAsync();
        return new LogbookReport
        {
            Separator = file.Separator switch { ';' => "semicolon", '\t' => "tab", _ => "comma" },
            Decimal = file.DecimalComma ? "comma" : "point",
            Columns = file.Columns,
            IgnoredColumns = file.Ignored,
            Rows = file.Count,
            NewReadings = fresh.Sum(r => (r.Found is null ? 0 : 1) + (IsOwnLeft(r) ? 1 : 0)),
            AlreadyThere = alreadyThere,
            NewVisits = newVisits,
            Engines = [.. fresh.GroupBy(r => r.EngineRow!.Name).Select(g => new LogbookEngine(g.Key, g.Select(r => r.Date).Distinct().Count(), g.Count(), g.Min(r => r.Date), g.Max(r => r.Date)))],
            FirstRows = [.. fresh.Take(12).Select(r => new LogbookSample(r.Line, r.EngineRow!.Name, r.Date, r.Hours, r.PointName, r.FoundWritten, r.Found?.EstimateMm, r.LeftWritten, r.Left?.EstimateMm, r.Unit, r.Who, r.Remark))],
            BadRows = [.. bad.OrderBy(b => b.Line)],
            Saved = save,
        };
    }

    private async Task LoadFleetAsync()
    {
        var names = file.Rows.Select(r => r.Engine).Distinct(StringComparer.OrdinalIgnoreCase).ToList();
        foreach (var name in names)
        {
            var engine = await context.Engines.Include(e => e.MeterReadings).Include(e => e.Overheads).ThenInclude(o => o.Readings).AsSplitQuery().FirstOrDefaultAsync(e => e.Name == name);
            if (engine is null) continue;
            engines[name] = engine;
            if (!types.ContainsKey(engine.EngineTypeId)) types[engine.EngineTypeId] = await BookEndpoints.LoadAsync(context, engine.EngineTypeId);
        }
    }

    private void Match()
    {
        var fleet = context.Fleet.AsNoTracking().SingleOrDefault() ?? new FleetRow();
        var specs = types.Values.SelectMany(t => t.Revisions).ToDictionary(r => r.Id, r => TypeMapping.Specs(r.Lines, fleet));
        var seen = new Dictionary<(Guid, DateOnly, Guid), LogbookRow>();
        foreach (var row in file.Rows)
        {
            try
            {
                var known = Known(row);
                var revision = types[known.EngineRow!.EngineTypeId].InForce(row.Date);
                if (revision is not null && specs[revision.Id].TryGetValue(row.Kind, out var spec))
                {
                    CheckUnit(row, row.Found, row.FoundWritten, "as found", spec.Window.MinMm, spec.Window.MaxMm);
                    CheckUnit(row, row.Left, row.LeftWritten, "as left", spec.Window.MinMm, spec.Window.MaxMm);
                }
                if (!seen.TryAdd((known.EngineRow.Id, row.Date, known.Point!.Id), row))
                {
                    var first = seen[(known.EngineRow.Id, row.Date, known.Point.Id)];
                    throw new BadInputException("valve", $"{row.PointName} of {row.Engine} on {row.Date:yyyy-MM-dd} already stands in line {first.Line}; keep one of the two.");
                }
                if (New(known) is { } toAdd) fresh.Add(toAdd);
                else alreadyThere++;
            }
            catch (BadInputException refused)
            {
                bad.Add(new BadRow(row.Line, refused.Field, refused.Message, $"{row.Engine}, {row.Date:yyyy-MM-dd}, {row.PointName}, {row.FoundWritten}, {row.LeftWritten} {row.Unit}"));
            }
        }
        RefuseHoursGoingBack();
    }

    private LogbookRow Known(LogbookRow row)
    {
        if (!engines.TryGetValue(row.Engine, out var engine))
            throw new BadInputException("engine", $"The yard has no engine called '{row.Engine}'. Add it there first, or write its name as the yard does.");
        var type = types[engine.EngineTypeId];
        var points = type.Points.Where(p => p.Cylinder == row.Cylinder && p.Kind == row.Kind).ToList();
        if (points.Count == 0)
            throw new BadInputException("cylinder", $"{engine.Name} ({type.Code}) has no {row.PointName}; its points are {string.Join(' ', type.Points.OrderBy(p => p.Order).Select(p => p.Label))}.");
        var point = points.Count == 1 ? points[0] : points.Find(p => p.Place == row.Place)
            ?? throw new BadInputException("valve", $"Cylinder {row.Cylinder} has {points.Count} of these; say which: {string.Join(" or ", points.Select(p => p.Place))}.");
        if (row.Date > outlooks.Today.AddDays(1)) throw new BadInputException("date", $"{row.Date:yyyy-MM-dd} is still to come.");
        return row with { EngineRow = engine, Point = point };
    }

    private static void CheckUnit(LogbookRow row, Reading? reading, string? written, string column, double min, double max)
    {
        if (reading is null || (reading.EstimateMm ?? reading.UpperMm ?? reading.LowerMm) is not { } mm) return;
        if (!UnitDoubt.IsFarOut(mm, max) && (reading.EstimateMm is null || mm > min / 10)) return;
        var other = row.Unit == "thou" ? "mm" : "thou";
        throw new BadInputException(column, FormattableString.Invariant($"{written} {row.Unit} is far from the window {min:0.00} – {max:0.00} mm. Was it {written} {other}?"));
    }

    private OverheadRow? VisitOf(LogbookRow row) => row.EngineRow!.Overheads.Find(o => o.Date == row.Date && o.Job != JobKind.Build) ?? row.EngineRow.Overheads.Find(o => o.Date == row.Date);

    /// <summary>The row with only what is not recorded yet; null where all of it is.</summary>
    private LogbookRow? New(LogbookRow row)
    {
        if (VisitOf(row) is not { } visit) return row;
        var found = IsNew(row, visit, ReadingStage.AsFound, row.Found, row.FoundWritten, "as found");
        var left = IsNew(row, visit, ReadingStage.AsLeft, row.Left, row.LeftWritten, "as left");
        if (!found && !left) return null;
        if (visit.ImportKey is null)
            throw new BadInputException("date", $"{row.Engine} has a record of its own for {row.Date:yyyy-MM-dd}, made at the engine; a logbook adds nothing to it.");
        return row with { Found = found ? row.Found : null, Left = left ? row.Left : null };
    }

    private static bool IsNew(LogbookRow row, OverheadRow visit, ReadingStage stage, Reading? reading, string? written, string column)
    {
        if (reading is null) return false;
        if (visit.Readings.Standing(row.Point!.Id, stage) is not { } stands)
        {
            // An untouched point exports its one reading in both columns.
            return !(stage == ReadingStage.AsLeft && visit.Readings.Standing(row.Point.Id, ReadingStage.AsFound) is { } found && Same(found.ToReading(), reading));
        }
        if (Same(stands.ToReading(), reading)) return false;
        throw new BadInputException(column, $"{row.PointName} on {row.Date:yyyy-MM-dd} is already recorded as {stands.Written ?? WrittenFigure.Write(stands.ToReading(), WrittenFigure.Unit(stands.Unit))} {stands.Unit}, not {written}. Correct it in the record, with who and why.");
    }

    /// <summary>Left as found is one reading, not two.</summary>
    private static bool IsOwnLeft(LogbookRow row) => row.Left is not null && !(row.Found is not null && Same(row.Found, row.Left));

    /// <summary>Half a ten-thousandth of an inch either way is the same figure, in whichever unit it was written.</summary>
    private static bool Same(Reading a, Reading b) => Near(a.EstimateMm, b.EstimateMm) && Near(a.LowerMm, b.LowerMm) && Near(a.UpperMm, b.UpperMm)
        || (a.EstimateMm is not null && b.EstimateMm is not null && Near(a.EstimateMm, b.EstimateMm));

    private static bool Near(double? a, double? b) => (a is null && b is null) || (a is { } x && b is { } y && Math.Abs(x - y) < 0.00015);

    private void RefuseHoursGoingBack()
    {
        foreach (var engine in fresh.GroupBy(r => r.EngineRow!).ToList())
        {
            var known = engine.Key.Overheads.Select(o => (o.Date, o.TotalHours)).Concat(engine.Key.Meter().Totals.Select(t => (t.Date, t.TotalHours))).ToList();
            foreach (var visit in engine.GroupBy(r => r.Date).OrderBy(g => g.Key))
            {
                var hours = visit.First().Hours;
                var before = known.Where(k => k.Date < visit.Key).Select(k => (double?)k.TotalHours).Max();
                var after = known.Where(k => k.Date > visit.Key).Select(k => (double?)k.TotalHours).Min();
                foreach (var row in visit.ToList())
                {
                    var message = row.Hours != hours ? FormattableString.Invariant($"{row.Hours} h, but line {visit.First().Line} says {hours} h for the same engine and day.")
                        : row.Hours < before ? FormattableString.Invariant($"{row.Hours} h on {row.Date:yyyy-MM-dd} is below {before} h, which {row.Engine} had already run before that day. Total engine hours are meant, through meter changes.")
                        : row.Hours > after ? FormattableString.Invariant($"{row.Hours} h on {row.Date:yyyy-MM-dd} is above {after} h, which {row.Engine} showed only later.")
                        : null;
                    if (message is null) continue;
                    fresh.Remove(row);
                    bad.Add(new BadRow(row.Line, "engine hours", message, $"{row.Engine}, {row.Date:yyyy-MM-dd}, {row.PointName}, {row.Hours.ToString(System.Globalization.CultureInfo.InvariantCulture)}"));
                }
                if (fresh.Exists(r => r.EngineRow == engine.Key && r.Date == visit.Key)) known.Add((visit.Key, hours));
            }
        }
    }

    private async Task SaveAsync()
    {
        foreach (var group in fresh.GroupBy(r => (r.EngineRow!.Id, r.Date)).OrderBy(g => g.Key.Date))
        {
            var first = group.First();
            var engine = first.EngineRow!;
            var type = types[engine.EngineTypeId];
            var visit = VisitOf(first);
            if (visit is null)
            {
                visit = NewVisit(first, engine, type, group);
                context.Overheads.Add(visit);
                if (!engine.MeterReadings.Exists(m => m.Date >= first.Date))
                {
                    var meter = new MeterReadingRow { Id = Guid.CreateVersion7(), EngineId = engine.Id, Date = first.Date, ShownHours = engine.Meter().ShownFor(first.Hours), Who = first.Who, Remark = "From the logbook." };
                    context.MeterReadings.Add(meter);
                }
            }
            foreach (var row in group)
            {
                if (row.Found is not null) context.Readings.Add(Reading(visit, row, ReadingStage.AsFound, row.Found, row.FoundWritten!));
                if (IsOwnLeft(row)) context.Readings.Add(Reading(visit, row, ReadingStage.AsLeft, row.Left!, row.LeftWritten!));
            }
        }
        await context.SaveChangesAsync();
        foreach (var type in types.Keys) outlooks.Forget(type);
    }

    private static OverheadRow NewVisit(LogbookRow first, EngineRow engine, EngineTypeRow type, IEnumerable<LogbookRow> rows)
    {
        var revision = type.InForce(first.Date) ?? throw new BadInputException("file", $"The book has no clearances for {type.Code}; add them before importing.");
        var at = first.Date.ToDateTime(new TimeOnly(12, 0), DateTimeKind.Utc);
        var who = string.Join(", ", rows.Select(r => r.Who).Where(w => w is not null).Distinct()) is { Length: > 0 } names ? names : "logbook";
        var everyPoint = type.Points.All(p => rows.Any(r => r.Point!.Id == p.Id));
        return new OverheadRow
        {
            Id = Guid.CreateVersion7(),
            EngineId = engine.Id,
            Job = everyPoint ? JobKind.Overhead : JobKind.SpotCheck,
            Date = first.Date,
            TotalHours = first.Hours,
            ShownHours = first.Hours,
            SpecRevisionId = revision.Id,
            Method = type.Method,
            Condition = revision.Condition,
            Who = who[..Math.Min(who.Length, 80)],
            TrayUnit = first.Unit,
            MeasuringMethod = "logbook",
            Remark = "From a logbook.",
            StartedAt = at,
            SignedAt = at,
            SignedBy = who[..Math.Min(who.Length, 80)],
            ImportKey = $"{engine.Id}/{first.Date:yyyy-MM-dd}",
        };
    }

    private static ReadingRow Reading(OverheadRow visit, LogbookRow row, ReadingStage stage, Reading reading, string written) => new()
    {
        Id = Guid.CreateVersion7(),
        OverheadId = visit.Id,
        PointId = row.Point!.Id,
        Stage = stage,
        Written = written,
        Unit = row.Unit,
        LowerMm = reading.LowerMm,
        UpperMm = reading.UpperMm,
        EstimateMm = reading.EstimateMm,
        UncertaintyMm = reading.StandardUncertaintyMm,
        Who = row.Who ?? "logbook",
        Remark = row.Remark,
        At = visit.StartedAt,
        KeptAt = visit.StartedAt,
    };
}
