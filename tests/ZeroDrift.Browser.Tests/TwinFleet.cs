using System.Net.Http.Json;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace ZeroDrift.Browser.Tests;

/// <summary>A fleet of twins (windows 0.15 to 0.25 and 0.35 to 0.45) put into a running server, and what the server knows of a visit.</summary>
internal sealed class TwinFleet(RunningServer server)
{
    private readonly Guid typeId = Guid.CreateVersion7();

    public Guid Tove { get; private set; }

    public Guid Olav { get; private set; }

    public async Task<TwinFleet> AddAsync()
    {
        await PostAsync("/api/engine-types", new
        {
            id = typeId,
            code = "TW2",
            name = "Test twin",
            firingOrder = "1 2",
            layout = "I E I E",
            adjuster = "screwAtValve",
            pitchMm = 1.0,
            method = "twoStop",
            bookHours = 1000,
            spec = new { revision = "A", source = "workshop manual", date = "2015-01-01", condition = "cold", lines = new[] { new { kind = "intake", min = "0.15", max = "0.25", set = "0.20", unit = "mm" }, new { kind = "exhaust", min = "0.35", max = "0.45", set = "0.40", unit = "mm" } } },
        });
        Tove = (await PostAsync("/api/people", new { name = "Tove" })).GetProperty("id").GetGuid();
        Olav = (await PostAsync("/api/people", new { name = "Olav" })).GetProperty("id").GetGuid();
        return this;
    }

    public async Task<Guid> EngineAsync(string name)
    {
        var id = Guid.CreateVersion7();
        await PostAsync("/api/engines", new { id, name, machine = "generator", site = "Depot", engineTypeId = typeId, dutyHoursPerDay = 5 });
        return id;
    }

    public async Task<JsonElement> GetAsync(string path)
    {
        using var http = new HttpClient { BaseAddress = new Uri(server.Url()) };
        return await http.GetFromJsonAsync<JsonElement>(path);
    }

    public async Task<JsonElement> PostAsync(string path, object body)
    {
        using var http = new HttpClient { BaseAddress = new Uri(server.Url()) };
        using var answer = await http.PostAsJsonAsync(path, body);
        var text = await answer.Content.ReadAsStringAsync();
        Assert.True(answer.IsSuccessStatusCode, $"{path}: {text}");
        return JsonSerializer.Deserialize<JsonElement>(text);
    }

    /// <summary>The same entries said to another engine, as if by somebody with a network.</summary>
    public async Task<JsonElement> SaidOnlineAsync(IEnumerable<JsonNode> entries, Guid engine)
    {
        var (visit, others) = (Guid.CreateVersion7(), new Dictionary<string, string>());
        string Other(string id) => others.TryGetValue(id, out var other) ? other : others[id] = Guid.CreateVersion7().ToString();
        foreach (var entry in entries)
        {
            var said = entry.DeepClone().AsObject();
            foreach (var name in (string[])["sequence", "receivedAt", "contextId"]) said.Remove(name);
            foreach (var name in (string[])["id", "reading", "entry"]) if (said.ContainsKey(name)) said[name] = Other((string)said[name]!);
            if (said.ContainsKey("engineId")) said["engineId"] = engine.ToString();
            var answer = await PostAsync($"/api/visits/{visit}/entries", new JsonObject { ["after"] = 0, ["entries"] = new JsonArray(said) });
            Assert.Equal("taken", answer.GetProperty("outcomes")[0].GetProperty("outcome").GetString());
        }
        return await GetAsync($"/api/visits/{visit}");
    }

    /// <summary>What stands of each point: figures, verdict, outcome, without who and when.</summary>
    public static List<string> Standing(JsonElement visit) =>
        [.. visit.GetProperty("points").EnumerateArray().Select(p => $"{p.GetProperty("point")} {Figure(p.GetProperty("found"))} {Figure(p.GetProperty("left"))} {p.GetProperty("verdict")} {p.GetProperty("outcome")}")];

    private static string Figure(JsonElement f) => f.ValueKind == JsonValueKind.Null ? "-" : $"{f.GetProperty("estimateMm")}/{f.GetProperty("lowerMm")}/{f.GetProperty("upperMm")}/{f.GetProperty("standardUncertaintyMm")}";
}
