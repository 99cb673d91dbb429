using System.Net;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

/// <summary>What a type owns, what an engine owns over it, and what bad input to either is told.</summary>
public sealed class TypeOwnsTests : IDisposable
{
    private readonly ServerWithFile server = new();

    private static object Type(string code, object more)
    {
        var fields = new Dictionary<string, object?>
        {
            ["code"] = code,
            ["name"] = "Test",
            ["firingOrder"] = "1 2",
            ["layout"] = "I E I E",
            ["adjuster"] = "screwAtValve",
            ["pitchMm"] = 1.0,
            ["jobHours"] = 4,
            ["spec"] = new { revision = "A", source = "manual", condition = "cold", date = "2020-01-01", lines = new[] { new { kind = "intake", min = "0.15", max = "0.25", set = "0.20", unit = "mm" }, new { kind = "exhaust", min = "0.35", max = "0.45", set = "0.40", unit = "mm" } } },
        };
        foreach (var field in JsonSerializer.SerializeToElement(more).EnumerateObject()) fields[field.Name] = field.Value;
        return fields;
    }

    private Task<(HttpStatusCode Status, JsonElement Body)> PostAsync(string path, object body) => server.PostAsync(path, body);

    private static string Field(JsonElement problem) => problem.GetProperty("errors").EnumerateObject().First().Name;

    [Theory]
    [InlineData("steps", """[{"list":"makeSafe","text":"x"}]""", "steps[0].list")]
    [InlineData("steps", """[{"list":"covers"}]""", "steps[0].text")]
    [InlineData("steps", """[{"key":"a","list":"covers","text":"x"},{"key":"a","list":"covers","text":"y"}]""", "steps[1].key")]
    [InlineData("steps", """[{"list":"covers","text":"x","counts":"out","pair":"nuts"}]""", "steps[0].pair")]
    [InlineData("steps", """[{"list":"point","text":"x","points":["9E"]}]""", "steps[0].points")]
    [InlineData("steps", """[{"list":"covers","text":"x","crankDeg":90}]""", "steps[0].crankDeg")]
    [InlineData("steps", "[null]", "steps[0]")]
    [InlineData("fasteners", """[{"use":"locknut","torqueNm":-1}]""", "fasteners[0].torqueNm")]
    [InlineData("gaskets", """[{"name":"","count":1}]""", "gaskets[0].name")]
    [InlineData("bridgeScrews", """["1E"]""", "bridgeScrews")]
    [InlineData("byKind", """[{"kind":"injector","adjuster":"shimOnTop"}]""", "byKind[0].adjuster")]
    [InlineData("pastTdcMm", "6.35", "rodMm", "strokeMm", "60")]
    [InlineData("letters", "\"einlassAuslass\"", "layout")]
    [InlineData("hotMinutes", "0", "hotMinutes")]
    public async Task What_cannot_be_of_a_type_is_told_by_its_field(string name, string value, string field, string? also = null, string? its = null)
    {
        var more = new Dictionary<string, JsonElement> { [name] = JsonSerializer.Deserialize<JsonElement>(value) };
        if (also is not null) more[also] = JsonSerializer.Deserialize<JsonElement>(its!);
        var (status, body) = await PostAsync("/api/engine-types", Type("T" + Guid.NewGuid().ToString("N")[..6], more));
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Equal(field, Field(body));
    }

    [Fact]
    public async Task A_layout_of_E_alone_asks_whose_letters_they_are_before_anything_is_stored()
    {
        var (status, body) = await PostAsync("/api/engine-types", Type("EE", new { layout = "E E" }));
        Assert.Equal((HttpStatusCode.BadRequest, "letters"), (status, Field(body)));
        Assert.Empty((await server.GetAsync("/api/engine-types")).EnumerateArray());
        var (made, type) = await PostAsync("/api/engine-types", Type("EE", new { layout = "E A E A" }));
        Assert.Equal(HttpStatusCode.Created, made);
        Assert.Equal("E intake (Einlass), A exhaust (Auslass)", type.GetProperty("lettersSpeltOut").GetString());
        Assert.Equal(["1E", "1A", "2E", "2A"], type.GetProperty("points").EnumerateArray().Select(p => p.GetProperty("label").GetString()));
    }

