using System.Net;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace ZeroDrift.Server.Tests;

/// <summary>How a book does it at the engine, kept with its type and taken along to the visit.</summary>
public sealed class SchoolsTests : IDisposable
{
    private readonly ServerWithFile server = new();
    private readonly TwinEngine twin;

    public SchoolsTests() => twin = new TwinEngine(server);

    public void Dispose() => server.Dispose();

    /// <summary>The twin's type with more said of it.</summary>
    private JsonObject Type(object more)
    {
        var type = JsonSerializer.SerializeToNode(TwinEngine.Type(twin.TypeId))!.AsObject();
        foreach (var field in JsonSerializer.SerializeToNode(more)!.AsObject()) type[field.Key] = field.Value?.DeepClone();
        return type;
    }

    private async Task<JsonElement> SheetAsync() => (await twin.ViewAsync()).GetProperty("sheet");

    [Fact]
    public async Task A_book_list_by_valve_number_is_kept_to_the_letter_and_the_bench_calls_valves_by_their_numbers()
    {
        await twin.AddAsync(type: Type(new { method = "book", pointNames = new[] { "1", "2", "3", "4" }, bookStops = new[] { new { crankDeg = 360, points = new[] { "4", "3" } }, new { crankDeg = 0, points = new[] { "2", "1" } } } }));
        await twin.OpenAsync();
        var sheet = await SheetAsync();

        Assert.Equal(["2E,2I", "1E,1I"], sheet.GetProperty("stops").EnumerateArray().Select(s => string.Join(',', s.GetProperty("points").EnumerateArray().Select(p => p.GetString()))));
        Assert.Equal(["1", "2", "3", "4"], sheet.GetProperty("points").EnumerateArray().Select(p => p.GetProperty("bookName").GetString()));
        var type = await server.GetAsync($"/api/engine-types/{twin.TypeId}");
        Assert.Equal(["4", "3"], type.GetProperty("bookStops")[0].GetProperty("points").EnumerateArray().Select(p => p.GetString()));
    }

    [Theory]
    [InlineData("""{"method":"book","bookStops":[{"crankDeg":0,"points":["7"]}]}""", "bookStops", "give the numbers of the points first")]
    [InlineData("""{"pointNames":["1","2"]}""", "pointNames", "all 4 points")]
    [InlineData("""{"pointNames":["1","1","2","3"]}""", "pointNames", "stands for two points")]
    [InlineData("""{"measuring":"dial"}""", "dialConversion", "clearance per dial travel")]
    [InlineData("""{"pulleyMm":3}""", "pulleyMm", "10")]
    public async Task What_cannot_be_is_refused_at_its_field(string more, string field, string sentence)
    {
        var (status, body) = await server.PostAsync("/api/engine-types", Type(JsonNode.Parse(more)!));
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Contains(sentence, body.Sentence(field), StringComparison.Ordinal);
    }

    [Fact]
    public async Task What_the_book_does_goes_along_and_whoever_works_chooses_otherwise_in_one_entry()
    {
        await twin.AddAsync(type: Type(new { order = "oneBlade", judging = "edgeToSet", manner = "bladeIn", pins = "the flywheel pin", interference = true, pulleyMm = 300 }));
        await twin.OpenAsync();
        var type = (await twin.ViewAsync()).GetProperty("context").GetProperty("type");
        Assert.Equal(("the flywheel pin", true, 300), (type.GetProperty("pins").GetString(), type.GetProperty("interference").GetBoolean(), type.GetProperty("pulleyMm").GetDouble()));
        var before = await SheetAsync();
        Assert.Equal("oneBlade edgeToSet bladeIn blades", Ways(before));

        await twin.TakeAsync(twin.Entry("chose", new { order = "byCylinder", judging = "oneFigure", manner = "bladeOut", method = "rocking", turnedBy = "starter" }));
        var after = await SheetAsync();
        Assert.Equal("byCylinder oneFigure bladeOut blades", Ways(after));
        Assert.Equal("starter", after.GetProperty("turnedBy").GetString());
        Assert.DoesNotContain(after.GetProperty("methods").EnumerateArray(), m => m.GetProperty("needsMark").GetBoolean());

        static string Ways(JsonElement s) => string.Join(' ', ((string[])["order", "judging", "manner", "measuring"]).Select(f => s.GetProperty(f).GetString()));
    }

