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
using ZeroDrift.Data.Outlooks;

namespace ZeroDrift.Data.Visits;

/// <summary>What became of one entry that was sent.</summary>
public sealed record EntryOutcome(Guid Id, string Outcome, int? Sequence, Problem? Problem);

/// <summary>The answer to an exchange.</summary>
/// <param name="Head">Highest sequence of the visit.</param>
/// <param name="Outcomes">One an entry, in the order sent.</param>
/// <param name="Entries">What others added meanwhile.</param>
/// <param name="RefitType">A type whose group should be fitted again.</param>
public sealed record ExchangeAnswer(int Head, IReadOnlyList<EntryOutcome> Outcomes, IReadOnlyList<JsonObject> Entries, Guid? RefitType);

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
            return new ExchangeAnswer(0, outcomes, [], null);
        }
        var refit = await SaveAsync(run);
        var mine = sent.Select(e => e.Id).ToHashSet();
        var others = (stored?.Entries ?? []).Where(e => e.Sequence > after && !mine.Contains(e.Id)).Select(VisitReader.Exchanged).ToList();
        return new ExchangeAnswer(run.Row.Head, outcomes, others, refit);
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
        if (entry is Corrected { Fields: { } fields } && (fields.ShownHours is not null || fields.Date is not null) && run.Visit!.Opened is { ShownHours: { } shows } was && await MisfitAsync(was.EngineId, fields.Date ?? was.Date, fields.ShownHours ?? shows, run.VisitId) is { } misfit)
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
        if (opened.Date > todayAt(engine.Id).AddDays(1) || opened.Date.Year < 1950) return new Refusal(RefusalCode.DateImpossible) { Field = "date" };
        if (!opened.Bench && opened.ShownHours is { } shown && await MisfitAsync(engine.Id, opened.Date, shown) is { } misfit) return misfit;
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

    private async Task<Refusal?> MisfitAsync(Guid engineId, DateOnly date, EngineHours shown, Guid? besides = null)
    {
        var meter = (await data.MeterReadings.AsNoTracking().Where(m => m.EngineId == engineId).ToListAsync()).Where(m => m.VisitId is null || m.VisitId != besides).ToHistory();
        return meter.Fit(date, shown) switch
        {
            MeterFit.Backwards => new Refusal(RefusalCode.HoursBackwards) { Field = "shownHours" },
            MeterFit.TooFast => new Refusal(RefusalCode.DateImpossible) { Field = "shownHours" },
            _ => null,
        };
    }

    private async Task<Guid?> SaveAsync(Run run)
    {
        await KeepRefusedAsync(run);
        if (run.Added.Count == 0) return null;
        var (row, visit) = (run.Row!, run.Visit!);
        if (row.Key == 0)
        {
            VisitProjection.Onto(row, visit, MeterHistory.Of([]));
            data.Visits.Add(row);
            await data.SaveChangesAsync();
        }
        foreach (var entry in run.Added) entry.VisitKey = row.Key;
        data.Entries.AddRange(run.Added);
        var hoursChanged = await MeterAsync(run);
        return await ProjectAsync(data, row, visit, hoursChanged || run.Taken.Exists(e => e is Signed || e.AddsToSigned), todayAt(row.EngineId));
    }

    /// <summary>Brings the projections of a visit up to its entries; part of the transaction under way.</summary>
    /// <returns>A type whose group should be fitted again.</returns>
    public static async Task<Guid?> ProjectAsync(ZeroDriftContext data, VisitRow row, Visit visit, bool outlook, DateOnly today)
    {
        await data.SaveChangesAsync();
        var meter = (await data.MeterReadings.AsNoTracking().Where(m => m.EngineId == row.EngineId).ToListAsync()).ToHistory();
        VisitProjection.Onto(row, visit, meter);
        var before = await data.Readings.Where(r => r.VisitKey == row.Key).ToListAsync();
        var after = VisitProjection.Readings(row, visit);
        foreach (var gone in before.Where(b => after.TrueForAll(a => a.Point != b.Point || a.Stage != b.Stage))) data.Readings.Remove(gone);
        foreach (var reading in after)
        {
            if (before.Find(b => b.Point == reading.Point && b.Stage == reading.Stage) is { } present) data.Entry(present).CurrentValues.SetValues(reading);
            else data.Readings.Add(reading);
        }
        // Both are of signed visits: a tap at the engine pays for neither.
        if (visit.State == VisitState.Signed) await MeansAsync(data, row, visit);
        foreach (var mark in visit.Marks)
        {
            var known = await data.Marks.FindAsync(row.EngineId, mark.Name);
            if (known is null) data.Marks.Add(known = new MarkRow { EngineId = row.EngineId, Name = mark.Name });
            (known.CrankDeg, known.Trap, known.VisitKey) = (mark.CrankDeg, mark.Trap, row.Key);
        }
        if (visit.State == VisitState.Signed) await CloseJobAsync(data, visit, row);
        if (visit.State == VisitState.Signed && !row.Bench) await CloseCallsAsync(data, row);
        await data.SaveChangesAsync();
        if (!outlook) return null;
        var typeId = await data.Engines.Where(e => e.Id == row.EngineId).Select(e => e.EngineTypeId).FirstAsync();
        return await OutlookKeeper.RefreshAsync(data, row.EngineId, today) ? typeId : null;
    }

    /// <summary>The job that a signed visit was: done, whatever the door it was opened by.</summary>
    private static async Task CloseJobAsync(ZeroDriftContext data, Visit visit, VisitRow row)
    {
        if (await data.Jobs.AnyAsync(j => j.VisitId == row.Id) || await JobOfVisit.FindAsync(data, visit.Opened!) is not { } id) return;
        var job = await data.Jobs.FirstAsync(j => j.Id == id);
        (job.State, job.VisitId) = (JobState.Done, row.Id);
        job.Version++;
    }

    /// <summary>What called for the engine before this visit was opened has been answered by it.</summary>
    private static async Task CloseCallsAsync(ZeroDriftContext data, VisitRow row)
    {
        // By the server's clock: a device's is kept and shown, never judged.
        var opened = await data.Entries.Where(e => e.VisitKey == row.Key && e.Sequence == 1).Select(e => e.ReceivedAt).FirstAsync();
        foreach (var call in await data.Calls.Where(c => c.EngineId == row.EngineId && c.ClosedAt == null && c.At <= opened).ToListAsync())
            (call.ClosedAt, call.VisitId) = (opened, row.Id);
    }

    /// <summary>Brings up what a visit was measured with, and what it teaches of the hands.</summary>
    public static async Task MeansAsync(ZeroDriftContext data, VisitRow row, Visit visit)
    {
        var before = await data.VisitInstruments.Where(i => i.VisitKey == row.Key).ToListAsync();
        var after = VisitProjection.Instruments(row, visit);
        data.VisitInstruments.RemoveRange(before.Where(b => after.TrueForAll(a => a.NameKey != b.NameKey)));
        data.VisitInstruments.AddRange(after.Where(a => before.TrueForAll(b => b.NameKey != a.NameKey)));
        await data.SameGaps.Where(r => r.VisitKey == row.Key).ExecuteDeleteAsync();
        data.SameGaps.AddRange(VisitProjection.SameGaps(row, visit));
        await data.LockPairs.Where(r => r.VisitKey == row.Key).ExecuteDeleteAsync();
        data.LockPairs.AddRange(VisitProjection.LockPairs(row, visit));
    }

    /// <summary>The meter as it was read at the opening; follows a correction of it.</summary>
    private async Task<bool> MeterAsync(Run run)
    {
        var (row, opened) = (run.Row!, run.Visit!.Opened!);
        if (opened.Bench || opened.ShownHours is not { } shown || !run.Taken.Exists(e => e is Opened || e is Corrected)) return false;
        var standing = await data.MeterReadings.FirstOrDefaultAsync(m => m.VisitId == row.Id && !m.Withdrawn);
        if (standing is not null)
        {
            if (standing.Date == opened.Date && standing.ShownHours == shown) return false;
            (standing.Date, standing.ShownHours) = (opened.Date, shown);
            return true;
        }
        if (run.Taken.Exists(e => e is Corrected) && !run.Taken.Exists(e => e is Opened)) return true;
        data.MeterReadings.Add(new MeterReadingRow { Id = Guid.CreateVersion7(), EngineId = row.EngineId, Date = opened.Date, ShownHours = shown, PersonId = opened.By, VisitId = row.Id, Remark = "Read when the engine was opened." });
        return true;
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
