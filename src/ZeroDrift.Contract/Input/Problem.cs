using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using ZeroDrift.Core;

namespace ZeroDrift.Contract.Input;

/// <summary>
/// What is wrong, as RFC 9457 has it: <c>type</c> ends in a stable code, <c>detail</c> is the sentence, <c>errors</c> names the fields. The
/// interface branches on codes and never on text.
/// </summary>
public sealed record Problem
{
    public const string ContentType = "application/problem+json";

    public string Type => "urn:zero-drift:problem:" + Code;

    public required string Title { get; init; }

    public required int Status { get; init; }

    public required string Detail { get; init; }

    public required string Code { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public IReadOnlyDictionary<string, string[]>? Errors { get; init; }

    /// <summary>Facts of the code: points, steps, what stands now.</summary>
    [JsonExtensionData]
    public Dictionary<string, JsonElement>? Facts { get; set; }

    /// <summary>A refusal of one field.</summary>
    public static Problem Field(int status, string code, string field, string sentence) => new()
    {
        Title = TitleOf(status),
        Status = status,
        Detail = sentence,
        Code = code,
        Errors = new Dictionary<string, string[]> { [field] = [sentence] },
    };

    /// <summary>A refusal of the whole.</summary>
    public static Problem Whole(int status, string code, string sentence, JsonObject? facts = null) => new() { Title = TitleOf(status), Status = status, Detail = sentence, Code = code, Facts = Elements(facts) };

    /// <summary>Facts as they go out with a problem; null where there are none.</summary>
    public static Dictionary<string, JsonElement>? Elements(JsonObject? facts) => facts is null || facts.Count == 0 ? null : facts.ToDictionary(f => f.Key, f =>
    {
        using var json = JsonDocument.Parse(f.Value?.ToJsonString() ?? "null");
        return json.RootElement.Clone();
    });

    /// <summary>The problem of a fault in what came in; null for anything else.</summary>
    /// <param name="exception">The fault.</param>
    /// <param name="asked">What was being read, where it is known: it tells what a field should hold.</param>
    public static Problem? Of(Exception exception, Type? asked = null) => exception switch
    {
        BadInputException bad => Field(400, "malformed", Short(bad.Field, 100), Short(bad.Message, 500)),
        JsonException json => OfJson(json, asked),
        _ => null,
    };

    // A tablet's messages are keys and no sentences: what is wrong is told by the fault's kind and by the type that was asked for.
    private static Problem OfJson(JsonException json, Type? asked)
    {
        var field = string.IsNullOrEmpty(json.Path) || json.Path == "$" ? "body" : json.Path.StartsWith("$.", StringComparison.Ordinal) ? json.Path[2..] : json.Path;
        if (json.Message.Contains("depth", StringComparison.OrdinalIgnoreCase)) return Field(400, "malformed", "body", "The request is nested too deeply.");
        field = Short(field, 100);
        if (IsSyntax(json) || IsSyntax(json.InnerException)) return Field(400, "malformed", field, $"The request is not valid JSON (line {json.LineNumber + 1}, near {field}).");
        if (json.Message.Contains("required", StringComparison.OrdinalIgnoreCase)) return Field(400, "malformed", field, $"{field} lacks a field that the contract asks for.");
        var expected = asked is null ? ExpectedType.InMessage(json.Message + json.InnerException?.Message) : ExpectedType.At(asked, json.Path);
        return Field(400, "malformed", field, $"{field} does not hold a value of the right kind: {expected} was expected.");
    }

    /// <summary>The reader's own fault, an internal type: the text is no JSON.</summary>
    private static bool IsSyntax(Exception? fault) => fault?.GetType().Name == "JsonReaderException";

    private static string TitleOf(int status) => status switch
    {
        400 => "Cannot be right",
        404 => "Not there",
        405 => "Not done here",
        409 => "Something else stands",
        413 => "Too large",
        415 => "Wrong kind of content",
        422 => "Refused by a rule",
        503 => "Not saved",
        _ => "Broken on our side",
    };

    /// <summary>Echoes stay short, and carry nothing that does not print.</summary>
    public static string Short(string text, int most)
    {
        var clean = text.AsSpan().IndexOfAnyInRange('\0', '\u001f') < 0 ? text : new string([.. text.Select(c => char.IsControl(c) ? ' ' : c)]);
        return clean.Length <= most ? clean : string.Concat(clean.AsSpan(0, most - 1), "…");
    }
}
