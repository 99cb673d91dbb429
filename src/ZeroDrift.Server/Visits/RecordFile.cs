using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using ZeroDrift.Contract;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Core;
using ZeroDrift.Core.Visits;
using ZeroDrift.Data;
using ZeroDrift.Data.Visits;
using ZeroDrift.Server.Errors;
using ZeroDrift.Server.OpenApi;

namespace ZeroDrift.Server.Visits;

/// <summary>What came of looking at a record's file.</summary>
public sealed record RecordCheckResponse
{
    /// <summary>Its fingerprint is that of its contents: nothing in it was changed since it was written.</summary>
    public required bool Intact { get; init; }

    /// <summary>This program holds the visit.</summary>
    public required bool Known { get; init; }

    /// <summary>It says what this program says now; false where it was corrected since, or never said that.</summary>
    public required bool SaysTheSame { get; init; }
    public string? Engine { get; init; }
    public DateOnly? Date { get; init; }
    public Guid? VisitId { get; init; }
    public required string Sentence { get; init; }
}

/// <summary>A signed record as one open file that a customer can keep, with a fingerprint that this program checks.</summary>
internal static class RecordFile
{
    private const int MostBytes = 4 * 1024 * 1024;

    /// <summary>What is written now. A file of an older one is compared with what that one wrote, so that a new field calls no old file false.</summary>
    private const string Format = "zero-drift-record-2";

    /// <summary>Without who set the points that are set by an amount, and without the shim that came out.</summary>
    private const string FirstFormat = "zero-drift-record-1";

    public static void MapRecordFiles(this IEndpointRouteBuilder api)
    {
        api.MapGet("/visits/{visitId:guid}/record-file", Get).WithTags("Visits").WithName("get-record-file").Produces<JsonObject>().Refuses(404, 409);
        api.MapPost("/record-files/check", Check).WithTags("Visits").WithName("check-record-file").Accepts<JsonObject>("application/json").Refuses(400, 413);
    }

    public static async Task<FileContentHttpResult> Get(Guid visitId, ZeroDriftContext data, CancellationToken cancelled)
    {
        var stored = await VisitReader.LoadAsync(data, visitId) ?? throw new NotFoundException("There is no such visit: nobody has opened it.", RefusalCode.NotOpened);
        if (stored.Visit.State != VisitState.Signed) throw new ConflictException("notSigned", "visitId", "It is not signed yet: a record's file is written of what stands.");
        var record = await OfAsync(data, visitId, stored, Format, cancelled);
        var file = new JsonObject { ["format"] = Format, ["record"] = record, ["fingerprint"] = new JsonObject { ["algorithm"] = "sha-256 of the canonical JSON of record: members sorted by name, no white space, UTF-8", ["value"] = Fingerprint(record) } };
        var name = $"record {stored.Context.Record.Engine.Name} {stored.Row.Date:yyyy-MM-dd}.json";
        return TypedResults.File(Encoding.UTF8.GetBytes(file.ToJsonString(new JsonSerializerOptions(ContractJson.Rules) { WriteIndented = true })), "application/json", string.Join('_', name.Split(Path.GetInvalidFileNameChars())));
    }