    [Fact]
    public async Task Edited_steps_and_kit_stand_in_the_contexts_of_visits_opened_after_and_an_emptied_list_goes_back_to_the_adjusters()
    {
        var (_, type) = await PostAsync("/api/engine-types", Type("ST", new { steps = new[] { new { list = "covers", text = "Fan off." } }, fasteners = new[] { new { use = "locknut", size = "13 mm", torqueNm = 22 } } }));
        var id = type.GetProperty("id").GetString();
        var (_, engine) = await PostAsync("/api/engines", new { name = "Pump", machine = "lorry", site = "Depot", engineTypeId = id });
        var context = (await server.GetAsync($"/api/engines/{engine.GetProperty("row").GetProperty("engineId").GetString()}/take-along")).GetProperty("context");
        var steps = context.GetProperty("steps").EnumerateArray().Select(s => $"{s.GetProperty("list").GetString()}: {s.GetProperty("text").GetString()}").ToList();
        Assert.Contains("covers: Fan off.", steps);
        Assert.Contains("kit: 13 mm: locknut", steps);
        // The torque belongs to the lock of each point that is set: at close-up it would move what was measured.
        Assert.DoesNotContain(steps, s => s.StartsWith("closeUp", StringComparison.Ordinal) && s.Contains("22 Nm", StringComparison.Ordinal));
        Assert.Equal(22, context.GetProperty("type").GetProperty("fasteners")[0].GetProperty("torqueNm").GetDouble());

        var (_, changed) = await server.SendAsync(HttpMethod.Put, $"/api/engine-types/{id}", new { steps = Array.Empty<object>(), gasketHours = 1.5, why = "looked up" });
        Assert.False(changed.GetProperty("ownSteps").GetBoolean());
        var (_, emptied) = await server.SendAsync(HttpMethod.Put, $"/api/engine-types/{id}", new { emptied = new[] { "gasketHours" }, why = "no new ones" });
        Assert.Equal(JsonValueKind.Null, emptied.GetProperty("gasketHours").ValueKind);
    }

    [Fact]
    public async Task What_nobody_gave_is_marked_as_assumed_until_somebody_looks_it_up()
    {
        var (_, type) = await PostAsync("/api/engine-types", Type("AS", new { adjuster = "screwAtPushrod" }));
        Assert.Equal(["rotation", "clearancePerTravel"], type.GetProperty("assumed").EnumerateArray().Select(a => a.GetString()));
        var path = $"/api/engine-types/{type.GetProperty("id").GetString()}";
        Assert.Contains("not known: look before you bar it", type.GetProperty("rotation").GetString(), StringComparison.Ordinal);
        var (refused, why) = await server.SendAsync(HttpMethod.Put, path, new { confirmed = new[] { "rotation" }, why = "manual" });
        Assert.Equal((HttpStatusCode.BadRequest, "rotation"), (refused, Field(why)));
        var (_, answer) = await server.SendAsync(HttpMethod.Put, path, new { clearancePerTravel = 1.4, rotation = "clockwise seen from the front", why = "manual" });
        Assert.Empty(answer.GetProperty("assumed").EnumerateArray());
    }

