using System.Globalization;
using System.Net;
using System.Net.Http.Headers;
using System.Reflection;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Routing;
using Microsoft.Data.Sqlite;
using ZeroDrift.Data.Starting;

namespace ZeroDrift.Server.Tests;

/// <summary>Whatever is sent, the answer is a problem with a sentence, and never a 500.</summary>
public sealed class HostileTests : IDisposable
{
    private readonly ServerWithFile server = new();

    [Fact]
    public void Every_operation_that_waits_for_the_data_stops_when_its_asker_has_gone()
    {
        var handlers = server.Service<EndpointDataSource>().Endpoints.Select(e => e.Metadata.GetMetadata<MethodInfo>()).OfType<MethodInfo>().Where(m => typeof(Task).IsAssignableFrom(m.ReturnType) && m.DeclaringType!.Namespace!.StartsWith("ZeroDrift.Server", StringComparison.Ordinal)).ToList();

        Assert.True(handlers.Count > 60);
        Assert.Equal([], handlers.Where(m => m.GetParameters().All(p => p.ParameterType != typeof(CancellationToken))).Select(m => $"{m.DeclaringType!.Name}.{m.Name}"));
    }

    [Fact]
    public async Task A_fuzz_over_the_document_finds_no_fault_and_every_refusal_says_what_would_be_right()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var document = await server.GetAsync("/openapi/v1.json");
        var random = new Random(20261125);
        var unsaid = new SortedSet<string>(StringComparer.Ordinal);
        var ids = new[] { twin.EngineId, twin.TypeId, twin.VisitId, Guid.CreateVersion7(), Guid.Empty };
        foreach (var path in document.GetProperty("paths").EnumerateObject())
        {
            foreach (var method in path.Value.EnumerateObject())
            {
                for (var i = 0; i < 25; i++)
                {
                    var url = System.Text.RegularExpressions.Regex.Replace(path.Name, @"\{[^}]+\}", _ => Pick(ids).ToString());
                    if (i % 5 == 4) url += "?skip=-1&take=0&open=maybe&after=x&engineId=1";
                    var body = method.Value.TryGetProperty("requestBody", out var described) ? Body(document, described, random, i) : null;
                    using var request = new HttpRequestMessage(new HttpMethod(method.Name.ToUpperInvariant()), url);
                    if (body is not null) request.Content = new StringContent(body, Encoding.UTF8, url.Contains("logbook", StringComparison.Ordinal) ? "text/csv" : "application/json");
                    using var response = await server.Client.SendAsync(request);
                    await AssertAnswered(response, $"{method.Name} {url} {body}");
                    if (!method.Value.GetProperty("responses").TryGetProperty(((int)response.StatusCode).ToString(CultureInfo.InvariantCulture), out _)) unsaid.Add($"{method.Name} {path.Name} {(int)response.StatusCode}");
                }
            }
        }

        Assert.True(unsaid.Count == 0, "The document does not say: " + string.Join("; ", unsaid));

