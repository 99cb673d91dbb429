using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Lengths;
using ZeroDrift.Core.Measuring;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Projections;
using ZeroDrift.Data.Storage;
using ZeroDrift.Data.Visits;

namespace ZeroDrift.Data.Starting;

/// <summary>
/// Carries a file of the first version over into a new one: every type, engine, meter reading, record, try, figure, correction and name. There a
/// visit was an edited row; here it becomes the list of entries that leads to the same.
/// </summary>
internal static class FirstVersion
{
    private const string Device = "first version";

    /// <summary>Reads the old file and writes the new one, which does not exist yet.</summary>
    public static async Task CarryOverAsync(string oldPath, string newPath)
    {
        await using var data = new ZeroDriftContext(DatabaseFile.Options(newPath, pooling: false).Options);
        await data.Database.MigrateAsync();
        await using var old = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = oldPath, Mode = SqliteOpenMode.ReadWrite, Pooling = false }.ToString());
        await old.OpenAsync();
        await using var transaction = await data.Database.BeginTransactionAsync();
        await new Carrier(data, old).RunAsync();
        await transaction.CommitAsync();
    }

    private sealed class Carrier(ZeroDriftContext data, SqliteConnection old)
    {
        private readonly Dictionary<string, PersonRow> people = new(StringComparer.Ordinal);
        private readonly Dictionary<Guid, EngineTypeRow> types = [];
        private readonly Dictionary<Guid, EngineRow> engines = [];
        private FleetRow fleet = new();

        public async Task RunAsync()
        {
            Fleet();
            Types();
            Engines();
            People();
            await data.SaveChangesAsync();
            Meters();
            await data.SaveChangesAsync();
            data.ChangeTracker.Clear();
            var contexts = new Dictionary<string, KnownContext>();
            var meters = (await data.MeterReadings.AsNoTracking().ToListAsync()).ToLookup(m => m.EngineId);
            using var writer = new VisitWriter(data);
            var visits = Rows("SELECT * FROM Overheads ORDER BY StartedAt, Id").ToList();
            var readings = Rows("SELECT * FROM Readings ORDER BY At, rowid").ToLookup(r => r.Id("OverheadId"));
            foreach (var visit in visits) Visit(visit, [.. readings[visit.Id("Id")]], contexts, [.. meters[visit.Id("EngineId")]], writer);
            await data.SaveChangesAsync();
            await Projector.OutlooksAsync(data, DateOnly.FromDateTime(DateTime.UtcNow));
        }

        private void Fleet()
        {
            if (Rows("SELECT * FROM Fleet").FirstOrDefault() is not { } row) return;
            fleet = new FleetRow { Name = row.Text("Name"), Risk = row.Number("Risk"), ToleranceTightMm = row.Number("ToleranceTightMm"), ToleranceLooseMm = row.Number("ToleranceLooseMm"), TimeZone = row.Text("TimeZone") };
            data.Fleet.Add(fleet);
        }

        private void Types()
        {
            foreach (var row in Rows("SELECT * FROM EngineTypes"))
            {
                var type = new EngineTypeRow
                {
                    Id = row.Id("Id"),
                    Code = row.Text("Code"),
                    Name = row.Text("Name"),
                    Facts = new TypeFacts
                    {
                        Cycle = row.Word<EngineCycle>("Cycle"),
                        FiringAnglesDeg = row.Json<List<double>>("FiringAnglesDeg"),
                        RampGuardDeg = row.Number("RampGuardDeg"),
                        Adjuster = row.Word<AdjusterKind>("Adjuster"),
                        PitchMm = row.OptionalNumber("PitchMm"),
                        ClearancePerTravel = row.Number("ClearancePerTravel"),
                        ClockwiseCloses = row.Number("ClockwiseCloses") != 0,
                        Method = row.Word<TurningMethod>("Method"),
                        Rotation = row.Text("Rotation"),
                        BarringTool = row.Text("BarringTool"),
                        ToolTurnsPerCrankTurn = row.Number("ToolTurnsPerCrankTurn"),
                        BookHours = row.OptionalNumber("BookHours"),
                        BookMonths = (int?)row.OptionalNumber("BookMonths"),
                        FirstCheckHours = row.OptionalNumber("FirstCheckHours"),
                        BreakInHours = row.Number("BreakInHours"),
                        JobHours = row.Number("JobHours"),
                    },
                    FiringOrder = row.Text("FiringOrder"),
                    Timing = row.OptionalNumber("Timing_IvoBtdc") is { } ivo ? new ValveTiming(ivo, row.Number("Timing_IvcAbdc"), row.Number("Timing_EvoBbdc"), row.Number("Timing_EvcAtdc")) : null,
                    Banks = row.Text("Banks"),
                    Layout = row.Text("Layout"),
                    BookStops = row.Json<List<BookStopRow>>("BookStops") ?? [],
                };
                types[type.Id] = type;
                data.EngineTypes.Add(type);
            }
            foreach (var row in Rows("SELECT * FROM LashPoints"))
                types[row.Id("EngineTypeId")].Points.Add(new LashPointRow { Id = row.Id("Id"), EngineTypeId = row.Id("EngineTypeId"), Label = row.Text("Label"), Cylinder = (int)row.Number("Cylinder"), Kind = row.Word<LashKind>("Kind"), Place = row.OptionalText("Place"), Adjuster = row.Word<AdjusterKind>("Adjuster"), Bank = (int)row.Number("Bank"), Along = (int)row.Number("Along"), Order = (int)row.Number("Order") });
            foreach (var row in Rows("SELECT * FROM SpecRevisions"))
                types[row.Id("EngineTypeId")].Revisions.Add(new SpecRevisionRow { Id = row.Id("Id"), EngineTypeId = row.Id("EngineTypeId"), Revision = row.Text("Revision"), Source = row.Text("Source"), Date = row.Day("Date"), Condition = row.Word<SpecCondition>("Condition"), Lines = row.Json<List<SpecLineRow>>("Lines") ?? [] });
        }

        private void Engines()
        {
            var sites = new Dictionary<string, SiteRow>(StringComparer.Ordinal);
            var machineNames = new HashSet<string>(StringComparer.Ordinal);
            foreach (var row in Rows("SELECT * FROM Engines ORDER BY Name"))
            {
                var key = NameKeys.Of(row.Text("Site"));
                if (!sites.TryGetValue(key, out var site))
                {
                    sites[key] = site = new SiteRow { Id = Guid.CreateVersion7(), Name = NameKeys.Clean(row.Text("Site")) };
                    data.Sites.Add(site);
                }
                var name = Unique(row.Text("Name"), machineNames);
                var machine = new MachineRow { Id = Guid.CreateVersion7(), Name = name, Kind = row.Word<MachineKind>("Machine"), SiteId = site.Id, Site = site };
                data.Machines.Add(machine);
                var engine = new EngineRow { Id = row.Id("Id"), Name = name, MachineId = machine.Id, Machine = machine, EngineTypeId = row.Id("EngineTypeId"), DutyHoursPerDay = row.Number("DutyHoursPerDay"), MonthlyWeights = row.Json<List<double>>("MonthlyWeights"), Remark = row.OptionalText("Remark") };
                engines[engine.Id] = engine;
                data.Engines.Add(engine);
            }
        }

        /// <summary>Two names the first version told apart only by spelling stay apart.</summary>
        private static string Unique(string name, HashSet<string> taken)
        {
            var clean = NameKeys.Clean(name);
            for (var i = 2; !taken.Add(NameKeys.Of(clean)); i++) clean = $"{NameKeys.Clean(name)} ({i})";
            return clean;
        }

        private void People()
        {
            foreach (var row in Rows("SELECT Who AS Name FROM Overheads UNION SELECT SignedBy FROM Overheads UNION SELECT Who FROM Readings")) if (row.OptionalText("Name") is { } name) PersonOf(name);
        }

        private PersonRow PersonOf(string? name)
        {
            var clean = NameKeys.Clean(name ?? "") is { Length: > 0 } given ? given : "not named";
            if (people.TryGetValue(NameKeys.Of(clean), out var person)) return person;
            person = new PersonRow { Id = Guid.CreateVersion7(), Name = clean, Initials = Initials.Of(clean) };
            people[NameKeys.Of(clean)] = person;
            data.People.Add(person);
            return person;
        }

        private void Meters()
        {
            long sequence = 0;
            foreach (var row in Rows("SELECT * FROM MeterReadings ORDER BY EngineId, Date, Id"))
                data.MeterReadings.Add(new MeterReadingRow { Sequence = ++sequence, Id = row.Id("Id"), EngineId = row.Id("EngineId"), Date = row.Day("Date"), ShownHours = row.Number("ShownHours"), NewMeterShows = row.OptionalNumber("NewMeterShows"), Who = row.OptionalText("Who"), Remark = row.OptionalText("Remark") });
        }

        private void Visit(Row row, List<Row> readings, Dictionary<string, KnownContext> contexts, List<MeterReadingRow> meter, VisitWriter writer)
        {
            var engine = engines[row.Id("EngineId")];
            var type = types[engine.EngineTypeId];
            var revision = type.Revisions.Single(r => r.Id == row.Id("SpecRevisionId"));
            var key = $"{engine.Id}/{revision.Id}";
            if (!contexts.TryGetValue(key, out var context))
                contexts[key] = context = writer.Keep(ContextBuilder.Of(engine, type, fleet, [.. people.Values.OrderBy(p => p.Name, StringComparer.Ordinal)], [revision]));
            var history = meter.ToHistory();
            var draft = new VisitDraft(row.Id("Id"), engine.Id, PersonOf(row.OptionalText("Who")).Id, row.Instant("StartedAt"), Device);
            new Writer(draft, row, readings, type, context.Core, PersonOf).Write(history);
            var visit = writer.Write(draft, context, history, row.OptionalText("ImportKey"));
            if (meter.Find(m => m.VisitId is null && m.Date == visit.Date && m.ShownHours == visit.ShownHours && m.NewMeterShows is null) is not { } read) return;
            read.VisitId = visit.Id;
            writer.ReadAt(read);
        }

        private IEnumerable<Row> Rows(string sql)
        {
            using var command = old.CreateCommand();
            command.CommandText = sql;
            using var reader = command.ExecuteReader();
            var rows = new List<Row>();
            while (reader.Read())
            {
                var values = new Dictionary<string, object?>(StringComparer.Ordinal);
                for (var i = 0; i < reader.FieldCount; i++) values[reader.GetName(i)] = reader.IsDBNull(i) ? null : reader.GetValue(i);
                rows.Add(new Row(values));
            }
            return rows;
        }
    }

    /// <summary>One row of the old file.</summary>
    private sealed class Row(Dictionary<string, object?> values)
    {
        public string Text(string name) => OptionalText(name) ?? "";

        public string? OptionalText(string name) => values[name] as string;

        public double Number(string name) => OptionalNumber(name) ?? 0;

        public double? OptionalNumber(string name) => values[name] is { } value ? Convert.ToDouble(value, CultureInfo.InvariantCulture) : null;

        public Guid Id(string name) => Guid.Parse(Text(name));

        public Guid? OptionalId(string name) => OptionalText(name) is { } text ? Guid.Parse(text) : null;

        public DateOnly Day(string name) => DateOnly.Parse(Text(name)[..10], CultureInfo.InvariantCulture);

        public DateTimeOffset Instant(string name) => new(DateTime.SpecifyKind(DateTime.Parse(Text(name), CultureInfo.InvariantCulture), DateTimeKind.Utc));

        public DateTimeOffset? OptionalInstant(string name) => OptionalText(name) is null ? null : Instant(name);

        public T Word<T>(string name) where T : struct, Enum => Enum.Parse<T>(Text(name));

        public T? Json<T>(string name) where T : class => OptionalText(name) is { } text ? JsonSerializer.Deserialize<T>(text, EnumWords) : null;

        private static readonly JsonSerializerOptions EnumWords = new() { Converters = { new System.Text.Json.Serialization.JsonStringEnumConverter() } };
    }

    /// <summary>Writes the entries of one visit.</summary>
    private sealed class Writer(VisitDraft draft, Row visit, List<Row> readings, EngineTypeRow type, VisitContext context, Func<string?, PersonRow> personOf)
    {
        private readonly Dictionary<Guid, Guid> lastEntry = [];
        private readonly Dictionary<Guid, string> labels = type.Points.ToDictionary(p => p.Id, p => p.Label);

        public void Write(Core.Hours.MeterHistory meter)
        {
            var signedAt = visit.OptionalInstant("SignedAt");
            Open(meter);
            Prepare();
            var late = new List<Row>();
            foreach (var reading in readings)
            {
                if (reading.OptionalId("CorrectsId") is not null)
                {
                    if (signedAt is not null) late.Add(reading);
                    else Replace(reading);
                    continue;
                }
                Measure(reading, reading.Id("Id"));
            }
            Step("closeUp");
            if (signedAt is { } at)
            {
                (draft.At, draft.By) = (at, personOf(visit.OptionalText("SignedBy")).Id);
                draft.Sign(visit.OptionalText("Remark"));
                foreach (var correction in late) Correct(correction);
            }
            else if (visit.OptionalText("Remark") is { Length: > 0 } remark)
            {
                draft.Note(remark);
            }
            if (visit.Text("Answer") == "OtherBlades") Answer("otherBlades");
            if (visit.Text("Answer") == "Warm" && !(visit.OptionalNumber("EngineTemperatureC") > context.Facts.ColdMaxC)) Answer("warm");
        }

        private void Open(Core.Hours.MeterHistory meter)
        {
            var (date, total, shown) = (visit.Day("Date"), visit.Number("TotalHours"), visit.Number("ShownHours"));
            // A logbook named total hours; the meter in place showed less.
            if (Math.Abs(meter.TotalOn(date, EngineHours.Of(shown)) - total) > 0.5 && total - meter.TotalOn(date, default) is >= 0 and var ownMeter) shown = ownMeter;
            draft.Open(visit.Word<JobKind>("Job"), date, shown, Camel(visit.Text("Method")), visit.Json<List<string>>("TrayBlades") ?? [], visit.Text("TrayUnit"), visit.OptionalText("Blades"));
            if (visit.Text("MeasuringMethod") is { Length: > 0 } and not "blades" and var means) draft.Note($"Measured with: {means}.");
        }

        private void Prepare()
        {
            Step("makeSafe");
            var ticked = visit.Json<List<string>>("Ticked") ?? [];
            if (ticked.Contains("condition") || visit.OptionalInstant("SignedAt") is not null)
                draft.Condition(Camel(visit.Text("Condition")), visit.OptionalNumber("EngineTemperatureC"), visit.Text("Answer") == "Warm");
            var stops = context.Stops(visit.Word<TurningMethod>("Method")).Stops;
            foreach (var index in visit.Json<List<int>>("StopsProved") ?? [])
                if (index < stops.Count && stops[index].CrankDeg is { } deg) draft.Prove(deg);
        }

        private void Step(string list)
        {
            var ticked = visit.Json<List<string>>("Ticked") ?? [];
            draft.Tick(context.Steps.Where(s => Camel(s.List.ToString()) == list && ticked.Contains(s.Key)).Select(s => s.Key));
        }

        private void Measure(Row row, Guid reading)
        {
            var point = labels[row.Id("PointId")];
            var stage = Camel(row.Text("Stage"));
            var why = row.OptionalText("Why");
            (draft.At, draft.By) = (row.Instant("At"), personOf(row.OptionalText("Who")).Id);
            var tries = row.Json<List<OldTrial>>("Trials") ?? [];
            var unit = row.Text("Unit");
            foreach (var t in tries) lastEntry[row.Id("Id")] = draft.Try(reading, point, stage, t.Blades, unit, Camel(t.Feel));
            if (row.OptionalText("Written") is { Length: > 0 } written && tries.Count == 0) lastEntry[row.Id("Id")] = draft.Figure(reading, point, stage, written, unit);
            if (row.OptionalInstant("KeptAt") is { } kept)
            {
                draft.At = kept;
                if (lastEntry.ContainsKey(row.Id("Id"))) draft.Keep(reading, true);
                if (row.Number("ByTheBook") != 0) draft.Add("outcome", new JsonObject { ["point"] = point, ["outcome"] = "byTheBook", ["amount"] = "as the book says", ["unit"] = "turns" });
                if (why is not null && row.OptionalId("CorrectsId") is null) draft.Outcome(point, "leftSo", why);
            }
            if (row.OptionalText("Remark") is { Length: > 0 } remark) draft.Note(remark, point);
        }

        /// <summary>Corrected before the signature: the old figure is taken back, and both stay in the list.</summary>
        private void Replace(Row row)
        {
            var (root, point) = (Root(row), labels[row.Id("PointId")]);
            (draft.At, draft.By) = (row.Instant("At"), personOf(row.OptionalText("Who")).Id);
            if (draft.Entries.OfType<Kept>().LastOrDefault(k => k.Reading == root) is { } kept) draft.Add("undone", new JsonObject { ["entry"] = kept.Id.ToString() });
            draft.Add("dropped", new JsonObject { ["reading"] = root.ToString() });
            Measure(row, row.Id("Id"));
            draft.Note($"Corrected: {row.OptionalText("Why")}", point);
        }

        private void Correct(Row row)
        {
            var root = Root(row);
            (draft.At, draft.By) = (row.Instant("At"), personOf(row.OptionalText("Who")).Id);
            var unit = row.Text("Unit");
            var figure = row.OptionalText("Written") is { Length: > 0 } written ? written : WrittenFigure.Write(new Reading(Clearance.OfMm(row.OptionalNumber("LowerMm")), Clearance.OfMm(row.OptionalNumber("UpperMm")), Clearance.OfMm(row.OptionalNumber("EstimateMm")), row.OptionalNumber("UncertaintyMm")), Length.ParseUnit(unit));
            if (!lastEntry.TryGetValue(root, out var target) || figure.Length == 0) return;
            draft.Add("corrected", new JsonObject { ["entry"] = target.ToString(), ["why"] = row.OptionalText("Why") ?? "not said", ["fields"] = new JsonObject { ["figure"] = figure, ["unit"] = unit } });
        }

        /// <summary>The first reading of a chain of corrections; in an open visit each replaces the one before.</summary>
        private Guid Root(Row row)
        {
            var id = row.OptionalId("CorrectsId")!.Value;
            while (readings.Find(r => r.Id("Id") == id) is { } before && before.OptionalId("CorrectsId") is { } earlier && visit.OptionalInstant("SignedAt") is not null) id = earlier;
            return id;
        }

        private void Answer(string question) => draft.Add("answered", new JsonObject { ["question"] = question, ["answer"] = "yes" });

        private static string Camel(string word) => JsonNamingPolicy.CamelCase.ConvertName(word);
    }

    private sealed record OldTrial(List<string> Blades, string Feel);
}