    [Fact]
    public async Task On_a_dial_limits_and_advice_stand_in_its_own_figure_and_the_record_keeps_both()
    {
        await twin.AddAsync(type: Type(new { measuring = "dial", dialConversion = 1 / 2.4, dialContact = "on the rocker", spec = new { revision = "A", source = "manual", date = "2015-01-01", condition = "cold", lines = new[] { new { kind = "intake", min = "0.14", max = "0.17", unit = "mm" }, new { kind = "exhaust", min = "0.14", max = "0.17", unit = "mm" } } } }));
        await twin.OpenAsync();
        await twin.TakeAsync(twin.Entry("chose", new { tray = new { unit = "thou", blades = new[] { "6", "7" } } }));
        var dial = (await twin.SheetAsync("1I")).GetProperty("dial");
        Assert.Equal((13.2, 16.1), (Math.Round(dial.GetProperty("min").GetDouble(), 1), Math.Round(dial.GetProperty("max").GetDouble(), 1)));
        Assert.Equal("Set until the dial shows 14 to 15 thou; 0.15 to 0.16 mm at the lobe.", dial.GetProperty("sentence").GetString());

        var reading = Guid.CreateVersion7();
        await twin.TakeAsync(twin.Entry("figureRead", new { reading, point = "1I", stage = "asFound", figure = "18", unit = "thou", with = "dial", unproved = true }), twin.Entry("kept", new { reading, sure = true }));
        var found = (await twin.SheetAsync("1I")).GetProperty("found");
        Assert.Equal(("18", "dial", "loose"), (found.GetProperty("written").GetString(), found.GetProperty("with").GetString(), found.GetProperty("state").GetString()));
        Assert.Equal(0.1905, found.GetProperty("estimateMm").GetDouble(), 4);
    }

    [Fact]
    public async Task Measured_with_no_figure_at_hand_it_is_signed_as_not_judged_and_judged_later_with_both_dates()
    {
        var (refused, _) = await server.PostAsync("/api/engine-types", Type(new { spec = (object?)null }));
        Assert.Equal(HttpStatusCode.BadRequest, refused);
        await twin.AddAsync(type: Type(new { spec = (object?)null, noFigures = true }));
        await twin.OpenAsync();
        await twin.MeasureAllAsync("0.20", "0.50");
        var sheet = await twin.SheetAsync("1I");
        Assert.Equal(JsonValueKind.Null, sheet.GetProperty("minMm").ValueKind);
        await twin.SignAsync();
        var signed = await twin.ViewAsync();
        Assert.All(signed.GetProperty("points").EnumerateArray(), p => Assert.Equal(JsonValueKind.Null, p.GetProperty("verdict").ValueKind));
        Assert.Equal(JsonValueKind.Null, signed.GetProperty("judgedLater").ValueKind);

        await server.PostAsync($"/api/engine-types/{twin.TypeId}/revisions", new { revision = "A", source = "the plate, found later", date = "2026-11-25", condition = "cold", lines = new[] { new { kind = "intake", min = "0.15", max = "0.25", unit = "mm" }, new { kind = "exhaust", min = "0.35", max = "0.45", unit = "mm" } } });
        var later = (await twin.ViewAsync()).GetProperty("judgedLater");
        Assert.Equal(("A", "2026-11-25"), (later.GetProperty("revision").GetString(), later.GetProperty("date").GetString()));
        Assert.Equal(["1I inWindow", "1E loose", "2I inWindow", "2E loose"], later.GetProperty("points").EnumerateArray().Select(p => $"{p.GetProperty("point")} {p.GetProperty("state")}"));
        // The record itself stays as it was signed.
        Assert.All((await twin.ViewAsync()).GetProperty("points").EnumerateArray(), p => Assert.Equal(JsonValueKind.Null, p.GetProperty("verdict").ValueKind));
    }

