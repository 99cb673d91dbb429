using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract;
using ZeroDrift.Contract.Input;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Hours;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data.Mapping;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Projections;
using ZeroDrift.Data.Visits;

namespace ZeroDrift.Data.Writing;

/// <summary>What became of one entry that was sent.</summary>
public sealed record EntryOutcome(Guid Id, string Outcome, int? Sequence, Problem? Problem);

/// <summary>The answer to an exchange.</summary>
/// <param name="Head">Highest sequence of the visit.</param>
/// <param name="Outcomes">One an entry, in the order sent.</param>
/// <param name="Entries">What others added meanwhile.</param>
public sealed record ExchangeAnswer(int Head, IReadOnlyList<EntryOutcome> Outcomes, IReadOnlyList<JsonObject> Entries);

/// <summary>An entry as it was sent, checked only for what identifies it.</summary>
public sealed record SentEntry(Guid Id, string Kind, JsonElement Json);

/// <summary>
/// Takes entries into a visit, in one transaction: judged one by one in their order, appended, the projections brought up. Inside the write gate.
/// </summary>
public sealed class Exchange(ZeroDriftContext data, DateTime now, Func<Guid, DateOnly> todayAt)
{
    /// <summary>Takes entries; null where there is no such visit and the first of them does not open it.</summary>
    public async Task<ExchangeAnswer?> TakeAsync(Guid visitId, int after, IReadOnlyList<SentEntry> sent)
    {
        var stored = await VisitReader.LoadAsync(data, visitId, track: true);
        if (stored is null && sent[0].Kind != "opened") return null;
        var known = stored?.Entries.ToDictionary(e => e.Id, e => e) ?? [];
        var run = new Run(visitId, stored?.Row, stored?.Context, stored?.Visit, (await data.People.AsNoTracking().Select(p => p.Id).ToListAsync()).ToHashSet());
        var outcomes = new List<EntryOutcome>();
        foreach (var entry in sent)
        {
            if (known.TryGetValue(entry.Id, out var row))
            {
                outcomes.Add(IsSame(row, entry.Json) ? new EntryOutcome(entry.Id, "known", row.Sequence, null) : Refuse(run, entry, new Refusal(RefusalCode.Differs)));
                continue;
            }
            var outcome = await OneAsync(run, entry);
            outcomes.Add(outcome);
            if (outcome.Sequence is not null) known[entry.Id] = run.Added[^1];
        }
        if (run.Row is null)
        {
            await KeepRefusedAsync(run);
            return new ExchangeAnswer(0, outcomes, []);
        }
        await SaveAsync(run);
        var mine = sent.Select(e => e.Id).ToHashSet();
        var others = (stored?.Entries ?? []).Where(e => e.Sequence > after && !mine.Contains(e.Id)).Select(VisitReader.Exchanged).ToList();
        return new ExchangeAnswer(run.Row.Head, outcomes, others);
    }

    private sealed class Run(Guid visitId, VisitRow? row, KnownContext? context, Visit? visit, HashSet<Guid> people)
    {
        public Guid VisitId => visitId;
        public VisitRow? Row { get; set; } = row;
        public KnownContext? Context { get; set; } = context;
        public Visit? Visit { get; set; } = visit;
        public HashSet<Guid> People => people;
        public List<EntryRow> Added { get; } = [];
        public List<Entry> Taken { get; } = [];
        public List<RefusedEntryRow> Refused { get; } = [];
        public EntryIntake Intake { get; } = new();
    }

    private async Task<EntryOutcome> OneAsync(Run run, SentEntry sent)
    {
        var (entry, wrong) = run.Intake.Read(sent.Json, run.Visit);
        if (entry is null) return Refuse(run, sent, wrong!);
        if (run.Visit is null)
        {
            if (entry is not Opened opened) return Refuse(run, sent, new Refusal(RefusalCode.NotOpened));
            if (await OpenAsync(run, opened) is { } refused) return Refuse(run, sent, refused);
        }
        if (entry is Corrected { Fields: { } fields } && (fields.ShownHours is not null || fields.Date is not null) && run.Visit!.Opened is { ShownHours: not null } was && await MisfitAsync(run, was, fields) is { } misfit)
            return Refuse(run, sent, misfit);
        var result = run.Intake.Take(run.Visit!, entry, run.People.Contains);
        if (result.Refusal is { } refusal)
        {
            if (refusal.Code == RefusalCode.EngineOpen) refusal = refusal with { VisitId = run.VisitId };
            // A visit whose opening was refused was never there.
            if (run.Visit!.Opened is null) (run.Row, run.Visit, run.Context) = (null, null, null);
            return Refuse(run, sent, refusal);
        }
        var row = new EntryRow { VisitKey = run.Row!.Key, Sequence = run.Visit!.Entries.Count, Id = sent.Id, Content = Content(sent.Json), ReceivedAt = now };
        run.Added.Add(row);
        run.Taken.Add(entry);
        return new EntryOutcome(sent.Id, result.Taking == Taking.Late ? "late" : "taken", row.Sequence, null);
    }

    private EntryOutcome Refuse(Run run, SentEntry sent, Refusal refusal)
    {
        var problem = refusal.Problem();
        run.Intake.Refuse(sent.Id);
        run.Refused.RemoveAll(r => r.Id == sent.Id);
        run.Refused.Add(new RefusedEntryRow { VisitId = run.VisitId, Id = sent.Id, Code = refusal.Code, Sentence = problem.Detail, Content = Content(sent.Json), ReceivedAt = now });
        return new EntryOutcome(sent.Id, "refused", null, problem);
    }

