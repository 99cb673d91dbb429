using System.Net;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

/// <summary>A type from one page of a manual: what is needed is enough, and what is not known is said wherever it matters.</summary>
public sealed class NewTypeTests : IDisposable
{
    private readonly ServerWithFile server = new();

    private static object Needed(object lines) => new { name = "Quay pump, four", firingOrder = "1342", layout = "E I I E E I I E", adjuster = "screwAtPushrod", spec = new { revision = "A", source = "plate", condition = "cold", lines } };

    [Fact]
    public async Task Name_order_valves_adjuster_and_clearances_are_enough_and_it_goes_by_its_name()
    {
        var (status, type) = await server.PostAsync("/api/engine-types", Needed(new[] { new { kind = "intake", written = "0.20-0.30", unit = "mm" }, new { kind = "exhaust", written = ".016 in", unit = "mm" } }));

        Assert.Equal(HttpStatusCode.Created, status);
        Assert.Equal("Quay pump, four", type.GetProperty("code").GetString());
        Assert.Equal([1, 3, 4, 2], type.GetProperty("firingOrder").EnumerateArray().Select(c => c.GetInt32()));
        var figures = type.GetProperty("revisions")[0].GetProperty("figures").EnumerateArray().ToDictionary(f => f.GetProperty("kind").GetString()!);
        Assert.Equal((0.20, 0.30), (figures["intake"].GetProperty("minMm").GetDouble(), figures["intake"].GetProperty("maxMm").GetDouble()));
        Assert.Equal(16 * 0.0254, figures["exhaust"].GetProperty("setMm").GetDouble(), 9);
        Assert.Equal("thou", figures["exhaust"].GetProperty("unit").GetString());
    }

    [Fact]
    public async Task Whoever_works_on_it_is_told_that_way_pitch_and_ratio_are_not_known_and_gets_no_turn()
    {
        var (_, type) = await server.PostAsync("/api/engine-types", Needed(new[] { new { kind = "intake", written = "0.25 mm" }, new { kind = "exhaust", written = "0.40 mm" } }));
        Assert.Equal(["rotation", "pitchMm", "clearancePerTravel"], type.GetProperty("assumed").EnumerateArray().Select(a => a.GetString()));

        var (_, engine) = await server.PostAsync("/api/engines", new { name = "Pump", machine = "lorry", site = "Depot", engineTypeId = type.GetProperty("id").GetString() });
        var context = (await server.GetAsync($"/api/engines/{engine.GetProperty("row").GetProperty("engineId").GetString()}/take-along")).GetProperty("context");
        Assert.Contains("look before you bar it", context.GetProperty("type").GetProperty("rotation").GetString(), StringComparison.Ordinal);
        Assert.Equal("screw", context.GetProperty("points")[0].GetProperty("adjuster").GetProperty("kind").GetString());
        Assert.False(context.GetProperty("points")[0].GetProperty("adjuster").TryGetProperty("pitchMm", out var pitch) && pitch.ValueKind != JsonValueKind.Null);

        // A pitch alone is not enough at the pushrod: a turn worked out by a ratio nobody gave would be a wrong one.
        var path = $"/api/engine-types/{type.GetProperty("id").GetString()}";
        await server.SendAsync(HttpMethod.Put, path, new { pitchMm = 1.25, why = "looked up" });
        Assert.Null(await PitchAsync());
        await server.SendAsync(HttpMethod.Put, path, new { clearancePerTravel = 1.5, why = "looked up" });
        Assert.Equal(1.25, await PitchAsync());

        async Task<double?> PitchAsync()
        {
            var points = (await server.GetAsync($"/api/engines/{engine.GetProperty("row").GetProperty("engineId").GetString()}/take-along")).GetProperty("context").GetProperty("points");
            return points[0].GetProperty("adjuster").TryGetProperty("pitchMm", out var mm) && mm.ValueKind == JsonValueKind.Number ? mm.GetDouble() : null;
        }
    }

    [Fact]
    public async Task A_pasted_piece_of_a_manual_says_what_was_read_and_what_was_not()
    {
        var (status, read) = await server.PostAsync("/api/engine-types/excerpt", new { text = "Firing order 1-3-4-2. Intake 0.25 mm, exhaust 0.40 mm, cold. Rotation clockwise, seen from the front." });
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(("1-3-4-2", "cold", "mm", "clockwise seen from the front"), (Text("firingOrder"), Text("condition"), Text("unit"), Text("rotation")));
        Assert.Equal(["intake 0.25", "exhaust 0.40"], read.GetProperty("clearances").EnumerateArray().Select(c => $"{c.GetProperty("kind").GetString()} {c.GetProperty("written").GetString()}"));

        var (refused, why) = await server.PostAsync("/api/engine-types/excerpt", new { text = "Change the oil every 250 hours." });
        Assert.Equal(HttpStatusCode.BadRequest, refused);
        Assert.True(why.GetProperty("errors").TryGetProperty("text", out _));

        string? Text(string field) => read.GetProperty(field).GetString();
    }

    [Fact]
    public async Task How_valves_often_stand_is_offered_for_its_order()
    {
        var usual = await server.GetAsync("/api/engine-types/usual-layouts?firingOrder=1342");
        Assert.Contains("E I I E E I I E", usual.EnumerateArray().Select(l => l.GetString()));
    }

    [Fact]
    public async Task A_clearance_that_is_none_is_refused_beside_its_line()
    {
        var (status, why) = await server.PostAsync("/api/engine-types", Needed(new[] { new { kind = "intake", written = "a quarter" }, new { kind = "exhaust", written = "0.40 mm" } }));
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.True(why.GetProperty("errors").TryGetProperty("spec.lines[0].written", out _), why.ToString());
    }

    public void Dispose() => server.Dispose();
}