        T Pick<T>(T[] from) => from[random.Next(from.Length)];
    }

    [Theory]
    [InlineData("POST", "/api/people", "application/json; charset=utf8", HttpStatusCode.UnsupportedMediaType)]
    [InlineData("POST", "/api/calc/reading", "application/json; charset=latin1", HttpStatusCode.UnsupportedMediaType)]
    [InlineData("POST", "/api/calc/reading", "text/plain", HttpStatusCode.UnsupportedMediaType)]
    [InlineData("DELETE", "/api/people", "application/json", HttpStatusCode.MethodNotAllowed)]
    [InlineData("GET", "/api/calc/reading", null, HttpStatusCode.MethodNotAllowed)]
    [InlineData("GET", "/api/nothing", null, HttpStatusCode.NotFound)]
    public async Task The_wrong_method_or_content_is_said_as_such(string method, string path, string? type, HttpStatusCode expected)
    {
        using var request = new HttpRequestMessage(new HttpMethod(method), path);
        if (type is not null)
        {
            request.Content = new ByteArrayContent("{}"u8.ToArray());
            request.Content.Headers.ContentType = MediaTypeHeaderValue.Parse(type);
        }
        using var response = await server.Client.SendAsync(request);

        Assert.Equal(expected, response.StatusCode);
        await AssertAnswered(response, path);
    }

    [Theory]
    [InlineData("/api/calc/drift", """{"points":[null]}""")]
    [InlineData("/api/calc/screw", """{"measuredMm":0.3,"targetMm":0.4,"pitchMm":5e-324}""")]
    [InlineData("/api/calc/lobe-away", """{"firingOrder":[1,2],"crankDeg":0,"leastMarginDeg":-1}""")]
    [InlineData("/api/calc/judge", """{"trials":[{"bladesMm":[0.2],"feel":"drag"}],"figureMm":0.2}""")]
    [InlineData("/api/calc/advice", """{"adjuster":{"kind":"shim","fittedMm":2.8},"demand":{"kind":"torque","nm":8}}""")]
    public async Task What_once_broke_is_refused(string path, string body)
    {
        var (status, problem) = await server.PostAsync(path, body);

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Equal("malformed", problem.GetProperty("code").GetString());
        Assert.EndsWith(":malformed", problem.GetProperty("type").GetString(), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("/api/visits?open=maybe", "open", "open is true or false; 'maybe' was given.")]
    [InlineData("/api/visits?take=few", "take", "take is a whole number; 'few' was given.")]
    [InlineData("/api/visits?engineId=seven", "engineId", "engineId is an identifier (a UUID); 'seven' was given.")]
    [InlineData("/api/due?skip=1.5", "skip", "skip is a whole number; '1.5' was given.")]
    [InlineData("/api/plan?days=many", "days", "days is a whole number; 'many' was given.")]
    [InlineData("/api/plan?from=soon", "from", "from is a day, such as 2026-11-27; 'soon' was given.")]
    public async Task A_question_in_the_address_that_cannot_be_read_is_named(string path, string field, string sentence)
    {
        var (status, body) = await server.SendAsync(HttpMethod.Get, path, "");

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Equal(sentence, body.GetProperty("errors").GetProperty(field)[0].GetString());
    }

    [Fact]
    public async Task A_locked_file_is_not_saved_yet_and_goes_in_when_it_is_free()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var note = twin.Entry("noted", new { text = "While the backup ran." });
        await using (var other = new SqliteConnection($"Data Source={Path.Combine(server.Folder, DataFile.Name)};Pooling=False"))
        {
            await other.OpenAsync();
            await using var command = other.CreateCommand();
            command.CommandText = "BEGIN IMMEDIATE";
            await command.ExecuteNonQueryAsync();
            var (status, problem) = await twin.SendAsync(note);
            Assert.Equal((HttpStatusCode.ServiceUnavailable, "notSaved"), (status, problem.GetProperty("code").GetString()));
        }

        Assert.Equal("taken", (await twin.OneAsync(note)).GetProperty("outcome").GetString());
    }

    [Fact]
    public async Task A_name_pointed_at_this_machine_is_not_served_and_a_page_from_elsewhere_changes_nothing()
    {
        using var rebound = new HttpRequestMessage(HttpMethod.Get, "/api/due") { Headers = { Host = "evil.example" } };
        using var foreign = new HttpRequestMessage(HttpMethod.Post, "/api/people") { Content = new StringContent("""{"name":"Eve"}""", Encoding.UTF8, "application/json"), Headers = { { "Origin", "http://evil.example" } } };
        using var own = new HttpRequestMessage(HttpMethod.Post, "/api/people") { Content = new StringContent("""{"name":"Eva"}""", Encoding.UTF8, "application/json"), Headers = { { "Origin", "http://localhost" } } };

        Assert.Equal((HttpStatusCode)421, (await server.Client.SendAsync(rebound)).StatusCode);
        Assert.Equal(HttpStatusCode.Forbidden, (await server.Client.SendAsync(foreign)).StatusCode);
        Assert.Equal(HttpStatusCode.Created, (await server.Client.SendAsync(own)).StatusCode);
        var headers = (await server.Client.GetAsync("/api/due")).Headers;
        foreach (var name in (string[])["Content-Security-Policy", "X-Content-Type-Options", "X-Frame-Options", "Referrer-Policy"]) Assert.True(headers.Contains(name), name);
        Assert.False(headers.Contains("Server"));
    }

    [Theory]
    [InlineData("Åse Nordmann", "åse  NORDMANN")]
    [InlineData("Straße", "STRASSE\u200b")]
    [InlineData("Kiel", "K\u0131el")]
    public async Task Spellings_of_one_name_are_one_name(string first, string second)
    {
        await server.PostAsync("/api/people", new { name = first });
        var (status, _) = await server.PostAsync("/api/people", new { name = second });

        Assert.Equal(first is "Åse Nordmann" ? HttpStatusCode.Conflict : HttpStatusCode.Created, status);
    }

    [Fact]
    public async Task A_name_with_what_does_not_print_is_refused_and_an_echo_is_cut()
    {
        var (control, _) = await server.PostAsync("/api/people", new { name = "A\u0007B" });
        var (_, body) = await server.PostAsync("/api/calc/reading", $"{{\"trials\":\"{new string('x', 100_000)}\"}}");
        var (_, longName) = await server.PostAsync("/api/people", new { name = new string('x', 100_000) });

        Assert.Equal(HttpStatusCode.BadRequest, control);
        Assert.True(body.ToString().Length < 2000 && longName.ToString().Length < 2000);
    }

    [Fact]
    public async Task A_formula_in_a_remark_stays_text_in_the_file_and_comes_back_as_it_was()
    {
        await new TwinEngine(server).AddAsync();
        await server.PostFileAsync("/api/logbook/import", "engine,date,engine hours,cylinder,valve,as found,as left,unit,remark\nPump twin,2024-03-01,500,1,E,0.4,,mm,=1+1\n");

        var export = await server.Client.GetStringAsync("/api/logbook/export");
        var (_, again) = await server.PostFileAsync("/api/logbook/preview", export);

        Assert.Contains("'=1+1", export, StringComparison.Ordinal);
        Assert.Equal(1, again.GetProperty("alreadyThere").GetInt32());
    }

    public void Dispose() => server.Dispose();

    private static async Task AssertAnswered(HttpResponseMessage response, string what)
    {
        var text = await response.Content.ReadAsStringAsync();
        Assert.True((int)response.StatusCode < 500, $"{(int)response.StatusCode} to {what}: {text}");
        if ((int)response.StatusCode < 400) return;
        Assert.Equal("application/problem+json", response.Content.Headers.ContentType?.MediaType);
        var problem = JsonDocument.Parse(text).RootElement;
        Assert.False(string.IsNullOrWhiteSpace(problem.GetProperty("detail").GetString()), what);
        Assert.EndsWith(":" + problem.GetProperty("code").GetString(), problem.GetProperty("type").GetString(), StringComparison.Ordinal);
    }

    /// <summary>A body that fits the schema roughly, then one with a piece of it spoilt.</summary>
    private static string Body(JsonElement document, JsonElement described, Random random, int i)
    {
        if (i == 0) return "null";
        if (i == 1) return "[[[";
        var content = described.GetProperty("content").EnumerateObject().First().Value;
        var made = content.TryGetProperty("schema", out var schema) ? Value(document, schema, random, 0) : null;
        var text = made?.ToJsonString() ?? "{}";
        return i % 3 == 0 && text.Length > 4 ? text.Remove(random.Next(text.Length), 1) : text;
    }

    private static JsonNode? Value(JsonElement document, JsonElement schema, Random random, int depth)
    {
        if (random.Next(12) == 0) return Spoilt(random);
        if (schema.TryGetProperty("$ref", out var reference)) return Value(document, document.GetProperty("components").GetProperty("schemas").GetProperty(reference.GetString()!.Split('/')[^1]), random, depth + 1);
        if (schema.TryGetProperty("oneOf", out var oneOf)) return Value(document, oneOf[random.Next(oneOf.GetArrayLength())], random, depth + 1);
        if (schema.TryGetProperty("enum", out var words)) return JsonNode.Parse(words[random.Next(words.GetArrayLength())].GetRawText());
        var type = schema.TryGetProperty("type", out var named) ? named.ValueKind == JsonValueKind.Array ? named[random.Next(named.GetArrayLength())].GetString() : named.GetString() : "object";
        switch (type)
        {
            case "object":
                var made = new JsonObject();
                if (depth < 6 && schema.TryGetProperty("properties", out var properties))
                    foreach (var property in properties.EnumerateObject())
                        if (random.Next(5) != 0) made[property.Name] = Value(document, property.Value, random, depth + 1);
                return made;
            case "array":
                return new JsonArray([.. Enumerable.Range(0, random.Next(4)).Select(_ => schema.TryGetProperty("items", out var items) ? Value(document, items, random, depth + 1) : null)]);
            case "string": return schema.TryGetProperty("format", out var format) && format.GetString() == "uuid" ? Guid.CreateVersion7().ToString() : "abc";
            case "integer": return random.Next(-3, 30);
            case "number": return random.NextDouble() * 10 - 1;
            case "boolean": return random.Next(2) == 0;
            default: return null;
        }
    }

    private static JsonNode? Spoilt(Random random) => random.Next(9) switch
    {
        0 => null,
        1 => "",
        2 => -1,
        3 => 1e300,
        4 => new string('y', 5000),
        5 => new JsonArray(1, "x", null),
        6 => new JsonObject { ["x"] = 1 },
        7 => "\u0000\u202e\ud83d",
        _ => true,
    };
}