    /// <summary>Prepares the row of a visit to be opened; the fold itself judges the entry afterwards.</summary>
    private async Task<Refusal?> OpenAsync(Run run, Opened opened)
    {
        var engine = await data.Engines.AsNoTracking().FirstOrDefaultAsync(e => e.Id == opened.EngineId);
        if (engine is null || engine.ArchivedAt is not null) return new Refusal(RefusalCode.EngineUnknown) { Field = "engineId" };
        var open = await data.Visits.AsNoTracking().Where(v => v.EngineId == opened.EngineId && v.State == VisitState.Open).Select(v => (Guid?)v.Id).FirstOrDefaultAsync();
        if (open is not null) return new Refusal(RefusalCode.EngineOpen) { Field = "engineId", VisitId = open };
        if (MeterMisfit.OfDay(new MeterReading(opened.Date, opened.ShownHours ?? default), todayAt(engine.Id)) is { } day) return Refusal.Of(day);
        if (!opened.Bench && opened.ShownHours is { } shown && (await data.MeterAsync(engine.Id)).ToHistory().Misfit(new MeterReading(opened.Date, shown)) is { } misfit) return Refusal.Of(misfit);
        var context = await ContextStore.FindAsync(data, opened.ContextId, opened.EngineId);
        context ??= await ContextStore.KeepAsync(data, await Undated(opened), now);
        run.Context = context;
        run.Row = new VisitRow { Id = run.VisitId, EngineId = opened.EngineId, ContextId = context.Id, ContextAsked = opened.ContextId is { } asked && asked != context.Id ? asked : null };
        run.Visit = Visit.From(context.Core, []);
        return null;
    }

    /// <summary>The server's own context: its meter was judged with the whole history already.</summary>
    private async Task<ContextRecord> Undated(Opened opened)
    {
        var record = (await ContextBuilder.BuildAsync(data, opened.EngineId, opened.Date))!;
        return record.Meter is { } meter && opened.Date < meter.Date ? record with { Meter = null } : record;
    }

    /// <summary>What speaks against putting right what the meter showed at an opening, or its day.</summary>
    private async Task<Refusal?> MisfitAsync(Run run, Opened was, CorrectedFields fields)
    {
        var (right, today) = (new MeterReading(fields.Date ?? was.Date, fields.ShownHours ?? was.ShownHours!.Value), todayAt(was.EngineId));
        var rows = await data.MeterAsync(was.EngineId);
        var misfit = rows.Find(m => m.VisitId == run.VisitId && !m.Withdrawn) is { } read ? rows.ToHistory().MisfitInstead(read.ToReading(), right, today)
            : was.Bench ? MeterMisfit.OfDay(right, today) : rows.ToHistory().Misfit(right, today);
        return misfit is null ? null : Refusal.Of(misfit);
    }

    private async Task SaveAsync(Run run)
    {
        await KeepRefusedAsync(run);
        if (run.Added.Count == 0) return;
        var (row, visit) = (run.Row!, run.Visit!);
        var wasSigned = row.State == VisitState.Signed;
        if (row.Key == 0)
        {
            VisitProjection.Onto(row, visit, MeterHistory.Of([]));
            data.Visits.Add(row);
            await data.SaveChangesAsync();
        }
        foreach (var entry in run.Added) entry.VisitKey = row.Key;
        data.Entries.AddRange(run.Added);
        await MeterAsync(run);
        await Projector.VisitAsync(data, row, visit, !wasSigned && visit.State == VisitState.Signed);
    }

    /// <summary>The meter as it was read at the opening; follows a correction of it.</summary>
    private async Task MeterAsync(Run run)
    {
        var (row, opened) = (run.Row!, run.Visit!.Opened!);
        if (opened.Bench || opened.ShownHours is not { } shown || !run.Taken.Exists(e => e is Opened || e is Corrected)) return;
        var standing = await data.MeterReadings.FirstOrDefaultAsync(m => m.VisitId == row.Id && !m.Withdrawn);
        if (standing is not null)
        {
            (standing.Date, standing.ShownHours) = (opened.Date, shown);
            return;
        }
        if (run.Taken.Exists(e => e is Corrected) && !run.Taken.Exists(e => e is Opened)) return;
        data.MeterReadings.Add(new MeterReadingRow { Id = Guid.CreateVersion7(), EngineId = row.EngineId, Date = opened.Date, ShownHours = shown, PersonId = opened.By, VisitId = row.Id, Remark = "Read when the engine was opened." });
    }

    private async Task KeepRefusedAsync(Run run)
    {
        foreach (var refused in run.Refused)
        {
            if (await data.RefusedEntries.FindAsync(refused.VisitId, refused.Id) is { } known) data.Entry(known).CurrentValues.SetValues(refused);
            else data.RefusedEntries.Add(refused);
        }
        // What was refused once and is taken now is refused no more.
        foreach (var taken in run.Added)
            if (await data.RefusedEntries.FindAsync(run.VisitId, taken.Id) is { } known) data.RefusedEntries.Remove(known);
    }

    private static bool IsSame(EntryRow row, JsonElement sent) => JsonNode.DeepEquals(JsonNode.Parse(row.Content), Fields(sent));

    private static string Content(JsonElement sent) => Fields(sent).ToJsonString(ContractJson.Rules);

    /// <summary>What the device said, without the identifier and what the server gives.</summary>
    private static JsonObject Fields(JsonElement sent)
    {
        var fields = JsonNode.Parse(sent.GetRawText())!.AsObject();
        foreach (var name in (ReadOnlySpan<string>)["id", "sequence", "receivedAt"]) fields.Remove(name);
        return fields;
    }
}
