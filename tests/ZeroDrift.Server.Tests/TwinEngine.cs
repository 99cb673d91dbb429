using System.Net;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace ZeroDrift.Server.Tests;

/// <summary>A four-point twin typed into the book, put in the yard and opened: the smallest engine with two stops.</summary>
internal sealed class TwinEngine(ServerWithFile server)
{
    public Guid TypeId { get; init; } = Guid.CreateVersion7();

    public Guid EngineId { get; } = Guid.CreateVersion7();

    public Guid VisitId { get; private set; } = Guid.CreateVersion7();

    public Guid Marit { get; private set; }

    public Guid Olav { get; private set; }

    public static object Type(Guid id, string code = "TW2", string order = "1 2", string layout = "I E I E", object[]? lines = null, string adjuster = "screwAtValve") => new
    {
        id,
        code,
        name = "Test twin",
        firingOrder = order,
        layout,
        adjuster,
        pitchMm = 1.0,
        method = "twoStop",
        bookHours = 1000,
        spec = new
        {
            revision = "A",
            source = "workshop manual",
            date = "2015-01-01",
            condition = "cold",
            lines = lines ?? [new { kind = "intake", min = "0.15", max = "0.25", set = "0.20", unit = "mm" }, new { kind = "exhaust", min = "0.35", max = "0.45", set = "0.40", unit = "mm" }],
        },
    };

    public async Task<TwinEngine> AddAsync(string name = "Pump twin", object? type = null)
    {
        await server.PostAsync("/api/engine-types", type ?? Type(TypeId));
        var (added, engine) = await server.PostAsync("/api/engines", new { id = EngineId, name, machine = "generator", site = "Depot", engineTypeId = TypeId, dutyHoursPerDay = 5 });
        Assert.True(added == HttpStatusCode.Created, engine.ToString());
        Marit = await PersonAsync("Marit");
        Olav = await PersonAsync("Olav");
        return this;
    }

    public async Task<Guid> PersonAsync(string name)
    {
        await server.PostAsync("/api/people", new { name });
        return (await server.GetAsync("/api/people")).EnumerateArray().First(p => p.GetProperty("name").GetString() == name).GetProperty("id").GetGuid();
    }

    /// <summary>An entry as a device makes it.</summary>
    public JsonObject Entry(string kind, object? fields = null, Guid? by = null, Guid? id = null)
    {
        var entry = JsonSerializer.SerializeToNode(fields ?? new { })!.AsObject();
        entry["id"] = (id ?? Guid.CreateVersion7()).ToString();
        entry["kind"] = kind;
        entry["at"] = "2026-11-20T08:00:00Z";
        entry["by"] = (by ?? Marit).ToString();
        entry["device"] = "tab1";
        return entry;
    }

    public Task<(HttpStatusCode Status, JsonElement Body)> SendAsync(params JsonObject[] entries) => SendToAsync(VisitId, entries);

    public Task<(HttpStatusCode Status, JsonElement Body)> SendToAsync(Guid visit, params JsonObject[] entries) =>
        server.PostAsync($"/api/visits/{visit}/entries", new JsonObject { ["after"] = 0, ["entries"] = new JsonArray([.. entries.Select(e => (JsonNode)e.DeepClone())]) });

    /// <summary>Sends entries of which each must be taken.</summary>
    public async Task TakeAsync(params JsonObject[] entries)
    {
        var (status, body) = await SendAsync(entries);
        Assert.True(status == HttpStatusCode.OK, body.ToString());
        foreach (var outcome in body.GetProperty("outcomes").EnumerateArray()) Assert.True(outcome.GetProperty("outcome").GetString() == "taken", outcome.ToString());
    }

    /// <summary>Sends one entry and gives its outcome.</summary>
    public async Task<JsonElement> OneAsync(JsonObject entry)
    {
        var (status, body) = await SendAsync(entry);
        Assert.True(status == HttpStatusCode.OK, body.ToString());
        return body.GetProperty("outcomes")[0];
    }

    public JsonObject Opened(double hours = 1000, string job = "overhead", string date = "2026-11-20") => Entry("opened", new { engineId = EngineId, job, date, shownHours = hours, tray = new { unit = "mm", blades = new[] { "0.15", "0.20", "0.25", "0.30", "0.35", "0.40", "0.45" } } });

    public async Task<TwinEngine> OpenAsync(double hours = 1000, string job = "overhead", string date = "2026-11-20")
    {
        VisitId = Guid.CreateVersion7();
        await TakeAsync(Opened(hours, job, date));
        var steps = (await ViewAsync()).GetProperty("context").GetProperty("steps").EnumerateArray().Select(s => s.GetProperty("step").GetString()!).ToList();
        await TakeAsync([.. steps.Select(step => Entry("ticked", new { step, on = true })), Entry("conditionStated", new { condition = "cold", engineTemperatureC = 15 })]);
        return this;
    }

    /// <summary>The next entries are another visit's.</summary>
    public void Anew() => VisitId = Guid.CreateVersion7();

    public async Task<JsonElement> ViewAsync() => await server.GetAsync($"/api/visits/{VisitId}");

    public async Task<JsonElement> PointAsync(string label) => (await ViewAsync()).GetProperty("points").EnumerateArray().First(p => p.GetProperty("point").GetString() == label);

    public async Task<JsonElement> SheetAsync(string label) => (await ViewAsync()).GetProperty("sheet").GetProperty("points").EnumerateArray().First(p => p.GetProperty("label").GetString() == label);

    /// <summary>A figure given and kept, with no thought for the stop.</summary>
    public JsonObject[] Figure(string point, string figure, string stage = "asFound", string unit = "mm", Guid? by = null)
    {
        var reading = Guid.CreateVersion7();
        return [Entry("figureRead", new { reading, point, stage, figure, unit, with = "figure", unproved = true }, by), Entry("kept", new { reading, sure = true }, by)];
    }

    public async Task MeasureAllAsync(string intake = "0.20", string exhaust = "0.40")
    {
        foreach (var point in (string[])["1I", "1E", "2I", "2E"]) await TakeAsync(Figure(point, point.EndsWith('I') ? intake : exhaust));
    }

    public Task SignAsync() => TakeAsync(Entry("signed"));
}