    public static async Task<RecordCheckResponse> Check(HttpRequest request, ZeroDriftContext data, CancellationToken cancelled)
    {
        if (request.ContentLength > MostBytes) throw new BadHttpRequestException("too large", 413);
        JsonNode? sent;
        try
        {
            sent = await JsonNode.ParseAsync(request.Body, new JsonNodeOptions(), new JsonDocumentOptions { MaxDepth = 32 }, cancelled);
        }
        catch (JsonException)
        {
            throw new BadInputException("file", "This is no JSON: choose the file as it was written, unchanged.");
        }
        if (sent is not JsonObject file || file["record"] is not JsonObject record || file["fingerprint"]?["value"] is not JsonValue value || !value.TryGetValue<string>(out var printed))
            throw new BadInputException("file", "This is no record of this program: it has no record with a fingerprint.");
        var intact = Fingerprint(record) == printed.Trim().ToLowerInvariant();
        var visitId = Text(record, "visitId") is { } id && Guid.TryParse(id, out var parsed) ? parsed : (Guid?)null;
        var stored = visitId is { } known ? await VisitReader.LoadAsync(data, known) : null;
        var same = stored is { Visit.State: VisitState.Signed } && Fingerprint(await OfAsync(data, visitId!.Value, stored, Text(file, "format"))) == Fingerprint(record);
        return new RecordCheckResponse
        {
            Intact = intact,
            Known = stored is not null,
            SaysTheSame = same,
            Engine = Text(record, "engine"),
            Date = DateOnly.TryParse(Text(record, "date"), System.Globalization.CultureInfo.InvariantCulture, out var day) ? day : null,
            VisitId = visitId,
            Sentence = (intact, stored is not null, same) switch
            {
                (false, _, _) => "Something in this file was changed after it was written: its contents and its fingerprint do not belong together.",
                (true, false, _) => "Nothing in this file was changed, but this program does not hold that visit: it can say no more.",
                (true, true, true) => "Unchanged, and it says what stands here.",
                (true, true, false) => "Unchanged since it was written, but the record here says something else now: it was corrected since.",
            },
        };
    }

    /// <summary>What the file holds: what a reader must know to trust it, in words that need no program.</summary>
    private static async Task<JsonObject> OfAsync(ZeroDriftContext data, Guid visitId, StoredVisit stored, string? format, CancellationToken cancelled = default)
    {
        var (visit, context) = (stored.Visit, stored.Context.Record);
        var people = await data.People.AsNoTracking().ToDictionaryAsync(p => p.Id, p => p.Name, cancelled);
        string? Name(Guid? id) => id is { } known ? people.GetValueOrDefault(known) ?? context.People.FirstOrDefault(p => p.Id == known)?.Name : null;
        var sheet = SheetMapping.Of(visit, context);
        return new JsonObject
        {
            ["visitId"] = visitId.ToString(),
            ["job"] = JsonNamingPolicy.CamelCase.ConvertName(visit.Opened!.Job.ToString()),
            ["engine"] = context.Engine.Name,
            ["machine"] = context.Engine.MachineName,
            ["site"] = context.Engine.Site,
            ["serialNumber"] = context.Engine.SerialNumber,
            ["type"] = context.Type.Code,
            ["letters"] = sheet.Letters,
            ["date"] = visit.Opened.Date.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture),
            ["hoursOnTheMeter"] = visit.Opened.ShownHours is { } hours ? Round(hours) : null,
            ["condition"] = visit.Condition is { } c ? JsonNamingPolicy.CamelCase.ConvertName(c.Condition.ToString()) : null,
            ["engineTemperatureC"] = visit.Condition?.EngineTemperatureC,
            ["judgedBy"] = visit.Demands is { } d ? $"revision {d.Revision}, {d.Source}" : null,
            ["measuredWith"] = new JsonArray([.. visit.Instruments.Select(i => (JsonNode?)i)]),
            ["points"] = new JsonArray([.. sheet.Points.Where(p => p.Found is not null || p.Left is not null || p.Outcome is not null || p.Start is not null).Select(p => (JsonNode?)Point(p))]),
            ["notLookedAtCylinders"] = new JsonArray([.. sheet.NotLookedAt.Select(n => (JsonNode?)n)]),
            ["steps"] = new JsonArray([.. context.Steps.Where(s => visit.IsTicked(s.Step)).Select(s => (JsonNode?)(visit.SaidAt(s.Step) is { } said ? $"{s.Text} {said}" : s.Text))]),
            ["partsChanged"] = new JsonArray([.. visit.Parts.Select(p => (JsonNode?)$"{p.Part}: {p.Why}")]),
            ["notes"] = new JsonArray([.. visit.Notes.Where(n => n.Customer is null).Select(n => (JsonNode?)new JsonObject { ["point"] = n.Point, ["text"] = n.Text, ["photoSha256"] = n.Photo })]),
            ["customer"] = new JsonArray([.. visit.Notes.Where(n => n.Customer is not null).Select(n => (JsonNode?)new JsonObject { ["name"] = n.Customer, ["remark"] = n.Text, ["signatureSha256"] = n.Photo })]),
            ["signedBy"] = Name(visit.Signed?.By),
            ["signedAt"] = Time(visit.Signed?.At),
            ["remark"] = visit.Signed?.Remark,
            ["countersignedBy"] = new JsonArray([.. visit.Countersignatures.Select(s => (JsonNode?)Name(s.By))]),
            ["corrections"] = new JsonArray([.. visit.Corrections.Select(x => (JsonNode?)new JsonObject { ["why"] = x.Why, ["by"] = Name(x.By), ["at"] = Time(x.At) })]),
        };

