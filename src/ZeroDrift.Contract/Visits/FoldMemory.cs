using System.Text.Json;
using ZeroDrift.Core;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Contract.Visits;

/// <summary>
/// Folds visits, and remembers the last one and the contexts it has seen: at a tap only the new entry is read and judged. Entries never change,
/// so that the answer is the same as from the whole list. Not for several threads.
/// </summary>
public sealed class FoldMemory
{
    private const int MostContexts = 20;

    private readonly Dictionary<string, (ContextRecord Record, VisitContext Core)> contexts = new(StringComparer.Ordinal);
    private Folded? last;

    /// <summary>A visit and the entries it was folded from: the server's, then its own, with what became of those.</summary>
    private sealed record Folded(Guid VisitId, string? ContextId, Visit Visit, EntryIntake Intake, List<Guid> Server, List<UnsentOutcome> Own);

    public FoldResponse Fold(FoldRequest request)
    {
        var (record, context) = ContextOf(request);
        var unsent = request.Unsent ?? [];
        var folded = Begun(request, unsent, context);
        for (var i = folded.Own.Count; i < unsent.Count; i++) folded.Own.Add(Offer(folded, unsent[i], i));
        last = folded;
        var visit = folded.Visit;
        if (visit.Opened is null) return new FoldResponse(null, folded.Own);
        if (request.Only is { } only) return new FoldResponse(null, folded.Own, SheetMapping.Line(visit, record, only));
        return new FoldResponse(VisitRecord.Of(request.VisitId, visit, visit.Entries.Count) with { ContextId = request.ContextId, Sheet = SheetMapping.Of(visit, record) }, folded.Own);
    }

    private (ContextRecord Record, VisitContext Core) ContextOf(FoldRequest request)
    {
        if (request.ContextId is { } id && contexts.TryGetValue(id, out var known)) return known;
        if (request.Context is not { } record) throw new BadInputException("context", "Send the context: the one of that identifier has not been seen here.");
        var made = (record, record.ToCore());
        if (request.ContextId is not { } name) return made;
        if (contexts.Count >= MostContexts) contexts.Clear();
        return contexts[name] = made;
    }

    /// <summary>The last fold where this one goes on from it; else a new one of the server's entries.</summary>
    private Folded Begun(FoldRequest request, IReadOnlyList<JsonElement> unsent, VisitContext context)
    {
        var entries = request.Entries ?? [];
        var server = entries.Select((e, i) => Id(e, $"entries[{i}].id")).ToList();
        if (last is { } before && before.VisitId == request.VisitId && before.ContextId == request.ContextId && ReferenceEquals(before.Visit.Context, context) && before.Server.SequenceEqual(server) && IsPrefix(before.Own, unsent)) return before;
        return new Folded(request.VisitId, request.ContextId, Visit.From(context, entries.Select((e, i) => EntryReader.Stored(e, Sequence(e, i)))), new EntryIntake(), server, []);
    }

    private static bool IsPrefix(List<UnsentOutcome> own, IReadOnlyList<JsonElement> unsent)
    {
        if (own.Count > unsent.Count) return false;
        for (var i = 0; i < own.Count; i++)
            if (Id(unsent[i], $"unsent[{i}].id") != own[i].Id) return false;
        return true;
    }

    private static UnsentOutcome Offer(Folded folded, JsonElement json, int index)
    {
        var id = Id(json, $"unsent[{index}].id");
        if (folded.Server.Contains(id)) return new UnsentOutcome(id, "known", null);
        var (entry, refusal) = folded.Intake.Read(json, folded.Visit);
        if (refusal is null)
        {
            var result = folded.Intake.Take(folded.Visit, entry!, folded.Visit.Context.People.Contains);
            if (result.Refusal is null) return new UnsentOutcome(id, result.Taking == Taking.Late ? "late" : "taken", null);
            refusal = result.Refusal;
        }
        folded.Intake.Refuse(id);
        return new UnsentOutcome(id, "refused", refusal.Problem());
    }

    private static Guid Id(JsonElement entry, string field) =>
        entry.ValueKind == JsonValueKind.Object && entry.TryGetProperty("id", out var given) && given.ValueKind == JsonValueKind.String && given.TryGetGuid(out var id)
            ? id
            : throw new BadInputException(field, $"{field[..^3]} needs an identifier of its own (a UUID).");

    private static int Sequence(JsonElement entry, int index) =>
        entry.TryGetProperty("sequence", out var sequence) && sequence.ValueKind == JsonValueKind.Number && sequence.TryGetInt32(out var number) && number > 0
            ? number
            : throw new BadInputException($"entries[{index}].sequence", $"entries[{index}] needs the sequence the server gave it: a whole number from 1.");
}
