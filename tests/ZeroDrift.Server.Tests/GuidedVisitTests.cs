using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace ZeroDrift.Server.Tests;

/// <summary>A mechanic who does nothing but what the guide says next reaches a signed record, on every valvetrain of the demo.</summary>
[Trait("Length", "long")]
public sealed class GuidedVisitTests : IDisposable
{
    private readonly ServerWithFile server = new(demo: true);
    private Guid visit;
    private string person = "";

    [Fact]
    public async Task Following_the_guide_alone_signs_an_overhead_of_every_type()
    {
        person = (await server.GetAsync("/api/people"))[0].GetProperty("id").GetString()!;
        var engines = (await server.GetAsync("/api/due")).GetProperty("engines").EnumerateArray()
            .Where(e => e.GetProperty("openOverheadId").ValueKind == JsonValueKind.Null).DistinctBy(e => e.GetProperty("typeCode").GetString()).ToList();
        Assert.True(engines.Count >= 9);
        foreach (var engine in engines) await OverheadAsync(engine);
    }

    public void Dispose() => server.Dispose();

    private async Task OverheadAsync(JsonElement engine)
    {
        var (id, name) = (engine.GetProperty("engineId").GetString()!, engine.GetProperty("name").GetString());
        visit = Guid.CreateVersion7();
        await SayAsync(new JsonObject
        {
            ["kind"] = "opened",
            ["engineId"] = id,
            ["job"] = "overhead",
            ["date"] = DateTime.UtcNow.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
            ["shownHours"] = engine.GetProperty("shownHours").GetDouble() + 1,
            ["tray"] = new JsonObject { ["setId"] = "A", ["unit"] = "mm", ["blades"] = new JsonArray("0.10", "0.20", "0.30", "0.40", "0.50") },
        });
        for (var step = 0; step < 400; step++)
        {
            var view = await server.GetAsync($"/api/visits/{visit}");
            if (view.GetProperty("state").GetString() != "open") break;
            await FollowAsync(view, view.GetProperty("next"));
        }

        var record = await server.GetAsync($"/api/visits/{visit}");
        Assert.True(record.GetProperty("state").GetString() == "signed", $"{name}: {record.GetProperty("next")} {record.GetProperty("refusals")}");
        Assert.All(record.GetProperty("sheet").GetProperty("points").EnumerateArray(), p => Assert.True(p.GetProperty("done").GetBoolean(), $"{name} {p.GetProperty("label")}"));
        var after = (await server.GetAsync($"/api/engines/{id}")).GetProperty("row");
        Assert.Empty(after.GetProperty("findings").EnumerateArray());
        Assert.Equal(JsonValueKind.Null, after.GetProperty("openOverheadId").ValueKind);
    }

    private async Task FollowAsync(JsonElement view, JsonElement next)
    {
        var point = next.GetProperty("point").GetString();
        var sheet = view.GetProperty("sheet").GetProperty("points").EnumerateArray().FirstOrDefault(p => p.GetProperty("label").GetString() == point);
        switch (next.GetProperty("do").GetString())
        {
            case "step":
                await SayAsync(new JsonObject { ["kind"] = "ticked", ["step"] = next.GetProperty("step").GetString(), ["on"] = true });
                break;
            case "condition":
                await SayAsync(new JsonObject { ["kind"] = "conditionStated", ["condition"] = "cold", ["engineTemperatureC"] = 15 });
                break;
            case "bar" or "prove":
                var stop = view.GetProperty("sheet").GetProperty("stops").EnumerateArray().First(s => s.GetProperty("points").EnumerateArray().Any(p => p.GetString() == point));
                await SayAsync(stop.GetProperty("crankDeg").ValueKind == JsonValueKind.Null
                    ? new JsonObject { ["kind"] = "positionProved", ["points"] = new JsonArray(point) }
                    : new JsonObject { ["kind"] = "positionProved", ["crankDeg"] = stop.GetProperty("crankDeg").GetDouble() });
                break;
            case "sign":
                await SayAsync(new JsonObject { ["kind"] = "signed" });
                break;
            default:
                await MeasureAsync(sheet);
                break;
        }
    }

    /// <summary>Found as the book sets it; where the book gives an amount, set by that.</summary>
    private async Task MeasureAsync(JsonElement point)
    {
        var label = point.GetProperty("label").GetString();
        if (point.GetProperty("byAmount").GetBoolean())
        {
            await SayAsync(new JsonObject { ["kind"] = "startState", ["point"] = label, ["state"] = "rattles" }, new JsonObject { ["kind"] = "outcome", ["point"] = label, ["outcome"] = "byTheBook", ["amount"] = "0.75", ["unit"] = "turns" });
            return;
        }
        var set = point.GetProperty("setMm") is { ValueKind: JsonValueKind.Number } figure ? figure.GetDouble() : 0.3;
        var reading = Guid.CreateVersion7().ToString();
        await SayAsync(
            new JsonObject { ["kind"] = "figureRead", ["reading"] = reading, ["point"] = label, ["stage"] = "asFound", ["figure"] = set.ToString("0.000", CultureInfo.InvariantCulture), ["unit"] = "mm", ["with"] = "figure" },
            new JsonObject { ["kind"] = "kept", ["reading"] = reading, ["sure"] = true });
    }

    private async Task SayAsync(params JsonObject[] entries)
    {
        foreach (var entry in entries) (entry["id"], entry["at"], entry["by"], entry["device"]) = (Guid.CreateVersion7().ToString(), DateTime.UtcNow.ToString("O", CultureInfo.InvariantCulture), person, "tablet");
        var (_, answer) = await server.PostAsync($"/api/visits/{visit}/entries", new JsonObject { ["after"] = 0, ["entries"] = new JsonArray([.. entries]) });
        Assert.All(answer.GetProperty("outcomes").EnumerateArray(), o => Assert.True(o.GetProperty("outcome").GetString() == "taken", $"{entries[0]} {o}"));
    }
}