        JsonObject Point(SheetPointRecord p)
        {
            var written = Written(p);
            if (format == FirstFormat) return written;
            if (p.Left is null && p.Found is null) written["by"] = Name(p.SaidBy);
            if (p.Shim is { Fitted: true, Found: { } before }) written["shimTakenOut"] = $"{before.Thickness} {before.Unit}";
            return written;
        }

        JsonObject Written(SheetPointRecord p) => new()
        {
            ["point"] = p.Label,
            ["asked"] = p.SpecWritten,
            ["asFound"] = Figure(p.Found),
            ["asLeft"] = Figure(p.Left ?? (p.Outcome == PointOutcome.LeftAlone ? p.Found : null)),
            ["verdict"] = p.Found?.State is { } state ? JsonNamingPolicy.CamelCase.ConvertName(state.ToString()) : null,
            ["outcome"] = p.Outcome is { } outcome ? JsonNamingPolicy.CamelCase.ConvertName(outcome.ToString()) : null,
            ["why"] = p.Why,
            ["amount"] = p.AmountSaid,
            ["shim"] = p.Shim?.Now is { } shim ? $"{shim.Thickness} {shim.Unit}" : null,
            ["by"] = Name((p.Left ?? p.Found)?.By),
        };

        static JsonObject? Figure(SheetReadingRecord? r) => r is null ? null : new JsonObject { ["mm"] = Round(r.EstimateMm), ["fromMm"] = Round(r.LowerMm), ["toMm"] = Round(r.UpperMm), ["written"] = r.Written, ["tries"] = new JsonArray([.. r.Tries.Select(t => (JsonNode?)$"{string.Join(" + ", t.Blades)} {t.Unit} {JsonNamingPolicy.CamelCase.ConvertName(t.Feel.ToString())}")]), ["positionProved"] = !r.Unproved };
    }

    private static double? Round(double? value) => value is { } v ? Math.Round(v, 6) : null;

    private static string? Time(DateTimeOffset? at) => at?.UtcDateTime.ToString("yyyy-MM-ddTHH:mm:ssZ", System.Globalization.CultureInfo.InvariantCulture);

    private static string? Text(JsonObject record, string field) => record[field] is JsonValue v && v.TryGetValue<string>(out var text) ? text : null;

    /// <summary>The hash of the canonical writing, so that white space and the order of members do not matter.</summary>
    public static string Fingerprint(JsonObject record) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(Canonical(record)?.ToJsonString(ContractJson.Rules) ?? "")));

    private static JsonNode? Canonical(JsonNode? node) => node switch
    {
        JsonObject o => new JsonObject(o.OrderBy(m => m.Key, StringComparer.Ordinal).Select(m => KeyValuePair.Create(m.Key, Canonical(m.Value)))),
        JsonArray a => new JsonArray([.. a.Select(Canonical)]),
        // A number is itself, however it was written: 0.2 and 0.20.
        JsonValue v when v.GetValueKind() == JsonValueKind.Number => JsonValue.Create(double.Parse(v.ToJsonString(), System.Globalization.CultureInfo.InvariantCulture)),
        null => null,
        _ => node.DeepClone(),
    };
}
