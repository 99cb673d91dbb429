using ZeroDrift.Contract.Input;
using ZeroDrift.Core;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Judging;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Server.Logbook;

/// <summary>
/// Matches a logbook with the fleet and brings in what is new. A reading is the same when engine, day, point and stage are; so a file read twice
/// adds nothing twice, and a different figure for the same reading is refused, never silently replaced.
/// </summary>
internal sealed class LogbookImport(ZeroDriftContext data, LogbookFile file, DateOnly today)
{
    private readonly List<BadRow> bad = [.. file.Bad];
    private readonly List<LogbookRow> fresh = [];
    private readonly LogbookFleet fleet = new();
    private int alreadyThere;
    private bool asksLetters;

    /// <summary>Understands the file; with <paramref name="save"/> the good rows are brought in.</summary>
    /// <returns>The report, and the engines that got something new.</returns>
    public async Task<LogbookReport> RunAsync(bool save, bool goodOnly, DateTime now)
    {
        await fleet.LoadAsync(data, file.Rows.Select(r => r.Engine));
        Match();
        if (save && bad.Count > 0 && !goodOnly)
            throw new BadInputException("file", $"{bad.Count} of {file.Count} rows cannot be taken, the first in line {bad.Min(b => b.Line)}. Nothing was saved. Mend them, or import the good rows only.");
        var visits = fresh.GroupBy(r => (r.EngineRow!.Id, r.Date)).ToList();
        var newVisits = visits.Count(v => fleet.VisitOf(v.First()) is null);
        var report = new LogbookReport
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
            MissingEngines = [.. file.Rows.Where(r => fleet.EngineOf(r.Engine) is null).GroupBy(r => NameKeys.Of(r.Engine)).Select(g => new MissingEngine(g.First().Engine, g.Count(), g.Max(r => r.Hours)))],
            AsksLetters = asksLetters,
            Saved = save,
        };
        if (save && fresh.Count > 0) await new LogbookWriter(data, fleet, now).WriteAsync(visits.OrderBy(v => v.Key.Date).Select(v => v.ToList()));
        return report;
    }

    /// <summary>Left as found is one reading, not two.</summary>
    internal static bool IsOwnLeft(LogbookRow row) => row.Left is not null && !(row.Found is not null && Same(row.Found, row.Left));

    /// <summary>Equal bounds, or two figures that are one: half a ten-thousandth of an inch either way, in whichever unit it was written. A figure in the middle of a bracket is another.</summary>
    internal static bool Same(Reading a, Reading b) => Near(a.EstimateMm, b.EstimateMm) && Near(a.LowerMm, b.LowerMm) && Near(a.UpperMm, b.UpperMm);

    /// <summary>A figure that stands, as a logbook has it: what dragged is written as its figure alone.</summary>
    private static Reading AsWritten(ReadingRow stands, string unit) => WrittenFigure.Parse(WrittenFigure.Write(stands.ToReading(), WrittenFigure.Unit(unit), stands.Dragged), WrittenFigure.Unit(unit), "as found");

    private static bool Near(double? a, double? b) => (a is null && b is null) || (a is { } x && b is { } y && Math.Abs(x - y) < 0.00015);

    private void Match()
    {
        var seen = new Dictionary<(Guid, DateOnly, Guid), LogbookRow>();
        foreach (var row in file.Rows)
        {
            try
            {
                var known = Known(row);
                if (fleet.GapFor(known) is { } gap)
                {
                    CheckUnit(row, row.Found, row.FoundWritten, "as found", gap.Window);
                    CheckUnit(row, row.Left, row.LeftWritten, "as left", gap.Window);
                }
                if (!seen.TryAdd((known.EngineRow!.Id, row.Date, known.Point!.Id), row))
                {
                    var first = seen[(known.EngineRow.Id, row.Date, known.Point.Id)];
                    throw new BadInputException("valve", $"{row.PointName} of {row.Engine} on {Said.Day(row.Date)} already stands in line {first.Line}; keep one of the two.");
                }
                if (New(known) is { } toAdd) fresh.Add(toAdd);
                else alreadyThere++;
            }
            catch (BadInputException refused)
            {
                bad.Add(new BadRow(row.Line, refused.Field, refused.Message, $"{row.Engine}, {Said.Day(row.Date)}, {row.PointName}, {row.FoundWritten}, {row.LeftWritten} {row.Unit}"));
            }
        }
        RefuseHoursGoingBack();
    }

    private LogbookRow Known(LogbookRow row)
    {
        if (fleet.EngineOf(row.Engine) is not { } engine)
            throw new BadInputException("engine", $"The yard has no engine called '{row.Engine}'. Add it there first, or write its name as the yard does.");
        var type = fleet.TypeOf(engine);
        if (row.EUnclear && type.Facts.Letters == BookLetters.EinlassAuslass)
        {
            // Its own book says E for the intake; a logbook kept by somebody else may mean the exhaust.
            asksLetters = true;
            throw new BadInputException("valve", BookLetterNames.Ask);
        }
        var points = type.Points.Where(p => p.Cylinder == row.Cylinder && p.Kind == row.Kind).ToList();
        if (points.Count == 0)
            throw new BadInputException("cylinder", $"{engine.Name} ({type.Code}) has no {row.Cylinder}{type.Facts.Letters.Letter(row.Kind)}{(row.Place is null ? "" : " " + row.Place)}; its points are {string.Join(' ', type.Points.OrderBy(p => p.Order).Select(p => p.Label))}.");
        var point = points.Count == 1 ? points[0] : points.Find(p => p.Place == row.Place)
            ?? throw new BadInputException("valve", $"Cylinder {row.Cylinder} has {points.Count} of these; say which: {string.Join(" or ", points.Select(p => p.Place))}.");
        if (row.Date > today.AddDays(1)) throw new BadInputException("date", $"{Said.Day(row.Date)} is still to come.");
        return row with { EngineRow = engine, Point = point };
    }

    private static void CheckUnit(LogbookRow row, Reading? reading, string? written, string column, Window window)
    {
        if (reading is null || (reading.EstimateMm ?? reading.UpperMm ?? reading.LowerMm) is not { } mm) return;
        if (!UnitDoubt.IsFarOut(mm, window.MaxMm) && (reading.EstimateMm is null || mm > window.MinMm / 10)) return;
        var other = row.Unit == "thou" ? "mm" : "thou";
        throw new BadInputException(column, FormattableString.Invariant($"{written} {row.Unit} is far from the window {window.MinMm.Millimetres:0.00} – {window.MaxMm.Millimetres:0.00} mm. Was it {written} {other}?"));
    }

    /// <summary>The row with only what is not recorded yet; null where all of it is.</summary>
    private LogbookRow? New(LogbookRow row)
    {
        if (fleet.VisitOf(row) is not { } visit) return row;
        var found = IsNew(row, visit, StandingStage.Found, row.Found, row.FoundWritten, "as found");
        var left = IsNew(row, visit, StandingStage.Left, row.Left, row.LeftWritten, "as left");
        if (!found && !left) return null;
        if (visit.ImportKey is null)
            throw new BadInputException("date", $"{row.Engine} has a record of its own for {Said.Day(row.Date)}, made at the engine; a logbook adds nothing to it.");
        return row with { Found = found ? row.Found : null, Left = left ? row.Left : null };
    }

    private static bool IsNew(LogbookRow row, VisitRow visit, StandingStage stage, Reading? reading, string? written, string column)
    {
        if (reading is null) return false;
        if (Standing(visit, row.Point!.Label, stage) is not { } stands)
        {
            // An untouched point exports its one reading in both columns.
            return !(stage == StandingStage.Left && Standing(visit, row.Point.Label, StandingStage.Found) is { } found && Same(AsWritten(found, row.Unit), reading));
        }
        if (Same(AsWritten(stands, row.Unit), reading)) return false;
        throw new BadInputException(column, $"{row.PointName} on {Said.Day(row.Date)} is already recorded as {WrittenFigure.Write(stands.ToReading(), WrittenFigure.Unit(row.Unit), stands.Dragged)} {row.Unit}, not {written}. Correct it in the record, with who and why.");
    }

    private static ReadingRow? Standing(VisitRow visit, string label, StandingStage stage) => visit.Readings.Find(r => r.Point == label && r.Stage == stage);

    private void RefuseHoursGoingBack()
    {
        foreach (var engine in fresh.GroupBy(r => r.EngineRow!).ToList())
        {
            // A logbook names total hours, through meter changes: it is one meter that was never replaced.
            var known = fleet.KnownHours(engine.Key).Select(k => new MeterReading(k.Date, EngineHours.Of(k.TotalHours))).ToList();
            foreach (var visit in engine.GroupBy(r => r.Date).OrderBy(g => g.Key))
            {
                var hours = visit.First().Hours;
                var misfit = MeterHistory.Of(known).Misfit(new MeterReading(visit.Key, EngineHours.Of(hours)));
                foreach (var row in visit.ToList())
                {
                    var message = Math.Abs(row.Hours - hours) > 1e-9 ? $"{Said.Hours(row.Hours)}, but line {visit.First().Line} says {Said.Hours(hours)} for the same engine and day." : misfit is null ? null : $"{misfit.Sentence()} Total engine hours are meant, through meter changes.";
                    if (message is null) continue;
                    fresh.Remove(row);
                    bad.Add(new BadRow(row.Line, "engine hours", message, $"{row.Engine}, {Said.Day(row.Date)}, {row.PointName}, {row.Hours.ToString(System.Globalization.CultureInfo.InvariantCulture)}"));
                }
                if (fresh.Exists(r => r.EngineRow == engine.Key && r.Date == visit.Key)) known.Add(new MeterReading(visit.Key, EngineHours.Of(hours)));
            }
        }
    }
}
