using System.Security.Cryptography;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Core;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Model;
using ZeroDrift.Data.Visits;
using ZeroDrift.Data.Writing;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.OpenApi;
using ZeroDrift.Server.Outlooks;

namespace ZeroDrift.Server.Visits;

/// <summary>Visits: their entries in, their folded view out.</summary>
internal static class VisitEndpoints
{
    private const int MostEntries = 500;
    private const int MostBlobBytes = 400 * 1024;

    public static void MapVisits(this IEndpointRouteBuilder api)
    {
        var visits = api.MapGroup("/visits").WithTags("Visits").Refuses(400, 404);
        visits.MapGet("/", List).WithName("list-visits");
        visits.MapGet("/{visitId:guid}", Get).WithName("get-visit");
        visits.MapGet("/{visitId:guid}/entries", Entries).WithName("get-visit-entries");
        visits.MapPost("/{visitId:guid}/entries", Take).WithName("exchange-entries").Accepts<EntriesRequest>("application/json").Refuses(503);
        api.MapGet("/engines/{id:guid}/take-along", TakeAlong).WithTags("Visits").WithName("take-along").Refuses(404, 503);
        api.MapPut("/blobs/{hash}", PutBlob).WithTags("Visits").WithName("put-blob").Refuses(400, 413, 503);
        api.MapGet("/blobs/{hash}", GetBlob).WithTags("Visits").WithName("get-blob").Refuses(404);
    }

    /// <summary>Visits by engine and by state, the newest first.</summary>
    public static async Task<VisitListResponse> List(ZeroDriftContext data, bool? open, Guid? engineId, int? skip, int? take, CancellationToken cancelled)
    {
        var query = data.Visits.AsNoTracking();
        if (open == true) query = query.Where(v => v.State == VisitState.Open);
        if (open == false) query = query.Where(v => v.State != VisitState.Open);
        if (engineId is { } engine) query = query.Where(v => v.EngineId == engine);
        var (from, most) = Paging.Of(skip, take, 200);
        return new VisitListResponse([.. await query.OrderByDescending(v => v.Key).Skip(from).Take(most).Select(v => new VisitSummary(
            v.Id, v.EngineId, v.Engine!.Name, v.Engine.Machine!.Site!.Name, v.Job, v.Date, v.State, v.Head, v.ShownHours,
            data.People.Where(p => p.Id == v.OpenedBy).Select(p => p.Name).FirstOrDefault(), v.OpenedAt, v.Measured, v.PointCount)).ToListAsync(cancelled)]);
    }

    public static async Task<VisitRecord> Get(Guid visitId, ZeroDriftContext data, FleetDay day, CancellationToken cancelled)
    {
        var stored = await VisitReader.LoadAsync(data, visitId) ?? throw NotThere();
        var refused = await data.RefusedEntries.AsNoTracking().Where(r => r.VisitId == visitId).ToListAsync(cancelled);
        return VisitRecord.Of(visitId, stored.Visit, stored.Row.Head) with
        {
            Refused = [.. refused.OrderBy(r => r.ReceivedAt).Select(Refused)],
            JudgedLater = await LaterJudgement.OfAsync(data, stored, day.At(stored.Row.EngineId)),
            NewerRevision = await NewerRevision.OfAsync(data, stored, day.At(stored.Row.EngineId)),
            ClosesJob = stored.Visit is { State: VisitState.Open, Opened: { } opened } ? await JobOfVisit.FindAsync(data, opened) : null,
            ContextId = stored.Row.ContextId,
            ContextAsked = stored.Row.ContextAsked,
            Context = stored.Context.Record,
            Sheet = SheetMapping.Of(stored.Visit, stored.Context.Record) with { TotalHours = stored.Row.TotalHours },
        };
    }

    public static async Task<EntriesResponse> Entries(Guid visitId, ZeroDriftContext data, int? after, CancellationToken cancelled)
    {
        var key = await data.Visits.AsNoTracking().Where(v => v.Id == visitId).Select(v => (long?)v.Key).FirstOrDefaultAsync(cancelled) ?? throw NotThere();
        var from = after ?? 0;
        var rows = await data.Entries.AsNoTracking().Where(e => e.VisitKey == key && e.Sequence > from).OrderBy(e => e.Sequence).ToListAsync(cancelled);
        return new EntriesResponse([.. rows.Select(VisitReader.Exchanged)]);
    }

    public static async Task<ExchangeResponse> Take(Guid visitId, HttpRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled)
    {
        if (visitId == Guid.Empty) throw new BadInputException("visitId", "A visit needs an identifier of its own (a UUID).");
        using var json = await JsonDocument.ParseAsync(request.Body, new JsonDocumentOptions { MaxDepth = 32 }, cancelled);
        var (after, sent) = Envelope(json.RootElement);
        var answer = await gate.RunAsync(data => new Exchange(data, day.Now, day.At).TakeAsync(visitId, after, sent), cancelled) ?? throw NotThere();
        return new ExchangeResponse(answer.Head, [.. answer.Outcomes.Select(o => new EntryOutcomeResponse(o.Id, o.Outcome, o.Sequence, o.Problem))], answer.Entries);
    }

