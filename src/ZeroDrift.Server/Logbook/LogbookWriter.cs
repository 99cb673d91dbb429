using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Core;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Projections;
using ZeroDrift.Data.Visits;

namespace ZeroDrift.Server.Logbook;

/// <summary>Writes the new days of a logbook as visits; to a day read in before, what is new comes in late and is admitted.</summary>
internal sealed class LogbookWriter(ZeroDriftContext data, LogbookFleet fleet, DateTime now)
{
    private const string Device = "logbook";
    private List<PersonRow> people = [];

    public async Task WriteAsync(IEnumerable<List<LogbookRow>> days)
    {
        people = await data.People.ToListAsync();
        var all = days.ToList();
        foreach (var name in all.SelectMany(d => d).Select(r => r.Who ?? Device).Distinct()) PersonOf(name);
        await data.SaveChangesAsync();
        foreach (var day in all)
        {
            if (fleet.VisitOf(day[0]) is { } visit) await AddAsync(visit.Id, day);
            else await NewAsync(day);
        }
    }

    private async Task NewAsync(List<LogbookRow> rows)
    {
        var first = rows[0];
        var engine = first.EngineRow!;
        var type = fleet.TypeOf(engine);
        var revision = fleet.RevisionFor(first) ?? throw new BadInputException("file", $"The book has no clearances for {type.Code}; add them before importing.");
        var meter = engine.MeterReadings.ToHistory();
        var at = new DateTimeOffset(first.Date.ToDateTime(new TimeOnly(12, 0)), TimeSpan.Zero);
        var draft = new VisitDraft(Guid.CreateVersion7(), engine.Id, PersonOf(first.Who ?? Device).Id, at, Device);
        var everyPoint = type.Points.All(p => rows.Exists(r => r.Point!.Id == p.Id));
        // A logbook names total hours; the meter in place showed less by what earlier meters ran.
        var shown = Math.Max(0, first.Hours - meter.TotalOn(first.Date, default));
        draft.Open(everyPoint ? JobKind.Overhead : JobKind.SpotCheck, first.Date, shown, null, [], first.Unit, null);
        draft.Condition(revision.Condition == Core.Engines.SpecCondition.Hot ? "hot" : "cold", null, false);
        Figures(draft, rows);
        draft.By = PersonOf(first.Who ?? Device).Id;
        draft.Sign("From a logbook.");
        var context = await ContextStore.KeepAsync(data, ContextBuilder.Of(engine, type, fleet.Fleet, people, [revision], fleet.OwnFor(first)), now);
        var visit = new VisitRow { Id = draft.VisitId, EngineId = engine.Id, ContextId = context.Id, ImportKey = $"{engine.Id}/{first.Date:yyyy-MM-dd}" };
        var folded = Visit.From(context.Core, draft.Entries);
        if (!engine.MeterReadings.Exists(m => m.Date >= first.Date))
        {
            var read = new MeterReadingRow { Id = Guid.CreateVersion7(), EngineId = engine.Id, Date = first.Date, ShownHours = shown, Who = first.Who, Remark = "From the logbook.", VisitId = visit.Id };
            data.MeterReadings.Add(read);
            engine.MeterReadings.Add(read);
        }
        VisitProjection.Onto(visit, folded, meter);
        data.Visits.Add(visit);
        await data.SaveChangesAsync();
        data.Entries.AddRange(draft.Rows(visit.Key));
        data.AddRange(VisitProjection.Rows(visit, folded).All);
        await data.SaveChangesAsync();
    }

    private async Task AddAsync(Guid visitId, List<LogbookRow> rows)
    {
        var stored = (await VisitReader.LoadAsync(data, visitId, track: true))!;
        var draft = new VisitDraft(visitId, stored.Row.EngineId, PersonOf(rows[0].Who ?? Device).Id, new DateTimeOffset(now, TimeSpan.Zero), Device);
        Figures(draft, rows);
        draft.Add("admitted", new JsonObject { ["entries"] = new JsonArray([.. draft.Entries.Select(e => (JsonNode)e.Id.ToString())]), ["why"] = "The logbook was read in again with more in it." });
        var added = draft.Rows(stored.Row.Key).Select(r => new EntryRow { VisitKey = r.VisitKey, Sequence = stored.Entries.Count + r.Sequence, Id = r.Id, Content = r.Content, ReceivedAt = now }).ToList();
        data.Entries.AddRange(added);
        var visit = VisitReader.Fold(stored.Context, stored.Entries.Concat(added));
        await Projector.VisitAsync(data, stored.Row, visit, justSigned: false);
    }

    private void Figures(VisitDraft draft, List<LogbookRow> rows)
    {
        foreach (var row in rows)
        {
            draft.By = PersonOf(row.Who ?? Device).Id;
            if (row.Found is not null) One(draft, row, "asFound", row.FoundWritten!);
            if (LogbookImport.IsOwnLeft(row)) One(draft, row, "asLeft", row.LeftWritten!);
            if (row.Remark is not null) draft.Note(row.Remark, row.Point!.Label);
        }
    }

    private static void One(VisitDraft draft, LogbookRow row, string stage, string written)
    {
        var reading = Guid.CreateVersion7();
        draft.Figure(reading, row.Point!.Label, stage, written, row.Unit);
        draft.Keep(reading, true);
    }

    private PersonRow PersonOf(string name)
    {
        var key = NameKeys.Of(name);
        if (people.Find(p => p.NameKey == key) is { } person) return person;
        person = new PersonRow { Id = Guid.CreateVersion7(), Name = NameKeys.Clean(name), NameKey = key, Initials = Initials.Of(NameKeys.Clean(name)) };
        people.Add(person);
        data.People.Add(person);
        return person;
    }
}