    [Fact]
    public async Task An_engine_s_own_figure_judges_its_visits_and_its_outlook_and_the_type_s_holds_again_once_it_is_taken_back()
    {
        var (_, type) = await PostAsync("/api/engine-types", Type("OF", new { }));
        var (_, made) = await PostAsync("/api/engines", new { name = "Odd cam", machine = "lorry", site = "Depot", engineTypeId = type.GetProperty("id").GetString() });
        var engine = made.GetProperty("row").GetProperty("engineId").GetString();
        var path = $"/api/engines/{engine}/own-figures";
        var (bad, told) = await PostAsync(path, new { line = new { kind = "intake", min = "0.30", max = "0.20", unit = "mm" }, who = "Tove", why = "plate", source = "plate" });
        Assert.Equal((HttpStatusCode.BadRequest, "maxMm"), (bad, Field(told)));
        Assert.Equal("why", Field((await PostAsync(path, new { line = new { kind = "intake", min = "0.10", max = "0.20", unit = "mm" }, who = "Tove", source = "plate" })).Body));
        var (_, figures) = await PostAsync(path, new { line = new { kind = "intake", min = "0.10", max = "0.20", set = "0.15", unit = "mm" }, condition = "cold", who = "Tove", why = "camshaft of another maker", source = "its maker's sheet" });
        Assert.Single(figures.EnumerateArray());

        var demand = Demand(await server.GetAsync($"/api/engines/{engine}/take-along"), "1I");
        Assert.Equal((0.10, 0.20), (demand.GetProperty("demand").GetProperty("minMm").GetDouble(), demand.GetProperty("demand").GetProperty("maxMm").GetDouble()));
        Assert.Equal("camshaft of another maker", demand.GetProperty("own").GetProperty("why").GetString());
        Assert.Equal(0.40, Demand(await server.GetAsync($"/api/engines/{engine}/take-along"), "1E").GetProperty("demand").GetProperty("setMm").GetDouble());
        Assert.Equal(0.20, (await server.GetAsync($"/api/engines/{engine}")).GetProperty("points")[0].GetProperty("maxMm").GetDouble());

        // 0.22 is within the type's 0.25, and loose by this engine's own 0.20: in a logbook of that day too.
        var today = DateTime.UtcNow.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);
        var (_, taken) = await server.PostFileAsync("/api/logbook/import", $"engine,date,hours,cylinder,kind,found,left,unit\nOdd cam,{today},10,1,I,0.22,,mm\n");
        Assert.Equal(1, taken.GetProperty("newReadings").GetInt32());
        var imported = (await server.GetAsync($"/api/engines/{engine}")).GetProperty("ledger").EnumerateArray().First().GetProperty("overheadId").GetString();
        Assert.Equal("loose", (await server.GetAsync($"/api/visits/{imported}")).GetProperty("sheet").GetProperty("points").EnumerateArray().First(p => p.GetProperty("label").GetString() == "1I").GetProperty("found").GetProperty("state").GetString());

        var figure = figures[0].GetProperty("id").GetString();
        await PostAsync($"{path}/{figure}/withdraw", new { who = "Tove", why = "the camshaft went back" });
        Assert.Equal(0.25, Demand(await server.GetAsync($"/api/engines/{engine}/take-along"), "1I").GetProperty("demand").GetProperty("maxMm").GetDouble());
    }

    [Fact]
    public async Task A_newer_revision_than_the_one_judged_by_is_said_beside_the_visit()
    {
        var twin = await new TwinEngine(server).AddAsync();
        await twin.OpenAsync();
        Assert.Equal(JsonValueKind.Null, (await twin.ViewAsync()).GetProperty("newerRevision").ValueKind);
        var (status, _) = await PostAsync($"/api/engine-types/{twin.TypeId}/revisions", new { revision = "Z", source = "bulletin 9", date = DateTime.UtcNow.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture), condition = "cold", lines = new[] { new { kind = "intake", single = "0.22", unit = "mm" }, new { kind = "exhaust", single = "0.42", unit = "mm" } } });
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal("Z", (await twin.ViewAsync()).GetProperty("newerRevision").GetProperty("revision").GetString());
    }

    public void Dispose() => server.Dispose();

    private static JsonElement Demand(JsonElement along, string point) => along.GetProperty("context").GetProperty("demands")[0].GetProperty("points").EnumerateArray().First(p => p.GetProperty("point").GetString() == point);
}