    [Fact]
    public async Task A_hands_locknuts_are_learned_from_its_visits_and_the_next_one_is_told_where_to_leave_the_screw()
    {
        await twin.AddAsync();
        for (var visit = 0; visit < 2; visit++)
        {
            await twin.OpenAsync(1000 + 200 * visit, date: $"2026-0{visit + 1}-10");
            foreach (var point in (string[])["1I", "2I", "1E", "2E"])
            {
                var (before, after) = point.EndsWith('I') ? ("0.22", "0.20") : ("0.42", "0.40");
                await twin.TakeAsync([.. twin.Figure(point, point.EndsWith('I') ? "0.30" : "0.50"), .. twin.Figure(point, before, "beforeLock"), .. twin.Figure(point, after, "asLeft")]);
            }
            await twin.SignAsync();
        }
        await twin.OpenAsync(1400, date: "2026-03-10");
        await twin.TakeAsync(twin.Figure("1I", "0.30"));
        var point1 = await twin.SheetAsync("1I");

        Assert.Equal("Your last 8 on this type closed it by 0.02 mm in the mean.", point1.GetProperty("nutSaid").GetString());
        Assert.Equal(0.22, point1.GetProperty("advice").GetProperty("leaveMm").GetDouble(), 4);
        Assert.False(point1.GetProperty("asksBeforeLock").GetBoolean());
        Assert.Contains("Leave it at 0.22 mm", point1.GetProperty("advice").GetProperty("sentence").GetString()!, StringComparison.Ordinal);
        // Another hand is another locknut.
        await twin.TakeAsync(twin.Figure("1E", "0.50", by: twin.Olav));
        var point2 = await twin.SheetAsync("1E");
        Assert.Equal((JsonValueKind.Null, true), (point2.GetProperty("nutSaid").ValueKind, point2.GetProperty("asksBeforeLock").GetBoolean()));
    }

    [Fact]
    public async Task A_mark_chalked_at_one_visit_is_shown_at_the_stop_of_the_next()
    {
        await (await twin.AddAsync()).OpenAsync();
        await twin.TakeAsync(twin.Entry("marked", new { name = "T", crankDeg = 0 }), twin.Entry("marked", new { name = "F", crankDeg = 340, trap = true }));
        await twin.MeasureAllAsync();
        await twin.SignAsync();
        await twin.OpenAsync(1100, date: "2026-11-24");

        var marks = (await SheetAsync()).GetProperty("stops")[1].GetProperty("marks").EnumerateArray().Select(m => $"{m.GetProperty("name")} {m.GetProperty("trap")} {m.GetProperty("aheadDeg")}");
        Assert.Equal(["T False 0", "F True -20"], marks);
    }

    [Fact]
    public async Task A_change_of_how_the_book_does_it_is_noted_and_the_next_visit_works_so()
    {
        await twin.AddAsync();
        var (status, type) = await server.SendAsync(HttpMethod.Put, $"/api/engine-types/{twin.TypeId}", new { method = "rocking", judging = "edgeToSet", pins = "cam bar", pulleyMm = 240.0, bookStops = new[] { new { crankDeg = 0, points = new[] { "1I", "1E", "2I", "2E" } } }, why = "manual, page 4" });
        Assert.True(status == HttpStatusCode.OK, type.ToString());
        await twin.OpenAsync();
        var sheet = await SheetAsync();
        Assert.Equal(("rocking", "edgeToSet"), (sheet.GetProperty("method").GetString(), sheet.GetProperty("judging").GetString()));

        // What is not named stays; what is emptied is gone.
        var (_, same) = await server.SendAsync(HttpMethod.Put, $"/api/engine-types/{twin.TypeId}", new { judging = "window" });
        Assert.Equal("cam bar", same.GetProperty("pins").GetString());
        var (_, emptied) = await server.SendAsync(HttpMethod.Put, $"/api/engine-types/{twin.TypeId}", new { pins = "" });
        Assert.Equal(JsonValueKind.Null, emptied.GetProperty("pins").ValueKind);
    }
}