    public static async Task<TakeAlongResponse> TakeAlong(Guid id, WriteGate gate, FleetDay day, CancellationToken cancelled)
    {
        var known = await gate.RunAsync(async data => await ContextBuilder.BuildAsync(data, id, day.At(id)) is { } record ? await ContextStore.KeepAsync(data, record, day.Now) : null, cancelled);
        return known is null ? throw new NotFoundException("There is no such engine.") : new TakeAlongResponse(known.Id, known.Record);
    }

    public static async Task<Results<NoContent, Created>> PutBlob(string hash, HttpRequest request, WriteGate gate, FleetDay day, CancellationToken cancelled)
    {
        if (hash.Length != 64 || !hash.All(char.IsAsciiHexDigit)) throw new BadInputException("hash", "A blob is named by its sha-256, 64 hexadecimal digits.");
        using var body = new MemoryStream();
        var chunk = new byte[65_536];
        int read;
        while ((read = await request.Body.ReadAsync(chunk, cancelled)) > 0)
        {
            if (body.Length + read > MostBlobBytes) throw new BadHttpRequestException("too large", 413);
            body.Write(chunk, 0, read);
        }
        var bytes = body.ToArray();
        if (!Convert.ToHexStringLower(SHA256.HashData(bytes)).Equals(hash, StringComparison.OrdinalIgnoreCase)) throw new BadInputException("hash", "The bytes are not those of that hash: send them again whole.");
        var type = request.ContentType is "image/jpeg" or "image/png" or "image/webp" ? request.ContentType : "application/octet-stream";
        var made = await gate.RunAsync(async data =>
        {
            if (await data.Blobs.AnyAsync(b => b.Hash == hash.ToLowerInvariant())) return false;
            data.Blobs.Add(new BlobRow { Hash = hash.ToLowerInvariant(), Content = bytes, ContentType = type, ReceivedAt = day.Now });
            return true;
        }, cancelled);
        return made ? TypedResults.Created($"/api/blobs/{hash}") : TypedResults.NoContent();
    }

    public static async Task<FileContentHttpResult> GetBlob(string hash, ZeroDriftContext data, CancellationToken cancelled)
    {
        var key = hash.ToLowerInvariant();
        var blob = await data.Blobs.AsNoTracking().FirstOrDefaultAsync(b => b.Hash == key, cancelled) ?? throw new NotFoundException("There is no such blob yet.");
        return TypedResults.File(blob.Content, blob.ContentType);
    }

    private static NotFoundException NotThere() => new("There is no such visit: nobody has opened it.", RefusalCode.NotOpened);

    private static RefusedRecord Refused(RefusedEntryRow row)
    {
        var content = JsonNode.Parse(row.Content)!.AsObject();
        return new RefusedRecord(
            row.Id,
            content["kind"] is JsonValue kind && kind.TryGetValue<string>(out var word) ? word : null,
            content["by"] is JsonValue by && by.TryGetValue<string>(out var person) && Guid.TryParse(person, out var id) ? id : null,
            content["at"] is JsonValue at && at.TryGetValue<string>(out var time) && DateTimeOffset.TryParse(time, System.Globalization.CultureInfo.InvariantCulture, System.Globalization.DateTimeStyles.AssumeUniversal, out var when) ? when : null,
            row.Code,
            row.Sentence);
    }

    /// <summary>The envelope is all or nothing: 1 to 500 objects with id and kind.</summary>
    private static (int After, List<SentEntry> Sent) Envelope(JsonElement root)
    {
        if (root.ValueKind != JsonValueKind.Object) throw new BadInputException("body", "Send an object with after and entries.");
        var after = 0;
        if (root.TryGetProperty("after", out var given) && given.ValueKind != JsonValueKind.Null && (given.ValueKind != JsonValueKind.Number || !given.TryGetInt32(out after) || after < 0))
            throw new BadInputException("after", "after is the highest sequence this device has: a whole number of 0 or more.");
        if (!root.TryGetProperty("entries", out var list) || list.ValueKind != JsonValueKind.Array) throw new BadInputException("entries", "Send the entries as a list.");
        if (list.GetArrayLength() is 0 or > MostEntries) throw new BadInputException("entries", $"Send 1 to {MostEntries} entries at once; {list.GetArrayLength()} were sent.");
        var sent = new List<SentEntry>();
        var i = 0;
        foreach (var entry in list.EnumerateArray())
        {
            var field = $"entries[{i++}]";
            if (entry.ValueKind != JsonValueKind.Object) throw new BadInputException(field, $"{field} must be an object with id and kind.");
            if (!entry.TryGetProperty("id", out var id) || id.ValueKind != JsonValueKind.String || !Guid.TryParse(id.GetString(), out var parsed) || parsed == Guid.Empty)
                throw new BadInputException(field + ".id", $"{field} needs an identifier of its own (a UUID).");
            if (!entry.TryGetProperty("kind", out var kind) || kind.ValueKind != JsonValueKind.String || kind.GetString()!.Length == 0)
                throw new BadInputException(field + ".kind", $"{field} needs its kind.");
            sent.Add(new SentEntry(parsed, kind.GetString()!, entry));
        }
        return (after, sent);
    }
}
