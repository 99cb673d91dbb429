using System.Net;
using System.Text.Json;

namespace ZeroDrift.Server.Tests;

/// <summary>Readings as they grow tap by tap, and the other kinds of job.</summary>
public sealed class ReadingTests : IDisposable
{
    private readonly ServerWithFile server = new();

    [Fact]
    public async Task A_reading_grows_try_by_try_and_the_verdict_follows()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var id = Guid.CreateVersion7();

        var (_, first) = await Try(twin, id, 0, ("0.20", "free"));
        Assert.Equal("borderline", Draft(first, "1I").GetProperty("state").GetString());
        Assert.Equal(0.25, Draft(first, "1I").GetProperty("nextBladeMm").GetDouble(), 9);

        var (_, second) = await Try(twin, id, 1, ("0.20", "free"), ("0.25", "noGo"));
        Assert.Equal("inWindow", Draft(second, "1I").GetProperty("state").GetString());
        Assert.Equal(JsonValueKind.Null, Draft(second, "1I").GetProperty("nextBladeMm").ValueKind);
    }

    [Fact]
    public async Task A_contradiction_names_both_blades_and_the_tries_before_it_stand()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var id = Guid.CreateVersion7();
        await Try(twin, id, 0, ("0.25", "free"));

        var (status, body) = await Try(twin, id, 1, ("0.25", "free"), ("0.20", "noGo"));

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Contains("0.25 mm slid free, but the thinner 0.2 mm did not go", body.Sentence("trials[1]"), StringComparison.Ordinal);
        Assert.Single(Draft(await View(twin), "1I").GetProperty("trials").EnumerateArray());
    }

    [Fact]
    public async Task A_stale_version_is_told_what_stands()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var id = Guid.CreateVersion7();
        await Try(twin, id, 0, ("0.15", "free"));
        await Try(twin, id, 1, ("0.15", "free"), ("0.20", "drag"));

        var (status, body) = await Try(twin, id, 1, ("0.15", "free"), ("0.25", "noGo"));

        Assert.Equal(HttpStatusCode.Conflict, status);
        Assert.Equal("0.20", body.GetProperty("current").GetProperty("trials")[1].GetProperty("blades")[0].GetString());
    }

    [Fact]
    public async Task A_reading_not_kept_may_be_thrown_away_and_a_kept_one_not()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        var (draft, kept) = (Guid.CreateVersion7(), Guid.CreateVersion7());
        await Try(twin, draft, 0, ("0.20", "drag"));

        var (gone, view) = await server.SendAsync(HttpMethod.Delete, $"/api/overheads/{twin.OverheadId}/readings/{draft}", null);
        await twin.KeepAsync("1I", "asFound", "0.20", id: kept);
        var (stays, _) = await server.SendAsync(HttpMethod.Delete, $"/api/overheads/{twin.OverheadId}/readings/{kept}", null);

        Assert.Equal((HttpStatusCode.OK, HttpStatusCode.Conflict), (gone, stays));
        Assert.Equal(JsonValueKind.Null, Point(view, "1I").GetProperty("foundDraft").ValueKind);
    }

    [Theory]
    [InlineData("who", """{"pointId":"ID","stage":"asFound","figure":"0.2","keep":true}""")]
    [InlineData("stage", """{"pointId":"ID","figure":"0.2","who":"M","keep":true}""")]
    [InlineData("pointId", """{"stage":"asFound","figure":"0.2","who":"M","keep":true}""")]
    [InlineData("trials", """{"pointId":"ID","stage":"asFound","who":"M","keep":true}""")]
    [InlineData("figure", """{"pointId":"ID","stage":"asFound","figure":"about 0.2","who":"M","keep":true}""")]
    [InlineData("figure", """{"pointId":"ID","stage":"asFound","figure":"0.35-0.30","who":"M","keep":true}""")]
    [InlineData("unit", """{"pointId":"ID","stage":"asFound","figure":"0.2","unit":"mil","who":"M","keep":true}""")]
    [InlineData("trials[0].feel", """{"pointId":"ID","stage":"asFound","trials":[{"blades":["0.2"]}],"who":"M"}""")]
    [InlineData("trials[0].blades", """{"pointId":"ID","stage":"asFound","trials":[{"blades":["thin"],"feel":"free"}],"who":"M"}""")]
    [InlineData("trials[0].blades", """{"pointId":"ID","stage":"asFound","trials":[{"feel":"free"}],"who":"M"}""")]
    public async Task A_reading_that_cannot_be_is_refused_at_its_field(string field, string request)
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();

        var (status, body) = await server.PutAsync($"/api/overheads/{twin.OverheadId}/readings/{Guid.CreateVersion7()}", request.Replace("ID", twin.Points["1I"].ToString(), StringComparison.Ordinal));

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.NotEmpty(body.Sentence(field));
        Assert.Equal(JsonValueKind.Null, Point(await View(twin), "1I").GetProperty("found").ValueKind);
    }

    [Theory]
    [InlineData("shownHours", """{"engineId":"ID","who":"M"}""")]
    [InlineData("who", """{"engineId":"ID","shownHours":5}""")]
    [InlineData("engineId", """{"shownHours":5,"who":"M"}""")]
    [InlineData("tray", """{"engineId":"ID","shownHours":5,"who":"M","tray":["0.1","x"],"trayUnit":"mm"}""")]
    [InlineData("trayUnit", """{"engineId":"ID","shownHours":5,"who":"M","trayUnit":"mil"}""")]
    [InlineData("date", """{"engineId":"ID","shownHours":5,"who":"M","date":"2999-01-01"}""")]
    [InlineData("method", """{"engineId":"ID","shownHours":5,"who":"M","method":"guess"}""")]
    public async Task An_overhead_that_cannot_begin_says_why(string field, string request)
    {
        var twin = await new TwinEngine(server).AddAsync();

        var (status, body) = await server.PutAsync($"/api/overheads/{Guid.CreateVersion7()}", request.Replace("ID", twin.EngineId.ToString(), StringComparison.Ordinal));

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.NotEmpty(body.Sentence(field));
        Assert.Empty((await server.GetAsync("/api/overheads")).EnumerateArray());
    }

    [Fact]
    public async Task A_figure_far_out_is_kept_only_by_who_is_sure()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();

        var (asked, body) = await Put(false);
        var (kept, view) = await Put(true);

        Assert.Equal(HttpStatusCode.BadRequest, asked);
        Assert.Contains("far from the window", body.Sentence("figure"), StringComparison.Ordinal);
        Assert.Equal((HttpStatusCode.OK, "loose"), (kept, Point(view, "1I").GetProperty("found").GetProperty("state").GetString()));

        Task<(HttpStatusCode Status, JsonElement Body)> Put(bool sure) => server.PutAsync($"/api/overheads/{twin.OverheadId}/readings/{Guid.CreateVersion7()}",
            new { pointId = twin.Points["1I"], stage = "asFound", figure = "2.6", unit = "mm", who = "Marit", keep = true, sure });
    }

    [Fact]
    public async Task Thou_and_a_decimal_comma_are_kept_as_written()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();

        var (_, view) = await server.PutAsync($"/api/overheads/{twin.OverheadId}/readings/{Guid.CreateVersion7()}",
            new { pointId = twin.Points["1I"], stage = "asFound", figure = "8,5", unit = "thou", who = "Marit", keep = true });

        var found = Point(view, "1I").GetProperty("found");
        Assert.Equal(("8,5", "thou"), (found.GetProperty("written").GetString(), found.GetProperty("unit").GetString()));
        Assert.Equal(0.2159, found.GetProperty("estimateMm").GetDouble(), 9);
    }

    [Fact]
    public async Task A_spot_check_feeds_the_trend_and_leaves_the_books_clock()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync(1000);
        await twin.MeasureAllAsync();
        await twin.SignAsync();
        await server.PostAsync($"/api/engines/{twin.EngineId}/meter-readings", new { hours = 1015 });

        await twin.OpenAsync(1018, "spotCheck");
        await twin.KeepAsync("1E", "asFound", "0.40");
        var (signed, _) = await twin.SignAsync();

        Assert.Equal(HttpStatusCode.OK, signed);
        var engine = await server.GetAsync($"/api/engines/{twin.EngineId}");
        var row = engine.GetProperty("row");
        var book = row.GetProperty("others").EnumerateArray().Prepend(row.GetProperty("decides")).Single(a => a.GetProperty("rule").GetString() == "bookHours");
        Assert.Equal(982, book.GetProperty("hours").GetDouble(), 6);
        Assert.Equal(2, engine.GetProperty("points").EnumerateArray().First(p => p.GetProperty("label").GetString() == "1E").GetProperty("series").GetArrayLength());
    }

    [Fact]
    public async Task A_build_needs_no_as_found_and_ends_the_history_before_it()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync(1000);
        await twin.MeasureAllAsync();
        await twin.SignAsync();

        await twin.OpenAsync(1005, "build");
        foreach (var point in twin.Points.Keys) await twin.KeepAsync(point, "asLeft", point.EndsWith('I') ? "0.20" : "0.40");
        var (signed, body) = await twin.SignAsync();

        Assert.True(signed == HttpStatusCode.OK, body.ToString());
        var series = (await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("points")[0].GetProperty("series");
        Assert.True(series[1].GetProperty("partChanged").GetBoolean());
    }

    [Fact]
    public async Task A_warm_visit_answered_afterwards_is_left_out_of_the_rates()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync(1000);
        await twin.MeasureAllAsync();
        await twin.SignAsync();

        var (status, view) = await server.PutAsync($"/api/overheads/{twin.OverheadId}/answer", new { answer = "warm" });

        Assert.Equal((HttpStatusCode.OK, "warm"), (status, view.GetProperty("answer").GetString()));
        var point = (await server.GetAsync($"/api/engines/{twin.EngineId}")).GetProperty("points")[0];
        Assert.True(point.GetProperty("series")[0].GetProperty("excluded").GetBoolean());
        Assert.Equal(JsonValueKind.Null, point.GetProperty("lastMm").ValueKind);
        var (nonsense, _) = await server.PutAsync($"/api/overheads/{twin.OverheadId}/answer", new { answer = "maybe" });
        Assert.Equal(HttpStatusCode.BadRequest, nonsense);
    }

    [Fact]
    public async Task A_signed_overhead_takes_no_tick_no_condition_and_no_second_name()
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();
        await twin.MeasureAllAsync();
        await twin.SignAsync("Marit");

        var (again, _) = await twin.SignAsync("Marit");
        var (other, _) = await twin.SignAsync("Olav");
        var (tick, _) = await server.PutAsync($"/api/overheads/{twin.OverheadId}/ticks", new { key = "battery", on = false });
        var (condition, _) = await server.PutAsync($"/api/overheads/{twin.OverheadId}/condition", new { condition = "hot" });

        Assert.Equal((HttpStatusCode.OK, HttpStatusCode.Conflict, HttpStatusCode.Conflict, HttpStatusCode.Conflict), (again, other, tick, condition));
    }

    [Theory]
    [InlineData("ticks", """{"key":"nonsense","on":true}""", "key")]
    [InlineData("condition", """{}""", "condition")]
    [InlineData("condition", """{"condition":"cold","engineTemperatureC":900}""", "engineTemperatureC")]
    [InlineData("stops/999", """{}""", "index")]
    [InlineData("signature", """{}""", "who")]
    public async Task Each_step_refuses_nonsense_at_its_field(string step, string request, string field)
    {
        var twin = await (await new TwinEngine(server).AddAsync()).OpenAsync();

        var (status, body) = await server.PutAsync($"/api/overheads/{twin.OverheadId}/{step}", request);

        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.NotEmpty(body.Sentence(field));
    }

    public void Dispose() => server.Dispose();

    private Task<(HttpStatusCode Status, JsonElement Body)> Try(TwinEngine twin, Guid id, int version, params (string Blade, string Feel)[] trials) =>
        server.PutAsync($"/api/overheads/{twin.OverheadId}/readings/{id}", new
        {
            pointId = twin.Points["1I"],
            stage = "asFound",
            trials = trials.Select(t => new { blades = new[] { t.Blade }, feel = t.Feel }),
            who = "Marit",
            version,
        });

    private Task<JsonElement> View(TwinEngine twin) => server.GetAsync($"/api/overheads/{twin.OverheadId}");

    private static JsonElement Draft(JsonElement view, string label) => Point(view, label).GetProperty("foundDraft");

    private static JsonElement Point(JsonElement view, string label) => view.GetProperty("points").EnumerateArray().First(p => p.GetProperty("label").GetString() == label);
}
