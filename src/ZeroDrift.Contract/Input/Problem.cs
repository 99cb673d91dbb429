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
    public static Problem? Of(Exception exception) => exception switch
    {
        BadInputException bad => Field(400, "malformed", Short(bad.Field, 100), Short(bad.Message, 500)),
        JsonException json => OfJson(json),
        _ => null,
    };

    private static Problem OfJson(JsonException json)
    {
        var field = string.IsNullOrEmpty(json.Path) || json.Path == "$" ? "body" : json.Path.StartsWith("$.", StringComparison.Ordinal) ? json.Path[2..] : json.Path;
        field = Short(field, 100);
        if (json.Message.Contains("depth", StringComparison.OrdinalIgnoreCase)) return Field(400, "malformed", "body", "The request is nested too deeply.");
        if (json.Message.Contains("could not be converted", StringComparison.Ordinal) || json.Message.Contains("cannot be converted", StringComparison.Ordinal))
            return Field(400, "malformed", field, $"{field} does not hold a value of the right kind: {Expected(json.Message + json.InnerException?.Message)} was expected.");
        return Field(400, "malformed", field, $"The request is not valid JSON (line {json.LineNumber + 1}, near {field}).");
    }

    private static string Expected(string message) => message switch
    {
        _ when message.Contains("as a number", StringComparison.Ordinal) => "a number",
        _ when message.Contains("as a boolean", StringComparison.Ordinal) => "true or false",
        _ when message.Contains("as a string", StringComparison.Ordinal) => "text",
        _ when message.Contains("Double", StringComparison.Ordinal) || message.Contains("Int", StringComparison.Ordinal) || message.Contains("Decimal", StringComparison.Ordinal) => "a number",
        _ when message.Contains("Boolean", StringComparison.Ordinal) => "true or false",
        _ when message.Contains("Date", StringComparison.Ordinal) => "a date such as 2027-01-04",
        _ when message.Contains("List", StringComparison.Ordinal) || message.Contains("[]", StringComparison.Ordinal) => "a list",
        _ when message.Contains("System.String", StringComparison.Ordinal) => "text",
        _ when message.Contains("Guid", StringComparison.Ordinal) => "an identifier",
        _ => "one of the words the contract lists",
    };

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
